import { type LocalAdvances, SPACE } from './advances';
import type { WordCounts } from './tuningText';

/**
 * Words as tuning sees them: how wide each is in the web face, and of which letters of the local font it
 * is made. Everything is divided by the word's width in the web face, so that a word that fits is 1.
 * Flat arrays, since a tuning goes over them some thousand times.
 */
export interface WordModel {
  /** The characters, by the index that letters go by. */
  characters: readonly string[];
  /** How many words there are, and where the letters of each begin; one more than words. */
  count: number;
  starts: Int32Array;
  /** Share of each word in the text; the sum is 1. */
  shares: Float64Array;
  /** Width of each word in the web face, em. */
  widths: Float64Array;
  /** Of each letter of each word: its character, its advance, and what it adds with the next. */
  letters: Int32Array;
  advances: Float64Array;
  pairs: Float64Array;
  /** How much of the words' widths each character makes up, by its advance in the local font. */
  weights: Float64Array;
}

/** Each character also counts for itself by this share: what is rare in the text still keeps its own width. */
const ALONE = 0.00005;

/** Words of more characters are no words: an address, a row of dashes. */
const LONGEST_WORD = 60;

/** A model of the words that both faces can set, or null where there are none. */
export function wordModel(
  words: WordCounts,
  webWidth: (word: string) => number | null,
  local: LocalAdvances,
): WordModel | null {
  const index = new Map<string, number>();
  const indexOf = (character: string): number => {
    const known = index.get(character);
    if (known !== undefined) return known;
    index.set(character, index.size);
    return index.size - 1;
  };
  const starts = [0];
  const shares: number[] = [];
  const widths: number[] = [];
  const letters: number[] = [];
  const advances: number[] = [];
  const pairs: number[] = [];
  const add = (word: string, share: number): void => {
    const characters = [...word];
    if (characters.length > LONGEST_WORD) return;
    const width = webWidth(word);
    // A face of marks that take no room has no width to fit.
    if (!width || characters.some((one) => !local.advances[one])) return;
    characters.forEach((character, i) => {
      letters.push(indexOf(character));
      advances.push((local.advances[character] ?? 0) / width);
      pairs.push((local.pairs[character + (characters[i + 1] ?? '')] ?? 0) / width);
    });
    shares.push(share);
    widths.push(width);
    starts.push(letters.length);
  };
  for (const [word, count] of words) add(word, count);
  if (shares.length === 0) return null;
  const total = shares.reduce((sum, share) => sum + share, 0);
  const found = [...index.keys()].filter((character) => character !== SPACE);
  for (const character of found) add(character, total * ALONE);
  const all = shares.reduce((sum, share) => sum + share, 0);
  const weights = new Float64Array(index.size);
  shares.forEach((share, word) => {
    for (let i = starts[word] ?? 0; i < (starts[word + 1] ?? 0); i++) {
      const letter = letters[i] ?? 0;
      weights[letter] = (weights[letter] ?? 0) + (share / all) * (advances[i] ?? 0);
    }
  });
  return {
    weights,
    characters: [...index.keys()],
    count: shares.length,
    starts: Int32Array.from(starts),
    shares: Float64Array.from(shares, (share) => share / all),
    widths: Float64Array.from(widths),
    letters: Int32Array.from(letters),
    advances: Float64Array.from(advances),
    pairs: Float64Array.from(pairs),
  };
}

/** Which group each character is in, and the ratio of each group. */
export interface Grouping {
  groups: Int32Array;
  ratios: Float64Array;
}

/** The width of a word in the fallback ÷ that in the web face. Letters of two groups do not kern. */
export function fittedWidth(model: WordModel, { groups, ratios }: Grouping, word: number): number {
  const { starts, letters, advances, pairs } = model;
  const end = starts[word + 1] ?? 0;
  let sum = 0;
  let group = groups[letters[starts[word] ?? 0] ?? 0] ?? 0;
  for (let i = starts[word] ?? 0; i < end; i++) {
    const next = i + 1 < end ? (groups[letters[i + 1] ?? 0] ?? 0) : -1;
    const ratio = ratios[group] ?? 1;
    sum += ratio * (advances[i] ?? 0);
    if (next === group) sum += ratio * (pairs[i] ?? 0);
    group = next;
  }
  return sum;
}

/** The mean error of a word's width, each word as often as it occurs. */
export function meanWordError(model: WordModel, grouping: Grouping): number {
  let sum = 0;
  for (let word = 0; word < model.count; word++) {
    sum += (model.shares[word] ?? 0) * Math.abs(fittedWidth(model, grouping, word) - 1);
  }
  return sum;
}
