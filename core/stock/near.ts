/** Sizes nearer than this share of one another are meant for one: a step of a scale is told apart from 4 % on. */
const SIZE_SHARE = 0.025;
/** At small sizes half a px is no more than rounding. */
const SIZE_PX = 0.5;
const WEIGHT = 30;

/** Whether two sizes are meant for one. CSS px. */
export const nearSize = (a: number, b: number): boolean =>
  Math.abs(a - b) <= Math.max(SIZE_PX, SIZE_SHARE * Math.max(a, b));

/** Whether two weights are meant for one. */
export const nearWeight = (a: number, b: number): boolean => Math.abs(a - b) <= WEIGHT;
