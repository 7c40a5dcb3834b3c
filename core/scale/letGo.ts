import type { Patch } from '../document/patch';
import type { Scale } from '../document/scale';
import { crossingsOf } from './crossing';

/**
 * What lets go of the sizes set by hand that turn the order of steps round in a scale: at the end where they do, and
 * no others; null where the order is turned round by something else as well.
 */
export function letGoPatch(scale: Scale): { patch: Patch; steps: string[] } | null {
  const found = crossingsOf(scale).flatMap(({ end, lower, higher }) =>
    [lower, higher]
      .filter(({ setByHand }) => setByHand[end])
      .map(({ number, name }) => ({ end, key: String(number), name })),
  );
  const ends = new Map<string, Set<'small' | 'large'>>();
  for (const { key, end } of found) ends.set(key, (ends.get(key) ?? new Set()).add(end));
  const patch = [...ends].map(([key, those]): Patch[number] => {
    const rest = Object.entries(scale.overrides[key] ?? {}).filter(
      ([end]) => !those.has(end as 'small' | 'large'),
    );
    const path = `/scale/overrides/${key}`;
    return rest.length > 0
      ? { op: 'replace', path, value: Object.fromEntries(rest) }
      : { op: 'remove', path };
  });
  const overrides = Object.fromEntries(
    Object.entries(scale.overrides).flatMap(([key, of]) => {
      const those = ends.get(key);
      const rest = Object.entries(of).filter(([end]) => !those?.has(end as 'small' | 'large'));
      return rest.length > 0 ? [[key, Object.fromEntries(rest)]] : [];
    }),
  );
  const isSound = patch.length > 0 && crossingsOf({ ...scale, overrides }).length === 0;
  return isSound ? { patch, steps: [...new Set(found.map(({ name }) => name))] } : null;
}
