import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { FontError } from '@lettera/core/font';
import type { BundleFile } from '@lettera/core/deliver';
import type { TunedFace } from '@lettera/core/fallback';
import type { FaceMeasures, FamilySheet } from '@lettera/core/measure';
import { SiteError, type TypeRules } from '@lettera/core/page';
import type { ReadSite } from '@lettera/core/page/file';
import pLimit from 'p-limit';
import workerpool from 'workerpool';
import { fromSources } from '../folders';
import type {
  DeliverRequest,
  DeriveRequest,
  FontSource,
  MeasureRequest,
  ReadFont,
  RefusedFont,
  SheetRequest,
} from './tasks';
import type { RulesRequest, SiteRequest, UnreadSite } from './pageTasks';
import type { UnreadProject } from './projectTasks';
import type { TuneRequest } from './tuneTask';

/** Set for workers whose work gives way; `worker.ts` reads it. */
const BACKGROUND = 'LETTERA_BACKGROUND';
/** A reading that takes longer is ended, milliseconds. */
const READING_LIMIT = 10_000;
/** Pages and style sheets that take longer are given up, milliseconds. */
const SITE_LIMIT = 30_000;
/** Packing as WOFF2 takes seconds for each megabyte: what it may take at least, and for each, milliseconds. */
const PACKING_LIMIT = { least: 30_000, perMegabyte: 20_000 };
const MEGABYTE = 1024 * 1024;
const MEMORY_LIMIT_MB = 512;
const WORKERS = Math.max(2, Math.min(4, availableParallelism()));
/** A worker that is ended is given this long to end by itself, milliseconds. */
const PARTING = 200;
/** Workers without work are ended after this long, and with them what they hold of memory, milliseconds. */
const IDLE = 30_000;

/**
 * Work on fonts, in processes beside the server: the server answers meanwhile, and a file that makes a
 * reader run out of memory, or run without end, ends that process alone. Threads do not do: one that runs
 * out of memory can take the whole process along.
 */
export class Jobs {
  #pool: workerpool.Pool | null = null;
  #idle: NodeJS.Timeout | undefined;
  /** How often the workers have been ended. */
  #closings = 0;
  /** Tasks wait here and not in the pool, so that a limit counts from when work on a file begins. */
  readonly #turn = pLimit(WORKERS);

  /**
   * @param background whether the work gives way to everything else on the machine: what nobody waits for
   *   must not hold up typing and scrolling
   */
  constructor(private readonly background = false) {}

  /**
   * Reads a font file, or each face of a collection; one that is no usable font stands as its reason.
   * @throws FontError when the file is none, or takes more time or memory than it may
   */
  async readFonts(source: FontSource): Promise<(ReadFont | FontError)[]> {
    const read = await this.#onFont<(ReadFont | RefusedFont)[]>('readFonts', source);
    return read.map((one) => ('refused' in one ? errorOf(one) : one));
  }

  /** Reads a file that holds one font. @throws FontError */
  async readFont(source: FontSource): Promise<ReadFont> {
    const [first] = await this.readFonts(source);
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

  /**
   * Makes the file that is delivered from one that was taken in. Its limit grows with the file. Aborting ends
   * the worker that is at it.
   * @throws FontError when it cannot be made; the signal's reason when it is aborted
   */
  async derive(request: DeriveRequest, signal?: AbortSignal): Promise<Uint8Array> {
    const { least, perMegabyte } = PACKING_LIMIT;
    const limit = least + (request.bytes.byteLength / MEGABYTE) * perMegabyte;
    try {
      return (await this.#run('derive', request, { limit, signal })) as Uint8Array;
    } catch (error) {
      signal?.throwIfAborted();
      const why = isTimeout(error) ? ` within ${Math.round(limit / 1000)} seconds` : '';
      throw new FontError(
        'damaged',
        `A font could not be packed as WOFF2${why}. Its faces can be used; to deliver it, bring it as WOFF2.`,
      );
    }
  }

  /** Tunes local fonts to a face. Aborting ends the worker that is at it. @throws the signal's reason then */
  tune(request: TuneRequest, signal?: AbortSignal): Promise<Record<string, TunedFace>> {
    return this.#run('tune', request, { signal }) as Promise<Record<string, TunedFace>>;
  }

  /** Reads the pages of a site. @throws SiteError when there are none, or it takes more than it may */
  async readPages(request: SiteRequest): Promise<ReadSite> {
    let read: ReadSite | UnreadSite;
    try {
      read = (await this.#run('readPages', request, { limit: SITE_LIMIT })) as typeof read;
    } catch (error) {
      const why = isTimeout(error) ? ` within ${SITE_LIMIT / 1000} seconds` : '';
      throw new SiteError(`The pages could not be read${why}.`);
    }
    if ('unread' in read) throw new SiteError(read.unread);
    return read;
  }

  typeRules(request: RulesRequest): Promise<TypeRules> {
    return this.#run('typeRules', request, { limit: SITE_LIMIT }) as Promise<TypeRules>;
  }

  /** Every character that pages set, each once. */
  pageCharacters(pages: { html: string; css: string }[]): Promise<string> {
    return this.#run('pageCharacters', pages, { limit: SITE_LIMIT }) as Promise<string>;
  }

  /** The files of a project file, by their paths; or why it cannot be read. */
  async unpackProject(at: string): Promise<Record<string, Uint8Array> | UnreadProject> {
    try {
      return (await this.#run('unpackProject', at, { limit: SITE_LIMIT })) as
        Record<string, Uint8Array> | UnreadProject;
    } catch {
      return { unread: `It could not be read within ${SITE_LIMIT / 1000} seconds.` };
    }
  }

  deliver(request: DeliverRequest): Promise<BundleFile[]> {
    return this.#run('deliver', request) as Promise<BundleFile[]>;
  }

  zip(files: Record<string, Uint8Array | string>): Promise<Uint8Array> {
    return this.#run('zip', files) as Promise<Uint8Array>;
  }

  /** Ends all workers, what they are at, and what waits for them. */
  async close(): Promise<void> {
    this.#closings++;
    clearTimeout(this.#idle);
    const pool = this.#pool;
    this.#pool = null;
    await pool?.terminate(true);
  }

  /** A task on a file from outside, within limits. */
  async #onFont<T extends object>(name: string, task: unknown): Promise<T> {
    let result: T | RefusedFont;
    try {
      result = (await this.#run(name, task, { limit: READING_LIMIT })) as T | RefusedFont;
    } catch (error) {
      throw readingFailed(error);
    }
    if ('refused' in result) throw errorOf(result);
    return result;
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

  async #run(
    name: string,
    task: unknown,
    { limit, signal }: { limit?: number; signal?: AbortSignal | undefined } = {},
  ): Promise<unknown> {
    clearTimeout(this.#idle);
    const closings = this.#closings;
    try {
      return await this.#turn(async () => {
        signal?.throwIfAborted();
        // What waited when the workers were ended would start others.
        if (closings !== this.#closings) throw new Error('The workers have been ended.');
        const running = this.#workers().exec(name, [task]);
        const cancel = () => void running.cancel();
        signal?.addEventListener('abort', cancel);
        try {
          return await (limit ? running.timeout(limit) : running);
        } finally {
          signal?.removeEventListener('abort', cancel);
        }
      });
    } catch (error) {
      signal?.throwIfAborted();
      throw error;
    } finally {
      clearTimeout(this.#idle);
      if (this.#turn.activeCount + this.#turn.pendingCount === 0) {
        this.#idle = setTimeout(() => void this.close(), IDLE).unref();
      }
    }
  }
}

const isTimeout = (error: unknown): boolean =>
  error instanceof Error && error.name === 'TimeoutError';

const errorOf = ({ refused }: RefusedFont): FontError =>
  new FontError(refused.reason, refused.message);

/** A worker that ran out of time or memory, or stumbled: the file is to blame in each case. */
function readingFailed(error: unknown): FontError {
  if (isTimeout(error)) {
    return new FontError(
      'damaged',
      `This font could not be read within ${READING_LIMIT / 1000} seconds, so it was given up.`,
    );
  }
  return new FontError('damaged', 'This font is damaged: reading it failed.');
}
