import { onceFor } from './once';
import type { Patch } from './patch';
import type { ProjectDocument } from './projectDocument';

/** Parts of a document that are kept by key and whose order counts: in the interface, and in what is delivered. */
export const ORDERED_PARTS = ['case', 'voices', 'colours', 'styles', 'elements', 'pages'] as const;

interface Placed {
  place?: number;
}
type Parts = Record<string, Placed>;

/** Where parts stand that have a place of their own, or had one before; a new one stands last. */
function placesOf(parts: Parts, before: Parts): Map<string, number> {
  const places = new Map<string, number>();
  const kept = (key: string): number | undefined =>
    parts[key]?.place ?? (Object.hasOwn(before, key) ? before[key]?.place : undefined);
  let last = Object.keys(parts).reduce((most, key) => Math.max(most, kept(key) ?? 0), 0);
  for (const key of Object.keys(parts)) places.set(key, kept(key) ?? ++last);
  return places;
}

const allObjects = onceFor((value: object): boolean =>
  Object.values(value).every((part) => typeof part === 'object' && part !== null),
);

const isParts = (value: unknown): value is Parts =>
  typeof value === 'object' && value !== null && !Array.isArray(value) && allObjects(value);

/** Whether every part has a place; the same for as long as the parts are. */
const allPlaced = onceFor((parts: Parts): boolean =>
  Object.values(parts).every(({ place }) => place !== undefined),
);

/** The changes that give every part without a place one: its predecessor's, else the last. */
export function placePatch(document: ProjectDocument, before: ProjectDocument): Patch {
  return ORDERED_PARTS.flatMap((name): Patch => {
    const parts: unknown = document[name];
    const earlier: unknown = before[name];
    if (!isParts(parts) || allPlaced(parts)) return [];
    const places = placesOf(parts, isParts(earlier) ? earlier : {});
    return Object.entries(parts).flatMap(([key, part]): Patch =>
      part.place === undefined
        ? [{ op: 'add', path: `/${name}/${key}/place`, value: places.get(key) }]
        : [],
    );
  });
}

/** Parts in the order of their places; of two in one place the first by key. */
const sorted = onceFor((parts: Parts): Parts => {
  const entries = Object.entries(parts);
  const after = (
    [a, { place: p = 0 }]: [string, Placed],
    [b, { place: q = 0 }]: [string, Placed],
  ) => p - q || (a < b ? -1 : 1);
  const stand = entries.every((entry, i) => {
    const previous = entries[i - 1];
    return !previous || after(previous, entry) < 0;
  });
  return stand ? parts : Object.freeze(Object.fromEntries(entries.sort(after)));
});

/**
 * The document with its parts in the order of their places, whatever order changes have left them in:
 * what reads a document need not sort. Parts that stand in order are shared.
 */
export function inOrder(document: ProjectDocument): ProjectDocument {
  const moved = ORDERED_PARTS.flatMap((name) => {
    const parts: unknown = document[name];
    const after = isParts(parts) ? sorted(parts) : parts;
    return after === parts ? [] : [[name, after] as const];
  });
  return moved.length === 0
    ? document
    : Object.freeze({ ...document, ...Object.fromEntries(moved) });
}

/** The changes that move a part before or after its neighbours in the order of places; none at either end. */
export function movePlace(
  part: (typeof ORDERED_PARTS)[number],
  parts: Readonly<Record<string, Placed>>,
  key: string,
  by: number,
): Patch {
  const keys = Object.keys(parts);
  const at = keys.indexOf(key);
  const to = at + by;
  if (at < 0 || to < 0 || to >= keys.length || by === 0) return [];
  const moved = keys.filter((one) => one !== key);
  moved.splice(to, 0, key);
  return moved.flatMap((one, i): Patch =>
    parts[one]?.place === i + 1 ? [] : [{ op: 'add', path: `/${part}/${one}/place`, value: i + 1 }],
  );
}
