import type { ProjectDocument } from '../document/projectDocument';
import {
  languageOf,
  scriptOfLanguage,
  type Language,
  type LettersTogether,
  type Script,
} from '../script';

/**
 * Letters of one file where it is known how often texts have them. On pages that the order was not counted on, the
 * letters that come new fetch 0.6 times the bytes that they do in files of 180, and half as many files again.
 */
export const LETTERS_A_FILE = 60;
/** Of those that texts have hardly ever: a page meets one at most, and files of a few would be hundreds. */
export const SELDOM_A_FILE = 180;

const pointOf = (letter: string): number => letter.codePointAt(0) ?? 0;

/** Letters that a site can have in one file: more are parted, so that a page does not fetch those of all others. */
export const MOST_IN_ONE = 360;

const pointsFrom = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** Stops, brackets and full-width forms, which no table of letters has and any text may: CJK Symbols, and FF01 to FF60. */
const PUNCTUATION = [...pointsFrom(0x3000, 0x303f), ...pointsFrom(0xff01, 0xff60)].filter(
  (point) => !/\p{L}/u.test(String.fromCodePoint(point)),
);

const inFiles = (points: readonly number[], size: number): number[][] =>
  Array.from({ length: Math.ceil(points.length / size) }, (_, i) =>
    points.slice(i * size, (i + 1) * size),
  );

const groupsOf = (together: LettersTogether, tag: string): LettersTogether[string] => {
  const known = languageOf(tag)?.tag ?? '';
  return Object.hasOwn(together, known) ? (together[known] ?? []) : [];
};

/** The order in which letters go into files: by the groups of their languages, and by code beyond. */
function inOrder(
  points: readonly number[],
  languages: readonly string[],
  together: LettersTogether,
): number[] {
  const rank = new Map<number, number>();
  for (const tag of languages)
    for (const [i, group] of groupsOf(together, tag).entries())
      for (const point of group) if (!rank.has(point)) rank.set(point, i);
  const of = (point: number) => rank.get(point) ?? Infinity;
  return points.toSorted((a, b) => (of(a) === of(b) ? a - b : of(a) - of(b)));
}

/**
 * The letters of a script of many that a site's pages have, in as many files as keep each small: in one where they are
 * few, else those that most texts have before those that are seldom.
 */
export function siteLetters(
  points: readonly number[],
  languages: readonly string[],
  together: LettersTogether = {},
): number[][] {
  return points.length <= MOST_IN_ONE
    ? [[...points]]
    : inFiles(inOrder(points, languages, together), LETTERS_A_FILE);
}

/**
 * Languages of the site with scripts of many that come in files for later letters too, and those scripts; none where
 * the delivery has no such files.
 * @param scripts keys of those that may
 */
export const laterLanguages = (
  { languages, delivery }: Pick<ProjectDocument, 'languages' | 'delivery'>,
  scripts: ReadonlySet<string>,
): { language: Language; script: Script }[] =>
  delivery.laterLetters === false
    ? []
    : languages.flatMap((tag) => {
        const language = languageOf(tag);
        const script = language && scriptOfLanguage(language);
        return language && script?.large && scripts.has(script.key) ? [{ language, script }] : [];
      });

/**
 * Letters of the site's scripts of many that its pages do not have now, in groups that each make a file: stops and
 * those that most texts in the language have, then those that texts have seldom, then the rest of the language, then
 * what else of the script the font has, by code, where those of one root stand near. A page that comes later
 * fetches those groups that it has letters of.
 * @param has the letters that the font has
 * @param needed what other files hold already
 * @param together the letters of its languages, as texts have them together
 */
export function laterLetters(
  { languages, delivery }: Pick<ProjectDocument, 'languages' | 'delivery'>,
  scripts: ReadonlySet<string>,
  has: ReadonlySet<number>,
  needed: ReadonlySet<number>,
  together: LettersTogether = {},
): number[][] {
  const groups: number[][] = [];
  const given = new Set(needed);
  const give = (points: readonly number[], size: number): void => {
    const free = points.filter((point) => has.has(point) && !given.has(point));
    for (const point of free) given.add(point);
    groups.push(...inFiles(free, size));
  };
  const written = laterLanguages({ languages, delivery }, scripts);
  for (const { language } of written) {
    give([...PUNCTUATION, ...groupsOf(together, language.tag).flat()], LETTERS_A_FILE);
    give([...language.characters].map(pointOf), SELDOM_A_FILE);
  }
  for (const { script } of written)
    give(
      [...has].filter((point) => script.has.test(String.fromCodePoint(point))),
      SELDOM_A_FILE,
    );
  return groups;
}
