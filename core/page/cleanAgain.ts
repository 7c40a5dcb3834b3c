import { serialize } from 'parse5';
import { FontError } from '../font';
import { detectFormat } from '../font/file';
import { cleanCss } from './cleanCss';
import { cleanHtml } from './cleanHtml';
import { parseHtml } from './parseHtml';
import { livePageOf, livePathOf } from './readerFile';
import { LIVE_TYPE, type ReadFile, type ReadPage } from './readSite';
import {
  innerPath,
  isFontPath,
  isSheetPath,
  mediaTypeOf,
  targetOf,
  type SiteFile,
} from './siteFile';

/**
 * Pages that say that they have been read already, as a project file has them. It can be made by anybody, so they
 * are cleaned as if they had been brought by hand: what was clean comes out as it was.
 */

/** Raised with every change of what is taken out of pages and style sheets: stored ones are then cleaned again. */
export const CLEANER_VERSION = 1;

/** What the addresses of a site's files begin with in its pages. @param site what the site is told apart by */
export const siteBase = (site: string): string => `../sites/${site}/`;

const isData = (address: string): boolean => /^\s*data:/i.test(address);

/** The page that a piece of markup stands in. */
const around = (body: string): string =>
  `<!doctype html><html><head></head><body>${body}</body></html>`;

const withoutDoctype = (html: string): string => html.replace(/^<!doctype[^>]*>/i, '');

/** The contents of the body of a page that asks for nothing. @throws SiteError */
export function bodyAgain(body: string): string {
  const { html } = cleanHtml(around(body), {
    use: (address) => (isData(address) ? address : null),
    linked: () => undefined,
    standing: () => null,
  });
  // Where nothing was taken out it stays as it is written: a browser reads of it what was read here.
  if (withoutDoctype(html) === withoutDoctype(serialize(parseHtml(around(body))))) return body;
  return html.slice(html.indexOf('>', html.indexOf('<body')) + 1, html.lastIndexOf('</body>'));
}

/** A page that came with a project, as it may be kept. @throws SiteError */
export const pageAgain = <P extends { html: string; css: string }>(page: P): P => ({
  ...page,
  html: bodyAgain(page.html),
  css: sheetAgain(page.css),
});

/** A style sheet that asks for nothing. */
export const sheetAgain = (css: string): string =>
  cleanCss(css, (address) => (isData(address) ? address : null));

/**
 * Pages of a site and its files, as they may be kept.
 * @param site what the site is told apart by
 * @throws SiteError
 */
export function siteAgain(
  { pages, files }: { pages: readonly ReadPage[]; files: readonly SiteFile[] },
  site: string,
): { pages: ReadPage[]; files: ReadFile[] } {
  const base = siteBase(site);
  const live = new Set(pages.map(({ path }) => livePathOf(path)));
  const kept = files.flatMap((file) => fileAgain(file, live));
  const known = new Set(kept.map(({ path }) => path));
  const clean = kept.map((file) =>
    isSheetPath(file.path) ? { ...file, bytes: cssAgain(file, known) } : file,
  );
  const use = (address: string): string | null => {
    if (isData(address)) return address;
    if (!address.startsWith(base)) return null;
    const target = targetOf(address.slice(base.length), '');
    return target && 'path' in target && known.has(target.path) ? address : null;
  };
  return {
    files: clean,
    pages: pages.map((page) => ({
      ...page,
      html: cleanHtml(page.html, { use, linked: () => undefined, standing: () => null }).html,
      sheets: page.sheets.filter(({ path }) => known.has(path)),
    })),
  };
}

/** A file as it may be kept, or nothing for one that is of no kind that a page shows. */
function fileAgain({ path, bytes }: SiteFile, live: ReadonlySet<string>): ReadFile[] {
  if (innerPath(path) !== path) return [];
  if (live.has(path)) {
    const sound = JSON.stringify(livePageOf(new TextDecoder().decode(bytes)));
    return [{ path, type: LIVE_TYPE, bytes: new TextEncoder().encode(sound) }];
  }
  const type = mediaTypeOf(path);
  return type === null || (isFontPath(path) && !isFont(bytes)) ? [] : [{ path, type, bytes }];
}

function isFont(bytes: Uint8Array): boolean {
  try {
    detectFormat(bytes);
    return true;
  } catch (error) {
    if (!(error instanceof FontError)) throw error;
    return false;
  }
}

function cssAgain({ path, bytes }: ReadFile, known: ReadonlySet<string>): Uint8Array {
  const clean = cleanCss(new TextDecoder().decode(bytes), (address) => {
    if (isData(address)) return address;
    const target = targetOf(address, path);
    return target && 'path' in target && known.has(target.path) ? address : null;
  });
  return new TextEncoder().encode(clean);
}
