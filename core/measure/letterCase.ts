import { boxOf } from '../font/outline';
import type { Shaper } from '../font/shape';
import { shapeDifferenceOf } from './difference';

/** Whether a face has lower case: none, drawn as capitals (unicase), or its own. */
export type LowerCase = 'none' | 'capitals' | 'own';

/** Letters whose two cases differ in form, not only in size. */
const TWO_FORMS = [...'abdefghlmnqrty'];
/** Under this difference two letters have the same form. */
const SAME_FORM = 0.22;

/** Lower-case letters that reach below the baseline, and how far at least, em. */
const DESCENDING = [...'pgy'];
const LEAST_DESCENT = 0.05;

/** A heavy or narrow lower case may have forms like capitals, but its letters still go below the line. */
const descends = (face: Shaper): boolean =>
  DESCENDING.some((letter) => {
    const outline = face.outline(letter);
    return outline !== null && boxOf(outline).bottom < -LEAST_DESCENT;
  });

/** Whether lower case is there, and whether it is drawn as upper case, from the forms of the letters. */
export function lowerCaseOf(face: Shaper): LowerCase {
  const pairs = TWO_FORMS.flatMap((letter) => {
    const [lower, upper] = [face.outline(letter), face.outline(letter.toUpperCase())];
    return lower && upper ? [shapeDifferenceOf(lower, upper)] : [];
  });
  if (pairs.length === 0)
    return [...'aenost'].some((letter) => face.outline(letter)) ? 'own' : 'none';
  const alike = pairs.filter((difference) => difference < SAME_FORM).length;
  return alike > pairs.length / 2 && !descends(face) ? 'capitals' : 'own';
}
