import type { FamilyMeasures, ListedFace } from './family';
import type { FaceMeasures } from './measureFace';
import { CHANGING } from './weightMeasures';

/** A variable axis is measured at every such step; between two, a measure runs nearly straight. */
const STEP = 100;
const LIGHTEST = 200;

/** The weights that an upright face is measured at: its own, or the hundreds on its axis. */
export function weightsMeasured({ weightMin, weightMax }: ListedFace): number[] {
  const hundreds = Array.from({ length: 8 }, (_, i) => LIGHTEST + i * STEP);
  const within = hundreds.filter((weight) => weight >= weightMin && weight <= weightMax);
  return within.length > 0 ? within : [weightMin];
}

/**
 * The measures of a family's upright at a weight that it has: as measured there, or between the two
 * weights measured on either side. Beyond the last it is the last.
 */
export function measuresAt({ regular, weights }: FamilyMeasures, weight: number): FaceMeasures {
  const below = weights.filter((one) => one.weight <= weight).at(-1) ?? weights[0];
  const above = weights.find((one) => one.weight >= weight) ?? weights.at(-1);
  if (!below || !above) return regular;
  const apart = above.weight - below.weight;
  const part = apart === 0 ? 0 : (weight - below.weight) / apart;
  const between = Object.fromEntries(
    CHANGING.map((key) => {
      const [from, to] = [below[key], above[key]];
      return [key, from === null || to === null ? regular[key] : from + part * (to - from)];
    }),
  );
  return { ...regular, ...between };
}
