import type { FaceReading } from '../font/reading';
import type { Patch } from './change';
import { KEY } from './decorators';
import type { Face, Family, ProjectDocument } from './projectDocument';

/** A file that has been read, with the size of the WOFF2 that will be delivered. */
export interface TakenFile {
  reading: FaceReading;
  woff2Bytes: number;
}

const NORMAL_WIDTH = 100;

/** The width of a face where it is not the normal one; what is left out is normal. */
const widthOf = ({ axes, width }: FaceReading): Pick<Face, 'widthMin' | 'widthMax'> => {
  const axis = axes.find(({ tag }) => tag === 'wdth');
  const [widthMin, widthMax] = axis ? [axis.min, axis.max] : [width, width];
  return widthMin === NORMAL_WIDTH && widthMax === NORMAL_WIDTH ? {} : { widthMin, widthMax };
};

/** The face that a file is, by what it says of itself. */
export function faceOf({ reading, woff2Bytes }: TakenFile): Face {
  const axis = reading.axes.find(({ tag }) => tag === 'wght');
  return {
    style: reading.style === 'normal' ? 'normal' : 'italic',
    weightMin: Math.round(axis?.min ?? reading.weight),
    weightMax: Math.round(axis?.max ?? reading.weight),
    ...widthOf(reading),
    files: [{ sha256: reading.sha256, script: 'all', unicodeRange: null, bytes: woff2Bytes }],
  };
}

/** The range of weights or widths, as a face of the document has it. */
export const widthRange = ({ widthMin, widthMax }: Face): [number, number] => [
  widthMin ?? NORMAL_WIDTH,
  widthMax ?? NORMAL_WIDTH,
];

const overlap = ([a, b]: [number, number], [c, d]: [number, number]): boolean => a <= d && c <= b;

/**
 * Whether two faces claim the same place in a family: style, width and weight meet, and so do their
 * characters. A browser then shows the later one, and the earlier is loaded for nothing.
 */
export function claimSamePlace(one: Face, other: Face): boolean {
  return (
    one.style === other.style &&
    overlap([one.weightMin, one.weightMax], [other.weightMin, other.weightMax]) &&
    overlap(widthRange(one), widthRange(other)) &&
    one.files.some((a) =>
      other.files.some((b) => a.script === b.script || a.script === 'all' || b.script === 'all'),
    )
  );
}

/** Pairs of faces of a family that claim the same place, by their place in its list. */
export const sharedPlaces = (faces: readonly Face[]): [number, number][] =>
  faces.flatMap((one, i) =>
    faces.flatMap((other, j): [number, number][] =>
      i < j && claimSamePlace(one, other) ? [[i, j]] : [],
    ),
  );

/** Upright before italic, narrow before wide, light before heavy. */
export const sortFaces = (faces: Face[]): Face[] =>
  [...faces].sort(
    (a, b) =>
      Number(a.style === 'italic') - Number(b.style === 'italic') ||
      widthRange(a)[0] - widthRange(b)[0] ||
      a.weightMin - b.weightMin,
  );

const holds = (faces: Face[], face: Face): boolean =>
  faces.some(({ files }) => files.some(({ sha256 }) => sha256 === face.files[0]?.sha256));

/** A family's faces with one more. A file that is there already changes nothing. */
const withFace = (faces: Face[], face: Face): Face[] =>
  holds(faces, face) ? faces : sortFaces([...faces, face]);

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
