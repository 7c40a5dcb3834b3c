import { LETTER_FREQUENCY, LETTERS_A_WORD } from './letterFrequency';

/** The advance of a character, in any unit; null where the face lacks it. */
export type AdvanceOf = (character: string) => number | null;

/** Mean advance of the letters that a face has, each as often as it stands in text; null without any. */
export function meanLetterAdvance(advanceOf: AdvanceOf): number | null {
  let sum = 0;
  let weights = 0;
  for (const [letter, weight] of Object.entries(LETTER_FREQUENCY)) {
    const advance = advanceOf(letter);
    if (advance === null) continue;
    sum += weight * advance;
    weights += weight;
  }
  return weights === 0 ? null : sum / weights;
}

/** Mean advance of a character of running text, spaces counted, in the unit given. */
export function meanAdvance(advanceOf: AdvanceOf): number | null {
  const letters = meanLetterAdvance(advanceOf);
  if (letters === null) return null;
  return (LETTERS_A_WORD * letters + (advanceOf(' ') ?? 0)) / (LETTERS_A_WORD + 1);
}
