import type { Scale } from '../document/scale';
import type { Naming } from '../document/scaleBounds';

/** `base`, `up-2`, `down-1`. */
const byNumber = (number: number): string =>
  number === 0 ? 'base' : number > 0 ? `up-${number}` : `down-${-number}`;

/**
 * From small to large, by the words of CSS's own absolute sizes, counted on beyond them: `x-small`,
 * `medium`, `xxx-large`, `4x-large`. CSS Fonts 4 §3.5, `<absolute-size>`.
 */
function bySize(number: number): string {
  if (number === 0) return 'medium';
  const times = Math.abs(number) - 1;
  const prefix = times > 3 ? `${times}x-` : times > 0 ? `${'x'.repeat(times)}-` : '';
  return `${prefix}${number > 0 ? 'large' : 'small'}`;
}

const SCHEMES: Record<Naming, (scale: Scale, number: number) => string> = {
  numbers: (_scale, number) => byNumber(number),
  sizes: (_scale, number) => bySize(number),
  own: (scale, number) => scale.names?.own[String(number)] ?? byNumber(number),
};

/**
 * The name of a step in custom properties and tokens, by the scale's scheme. One added between two is
 * called after the lower: `up-1-plus`.
 */
export function stepName(scale: Scale, number: number): string {
  const { scheme, own = {} } = scale.names ?? { scheme: 'numbers' };
  if (Number.isInteger(number)) return SCHEMES[scheme](scale, number);
  const given = scheme === 'own' ? own[String(number)] : undefined;
  return given ?? `${SCHEMES[scheme](scale, Math.floor(number))}-plus`;
}

/** Names that two steps or more would share. */
export function sharedNames(scale: Scale, numbers: readonly number[]): string[] {
  const names = numbers.map((number) => stepName(scale, number));
  return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))];
}
