import fontverter from 'fontverter';
import { FontError } from './fontError';
import { woff2Size, woffSize } from './unpackedSize';

/** The container a font arrives in. `ttf` holds TrueType outlines, `otf` holds CFF or CFF2. */
export type FontFormat = 'ttf' | 'otf' | 'woff' | 'woff2';

/** Tables without which browsers refuse a font (OpenType 1.9, "Required tables"). */
const REQUIRED_TABLES = ['cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name', 'OS/2', 'post'] as const;

/** No font of ours or a designer's unpacks to more; a file that says so lies. */
const LARGEST_UNPACKED_BYTES = 64 * 1024 * 1024;

const SIGNATURES: Record<string, FontFormat> = {
  '\0\x01\0\0': 'ttf',
  true: 'ttf',
  OTTO: 'otf',
  wOFF: 'woff',
  wOF2: 'woff2',
};

const signature = (file: Uint8Array): string => String.fromCharCode(...file.subarray(0, 4));

const view = (file: Uint8Array): DataView =>
  new DataView(file.buffer, file.byteOffset, file.byteLength);

/**
 * The container format by the file's first four bytes; its name is not trusted.
 * @throws FontError when the bytes do not begin like a font that browsers take
 */
export function detectFormat(file: Uint8Array): FontFormat {
  const tag = signature(file);
  const format = SIGNATURES[tag];
  if (format) return format;
  if (tag === 'ttcf') {
    throw new FontError(
      'collection',
      'This is a collection of several fonts in one file, and is read face by face.',
    );
  }
  if (tag === 'typ1' || tag.startsWith('%!') || file[0] === 0x80) {
    throw new FontError(
      'outdated-format',
      'This is a PostScript Type 1 font, which browsers no longer use. Bring the family as OTF, TTF or WOFF2.',
    );
  }
  if (file.length > 36 && file[34] === 0x4c && file[35] === 0x50) {
    throw new FontError(
      'outdated-format',
      'This is an Embedded OpenType file, which browsers no longer use. Bring the family as WOFF2, WOFF, TTF or OTF.',
    );
  }
  throw new FontError(
    'not-a-font',
    'This is not a font: it begins like none of TTF, OTF, WOFF or WOFF2.',
  );
}

/** Where a table stands in an sfnt, bytes. */
export interface TableRecord {
  offset: number;
  length: number;
}

/**
 * The table directory of an sfnt by tag, each table checked against the file's length.
 * OpenType 1.9, "Table directory".
 * @throws FontError when the directory or a table lies outside the file, or a required table is missing
 */
export function readDirectory(sfnt: Uint8Array): Map<string, TableRecord> {
  if (sfnt.length < 12) throw cutShort('its table directory', 12, sfnt.length);
  const data = view(sfnt);
  const count = data.getUint16(4);
  if (sfnt.length < 12 + 16 * count) {
    throw cutShort('its table directory', 12 + 16 * count, sfnt.length);
  }
  const tables = new Map<string, TableRecord>();
  for (let i = 0; i < count; i++) {
    const at = 12 + 16 * i;
    const tag = String.fromCharCode(...sfnt.subarray(at, at + 4));
    const record = { offset: data.getUint32(at + 8), length: data.getUint32(at + 12) };
    const end = record.offset + record.length;
    if (end > sfnt.length) throw cutShort(`its table “${tag.trim()}”`, end, sfnt.length);
    tables.set(tag.trim(), record);
  }
  for (const tag of REQUIRED_TABLES) {
    if (!tables.has(tag)) {
      throw new FontError(
        'table-missing',
        `This font has no “${tag}” table, which browsers require, so they would refuse to load it.`,
      );
    }
  }
  if (!['glyf', 'CFF', 'CFF2'].some((tag) => tables.has(tag))) {
    throw new FontError(
      'table-missing',
      'This font has no outlines: none of the tables “glyf”, “CFF” and “CFF2” is there.',
    );
  }
  return tables;
}

/** A view of one table that the directory is known to hold. */
export function tableAt(
  sfnt: Uint8Array,
  tables: Map<string, TableRecord>,
  tag: (typeof REQUIRED_TABLES)[number],
): DataView {
  const { offset, length } = tables.get(tag) ?? { offset: 0, length: 0 };
  return new DataView(sfnt.buffer, sfnt.byteOffset + offset, length);
}

function cutShort(what: string, needs: number, has: number): FontError {
  return new FontError(
    'cut-short',
    `This font is cut short: ${what} would end at byte ${needs.toLocaleString('en')}, but the file ends at byte ${has.toLocaleString('en')}.`,
  );
}

const megabytes = (bytes: number): string => `${(bytes / 1024 / 1024).toFixed(0)} MB`;

const tooLarge = (bytes: number): FontError =>
  new FontError(
    'damaged',
    `This font unpacks to ${megabytes(bytes)}; the limit is ${megabytes(LARGEST_UNPACKED_BYTES)}.`,
  );

/**
 * Refuses a packed font that is cut short, or unpacks to more than any font has: by what its header says
 * and by the sum of its tables. WOFF 1.0 §3 and WOFF2 §4.1: both headers hold the file's length at byte
 * 8, the unpacked size at 16.
 */
function checkPacked(file: Uint8Array, format: 'woff' | 'woff2'): void {
  const header = format === 'woff' ? 44 : 48;
  if (file.length < header) throw cutShort('its header', header, file.length);
  const data = view(file);
  const length = data.getUint32(8);
  if (length > file.length) throw cutShort('the font', length, file.length);
  if (data.getUint32(16) > LARGEST_UNPACKED_BYTES) throw tooLarge(data.getUint32(16));
  let size: number;
  try {
    size = format === 'woff' ? woffSize(file) : woff2Size(file);
  } catch {
    throw cannotBeUnpacked(format);
  }
  if (size > LARGEST_UNPACKED_BYTES) throw tooLarge(size);
}

const cannotBeUnpacked = (format: FontFormat): FontError =>
  new FontError('damaged', `This ${format.toUpperCase()} file is damaged: it cannot be unpacked.`);

let lastConversion: Promise<unknown> = Promise.resolve();

/**
 * Converts one font after another: the WOFF2 codec hands out a view of its own memory, which the next
 * conversion writes over.
 */
function convert(file: Uint8Array, to: 'sfnt' | 'woff2'): Promise<Uint8Array> {
  const conversion = lastConversion.then(() => fontverter.convert(Buffer.from(file), to));
  lastConversion = conversion.catch(() => undefined);
  return conversion;
}

/** An unpacked font: the sfnt that the tables are read from, and the container it came in. */
export interface UnpackedFont {
  format: FontFormat;
  sfnt: Uint8Array;
  tables: Map<string, TableRecord>;
}

/**
 * Unpacks WOFF and WOFF2, leaves TTF and OTF as they are, and checks the table directory.
 * @throws FontError
 */
export async function unpack(file: Uint8Array): Promise<UnpackedFont> {
  const format = detectFormat(file);
  if (format === 'ttf' || format === 'otf') {
    return { format, sfnt: file, tables: readDirectory(file) };
  }
  checkPacked(file, format);
  let sfnt: Uint8Array;
  try {
    sfnt = await convert(file, 'sfnt');
  } catch {
    throw cannotBeUnpacked(format);
  }
  return { format, sfnt, tables: readDirectory(sfnt) };
}

/**
 * Packs a font as WOFF2, the one format Lettera delivers, since every browser in use reads it.
 * A file that is WOFF2 already is given back untouched.
 */
export async function packAsWoff2(file: Uint8Array): Promise<Uint8Array> {
  return detectFormat(file) === 'woff2' ? file : convert(file, 'woff2');
}
