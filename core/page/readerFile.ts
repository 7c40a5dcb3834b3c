import { SITE_LIMITS, SiteError, innerPath, type SiteFile } from './siteFile';

/** The format of what the reader gives, and the newest version that is read. docs/reading.md. */
export const READING_FORMAT = 'lettera-reading';
const NEWEST = 1;

/** Views that a reading has at most, and texts of one. */
const MOST_VIEWS = 20;
const MOST_SHEETS = 500;

type Json = Record<string, unknown>;

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether a file is one that the reader gave, by how it begins; whether it is sound is reported when it is read. */
export const isReading = ({ path, bytes }: SiteFile): boolean =>
  /\.json$/i.test(path) &&
  /^\s*\{\s*"format"\s*:\s*"lettera-/.test(new TextDecoder().decode(bytes.subarray(0, 200)));

const broken = (what: string): SiteError =>
  new SiteError(`It is no sound file of the reader’s: ${what}. Nothing was read from it.`);

function text(from: Json, name: string, most: number): string {
  const value = from[name];
  if (typeof value !== 'string') throw broken(`“${name}” is no text`);
  if (value.length > most) throw broken(`“${name}” is longer than ${most.toLocaleString('en')}`);
  return value;
}

function list(from: Json, name: string, most: number): Json[] {
  const value = from[name];
  if (!Array.isArray(value)) throw broken(`“${name}” is no list`);
  if (value.length > most) throw broken(`“${name}” has more than ${most} entries`);
  if (!value.every(isObject)) throw broken(`“${name}” holds what is no object`);
  return value;
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw broken('it is cut short, or no JSON');
  }
}

const escaped = (value: string): string =>
  value.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');

/** A page as it was where it is live. docs/reading.md. */
export interface LivePage {
  views: LiveView[];
  faces: LiveFace[];
}
/** A page that was not read where it is live. */
export const NOT_LIVE: LivePage = { views: [], faces: [] };
/** A face that it declares, and what became of it there. */
export interface LiveFace {
  family: string;
  weight: string;
  style: string;
  status: 'unloaded' | 'loading' | 'loaded' | 'error';
  /** What characters it is for; left out for all of them, and by older readers. */
  unicodeRange?: string;
}
/** What it showed at one width. */
export interface LiveView {
  width: number;
  texts: LiveText[];
}
export interface LiveText {
  words: string;
  /** As `font-family` is computed. */
  family: string;
  size: number;
  weight: number;
  style: string;
  lineHeight: number | null;
  letterSpacing: number;
  letterCase: string;
  colour: string;
  /** The family of the stack that draws most of its letters there; null for none, left out by older readers. */
  face?: string | null;
  /** Characters of its fuller lines there; null for a text of one line, left out by older readers. */
  measure?: number | null;
}

/** A text as the reader gives it, and no more; none where it is not sound. */
function liveText(from: Json): LiveText[] {
  const { words, family, size, weight, style, lineHeight, letterSpacing, letterCase, colour } =
    from;
  const { face, measure } = from;
  const isSound =
    [words, family, style, letterCase, colour].every((one) => typeof one === 'string') &&
    [size, weight, letterSpacing].every(Number.isFinite) &&
    (lineHeight === null || Number.isFinite(lineHeight)) &&
    (face === undefined || face === null || typeof face === 'string') &&
    (measure === undefined || measure === null || Number.isFinite(measure));
  if (!isSound) return [];
  const text = {
    words,
    family,
    size,
    weight,
    style,
    lineHeight,
    letterSpacing,
    letterCase,
    colour,
  };
  const more = { ...(face !== undefined && { face }), ...(measure !== undefined && { measure }) };
  return [{ ...text, ...more } as LiveText];
}

const isLiveFace = (value: Json): value is Json & LiveFace =>
  ['family', 'weight', 'style'].every((name) => typeof value[name] === 'string') &&
  ['string', 'undefined'].includes(typeof value['unicodeRange']) &&
  ['unloaded', 'loading', 'loaded', 'error'].includes(value['status'] as string);

/** What a reading says of the live page; what is not sound is left out. */
export function livePageOf(source: string): LivePage {
  let reading: unknown;
  try {
    reading = JSON.parse(source);
  } catch {
    return NOT_LIVE;
  }
  return isObject(reading) ? liveOf(reading) : NOT_LIVE;
}

function liveOf(reading: Json): LivePage {
  const objectsIn = (list: unknown): Json[] => (Array.isArray(list) ? list.filter(isObject) : []);
  return {
    views: objectsIn(reading['views']).flatMap(({ width, texts }): LiveView[] =>
      typeof width === 'number' && width > 0
        ? [{ width, texts: objectsIn(texts).flatMap(liveText) }]
        : [],
    ),
    faces: objectsIn(reading['faces']).filter(isLiveFace),
  };
}

/** What a live page showed is kept beside it under this name. */
const LIVE_FILE = 'lettera-live.json';

/** Path of what a page showed where it is live, if the reader gave it. */
export const livePathOf = (page: string): string => page.replace(/[^/]*$/, LIVE_FILE);
const folderOf = (path: string): string =>
  path.replace(/[^/]*$/, '') + plainName(path.replace(/^.*\//, '')).replace(/\.json$/i, '');

/** A file name that leads nowhere else. */
const plainName = (name: string): string =>
  innerPath(name.replace(/[^\w.-]+/g, '-'))?.replace(/^\.+/, '') || 'sheet.css';

/** A page with another head, or with one before it where it has none. */
function withHead(html: string, head: string): string {
  const start = html.search(/<head[\s/>]/i);
  const open = start < 0 ? -1 : html.indexOf('>', start);
  if (open < 0) return head + html;
  const close = /<\/head>/gi;
  close.lastIndex = open;
  const end = close.exec(html) ? close.lastIndex : open + 1;
  return html.slice(0, start) + head + html.slice(end);
}

/**
 * The files of the page that a reading was made of: its markup, and its style sheets in their order. What is
 * in them is cleaned as that of any page is: a reading made by hand can hold anything.
 *
 * @throws SiteError for one that is cut short, not sound, or of a newer version
 */
export function filesOfReading({ path, bytes }: SiteFile): SiteFile[] {
  if (bytes.byteLength > SITE_LIMITS.html + SITE_LIMITS.css) {
    throw broken(`it is larger than ${(SITE_LIMITS.html + SITE_LIMITS.css) / 1024 / 1024} MB`);
  }
  const reading = parsed(bytes);
  if (!isObject(reading) || reading['format'] !== READING_FORMAT) throw broken('it says so itself');
  const { version } = reading;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    throw broken('it does not say which version it is');
  }
  if (version > NEWEST) {
    throw new SiteError(
      `It was made by a newer reader (version ${version}; this Lettera reads up to ${NEWEST}). Take the reader that is offered here.`,
    );
  }
  const html = text(reading, 'html', SITE_LIMITS.html);
  const title = text(reading, 'title', 1000);
  list(reading, 'views', MOST_VIEWS);
  list(reading, 'faces', 5000);
  const folder = folderOf(path);
  const sheets = list(reading, 'sheets', MOST_SHEETS).map((sheet) => ({
    name: plainName(text(sheet, 'name', 300)),
    media: text(sheet, 'media', 2000),
    css: text(sheet, 'css', SITE_LIMITS.css),
  }));
  const links = sheets
    .filter(({ media }) => media !== 'imported')
    .map(
      ({ name, media }) =>
        `<link rel="stylesheet" href="${escaped(name)}"${media ? ` media="${escaped(media)}"` : ''}>`,
    )
    .join('');
  // What could not be read there is reported like any sheet that is asked for elsewhere.
  const unread = (Array.isArray(reading['unread']) ? reading['unread'] : [])
    .filter((address): address is string => typeof address === 'string')
    .slice(0, MOST_SHEETS)
    .map((address) => `<link rel="stylesheet" href="${escaped(address)}">`)
    .join('');
  const head = `<head><title>${escaped(title)}</title>${links}${unread}</head>`;
  const page = withHead(html, head);
  const encoder = new TextEncoder();
  return [
    { path: `${folder}/${LIVE_FILE}`, bytes: encoder.encode(JSON.stringify(liveOf(reading))) },
    {
      path: `${folder}/index.html`,
      bytes: encoder.encode(`${reading['quirks'] === true ? '' : '<!doctype html>'}${page}`),
    },
    ...sheets.map(({ name, css }) => ({ path: `${folder}/${name}`, bytes: encoder.encode(css) })),
  ];
}
