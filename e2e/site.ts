import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { unzipSync } from 'fflate';
import type { RunningLettera } from './lettera';

/** A page of a site that has nothing but the delivered bundle, served on an address of its own. */
export interface Site {
  url: string;
  files: Record<string, Uint8Array>;
  /** Fetches the bundle of the project as it stands now. */
  deliver(): Promise<void>;
  close(): Promise<void>;
}

/**
 * Serves a page beside the bundle of a project.
 * @param own files of the site's own, by their paths
 */
export async function serveSite(
  lettera: RunningLettera,
  project: string,
  page: string,
  own: Record<string, Uint8Array> = {},
): Promise<Site> {
  let files: Record<string, Uint8Array> = {};
  const server = createServer((request, response) => {
    const path = (request.url ?? '/').slice(1).replace(/\?.*$/, '');
    const file = own[path] ?? files[path];
    if (path === '') response.setHeader('Content-Type', 'text/html');
    if (path.endsWith('.css')) response.setHeader('Content-Type', 'text/css');
    response.setHeader('Cache-Control', 'no-store');
    response.statusCode = path === '' || file ? 200 : 404;
    response.end(path === '' ? page : file);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const site: Site = {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    files,
    async deliver() {
      const bundle = await fetch(`${lettera.url}/api/v1/projects/${project}/bundle.zip`);
      files = unzipSync(new Uint8Array(await bundle.arrayBuffer()));
      site.files = files;
    },
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        // A browser opens connections ahead, which would be waited for.
        server.closeAllConnections();
      }),
  };
  await site.deliver();
  return site;
}
