import type { FaceMeasures } from '../measure/measureFace';
import { distanceBetween, spreadOf, type Spread } from './lookAlikes';
import type { Partner } from './partner';

/** Measures that two faces are compared in, on a scale where equal steps look equally different. */
export const COMPARED = {
  contrast: ({ contrast }: FaceMeasures) => log(contrast),
  colour: ({ colour }: FaceMeasures) => colour,
  width: ({ width }: FaceMeasures) => log(width),
  slope: ({ slope }: FaceMeasures) => slope,
  xHeight: ({ xHeight }: FaceMeasures) => log(xHeight),
  proportion: ({ xHeight, capHeight }: FaceMeasures) =>
    xHeight && capHeight ? log(xHeight / capHeight) : null,
  squareness: ({ squareness }: FaceMeasures) => squareness,
  aperture: ({ aperture }: FaceMeasures) => aperture,
} satisfies Record<string, (measures: FaceMeasures) => number | null>;

export type Compared = keyof typeof COMPARED;

function log(value: number | null): number | null {
  return value === null || value <= 0 ? null : Math.log(value);
}

/** How far apart the families of a library lie, which every pair is judged against. */
export interface PairScale {
  /** The 90th percentile of differences between two families, a measure each. */
  far: Record<Compared, number>;
  /** The 10th percentile of distances between two families: closer is too alike. */
  alike: number;
  spread: Spread;
}

/** Families that differences are taken between: enough for percentiles, few enough for 2,000. */
const SAMPLE = 120;

const percentile = (values: number[], part: number): number => {
  const sorted = values.sort((a, b) => a - b);
  return sorted[Math.round(part * (sorted.length - 1))] ?? 0;
};

/** An even sample of the measured families, the same for the same library in any order. */
function sampleOf(library: readonly Partner[]): FaceMeasures[] {
  const measured = library
    .flatMap(({ key, measures }) => (measures ? [{ key, regular: measures.regular }] : []))
    .sort((a, b) => (a.key < b.key ? -1 : 1));
  const step = Math.max(1, measured.length / SAMPLE);
  const picked: FaceMeasures[] = [];
  for (let at = 0; at < measured.length; at += step) {
    const one = measured[Math.floor(at)];
    if (one) picked.push(one.regular);
  }
  return picked;
}

/** The scale that the pairs of a library are judged on. */
export function pairScaleOf(library: readonly Partner[]): PairScale {
  const sample = sampleOf(library);
  const spread = spreadOf(sample);
  const differences = Object.fromEntries(
    Object.keys(COMPARED).map((key) => [key, [] as number[]]),
  ) as Record<Compared, number[]>;
  const distances: number[] = [];
  sample.forEach((one, i) => {
    for (const other of sample.slice(i + 1)) {
      distances.push(distanceBetween(one, other, spread));
      for (const key of Object.keys(COMPARED) as Compared[]) {
        const [a, b] = [COMPARED[key](one), COMPARED[key](other)];
        if (a !== null && b !== null) differences[key].push(Math.abs(a - b));
      }
    }
  });
  return {
    far: Object.fromEntries(
      (Object.keys(COMPARED) as Compared[]).map((key) => [
        key,
        percentile(differences[key], 0.9) || 1,
      ]),
    ) as Record<Compared, number>,
    alike: percentile(distances, 0.1),
    spread,
  };
}
