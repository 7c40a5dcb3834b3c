import { existsSync } from 'node:fs';
import { readdir, readFile, stat } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { basename, join, relative, resolve } from 'node:path';
import type { ProjectDocument } from '@lettera/core/document';
import { SITE_LIMITS, SiteError } from '@lettera/core/page';
import {
  pagesAsRead,
  readSite,
  siteFilesIn,
  type PageAsRead,
  type ReadSite,
} from '@lettera/core/page/file';
import { driftOf, type Drift, type Stock } from '@lettera/core/stock';
import { NotLiveError, stockOfReadings } from '@lettera/core/stock/reading';
import puppeteer, { type Browser } from 'puppeteer-core';
import { crawlSite, isAddress, type Crawling } from './crawlSite';

/** Pages that only a browser can read, and none was found. */
export class BrowserError extends Error {
  override readonly name = 'BrowserError';
}

const BROWSERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** The browser that is named, or one that is where such programs are put; null for none. */
function browserPath(): string | null {
  const named = process.env['LETTERA_CHROMIUM'];
  return (named ? [named] : BROWSERS).find((path) => existsSync(path)) ?? null;
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

interface Reader {
  takeStock(
    pages: readonly object[],
    made: string,
    project: ProjectDocument | null,
  ): Promise<{ stock: Stock; drift: Drift | null }>;
}

/** The type of a site, how far that follows a project, and what it was read with. */
export interface SiteTaken {
  stock: Stock;
  drift: Drift | null;
  /** Where it is the reader's file, what a browser alone can tell is not known. */
  by: 'Chromium' | 'the reader’s file';
}

/**
 * Takes stock of a site that lies in files, pages with what belongs to them, archives, folders, or what the reader
 * gave, or that is fetched from addresses; and says how far it follows a project, where one is given. It is read in Chromium, or without a
 * browser where all of it is what the reader gave.
 *
 * @param script the reader, built to be run in a page
 * @throws SiteError, BrowserError
 */
export async function stockOfSite(
  places: readonly string[],
  script: string,
  project: ProjectDocument | null,
  crawling: Crawling = {},
): Promise<SiteTaken> {
  const executablePath = browserPath();
  // It starts while the site is read.
  const starting = executablePath === null ? null : launch(executablePath);
  try {
    return await takeIn(places, starting, script, project, crawling);
  } finally {
    await (await starting?.catch(() => null))?.close();
  }
}

const launch = (executablePath: string): Promise<Browser> =>
  puppeteer.launch({
    executablePath,
    headless: true,
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
  });

/** As `stockOfSite`, in a browser that is starting; without one where there is none. */
async function takeIn(
  places: readonly string[],
  starting: Promise<Browser> | null,
  script: string,
  project: ProjectDocument | null,
  crawling: Crawling,
): Promise<SiteTaken> {
  const paths = places.filter((place) => !isAddress(place)).map((path) => resolve(path));
  const named = places.filter(isAddress);
  const fetched = await crawlSite(named, crawling);
  const files = [...siteFilesIn(await given(paths)), ...fetched.files];
  const site = readSite(files, '/files/', fetched.addresses);
  const pages = pagesAsRead(site);
  const made = new Date().toISOString();
  if (starting === null) return withoutBrowser(pages, made, project);
  const server = await serve(site);
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  try {
    const page = await (await starting).newPage();
    await page.goto(address);
    await page.evaluate(script);
    const taken = await page.evaluate(
      (all, when, wanted) =>
        (globalThis as unknown as { letteraStock: Reader }).letteraStock.takeStock(
          all,
          when,
          wanted,
        ),
      pages.map(({ html: _html, ...page }, i) => ({ address: `/pages/${i}`, ...page })),
      made,
      project,
    );
    return { ...taken, by: 'Chromium' };
  } finally {
    server.closeAllConnections();
    server.close();
  }
}

/** @throws BrowserError for pages that the reader did not give */
function withoutBrowser(
  pages: readonly PageAsRead[],
  made: string,
  project: ProjectDocument | null,
): SiteTaken {
  try {
    const { stock, lineages } = stockOfReadings(pages, made);
    return { stock, drift: project && driftOf(stock, project, lineages), by: 'the reader’s file' };
  } catch (error) {
    if (!(error instanceof NotLiveError)) throw error;
    throw new BrowserError(
      `${error.message} Such pages are read in Chromium, and none was found. Install it, name it with LETTERA_CHROMIUM, or give what the reader gives.`,
    );
  }
}
