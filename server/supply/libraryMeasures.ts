import { libraryFaces, type LibraryFamily } from '@lettera/core/document';
import type { FamilySheet } from '@lettera/core/measure';
import type { LibraryProgress } from '@lettera/core/wire';
import type { FamilyMeasurer } from '../job/familyMeasurer';
import type { Progress } from '../store/progress';
import type { FoundryClient } from './foundryClient';

type MeasuredFamily = LibraryProgress['families'][number];

/** Families fetched and measured at the same time: the workers never wait for the network. */
const AT_ONCE = 6;

/**
 * The measures of the whole library: taken in the background once the foundry has been allowed, each
 * family once for its files, and kept over restarts.
 */
export class LibraryMeasures {
  #state: LibraryProgress['state'] = 'idle';
  #of = 0;
  #measured: MeasuredFamily[] = [];
  #stopping: AbortController | null = null;

  constructor(
    private readonly foundry: FoundryClient,
    private readonly measurer: FamilyMeasurer,
    /** Measures what nobody waits for. */
    private readonly background: FamilyMeasurer,
    private readonly progress: Progress,
  ) {}

  /** What has been measured, from the family after the first `after` on. */
  report(after = 0): LibraryProgress {
    return {
      state: this.#state,
      of: this.#of,
      done: this.#measured.length,
      families: this.#measured.slice(after),
    };
  }

  /** The sheet of one family, measured now if it has not been. @throws SupplyError, FontError */
  sheet(family: LibraryFamily, signal?: AbortSignal): Promise<FamilySheet | null> {
    return this.#sheetBy(this.measurer, family, signal);
  }

  #sheetBy(
    measurer: FamilyMeasurer,
    family: LibraryFamily,
    signal?: AbortSignal,
  ): Promise<FamilySheet | null> {
    return measurer.sheet(libraryFaces(family), ({ name }) =>
      this.foundry.file(family, name, signal),
    );
  }

  /** Goes on measuring what has not been, those named first, unless that is under way or done. */
  async start(first: readonly string[] = []): Promise<void> {
    if (this.#state === 'measuring' || this.#state === 'done') return;
    this.#state = 'measuring';
    const stopping = new AbortController();
    this.#stopping = stopping;
    try {
      await this.#measureAll(first, stopping.signal);
      this.#state = stopping.signal.aborted ? 'stopped' : 'done';
    } catch {
      // The foundry does not answer: what was measured stays, and asking again goes on from there.
      this.#state = stopping.signal.aborted ? 'stopped' : 'failed';
    }
    this.#tell();
  }

  stop(): void {
    this.#stopping?.abort();
  }

  async #measureAll(first: readonly string[], signal: AbortSignal): Promise<void> {
    const families = await this.foundry.families();
    this.#of = families.length;
    const there = new Set(this.#measured.map(({ id }) => id));
    const wanted = families.filter(({ id }) => !there.has(id));
    const known = await this.measurer.known(wanted.map(libraryFaces));
    const unknown = wanted.filter((_, i) => !known[i]);
    wanted.forEach(({ id }, i) => {
      const measures = known[i];
      if (measures) this.#measured.push({ id, measures });
    });
    this.#tell();
    const isFirst = ({ id }: LibraryFamily) => first.includes(id);
    const queue = [...unknown.filter(isFirst), ...unknown.filter((family) => !isFirst(family))];
    const work = async () => {
      for (let family = queue.shift(); family && !signal.aborted; family = queue.shift()) {
        const sheet = await this.#sheetOrNone(family, signal);
        if (signal.aborted) return;
        this.#measured.push({ id: family.id, measures: sheet?.measures ?? null });
        this.#tell();
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, work));
  }

  /** A family that cannot be measured does not keep the others from it; the foundry being away does. */
  async #sheetOrNone(family: LibraryFamily, signal: AbortSignal): Promise<FamilySheet | null> {
    try {
      return await this.#sheetBy(this.background, family, signal);
    } catch (error) {
      if ((error as Error).name === 'FontError') return null;
      throw error;
    }
  }

  #tell(): void {
    this.progress.report({ task: 'measuring', done: this.#measured.length, of: this.#of });
  }
}
