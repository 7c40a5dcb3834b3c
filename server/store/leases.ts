import { randomUUID } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';
import { and, eq, lte, sql } from 'drizzle-orm';
import type { Database } from './database';
import { leases } from './schema';

/** How long a piece of work is held without a word, milliseconds: that of a process that died is then taken over. */
const LEASE = 10_000;
/** How often it is looked whether work that another process holds is done, milliseconds. */
const LOOK_EVERY = 150;

/** The time by the store's own clock, which all processes share, in milliseconds. */
const NOW = sql<number>`CAST(unixepoch('subsec') * 1000 AS INTEGER)`;

/** Work that is done once for all processes on a store. */
export class Leases {
  readonly #holder = randomUUID();

  constructor(
    private readonly database: Database,
    private readonly lease = LEASE,
  ) {}

  /**
   * What a piece of work makes: as it was made before, or by another process that is at it, or made here.
   * @param key what it makes; the same for all processes
   * @param work.look what has been made of it and is kept in the store; null for nothing
   * @param work.make makes it, and keeps it in the store
   * @throws whatever `make` throws; who waited for another process tries it itself then
   */
  async once<T>(
    key: string,
    {
      look,
      make,
      signal,
    }: { look: () => Promise<T | null>; make: () => Promise<T>; signal?: AbortSignal | undefined },
  ): Promise<T> {
    for (;;) {
      signal?.throwIfAborted();
      const made = await look();
      if (made !== null) return made;
      if (await this.#claim(key)) return this.#held(key, look, make);
      await wait(LOOK_EVERY);
    }
  }

  async #held<T>(key: string, look: () => Promise<T | null>, make: () => Promise<T>): Promise<T> {
    const beat = setInterval(() => void this.#prolong(key), this.lease / 3).unref();
    try {
      // It may have been made between looking and claiming.
      return (await look()) ?? (await make());
    } finally {
      clearInterval(beat);
      await this.#release(key);
    }
  }

  /** Takes a piece of work that nobody holds, or whose holder has gone silent. @returns whether it is held here now */
  async #claim(key: string): Promise<boolean> {
    const until = sql`${NOW} + ${this.lease}`;
    const taken = await this.database
      .insert(leases)
      .values({ key, holder: this.#holder, until })
      .onConflictDoUpdate({
        target: leases.key,
        set: { holder: this.#holder, until },
        setWhere: lte(leases.until, NOW),
      })
      .returning({ key: leases.key });
    return taken.length > 0;
  }

  async #prolong(key: string): Promise<void> {
    await this.database
      .update(leases)
      .set({ until: sql`${NOW} + ${this.lease}` })
      .where(and(eq(leases.key, key), eq(leases.holder, this.#holder)))
      // Another try comes in a moment; what is made is kept whoever makes it.
      .catch(() => undefined);
  }

  async #release(key: string): Promise<void> {
    await this.database
      .delete(leases)
      .where(and(eq(leases.key, key), eq(leases.holder, this.#holder)))
      // It runs out by itself.
      .catch(() => undefined);
  }
}
