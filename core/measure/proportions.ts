import { boxOf } from '../font/outline';
import type { Shaper } from '../font/shape';
import { meanAdvance, meanLetterAdvance, type AdvanceOf } from './meanAdvance';

/** Heights and widths of a face, em; null where it lacks the letters. `descender` is negative. */
export interface Proportions {
  xHeight: number | null;
  capHeight: number | null;
  ascender: number | null;
  descender: number | null;
  /** Mean advance of a character of running text, spaces counted. */
  advance: number | null;
  /** Mean advance of a lower-case letter ÷ x-height. */
  width: number | null;
}

/** Letters with a flat top at the x-height, the first that the face has being asked. */
const FLAT_AT_X_HEIGHT = ['x', 'z', 'v'];
const FLAT_AT_CAP_HEIGHT = ['H', 'E', 'I'];

function firstBox(face: Shaper, letters: readonly string[]) {
  for (const letter of letters) {
    const outline = face.outline(letter);
    if (outline) return boxOf(outline);
  }
  return null;
}

/** Heights from the tops and feet of flat letters; advances weighted by how often letters stand in text. */
export function proportionsOf(face: Shaper): Proportions {
  const xHeight = firstBox(face, FLAT_AT_X_HEIGHT)?.top ?? null;
  const advanceOf: AdvanceOf = (character) =>
    face.has(character.codePointAt(0) ?? 0) ? face.advance(character) : null;
  const letters = meanLetterAdvance(advanceOf);
  return {
    xHeight,
    capHeight: firstBox(face, FLAT_AT_CAP_HEIGHT)?.top ?? null,
    ascender: firstBox(face, ['l', 'd', 'b'])?.top ?? null,
    descender: firstBox(face, ['p', 'q', 'g'])?.bottom ?? null,
    advance: meanAdvance(advanceOf),
    width: letters === null || !xHeight ? null : letters / xHeight,
  };
}
