import { KEY } from './decorators';
import type { Face } from './projectDocument';

/** Percent. What a face leaves out is normal. */
export const NORMAL_WIDTH = 100;

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

/** A key that no other part has: as wanted, or behind what it is where that can be none. */
export function freeKey(taken: Iterable<string>, wanted: string, what = 'family'): string {
  const base = (KEY.test(wanted) ? wanted : `${what}-${wanted}`).slice(0, 60).replace(/-+$/, '');
  // What every object has is a key of none.
  const keys = new Set([...taken, ...Object.getOwnPropertyNames(Object.prototype)]);
  if (!keys.has(base)) return base;
  for (let n = 2; ; n++) if (!keys.has(`${base}-${n}`)) return `${base}-${n}`;
}
