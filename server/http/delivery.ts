import { Router } from 'express';
import { slug } from '@lettera/core/deliver';
import { applyChange } from '@lettera/core/change';
import type { Services } from '../services';
import { Problem } from './problem';
import { projectOf } from './requests';

/** What a project falls back to, and what it delivers. */
export function deliveryRoutes(
  services: Pick<Services, 'projects' | 'fonts' | 'tuner' | 'deliveries'>,
): Router {
  const { projects, fonts, tuner, deliveries } = services;
  const router = Router();

  router.get('/projects/:id/fallbacks', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    response.json(await tuner.trials(id, document));
  });

  /** The same for the project as it would stand after a change, which is not made. */
  router.post('/projects/:id/fallbacks', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    const changed = applyChange(document, request.body).document;
    const hashes = Object.values(changed.case).flatMap(({ faces }) =>
      faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
    );
    if ((await fonts.missingFrom(id, hashes)).length > 0) {
      throw new Problem('bad-request', 'The change names a font file that was not taken in.');
    }
    response.json(await tuner.trials(id, changed));
  });

  router.get('/projects/:id/delivery', async (request, response) => {
    const project = await projectOf(projects, request);
    response.type('json').vary('Accept-Encoding');
    if (request.acceptsEncodings('gzip')) {
      response.set('Content-Encoding', 'gzip').send(await deliveries.packed(project));
    } else {
      response.send(JSON.stringify((await deliveries.of(project)).files));
    }
  });

  /** What is known of the files without waiting for one to be made; what has not been is begun with. */
  router.get('/projects/:id/delivery/evidence', async (request, response) => {
    const project = await projectOf(projects, request);
    const { made } = await deliveries.evidence(project.document);
    const failed = deliveries.failures(project);
    if (Object.keys(failed).length === 0) {
      void deliveries.makeFiles(project).catch((error: unknown) => {
        request.log.warn({ err: error }, 'A file that is delivered could not be made.');
      });
    }
    response.json({ made, failed });
  });

  router.get('/projects/:id/bundle.zip', async (request, response) => {
    const project = await projectOf(projects, request);
    const bundle = await deliveries.bundle(project);
    response.attachment(`${slug(project.name)}-type.zip`);
    response.type('application/zip').send(bundle);
  });

  return router;
}
