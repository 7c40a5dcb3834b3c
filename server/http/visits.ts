import express, { Router, type Request } from 'express';
import rateLimit from 'express-rate-limit';
import { countedAs, visitIn } from '@lettera/core/deliver/visits';
import type { Services } from '../services';
import * as describe from './describe';
import { Problem } from './problem';
import { projectOf } from './requests';

const state = describe.answer(
  'Whether visits are counted here, and the sums',
  describe.ref('VisitState'),
);
/** Visits a minute: from one address, and of one site. */
const LIMITS = { address: 60, site: 6000 };
const MINUTE = 60_000;

/** What the routes take and answer. */
export const visitPaths = {
  '/projects/{id}/visits': {
    parameters: [describe.project],
    get: {
      summary: 'Visits of the site that were counted, as sums by day',
      responses: { 200: state, ...describe.problems(404) },
    },
    put: {
      summary: 'Count the visits of the site here, under a key',
      responses: { 200: state, ...describe.problems(404) },
    },
    delete: {
      summary: 'Stop counting, and forget what was counted',
      responses: { 200: state, ...describe.problems(404) },
    },
  },
} as const;

/** Visits, as the designer has them. */
export function visitRoutes({ projects, visits }: Pick<Services, 'projects' | 'visits'>): Router {
  const router = Router();
  router.get('/projects/:id/visits', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await visits.state(id));
  });
  router.put('/projects/:id/visits', async (request, response) => {
    const { id } = await projectOf(projects, request);
    await visits.begin(id);
    response.json(await visits.state(id));
  });
  router.delete('/projects/:id/visits', async (request, response) => {
    const { id } = await projectOf(projects, request);
    await visits.forget(id);
    response.json(await visits.state(id));
  });
  return router;
}

/** Where browsers of visitors send what the script of the bundle tells. It answers nothing, and keeps sums alone. */
export function visitorRoutes({ visits }: Pick<Services, 'visits'>): Router {
  const router = Router();
  const tooOften = (): never => {
    throw new Problem('too-many-requests', 'Too many visits at once.');
  };
  const shared = { windowMs: MINUTE, legacyHeaders: false, handler: tooOften };
  router.use(rateLimit({ ...shared, limit: LIMITS.address }));
  // Browsers hold even an empty answer back from a page of another site, and say so, unless it is let go there.
  router.use((_request, response, next) => {
    response.set('Cross-Origin-Resource-Policy', 'cross-origin');
    next();
  });
  router.post(
    '/:key',
    rateLimit({
      ...shared,
      limit: LIMITS.site,
      keyGenerator: (request) => String(request.params['key']),
    }),
    express.json({ limit: '4kb', type: () => true }),
    async (request: Request<{ key: string }>, response) => {
      const { key } = request.params;
      const project = key.length < 100 ? await visits.projectOf(key) : null;
      if (project === null) throw new Problem('not-found', 'No visits are counted here.');
      const visit = visitIn(request.body);
      if (!visit) throw new Problem('bad-request', 'This tells of no visit.');
      await visits.count(project, new Date().toISOString().slice(0, 10), countedAs(visit));
      response.status(204).end();
    },
  );
  return router;
}
