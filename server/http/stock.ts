import { Router } from 'express';
import type { KeptStock } from '@lettera/core/wire';
import type { Services } from '../services';
import { Problem } from './problem';
import { bodyOf, projectOf } from './requests';

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
    const { pages } = bodyOf(request, 'PagesOfStock');
    const missing = await sites.missing(id, pages);
    if (missing.length > 0) {
      throw new Problem('not-found', 'Some of these pages were not added. Nothing was kept.');
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
