import { inUnicodeRange } from '../font';
import { applyChange, ChangeError } from './change';
import type { FaceReading } from '../font/reading';
import { freeKey, NORMAL_WIDTH, sortFaces } from '../document/faces';
import type { Patch } from '../document/patch';
import type { Face, Family, ProjectDocument } from '../document/projectDocument';
import type { FaceClass } from '../document/vocabulary';
import { seatPaths } from '../style';

/** A file that has been read. */
export interface TakenFile {
  reading: FaceReading;
  /** Of the file as it was taken in. */
  bytes: number;
  /** The class that the file claims, or that its outlines show where it claims none. */
  class: FaceClass;
  /** What it is for, where it is one part of a face: CSS `unicode-range`. Left out for all of its characters. */
  unicodeRange?: string;
}

/** CSS Fonts 4 §2.4: weights go from 1 to 1000, whatever an axis says. */
const weightOf = (value: number): number => Math.min(1000, Math.max(1, Math.round(value)));
/** Percents of the normal width that a face may have here. */
const percentOf = (value: number): number => Math.min(1000, Math.max(1, value));

/** The width of a face where it is not the normal one; what is left out is normal. */
const widthOf = ({ axes, width }: FaceReading): Pick<Face, 'widthMin' | 'widthMax'> => {
  const axis = axes.find(({ tag }) => tag === 'wdth');
  const [widthMin = width, widthMax = width] = (axis ? [axis.min, axis.max] : [width, width]).map(
    percentOf,
  );
  return widthMin === NORMAL_WIDTH && widthMax === NORMAL_WIDTH ? {} : { widthMin, widthMax };
};

/** The face that a file is, by what it says of itself. */
export function faceOf({ reading, bytes, unicodeRange }: Omit<TakenFile, 'class'>): Face {
  const axis = reading.axes.find(({ tag }) => tag === 'wght');
  return {
    style: reading.style === 'normal' ? 'normal' : 'italic',
    weightMin: weightOf(axis?.min ?? reading.weight),
    weightMax: weightOf(axis?.max ?? reading.weight),
    ...widthOf(reading),
    files: [
      {
        sha256: reading.sha256,
        script: unicodeRange === undefined ? 'all' : scriptOf(unicodeRange),
        unicodeRange: unicodeRange ?? null,
        bytes,
      },
    ],
  };
}

const holds = (faces: Face[], face: Face): boolean =>
  faces.some(({ files }) => files.some(({ sha256 }) => sha256 === face.files[0]?.sha256));

/** A letter of each script that files are commonly parted by, in the order in which they are looked for. */
const LETTERS: readonly [string, number][] = [
  ['latin', 0x61],
  ['greek', 0x3b1],
  ['cyrillic', 0x430],
  ['vietnamese', 0x1ea1],
  ['latin-ext', 0x101],
  ['greek-ext', 0x1f00],
  ['cyrillic-ext', 0x460],
  ['hebrew', 0x5d0],
  ['arabic', 0x627],
  ['devanagari', 0x905],
  ['bengali', 0x985],
  ['tamil', 0xb85],
  ['thai', 0xe01],
  ['armenian', 0x561],
  ['georgian', 0x10d0],
  ['korean', 0xac00],
  ['japanese', 0x3042],
  ['chinese-simplified', 0x8fd9],
  ['chinese-traditional', 0x9019],
];

/** The script that part of a face is for, by its range. */
const scriptOf = (unicodeRange: string): string =>
  LETTERS.find(([, letter]) => inUnicodeRange(unicodeRange, letter))?.[0] ?? 'symbols';

/** Whether two faces are parts of one: drawn alike, each for characters of its own. */
const arePartsOfOne = (a: Face, b: Face): boolean =>
  a.style === b.style &&
  a.weightMin === b.weightMin &&
  a.weightMax === b.weightMax &&
  a.widthMin === b.widthMin &&
  a.widthMax === b.widthMax &&
  [...a.files, ...b.files].every(({ unicodeRange }) => unicodeRange !== null) &&
  !a.files.some(({ script }) => b.files.some((other) => other.script === script));

/** A family's faces with one more. A file that is there already changes nothing. */
function withFace(faces: Face[], face: Face): Face[] {
  if (holds(faces, face)) return faces;
  const whole = faces.find((one) => arePartsOfOne(one, face));
  return whole
    ? faces.map((one) => (one === whole ? { ...one, files: [...one.files, ...face.files] } : one))
    : sortFaces([...faces, face]);
}

/** The change that corrects a face of a family by hand, its faces sorted anew. */
export function correctFacePatch(
  document: ProjectDocument,
  familyKey: string,
  index: number,
  corrected: Face,
): Patch {
  const faces = document.case[familyKey]?.faces ?? [];
  const value = sortFaces(faces.map((face, i) => (i === index ? corrected : face)));
  return [{ op: 'replace', path: `/case/${familyKey}/faces`, value }];
}

/** The change that takes one face out of a family; null when it is the last, and the family should go. */
export function dropFacePatch(
  document: ProjectDocument,
  familyKey: string,
  index: number,
): Patch | null {
  const faces = document.case[familyKey]?.faces ?? [];
  if (faces.length < 2) return null;
  return [{ op: 'remove', path: `/case/${familyKey}/faces/${index}` }];
}

/**
 * The change that moves a face into the family of another name, which is made when the case has none of
 * that name from files; a family left without faces goes, and its seats to the one moved into.
 */
export function moveFacePatch(
  document: ProjectDocument,
  familyKey: string,
  index: number,
  name: string,
  keyFor: (name: string) => string,
): Patch {
  const family = document.case[familyKey];
  const face = family?.faces[index];
  if (!family || !face || family.name === name) return [];
  const known = Object.entries(document.case).find(
    ([key, other]) => key !== familyKey && other.name === name && other.source === family.source,
  );
  const target = known?.[0] ?? freeKey(Object.keys(document.case), keyFor(name));
  const { alias: _alias, ...rest } = family;
  const moved: Family = known
    ? { ...known[1], faces: withFace(known[1].faces, face) }
    : { ...rest, name, faces: [face] };
  const last = family.faces.length === 1;
  return [
    { op: 'add', path: `/case/${target}`, value: moved },
    ...(last
      ? seatPaths(document, familyKey).map((path) => ({
          op: 'replace' as const,
          path,
          value: target,
        }))
      : []),
    last
      ? { op: 'remove', path: `/case/${familyKey}` }
      : { op: 'remove', path: `/case/${familyKey}/faces/${index}` },
  ];
}

/** A family that cannot be taken in: its name, as its files give it, and what is wrong with it. */
export interface RefusedFamily {
  name: string;
  why: string;
}

/**
 * The change that takes uploaded files into the case: grouped into families by the name each file gives,
 * joining a family of that name that came from files too. A family that the document cannot hold is left out, and
 * keeps no other out.
 *
 * @param keyFor makes a key from a family's name
 */
export function takeFilesIn(
  document: ProjectDocument,
  files: TakenFile[],
  keyFor: (name: string) => string,
): { patch: Patch; refused: RefusedFamily[] } {
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
          class: file.class,
          source: 'files',
          licence: reading.licenceUrl?.slice(0, 200) ?? null,
          faces: [],
        },
      ];
    families.set(key, { ...family, faces: withFace(family.faces, faceOf(file)) });
  }
  const patch: Patch = [];
  const refused: RefusedFamily[] = [];
  let current = document;
  for (const [key, value] of families) {
    const operation = { op: 'add' as const, path: `/case/${key}`, value };
    try {
      current = applyChange(current, [operation]).document;
      patch.push(operation);
    } catch (error) {
      if (!(error instanceof ChangeError)) throw error;
      const [first] = error.errors;
      refused.push({
        name: value.name,
        why: first ? `${value.name} cannot be in a case: it ${first.message}.` : error.message,
      });
    }
  }
  return { patch, refused };
}
