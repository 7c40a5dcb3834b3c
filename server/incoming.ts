import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { isAlive } from './processes';

/** More arrives than may: `all` says whether for everybody together, or for the one who sends. */
export class TooMuchError extends Error {
  override readonly name = 'TooMuchError';

  constructor(readonly all: boolean) {
    super('More arrives than may.');
  }
}

/** Bytes of all that may lie here at once, whoever sends it. */
const MOST_AT_ONCE = 1024 * 1024 * 1024;

/** The files that one request brings, until they have been dealt with. */
export interface Arrival {
  /** Writes a file and gives its path. @throws TooMuchError */
  receive(stream: Readable): Promise<{ path: string; size: number }>;
  /** Removes them all. */
  clear(): Promise<void>;
}

/** Names of folders, each of one process: its number and a word of its own. */
const FOLDER = /^(\d+)-[\w-]+$/;
/** Folders of this process: there may be several. */
const own = new Set<string>();

/** Removes what processes have left here that are no longer there. */
async function clearAbandoned(parent: string): Promise<void> {
  for (const name of await readdir(parent)) {
    const pid = Number(FOLDER.exec(name)?.[1] ?? NaN);
    const isUsed = own.has(name) || (pid !== process.pid && isAlive(pid));
    if (!isUsed) await rm(join(parent, name), { recursive: true, force: true });
  }
}

/**
 * Files on their way in: on disk and not in memory, counted as they are read and not by what they say of
 * themselves.
 */
export class IncomingFiles {
  #bytes = 0;

  private constructor(private readonly folder: string) {}

  /**
   * Opens a folder of this process's own for what arrives. Others on the same data keep theirs; what a process
   * has left that is no longer there is removed.
   */
  static async open(dataFolder: string): Promise<IncomingFiles> {
    const parent = join(dataFolder, 'incoming');
    const name = `${process.pid}-${randomUUID()}`;
    try {
      await mkdir(parent, { recursive: true });
      await clearAbandoned(parent);
      await mkdir(join(parent, name));
      own.add(name);
      return new IncomingFiles(join(parent, name));
    } catch {
      // With the database elsewhere there may be no data folder.
      return new IncomingFiles(await mkdtemp(join(tmpdir(), 'lettera-incoming-')));
    }
  }

  /**
   * @param most bytes of one request's files together
   * @param announced bytes that the request says it brings, for which room is kept: who comes when there is
   * none is reported at once, and not all who are sending. What is more than that is counted as it arrives.
   * @throws TooMuchError
   */
  async expect(most: number, announced = 0): Promise<Arrival> {
    if (this.#bytes + announced > MOST_AT_ONCE) throw new TooMuchError(true);
    this.#bytes += announced;
    const folder = join(this.folder, randomUUID());
    await mkdir(folder);
    let arrived = 0;
    let held = announced;
    const count = (bytes: number) => {
      arrived += bytes;
      const more = Math.max(0, arrived - held);
      held += more;
      this.#bytes += more;
      if (arrived > most) throw new TooMuchError(false);
      if (more > 0 && this.#bytes > MOST_AT_ONCE) throw new TooMuchError(true);
    };
    let files = 0;
    return {
      receive: async (stream) => {
        const path = join(folder, String(files++));
        let size = 0;
        const counting = new Transform({
          transform(chunk: Buffer, _encoding, done) {
            try {
              size += chunk.length;
              count(chunk.length);
              done(null, chunk);
            } catch (error) {
              done(error as Error);
            }
          },
        });
        await pipeline(stream, counting, createWriteStream(path));
        return { path, size };
      },
      clear: async () => {
        this.#bytes -= held;
        held = 0;
        await rm(folder, { recursive: true, force: true });
      },
    };
  }

  async close(): Promise<void> {
    own.delete(basename(this.folder));
    await rm(this.folder, { recursive: true, force: true });
  }
}
