import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import packedFiles from 'express-static-gzip';
import { notFound } from './problem';
import { contentSecurity, newNonce } from './security';

/** What the built page has in place of each answer's nonce. */
const NONCE_PLACE = /__NONCE__/g;

/** The built web application: its files, and its one page at every address of its own. */
export function webApp(folder: string): Router {
  const router = Router();
  const page = readFileSync(join(folder, 'index.html'), 'utf8');

  router.use(
    '/assets',
    // The build has left each of them packed beside itself.
    packedFiles(join(folder, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
    notFound,
  );
  router.use(express.static(folder, { index: false }));
  router.get('/{*path}', (request, response, next) => {
    if (!request.accepts('html')) {
      next();
      return;
    }
    const nonce = newNonce();
    contentSecurity(nonce)(request, response, () => {
      response.set('Cache-Control', 'no-store').type('html').send(page.replace(NONCE_PLACE, nonce));
    });
  });
  return router;
}
