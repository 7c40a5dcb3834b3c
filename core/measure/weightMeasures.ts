import type { FaceMeasures } from './measureFace';

/** Measures that change with the weight of a face. */
export const CHANGING = [
  'xHeight',
  'width',
  'stem',
  'thin',
  'thick',
  'contrast',
  'colour',
] as const;

/** What changes with weight, measured on a family's upright at one weight. */
export interface WeightMeasures extends Pick<FaceMeasures, (typeof CHANGING)[number]> {
  weight: number;
}

/** What changes with weight, of all that was measured at one. */
export const weightMeasuresOf = (measures: FaceMeasures, weight: number): WeightMeasures => ({
  weight,
  ...(Object.fromEntries(CHANGING.map((key) => [key, measures[key]])) as Omit<
    WeightMeasures,
    'weight'
  >),
});
