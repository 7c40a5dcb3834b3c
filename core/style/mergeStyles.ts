import type { Patch } from '../document/patch';
import type { ProjectDocument } from '../document/projectDocument';
import { BODY_STYLE } from '../document/vocabulary';
import { elementsByStyle, followersOf } from './usage';

/** Whether a style follows one of several, directly or through others. */
export function followsOneOf(
  { styles }: Pick<ProjectDocument, 'styles'>,
  key: string,
  others: ReadonlySet<string>,
): boolean {
  for (let at = styles[key]?.follows; at; at = styles[at]?.follows) {
    if (others.has(at)) return true;
  }
  return false;
}

/** The style of several that can stand for all: the body's, else the first that follows none of the others. */
export function standsForAll(document: ProjectDocument, group: readonly string[]): string {
  const all = new Set(group);
  if (all.has(BODY_STYLE)) return BODY_STYLE;
  return group.find((key) => !followsOneOf(document, key, all)) ?? '';
}

/** Makes one style of several: elements wear, and styles follow, the one that is kept, and the others go. */
export function mergePatch(
  document: Pick<ProjectDocument, 'elements' | 'styles'>,
  kept: string,
  others: readonly string[],
): Patch {
  const go = new Set(others);
  const [worn, followers] = [elementsByStyle(document), followersOf(document)];
  return [
    ...others.flatMap((style): Patch =>
      (worn.get(style) ?? []).map((key) => ({
        op: 'replace',
        path: `/elements/${key}/style`,
        value: kept,
      })),
    ),
    ...others.flatMap((style): Patch =>
      (followers.get(style) ?? [])
        .filter((key) => !go.has(key))
        .map((key) => ({ op: 'replace', path: `/styles/${key}/follows`, value: kept })),
    ),
    ...others.map((key) => ({ op: 'remove' as const, path: `/styles/${key}` })),
  ];
}

/** Makes one style of each of several groups at once: what goes with one group is not changed for another. */
export function mergeAllPatch(document: ProjectDocument, groups: readonly string[][]): Patch {
  const merges = groups.map((group) => {
    const kept = standsForAll(document, group);
    return { kept, others: group.filter((key) => key !== kept) };
  });
  const goes = new Set(
    merges.flatMap(({ others }) => others.map((key) => `/styles/${key}/follows`)),
  );
  const changes = merges.flatMap(({ kept, others }) => mergePatch(document, kept, others));
  return changes
    .filter(({ path }) => !goes.has(path))
    .sort((a, b) => Number(a.op === 'remove') - Number(b.op === 'remove'));
}

/**
 * Takes a style out: its elements wear what it followed, else the body's style, and the styles that followed
 * it follow on.
 */
export function takeOutStylePatch(document: ProjectDocument, key: string): Patch {
  const next = document.styles[key]?.follows ?? null;
  return mergePatch(document, next ?? BODY_STYLE, [key]).map((operation) =>
    next === null && operation.op === 'replace' && operation.path.endsWith('/follows')
      ? { ...operation, value: null }
      : operation,
  );
}
