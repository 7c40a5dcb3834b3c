import type { ProjectDocument } from '../document/projectDocument';
import { COMMON_LETTERS, languageOf, scriptOfLanguage } from '../script';

/** Letters of one file: enough that a text finds what it needs in few, and few enough that each is soon there. */
export const LETTERS_A_FILE = 180;

const pointOf = (letter: string): number => letter.codePointAt(0) ?? 0;

/** Letters that a site can have in one file: more are parted, so that a page does not fetch those of all others. */
const MOST_IN_ONE = 2 * LETTERS_A_FILE;

const pointsFrom = (from: number, to: number): number[] =>
  Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** Stops, brackets and full-width forms, which no table of letters has and any text may: CJK Symbols, and FF01 to FF60. */
const PUNCTUATION = [...pointsFrom(0x3000, 0x303f), ...pointsFrom(0xff01, 0xff60)].filter(
  (point) => !/\p{L}/u.test(String.fromCodePoint(point)),
);

const inFiles = (points: readonly number[]): number[][] =>
  Array.from({ length: Math.ceil(points.length / LETTERS_A_FILE) }, (_, i) =>
    points.slice(i * LETTERS_A_FILE, (i + 1) * LETTERS_A_FILE),
  );

/**
 * The letters of a script of many that a site's pages have, in as many files as keep each small: in one where they are
 * few, else those of running text before those that are seldom.
 */
export function siteLetters(points: readonly number[], languages: readonly string[]): number[][] {
  if (points.length <= MOST_IN_ONE) return [[...points]];
  const rank = new Map<number, number>();
  for (const tag of languages) {
    for (const letter of COMMON_LETTERS[languageOf(tag)?.tag ?? ''] ?? '') {
      const point = pointOf(letter);
      if (!rank.has(point)) rank.set(point, rank.size);
    }
  }
  const of = (point: number) => rank.get(point) ?? rank.size + point;
  return inFiles(points.toSorted((a, b) => of(a) - of(b)));
}

/**
 * Letters of the site's languages with scripts of many that its pages do not have now, in groups that each make a
 * file: first those of running text, the most frequent together, then the rest in the order of their codes, where
 * those of one root stand near. A page that comes later fetches those groups that it has letters of.
 * @param has the letters that the font has
 * @param needed what other files hold already
 */
export function laterLetters(
  { languages, delivery }: Pick<ProjectDocument, 'languages' | 'delivery'>,
  scripts: ReadonlySet<string>,
  has: ReadonlySet<number>,
  needed: ReadonlySet<number>,
): number[][] {
  if (delivery.laterLetters === false) return [];
  const groups: number[][] = [];
  const given = new Set(needed);
  for (const tag of languages) {
    const language = languageOf(tag);
    const script = language && scriptOfLanguage(language);
    if (!language || !script?.large || !scripts.has(script.key)) continue;
    const free = (points: readonly number[]) =>
      points.filter((point) => has.has(point) && !given.has(point));
    const common = free([
      ...PUNCTUATION,
      ...[...(COMMON_LETTERS[language.tag] ?? '')].map(pointOf),
    ]);
    for (const point of common) given.add(point);
    const rest = free([...language.characters].map(pointOf)).sort((a, b) => a - b);
    for (const point of rest) given.add(point);
    for (const all of [common, rest]) groups.push(...inFiles(all));
  }
  return groups;
}
