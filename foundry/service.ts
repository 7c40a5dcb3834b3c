import { createHash } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import express, { type Express, type Response } from 'express';
import { Catalogue, type FamilySummary } from './catalogue';

/** How the foundry misbehaves, for tests. Nothing set: it behaves. */
export interface Behaviour {
  /** Wait this long before each answer, milliseconds. */
  delay?: number;
  /** Answer this many of the next requests with 503. */
  failures?: number;
  /** Serve only the first half of each file. */
  cutFilesShort?: boolean;
  /** Serve other bytes than the catalogue promises. */
  serveWrongFiles?: boolean;
  /** Hold so many families at least, repeating those there are under further names. */
  families?: number;
  /** List these families alone, by their ids: a library as small as a test needs. */
  only?: readonly string[];
}

const DEFAULT_PAGE_SIZE = 40;
const LARGEST_PAGE_SIZE = 200;

const within = (value: unknown, fallback: number, most: number): number => {
  const number = Number(value ?? fallback);
  return Number.isInteger(number) && number >= 1 ? Math.min(number, most) : fallback;
};

/**
 * The simulated outside font library, as an HTTP service:
 *
 * - `GET /v1/families?page=1&size=40`: the index, paged, with ETag
 * - `GET /v1/families/:id`: a family with its files' checksums, characters and licence text
 * - `GET /v1/families/:id/files/:name`: a WOFF2 file
 */
export async function createFoundry(behaviour: Behaviour = {}): Promise<Express> {
  const catalogue = await Catalogue.open(behaviour.families);
  const listed = (): FamilySummary[] =>
    catalogue.families.filter(({ id }) => behaviour.only?.includes(id) ?? true);
  const app = express();
  app.disable('x-powered-by');
  app.set('etag', 'strong');

  app.use(async (_request, response, next) => {
    if (behaviour.delay) await wait(behaviour.delay);
    if (behaviour.failures && behaviour.failures > 0) {
      behaviour.failures--;
      response.status(503).json({ error: 'The foundry is closed for a moment.' });
      return;
    }
    next();
  });

  app.get('/v1/health', (_request, response) => {
    response.json({ families: listed().length });
  });

  app.get('/v1/families', (request, response) => {
    const size = within(request.query['size'], DEFAULT_PAGE_SIZE, LARGEST_PAGE_SIZE);
    const families = listed();
    const total = families.length;
    const pages = Math.ceil(total / size);
    const page = within(request.query['page'], 1, Math.max(1, pages));
    response.json({
      page,
      pages,
      total,
      families: families.slice((page - 1) * size, page * size),
    });
  });

  app.get('/v1/families/:id', async (request, response) => {
    const details = await catalogue.details(request.params.id);
    if (details) response.json(details);
    else notThere(response);
  });

  app.get('/v1/families/:id/files/:name', async (request, response) => {
    const file = await catalogue.file(request.params.id, request.params.name);
    if (!file) {
      notThere(response);
      return;
    }
    const bytes = behaviour.serveWrongFiles
      ? Buffer.from(file).reverse()
      : file.subarray(0, behaviour.cutFilesShort ? file.length / 2 : file.length);
    response.set('ETag', `"${createHash('sha256').update(file).digest('hex')}"`);
    response.type('font/woff2').send(bytes);
  });

  return app;
}

const notThere = (response: Response) =>
  response.status(404).json({ error: 'The foundry has nothing by that name.' });
