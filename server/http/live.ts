import { Router } from 'express';
import type { LiveState } from '@lettera/core/wire';
import type { Services } from '../services';
import * as describe from './describe';
import { Problem } from './problem';
import { bodyOf, projectOf } from './requests';
import { networkNames } from './security';

const state = describe.answer('The live sheet, and who has it', describe.ref('LiveState'));

/** What the routes take and answer. */
export const livePaths = {
  '/projects/{id}/live': {
    parameters: [describe.project],
    get: {
      summary: 'The live sheet of a project, where one is open',
      responses: { 200: state, ...describe.problems(404) },
    },
    put: {
      summary: 'Open a live sheet under a new key, or have the open one otherwise',
      requestBody: { content: describe.json(describe.ref('LiveWish')) },
      responses: { 200: state, ...describe.problems(400, 404, 422) },
    },
    delete: {
      summary: 'End it: its key is never good again',
      responses: { 200: state, ...describe.problems(404) },
    },
  },
  '/projects/{id}/live/look': {
    parameters: [describe.project],
    put: {
      summary: 'Show on the running site what is looked at: it is not kept',
      requestBody: { content: describe.json(describe.ref('LiveLook')) },
      responses: { 204: { description: 'Shown' }, ...describe.problems(400, 404, 413, 422) },
    },
  },
  '/projects/{id}/live/readings': {
    parameters: [describe.project],
    get: {
      summary: 'Pages that were read on the running site and are no part of the project yet',
      responses: {
        200: describe.answer('Pages', describe.list(describe.ref('LiveReading'))),
        ...describe.problems(404),
      },
    },
    delete: {
      summary: 'Let go of them: of one address, or of all',
      parameters: [{ name: 'address', in: 'query', schema: { type: 'string' } }],
      responses: {
        200: describe.answer('Those that are left', describe.list(describe.ref('LiveReading'))),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/live/readings/file': {
    parameters: [
      describe.project,
      { name: 'address', in: 'query', required: true, schema: { type: 'string' } },
    ],
    get: {
      summary: 'What the reader gave of one of them',
      responses: {
        200: describe.answer('As docs/reading.md has it', { type: 'object' }),
        ...describe.problems(404),
      },
    },
  },
} as const;

/** An origin as people type it: without a scheme it is the one that dev servers have. @throws Problem 422 */
function originOf(typed: string): string {
  const written = /^[a-z][a-z\d+.-]*:\/\//i.test(typed) ? typed : `http://${typed}`;
  const url = URL.canParse(written) ? new URL(written) : null;
  if (!url || !/^https?:$/.test(url.protocol) || url.username || url.password) {
    throw new Problem(
      'invalid-change',
      `“${typed.slice(0, 80)}” is no address of a site. Give one such as http://localhost:5173.`,
    );
  }
  return url.origin;
}

/** The live sheet of a project, as the designer opens, changes and ends it. */
export function liveRoutes({
  projects,
  liveStore,
  liveSheets,
  config,
}: Pick<Services, 'projects' | 'liveStore' | 'liveSheets' | 'config'>): Router {
  const router = Router();

  const stateOf = async (id: string): Promise<LiveState> => ({
    sheet: await liveStore.of(id),
    pages: liveSheets.pages(id),
    ended: await liveStore.ended(id),
    addresses: networkNames(config),
  });

  router.get('/projects/:id/live', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await stateOf(id));
  });

  router.put('/projects/:id/live', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const { origins, tried } = bodyOf(request, 'LiveWish');
    await liveStore.want(id, { origins: [...new Set(origins.map(originOf))], tried });
    await liveSheets.tell(id, { kind: 'changed' });
    response.json(await stateOf(id));
  });

  router.delete('/projects/:id/live', async (request, response) => {
    const { id } = await projectOf(projects, request);
    await liveSheets.end(id);
    response.json(await stateOf(id));
  });

  router.put('/projects/:id/live/look', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const look = bodyOf(request, 'LiveLook');
    const sheet = await liveStore.of(id);
    if (!sheet) throw new Problem('not-found', 'This project has no live sheet.');
    await liveSheets.show(id, sheet.tried ? look : { ...look, tried: null });
    response.status(204).end();
  });

  router.get('/projects/:id/live/readings', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await liveStore.readings(id));
  });

  router.get('/projects/:id/live/readings/file', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const reading = await liveStore.reading(id, String(request.query['address'] ?? ''));
    if (reading === null) throw new Problem('not-found', 'No page of that address was read.');
    response.type('json').send(reading);
  });

  router.delete('/projects/:id/live/readings', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const { address } = request.query;
    await liveStore.forgetReadings(id, typeof address === 'string' ? address : undefined);
    response.json(await liveStore.readings(id));
  });

  return router;
}
