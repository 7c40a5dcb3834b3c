import { Router, type Request } from 'express';
import { MOST_OPERATIONS, patchBetween } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { Services } from '../services';
import { TooManyWaypointsError } from '../store/waypointStore';
import { Problem } from './problem';
import { bodyOf, projectOf, revisionGiven, sendProject } from './requests';
import * as describe from './describe';

/** The change that leads to a state: the whole of it where there is more to change than a patch may hold. */
function wayBack(current: ProjectDocument, document: ProjectDocument): Patch {
  const patch = patchBetween(current, document);
  return patch.length <= MOST_OPERATIONS ? patch : [{ op: 'replace', path: '', value: document }];
}

/** What the routes take and answer. */
export const waypointPaths = {
  '/projects/{id}/waypoints': {
    parameters: [describe.project],
    get: {
      summary: 'States of the project that were given a name, newest first',
      responses: {
        200: describe.answer('Waypoints', describe.list(describe.ref('Waypoint'))),
        ...describe.problems(404),
      },
    },
    post: {
      summary: 'Give the present state a name',
      requestBody: { content: describe.json(describe.ref('WaypointName')) },
      responses: {
        201: describe.answer('Named', describe.ref('Waypoint')),
        ...describe.problems(404, 422),
      },
    },
  },
  '/projects/{id}/waypoints/{waypoint}': {
    parameters: [describe.project, describe.inPath('waypoint', 'Id of a waypoint')],
    get: {
      summary: 'What a waypoint holds',
      responses: {
        200: describe.answer('The state', describe.ref('WaypointState')),
        ...describe.problems(404),
      },
    },
    put: {
      summary: 'Name a waypoint otherwise',
      requestBody: { content: describe.json(describe.ref('WaypointName')) },
      responses: { 204: { description: 'Named' }, ...describe.problems(404, 422) },
    },
    delete: {
      summary: 'Remove a waypoint',
      responses: { 204: { description: 'Removed' }, ...describe.problems(404) },
    },
  },
  '/projects/{id}/waypoints/{waypoint}/return': {
    parameters: [
      describe.project,
      describe.inPath('waypoint', 'Id of a waypoint'),
      describe.ifMatch,
    ],
    post: {
      summary: 'Go back to a waypoint, as one change that can be undone',
      responses: { 200: describe.theProject, ...describe.problems(404, 409, 422, 428) },
    },
  },
} as const;

/** Named states of a project: named, listed, looked at, returned to. */
export function waypointRoutes({
  projects,
  waypoints,
}: Pick<Services, 'projects' | 'waypoints'>): Router {
  const router = Router();
  const none = () => new Problem('not-found', 'This project has no such waypoint.');
  const idOf = (request: Request): string => String(request.params['waypoint']);

  router.get('/projects/:id/waypoints', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await waypoints.list(id));
  });

  router.post('/projects/:id/waypoints', async (request, response) => {
    const project = await projectOf(projects, request);
    const { name } = bodyOf(request, 'WaypointName');
    const waypoint = await waypoints.add(project, name).catch((error: unknown) => {
      throw error instanceof TooManyWaypointsError
        ? new Problem('invalid-change', error.message)
        : error;
    });
    response.status(201).json(waypoint);
  });

  router.get('/projects/:id/waypoints/:waypoint', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const document = await waypoints.document(id, idOf(request));
    if (!document) throw none();
    response.json({ id: idOf(request), document });
  });

  router.put('/projects/:id/waypoints/:waypoint', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const { name } = bodyOf(request, 'WaypointName');
    if (!(await waypoints.rename(id, idOf(request), name))) throw none();
    response.status(204).end();
  });

  router.delete('/projects/:id/waypoints/:waypoint', async (request, response) => {
    const { id } = await projectOf(projects, request);
    if (!(await waypoints.remove(id, idOf(request)))) throw none();
    response.status(204).end();
  });

  /** Goes back to a waypoint: a change like any other, which can be undone. */
  router.post('/projects/:id/waypoints/:waypoint/return', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const document = await waypoints.document(id, idOf(request));
    const name = (await waypoints.list(id)).find((one) => one.id === idOf(request))?.name;
    if (!document || name === undefined) throw none();
    const project = await projects.change(
      id,
      revisionGiven(request),
      (current) => wayBack(current, document),
      { label: `Back to “${name}”` },
    );
    sendProject(response, project);
  });

  return router;
}
