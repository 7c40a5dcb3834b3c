import { readFile } from 'node:fs/promises';
import { strToU8, zipSync, type Zippable } from 'fflate';
import subsetFont from 'subset-font';
import {
  FontError,
  type FaceReading,
  type FontErrorReason,
  type Instance,
} from '@lettera/core/font';
import { parseUnicodeRange } from '@lettera/core/css';
import { fontsIn, packAsWoff2, readFace } from '@lettera/core/font/file';
import {
  classDrawn,
  REGULAR_WEIGHT,
  type WeightedFile,
  type FaceFiles,
  type FaceMeasures,
  type FamilySheet,
} from '@lettera/core/measure';
import { familySheet, measureFace } from '@lettera/core/measure/file';
import { fallbackPlan, type FallbackTrials } from '@lettera/core/fallback';
import {
  bundleFiles,
  cutName,
  deliveryPlan,
  PACKED,
  type BundleFile,
  type Cut,
  type DeliveryEvidence,
  type LicenceTexts,
} from '@lettera/core/deliver';
import { stylesheetFaults } from '@lettera/core/deliver/verify';
import type { FaceClass, ProjectDocument } from '@lettera/core/document';
import { KEPT_NAME_IDS } from './keptNames';
import { unpackedSource } from './unpackedSources';

export { readProject } from './projectTasks';
export { tune } from './tuneTask';
export {
  cleanPages,
  cleanSite,
  pageCharacters,
  pageTexts,
  readPages,
  requestsIn,
  typeRules,
} from './pageTasks';

/** A file to work on: its bytes, or where it lies, so that large ones need not pass through the server. */
export type FontSource = Uint8Array | { path: string };

const bytesOf = async (source: FontSource): Promise<Uint8Array> =>
  'path' in source ? readFile(source.path) : source;

/** A font that has been read. */
export interface ReadFont {
  /** Of a collection, the bytes of the one face; null for a file that holds one font. */
  bytes: Uint8Array | null;
  reading: FaceReading;
  /** The class it claims, or is drawn in where it claims none. */
  class: FaceClass;
}

/** Why a file is no usable font, as a value: errors lose their class on the way from a worker. */
export interface RefusedFont {
  refused: { reason: FontErrorReason; message: string };
}

/** What a task gives, or why the file it was given is no usable font. */
async function orRefused<T>(work: () => Promise<T>): Promise<T | RefusedFont> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof FontError)) throw error;
    return { refused: { reason: error.reason, message: error.message } };
  }
}

async function readOne(bytes: Uint8Array, whole: Uint8Array): Promise<ReadFont> {
  const reading = await readFace(bytes);
  return {
    bytes: bytes === whole ? null : bytes,
    reading,
    class: reading.class ?? classDrawn(await measureFace(bytes, { wght: REGULAR_WEIGHT })),
  };
}

/** Reads the font, or each font of a collection. A bad one refuses only itself. */
export async function readFonts(
  source: FontSource,
): Promise<(ReadFont | RefusedFont)[] | RefusedFont> {
  return orRefused(async () => {
    const file = await bytesOf(source);
    const read: (ReadFont | RefusedFont)[] = [];
    for (const bytes of fontsIn(file)) read.push(await orRefused(() => readOne(bytes, file)));
    return read;
  });
}

export interface MeasureRequest {
  source: FontSource;
  instance: Instance;
}

/** Measures a face at a point of its axes. */
export const measure = ({
  source,
  instance,
}: MeasureRequest): Promise<FaceMeasures | RefusedFont> =>
  orRefused(async () => measureFace(await bytesOf(source), instance));

export interface SheetRequest {
  regular: FaceFiles;
  italic: FaceFiles | null;
  uprights: WeightedFile[];
}

/** Reads and measures a family. */
export const sheet = ({
  regular,
  italic,
  uprights,
}: SheetRequest): Promise<FamilySheet | RefusedFont> =>
  orRefused(() => familySheet(regular, italic, uprights));

export interface DeriveRequest {
  bytes: Uint8Array;
  cut: Cut;
}

/** Makes the file that is delivered: packed as WOFF2, and cut as it says. */
export async function derive({ bytes, cut }: DeriveRequest): Promise<Uint8Array> {
  const { axes, characters, features } = cut;
  if (cutName(cut) === cutName(PACKED)) return packAsWoff2(bytes);
  const source = Buffer.from(await unpackedSource(bytes));
  return subsetFont(source, characters === null ? undefined : textOfRange(characters), {
    targetFormat: 'woff2',
    keepAllGlyphs: characters === null,
    preserveNameIds: KEPT_NAME_IDS,
    ...(features ? { keepFeatures: [...features] } : {}),
    variationAxes: Object.fromEntries(
      Object.entries(axes).map(([tag, [min, max]]) => [tag, min === max ? min : { min, max }]),
    ),
  });
}

/** Every character of a `unicode-range`, one after another. */
const textOfRange = (range: string): string =>
  parseUnicodeRange(range)
    .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => from + i))
    .map((codePoint) => String.fromCodePoint(codePoint))
    .join('');

export interface DeliverRequest {
  document: ProjectDocument;
  trials: FallbackTrials;
  evidence: DeliveryEvidence;
  licences: LicenceTexts;
}

/**
 * Writes every file of the bundle that is written here, and reads the style sheet back as CSS.
 * @throws Error when it does not parse whole: nothing broken is offered
 */
export function deliver({ document, trials, evidence, licences }: DeliverRequest): BundleFile[] {
  const files = bundleFiles(
    document,
    { fallback: fallbackPlan(document, trials), delivery: deliveryPlan(document, evidence) },
    licences,
  );
  for (const file of files) {
    const faults =
      file.kind === 'text' && file.path.endsWith('.css') ? stylesheetFaults(file.content) : [];
    if (faults.length > 0) throw new Error(`${file.path} does not parse: ${faults.join('; ')}`);
  }
  return files;
}

/** A zip of the files given. Fonts are packed already and are only stored. */
export function zip(files: Record<string, Uint8Array | string>): Uint8Array {
  const entries: Zippable = Object.fromEntries(
    Object.entries(files).map(([path, content]) =>
      typeof content === 'string'
        ? [path, [strToU8(content), { level: 6 }]]
        : [path, [content, { level: 0 }]],
    ),
  );
  return zipSync(entries, { mtime: new Date(1980, 0, 1) });
}
