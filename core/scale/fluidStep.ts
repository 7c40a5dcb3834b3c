import type { Scale } from '../document/projectDocument';
import { fluidSizeAt, type FluidSize } from './fluid';
import { stepsOf, type Step } from './steps';

/** A step as a size that runs over the scale's viewport range. */
export const fluidStep = (scale: Scale, { small, large }: Step): FluidSize => ({
  small,
  large,
  smallWidth: scale.small.width,
  largeWidth: scale.large.width,
});

/** The step of that number; styles are checked to name only steps that the scale has. */
export function stepByNumber(scale: Scale, number: number): Step {
  const step = stepsOf(scale)[number + scale.down];
  if (!step) throw new RangeError(`The scale has no step ${number}`);
  return step;
}

/** The size of a step in CSS px at a viewport width in CSS px. */
export const stepSizeAt = (scale: Scale, number: number, width: number): number =>
  fluidSizeAt(fluidStep(scale, stepByNumber(scale, number)), width);
