import type { Outline } from '../font/outline';
import type { Shaper } from '../font/shape';
import type { LowerCase } from './letterCase';
import { inkAcross, inkUpward, lengthOf } from './scan';

/** The foot of a letter's stroke, in stems. */
export interface Foot {
  /** Ink width at the baseline ÷ stem. */
  width: number;
  /** Height of the foot beside the stroke ÷ stem; 0 when there is no foot. */
  thickness: number;
  /** Its height close to the stroke ÷ that: 1 where it leaves the stroke abruptly, more with a bracket. */
  growth: number;
}

/** Heights over the baseline at which the foot is looked at, em: hairline serifs are no thicker. */
const FOOT_LEVELS = [0.003, 0.006, 0.01, 0.014, 0.018];
/** A foot is wider than the stroke by this part of it on the side it is measured on. */
const BESIDE = 0.12;
/** Where its thickness is taken, from its end towards the stroke: a bracket thickens it further in. */
const TOWARDS_STROKE = 0.35;
/** Where a bracket shows. */
const CLOSE_TO_STROKE = 0.85;

function footOf(outline: Outline, xHeight: number, stem: number): Foot | null {
  const [stroke] = inkAcross(outline, xHeight / 2);
  if (!stroke) return null;
  const feet = FOOT_LEVELS.flatMap((y) => inkAcross(outline, y)).filter(
    ({ from, to }) => to > stroke.from && from < stroke.to,
  );
  if (feet.length === 0) return null;
  const left = Math.min(...feet.map(({ from }) => from));
  const right = Math.max(...feet.map(({ to }) => to));
  const sides = [
    { out: stroke.from - left, at: (part: number) => left + part * (stroke.from - left) },
    { out: right - stroke.to, at: (part: number) => right - part * (right - stroke.to) },
  ].filter(({ out }) => out > BESIDE * stem);
  const height = (x: number): number | null => {
    const [lowest] = inkUpward(outline, x);
    return lowest && lowest.from < stem ? lengthOf(lowest) / stem : null;
  };
  const found = sides.flatMap(({ at }) => {
    const thickness = height(at(TOWARDS_STROKE));
    const close = height(at(CLOSE_TO_STROKE));
    return thickness === null ? [] : [{ thickness, growth: (close ?? thickness) / thickness }];
  });
  const mean = found.reduce((sum, { growth }) => sum + growth, 0) / found.length;
  return {
    width: (right - left) / stem,
    thickness: found.length === 0 ? 0 : Math.min(...found.map(({ thickness }) => thickness)),
    growth: found.length === 0 ? 1 : mean,
  };
}

/** Letters whose foot is looked at, and those of a face whose lower case is drawn as capitals: many a
 * sans serif gives its capital `I` bars, but not its `H`. */
const LETTERS = { own: ['l', 'i'], capitals: ['H', 'N'], none: ['H', 'N'] };

/**
 * The foot of `l` and `i`, the narrower of the two: in many sans serifs one of them has a tail, to be
 * told from the other, and only a face with serifs gives both a foot.
 */
export function feetOf(
  face: Shaper,
  xHeight: number,
  stem: number,
  lowerCase: LowerCase,
): Foot | null {
  const feet = LETTERS[lowerCase].flatMap((letter) => {
    const outline = face.outline(letter);
    const foot = outline && footOf(outline, xHeight, stem);
    return foot ? [foot] : [];
  });
  return feet.sort((a, b) => a.width - b.width)[0] ?? null;
}
