import { existsSync } from 'node:fs';
import { readdir, readFile, stat } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { basename, join, relative } from 'node:path';
import type { ProjectDocument } from '@lettera/core/document';
import {
  NOT_LIVE,
  SITE_LIMITS,
  SiteError,
  livePageOf,
  livePathOf,
  type LivePage,
} from '@lettera/core/page';
import { readSite, rulesOfPage, siteFilesIn, type ReadSite } from '@lettera/core/page/file';
import type { Drift, Stock } from '@lettera/core/stock';
import puppeteer from 'puppeteer-core';

/** No browser was found that a page could be read in. */
export class BrowserError extends Error {
  override readonly name = 'BrowserError';
}

const BROWSERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** @throws BrowserError */
function browserPath(): string {
  const path = [process.env['LETTERA_CHROMIUM'] ?? '', ...BROWSERS].find(
    (one) => one !== '' && existsSync(one),
  );
  if (path) return path;
  throw new BrowserError(
    'Pages are read in Chromium, and none was found. Install it, or name it with LETTERA_CHROMIUM.',
  );
}

/** Files of a site as they are given: alone, in folders, or in archives. */
async function given(paths: readonly string[]): Promise<{ path: string; bytes: Uint8Array }[]> {
  const files: { path: string; bytes: Uint8Array }[] = [];
  const add = async (at: string, path: string): Promise<void> => {
    if (files.length > SITE_LIMITS.files) {
      throw new SiteError(`A site may come in ${SITE_LIMITS.files} files.`);
    }
    files.push({ path, bytes: new Uint8Array(await readFile(at)) });
  };
  for (const path of paths) {
    if (!(await stat(path)).isDirectory()) {
      await add(path, basename(path));
      continue;
    }
    for (const entry of await readdir(path, { recursive: true, withFileTypes: true })) {
      const at = join(entry.parentPath, entry.name);
      if (entry.isFile()) await add(at, relative(path, at).replaceAll('\\', '/'));
    }
  }
  return files;
}

/** The policy of a page that is read: it asks for nothing but its own files, and runs nothing. */
const POLICY =
  "default-src 'none'; style-src 'self'; style-src-attr 'unsafe-inline'; font-src 'self' data:; img-src 'self' data:; sandbox allow-same-origin";

function serve({ pages, files }: ReadSite): Promise<Server> {
  const byPath = new Map(files.map((file) => [file.path, file]));
  const server = createServer((request, response) => {
    const [, kind, rest = ''] = /^\/(pages|files)\/([^?]*)/.exec(request.url ?? '') ?? [];
    const page = kind === 'pages' ? pages[Number(rest)] : undefined;
    const file = kind === 'files' ? byPath.get(decodeURIComponent(rest)) : undefined;
    if (page) {
      response.setHeader('Content-Type', 'text/html; charset=utf-8');
      response.setHeader('Content-Security-Policy', POLICY);
      response.end(page.html);
    } else if (file) {
      response.setHeader('Content-Type', file.type);
      response.end(Buffer.from(file.bytes));
    } else {
      response.setHeader('Content-Type', 'text/html; charset=utf-8');
      response.end('<!doctype html><title>Lettera</title><body></body>');
    }
  });
  return new Promise((resolve) => server.listen(0, '127.0.0.1', () => resolve(server)));
}

/** What a page showed where it is live; none where it was not given. */
function liveOf({ files }: ReadSite, page: string): LivePage {
  const file = files.find(({ path }) => path === livePathOf(page));
  return file ? livePageOf(new TextDecoder().decode(file.bytes)) : NOT_LIVE;
}

interface Reader {
  takeStock(
    pages: readonly object[],
    made: string,
    project: ProjectDocument | null,
  ): Promise<{ stock: Stock; drift: Drift | null }>;
}

/**
 * Takes stock of a site that lies in files: pages with what belongs to them, archives, folders, or what the
 * reader gave; and says how far it follows a project, where one is given.
 *
 * @param script the reader, built to be run in a page
 * @throws SiteError, BrowserError
 */
export async function stockOfSite(
  paths: readonly string[],
  script: string,
  project: ProjectDocument | null,
): Promise<{ stock: Stock; drift: Drift | null }> {
  const executablePath = browserPath();
  const files = await given(paths);
  const site = readSite(siteFilesIn(files), '/files/');
  const texts = new Map(
    site.files
      .filter(({ type }) => type.startsWith('text/css'))
      .map(({ path, bytes }) => [path, new TextDecoder().decode(bytes)]),
  );
  const server = await serve(site);
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await puppeteer.launch({
    executablePath,
    headless: true,
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage();
    await page.goto(address);
    await page.evaluate(script);
    return await page.evaluate(
      (pages, made, wanted) =>
        (globalThis as unknown as { letteraStock: Reader }).letteraStock.takeStock(
          pages,
          made,
          wanted,
        ),
      site.pages.map(({ path, title, sheets }, i) => ({
        address: `/pages/${i}`,
        title,
        rules: rulesOfPage(sheets, texts),
        elsewhere: [],
        live: liveOf(site, path),
      })),
      new Date().toISOString(),
      project,
    );
  } finally {
    await browser.close();
    server.closeAllConnections();
    server.close();
  }
}
