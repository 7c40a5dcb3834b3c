import { availableParallelism } from 'node:os';
import { FontError } from '@lettera/core/font';
import type { TunedFace } from '@lettera/core/fallback';
import Piscina from 'piscina';
import { fromSources } from '../folders';
import type { NarrowRequest, ReadFont, RefusedFont, TuneRequest } from './tasks';

/** A reading that takes longer is ended, milliseconds. */
const READING_LIMIT = 10_000;
const MEMORY_LIMIT_MB = 512;

/**
 * Work on fonts, on worker threads, so that the server answers meanwhile, and so that a hostile file
 * can be ended without ending the server.
 */
export class Jobs {
  readonly #pool = new Piscina({
    filename: new URL(fromSources ? './sourceWorker.mjs' : './worker.mjs', import.meta.url).href,
    minThreads: 1,
    maxThreads: Math.max(2, Math.min(4, availableParallelism())),
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_LIMIT_MB },
  });

  /** Reads a font file. @throws FontError when it is none, or takes more time or memory than it may */
  async readFont(bytes: Uint8Array): Promise<ReadFont> {
    let result: ReadFont | RefusedFont;
    try {
      result = (await this.#run('readFont', bytes, READING_LIMIT)) as ReadFont | RefusedFont;
    } catch (error) {
      throw readingFailed(error);
    }
    if ('refused' in result) throw new FontError(result.refused.reason, result.refused.message);
    return result;
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

  #run(name: string, task: unknown, limit?: number): Promise<unknown> {
    return this.#pool.run(task, {
      name,
      ...(limit ? { signal: AbortSignal.timeout(limit) } : {}),
    });
  }
}

/** A worker that ran out of time or memory, or stumbled: the file is to blame in each case. */
function readingFailed(error: unknown): FontError {
  const { name } = error as Error;
  if (name === 'AbortError' || name === 'TimeoutError') {
    return new FontError(
      'damaged',
      `This font could not be read within ${READING_LIMIT / 1000} seconds, so it was given up.`,
    );
  }
  return new FontError('damaged', 'This font is damaged: reading it failed.');
}
