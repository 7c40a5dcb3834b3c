import { KEY } from '../document/decorators';
import type { Scale } from '../document/scale';
import { LONGEST_STEP_NAME } from '../document/scaleBounds';
import { stepName } from './names';
import { stepsOf } from './steps';

/**
 * Why a step cannot have a name of the designer's own, in words; null where it can, and for none at all.
 * @param number of the step that is to be named
 */
export function stepNameFault(scale: Scale, number: number, name: string): string | null {
  if (name === '') return null;
  if (name.length > LONGEST_STEP_NAME) {
    return `That is ${name.length} characters. A name has at most ${LONGEST_STEP_NAME}.`;
  }
  if (!KEY.test(name)) {
    return `“${name}” cannot be part of a custom property’s name. Use small letters from a to z, figures and single hyphens, and begin with a letter.`;
  }
  const named: Scale = { ...scale, names: { scheme: 'own', own: { ...scale.names?.own } } };
  const other = stepsOf(scale).find(
    (step) => step.number !== number && stepName(named, step.number) === name,
  );
  return other
    ? `“${name}” is the name of the step of ${Number(other.large.toFixed(2))} px already.`
    : null;
}
