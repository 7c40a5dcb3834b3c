import type { FaceMeasures } from '../measure/measureFace';
import type { TextUse } from '../style/textUse';
import { distanceBetween, spreadOf, type Spread } from './lookAlikes';
import type { Partner } from './partner';
import { genusOf, seatIn, type Kind, type Seated } from './seated';

export type Compared =
  'contrast' | 'colour' | 'width' | 'slope' | 'xHeight' | 'proportion' | 'squareness' | 'aperture';

/** A measure that two faces are compared in. */
interface Comparison {
  /** Its value, on a scale where equal steps look equally different; null for a face that has none. */
  value: (measures: FaceMeasures) => number | null;
  /**
   * Two that differ by no more are called alike, and count as alike: the limit of what a reader takes for the
   * same, ours. A ratio is written as its logarithm.
   */
  alike: number;
}

export const COMPARED: Record<Compared, Comparison> = {
  // 1.3 and 1.6 to 1 are both low contrast; 1.4 and 2.7 are a grotesque and a serif.
  contrast: { value: ({ contrast }) => log(contrast), alike: Math.log(1.25) },
  // Neighbouring weights of one family, 400 and 500, lie about 15 % apart and are told apart.
  colour: { value: ({ colour }) => log(colour), alike: Math.log(1.1) },
  width: { value: ({ width }) => log(width), alike: Math.log(1.05) },
  slope: { value: ({ slope }) => slope, alike: 1 },
  // 4 % of an x-height is a third of a px at 17 px, which a screen of two dots a px can just show.
  xHeight: { value: ({ xHeight }) => log(xHeight), alike: Math.log(1.04) },
  proportion: {
    value: ({ xHeight, capHeight }) => (xHeight && capHeight ? log(xHeight / capHeight) : null),
    alike: Math.log(1.04),
  },
  squareness: { value: ({ squareness }) => squareness, alike: 0.06 },
  aperture: { value: ({ aperture }) => aperture, alike: 0.05 },
};

function log(value: number | null): number | null {
  return value === null || value <= 0 ? null : Math.log(value);
}

/** The middle and the 90th percentile of a measure over a library. */
export interface Range {
  middle: number;
  far: number;
}

/** The middle of a genus of faces. */
export interface Middle {
  face: FaceMeasures;
  /** The median distance of their apertures from its own. */
  apertures: number;
}

/** How far apart the families of a library lie, which every pair is judged against. */
export interface PairScale {
  /** How the site sets what is paired. */
  use: TextUse;
  /** The 90th percentile of differences between a heading and a text as they are set, a measure each. */
  far: Record<Compared, number>;
  /** The 10th percentile of distances between two families at their regular: closer is too alike. */
  alike: number;
  /** Distances between two families of one kind, at their regular. */
  ofOneKind: Range;
  /** The face that stands in the middle of each genus, and how far apertures lie from the middle one's. */
  middles: ReadonlyMap<Kind, Middle>;
  /** Distances of families from the middle of their kind. */
  fromMiddle: Range;
  spread: Spread;
}

/** Families that differences are taken between: enough for percentiles, few enough for 2,000. */
const SAMPLE = 120;
/** A kind with fewer faces has no middle of its own: its faces are held against the whole library. */
const LEAST_OF_A_KIND = 3;

const percentile = (values: readonly number[], part: number): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.round(part * (sorted.length - 1))] ?? 0;
};

const rangeOf = (values: readonly number[]): Range => ({
  middle: percentile(values, 0.5) || 1,
  far: percentile(values, 0.9) || 1,
});

/** An even sample of the measured families, the same for the same library in any order. */
function sampleOf(library: readonly Partner[]): Partner[] {
  const measured = library
    .filter(({ measures }) => measures)
    .sort((a, b) => (a.key < b.key ? -1 : 1));
  const step = Math.max(1, measured.length / SAMPLE);
  const picked: Partner[] = [];
  for (let at = 0; at < measured.length; at += step) {
    const one = measured[Math.floor(at)];
    if (one) picked.push(one);
  }
  return picked;
}

/** A face with the middle value of every measure of several. */
function middleFace(faces: readonly FaceMeasures[]): FaceMeasures | undefined {
  const [first] = faces;
  if (!first) return undefined;
  const middle = Object.entries(first).map(([key, value]) => {
    const values = faces
      .map((face) => face[key as keyof FaceMeasures])
      .filter((one) => typeof one === 'number');
    return [key, values.length > 0 ? percentile(values, 0.5) : value];
  });
  return Object.fromEntries(middle) as FaceMeasures;
}

function middleOf(faces: readonly FaceMeasures[]): Middle | undefined {
  const face = middleFace(faces);
  const apart = faces.flatMap(({ aperture }) =>
    aperture === null ? [] : [Math.abs(aperture - (face?.aperture ?? 0))],
  );
  return face && { face, apertures: percentile(apart, 0.5) };
}

function middlesOf(seats: readonly Seated[]): Map<Kind, Middle> {
  const middles = new Map<Kind, Middle>();
  const whole = middleOf(seats.map(({ regular }) => regular));
  for (const genus of new Set(seats.map(({ kind }) => genusOf(kind)))) {
    const own = seats.filter(({ kind }) => genusOf(kind) === genus).map(({ regular }) => regular);
    const middle = own.length < LEAST_OF_A_KIND ? whole : middleOf(own);
    if (middle) middles.set(genus, middle);
  }
  return middles;
}

/** The scale that the pairs of a library are judged on, as a site sets them. */
export function pairScaleOf(library: readonly Partner[], use: TextUse): PairScale {
  const sample = sampleOf(library);
  const seats = (role: 'heading' | 'text') =>
    sample.flatMap((partner) => seatIn(partner, role, use) ?? []);
  const [headings, texts] = [seats('heading'), seats('text')];
  const spread = spreadOf(texts.map(({ regular }) => regular));
  const pairs = texts.flatMap((one, i) =>
    texts.slice(i + 1).map((other) => ({
      ofOneKind: one.kind === other.kind,
      distance: distanceBetween(one.regular, other.regular, spread),
    })),
  );
  const middles = middlesOf(texts);
  const fromMiddle = texts.flatMap(({ kind, regular }) => {
    const middle = middles.get(genusOf(kind));
    return middle ? [distanceBetween(regular, middle.face, spread)] : [];
  });
  const far = (key: Compared): number =>
    percentile(
      headings.flatMap((heading) =>
        texts.flatMap((text) => differenceIn(heading, text, key) ?? []),
      ),
      0.9,
    );
  return {
    use,
    far: Object.fromEntries(
      (Object.keys(COMPARED) as Compared[]).map((key) => [key, far(key) || 1]),
    ) as Record<Compared, number>,
    alike: percentile(
      pairs.map(({ distance }) => distance),
      0.1,
    ),
    ofOneKind: rangeOf(pairs.filter(({ ofOneKind }) => ofOneKind).map(({ distance }) => distance)),
    middles,
    fromMiddle: rangeOf(fromMiddle),
    spread,
  };
}

/** How far a heading and a text differ in a measure, as they are set; null where it is not known. */
export function differenceIn(heading: Seated, text: Seated, key: Compared): number | null {
  if (heading.partner.key === text.partner.key) return null;
  const { value } = COMPARED[key];
  const [a, b] = [value(heading.face), value(text.face)];
  return a === null || b === null ? null : Math.abs(a - b);
}

/** From this part of the library's 90th percentile two differ to be named. */
const DIFFERENT_FROM = 0.5;

/**
 * How alike a heading and a text are in a measure, as they are set: 1 the same, 0 from the limit of what is
 * called alike up to half of what is far in the library, down to -1 for what is far. Null where unknown.
 */
export function likenessIn(
  heading: Seated,
  text: Seated,
  key: Compared,
  { far }: PairScale,
): number | null {
  const by = differenceIn(heading, text, key);
  if (by === null) return null;
  const { alike } = COMPARED[key];
  if (by <= alike) return 1 - by / alike;
  const different = Math.max(alike, far[key] * DIFFERENT_FROM);
  if (by <= different) return 0;
  return -Math.min(1, (by - different) / Math.max(far[key] - different, 1e-6));
}
