import type { Face, ProjectDocument } from '../document/projectDocument';
import { madeKey, type Cut } from './cut';
import { uniquePaths, type DeliveredFont } from './delivered';
import {
  caseWays,
  deliveryWays,
  type DeliveryWays,
  type KnownFonts,
  type PlannedPart,
} from './deliveryWays';

/** A file that the site loads: what it is made from, what it is cut to, its bytes, and what it is for. */
export interface PlannedFile extends DeliveredFont {
  /** Hash of the file as it was taken in. */
  source: string;
  /** Null when it is delivered as it was taken in. */
  cut: Cut | null;
  /** Of the file that is delivered; null until it has been made. */
  bytes: number | null;
  purpose: string;
  /** Whether it holds only letters that no page has yet: a page that comes later fetches it. */
  isLater?: boolean;
}

/** Every file that the site loads. The one source of files and bytes. */
export interface DeliveryPlan extends Omit<DeliveryWays, 'parts'> {
  files: readonly PlannedFile[];
}

/** What the plan needs to know beyond the document. */
export interface DeliveryEvidence extends KnownFonts {
  /** Bytes of the files that have been made, by source and cut as `madeKey` has them. */
  made: Readonly<Record<string, number>>;
}

const weightsOf = ({ weightMin, weightMax }: Face): string =>
  weightMin === weightMax ? `${weightMin}` : `${weightMin} to ${weightMax}`;

const purposeOf = ({
  family,
  face,
  file,
}: Pick<DeliveredFont, 'family' | 'face' | 'file'>): string =>
  `${family.name} ${weightsOf(face)}${face.style === 'italic' ? ' italic' : ''}, ${file.script}`;

const sum = (bytes: readonly (number | null)[]): number =>
  bytes.reduce<number>((total, one) => total + (one ?? 0), 0);

/** Of the ways to make a file that of least bytes; the first until all of them are known, and of two as small. */
function leastOf(
  { ways, isLater }: PlannedPart,
  made: DeliveryEvidence['made'],
): Omit<PlannedFile, 'path'>[] {
  const weighed = ways.map((way) => ({
    way,
    bytes: way.map(({ source, cut, file }) =>
      cut ? (made[madeKey(source, cut)] ?? null) : file.bytes,
    ),
  }));
  const settled = weighed.every(({ bytes }) => !bytes.includes(null));
  const best = settled
    ? weighed.reduce((least, one) => (sum(one.bytes) < sum(least.bytes) ? one : least))
    : weighed[0];
  return (best?.way ?? []).map((file, i) => ({
    ...file,
    bytes: settled ? (best?.bytes[i] ?? null) : null,
    purpose: isLater ? `${purposeOf(file)}: letters that pages may have later` : purposeOf(file),
    ...(isLater ? { isLater } : {}),
  }));
}

/** Takes of each file the way that weighs least, by the bytes of those that have been made. */
export function takeLeast<W extends Pick<DeliveryWays, 'parts'>>(
  { parts, ...rest }: W,
  made: DeliveryEvidence['made'],
): Omit<W, 'parts'> & Pick<DeliveryPlan, 'files'> {
  return { ...rest, files: uniquePaths(parts.flatMap((part) => leastOf(part, made))) };
}

/** The files that a site loads from the bundle, each with what is done to it and what it is for. */
export const deliveryPlan = (document: ProjectDocument, evidence: DeliveryEvidence): DeliveryPlan =>
  takeLeast(deliveryWays(document, evidence), evidence.made);

/** All of the case as it was taken in, in use or not: what each of its families would cost a site at most. */
export const casePlan = (
  project: Pick<ProjectDocument, 'case'>,
  evidence: DeliveryEvidence,
): Pick<DeliveryPlan, 'files' | 'wanted'> => takeLeast(caseWays(project, evidence), evidence.made);

/** The files that the site's pages fetch as they are. */
export const filesNow = ({ files }: Pick<DeliveryPlan, 'files'>): readonly PlannedFile[] =>
  files.filter(({ isLater }) => !isLater);

/** Bytes of all files together; null while one has not been made. */
export const totalBytes = (files: readonly Pick<PlannedFile, 'bytes'>[]): number | null =>
  files.reduce<number | null>(
    (total, { bytes }) => (total === null || bytes === null ? null : total + bytes),
    0,
  );
