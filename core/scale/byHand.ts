import type { Patch } from '../document/patch';
import type { Scale } from '../document/scale';
import { SCALE_BOUNDS } from '../document/scaleBounds';
import { type End, otherEnd, roundSize, seriesAt, stepByNumber, stepsOf } from './steps';

/** The change that sets a step by hand at an end, in CSS px. */
export function setByHandPatch(scale: Scale, number: number, end: End, size: number): Patch {
  const current = scale.overrides[String(number)];
  return [{ op: 'add', path: `/scale/overrides/${number}`, value: { ...current, [end]: size } }];
}

/** The change that gives a step back to base and ratio at an end; none when it was not set by hand. */
export function giveBackPatch(scale: Scale, number: number, end: End): Patch {
  const current = scale.overrides[String(number)];
  if (current?.[end] === undefined) return [];
  const path = `/scale/overrides/${number}`;
  return current[otherEnd(end)] === undefined
    ? [{ op: 'remove', path }]
    : [{ op: 'remove', path: `${path}/${end}` }];
}

const within = (value: number, [least, most]: readonly [number, number]): number =>
  Math.min(most, Math.max(least, value));

const rounded = (value: number, places: number): number => Number(value.toFixed(places));

/** Sizes that a step may have at an end without passing its neighbours, CSS px. */
function roomOf(scale: Scale, number: number, end: End): [number, number] {
  if (scale.crossing) return [...SCALE_BOUNDS.size];
  const steps = stepsOf(scale);
  const at = steps.findIndex((step) => step.number === number);
  return [
    steps[at - 1]?.[end] ?? SCALE_BOUNDS.size[0],
    steps[at + 1]?.[end] ?? SCALE_BOUNDS.size[1],
  ];
}

/**
 * The change that moves a step's end to a size, CSS px: the base, when the step is one; otherwise the
 * ratio, so that all steps of its series move with it; or the step alone. What has been set by hand, and
 * what was added between two, moves alone in any case, up to its neighbours.
 *
 * @param alone whether the step is to move by itself, and so be set by hand
 */
export function moveEndPatch(
  scale: Scale,
  number: number,
  end: End,
  size: number,
  alone: boolean,
): Patch {
  const step = stepByNumber(scale, number);
  const { base, place } = seriesAt(scale, number, end);
  if (alone || step.setByHand[end] || !Number.isInteger(number)) {
    const free = rounded(roundSize(size, scale.rounding), 1);
    return setByHandPatch(scale, number, end, within(free, roomOf(scale, number, end)));
  }
  const inDisplay = scale.display !== undefined && number >= scale.display.from;
  const path = `/scale/${inDisplay ? 'display/' : ''}${end}`;
  if (place === 0) {
    const bounds = inDisplay ? SCALE_BOUNDS.displayBase : SCALE_BOUNDS.base;
    return [{ op: 'replace', path: `${path}/base`, value: within(rounded(size, 1), bounds) }];
  }
  const ratio = (Math.max(size, 0.1) / base) ** (1 / place);
  return [
    { op: 'replace', path: `${path}/ratio`, value: within(rounded(ratio, 3), SCALE_BOUNDS.ratio) },
  ];
}
