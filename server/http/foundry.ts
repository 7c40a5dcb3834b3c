import { Router, type Request } from 'express';
import type { Services } from '../services';
import type { Project } from '@lettera/core/wire';
import { fetchFaces, takeFamilyIn } from '../supply/taking';
import { Problem } from './problem';
import { bodyOf, instanceOf, projectOf, sendProject, untilGone } from './requests';
import * as describe from './describe';

/** What the routes take and answer. */
export const foundryPaths = {
  '/projects/{id}/foundry/measures': {
    parameters: [describe.project],
    get: {
      summary: 'What has been measured of the library',
      parameters: [
        {
          name: 'after',
          in: 'query',
          schema: describe.integer,
          description: 'Families known already',
        },
      ],
      responses: {
        200: describe.answer('So far', describe.ref('LibraryProgress')),
        ...describe.problems(400, 403, 404),
      },
    },
    post: {
      summary: 'Go on measuring the library',
      responses: {
        202: describe.answer('So far', describe.ref('LibraryProgress')),
        ...describe.problems(403, 404),
      },
    },
    delete: {
      summary: 'Stop measuring; what was measured stays',
      responses: { 204: { description: 'Stopped' }, ...describe.problems(403, 404) },
    },
  },
  '/projects/{id}/foundry/families/{family}/sheet': {
    parameters: [describe.project, describe.family],
    get: {
      summary: 'Everything read and measured on a family of the foundry',
      responses: {
        200: describe.answer('Its sheet', describe.ref('FamilySheet')),
        ...describe.problems(403, 404, 502),
      },
    },
  },
  '/projects/{id}/foundry/families/{family}/files/{name}/measures': {
    parameters: [
      describe.project,
      describe.family,
      describe.inPath('name', 'Name of a file of the family'),
      describe.axisPoint,
    ],
    get: {
      summary: 'A face of the foundry measured at a point of its axes',
      responses: {
        200: describe.answer('Measures', describe.ref('FaceMeasures')),
        ...describe.problems(400, 403, 404, 502),
      },
    },
  },
  '/projects/{id}/foundry': {
    parameters: [describe.project],
    put: {
      summary: 'Allow the foundry for this project',
      requestBody: { content: describe.json(describe.ref('FoundryPermission')) },
      responses: { 200: describe.theProject, ...describe.problems(404, 422) },
    },
    delete: {
      summary: 'Withdraw the permission; what was added stays',
      responses: { 200: describe.theProject, ...describe.problems(404) },
    },
  },
  '/projects/{id}/foundry/families': {
    parameters: [describe.project],
    get: {
      summary: 'Every family of the foundry',
      responses: {
        200: describe.answer('Families', describe.list(describe.ref('LibraryFamily'))),
        ...describe.problems(403, 404, 502),
      },
    },
  },
  '/projects/{id}/foundry/families/{family}': {
    parameters: [describe.project, describe.family],
    get: {
      summary: 'A family with its files’ checksums, characters and licence',
      responses: {
        200: describe.answer('Family', describe.ref('LibraryDetails')),
        ...describe.problems(403, 404, 502),
      },
    },
    post: {
      summary: 'Add faces of a family to the case',
      requestBody: { content: describe.json(describe.ref('Picks')) },
      responses: { 201: describe.theProject, ...describe.problems(400, 403, 404, 422, 502) },
    },
  },
  '/projects/{id}/foundry/families/{family}/files/{name}': {
    parameters: [
      describe.project,
      describe.family,
      describe.inPath('name', 'Name of a file of the family'),
    ],
    get: {
      summary: 'A file of the foundry, to look at',
      responses: { 200: describe.file('WOFF2', 'font/woff2'), ...describe.problems(403, 404, 502) },
    },
  },
} as const;

/** The foundry, as far as the designer has allowed it for the project. */
export function foundryRoutes({
  projects,
  fonts,
  jobs,
  foundry,
  libraryMeasures,
  progress,
}: Pick<
  Services,
  'projects' | 'fonts' | 'jobs' | 'foundry' | 'libraryMeasures' | 'progress'
>): Router {
  const router = Router();

  const allowedProject = async (request: Request): Promise<Project> => {
    const project = await projectOf(projects, request);
    if (!project.foundry) {
      throw new Problem(
        'foundry-not-allowed',
        'Nothing is fetched from the foundry until it has been allowed for this project.',
      );
    }
    return project;
  };

  router.put('/projects/:id/foundry', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const { allowedBy } = bodyOf(request, 'FoundryPermission');
    const project = await projects.allowFoundry(id, allowedBy);
    void libraryMeasures.start(Object.keys(project.document.case));
    sendProject(response, project);
  });

  router.delete('/projects/:id/foundry', async (request, response) => {
    const { id } = await projectOf(projects, request);
    sendProject(response, await projects.allowFoundry(id, null));
  });

  router.get('/projects/:id/foundry/families', async (request, response) => {
    await allowedProject(request);
    response.json(await foundry.families());
  });

  router.get('/projects/:id/foundry/measures', async (request, response) => {
    await allowedProject(request);
    const after = Number(request.query['after'] ?? 0);
    if (!Number.isInteger(after) || after < 0) {
      throw new Problem('bad-request', '“after” must be a whole number.');
    }
    response.json(libraryMeasures.report(after));
  });

  router.post('/projects/:id/foundry/measures', async (request, response) => {
    const { document } = await allowedProject(request);
    void libraryMeasures.start(Object.keys(document.case));
    response.status(202).json(libraryMeasures.report());
  });

  router.delete('/projects/:id/foundry/measures', async (request, response) => {
    await allowedProject(request);
    libraryMeasures.stop();
    response.status(204).end();
  });

  router.get('/projects/:id/foundry/families/:family/sheet', async (request, response) => {
    await allowedProject(request);
    const family = await foundry.family(request.params.family);
    const sheet = await libraryMeasures.sheet(family, untilGone(response));
    if (!sheet) throw new Problem('not-found', `${family.name} has no faces.`);
    response.json(sheet);
  });

  router.get('/projects/:id/foundry/families/:family', async (request, response) => {
    await allowedProject(request);
    response.json(await foundry.family(request.params.family));
  });

  router.get('/projects/:id/foundry/families/:family/files/:name', async (request, response) => {
    await allowedProject(request);
    const family = await foundry.family(request.params.family);
    const file = await foundry.file(family, request.params.name);
    response.set('Cache-Control', 'private, max-age=86400');
    response.type('font/woff2').send(file);
  });

  router.get(
    '/projects/:id/foundry/families/:family/files/:name/measures',
    async (request, response) => {
      const { id } = await allowedProject(request);
      const family = await foundry.family(request.params.family);
      const file = await foundry.file(family, request.params.name);
      const instance = instanceOf(request.query);
      response.json(await jobs.for(id).measure({ source: new Uint8Array(file), instance }));
    },
  );

  router.post('/projects/:id/foundry/families/:family', async (request, response) => {
    const project = await allowedProject(request);
    const picks = bodyOf(request, 'Picks');
    const details = await foundry.family(request.params.family);
    const gone = untilGone(response);
    const fetched = await fetchFaces({ foundry, jobs: jobs.for(project.id) }, details, picks, {
      signal: gone,
      onFile: (done, of) => progress.report({ task: 'taking', done, of }, project.id),
    });
    if (gone.aborted) return;
    await fonts.add(project.id, fetched.fonts);
    sendProject(
      response,
      await projects.change(
        project.id,
        null,
        (document) => takeFamilyIn(document, details.id, fetched.family),
        { label: `Case: ${details.name} added` },
      ),
      201,
    );
  });

  return router;
}
