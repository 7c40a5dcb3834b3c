import {
  FACE_CLASSES,
  freeKey,
  sortFaces,
  type Face,
  type FaceClass,
  type Family,
  type Patch,
  type Picks,
  type ProjectDocument,
} from '@lettera/core/document';
import type { Jobs } from '../job/jobs';
import type { NewFont } from '../store/fontStore';
import type { LibraryDetails } from '@lettera/core/wire';
import type { FoundryClient } from './foundryClient';

/** The picks name something that the family does not have. */
export class PickError extends Error {
  override readonly name = 'PickError';
}

/** Whether something from outside names a face: a style, and a weight from 1 to 1000. */
type ListedFile = LibraryDetails['files'][number];

interface FacePlan {
  style: 'normal' | 'italic';
  weightMin: number;
  weightMax: number;
  files: ListedFile[];
}

/**
 * Which files make the faces wanted. A static family has a file for each weight. A variable one has one
 * file a style for all its weights, which serves the range from the lightest to the heaviest wanted.
 */
export function planFaces(family: LibraryDetails, picks: Picks): FacePlan[] {
  if (picks.faces.length === 0) throw new PickError('Pick at least one weight.');
  if (picks.scripts.length === 0) throw new PickError('Pick at least one script.');
  for (const script of picks.scripts) {
    if (!family.scripts.includes(script)) {
      throw new PickError(`${family.name} does not come in ${script}.`);
    }
  }
  const wanted = new Map<string, FacePlan>();
  for (const { style, weight } of picks.faces) {
    const files = family.files.filter(
      (file) =>
        file.style === style &&
        picks.scripts.includes(file.script) &&
        weight >= file.weightMin &&
        weight <= file.weightMax,
    );
    if (files.length === 0) {
      throw new PickError(
        `${family.name} has no ${weight}${style === 'italic' ? ' italic' : ''} in the scripts picked.`,
      );
    }
    const key = family.variable ? style : `${style} ${weight}`;
    const plan = wanted.get(key);
    if (plan) {
      plan.weightMin = Math.min(plan.weightMin, weight);
      plan.weightMax = Math.max(plan.weightMax, weight);
    } else {
      wanted.set(key, { style, weightMin: weight, weightMax: weight, files });
    }
  }
  return [...wanted.values()];
}

const classOf = (claimed: string): FaceClass =>
  FACE_CLASSES.find((name) => name === claimed) ?? 'display';

/** A family fetched and read, ready to be stored and added to the case. */
export interface Fetched {
  family: Family;
  fonts: NewFont[];
}

/** How a long piece of fetching is followed, and ended. */
export interface Following {
  signal?: AbortSignal;
  /** Called after each file, with how many are there and how many there will be. */
  onFile?: (done: number, of: number) => void;
}

/**
 * Fetches the files of the faces wanted, whole, and reads them: what of them is delivered is decided then.
 * Nothing is stored here, so a failure half way takes in nothing.
 * @throws PickError, SupplyError, FontError
 */
export async function fetchFaces(
  { foundry, jobs }: { foundry: FoundryClient; jobs: Jobs },
  details: LibraryDetails,
  picks: Picks,
  { signal, onFile = () => undefined }: Following = {},
): Promise<Fetched> {
  const plans = planFaces(details, picks);
  const of = plans.reduce((sum, { files }) => sum + files.length, 0);
  let done = 0;
  const fonts: NewFont[] = [];
  const faces: Face[] = [];
  for (const { files, ...place } of plans) {
    const taken = await Promise.all(
      files.map(async (file) => {
        const bytes = new Uint8Array(await foundry.file(details, file.name, signal));
        const { reading } = await jobs.readFont(bytes);
        onFile(++done, of);
        return { bytes, reading, file };
      }),
    );
    for (const { bytes, reading } of taken) {
      fonts.push({ bytes, reading, licence: details.licenceText });
    }
    faces.push({
      ...place,
      files: taken.map(({ file, bytes, reading }) => ({
        sha256: reading.sha256,
        script: file.script,
        unicodeRange: file.unicodeRange,
        bytes: bytes.byteLength,
      })),
    });
  }
  return {
    fonts,
    family: {
      name: details.name,
      class: classOf(details.class),
      source: 'foundry',
      licence: details.licence,
      faces: sortFaces(faces),
    },
  };
}

/** The change that takes a family into the case, in the place of what was taken of it before. */
export function takeFamilyIn(document: ProjectDocument, id: string, family: Family): Patch {
  const before = Object.entries(document.case).find(
    ([, { name, source }]) => name === family.name && source === 'foundry',
  );
  const key = before?.[0] ?? freeKey(Object.keys(document.case), id);
  return [{ op: before ? 'replace' : 'add', path: `/case/${key}`, value: family }];
}
