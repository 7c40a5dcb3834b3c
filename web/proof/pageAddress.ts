import type { ProjectDocument } from '@lettera/core/document';
import { urls } from '../api/client';

/** A delivery that leaves a page's own style sheets as they stand. */
export const BESIDE_NOTHING: Pick<ProjectDocument['delivery'], 'linked' | 'siteLayer'> = {};

/** Address of a page to be proofed on: one of the site's own with its style sheets where a project has them. */
export const pageAddress = (
  projectId: string,
  slug: string,
  document: {
    pages?: ProjectDocument['pages'];
    delivery: Pick<ProjectDocument['delivery'], 'linked' | 'siteLayer'>;
  } | null,
): string => {
  const own = document?.pages?.[slug];
  return document && own
    ? urls.ownPage(projectId, slug, own, document.delivery)
    : urls.page(projectId, slug);
};
