import type { Shaper } from '../font/shape';
import { lowerCaseOf } from './letterCase';
import { proportionsOf } from './proportions';
import { slopeOf } from './slope';
import { stemOf } from './strokes';

/** Weight colour of a face at a point of its axes: stem ÷ x-height; null where it lacks the letters. */
export function weightColour(face: Shaper): number | null {
  const { xHeight } = proportionsOf(face);
  if (!xHeight) return null;
  const stem = stemOf(face, xHeight, slopeOf(face, xHeight), lowerCaseOf(face));
  return stem ? stem / xHeight : null;
}
