import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import workerpool from 'workerpool';
import { fromSources } from '../folders';
import { FairTurns } from './fairTurns';

/** Set for workers whose work gives way; `worker.ts` reads it. */
const BACKGROUND = 'LETTERA_BACKGROUND';
const MEMORY_LIMIT_MB = 512;
/** Processes that one owner may keep busy, and one more, so that another's work begins at once. */
const MOST_OF_ONE = Math.max(2, Math.min(4, availableParallelism()));
const WORKERS = MOST_OF_ONE + 1;
/** A process is given this long to begin with its work, before that counts against the work's own limit, milliseconds. */
const STARTING = 60_000;
/** A worker that is ended is given this long to end by itself, milliseconds. */
const PARTING = 200;
/** Workers without work are ended after this long, and with them what they hold of memory, milliseconds. */
const IDLE = 30_000;

/** What a piece of work may take, and whose it is. */
export interface Terms {
  owner: string;
  /** Milliseconds from when it begins. */
  limit?: number;
  /** Ends the worker that is at it. */
  signal?: AbortSignal | undefined;
}

/** Work took longer than it may. */
export const isTimeout = (error: unknown): boolean =>
  error instanceof Error && error.name === 'TimeoutError';

/**
 * Processes beside the server: it answers meanwhile, and what makes one run out of memory, or run without end,
 * ends that process alone. Threads do not do: one that runs out of memory can take the whole process along.
 */
export class WorkerPool {
  #pool: workerpool.Pool | null = null;
  #idle: NodeJS.Timeout | undefined;
  /** How often the workers have been ended. */
  #closings = 0;
  /** Tasks wait here and not in the pool, so that a limit counts from when work on a file begins. */
  readonly #turns = new FairTurns(WORKERS, MOST_OF_ONE);

  /**
   * @param background whether the work gives way to everything else on the machine: what nobody waits for
   *   must not hold up typing and scrolling
   */
  constructor(private readonly background = false) {}

  /** Runs a task of `tasks.ts` by its name. @throws what it throws, a time-out, the signal's reason */
  async run(name: string, task: unknown, { owner, limit, signal }: Terms): Promise<unknown> {
    clearTimeout(this.#idle);
    const closings = this.#closings;
    try {
      return await this.#turns.run(owner, async () => {
        signal?.throwIfAborted();
        // What waited when the workers were ended would start others.
        if (closings !== this.#closings) throw new Error('The workers have been ended.');
        const running: workerpool.Promise<unknown> = this.#workers().exec(name, [task], {
          // On a busy machine a process takes seconds to start: that is not the work's.
          on: () => {
            if (limit) running.timeout(limit);
          },
        });
        const cancel = () => void running.cancel();
        signal?.addEventListener('abort', cancel);
        try {
          return await (limit ? running.timeout(STARTING + limit) : running);
        } finally {
          signal?.removeEventListener('abort', cancel);
        }
      });
    } catch (error) {
      signal?.throwIfAborted();
      throw error;
    } finally {
      clearTimeout(this.#idle);
      if (this.#turns.isIdle) this.#idle = setTimeout(() => void this.close(), IDLE).unref();
    }
  }

  /** Ends all workers, what they are at, and what waits for them. */
  async close(): Promise<void> {
    this.#closings++;
    clearTimeout(this.#idle);
    const pool = this.#pool;
    this.#pool = null;
    await pool?.terminate(true);
  }

  #workers(): workerpool.Pool {
    this.#pool ??= workerpool.pool(
      fileURLToPath(new URL(fromSources ? './sourceWorker.mjs' : './worker.mjs', import.meta.url)),
      {
        workerType: 'process',
        maxWorkers: WORKERS,
        workerTerminateTimeout: PARTING,
        // What a process says when it runs out of memory is for nobody.
        emitStdStreams: true,
        forkOpts: {
          serialization: 'advanced',
          execArgv: [`--max-old-space-size=${MEMORY_LIMIT_MB}`],
          env: { ...process.env, ...(this.background ? { [BACKGROUND]: '1' } : {}) },
        },
      },
    );
    return this.#pool;
  }
}
