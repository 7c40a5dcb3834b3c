import { Router, type Request, type Response } from 'express';
import { slug } from '@lettera/core/deliver';
import { barePage } from '@lettera/core/deliver/trying';
import {
  checkLocalReading,
  EVENNESS_POINTS,
  fittingOf,
  type LocalReading,
} from '@lettera/core/fallback';
import { applyChange } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { Project } from '@lettera/core/wire';
import type { Services } from '../services';
import { Problem } from './problem';
import { projectOf } from './requests';
import { pageSecurity } from './security';
import * as describe from './describe';

/** The bare page that links the bundle, beside its files. */
const BARE_PAGE = 'bare-page';
/** Changes whose bytes are reported at once. */
const MOST_CHANGES = 40;
/** Readings that are taken at once: the styles of one local font, and some. */
const MOST_READINGS = 20;

/** @throws Problem 422 with what is wrong with it */
function readingIn(value: unknown): LocalReading {
  try {
    return checkLocalReading(value);
  } catch (error) {
    if (error instanceof RangeError) throw new Problem('invalid-change', error.message);
    throw error;
  }
}

/** What the routes take and answer. */
export const deliveryPaths = {
  '/projects/{id}/deliveries': {
    parameters: [describe.project],
    get: {
      summary: 'Deliveries that were taken away, newest first',
      responses: {
        200: describe.answer('Deliveries', describe.list(describe.ref('MadeDelivery'))),
        ...describe.problems(404),
      },
    },
    post: {
      summary: 'Keep that the present revision was delivered',
      responses: {
        201: describe.answer('Kept', describe.ref('MadeDelivery')),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/deliveries/{revision}': {
    parameters: [describe.project, describe.inPath('revision', 'Revision that was delivered')],
    get: {
      summary: 'What a delivery held, file by file',
      responses: {
        200: describe.answer('Files', describe.list(describe.ref('DeliveryFile'))),
        ...describe.problems(404),
      },
    },
  },
  '/projects/{id}/deliveries/{revision}/bundle.zip': {
    parameters: [describe.project, describe.inPath('revision', 'Revision that was delivered')],
    get: {
      summary: 'The bundle of a delivery, once more',
      responses: {
        200: describe.file('The bundle', 'application/zip'),
        ...describe.problems(404, 409, 413),
      },
    },
  },
  '/projects/{id}/fallbacks': {
    parameters: [describe.project],
    get: {
      summary: 'Local fonts tried for each voice in use, by voice and family',
      responses: {
        200: describe.answer('Trials', describe.ref('Trials')),
        ...describe.problems(404, 409),
      },
    },
    post: {
      summary: 'The same for the project as it would stand after a change, which is not made',
      requestBody: { content: describe.json(describe.ref('Patch')) },
      responses: {
        200: describe.answer('Trials', describe.ref('Trials')),
        ...describe.problems(400, 404, 409, 422),
      },
    },
  },
  '/projects/{id}/fallbacks/fitting': {
    parameters: [describe.project],
    delete: {
      summary: 'Stops the fitting that is under way; whoever waits for it hears so',
      responses: { 204: { description: 'Stopped' }, ...describe.problems(404) },
    },
  },
  '/projects/{id}/delivery/making': {
    parameters: [describe.project],
    delete: {
      summary: 'Stops what is being made for the delivery; whoever waits for it hears so',
      responses: { 204: { description: 'Stopped' }, ...describe.problems(404) },
    },
  },
  '/projects/{id}/fallbacks/{voice}/{local}/curve': {
    parameters: [
      describe.project,
      describe.inPath('voice', 'Key of a voice'),
      describe.inPath('local', 'Key of a set of local fonts'),
    ],
    get: {
      summary: 'One local font at each limit of evenness, as the voice is most used',
      responses: {
        200: describe.answer(
          'Tuned, in order of the limits; null where it cannot be',
          describe.list({ anyOf: [describe.ref('TunedFace'), { type: 'null' }] }),
        ),
        ...describe.problems(404, 409),
      },
    },
  },
  '/projects/{id}/local-fonts': {
    parameters: [describe.project],
    get: {
      summary: 'Local fonts that were measured on a designer’s machine',
      responses: {
        200: describe.answer('Measured', describe.list(describe.ref('MeasuredLocal'))),
        ...describe.problems(404),
      },
    },
    post: {
      summary: 'Keeps what was measured of local fonts, in place of earlier readings',
      requestBody: { content: describe.json(describe.list(describe.ref('LocalReading'))) },
      responses: {
        201: describe.answer('Kept', describe.list(describe.ref('MeasuredLocal'))),
        ...describe.problems(400, 404, 413, 422),
      },
    },
  },
  '/projects/{id}/delivery': {
    parameters: [describe.project],
    get: {
      summary: 'What the bundle holds, file by file, with the text of text files',
      responses: {
        200: describe.answer('Files', describe.list(describe.ref('DeliveryFile'))),
        ...describe.problems(404, 409),
      },
    },
  },
  '/projects/{id}/delivery/evidence': {
    parameters: [describe.project],
    get: {
      summary: 'Which files have been made for it so far, without waiting for the rest',
      responses: {
        200: describe.answer('Files made', describe.ref('DeliveryEvidence')),
        ...describe.problems(404, 409),
      },
    },
  },
  '/projects/{id}/delivery/bytes': {
    parameters: [describe.project],
    post: {
      summary: 'Bytes of the font files after each of several changes, none of which is made',
      requestBody: { content: describe.json(describe.list(describe.ref('Patch'))) },
      responses: {
        200: describe.answer('Bytes', describe.list(describe.integer)),
        ...describe.problems(400, 404, 409, 422),
      },
    },
  },
  '/projects/{id}/delivery/{revision}/files/{path}': {
    parameters: [
      describe.project,
      { name: 'revision', in: 'path', required: true, schema: describe.integer },
      { name: 'path', in: 'path', required: true, schema: describe.text },
    ],
    get: {
      summary:
        'A file of the bundle as a site would serve it; `bare-page` is a page that links it and has an example of each text element',
      responses: { 200: { description: 'The file' }, ...describe.problems(404, 409) },
    },
  },
  '/projects/{id}/bundle.zip': {
    parameters: [describe.project],
    get: {
      summary: 'The bundle',
      responses: {
        200: describe.file('Zip', 'application/zip'),
        ...describe.problems(404, 409, 413),
      },
    },
  },
} as const;

/** What a project falls back to, and what it delivers. */
export function deliveryRoutes(
  services: Pick<
    Services,
    'projects' | 'fonts' | 'tuner' | 'deliveries' | 'madeDeliveries' | 'localReadings'
  >,
): Router {
  const { projects, fonts, tuner, deliveries, madeDeliveries, localReadings } = services;
  const router = Router();

  /** @throws Problem 400 for a document with a file that the project has not taken in */
  const refuseUnknownFonts = async (id: string, document: ProjectDocument): Promise<void> => {
    const hashes = Object.values(document.case).flatMap(({ faces }) =>
      faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
    );
    if ((await fonts.missingFrom(id, hashes)).length > 0) {
      throw new Problem('bad-request', 'The change names a font file that was not added.');
    }
  };

  router.get('/projects/:id/fallbacks', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    response.json(await tuner.trials(id, document));
  });

  /** The same for the project as it would stand after a change, which is not made. */
  router.post('/projects/:id/fallbacks', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    const changed = applyChange(document, request.body).document;
    await refuseUnknownFonts(id, changed);
    response.json(await tuner.trials(id, changed));
  });

  router.delete('/projects/:id/fallbacks/fitting', async (request, response) => {
    const { id } = await projectOf(projects, request);
    tuner.stop(id);
    response.status(204).end();
  });

  /** One local font at each limit of evenness, for what a voice is most used in. */
  router.get('/projects/:id/fallbacks/:voice/:local/curve', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    const { voice, local } = request.params;
    if (!Object.hasOwn(document.voices, voice)) {
      throw new Problem('not-found', `There is no voice “${voice}”.`);
    }
    const { groups, space } = fittingOf(document, voice);
    const fittings = EVENNESS_POINTS.map((evenness) => ({ groups, evenness, target: 0, space }));
    response.json(await tuner.curve(id, document, { voice, local, fittings }));
  });

  /** Local fonts that were measured on a designer's machine. */
  router.get('/projects/:id/local-fonts', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const readings = await localReadings.list(id);
    response.json(readings.map(({ local, variant }) => ({ local, variant })));
  });

  router.post('/projects/:id/local-fonts', async (request, response) => {
    const { id } = await projectOf(projects, request);
    const body: unknown = request.body;
    if (!Array.isArray(body) || body.length === 0 || body.length > MOST_READINGS) {
      throw new Problem('bad-request', `Give a list of 1 to ${MOST_READINGS} readings.`);
    }
    const readings = body.map(readingIn);
    await localReadings.keep(id, readings);
    await deliveries.forget(id);
    response.status(201).json(readings.map(({ local, variant }) => ({ local, variant })));
  });

  router.delete('/projects/:id/delivery/making', async (request, response) => {
    const { id } = await projectOf(projects, request);
    deliveries.stop(id);
    response.status(204).end();
  });

  router.get('/projects/:id/delivery', async (request, response) => {
    const project = await projectOf(projects, request);
    response.type('json').vary('Accept-Encoding');
    if (request.acceptsEncodings('gzip')) {
      // A refusal is not packed.
      const packed = await deliveries.packed(project);
      response.set('Content-Encoding', 'gzip').send(packed);
    } else {
      response.send(JSON.stringify((await deliveries.of(project)).files));
    }
  });

  /** What is known of the files without waiting for one to be made; what has not been is begun with. */
  router.get('/projects/:id/delivery/evidence', async (request, response) => {
    const project = await projectOf(projects, request);
    const {
      made,
      copy,
      within = {},
      languages = [],
      together = {},
    } = await deliveries.evidence(project);
    const failed = deliveries.failures(project);
    if (Object.keys(failed).length === 0) {
      void deliveries.makeFiles(project).catch((error: unknown) => {
        request.log.warn({ err: error }, 'A file that is delivered could not be made.');
      });
    }
    response.json({ made, failed, copy, within, languages: [...languages], together });
  });

  /** Bytes of the font files after each of several changes, none of which is made. */
  router.post('/projects/:id/delivery/bytes', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    const changes: unknown = request.body;
    if (!Array.isArray(changes) || changes.length > MOST_CHANGES) {
      throw new Problem('bad-request', `Give a list of at most ${MOST_CHANGES} changes.`);
    }
    const bytes: number[] = [];
    for (const patch of changes) {
      const changed = applyChange(document, patch as Patch).document;
      await refuseUnknownFonts(id, changed);
      bytes.push(await deliveries.bytesOf({ id, document: changed }));
    }
    response.json(bytes);
  });

  /**
   * A file of the bundle as a site would serve it, and a bare page that links it. By revision, this one or an
   * earlier, so that all of them belong together.
   */
  router.get(
    '/projects/:id/delivery/:revision/files/*path',
    pageSecurity,
    async (request: Request<{ id: string; revision: string; path: string[] }>, response) => {
      const now = await projectOf(projects, request);
      const { path } = request.params;
      const revision = Number(request.params.revision);
      // The project may change while a browser still brings what an earlier revision delivers.
      const document =
        revision === now.revision ? now.document : await projects.documentAt(now.id, revision);
      if (!document) throw new Problem('not-found', 'The project has no such revision.');
      const project = { ...now, revision, document };
      const wanted = path.join('/');
      if (wanted === BARE_PAGE) {
        response.type('html').send(barePage(project.document));
        return;
      }
      const content = await deliveries.content(project, wanted);
      if (content === null) throw new Problem('not-found', 'The bundle has no such file.');
      response.type(wanted).send(typeof content === 'string' ? content : Buffer.from(content));
    },
  );

  const sendBundle = async (response: Response, project: Project): Promise<void> => {
    const bundle = await deliveries.bundle(project);
    response.attachment(`${slug(project.name)}-type.zip`);
    response.type('application/zip').send(bundle);
  };

  router.get('/projects/:id/bundle.zip', async (request, response) => {
    await sendBundle(response, await projectOf(projects, request));
  });

  /** Deliveries that were taken away. */
  router.get('/projects/:id/deliveries', async (request, response) => {
    const { id } = await projectOf(projects, request);
    response.json(await madeDeliveries.list(id));
  });

  router.post('/projects/:id/deliveries', async (request, response) => {
    const project = await projectOf(projects, request);
    const { id, revision } = project;
    const characters = await deliveries.characters(project);
    response.status(201).json(await madeDeliveries.keep(id, revision, characters));
  });

  /** The project as one of them found it. @throws Problem 404 */
  const deliveredProject = async (request: Request): Promise<Project> => {
    const project = await projectOf(projects, request);
    const revision = Number(request.params['revision']);
    const known = (await madeDeliveries.list(project.id)).some((one) => one.revision === revision);
    const document = known ? await projects.documentAt(project.id, revision) : null;
    if (!document) throw new Problem('not-found', 'This project has no such delivery.');
    return { ...project, revision, document };
  };

  router.get('/projects/:id/deliveries/:revision', async (request, response) => {
    const { files } = await deliveries.of(await deliveredProject(request));
    response.json(files);
  });

  router.get('/projects/:id/deliveries/:revision/bundle.zip', async (request, response) => {
    await sendBundle(response, await deliveredProject(request));
  });

  return router;
}
