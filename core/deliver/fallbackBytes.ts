import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackPlan } from '../fallback/plan';
import { planIn } from '../fallback/planVariants';
import { stylesheet } from './stylesheet';

/**
 * Bytes that the fallback faces of a plan add to the style sheet.
 * @param size how the bytes of a text are counted; as it stands when left out
 */
export function fallbackBytes(
  document: ProjectDocument,
  plan: FallbackPlan,
  size: (text: string) => number = (text) => new TextEncoder().encode(text).length,
): number {
  // The web faces are the same with them and without.
  const sizeWith = (fallback: FallbackPlan) =>
    size(stylesheet(document, { fallback, delivery: { files: [], locals: [] } }));
  return sizeWith(plan) - sizeWith(planIn(plan, 'none'));
}
