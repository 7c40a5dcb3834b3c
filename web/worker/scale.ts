import { findScale, type FoundScale } from '@lettera/core/scale';
import { readSizes, type ReadSizes } from '@lettera/core/scale/given';
import { expose } from 'comlink';

/** What was read from texts of sizes, and the scale that comes closest; null when none does. */
export interface ScaleSearch extends ReadSizes {
  found: FoundScale | null;
}

export interface ScaleWorker {
  search: (texts: { small: string; large: string }, base: number | null) => ScaleSearch;
}

const worker: ScaleWorker = {
  search(texts, base) {
    const read = readSizes(texts);
    const found = read.problem === null ? findScale(read.sizes, base) : null;
    const problem =
      read.problem ??
      (found
        ? null
        : 'No ratio gives each of these sizes a step of its own within twelve of the base.');
    return { ...read, found, problem };
  },
};

expose(worker);
