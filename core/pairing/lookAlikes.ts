import type { FaceMeasures } from '../measure/measureFace';

/** A measure that likeness is judged by. */
interface Trait {
  key: string;
  /** Its value, on a scale where equal steps look equally different; null when the face has none. */
  value: (measures: FaceMeasures) => number | null;
  /** How much it says about a face's look. */
  weight: number;
  /** What a higher value is called, and a lower one. */
  more: string;
  less: string;
  /** How the difference is written, from both values. */
  figure: (own: number, other: number) => string;
}

const percent = (own: number, other: number): string => {
  const by = Math.abs(other / own - 1) * 100;
  return by >= 1 ? `by ${by.toFixed(0)} %` : `by ${by.toFixed(1)} %`;
};
const times = (own: number, other: number): string =>
  `${Math.exp(other).toFixed(1)} to ${Math.exp(own).toFixed(1)}`;
const degrees = (own: number, other: number): string => `by ${Math.abs(other - own).toFixed(1)}°`;
const hundredths = (own: number, other: number): string =>
  `${other.toFixed(2)} to ${own.toFixed(2)}`;

const log = (value: number | null): number | null =>
  value === null || value <= 0 ? null : Math.log(value);
const ratio = (a: number | null, b: number | null): number | null =>
  a === null || !b ? null : a / b;

/** Feet wider than this are serifs all the same: what counts is that there is one. */
const WIDEST_FOOT = 3;

/**
 * What makes faces look alike. Weights are ours: whether a face has serifs, how wide it runs and how its
 * strokes swell are seen first; its proportions and the shape of its bowls next.
 */
const TRAITS: readonly Trait[] = [
  {
    key: 'foot',
    value: ({ foot }) => (foot === null ? null : Math.min(foot, WIDEST_FOOT)),
    weight: 2,
    more: 'wider serifs',
    less: 'shorter serifs or none',
    figure: (own, other) => `${other.toFixed(1)} stems to ${own.toFixed(1)}`,
  },
  {
    key: 'width',
    value: ({ width }) => width,
    weight: 1.5,
    more: 'wider',
    less: 'narrower',
    figure: percent,
  },
  {
    key: 'contrast',
    value: ({ contrast }) => log(contrast),
    weight: 1.5,
    more: 'more contrast in its strokes',
    less: 'less contrast in its strokes',
    figure: times,
  },
  {
    key: 'colour',
    value: ({ colour }) => colour,
    weight: 1.2,
    more: 'heavier',
    less: 'lighter',
    figure: percent,
  },
  {
    key: 'xHeight',
    value: ({ xHeight, capHeight }) => ratio(xHeight, capHeight),
    weight: 1,
    more: 'larger lower case beside its capitals',
    less: 'smaller lower case beside its capitals',
    figure: percent,
  },
  {
    key: 'ascender',
    value: ({ ascender, xHeight }) => ratio(ascender, xHeight),
    weight: 0.5,
    more: 'taller ascenders',
    less: 'shorter ascenders',
    figure: percent,
  },
  {
    key: 'slope',
    value: ({ slope }) => slope,
    weight: 1,
    more: 'leans more',
    less: 'leans less',
    figure: degrees,
  },
  {
    key: 'squareness',
    value: ({ squareness }) => squareness,
    weight: 1,
    more: 'squarer bowls',
    less: 'rounder bowls',
    figure: hundredths,
  },
  {
    key: 'aperture',
    value: ({ aperture }) => aperture,
    weight: 0.8,
    more: 'more open letters',
    less: 'more closed letters',
    figure: hundredths,
  },
  {
    key: 'monospaced',
    value: ({ monospaced }) => Number(monospaced),
    weight: 1.5,
    more: 'every letter of one width',
    less: 'letters of their own widths',
    figure: () => '',
  },
  {
    key: 'capitals',
    value: ({ lowerCase }) => Number(lowerCase !== 'own'),
    weight: 1.5,
    more: 'capitals only',
    less: 'a lower case of its own',
    figure: () => '',
  },
];

/** How far the faces of a library lie apart in each trait: the middle half of them, from end to end. */
export type Spread = Readonly<Record<string, number>>;

/** From the first to the third quartile, which a few odd faces do not move. */
function quartileRange(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const rank = (part: number) => sorted[Math.round(part * (sorted.length - 1))] ?? 0;
  return rank(0.75) - rank(0.25);
}

/** The spread of a library in each trait that faces are compared by. */
export function spreadOf(library: readonly FaceMeasures[]): Spread {
  return Object.fromEntries(
    TRAITS.map(({ key, value }) => {
      const values = library.map(value).filter((one) => one !== null);
      return [key, quartileRange(values) || 1];
    }),
  );
}

/** Differences of less are not seen, in spreads. */
const SEEN = 0.35;

/** How far two faces are apart in a trait, in spreads of the library and weighted; null where neither has it. */
function apartIn(
  { key, value, weight }: Trait,
  own: FaceMeasures,
  other: FaceMeasures,
  spread: Spread,
): number | null {
  const [a, b] = [value(own), value(other)];
  if (a === null && b === null) return null;
  // What one has and the other has not is as far apart as two spreads.
  if (a === null || b === null) return 2 * weight;
  return (Math.abs(b - a) / (spread[key] ?? 1)) * weight;
}

/**
 * How unlike two faces are: the root of the summed squares of their differences, each in spreads of the
 * library and weighted. 0 is the same face.
 */
export function distanceBetween(own: FaceMeasures, other: FaceMeasures, spread: Spread): number {
  let squares = 0;
  for (const trait of TRAITS) squares += (apartIn(trait, own, other, spread) ?? 0) ** 2;
  return Math.sqrt(squares);
}

/** What is seen to differ between two faces, most first, in words about the other one. */
export const differencesBetween = (
  own: FaceMeasures,
  other: FaceMeasures,
  spread: Spread,
  most = TRAITS.length,
): string[] =>
  TRAITS.map((trait) => ({ trait, size: apartIn(trait, own, other, spread) ?? 0 }))
    .filter(({ size }) => size >= SEEN)
    .sort((a, b) => b.size - a.size)
    .flatMap(({ trait: { value, more, less, figure } }) => {
      const [a, b] = [value(own), value(other)];
      return a === null || b === null ? [] : [{ words: b > a ? more : less, figure, a, b }];
    })
    .slice(0, most)
    .map(({ words, figure, a, b }) => `${words} ${figure(a, b)}`.trim());

/** A face that looks like another, how far off it is, and in what. */
export interface LookAlike<K> {
  key: K;
  distance: number;
  differences: string[];
}

/** The faces that look most like a given one, nearest first; equal distances keep the order given. */
export function lookAlikes<K>(
  own: FaceMeasures,
  others: readonly { key: K; measures: FaceMeasures }[],
  spread: Spread,
  most = 8,
): LookAlike<K>[] {
  return others
    .map(({ key, measures }) => ({
      key,
      measures,
      distance: distanceBetween(own, measures, spread),
    }))
    .sort((a, b) => a.distance - b.distance)
    .slice(0, most)
    .map(({ key, measures, distance }) => ({
      key,
      distance,
      differences: differencesBetween(own, measures, spread),
    }));
}
