import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { unzipSync } from 'fflate';
import { samplePages } from '@lettera/sample';
import type { RunningLettera } from '../lettera';

/** The sample's pages as a site has them, with the delivered bundle and nothing else of Lettera's. */
export interface SiteInTwo {
  url: string;
  pages: string[];
  close(): Promise<void>;
}

/**
 * Serves the sample's pages twice: under `web/` with the fonts of the bundle, under `fallback/` without, as
 * where they never arrive.
 */
export async function serveInTwo(lettera: RunningLettera): Promise<SiteInTwo> {
  const bundle = await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/bundle.zip`);
  const files = unzipSync(new Uint8Array(await bundle.arrayBuffer()));
  const pages = await samplePages();
  const html = new Map(
    pages.map(({ slug, html: body, css }) => [
      slug,
      `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${slug}</title><link rel="stylesheet" href="lettera.css"><style>${css}</style><body>${body}</body></html>`,
    ]),
  );
  const server = createServer((request, response) => {
    const [, side = '', ...rest] = (request.url ?? '/').split('/');
    const path = rest.join('/');
    const page = html.get(path);
    const file = side === 'fallback' && path.startsWith('fonts/') ? undefined : files[path];
    response.setHeader('Cache-Control', 'no-store');
    if (side === '') {
      response.setHeader('Content-Type', 'text/html');
      response.end('<!doctype html><title>Engines</title><body></body>');
    } else if (page) {
      response.setHeader('Content-Type', 'text/html; charset=utf-8');
      response.end(page);
    } else {
      if (path.endsWith('.css')) response.setHeader('Content-Type', 'text/css');
      response.statusCode = file ? 200 : 404;
      response.end(file);
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    pages: pages.map(({ slug }) => slug),
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}
