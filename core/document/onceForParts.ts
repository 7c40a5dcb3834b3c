import type { ProjectDocument } from './projectDocument';

/** Parts of a project that are objects of their own, which a change that does not reach them leaves as they are. */
type PartKey = {
  [K in keyof ProjectDocument]-?: ProjectDocument[K] extends object ? K : never;
}[keyof ProjectDocument];

interface Entry {
  inner?: WeakMap<object, Entry>;
  result?: { value: unknown };
}

/**
 * A function of some parts of a project, worked out once for each set of them, whatever else of the project
 * changes. By its type it sees those parts alone, so that it cannot rest on others.
 * @param keys the parts
 */
export function onceForParts<K extends PartKey, V>(
  keys: readonly K[],
  make: (parts: Pick<ProjectDocument, K>) => V,
): (project: Pick<ProjectDocument, K>) => V {
  const root: Entry = {};
  return (project) => {
    let entry = root;
    for (const key of keys) {
      entry.inner ??= new WeakMap();
      const part: object = project[key];
      let next = entry.inner.get(part);
      if (!next) {
        next = {};
        entry.inner.set(part, next);
      }
      entry = next;
    }
    entry.result ??= { value: make(project) };
    return entry.result.value as V;
  };
}
