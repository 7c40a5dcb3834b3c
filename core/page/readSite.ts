import { FontError } from '../font';
import { detectFormat } from '../font/file';
import { cleanCss } from './cleanCss';
import { cleanHtml } from './cleanHtml';
import { decodeText } from './decode';
import { livePageOf, livePathOf } from './readerFile';
import { Removals, type Removed } from './removed';
import {
  addressOf,
  innerPath,
  isFontPath,
  isPagePath,
  isSheetPath,
  mediaTypeOf,
  SITE_LIMITS,
  SiteError,
  targetOf,
  type SiteFile,
  type Target,
} from './siteFile';

/** A style sheet of a page: the file that it is kept as, and what stands around all of it. */
export interface SheetOfPage {
  path: string;
  media: string;
}

/** A page as it is kept: safe to show. */
export interface ReadPage {
  path: string;
  title: string;
  html: string;
  /** In the order of the page. */
  sheets: SheetOfPage[];
  removed: Removed[];
  /** What is to be said of how it was read. */
  notes: string[];
}

/** A file that the pages ask for. */
export interface ReadFile {
  path: string;
  type: string;
  bytes: Uint8Array;
}

export interface ReadSite {
  pages: ReadPage[];
  files: ReadFile[];
  /** Pages that cannot be brought in, and why. */
  refused: { path: string; why: string }[];
  /** Files that were brought and are left out, and why. */
  leftOut: { path: string; why: string }[];
}

/** What a page showed where it is live is served as. */
export const LIVE_TYPE = 'application/json; charset=utf-8';

const megabytes = (bytes: number): string => `${Math.round(bytes / 1024 / 1024)} MB`;

/** Where files of a site were fetched from, by their paths: what was asked for, and what addresses in it are resolved against. */
export type Addresses = Readonly<Record<string, { address: string; base: string }>>;

class Site {
  readonly #paths: ReadonlyMap<string, string>;
  readonly #files = new Map<string, Uint8Array>();
  /** Of each page, the number of the last style sheet that stands in it. */
  readonly #standing = new Map<string, number>();
  readonly #sheets = new Map<string, { text: string; removed: Removed[]; note: string | null }>();
  readonly kept = new Map<string, ReadFile>();
  readonly leftOut: ReadSite['leftOut'] = [];

  constructor(
    files: readonly SiteFile[],
    private readonly addresses: Addresses,
  ) {
    this.#paths = new Map(Object.entries(addresses).map(([path, { address }]) => [address, path]));
    for (const { path, bytes } of files) {
      const inner = innerPath(path);
      if (inner === null) {
        if (path.includes('..'))
          this.leftOut.push({ path, why: 'Its path leads out of what was brought.' });
      } else if (!this.#files.has(inner)) this.#files.set(inner, bytes);
    }
  }

  get pages(): string[] {
    return [...this.#files.keys()].filter(isPagePath).sort(byPlace);
  }

  bytes(path: string): Uint8Array | undefined {
    return this.#files.get(path);
  }

  /** Where an address in a file leads: by where that was fetched from, or among what was brought. */
  target(address: string, from: string): Target {
    const own = this.addresses[from.replace(/\.style-\d+\.css$/, '')];
    if (own === undefined) return targetOf(address, from);
    if (address.trim() === '' || address.trim().startsWith('#')) return null;
    try {
      const url = new URL(address.trim(), own.base);
      url.hash = '';
      const path = this.#paths.get(url.href);
      return path === undefined ? { outside: url.href } : { path };
    } catch {
      return { outside: address };
    }
  }

  /** Leaves a file out, which is reported once however often it is asked for. */
  #leaveOut(path: string, why: string): void {
    if (!this.leftOut.some((one) => one.path === path)) this.leftOut.push({ path, why });
  }

  /** The address of a file for who stands at `from`; what is not there or leads elsewhere is reported. */
  use(address: string, from: string, removals: Removals): string | null {
    if (/^data:/i.test(address.trim())) return address.trim();
    const target = this.target(address, from);
    if (target === null) return null;
    if ('outside' in target) {
      removals.add('request', target.outside);
      return null;
    }
    const { path } = target;
    const bytes = this.#files.get(path);
    if (bytes === undefined) {
      removals.add('missing', path);
      return null;
    }
    return this.#keep(path, bytes) ? path : null;
  }

  #keep(path: string, bytes: Uint8Array): boolean {
    if (this.kept.has(path)) return true;
    const type = mediaTypeOf(path);
    if (type === null || this.leftOut.some((one) => one.path === path)) return false;
    if (isFontPath(path)) {
      try {
        detectFormat(bytes);
      } catch (error) {
        if (!(error instanceof FontError)) throw error;
        this.#leaveOut(path, 'It is no font.');
        return false;
      }
    }
    // What imports itself finds itself kept.
    this.kept.set(path, { path, type, bytes });
    if (isSheetPath(path)) {
      this.kept.set(path, {
        path,
        type,
        bytes: new TextEncoder().encode(this.sheet(path)?.text ?? ''),
      });
    }
    return true;
  }

  /** Keeps what a page showed where it is live, if the reader gave that. */
  keepLive(page: string): void {
    const path = livePathOf(page);
    const bytes = this.#files.get(path);
    if (!bytes) return;
    // Anybody can have a file of that name: no more than what is sound is kept of it.
    const live = JSON.stringify(livePageOf(new TextDecoder().decode(bytes)));
    this.kept.set(path, { path, type: LIVE_TYPE, bytes: new TextEncoder().encode(live) });
  }

  /** Keeps a style sheet that stands in a page, beside the page. @throws SiteError for more than may be */
  addSheet(page: string, css: string): { path: string; removed: Removed[] } {
    for (let number = (this.#standing.get(page) ?? 0) + 1; ; number++) {
      const path = `${page}.style-${number}.css`;
      if (this.#files.has(path)) continue;
      if (number > SITE_LIMITS.sheets) {
        throw new SiteError(
          `More than ${SITE_LIMITS.sheets.toLocaleString('en')} style sheets stand in it.`,
        );
      }
      this.#standing.set(page, number);
      this.#files.set(path, new TextEncoder().encode(css));
      this.#keep(path, new Uint8Array());
      return { path, removed: this.sheet(path)?.removed ?? [] };
    }
  }

  /** A style sheet with the addresses that it is kept with. */
  sheet(path: string): { text: string; removed: Removed[]; note: string | null } | null {
    const known = this.#sheets.get(path);
    if (known) return known;
    const bytes = this.#files.get(path);
    if (!bytes) return null;
    if (bytes.byteLength > SITE_LIMITS.css) {
      this.#leaveOut(path, `It is larger than ${megabytes(SITE_LIMITS.css)}.`);
      return null;
    }
    const { text, note } = decodeText(bytes);
    const removals = new Removals();
    const sheet = { text: '', removed: [] as Removed[], note: note && `${path}: ${note}` };
    this.#sheets.set(path, sheet);
    sheet.text = cleanCss(text, (address) => {
      const used = this.use(address, path, removals);
      return used !== null && !used.startsWith('data:') ? addressOf(used, path) : used;
    });
    sheet.removed = removals.list();
    return sheet;
  }
}

/** The first page of a folder stands before others, and outer ones before inner. */
function byPlace(a: string, b: string): number {
  const isFirst = (path: string) => /(^|\/)(index|home)\.x?html?$/i.test(path);
  const depth = (path: string) => path.split('/').length;
  return depth(a) - depth(b) || Number(isFirst(b)) - Number(isFirst(a)) || a.localeCompare(b);
}

const encodedPath = (path: string): string => path.split('/').map(encodeURIComponent).join('/');

function readPage(site: Site, path: string, base: string): ReadPage {
  const bytes = site.bytes(path) ?? new Uint8Array();
  if (bytes.byteLength > SITE_LIMITS.html) {
    throw new SiteError(`It is larger than ${megabytes(SITE_LIMITS.html)}.`);
  }
  const { text, note } = decodeText(bytes);
  site.keepLive(path);
  const sheets: SheetOfPage[] = [];
  const page = cleanHtml(text, {
    use: (address, removals) => {
      const used = site.use(address, path, removals);
      return used === null || used.startsWith('data:') ? used : base + encodedPath(used);
    },
    linked: (address, media) => {
      const target = site.target(address, path);
      if (target && 'path' in target) sheets.push({ path: target.path, media });
    },
    standing: (css, media) => {
      const sheet = site.addSheet(path, css);
      sheets.push({ path: sheet.path, media });
      return { address: base + encodedPath(sheet.path), removed: sheet.removed };
    },
  });
  const notes = sheets.flatMap((sheet) => site.sheet(sheet.path)?.note ?? []);
  // What a linked sheet asks for is asked for by the page; that of sheets which stand in it is reported already.
  const removals = new Removals();
  const linked = sheets.filter(({ path: sheet }) => !sheet.startsWith(`${path}.style-`));
  for (const { kind, what, times } of [
    ...page.removed,
    ...linked.flatMap((sheet) => site.sheet(sheet.path)?.removed ?? []),
  ]) {
    removals.add(kind, what, times);
  }
  return {
    path,
    title: page.title || path.replace(/^.*\//, '').replace(/\.[^.]+$/, ''),
    html: page.html,
    sheets,
    removed: removals.list(),
    notes: [...(note ? [note] : []), ...notes],
  };
}

/**
 * Reads the pages among files that were added, and what they ask for. A page that cannot be shown
 * refuses only itself.
 *
 * @param base what the addresses of files begin with in a page
 * @param addresses where files were fetched from, where they were: addresses in them are resolved against that
 * @throws SiteError when there is no page among them, or none that can be shown
 */
export function readSite(
  files: readonly SiteFile[],
  base: string,
  addresses: Addresses = {},
): ReadSite {
  const site = new Site(files, addresses);
  const paths = site.pages;
  if (paths.length === 0) throw new SiteError('There is no page among them: no .html file.');
  const refused: ReadSite['refused'] = paths
    .slice(SITE_LIMITS.pages)
    .map((path) => ({ path, why: `Only ${SITE_LIMITS.pages} pages are added at once.` }));
  const pages = paths.slice(0, SITE_LIMITS.pages).flatMap((path) => {
    try {
      return [readPage(site, path, base)];
    } catch (error) {
      if (!(error instanceof SiteError)) throw error;
      refused.push({ path, why: error.message });
      return [];
    }
  });
  if (pages.length === 0) {
    throw new SiteError(refused.map(({ path, why }) => `${path}: ${why}`).join(' '));
  }
  return { pages, files: [...site.kept.values()], refused, leftOut: site.leftOut };
}
