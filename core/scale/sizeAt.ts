import type { Scale } from '../document/scale';
import { fluidCss, fluidSizeAt, remCss, type FluidSize } from './fluid';
import { stepByNumber, type Step } from './steps';

/** A step as a size that runs over the scale's range of widths. */
const fluidStep = (scale: Scale, { small, large }: Step): FluidSize => ({
  small,
  large,
  smallWidth: scale.small.width,
  largeWidth: scale.large.width,
});

/** The viewport width at which plain sizes change, CSS px. */
export const changeWidth = ({ changeAt, small, large }: Scale): number =>
  changeAt ?? Math.round((small.width + large.width) / 2);

/** The size of a step in CSS px at a width in CSS px: of the viewport, or of the container it follows. */
export function sizeAt(scale: Scale, step: Step, width: number): number {
  if (scale.between === 'media') return width < changeWidth(scale) ? step.small : step.large;
  return fluidSizeAt(fluidStep(scale, step), width);
}

/** The size of the step of that number, as `sizeAt`. */
export const stepSizeAt = (scale: Scale, number: number, width: number): number =>
  sizeAt(scale, stepByNumber(scale, number), width);

/** Widths between which a size can only run straight, from least to most. */
export const bendsOf = (scale: Scale): number[] =>
  scale.between === 'media' ? [changeWidth(scale)] : [scale.small.width, scale.large.width];

/**
 * How a step is written in CSS: its value, and the other value that it takes from the change on, where
 * plain sizes change at one width.
 */
export function stepCss(scale: Scale, step: Step): { value: string; from: string | null } {
  if (scale.between === 'media') {
    return {
      value: remCss(step.small, scale.root),
      from: step.small === step.large ? null : remCss(step.large, scale.root),
    };
  }
  const unit = scale.between === 'container' ? 'cqi' : 'vw';
  return { value: fluidCss(fluidStep(scale, step), unit, scale.root), from: null };
}
