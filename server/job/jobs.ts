import { availableParallelism } from 'node:os';
import { FontError, type FontErrorReason } from '@lettera/core/font';
import type { TunedFace } from '@lettera/core/fallback';
import Piscina from 'piscina';
import { fromSources } from '../folders';
import type { NarrowRequest, ReadFont, TuneRequest } from './tasks';

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
    try {
      return (await this.#run('readFont', bytes, READING_LIMIT)) as ReadFont;
    } catch (error) {
      throw asFontError(error);
    }
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

/** Errors cross from a worker without their class; a FontError is known by its reason. */
function asFontError(error: unknown): Error {
  const { name, message, reason } = error as Error & { reason?: FontErrorReason };
  if (reason) return new FontError(reason, message);
  if (name === 'AbortError' || name === 'TimeoutError') {
    return new FontError(
      'damaged',
      `This font could not be read within ${READING_LIMIT / 1000} seconds, so it was given up.`,
    );
  }
  return new FontError('damaged', 'This font is damaged: reading it failed.');
}
