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

/** Whether a file is one that the reader gave, by how it begins; whether it is sound is told when it is read. */
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

/** What a page showed at one width where it is live. docs/reading.md. */
export interface LiveView {
  width: number;
  texts: readonly LiveText[];
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
}

const isLiveText = (value: Json): boolean =>
  ['words', 'family', 'style', 'letterCase', 'colour'].every(
    (name) => typeof value[name] === 'string',
  ) &&
  ['size', 'weight', 'letterSpacing'].every((name) => Number.isFinite(value[name])) &&
  (value['lineHeight'] === null || Number.isFinite(value['lineHeight']));

/** What a reading says of the live page, by width; what is not sound is left out. */
export function viewsOfReading(source: string): LiveView[] {
  let reading: unknown;
  try {
    reading = JSON.parse(source);
  } catch {
    return [];
  }
  if (!isObject(reading) || !Array.isArray(reading['views'])) return [];
  return reading['views']
    .filter(isObject)
    .flatMap(({ width, texts }): LiveView[] =>
      typeof width === 'number' && width > 0 && Array.isArray(texts)
        ? [{ width, texts: texts.filter(isObject).filter(isLiveText) as unknown as LiveText[] }]
        : [],
    );
}

/** Path of the page that a reading is read as. */
export const pageOfReading = (path: string): string => `${folderOf(path)}/index.html`;
const folderOf = (path: string): string =>
  path.replace(/[^/]*$/, '') + plainName(path.replace(/^.*\//, '')).replace(/\.json$/i, '');

/** A file name that leads nowhere else. */
const plainName = (name: string): string =>
  innerPath(name.replace(/[^\w.-]+/g, '-'))?.replace(/^\.+/, '') || 'sheet.css';

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
  // What could not be read there is told as any sheet that is asked for elsewhere.
  const unread = (Array.isArray(reading['unread']) ? reading['unread'] : [])
    .filter((address): address is string => typeof address === 'string')
    .slice(0, MOST_SHEETS)
    .map((address) => `<link rel="stylesheet" href="${escaped(address)}">`)
    .join('');
  const head = `<head><title>${escaped(title)}</title>${links}${unread}</head>`;
  const page = /<head\b[^>]*>[^]*?<\/head>|<head\b[^>]*\/?>/i.test(html)
    ? html.replace(/<head\b[^>]*>[^]*?<\/head>|<head\b[^>]*\/?>/i, () => head)
    : head + html;
  const encoder = new TextEncoder();
  return [
    {
      path: pageOfReading(path),
      bytes: encoder.encode(`${reading['quirks'] === true ? '' : '<!doctype html>'}${page}`),
    },
    ...sheets.map(({ name, css }) => ({ path: `${folder}/${name}`, bytes: encoder.encode(css) })),
  ];
}
