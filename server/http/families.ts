import { Router } from 'express';
import { caseSheet } from '../judging';
import type { Services } from '../services';
import { takeReference } from '../supply/reference';
import { Problem } from './problem';
import { bodyOf, projectOf, sendProject } from './requests';
import * as describe from './describe';

/** What the routes take and answer. */
export const familyPaths = {
  '/projects/{id}/case/measures': {
    parameters: [describe.project],
    get: {
      summary: 'The measures of the case’s families, by key',
      responses: {
        200: describe.answer('By key; null where a family has no faces', {
          type: 'object',
          additionalProperties: { anyOf: [describe.ref('FamilyMeasures'), { type: 'null' }] },
        }),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/case/{key}/sheet': {
    parameters: [describe.project, describe.inPath('key', 'Key of a family of the case')],
    get: {
      summary: 'Everything read and measured on a family of the case',
      responses: {
        200: describe.answer('Its sheet', describe.ref('FamilySheet')),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/references': {
    parameters: [describe.project],
    post: {
      summary: 'Add a family by reference, with a look-alike to stand in on the proof',
      requestBody: { content: describe.json(describe.ref('WantedReference')) },
      responses: { 201: describe.theProject, ...describe.problems(400, 403, 404, 422, 502) },
    },
  },
} as const;

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
