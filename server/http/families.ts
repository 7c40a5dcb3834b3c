import { Router } from 'express';
import { caseSheet } from '../judging';
import type { Services } from '../services';
import { takeReference } from '../supply/reference';
import { Problem } from './problem';
import { bodyOf, projectOf, sendProject } from './requests';

/** The families of the case: what was read and measured of each, and families by reference. */
export function familyRoutes(
  services: Pick<Services, 'projects' | 'fonts' | 'measurer' | 'foundry' | 'jobs'>,
): Router {
  const { projects } = services;
  const router = Router();

  router.get('/projects/:id/case/measures', async (request, response) => {
    const { document } = await projectOf(projects, request);
    const measured = await Promise.all(
      Object.entries(document.case).map(
        async ([key, family]) =>
          [key, (await caseSheet(services, family))?.measures ?? null] as const,
      ),
    );
    response.json(Object.fromEntries(measured));
  });

  router.get('/projects/:id/case/:key/sheet', async (request, response) => {
    const { document } = await projectOf(projects, request);
    const { key } = request.params;
    const family = Object.hasOwn(document.case, key) ? document.case[key] : undefined;
    const sheet = family && (await caseSheet(services, family));
    if (!sheet) throw new Problem('not-found', 'The case has no such family.');
    response.json(sheet);
  });

  router.post('/projects/:id/references', async (request, response) => {
    const project = await projectOf(projects, request);
    const wanted = bodyOf(request, 'WantedReference');
    if (wanted.standIn.startsWith('library/') && !project.foundry) {
      throw new Problem(
        'foundry-not-allowed',
        'The look-alike is one of the foundry’s, which has not been allowed for this project.',
      );
    }
    sendProject(response, await takeReference(services, project, wanted), 201);
  });

  return router;
}
