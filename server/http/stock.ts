import { Router } from 'express';
import type { KeptStock } from '@lettera/core/wire';
import type { Services } from '../services';
import { Problem } from './problem';
import { bodyOf, projectOf } from './requests';
import * as describe from './describe';

const sitesOf = ({ pages }: Pick<KeptStock, 'pages'>): string[] => pages.map(({ site }) => site);

/** What the routes take and answer. */
export const stockPaths = {
  '/projects/{id}/stock': {
    parameters: [describe.project],
    get: {
      summary: 'The site that was taken stock of last',
      responses: {
        200: describe.answer('Its pages', describe.ref('KeptStock')),
        ...describe.problems(404),
      },
    },
    put: {
      summary: 'Keeps which pages a stock was taken of',
      requestBody: { content: describe.json(describe.ref('PagesOfStock')) },
      responses: {
        200: describe.answer('Kept', describe.ref('KeptStock')),
        ...describe.problems(404, 422),
      },
    },
    delete: {
      summary: 'Forgets it',
      responses: { 204: { description: 'Forgotten' }, ...describe.problems(404) },
    },
  },
} as const;

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
