import { stylesheet } from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import { planIn, type FallbackPlan } from '@lettera/core/fallback';
import { gzipSync, strToU8 } from 'fflate';

/** What the fallback faces add to the style sheet as it is sent compressed (gzip), bytes. */
export function zippedFallbackBytes(document: ProjectDocument, plan: FallbackPlan): number {
  const size = (of: FallbackPlan) =>
    gzipSync(strToU8(stylesheet(document, of)), { level: 9 }).length;
  return size(plan) - size(planIn(plan, 'none'));
}
