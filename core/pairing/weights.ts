/**
 * What counts how much in the order of partners: the one table of weights, each with its reason. Ours, set
 * from principle and tuned on the first half of `testing/knownPairs.ts`; the second is kept to judge by.
 */
export const PAIR_WEIGHTS = {
  /** Two kinds of letter give the plainest reason for two families. */
  kind: 2.4,
  /** Swelling beside even strokes is seen from afar. */
  contrast: 0.05,
  /** A darker or lighter heading stands off by itself. */
  colour: 0.2,
  /** So does a narrow or a wide one. */
  width: 0.05,
  /** A leaning heading is a voice of its own, yet seldom wanted. */
  slope: 0.1,
  /** Sizes that look the same at the same figure sit on one page without correction. */
  xHeight: 0.5,
  /** The same share of lower case to capitals, for words that hold both. */
  proportion: 0.4,
  /** Bowls of one shape: round with round, square with square. */
  squareness: 0.75,
  /** Letters that open alike. */
  aperture: 0.05,
  /** Drawn to go together. */
  superfamily: 1.85,
  /** What a caveat against it as text costs. */
  textFitness: 1.1,
  /** Each of regular, bold and italic that text would have to be faked from, and letters that lack. */
  onOffer: 0.05,
  /** Headings need a weight to stand out in, or a cut made for size. */
  headingFitness: 0.5,
  /** A heading that stands out from others of its kind has something to say. */
  character: 0.65,
  /** One that is loud tires on every page: it is for those who seek it, and not the first for all. */
  loudness: 0.4,
  /** Text that stands out is noticed, where it should be read. */
  quietness: 0.2,
  /** Closed letters hold together at size; open ones are made to be told apart small. */
  closedness: 0.5,
  /** Its maker calls a cut for display, or for text, and means it. */
  cutName: 0.3,
  /** Two that could be taken for one another look like a mistake. */
  tooAlike: 2.8,
  /** Two with nothing in common look like two sites. */
  tooFar: 0.2,
} as const;

export type PairTerm = keyof typeof PAIR_WEIGHTS;
