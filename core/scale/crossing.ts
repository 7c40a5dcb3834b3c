import type { Scale } from '../document/scale';
import { ENDS, stepsOf, type End, type Step } from './steps';

/** Two neighbouring steps of which the higher is the smaller at an end. */
export interface Crossing {
  end: End;
  lower: Step;
  higher: Step;
}

/** Smaller by less is no more than the sums of decimals are off by, CSS px. */
const SLACK = 1e-6;

/** Where the order of steps turns round. Steps of one size do not cross. */
export function crossingsOf(scale: Scale): Crossing[] {
  const steps = stepsOf(scale);
  return ENDS.flatMap((end) =>
    steps.flatMap((higher, i) => {
      const lower = steps[i - 1];
      return lower && higher[end] < lower[end] - SLACK ? [{ end, lower, higher }] : [];
    }),
  );
}
