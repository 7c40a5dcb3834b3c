import type { FaceMeasures } from './measureFace';

/** A part that a family may play on a site. */
export type TextPart = 'running' | 'short' | 'headings' | 'code';

/** What is asked of a face in a part: a measure of it, at the size it is used at, between two ends. */
export interface FitnessLimit {
  /** The value judged; null leaves the face unjudged in it. */
  value: (measures: FaceMeasures, size: number) => number | null;
  /** Between these it is fit. */
  fit: [least: number, most: number];
  /** Between these and the former a caveat; beyond, unfit. */
  bearable: [least: number, most: number];
  /** What is said of too little and of too much. */
  low: (value: number, size: number) => string;
  high: (value: number, size: number) => string;
}

const em = (value: number): string => `${value.toFixed(2)} em`;
const px = (value: number): string => `${value.toFixed(2)} px`;
const at = (size: number): string => `${Number(size.toFixed(1))} px`;
const ANY = Infinity;

type Ends = Pick<FitnessLimit, 'fit' | 'bearable'>;

const xHeight = (ends: Ends): FitnessLimit => ({
  ...ends,
  value: ({ lowerCase, xHeight: value }) => (lowerCase === 'own' ? value : null),
  low: (value) => `a small x-height, ${em(value)}: it reads smaller than its size`,
  high: (value) => `a large x-height, ${em(value)}: words lose their outline`,
});
const colour = (ends: Ends): FitnessLimit => ({
  ...ends,
  value: (measures) => measures.colour,
  low: (value) => `light strokes, ${value.toFixed(2)} of the x-height: they grey out`,
  high: (value) => `heavy strokes, ${value.toFixed(2)} of the x-height: they fill in`,
});
const width = (ends: Ends): FitnessLimit => ({
  ...ends,
  value: ({ monospaced, width: value }) => (monospaced ? null : value),
  low: (value) => `condensed, letters ${value.toFixed(2)} x-heights wide`,
  high: (value) => `wide, letters ${value.toFixed(2)} x-heights wide`,
});
/** Thickness × size, since that is what vanishes; contrast alone does not tell. */
export const hairline = ([fit, bearable]: [number, number]): FitnessLimit => ({
  fit: [fit, ANY],
  bearable: [bearable, ANY],
  value: ({ thin }, size) => (thin === null ? null : thin * size),
  low: (value, size) => `thin strokes of ${px(value)} at ${at(size)}: they break up`,
  high: () => '',
});
const slope = (fit: number, bearable: number): FitnessLimit => ({
  fit: [-fit, fit],
  bearable: [-bearable, bearable],
  value: (measures) => measures.slope,
  low: (value) => `leans backward by ${Math.abs(value).toFixed(0)}°`,
  high: (value) => `leans by ${value.toFixed(0)}°, as an italic does`,
});

/**
 * What each part asks: the one table of limits, ours, held to faces whose use is well known. Each limit
 * lies in a gap of the library; the nearest faces on either side are named.
 */
export const FITNESS_LIMITS: Record<Exclude<TextPart, 'code'>, readonly FitnessLimit[]> = {
  running: [
    // EB Garamond 0.41 is a text face, Caveat 0.36 is none; Libre Franklin 0.53 is, Anton 0.73 is none.
    xHeight({ fit: [0.4, 0.6], bearable: [0.37, 0.66] }),
    // Manrope 0.137 carries text; Chivo 0.195 does, League Spartan 0.214 with care, Krona One 0.251 not.
    colour({ fit: [0.13, 0.21], bearable: [0.11, 0.25] }),
    // Libre Caslon 0.98 and Archivo 0.92 carry text, Barlow Condensed 0.74 tires; Sorts Mill Goudy 1.11
    // does, Unbounded 1.19 is for signs.
    width({ fit: [0.86, 1.13], bearable: [0.8, 1.16] }),
    // At 17 px: Lora 0.66 holds, EB Garamond 0.46 with care, Bodoni Moda 0.33 breaks up on a phone.
    hairline([0.6, 0.4]),
    slope(4, 8),
  ],
  short: [
    // Small sizes ask for more x-height, few words forgive most else.
    xHeight({ fit: [0.42, 0.76], bearable: [0.34, 0.9] }),
    colour({ fit: [0.13, 0.25], bearable: [0.1, 0.34] }),
    // Barlow Condensed 0.74 captions and labels well, Anton 0.61 at a size; Krona One 1.26 takes room.
    width({ fit: [0.7, 1.2], bearable: [0.56, 1.32] }),
    hairline([0.55, 0.33]),
    slope(8, 20),
  ],
  headings: [
    xHeight({ fit: [0.36, 0.8], bearable: [0.28, 0.9] }),
    // Large, a light face is a choice; a hairline one is none.
    colour({ fit: [0.1, ANY], bearable: [0.05, ANY] }),
    width({ fit: [0.5, 1.4], bearable: [0.4, 1.6] }),
    hairline([0.45, 0.25]),
    slope(20, 30),
  ],
};
