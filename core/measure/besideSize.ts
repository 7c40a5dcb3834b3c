import { scriptOf } from '../script';
import type { FamilyMeasures } from './family';

/** Sizes are kept to so many hundredths: less is not seen. */
const STEPS = 100;

/**
 * How many times the text's size a family is set at for one script, so that its letters look as large as those of the
 * family that it stands beside: by the height that carries the eye in each, against what is usual where both are by
 * one hand.
 * @param beside the measures of the voice's own family, with Latin letters
 * @param of those of the family for the script
 * @returns null where one of them lacks what is measured
 */
export function besideSize(
  beside: Pick<FamilyMeasures, 'regular'>,
  of: Pick<FamilyMeasures, 'scripts'>,
  scriptKey: string,
): number | null {
  const { xHeight } = beside.regular;
  const height = of.scripts[scriptKey]?.height;
  const body = scriptOf(scriptKey)?.body;
  if (!xHeight || !height || !body) return null;
  return Math.round((STEPS * body.againstX * xHeight) / height) / STEPS;
}
