/**
 * What is read of a local font in one of its styles: as much as tuning needs, and no more. Lengths in em.
 */
export interface LocalAdvances {
  /** The advance of each character, the space's among them; characters that it lacks are left out. */
  advances: Readonly<Record<string, number>>;
  /** What two characters side by side measure beyond the sum of their advances: kerning and ligatures. */
  pairs: Readonly<Record<string, number>>;
  /** Stem ÷ x-height (§2 of the measures); null where it was not measured. */
  colour: number | null;
  /** Its own line metrics, em; `descent` is negative. Null where they are not known. */
  lines: { ascent: number; descent: number; lineGap: number } | null;
}

/** What can be asked how wide it sets a run of text, in em; null where it lacks a character. */
export interface SetsText {
  advance(text: string): number | null;
}

export const SPACE = ' ';

/** Differences under this are the rounding of font units, em. */
const LEAST_PAIR = 0.0004;

/** The characters of a text, and the pairs that they stand in, each once. */
export function charactersAndPairs(words: Iterable<string>): {
  characters: string[];
  pairs: string[];
} {
  const characters = new Set<string>([SPACE]);
  const pairs = new Set<string>();
  for (const word of words) {
    let before = '';
    for (const character of word) {
      characters.add(character);
      if (before) pairs.add(before + character);
      before = character;
    }
  }
  return { characters: [...characters].sort(), pairs: [...pairs].sort() };
}

/** Reads the advances of characters, and what pairs add to them, from a font that sets them. */
export function readAdvances(
  font: SetsText,
  words: Iterable<string>,
): Pick<LocalAdvances, 'advances' | 'pairs'> {
  const wanted = charactersAndPairs(words);
  const advances: Record<string, number> = {};
  for (const character of wanted.characters) {
    const advance = font.advance(character);
    if (advance !== null) advances[character] = advance;
  }
  const pairs: Record<string, number> = {};
  for (const pair of wanted.pairs) {
    const [first = '', second = ''] = pair;
    const [a, b] = [advances[first], advances[second]];
    const together = a === undefined || b === undefined ? null : font.advance(pair);
    if (together === null || a === undefined || b === undefined) continue;
    const more = together - a - b;
    if (Math.abs(more) >= LEAST_PAIR) pairs[pair] = more;
  }
  return { advances, pairs };
}
