import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { unzipSync } from 'fflate';
import type { RunningLettera } from './lettera';

/** A page with nothing but the delivered style sheet. */
export const BARE_PAGE = `<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<link rel="stylesheet" href="lettera.css">
<main><h1>A light has burned on Tarnholm</h1><h2>What we are for</h2><p class="lead">We are nine.</p>
<p>Tarnholm lies <em>eleven</em> miles <strong>out</strong>, <code>TH-7</code>. <a href="#">tides</a></p>
<p class="greek">λμνρσφψ</p>
<figure><figcaption>Tarnholm from the south-east</figcaption></figure>
<table><thead><tr><th>Hour</th></tr></thead><tbody><tr><td>12.00</td></tr></tbody></table>
<form><label>Name</label><input value="x"><button type="button">Send</button></form>
<blockquote><p>Wind came round at four</p></blockquote></main></html>`;

/** Texts of it, each of another text element. */
export const SELECTORS = [
  'h1',
  'h2',
  '.lead',
  'main > p:not([class])',
  'em',
  'strong',
  'code',
  'figcaption',
  'th',
  'td',
  'label',
  'input',
  'button',
  'blockquote p',
  'main a[href]:not([class])',
];
/** What the bundle decides of a text. */
export const TYPE = [
  'font-family',
  'font-size',
  'font-weight',
  'font-style',
  'line-height',
  'letter-spacing',
  'text-transform',
  'color',
];
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
