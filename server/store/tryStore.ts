import { eq, lt, sql } from 'drizzle-orm';
import type { Store } from 'express-rate-limit';
import type { Database } from './database';
import { tries } from './schema';

/** How often something was tried, held in the store, so that what is allowed is allowed once for all processes. */
export class TryStore implements Store {
  readonly localKeys = false;

  constructor(
    private readonly database: Database,
    /** What is counted, apart from other things. */
    private readonly what: string,
    private readonly windowMs: number,
  ) {}

  async increment(who: string): Promise<{ totalHits: number; resetTime: Date }> {
    const now = Date.now();
    await this.database.delete(tries).where(lt(tries.resetsAt, now));
    const [row] = await this.database
      .insert(tries)
      .values({ key: this.#key(who), hits: 1, resetsAt: now + this.windowMs })
      .onConflictDoUpdate({ target: tries.key, set: { hits: sql`${tries.hits} + 1` } })
      .returning();
    return {
      totalHits: row?.hits ?? 1,
      resetTime: new Date(row?.resetsAt ?? now + this.windowMs),
    };
  }

  async decrement(who: string): Promise<void> {
    await this.database
      .update(tries)
      .set({ hits: sql`max(${tries.hits} - 1, 0)` })
      .where(eq(tries.key, this.#key(who)));
  }

  async resetKey(who: string): Promise<void> {
    await this.database.delete(tries).where(eq(tries.key, this.#key(who)));
  }

  #key(who: string): string {
    return `${this.what} ${who}`;
  }
}
