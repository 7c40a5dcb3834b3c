/** A file of a site as it was brought in: its path within what was brought, with `/` between folders. */
export interface SiteFile {
  path: string;
  bytes: Uint8Array;
}

/** The most that a site may have: of files, of bytes, of each kind. */
export const SITE_LIMITS = {
  /** Files at once, and bytes of them all. */
  files: 2000,
  bytes: 64 * 1024 * 1024,
  /** Bytes of one page, and of one style sheet. */
  html: 5 * 1024 * 1024,
  css: 5 * 1024 * 1024,
  pages: 60,
  /** Style sheets that stand in one page. */
  sheets: 2000,
  /** Elements of one page, and how deep they may stand in one another: browsers go no deeper. */
  elements: 250_000,
  depth: 512,
} as const;

/** A page or a site that cannot be brought in, with what was wrong. */
export class SiteError extends Error {
  override readonly name = 'SiteError';
}

/** What files of a site are served as; files of other kinds set no text, and are left out. */
const TYPES: Readonly<Record<string, string>> = {
  css: 'text/css; charset=utf-8',
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  avif: 'image/avif',
  svg: 'image/svg+xml',
  ico: 'image/x-icon',
  woff: 'font/woff',
  woff2: 'font/woff2',
  ttf: 'font/ttf',
  otf: 'font/otf',
};
const FONTS = new Set(['woff', 'woff2', 'ttf', 'otf']);

const extensionOf = (path: string): string =>
  /\.([a-z0-9]+)$/i.exec(path)?.[1]?.toLowerCase() ?? '';

/** The media type that a file is served as, or null for one that is not. */
export const mediaTypeOf = (path: string): string | null => TYPES[extensionOf(path)] ?? null;
export const isFontPath = (path: string): boolean => FONTS.has(extensionOf(path));
export const isPagePath = (path: string): boolean => /^(html?|xhtml)$/.test(extensionOf(path));
export const isSheetPath = (path: string): boolean => extensionOf(path) === 'css';

/** Folders that programs put into archives, and that are no part of a site. */
const NO_PART = /(^|\/)(__MACOSX|\.git|node_modules)\/|(^|\/)(\.DS_Store|Thumbs\.db)$/;

/** Characters of a path: common file systems take no more. */
const LONGEST_PATH = 1024;

/**
 * A path within what was brought, without steps up or back; null for one that leads out of it, or that is no
 * part of a site.
 */
export function innerPath(path: string): string | null {
  if (path.length > LONGEST_PATH) return null;
  const steps: string[] = [];
  for (const step of path.replaceAll('\\', '/').split('/')) {
    if (step === '' || step === '.') continue;
    if (step === '..') {
      if (steps.pop() === undefined) return null;
    } else steps.push(step);
  }
  const inner = steps.join('/');
  const drive = /^[a-z]:/i.test(inner);
  return inner === '' || drive || NO_PART.test(inner) || inner.includes('\0') ? null : inner;
}

/** Where an address in a file of a site leads: to a path in it, elsewhere, or nowhere. */
export type Target = { path: string } | { outside: string } | null;

const decoded = (path: string): string => {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
};

/**
 * Resolves an address against the file that it stands in. A root is the folder that was brought.
 *
 * @param from path of the file that the address stands in
 */
export function targetOf(address: string, from: string): Target {
  const plain = address.trim().replace(/[\t\n\r]/g, '');
  if (plain === '' || plain.startsWith('#')) return null;
  if (/^[a-z][a-z0-9+.-]*:/i.test(plain) || /^[/\\]{2}/.test(plain)) return { outside: plain };
  const path = decoded(plain.replace(/[?#].*$/s, ''));
  const folder = from.includes('/') ? from.slice(0, from.lastIndexOf('/')) : '';
  const inner = innerPath(path.startsWith('/') ? path : `${folder}/${path}`);
  return inner === null ? { outside: plain } : { path: inner };
}

/** The address of one file of a site in another. */
export function addressOf(path: string, from: string): string {
  const steps = path.split('/');
  const base = from.split('/').slice(0, -1);
  while (steps.length > 1 && base.length > 0 && steps[0] === base[0]) {
    steps.shift();
    base.shift();
  }
  return [...base.map(() => '..'), ...steps.map(encodeURIComponent)].join('/');
}
