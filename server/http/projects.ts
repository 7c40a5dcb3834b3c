import express, { Router } from 'express';
import { ChangeError } from '@lettera/core/change';
import { newDocument, type ProjectDocument } from '@lettera/core/document';
import type { Services } from '../services';
import { giveBackSpace } from '../store/database';
import type { Page } from '../store/pageStore';
import { Problem } from './problem';
import { bodyOf, noProject, projectOf, revisionGiven, sendChanged, sendProject } from './requests';
import type { Admission } from './security';
import * as describe from './describe';

const MOST_HISTORY = 200;
/** Keeps proxies and browsers from taking a silent stream for a dead one, milliseconds. */
const HEARTBEAT = 25_000;
const JSON_PATCH = 'application/json-patch+json';

/** What the routes take and answer. */
export const projectPaths = {
  '/projects': {
    get: {
      summary: 'All projects',
      responses: {
        200: describe.answer('Projects', describe.list(describe.ref('ProjectSummary'))),
      },
    },
    post: {
      summary: 'Start a project',
      requestBody: { content: describe.json(describe.ref('NewProject')) },
      responses: { 201: describe.theProject, ...describe.problems(400, 413, 422) },
    },
  },
  '/projects/{id}': {
    parameters: [describe.project],
    get: {
      summary: 'A project',
      responses: { 200: describe.theProject, ...describe.problems(404) },
    },
    patch: {
      summary: 'Change a project',
      parameters: [describe.ifMatch, describe.prefer],
      requestBody: { content: describe.json(describe.ref('Patch'), 'application/json-patch+json') },
      responses: {
        200: describe.theProjectOrChange,
        ...describe.problems(400, 404, 409, 413, 415, 422, 428, 503),
      },
    },
    delete: {
      summary: 'Remove a project for good',
      responses: { 204: { description: 'Removed' }, ...describe.problems(404) },
    },
  },
  '/projects/{id}/undo': {
    parameters: [describe.project, describe.ifMatch, describe.prefer],
    post: {
      summary: 'Undo the last change',
      responses: { 200: describe.theProjectOrChange, ...describe.problems(404, 409, 428) },
    },
  },
  '/projects/{id}/redo': {
    parameters: [describe.project, describe.ifMatch, describe.prefer],
    post: {
      summary: 'Make the change again that was undone last',
      responses: { 200: describe.theProjectOrChange, ...describe.problems(404, 409, 428) },
    },
  },
  '/projects/{id}/changes': {
    parameters: [
      describe.project,
      {
        name: 'before',
        in: 'query',
        schema: describe.integer,
        description: 'Revisions before this one',
      },
      {
        name: 'limit',
        in: 'query',
        schema: describe.integer,
        description: 'At most 200; 50 if left out',
      },
    ],
    get: {
      summary: 'The history, newest first',
      responses: {
        200: describe.answer('Revisions', describe.list(describe.ref('HistoryEntry'))),
        ...describe.problems(400, 404),
      },
    },
  },
  '/projects/{id}/revisions/{revision}': {
    parameters: [
      describe.project,
      { name: 'revision', in: 'path', required: true, schema: describe.integer },
    ],
    get: {
      summary: 'The document as it stood at a revision',
      responses: {
        200: describe.answer('The document', describe.ref('Revision')),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/events': {
    parameters: [describe.project],
    get: {
      summary:
        'New revisions and the progress of long work as they come about, as server-sent events `hello`, `revision`, `waypoints`, `progress` and `live`',
      responses: {
        200: describe.file('The stream', 'text/event-stream'),
        ...describe.problems(404),
      },
    },
  },
} as const;

/** Projects, their documents, changes, undo and redo, and the stream of revisions. */
export function projectRoutes(
  {
    projects,
    fonts,
    sites,
    waypoints,
    progress,
    liveSheets,
    database,
  }: Pick<
    Services,
    'projects' | 'fonts' | 'sites' | 'waypoints' | 'progress' | 'liveSheets' | 'database'
  >,
  startingPages: () => Promise<Page[]>,
  admission: Admission,
  ending: AbortSignal,
): Router {
  const router = Router();

  /** A document may name only files that the project has taken in. */
  const checkFiles = async (projectId: string, document: ProjectDocument): Promise<void> => {
    const places = Object.entries(document.case).flatMap(([key, family]) =>
      family.faces.flatMap((face, f) =>
        face.files.map(({ sha256 }, i) => ({
          sha256,
          path: `/case/${key}/faces/${f}/files/${i}/sha256`,
        })),
      ),
    );
    const missing = await fonts.missingFrom(
      projectId,
      places.map(({ sha256 }) => sha256),
    );
    if (missing.length > 0) {
      throw new ChangeError(
        'The change was refused: it names a font file that was not added.',
        places
          .filter(({ sha256 }) => missing.includes(sha256))
          .map(({ path }) => ({ path, message: 'is not a file of this project' })),
      );
    }
  };

  /** A document may name only pages that were added. */
  const checkPages = async (projectId: string, document: ProjectDocument): Promise<void> => {
    const named = Object.entries(document.pages ?? {});
    const missing = await sites.missing(
      projectId,
      named.map(([, page]) => page),
    );
    if (missing.length > 0) {
      throw new ChangeError(
        'The change was refused: it names a page that was not added.',
        missing.map((i) => ({
          path: `/pages/${named[i]?.[0] ?? ''}/path`,
          message: 'is not a page that this project has added',
        })),
      );
    }
  };

  router.get('/projects', async (_request, response) => {
    response.json(await projects.list());
  });

  router.post('/projects', async (request, response) => {
    const { name } = bodyOf(request, 'NewProject');
    const project = await projects.create(newDocument(name), await startingPages());
    response.location(`/api/v1/projects/${project.id}`);
    sendProject(response, project, 201);
  });

  router.get('/projects/:id', async (request, response) => {
    sendProject(response, await projectOf(projects, request));
  });

  router.delete('/projects/:id', async (request, response) => {
    // One that is damaged can be deleted like any other.
    const id = await projects.idOf(request.params.id);
    if (id === null) throw noProject(request.params.id);
    await projects.remove(id);
    await fonts.removeUnused();
    // It is deleted, whether the disk can have the room now or only another time.
    giveBackSpace(database).catch((error: unknown) => {
      request.log.warn({ err: error }, 'The room of a deleted project was not given back.');
    });
    response.status(204).end();
  });

  router.patch(
    '/projects/:id',
    (request, _response, next) => {
      if (!request.is([JSON_PATCH, 'application/json'])) {
        throw new Problem('media-type', `Send a JSON Patch as ${JSON_PATCH}.`);
      }
      next();
    },
    express.json({ type: [JSON_PATCH, 'application/json'], limit: '1mb', strict: false }),
    async (request, response) => {
      const { id } = await projectOf(projects, request);
      const revision = revisionGiven(request);
      const project = await projects.change(id, revision, request.body, {
        check: async (document) => {
          await checkFiles(id, document);
          await checkPages(id, document);
        },
      });
      await sendChanged(request, response, projects, project);
    },
  );

  for (const direction of ['undo', 'redo'] as const) {
    router.post(`/projects/:id/${direction}`, async (request, response) => {
      const { id } = await projectOf(projects, request);
      const project = await projects[direction](id, revisionGiven(request));
      await sendChanged(request, response, projects, project);
    });
  }

  router.get('/projects/:id/changes', async (request, response) => {
    const { id, revision } = await projectOf(projects, request);
    const before = Number(request.query['before'] ?? revision + 1);
    const limit = Number(request.query['limit'] ?? 50);
    if (!Number.isInteger(before) || !Number.isInteger(limit) || limit < 1) {
      throw new Problem('bad-request', '“before” and “limit” must be whole numbers.');
    }
    response.json(await projects.history(id, before, Math.min(limit, MOST_HISTORY)));
  });

  router.get('/projects/:id/revisions/:revision', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const revision = Number(request.params.revision);
    const document = Number.isInteger(revision) ? await projects.documentAt(id, revision) : null;
    if (!document) {
      throw new Problem('not-found', `The project has no revision ${request.params.revision}.`);
    }
    response.json({ revision, document });
  });

  router.get('/projects/:id/events', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      // A proxy in front hands on what comes as it comes.
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    const send = (name: string, data: unknown) =>
      response.write(`event: ${name}\ndata: ${JSON.stringify(data)}\n\n`);
    const stop = projects.onRevision(id, (change) => send('revision', change));
    const stopWaypoints = waypoints.onChange(id, () => send('waypoints', {}));
    const stopProgress = progress.on(id, (report) => send('progress', report));
    const stopLive = liveSheets.onTold(id, (told) => send('live', told));
    const end = () => response.end();
    const heartbeat = setInterval(() => {
      response.write(': still here\n\n');
      // A session may have run out.
      admission.admits(request, response).then((is) => is || end(), end);
    }, HEARTBEAT).unref();
    const stopSession = admission.onSessionEnd(request, end);
    ending.addEventListener('abort', end);
    request.on('close', () => {
      stop();
      stopWaypoints();
      stopProgress();
      stopLive();
      stopSession();
      clearInterval(heartbeat);
      ending.removeEventListener('abort', end);
    });
    // Where it stands is told once it is listened: what comes about between would be told of by neither.
    const now = await projects.get(id);
    if (now && !response.closed) send('hello', { revision: now.revision });
  });

  return router;
}
