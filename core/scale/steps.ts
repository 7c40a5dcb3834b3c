import type { Rounding, Scale } from '../document/projectDocument';

/** A step of the scale: its size in CSS px at the small and the large end of the viewport range. */
export interface Step {
  /** Steps above the base, negative below it. */
  number: number;
  /** The name in custom properties: `base`, `up-2`, `down-1`. */
  name: string;
  small: number;
  large: number;
  /** Which ends were set by hand. */
  setByHand: { small: boolean; large: boolean };
}

/** The name of a step in custom properties and tokens. */
export function stepName(number: number): string {
  if (number === 0) return 'base';
  return number > 0 ? `up-${number}` : `down-${-number}`;
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

/** All steps of a scale, from the smallest to the largest. */
export function stepsOf(scale: Scale): Step[] {
  const steps: Step[] = [];
  for (let number = -scale.down; number <= scale.up; number++) {
    const override = scale.overrides[String(number)] ?? {};
    const at = (end: 'small' | 'large'): number =>
      override[end] ??
      roundSize(modularSize(scale[end].base, scale[end].ratio, number), scale.rounding);
    steps.push({
      number,
      name: stepName(number),
      small: at('small'),
      large: at('large'),
      setByHand: { small: override.small !== undefined, large: override.large !== undefined },
    });
  }
  return steps;
}
