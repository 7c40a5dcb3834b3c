import type { Outline } from '../font/outline';
import type { Shaper } from '../font/shape';
import { inkAcross, inkUpward, lengthOf } from './scan';

/** The foot of a letter's stroke, in stems. */
export interface Foot {
  /** Ink width at the baseline ÷ stem. */
  width: number;
  /** Height of the foot beside the stroke ÷ stem; 0 when there is no foot. */
  thickness: number;
}

/** Heights over the baseline at which the foot is looked at, em: hairline serifs are no thicker. */
const FOOT_LEVELS = [0.003, 0.006, 0.01, 0.014, 0.018];
/** A foot is wider than the stroke by this part of it on the side it is measured on. */
const BESIDE = 0.12;
/** Where its thickness is taken, from its end towards the stroke: a bracket thickens it further in. */
const TOWARDS_STROKE = 0.35;

function footOf(outline: Outline, xHeight: number, stem: number): Foot | null {
  const [stroke] = inkAcross(outline, xHeight / 2);
  if (!stroke) return null;
  const feet = FOOT_LEVELS.flatMap((y) => inkAcross(outline, y));
  if (feet.length === 0) return null;
  const left = Math.min(...feet.map(({ from }) => from));
  const right = Math.max(...feet.map(({ to }) => to));
  const sides = [
    { out: stroke.from - left, x: left + TOWARDS_STROKE * (stroke.from - left) },
    { out: right - stroke.to, x: right - TOWARDS_STROKE * (right - stroke.to) },
  ];
  const thicknesses = sides.flatMap(({ out, x }) => {
    const [lowest] = inkUpward(outline, x);
    return out > BESIDE * stem && lowest && lowest.from < stem ? [lengthOf(lowest) / stem] : [];
  });
  return {
    width: (right - left) / stem,
    thickness: thicknesses.length === 0 ? 0 : Math.min(...thicknesses),
  };
}

/**
 * The foot of `l` and `i`, the narrower of the two: in many sans serifs one of them has a tail, to be
 * told from the other, and only a face with serifs gives both a foot.
 */
export function feetOf(face: Shaper, xHeight: number, stem: number): Foot | null {
  const feet = ['l', 'i'].flatMap((letter) => {
    const outline = face.outline(letter);
    const foot = outline && footOf(outline, xHeight, stem);
    return foot ? [foot] : [];
  });
  return feet.sort((a, b) => a.width - b.width)[0] ?? null;
}
