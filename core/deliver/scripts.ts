import { formatUnicodeRange } from '../css/unicodeRange';

/** Whether a character is joined with the letter before it, whatever script that is of. UAX 24 §5.2. */
export const isMark = (character: string): boolean => /\p{Script=Inherited}/u.test(character);

/** A script's name as libraries have it, and whether a character is of it. */
const SCRIPTS: readonly (readonly [
  name: string,
  has: (codePoint: number, character: string) => boolean,
])[] = [
  // What nearly every page has, and punctuation with it: a page without other letters loads this alone.
  ['latin', (codePoint) => codePoint <= 0xff || (codePoint >= 0x2000 && codePoint <= 0x206f)],
  ['greek', (_, character) => /\p{Script=Greek}/u.test(character)],
  ['cyrillic', (_, character) => /\p{Script=Cyrillic}/u.test(character)],
  ['latin-ext', (_, character) => /\p{Script=Latin}/u.test(character)],
  ['mark', (_, character) => isMark(character)],
  ['latin', (_, character) => /\p{Script=Common}/u.test(character)],
  ['other', () => true],
];

/**
 * Characters by script, so that a page loads only those that it has letters of. In the order of their names. A
 * mark is with every script that has letters: a letter and the marks on it are drawn in one face or not at all.
 * @returns the name of each script that there are any of, with its characters as a `unicode-range`
 */
export function splitByScript(
  codePoints: Iterable<number>,
): { script: string; codePoints: number[]; unicodeRange: string }[] {
  const groups = new Map<string, number[]>();
  for (const codePoint of codePoints) {
    const character = String.fromCodePoint(codePoint);
    const [name = 'other'] = SCRIPTS.find(([, has]) => has(codePoint, character)) ?? [];
    const group = groups.get(name) ?? [];
    group.push(codePoint);
    groups.set(name, group);
  }
  const marks = groups.get('mark') ?? [];
  groups.delete('mark');
  const hasLetters = (points: readonly number[]) =>
    points.some((codePoint) => /\p{L}/u.test(String.fromCodePoint(codePoint)));
  const bearing = [...groups].filter(([, points]) => hasLetters(points));
  for (const [, points] of bearing) points.push(...marks);
  if (bearing.length === 0 && marks.length > 0)
    groups.set('other', [...(groups.get('other') ?? []), ...marks]);
  return [...groups]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([script, points]) => {
      const inOrder = points.toSorted((a, b) => a - b);
      return { script, codePoints: inOrder, unicodeRange: formatUnicodeRange(inOrder) };
    });
}
