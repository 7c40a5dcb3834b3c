import { Router, type Request } from 'express';
import type { Services } from '../services';
import type { Project } from '@lettera/core/wire';
import { fetchFaces, takeFamilyIn } from '../supply/taking';
import { Problem } from './problem';
import { bodyOf, instanceOf, projectOf, sendProject, untilGone } from './requests';

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
