import type { Axis, FaceReading } from '../font/reading';
import type { Face, ProjectDocument } from '../document/projectDocument';
import { caseFonts, deliveredFonts, type DeliveredFont } from './delivered';

/**
 * What is done to a file that was taken in before it is delivered: its weight axis limited to what the
 * site uses, or nothing but packed as WOFF2.
 */
export interface Cut {
  /** Least and most weight to keep; null keeps the axis, or there is none. */
  weights: readonly [number, number] | null;
}

/** A cut in one word: the same for the same work, whatever asked for it. */
export const cutName = ({ weights }: Cut): string =>
  weights ? `woff2 wght=${weights.join(':')}` : 'woff2';

/** The reverse of `cutName`. @throws RangeError for what is no cut */
export function cutOf(name: string): Cut {
  const match = /^woff2(?: wght=(\d+):(\d+))?$/.exec(name);
  if (!match) throw new RangeError(`“${name}” is no cut`);
  const [, least, most] = match;
  return { weights: least && most ? [Number(least), Number(most)] : null };
}

/** A file that the site loads: what it is made from, what it is cut to, its bytes, and what it is for. */
export interface PlannedFile extends DeliveredFont {
  /** Hash of the file as it was taken in. */
  source: string;
  /** Null when it is delivered as it was taken in. */
  cut: Cut | null;
  /** Of the file that is delivered; null until it has been made. */
  bytes: number | null;
  purpose: string;
}

/** Every file that the site loads. The one source of files and bytes. */
export interface DeliveryPlan {
  files: readonly PlannedFile[];
}

/** What the plan needs to know beyond the document. */
export interface DeliveryEvidence {
  /** Readings of the case's files by hash; a file without one is taken to be delivered as it is. */
  readings: Readonly<Record<string, Pick<FaceReading, 'format' | 'axes'>>>;
  /** Bytes of the files that have been made, by source and cut as `madeKey` has them. */
  made: Readonly<Record<string, number>>;
}

export const madeKey = (source: string, cut: Cut): string => `${source} ${cutName(cut)}`;

const weightAxis = (axes: readonly Axis[]): Axis | undefined =>
  axes.find(({ tag }) => tag === 'wght');

/** What a file must be cut to for a face of the case, if anything. */
function cutFor(
  { weightMin, weightMax }: Face,
  reading: DeliveryEvidence['readings'][string] | undefined,
): Cut | null {
  if (!reading) return null;
  const axis = weightAxis(reading.axes);
  const narrower =
    axis !== undefined &&
    weightMin <= axis.max &&
    weightMax >= axis.min &&
    (weightMin > axis.min || weightMax < axis.max);
  if (!narrower) return reading.format === 'woff2' ? null : { weights: null };
  return { weights: [Math.max(weightMin, axis.min), Math.min(weightMax, axis.max)] };
}

const weightsOf = ({ weightMin, weightMax }: Face): string =>
  weightMin === weightMax ? `${weightMin}` : `${weightMin} to ${weightMax}`;

function planned(
  fonts: readonly DeliveredFont[],
  { readings, made }: DeliveryEvidence,
): PlannedFile[] {
  return fonts.map((font) => {
    const { family, face, file } = font;
    const source = file.sha256;
    const cut = cutFor(face, Object.hasOwn(readings, source) ? readings[source] : undefined);
    return {
      ...font,
      source,
      cut,
      bytes: cut ? (made[madeKey(source, cut)] ?? null) : file.bytes,
      purpose: `${family.name} ${weightsOf(face)}${face.style === 'italic' ? ' italic' : ''}, ${file.script}`,
    };
  });
}

/** The files that a site loads from the bundle, each with what is done to it and what it is for. */
export const deliveryPlan = (
  document: ProjectDocument,
  evidence: DeliveryEvidence,
): DeliveryPlan => ({ files: planned(deliveredFonts(document), evidence) });

/** The same for all of the case, in use or not: what each of its families would cost a site. */
export const casePlan = (document: ProjectDocument, evidence: DeliveryEvidence): DeliveryPlan => ({
  files: planned(caseFonts(document), evidence),
});

/** Bytes of all files together; null while one has not been made. */
export const totalBytes = (files: readonly Pick<PlannedFile, 'bytes'>[]): number | null =>
  files.reduce<number | null>(
    (sum, { bytes }) => (sum === null || bytes === null ? null : sum + bytes),
    0,
  );
