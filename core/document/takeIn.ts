import type { FaceReading } from '../font/reading';
import type { Patch } from './change';
import { KEY } from './decorators';
import type { Face, Family, ProjectDocument } from './projectDocument';

/** A file that has been read, with the size of the WOFF2 that will be delivered. */
export interface TakenFile {
  reading: FaceReading;
  woff2Bytes: number;
}

/** The face that a file is, by what it says of itself. */
export function faceOf({ reading, woff2Bytes }: TakenFile): Face {
  const axis = reading.axes.find(({ tag }) => tag === 'wght');
  return {
    style: reading.style === 'normal' ? 'normal' : 'italic',
    weightMin: Math.round(axis?.min ?? reading.weight),
    weightMax: Math.round(axis?.max ?? reading.weight),
    files: [{ sha256: reading.sha256, script: 'all', unicodeRange: null, bytes: woff2Bytes }],
  };
}

const samePlace = (a: Face, b: Face): boolean =>
  a.style === b.style && a.weightMin === b.weightMin && a.weightMax === b.weightMax;

/** Upright before italic, light before heavy. */
export const sortFaces = (faces: Face[]): Face[] =>
  [...faces].sort(
    (a, b) =>
      Number(a.style === 'italic') - Number(b.style === 'italic') || a.weightMin - b.weightMin,
  );

/** Faces of which a later one takes the place of an earlier one that is the same face. */
const withFace = (faces: Face[], face: Face): Face[] =>
  sortFaces([...faces.filter((other) => !samePlace(other, face)), face]);

/** A key for a family that no other in the document has. */
export function freeKey(taken: Iterable<string>, wanted: string): string {
  const base = (KEY.test(wanted) ? wanted : `family-${wanted}`).slice(0, 60);
  const keys = new Set(taken);
  if (!keys.has(base)) return base;
  for (let n = 2; ; n++) if (!keys.has(`${base}-${n}`)) return `${base}-${n}`;
}

/**
 * The change that takes uploaded files into the case: grouped into families by the name each file gives,
 * joining a family of that name that came from files too.
 *
 * @param keyFor makes a key from a family's name
 */
export function takeFilesIn(
  document: ProjectDocument,
  files: TakenFile[],
  keyFor: (name: string) => string,
): Patch {
  const families = new Map<string, Family>();
  for (const file of files) {
    const { reading } = file;
    const known = Object.entries(document.case).find(
      ([, { name, source }]) => name === reading.family && source === 'files',
    );
    const started = [...families].find(([, { name }]) => name === reading.family);
    const [key, family]: [string, Family] = started ??
      known ?? [
        freeKey([...Object.keys(document.case), ...families.keys()], keyFor(reading.family)),
        {
          name: reading.family,
          class: reading.class,
          source: 'files',
          licence: reading.licenceUrl?.slice(0, 200) ?? null,
          faces: [],
        },
      ];
    families.set(key, { ...family, faces: withFace(family.faces, faceOf(file)) });
  }
  return [...families].map(([key, value]) => ({ op: 'add', path: `/case/${key}`, value }));
}
