/**
 * What counts how much in the order of partners: the one table of weights, each with its reason. Ours, set
 * from principle, and judged by the pairs in `testing/knownPairs.ts`. Should they ever be tuned, it is on
 * the first half of those pairs; the second is kept to judge by.
 */
export const PAIR_WEIGHTS = {
  /** Two kinds of letter give the plainest reason for two families. */
  kind: 1.6,
  /** Swelling beside even strokes is seen from afar. */
  contrast: 0.9,
  /** A darker or lighter heading stands off by itself. */
  colour: 0.4,
  /** So does a narrow or a wide one. */
  width: 0.4,
  /** A leaning heading is a voice of its own, yet seldom wanted. */
  slope: 0.1,
  /** Sizes that look the same at the same figure sit on one page without correction. */
  xHeight: 0.7,
  /** The same share of lower case to capitals, for words that hold both. */
  proportion: 0.4,
  /** Bowls of one shape: round with round, square with square. */
  squareness: 0.5,
  /** Letters that open alike. */
  aperture: 0.4,
  /** Drawn to go together. */
  superfamily: 1.4,
  /** Text that cannot be read undoes any pairing. */
  textFitness: 3,
  /** Each of regular, bold and true italic that text would have to be faked from. */
  missingCut: 0.55,
  /** Headings need a weight to stand out in, or a cut made for size. */
  headingFitness: 0.8,
  /** Two that could be taken for one another look like a mistake. */
  tooAlike: 2.4,
  /** Two with nothing in common look like two sites. */
  tooFar: 1,
} as const;

export type PairTerm = keyof typeof PAIR_WEIGHTS;
