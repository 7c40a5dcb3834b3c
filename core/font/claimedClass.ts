import type { FaceClass } from '../document/vocabulary';

/** PANOSE 1.0, first digit: the kind of family. */
const FAMILY_KIND: Record<number, FaceClass> = { 3: 'handwriting', 4: 'display' };
const LATIN_TEXT = 2;
/** PANOSE 1.0 for Latin text, second digit: from here on without serifs. */
const FIRST_SANS_SERIF = 11;
/** PANOSE 1.0 for Latin text, fourth digit. */
const MONOSPACED = 9;

const NAME_WORDS: [RegExp, FaceClass][] = [
  [/\bmono(space)?\b|\bcode\b/i, 'monospace'],
  [/\bsans\b|\bgrotes[kq]\w*\b|\bgothic\b/i, 'sans-serif'],
  [/\bserif\b|\bslab\b|\bantiqua\b/i, 'serif'],
  [/\bscript\b|\bhand\b/i, 'handwriting'],
  [/\bdisplay\b/i, 'display'],
];

/**
 * The class a file claims for itself: by its PANOSE numbers, else by being fixed in pitch, else by the
 * words in its name; null when it claims none.
 */
export function claimedClass({
  panose,
  fixedPitch,
  family,
}: {
  panose: readonly number[];
  fixedPitch: boolean;
  family: string;
}): FaceClass | null {
  const [kind = 0, serif = 0, , proportion = 0] = panose;
  if (fixedPitch || (kind === LATIN_TEXT && proportion === MONOSPACED)) return 'monospace';
  if (kind === LATIN_TEXT && serif >= 2) return serif >= FIRST_SANS_SERIF ? 'sans-serif' : 'serif';
  return FAMILY_KIND[kind] ?? NAME_WORDS.find(([words]) => words.test(family))?.[1] ?? null;
}
