import { onceFor } from '../document/once';
import type { Scale } from '../document/scale';
import type { Rounding } from '../document/scaleBounds';
import { stepName } from './names';

/** The two ends of the viewport range. */
export type End = 'small' | 'large';
export const ENDS = ['small', 'large'] as const;
export const otherEnd = (end: End): End => (end === 'small' ? 'large' : 'small');

/** A step of the scale: its size in CSS px at the small and the large end of the viewport range. */
export interface Step {
  /** Steps above the base, negative below it; half for one added between two. */
  number: number;
  /** The name in custom properties and tokens, by the scale's naming scheme. */
  name: string;
  small: number;
  large: number;
  /** Which ends were set by hand. */
  setByHand: Record<End, boolean>;
}

const GRAIN: Record<Exclude<Rounding, 'none'>, number> = { half: 0.5, whole: 1, even: 2 };

/** Rounds a size in CSS px to the grain chosen. */
export function roundSize(size: number, rounding: Rounding): number {
  if (rounding === 'none') return size;
  const grain = GRAIN[rounding];
  return Math.round(size / grain) * grain;
}

/** `base × ratio^n`, in the unit of the base. */
export const modularSize = (base: number, ratio: number, n: number): number => base * ratio ** n;

/** Numbers of all steps, from the lowest to the highest. */
export function stepNumbers({ down, up, added = [] }: Scale): number[] {
  const whole = Array.from({ length: down + up + 1 }, (_, i) => i - down);
  return [...whole, ...added].sort((a, b) => a - b);
}

/** The series that a whole step belongs to at an end: base, ratio, and the step's place in it. */
export function seriesAt(
  { display, ...scale }: Scale,
  number: number,
  end: End,
): { base: number; ratio: number; place: number } {
  return display && number >= display.from
    ? { ...display[end], place: number - display.from }
    : { base: scale[end].base, ratio: scale[end].ratio, place: number };
}

/**
 * The size that base and ratio give a step at an end, before rounding, CSS px. An added step is the
 * geometric mean of the two that it stands between.
 */
export function rawSize(scale: Scale, number: number, end: End): number {
  if (!Number.isInteger(number)) {
    return Math.sqrt(rawSize(scale, number - 0.5, end) * rawSize(scale, number + 0.5, end));
  }
  const { base, ratio, place } = seriesAt(scale, number, end);
  return modularSize(base, ratio, place);
}

/** A size within what the scale allows, CSS px. */
const within = (size: number, { floor = 0, ceiling = Infinity }: Scale): number =>
  Math.min(ceiling, Math.max(floor, size));

/** All steps of a scale, in the order of their numbers. */
export const stepsOf = onceFor((scale: Scale): readonly Step[] =>
  stepNumbers(scale).map((number) => {
    const override = scale.overrides[String(number)] ?? {};
    const at = (end: End): number =>
      override[end] ?? within(roundSize(rawSize(scale, number, end), scale.rounding), scale);
    return {
      number,
      name: stepName(scale, number),
      small: at('small'),
      large: at('large'),
      setByHand: { small: override.small !== undefined, large: override.large !== undefined },
    };
  }),
);

/** The step of that number; styles are checked to name only steps that the scale has. */
export function stepByNumber(scale: Scale, number: number): Step {
  const step = stepsOf(scale).find((candidate) => candidate.number === number);
  if (!step) throw new RangeError(`The scale has no step ${number}`);
  return step;
}
