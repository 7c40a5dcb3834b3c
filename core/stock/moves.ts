/** How far texts move, reckoned or measured. */
export interface Moves {
  /** Texts of which anything moves that is seen: a tenth of a px, a step of 10 in weight, upright or not. */
  texts: number;
  of: number;
  /** The most that a size moves at either end, CSS px, and the mean over the text. */
  most: number;
  mean: number;
  /** The most that a weight moves. */
  weight: number;
  /** Texts that become upright or slanted where they were not. */
  turned: number;
}

/** One text, before and after. */
export interface MovedText {
  characters: number;
  /** How far its size moves at the end where it moves most, CSS px. */
  size: number;
  /** How far its weight moves. */
  weight: number;
  /** Whether it becomes upright or slanted where it was not. */
  turned: boolean;
}

/** Moves of less are not seen. */
const SEEN = { size: 0.1, weight: 10 };

/** Of many: more than can be given to `Math.max` at once. */
const mostOf = (texts: readonly MovedText[], by: 'size' | 'weight'): number =>
  texts.reduce((most, one) => Math.max(most, one[by]), 0);

/** How far several texts move together. */
export function movesTogether(texts: readonly MovedText[]): Moves {
  const characters = texts.reduce((sum, one) => sum + one.characters, 0);
  const isSeen = ({ size, weight, turned }: MovedText) =>
    size >= SEEN.size || weight >= SEEN.weight || turned;
  return {
    texts: texts.filter(isSeen).length,
    of: texts.length,
    most: mostOf(texts, 'size'),
    mean:
      characters === 0
        ? 0
        : texts.reduce((sum, one) => sum + one.size * one.characters, 0) / characters,
    weight: mostOf(texts, 'weight'),
    turned: texts.filter(({ turned }) => turned).length,
  };
}
