import { scriptOfTag } from '../script';
import { OCCASION_KEYS, takenOn } from './occasion';
import type { ProjectDocument, TextStyle } from './projectDocument';
import type { PropertyName, PropertyValues } from './property';

/**
 * Where a style's values stand: those for every width, those that differ on narrow screens, and those that differ on
 * an occasion, at a width of the site's or in one of its languages, by its key. It is their place in the style as a
 * JSON Pointer has it.
 */
export type StyleValues = 'set' | 'narrow' | `at/${string}`;

/** Where the values stand that differ on an occasion, or at a width of the site's. */
export const valuesAt = (key: string): StyleValues => `at/${key}`;

/** The key of an occasion, or of a width, whose values are meant; null for those of screens as such. */
export const occasionIn = (where: StyleValues): string | null =>
  where.startsWith('at/') ? where.slice(3) : null;

const LANGUAGE_PLACE = 'lang-';
/** The key that what a style has otherwise in a language stands under. @param tag BCP 47 */
export const languagePlace = (tag: string): string => LANGUAGE_PLACE + tag.toLowerCase();
/** The tag of the language of the site's that a key stands for; null for one that is none of these. */
export const languageOfPlace = (
  { languages }: Pick<ProjectDocument, 'languages'>,
  key: string,
): string | null => languages.find((tag) => languagePlace(tag) === key) ?? null;

/** Whether a style may have a property otherwise there: space between letters that are joined takes words apart. */
export const takenAt = (
  document: Pick<ProjectDocument, 'languages'>,
  key: string,
  property: PropertyName,
): boolean => {
  const language = languageOfPlace(document, key);
  const isJoined = language !== null && Boolean(scriptOfTag(language)?.joining);
  return takenOn(key, property) && !(isJoined && property === 'letterSpacing');
};

/** Viewport width under which a screen is narrow where a project does not say, CSS px: phones upright. */
const NARROW_BELOW = 600;

export const narrowBelowOf = ({ narrowBelow = NARROW_BELOW }: ProjectDocument): number =>
  narrowBelow;

const NOTHING: PropertyValues = {};

/** What a style sets, for every width or otherwise. */
export function valuesOf(style: TextStyle | undefined, where: StyleValues): PropertyValues {
  if (!style) return NOTHING;
  if (where === 'set' || where === 'narrow') return style[where] ?? NOTHING;
  const { at = {} } = style;
  const key = where.slice(3);
  return (Object.hasOwn(at, key) ? at[key] : undefined) ?? NOTHING;
}

/** Where a style has values of its own. */
export const placesOf = ({ narrow, at }: TextStyle): StyleValues[] => [
  'set',
  ...(narrow ? (['narrow'] as const) : []),
  ...(at ? Object.keys(at).map(valuesAt) : []),
];

/** Keys of the site's widths in the order in which they are delivered: the narrower of two that hold wins. */
export function widthKeys({ widths = {} }: Pick<ProjectDocument, 'widths'>): string[] {
  const rank = (key: string): readonly [number, number] => {
    const { from, below } = widths[key] ?? {};
    return [from ?? 0, -(below ?? Infinity)];
  };
  return Object.keys(widths).sort((a, b) => {
    const [one, other] = [rank(a), rank(b)];
    return one[0] - other[0] || one[1] - other[1] || (a < b ? -1 : 1);
  });
}

/** Keys of all occasions and widths that the styles of a project may differ at, in the order of their rules. */
export const occasionKeys = (document: Pick<ProjectDocument, 'widths'>): string[] => [
  ...widthKeys(document),
  ...OCCASION_KEYS,
];
