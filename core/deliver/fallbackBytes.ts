import type { ProjectDocument } from '../document/projectDocument';
import type { FallbackPlan } from '../fallback/plan';
import { planIn } from '../fallback/planVariants';
import { stylesheet } from './stylesheet';

/** Bytes that the fallback faces of a plan add to the style sheet, as it stands. */
export const fallbackBytes = (document: ProjectDocument, plan: FallbackPlan): number =>
  new TextEncoder().encode(stylesheet(document, plan)).length -
  new TextEncoder().encode(stylesheet(document, planIn(plan, 'none'))).length;
