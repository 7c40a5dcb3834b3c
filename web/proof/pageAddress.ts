import type { ProjectDocument } from '@lettera/core/document';
import { urls } from '../api/client';

/** Address of a page to be proofed on: one of the site's own with its style sheets where a project has them. */
export const pageAddress = (
  projectId: string,
  slug: string,
  document: Pick<ProjectDocument, 'pages' | 'delivery'> | null,
): string =>
  document && Object.hasOwn(document.pages ?? {}, slug)
    ? urls.ownPage(projectId, slug, document.delivery)
    : urls.page(projectId, slug);
