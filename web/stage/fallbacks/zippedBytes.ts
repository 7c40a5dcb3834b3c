import { fallbackBytes } from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import type { FallbackPlan } from '@lettera/core/fallback';
import { gzipSync, strToU8 } from 'fflate';

/** What the fallback faces add to the style sheet as it is sent compressed (gzip), bytes. */
export const zippedFallbackBytes = (document: ProjectDocument, plan: FallbackPlan): number =>
  fallbackBytes(document, plan, (text) => gzipSync(strToU8(text), { level: 9 }).length);
