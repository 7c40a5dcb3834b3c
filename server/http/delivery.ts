import { Router } from 'express';
import { slug } from '@lettera/core/deliver';
import { makeBundle, planDelivery } from '../delivery';
import type { Services } from '../services';
import { projectOf } from './requests';

/** What a project falls back to, and what it delivers. */
export function deliveryRoutes(services: Services): Router {
  const { projects, tuner } = services;
  const router = Router();

  router.get('/projects/:id/fallbacks', async (request, response) => {
    const { id, document } = await projectOf(projects, request);
    response.json(await tuner.trials(id, document));
  });

  router.get('/projects/:id/delivery', async (request, response) => {
    const project = await projectOf(projects, request);
    const files = await planDelivery(services, project);
    response.json(
      files.map((file) =>
        file.kind === 'text' ? { ...file, bytes: Buffer.byteLength(file.content) } : file,
      ),
    );
  });

  router.get('/projects/:id/bundle.zip', async (request, response) => {
    const project = await projectOf(projects, request);
    const bundle = await makeBundle(services, project);
    response.attachment(`${slug(project.name)}-type.zip`);
    response.type('application/zip').send(Buffer.from(bundle));
  });

  return router;
}
