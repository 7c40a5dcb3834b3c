import { boxOf } from '../font/outline';
import type { Shaper } from '../font/shape';
import { LETTER_FREQUENCY, LETTERS_A_WORD } from './letterFrequency';

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

/** Mean advance of the letters that the face has, each as often as it stands in text. */
function meanLetterAdvance(face: Shaper): number | null {
  let sum = 0;
  let weights = 0;
  for (const [letter, weight] of Object.entries(LETTER_FREQUENCY)) {
    if (!face.has(letter.codePointAt(0) ?? 0)) continue;
    sum += weight * face.advance(letter);
    weights += weight;
  }
  return weights === 0 ? null : sum / weights;
}

/** Heights from the tops and feet of flat letters; advances weighted by how often letters stand in text. */
export function proportionsOf(face: Shaper): Proportions {
  const xHeight = firstBox(face, FLAT_AT_X_HEIGHT)?.top ?? null;
  const letters = meanLetterAdvance(face);
  const space = face.has(0x20) ? face.advance(' ') : 0;
  return {
    xHeight,
    capHeight: firstBox(face, FLAT_AT_CAP_HEIGHT)?.top ?? null,
    ascender: firstBox(face, ['l', 'd', 'b'])?.top ?? null,
    descender: firstBox(face, ['p', 'q', 'g'])?.bottom ?? null,
    advance: letters === null ? null : (LETTERS_A_WORD * letters + space) / (LETTERS_A_WORD + 1),
    width: letters === null || !xHeight ? null : letters / xHeight,
  };
}
