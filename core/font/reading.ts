import * as fontkit from 'fontkit';
import type { Font } from 'fontkit';
import { Blob, Face } from 'harfbuzzjs';
import type { Instance } from './shape';
import { tableAt, unpack, type FontFormat, type UnpackedFont } from './container';
import { FontError } from './fontError';
import { formatUnicodeRange } from '../css/unicodeRange';
import type { FaceClass } from '../document/vocabulary';
import { claimedClass } from './claimedClass';
import { browserLineMetrics, type LineMetrics } from './lineMetrics';

export type FaceStyle = 'normal' | 'italic' | 'oblique';

/** A variation axis as the `fvar` table has it, in the axis's own units. */
export interface Axis {
  tag: string;
  min: number;
  default: number;
  max: number;
}

/** A height in font units, and whether it is the OS/2 table's figure or was measured on the outline. */
export interface Height {
  value: number;
  source: 'table' | 'outline';
}

/** What one font file says of its face. Lengths are in font units unless said. */
export interface FaceReading {
  family: string;
  subfamily: string;
  fullName: string;
  postScriptName: string;
  format: FontFormat;
  bytes: number;
  sha256: string;
  unitsPerEm: number;
  /** Line metrics a browser uses; `descent` is negative below the baseline. */
  ascent: number;
  descent: number;
  lineGap: number;
  /** The three sets as in the file; `win.descent` is positive, as the file has it. */
  hhea: LineMetrics;
  typo: LineMetrics;
  win: LineMetrics;
  useTypoMetrics: boolean;
  xHeight: number;
  xHeightSource: Height['source'];
  capHeight: number;
  capHeightSource: Height['source'];
  /** Degrees, negative leaning right, from the `post` table. */
  italicAngle: number;
  /** 1 to 1000, at the point read. */
  weight: number;
  /** Percent of the normal width, at the point read (CSS Fonts 4 §2.3). */
  width: number;
  style: FaceStyle;
  /** The class that the file claims; null when it claims none. */
  class: FaceClass | null;
  axes: Axis[];
  /** How many characters it maps, and how many glyphs it holds. */
  codePoints: number;
  /** The characters that it maps, as a CSS `unicode-range`. */
  characters: string;
  glyphs: number;
  /** Embedding rights, the OS/2 table's bit field. */
  fsType: number;
  licence: string | null;
  licenceUrl: string | null;
  copyright: string | null;
}

/** usWidthClass 1 to 9 as percent of normal (OpenType 1.9, "usWidthClass"). */
const WIDTH_CLASS_PERCENT = [50, 62.5, 75, 87.5, 100, 112.5, 125, 150, 200];

/** A height in the table that is further off the outline than this part of the em is not believed. */
const HEIGHT_TOLERANCE = 0.02;

const LONGEST_NAME = 300;

/** fontkit's typings leave out tables that it reads all the same. */
type OpenFont = Font & {
  head: { macStyle: { italic: boolean } };
  post: { isFixedPitch: number };
  directory: { tables: Readonly<Record<string, unknown>> };
};

function open(sfnt: Uint8Array): OpenFont {
  try {
    return fontkit.create(Buffer.from(sfnt)) as OpenFont;
  } catch {
    throw damaged();
  }
}

const damaged = () =>
  new FontError('damaged', 'This font is damaged: its tables contradict one another.');

/** Name IDs (OpenType 1.9, "Name IDs"), the typographic family and subfamily before the older ones. */
const NAME_IDS = {
  family: [16, 1],
  subfamily: [17, 2],
  fullName: [4],
  postScriptName: [6],
  copyright: [0],
  licence: [13],
  licenceUrl: [14],
};

/**
 * One name in English, else in the first language there is, without control characters. HarfBuzz takes
 * the Windows records before the Macintosh ones, which is what `local()` matches on every platform.
 */
function nameOf(face: Face, ids: readonly number[]): string | null {
  const entries = face.listNames();
  for (const id of ids) {
    const languages = entries.filter(({ nameId }) => nameId === id).map(({ language }) => language);
    const [language] = ['en', ...languages].filter((one) => languages.includes(one));
    const value = language === undefined ? '' : face.getName(id, language);
    // What breaks a line or is no character is no part of a name.
    const plain = value.replace(/[\p{Cc}\p{Cs}\u2028\u2029]+/gu, ' ').trim();
    if (plain) return plain;
  }
  return null;
}

/** A name cut to what the document and CSS take, whole characters only. */
const short = (name: string | null): string =>
  (name ?? '').slice(0, LONGEST_NAME).replace(/[\ud800-\udbff]$/, '');

/** The characters that lead to a glyph; a `cmap` may also list some, U+FFFF mostly, that lead to none. */
const mappedCharacters = (font: Font): number[] =>
  font.characterSet.filter((codePoint) => font.hasGlyphForCodePoint(codePoint));

/** The top of a letter's outline in font units, or null when the face lacks the letter. */
function outlineTop(font: Font, letter: string): number | null {
  const codePoint = letter.codePointAt(0) ?? 0;
  if (!font.hasGlyphForCodePoint(codePoint)) return null;
  const top = font.glyphForCodePoint(codePoint).path.bbox.maxY;
  return Number.isFinite(top) ? top : null;
}

/**
 * The OS/2 figure when it lies within 2 % of the em of the outline's top, otherwise the outline's.
 * A face without the letter leaves only the table's.
 */
function believableHeight(table: number | undefined, top: number | null, em: number): Height {
  if (table && (top === null || Math.abs(table - top) <= HEIGHT_TOLERANCE * em)) {
    return { value: table, source: 'table' };
  }
  return { value: top ?? 0, source: 'outline' };
}

/** fontkit names the bits of fsType and drops the rest; the whole field stands at byte 8 of OS/2. */
const fsTypeOf = ({ sfnt, tables }: UnpackedFont): number =>
  tableAt(sfnt, tables, 'OS/2').getUint16(8);

function styleOf(font: OpenFont): FaceStyle {
  const { italic, oblique } = font['OS/2'].fsSelection as { italic: boolean; oblique?: boolean };
  if (oblique) return 'oblique';
  return italic || font.head.macStyle.italic ? 'italic' : 'normal';
}

async function sha256(file: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', file as Uint8Array<ArrayBuffer>);
  return Buffer.from(digest).toString('hex');
}

/**
 * Reads a face from a TTF, OTF, WOFF or WOFF2 file, static or variable. A variable face is read at its
 * default, or at the point of its axes that is given: axes it does not have are passed over, and values
 * beyond an axis are taken to its end.
 *
 * Line metrics: OS/2 typo when fsSelection bit 7 is set, otherwise hhea. Heights: OS/2 version 2 or
 * later when the outline agrees within 2 % of the em.
 * @throws FontError when the file is not a font that a browser would load
 */
export async function readFace(file: Uint8Array, instance: Instance = {}): Promise<FaceReading> {
  const unpacked = await unpack(file);
  const font = open(unpacked.sfnt);
  try {
    return {
      ...readTables(font, new Face(new Blob(unpacked.sfnt)), instance),
      format: unpacked.format,
      bytes: file.byteLength,
      sha256: await sha256(file),
      fsType: fsTypeOf(unpacked),
    };
  } catch (error) {
    throw error instanceof FontError ? error : damaged();
  }
}

/** Whether outlines are there for other points than the default. OpenType 1.9, “Font variations”. */
const varies = ({ directory: { tables } }: OpenFont): boolean =>
  'gvar' in tables || 'CFF2' in tables;

const axesOf = (font: Font): Axis[] =>
  Object.entries(font.variationAxes).flatMap(([tag, axis]) =>
    axis ? [{ tag, min: axis.min, default: axis.default, max: axis.max }] : [],
  );

/** The settings of those axes that the font has, within their ends. */
const settingsOf = (axes: Axis[], instance: Instance): Instance =>
  Object.fromEntries(
    axes.flatMap(({ tag, min, max }) => {
      const value = instance[tag];
      return value === undefined ? [] : [[tag, Math.min(max, Math.max(min, value))]];
    }),
  );

function readTables(
  font: OpenFont,
  face: Face,
  instance: Instance,
): Omit<FaceReading, 'format' | 'bytes' | 'sha256' | 'fsType'> {
  const os2 = font['OS/2'];
  const em = font.unitsPerEm;
  if (!(em >= 16 && em <= 16384)) {
    throw new FontError('damaged', `This font is damaged: it gives its em as ${em} units.`);
  }
  const characters = mappedCharacters(font);
  if (characters.length === 0) {
    throw new FontError('no-characters', 'This font maps no characters, so it can set no text.');
  }
  const tables = {
    hhea: { ascent: font.hhea.ascent, descent: font.hhea.descent, lineGap: font.hhea.lineGap },
    typo: { ascent: os2.typoAscender, descent: os2.typoDescender, lineGap: os2.typoLineGap },
    win: { ascent: os2.winAscent, descent: os2.winDescent, lineGap: 0 },
    useTypoMetrics: (os2.fsSelection as { useTypoMetrics?: boolean }).useTypoMetrics === true,
  };
  const axes = axesOf(font);
  if (axes.length > 0 && !varies(font)) {
    throw new FontError(
      'damaged',
      'This font says that it is variable, and has no outlines that vary (no “gvar” or “CFF2” table).',
    );
  }
  const settings = settingsOf(axes, instance);
  const drawn = Object.keys(settings).length > 0 ? font.getVariation(settings) : font;
  const hasHeights = os2.version >= 2;
  const xHeight = believableHeight(hasHeights ? os2.xHeight : 0, outlineTop(drawn, 'x'), em);
  const capHeight = believableHeight(hasHeights ? os2.capHeight : 0, outlineTop(drawn, 'H'), em);
  const family = short(nameOf(face, NAME_IDS.family)) || 'Unnamed';
  const subfamily = short(nameOf(face, NAME_IDS.subfamily)) || 'Regular';
  return {
    family,
    subfamily,
    fullName: short(nameOf(face, NAME_IDS.fullName)) || `${family} ${subfamily}`,
    postScriptName: short(nameOf(face, NAME_IDS.postScriptName)),
    unitsPerEm: em,
    ...browserLineMetrics(tables),
    ...tables,
    xHeight: xHeight.value,
    xHeightSource: xHeight.source,
    capHeight: capHeight.value,
    capHeightSource: capHeight.source,
    italicAngle: font.italicAngle,
    weight: settings['wght'] ?? Math.min(1000, Math.max(1, os2.usWeightClass)),
    width: settings['wdth'] ?? WIDTH_CLASS_PERCENT[os2.usWidthClass - 1] ?? 100,
    style: styleOf(font),
    class: claimedClass({
      panose: os2.panose,
      fixedPitch: font.post.isFixedPitch !== 0,
      family,
    }),
    axes,
    codePoints: characters.length,
    characters: formatUnicodeRange(characters),
    glyphs: font.numGlyphs,
    licence: nameOf(face, NAME_IDS.licence),
    licenceUrl: nameOf(face, NAME_IDS.licenceUrl),
    copyright: nameOf(face, NAME_IDS.copyright),
  };
}
