import { onceFor } from '../document/once';
import { onceForParts } from '../document/onceForParts';
import type { ProjectDocument } from '../document/projectDocument';
import { PROPERTY_NAMES, type PropertyName } from '../document/property';
import { BODY_STYLE } from '../document/vocabulary';
import { waysAt } from './documentAt';
import { followsOneOf } from './mergeStyles';
import { ownVoices } from './ownVoices';
import {
  carries,
  followedProperty,
  resolveInUse,
  resolveStyle,
  type ResolvedStyle,
} from './resolve';
import { elementsByStyle, followersOf } from './usage';

/** A property of a style. */
export interface StyleProperty {
  style: string;
  property: PropertyName;
}

/** Styles that nothing else of their group need set, to tell that one of them goes its own way. */
const LEAST_OTHERS = 2;
/** Levels and kinds of text differ in these by nature: that one has its own says nothing. */
const OWN_BY_NATURE: ReadonlySet<PropertyName> = new Set(['step', 'weight', 'slant', 'colour']);
/** These go with the size, so that a style with a size of its own may well have its own of them. */
const GOES_WITH_SIZE: ReadonlySet<PropertyName> = new Set(['lineHeight', 'letterSpacing']);

/**
 * Properties that are set in a style where the rest of its group, the styles that follow the same one,
 * leave them open and take what that one says: a change that reaches the group misses it.
 */
export const strays = onceForParts(['styles', 'elements'], (document): StyleProperty[] => {
  const { styles } = document;
  const groups = new Map<string, string[]>();
  for (const [key, { follows }] of Object.entries(styles)) {
    if (key === BODY_STYLE || !follows) continue;
    const group = groups.get(follows);
    if (group) group.push(key);
    else groups.set(follows, [key]);
  }
  return [...groups].flatMap(([followed, group]) =>
    group.length <= LEAST_OTHERS
      ? []
      : PROPERTY_NAMES.flatMap((property) => {
          if (OWN_BY_NATURE.has(property)) return [];
          if (!carries(resolveStyle(document, followed)[property])) return [];
          const setting = group.filter((key) => styles[key]?.set[property] !== undefined);
          const [style] = setting;
          if (!style || setting.length > 1) return [];
          const bySize = GOES_WITH_SIZE.has(property) && styles[style]?.set.step !== undefined;
          return bySize ? [] : [{ style, property }];
        }),
  );
});

/** Properties that are set to what they would follow, at every width and on every occasion. */
export const redundant = onceForParts(['styles', 'elements'], (document): StyleProperty[] => {
  const parents = new Map<string, (string | null)[]>();
  for (const { style, parent } of Object.values(document.elements)) {
    const known = parents.get(style);
    if (known) known.push(parent);
    else parents.set(style, [parent]);
  }
  const ways = waysAt(document);
  return Object.entries(document.styles).flatMap(([style, { set }]) =>
    PROPERTY_NAMES.flatMap((property): StyleProperty[] => {
      const value = set[property];
      if (value === undefined || style === BODY_STYLE) return [];
      const same = (parents.get(style) ?? [null]).every((parent) => {
        const there = ways.filter(({ styles }) => styles.has(style)).map(({ at }) => at);
        return [document, ...there].every((at) => {
          // What it sets otherwise there, it sets whatever it follows elsewhere.
          if (at.styles[style]?.set[property] !== value) return true;
          const followed = followedProperty(at, style, parent, property);
          // What is left to the page may be anything there.
          return followed.origin !== 'browser' && followed.value === value;
        });
      });
      return same ? [{ style, property }] : [];
    }),
  );
});

/** How far two numbers may be apart and still be the same to the eye. */
const ROUNDING = 0.005;

const sayTheSame = (a: unknown, b: unknown): boolean =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= ROUNDING : a === b;

/** The values of a style that are no numbers: styles that differ there cannot say the same. */
const inWords = onceFor((resolved: ResolvedStyle): string =>
  PROPERTY_NAMES.map((name) => {
    const { value } = resolved[name];
    return typeof value === 'number' ? '' : String(value);
  }).join('|'),
);

/**
 * Styles whose resolved values agree in all but rounding, at every width and on every occasion, two and more together. One that only stands behind
 * others, used by no element, does not say the same as what follows it.
 */
export const sameStyles = onceForParts(['styles', 'elements'], (document): string[][] => {
  const groups: string[][] = [];
  const byWords = new Map<string, string[][]>();
  const worn = elementsByStyle(document);
  const ways = waysAt(document);
  const standsBehind = (one: string, other: string): boolean =>
    !worn.has(one) && followsOneOf(document, other, new Set([one]));
  for (const key of Object.keys(document.styles)) {
    const resolved = resolveInUse(document, key);
    // One that leaves all open says nothing.
    if (!PROPERTY_NAMES.some((name) => carries(resolved[name]))) continue;
    const there = ways.filter(({ styles }) => styles.has(key));
    const otherwise = there.map(({ where, at }) => `${where} ${inWords(resolveInUse(at, key))}`);
    const words = [inWords(resolved), ...otherwise].join('/');
    const near = byWords.get(words) ?? [];
    byWords.set(words, near);
    const group = near.find(([first = '']) => {
      if (standsBehind(first, key) || standsBehind(key, first)) return false;
      // Those of the same words differ in the same places.
      return [document, ...there.map(({ at }) => at)].every((at) => {
        const [one, other] = [resolveInUse(at, key), resolveInUse(at, first)];
        return PROPERTY_NAMES.every((name) => sayTheSame(one[name].value, other[name].value));
      });
    });
    if (group) group.push(key);
    else {
      const alone = [key];
      near.push(alone);
      groups.push(alone);
    }
  }
  return groups.filter(({ length }) => length > 1);
});

/** Styles that no text element wears and no style follows. */
export const unwornStyles = onceForParts(['styles', 'elements'], (document): string[] => {
  const [worn, followed] = [elementsByStyle(document), followersOf(document)];
  return Object.keys(document.styles).filter(
    (key) => key !== BODY_STYLE && !worn.has(key) && !followed.has(key),
  );
});

/** How many things the lists of what can be put right in styles hold together. */
export const gatheredCount = (document: ProjectDocument): number =>
  [strays, redundant, ownVoices, sameStyles, unwornStyles].reduce(
    (count, listOf) => count + listOf(document).length,
    0,
  );
