/** How often each word stands in a text. */
export type WordCounts = Map<string, number>;

/** Running text in two halves: one to tune a fallback on, the other to judge it by. */
export interface TuningText {
  tuning: WordCounts;
  heldOut: WordCounts;
  /** Characters in each half, without spaces. */
  characters: { tuning: number; heldOut: number };
}

const countWords = (sentences: string[]): WordCounts => {
  const counts: WordCounts = new Map();
  for (const word of sentences.join(' ').split(/\s+/)) {
    if (word) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  return counts;
};

const charactersIn = (counts: WordCounts): number =>
  [...counts].reduce((sum, [word, count]) => sum + word.length * count, 0);

/**
 * Splits running text by sentences, the odd ones to tune on and the even ones held out, so that a
 * figure is never reported on the text that it was made from.
 */
export function splitTuningText(text: string): TuningText {
  const sentences = text.split(/(?<=[.!?:;])\s+|\n+/).filter((sentence) => sentence.trim());
  const tuning = countWords(sentences.filter((_, i) => i % 2 === 0));
  const heldOut = countWords(sentences.filter((_, i) => i % 2 === 1));
  return {
    tuning,
    heldOut,
    characters: { tuning: charactersIn(tuning), heldOut: charactersIn(heldOut) },
  };
}
