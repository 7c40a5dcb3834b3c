import { Router } from 'express';
import { MOST_PARTS } from '@lettera/core/document';
import type { KeptStock } from '@lettera/core/wire';
import type { Services } from '../services';
import { Problem } from './problem';
import { LONGEST_ADDRESS, projectOf } from './requests';

const isPage = (value: unknown): value is KeptStock['pages'][number] => {
  const { name, site, path, address } = (value ?? {}) as Record<string, unknown>;
  return (
    typeof name === 'string' &&
    name.length <= 120 &&
    typeof site === 'string' &&
    typeof path === 'string' &&
    (address === undefined || (typeof address === 'string' && address.length <= LONGEST_ADDRESS))
  );
};

/** The pages that a body names. @throws Problem 422 */
function pagesOf(body: unknown): KeptStock['pages'] {
  const pages: unknown = (body as Record<string, unknown> | undefined)?.['pages'];
  if (!Array.isArray(pages) || pages.length > MOST_PARTS.pages || !pages.every(isPage)) {
    throw new Problem(
      'invalid-change',
      `“pages” must be a list of at most ${MOST_PARTS.pages} pages, each with its name, site and path.`,
      { errors: [{ path: '/pages', message: 'must be a list of pages' }] },
    );
  }
  return pages.map(({ name, site, path, address }) => ({
    name,
    site,
    path,
    ...(address === undefined ? {} : { address }),
  }));
}

const sitesOf = ({ pages }: Pick<KeptStock, 'pages'>): string[] => pages.map(({ site }) => site);

/** The site that was taken stock of last: kept beside the project, and no part of it. */
export function stockRoutes({
  projects,
  sites,
  stocks,
}: Pick<Services, 'projects' | 'sites' | 'stocks'>): Router {
  const router = Router();

  router.get('/projects/:id/stock', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await stocks.get(id));
  });

  router.put('/projects/:id/stock', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const pages = pagesOf(request.body);
    const missing = await sites.missing(id, pages);
    if (missing.length > 0) {
      throw new Problem('not-found', 'Some of these pages were not brought in. Nothing was kept.');
    }
    const before = await stocks.get(id);
    await stocks.keep(id, new Date().toISOString(), pages);
    await sites.forget(
      id,
      sitesOf(before).filter((site) => !sitesOf({ pages }).includes(site)),
    );
    response.json(await stocks.get(id));
  });

  router.delete('/projects/:id/stock', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const before = await stocks.get(id);
    await stocks.forget(id);
    await sites.forget(id, sitesOf(before));
    response.status(204).end();
  });

  return router;
}
