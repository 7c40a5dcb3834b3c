import { randomUUID } from 'node:crypto';
import { EventEmitter } from 'node:events';
import { and, asc, gt, lt, lte, max, ne } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import type { Database } from './database';
import { outbox } from './schema';

/** Something that has happened to a project, or with null to all of them. */
export interface Told<T = unknown> {
  kind: string;
  project: string | null;
  data: T;
}

/** How often it is looked for what other processes tell, milliseconds: a file says at once whether there is anything. */
const LOOK_EVERY = { file: 150, server: 400 };
/** A file is asked nevertheless so often: a connection that was made anew may not say that others have written. */
const ASK_EVERY = 2000;
/** Read at once. */
const AT_ONCE = 500;
/** What processes tell of themselves: that they came, or are here, or went. */
const PROCESS = 'process';
type Presence = 'came' | 'here' | 'went';

/** How long what was told is kept for those who follow, milliseconds. */
const KEPT = 10 * 60 * 1000;

/**
 * What the processes on one store tell one another. What happens in this one is heard here at once; what happens in
 * others, within a moment.
 */
export class Outbox {
  readonly #origin = randomUUID();
  readonly #events = new EventEmitter().setMaxListeners(0);
  #last = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #looking: Promise<void> = Promise.resolve();
  #version: unknown = null;
  #asked = 0;
  #following = false;
  /** Other processes that have been heard of. */
  readonly #others = new Set<string>();

  constructor(private readonly database: Database) {}

  /** Whether no other process is known to follow: what only those are told who look on now need not be written down. */
  get isAlone(): boolean {
    return this.#others.size === 0;
  }

  /** What writes something down for others, to be stored together with what it tells of. */
  entry({ kind, project, data }: Told): BatchItem<'sqlite'> {
    return this.database
      .insert(outbox)
      .values({ origin: this.#origin, kind, project, data: data ?? {}, at: Date.now() });
  }

  /** Tells those who listen in this process. */
  hear({ kind, project, data }: Told): void {
    this.#events.emit(kind, project, data);
  }

  /** Tells everybody of something that has happened. */
  async tell(told: Told): Promise<void> {
    this.hear(told);
    await this.entry(told);
  }

  /** Calls back at everything of a kind. @returns how to stop listening */
  on<T>(kind: string, listener: (project: string | null, data: T) => void): () => void {
    this.#events.on(kind, listener);
    return () => this.#events.off(kind, listener);
  }

  /** Begins to follow what other processes tell from now on. */
  async follow(): Promise<void> {
    const [newest] = await this.database.select({ id: max(outbox.id) }).from(outbox);
    this.#last = newest?.id ?? 0;
    this.#following = true;
    await this.#sayOfItself('came');
    this.#next();
  }

  async #sayOfItself(data: Presence): Promise<void> {
    await this.entry({ kind: PROCESS, project: null, data });
  }

  /** Ends following; what is being looked for is let finish. */
  async close(): Promise<void> {
    if (!this.#following) return;
    this.#following = false;
    clearTimeout(this.#timer);
    await this.#looking;
    // One that is gone without a word is told of what nobody hears, and that is all.
    await this.#sayOfItself('went').catch(() => undefined);
  }

  /** Lets go of what everybody has had the time to hear. */
  async forget(): Promise<void> {
    await this.database.delete(outbox).where(lt(outbox.at, Date.now() - KEPT));
  }

  #next(): void {
    if (!this.#following) return;
    const isFile = this.database.$client.protocol === 'file';
    this.#timer = setTimeout(
      () => {
        // A store that does not answer now is asked again.
        this.#looking = this.#look(isFile).catch(() => undefined);
        void this.#looking.then(() => this.#next());
      },
      isFile ? LOOK_EVERY.file : LOOK_EVERY.server,
    ).unref();
  }

  /** Whether another connection may have written to the file. https://sqlite.org/pragma.html#pragma_data_version */
  async #mayHaveChanged(): Promise<boolean> {
    const { rows } = await this.database.$client.execute('PRAGMA data_version');
    const [version] = Object.values(rows[0] ?? {});
    const isOther = version !== this.#version || Date.now() - this.#asked > ASK_EVERY;
    this.#version = version;
    return isOther;
  }

  async #look(isFile: boolean): Promise<void> {
    if (isFile && !(await this.#mayHaveChanged())) return;
    this.#asked = Date.now();
    const [newest] = await this.database.select({ id: max(outbox.id) }).from(outbox);
    const until = newest?.id ?? this.#last;
    const rows = await this.database
      .select()
      .from(outbox)
      .where(and(gt(outbox.id, this.#last), lte(outbox.id, until), ne(outbox.origin, this.#origin)))
      .orderBy(asc(outbox.id))
      .limit(AT_ONCE);
    // There may be more, which is looked for at the next turn; what is this process's own is passed over.
    if (rows.length === AT_ONCE) this.#version = null;
    else this.#last = Math.max(this.#last, until);
    for (const row of rows) {
      this.#last = Math.max(this.#last, row.id);
      this.#others.add(row.origin);
      if (row.kind === PROCESS) await this.#meet(row.origin, row.data as Presence);
      else this.hear(row);
    }
  }

  /** Notes another process that came or went; one that came is told that this one is here. */
  async #meet(origin: string, presence: Presence): Promise<void> {
    if (presence === 'went') this.#others.delete(origin);
    if (presence === 'came') await this.#sayOfItself('here');
  }
}
