import type { Picks } from '@lettera/core/document';
import { Router, type Request } from 'express';
import type { Services } from '../services';
import type { Project } from '../store/projectStore';
import { fetchFaces, takeFamilyIn } from '../supply/taking';
import { Problem } from './problem';
import { projectOf, sendProject, stringField } from './requests';

const isPicks = (body: unknown): body is Picks => {
  const { scripts, faces } = (body ?? {}) as Partial<Picks>;
  return (
    Array.isArray(scripts) &&
    scripts.length <= 40 &&
    scripts.every((script) => typeof script === 'string') &&
    Array.isArray(faces) &&
    faces.length <= 40 &&
    faces.every(
      (face) =>
        (face?.style === 'normal' || face?.style === 'italic') &&
        Number.isInteger(face.weight) &&
        face.weight >= 1 &&
        face.weight <= 1000,
    )
  );
};

/** The foundry, as far as the designer has allowed it for the project. */
export function foundryRoutes({
  projects,
  fonts,
  jobs,
  foundry,
}: Pick<Services, 'projects' | 'fonts' | 'jobs' | 'foundry'>): Router {
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
    sendProject(
      response,
      await projects.allowFoundry(id, stringField(request.body, 'allowedBy', 120)),
    );
  });

  router.delete('/projects/:id/foundry', async (request, response) => {
    const { id } = await projectOf(projects, request);
    sendProject(response, await projects.allowFoundry(id, null));
  });

  router.get('/projects/:id/foundry/families', async (request, response) => {
    await allowedProject(request);
    response.json(await foundry.families());
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

  router.post('/projects/:id/foundry/families/:family', async (request, response) => {
    const project = await allowedProject(request);
    const picks: unknown = request.body;
    if (!isPicks(picks)) {
      throw new Problem(
        'bad-request',
        'Give “scripts” as a list of names and “faces” as a list of { style, weight }.',
      );
    }
    const details = await foundry.family(request.params.family);
    const fetched = await fetchFaces(foundry, jobs, details, picks);
    await fonts.add(project.id, fetched.fonts);
    sendProject(
      response,
      await projects.change(
        project.id,
        null,
        (document) => takeFamilyIn(document, details.id, fetched.family),
        { label: `Case: ${details.name} taken in` },
      ),
      201,
    );
  });

  return router;
}
