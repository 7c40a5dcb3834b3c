import { cutOf, madeKey } from '@lettera/core/deliver';
import type { Progress } from '../store/progress';
import type { DerivedFile, DerivedStore } from '../store/derivedStore';
import type { FontStore } from '../store/fontStore';
import type { Leases } from '../store/leases';
import type { Jobs } from './jobs';
import { StoppedError, Stopping } from './stopping';

const keyOf = ({ source, cut }: DerivedFile): string => madeKey(source, cutOf(cut));

/** Whose turn it is where the files of a project are made: another's than that of all else that it asks for. */
const packingFor = (projectId: string): string => `files of ${projectId}`;

/** Makes the files that are delivered, each once, and keeps them. */
export class FileMaker {
  readonly #underWay = new Map<string, Promise<number>>();
  readonly #failed = new Map<string, string>();
  readonly #stopping = new Stopping('Making the font files was stopped.');

  constructor(
    private readonly fonts: FontStore,
    private readonly derived: DerivedStore,
    private readonly jobs: Jobs,
    private readonly progress: Progress,
    private readonly leases: Leases,
  ) {}

  /** Bytes of what has been made from the given files, by source and cut as `madeKey` has them. */
  async made(sources: string[]): Promise<Record<string, number>> {
    const sizes = await this.derived.sizes(sources);
    return Object.fromEntries(sizes.map(({ size, ...file }) => [keyOf(file), size]));
  }

  /** Why files could not be made that were tried, by source and cut. */
  failed(sources: string[]): Record<string, string> {
    return Object.fromEntries(
      [...this.#failed].filter(([key]) => sources.some((source) => key.startsWith(source))),
    );
  }

  /** Stops what is being made for a project; what is done is kept, and asking again goes on from there. */
  stop(projectId: string): void {
    this.#stopping.stop(projectId);
  }

  /**
   * Makes those of the files that have not been made, and tells the project how far that has come.
   * @throws whatever keeps one of them from being made; StoppedError when it is stopped meanwhile
   */
  async make(projectId: string, files: readonly DerivedFile[]): Promise<void> {
    const made = await this.made(files.map(({ source }) => source));
    const wanted = new Map(files.map((file) => [keyOf(file), file]));
    for (const key of Object.keys(made)) wanted.delete(key);
    const signal = this.#stopping.signalOf(projectId);
    let done = 0;
    const tell = () => this.progress.report({ task: 'packing', done, of: wanted.size }, projectId);
    if (wanted.size > 0) tell();
    await Promise.all(
      [...wanted].map(async ([key, file]) => {
        try {
          await this.#one(key, file, projectId, signal);
        } finally {
          done++;
          tell();
        }
      }),
    );
  }

  /** The bytes of a file that is delivered; one that was let go is made again. */
  async bytes(projectId: string, file: DerivedFile): Promise<Buffer> {
    const kept = await this.derived.get(file);
    if (kept) return kept;
    await this.#one(keyOf(file), file, projectId);
    const made = await this.derived.get(file);
    if (!made) throw new RangeError(`${keyOf(file)} could not be kept`);
    return made;
  }

  async #one(
    key: string,
    file: DerivedFile,
    projectId: string,
    signal?: AbortSignal,
  ): Promise<number> {
    signal?.throwIfAborted();
    try {
      return await (this.#underWay.get(key) ?? this.#begin(key, file, projectId, signal));
    } catch (error) {
      // Who began it stopped it, and others wait for it.
      if (!(error instanceof StoppedError) || signal?.aborted) throw error;
      return this.#one(key, file, projectId, signal);
    }
  }

  #begin(
    key: string,
    file: DerivedFile,
    projectId: string,
    signal: AbortSignal | undefined,
  ): Promise<number> {
    this.#failed.delete(key);
    const work = this.leases
      .once(`file ${key}`, {
        look: () => this.derived.size(file),
        make: () => this.#derive(file, projectId, signal),
        signal,
      })
      .catch((error: unknown) => {
        if (!(error instanceof StoppedError)) this.#failed.set(key, (error as Error).message);
        throw error;
      })
      .finally(() => this.#underWay.delete(key));
    this.#underWay.set(key, work);
    return work;
  }

  async #derive(
    file: DerivedFile,
    projectId: string,
    signal: AbortSignal | undefined,
  ): Promise<number> {
    const source = (await this.fonts.files([file.source])).get(file.source);
    if (!source) throw new RangeError(`The store has no file ${file.source}`);
    // In turns of their own: a font that is added meanwhile does not wait for a hundred files.
    const bytes = await this.jobs
      .for(packingFor(projectId))
      .derive({ bytes: source, cut: cutOf(file.cut) }, signal);
    await this.derived.keep(file, bytes);
    return bytes.byteLength;
  }
}
