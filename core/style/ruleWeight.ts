import { specificityOf, type Specificity } from '../css';
import type { ProjectDocument } from '../document/projectDocument';

/** How many classes the rules weigh more that are to win over those of a site. */
export const CLASSES_OVER = 4;
/** A class that no page has: what is not that weighs as much as a class. Selectors 4 §17. */
const NO_CLASS = ':not(.lettera-weight)'.repeat(CLASSES_OVER);

/** How the selectors of an element rule are written, with the weight that the delivery has for them. */
export function weighedSelector(
  { delivery }: ProjectDocument,
  selectors: readonly string[],
): string {
  const { weight = 'none' } = delivery;
  if (weight === 'none') return `:where(${selectors.join(', ')})`;
  if (weight === 'own') return selectors.join(', ');
  return selectors.map((selector) => `:is(${selector})${NO_CLASS}`).join(', ');
}

/** What one of those selectors weighs so. */
export function ruleSpecificity({ delivery }: ProjectDocument, selector: string): Specificity {
  const { weight = 'none' } = delivery;
  if (weight === 'none') return [0, 0, 0];
  const [ids, classes, types] = specificityOf(selector);
  return weight === 'own' ? [ids, classes, types] : [ids, classes + CLASSES_OVER, types];
}
