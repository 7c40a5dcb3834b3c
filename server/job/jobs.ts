import { availableParallelism } from 'node:os';
import { FontError } from '@lettera/core/font';
import type { TunedFace } from '@lettera/core/fallback';
import type { FaceMeasures, FamilySheet } from '@lettera/core/measure';
import pLimit from 'p-limit';
import Piscina from 'piscina';
import { fromSources } from '../folders';
import type {
  MeasureRequest,
  NarrowRequest,
  ReadFont,
  RefusedFont,
  SheetRequest,
  TuneRequest,
} from './tasks';

/** A reading that takes longer is ended, milliseconds. */
const READING_LIMIT = 10_000;
const MEMORY_LIMIT_MB = 512;
const THREADS = Math.max(2, Math.min(4, availableParallelism()));

/**
 * Work on fonts, on worker threads, so that the server answers meanwhile, and so that a hostile file
 * can be ended without ending the server.
 */
export class Jobs {
  readonly #pool = new Piscina({
    filename: new URL(fromSources ? './sourceWorker.mjs' : './worker.mjs', import.meta.url).href,
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_LIMIT_MB },
  });
  /** Tasks wait here and not in the pool, so that a limit counts from when work on a file begins. */
  readonly #turn = pLimit(THREADS);

  /**
   * Reads a font file, or each face of a collection; one that is no usable font stands as its reason.
   * @throws FontError when the file is none, or takes more time or memory than it may
   */
  async readFonts(file: Uint8Array): Promise<(ReadFont | FontError)[]> {
    const read = await this.#onFont<(ReadFont | RefusedFont)[]>('readFonts', file);
    return read.map((one) => ('refused' in one ? errorOf(one) : one));
  }

  /** Reads a file that holds one font. @throws FontError */
  async readFont(file: Uint8Array): Promise<ReadFont> {
    const [first] = await this.readFonts(file);
    if (!first || first instanceof FontError) throw first ?? readingFailed(null);
    return first;
  }

  /** Measures a face at a point of its axes. @throws FontError */
  measure(request: MeasureRequest): Promise<FaceMeasures> {
    return this.#onFont('measure', request);
  }

  /** Reads and measures a family. @throws FontError */
  sheet(request: SheetRequest): Promise<FamilySheet> {
    return this.#onFont('sheet', request);
  }

  narrowWeights(request: NarrowRequest): Promise<Uint8Array> {
    return this.#run('narrowWeights', request, READING_LIMIT) as Promise<Uint8Array>;
  }

  tune(request: TuneRequest): Promise<Record<string, TunedFace>> {
    return this.#run('tune', request) as Promise<Record<string, TunedFace>>;
  }

  zip(files: Record<string, Uint8Array | string>): Promise<Uint8Array> {
    return this.#run('zip', files) as Promise<Uint8Array>;
  }

  async close(): Promise<void> {
    await this.#pool.destroy();
  }

  /** A task on a file from outside, within limits. */
  async #onFont<T extends object>(name: string, task: unknown): Promise<T> {
    let result: T | RefusedFont;
    try {
      result = (await this.#run(name, task, READING_LIMIT)) as T | RefusedFont;
    } catch (error) {
      throw readingFailed(error);
    }
    if ('refused' in result) throw errorOf(result);
    return result;
  }

  #run(name: string, task: unknown, limit?: number): Promise<unknown> {
    return this.#turn(() =>
      this.#pool.run(task, {
        name,
        ...(limit ? { signal: AbortSignal.timeout(limit) } : {}),
      }),
    );
  }
}

const errorOf = ({ refused }: RefusedFont): FontError =>
  new FontError(refused.reason, refused.message);

/** A worker that ran out of time or memory, or stumbled: the file is to blame in each case. */
function readingFailed(error: unknown): FontError {
  const name = error instanceof Error ? error.name : '';
  if (name === 'AbortError' || name === 'TimeoutError') {
    return new FontError(
      'damaged',
      `This font could not be read within ${READING_LIMIT / 1000} seconds, so it was given up.`,
    );
  }
  return new FontError('damaged', 'This font is damaged: reading it failed.');
}
