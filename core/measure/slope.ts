import type { Outline } from '../font/outline';
import type { Shaper } from '../font/shape';
import { inkAcross } from './scan';

/** Heights at which the edges are looked at, parts of the x-height: clear of serifs, tails and dots. */
const LEVELS = [0.3, 0.4, 0.5, 0.6, 0.7];

/** Lean of a letter's first stroke, em to the right for each em upward: the line through its middles. */
function leanOf(outline: Outline, xHeight: number): number | null {
  const middles = LEVELS.flatMap((level) => {
    const y = level * xHeight;
    const [span] = inkAcross(outline, y);
    return span ? [{ x: (span.from + span.to) / 2, y }] : [];
  });
  if (middles.length < 3) return null;
  const mean = (key: 'x' | 'y') =>
    middles.reduce((sum, point) => sum + point[key], 0) / middles.length;
  const [mx, my] = [mean('x'), mean('y')];
  const over = middles.reduce((sum, { x, y }) => sum + (x - mx) * (y - my), 0);
  return over / middles.reduce((sum, { y }) => sum + (y - my) ** 2, 0);
}

/** The slope of the strokes of `l` and `i`, degrees, positive leaning right; 0 when it has neither. */
export function slopeOf(face: Shaper, xHeight: number): number {
  const leans = ['l', 'i'].flatMap((letter) => {
    const outline = face.outline(letter);
    const lean = outline && leanOf(outline, xHeight);
    return lean === null ? [] : [lean];
  });
  if (leans.length === 0) return 0;
  const mean = leans.reduce((sum, lean) => sum + lean, 0) / leans.length;
  return (Math.atan(mean) * 180) / Math.PI;
}
