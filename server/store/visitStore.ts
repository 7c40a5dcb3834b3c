import { randomBytes } from 'node:crypto';
import { asc, eq, sql } from 'drizzle-orm';
import type { VisitState } from '@lettera/core/wire';
import type { Database } from './database';
import { visitCounts, visitKeys } from './schema';

const KEY_BYTES = 24;

/** Visits of sites as sums by day. Nothing of a single visit is kept. */
export class VisitStore {
  constructor(private readonly database: Database) {}

  async state(projectId: string): Promise<VisitState> {
    const { day, what, times } = visitCounts;
    const [keys, counts] = await Promise.all([
      this.database
        .select({ key: visitKeys.key })
        .from(visitKeys)
        .where(eq(visitKeys.projectId, projectId)),
      this.database
        .select({ day, what, times })
        .from(visitCounts)
        .where(eq(visitCounts.projectId, projectId))
        .orderBy(asc(day), asc(what)),
    ]);
    return { key: keys[0]?.key ?? null, counts };
  }

  /** Begins to count the visits of a project under a key; one that is there stays. */
  async begin(projectId: string): Promise<void> {
    const key = randomBytes(KEY_BYTES).toString('base64url');
    await this.database.insert(visitKeys).values({ key, projectId }).onConflictDoNothing();
  }

  /** Ends counting, and lets go of what was counted. */
  async forget(projectId: string): Promise<void> {
    await this.database.batch([
      this.database.delete(visitKeys).where(eq(visitKeys.projectId, projectId)),
      this.database.delete(visitCounts).where(eq(visitCounts.projectId, projectId)),
    ]);
  }

  /** The project whose visits are counted under a key; null for none. */
  async projectOf(key: string): Promise<string | null> {
    const [row] = await this.database
      .select({ projectId: visitKeys.projectId })
      .from(visitKeys)
      .where(eq(visitKeys.key, key));
    return row?.projectId ?? null;
  }

  /** Adds one to each of what a visit is counted as. */
  async count(projectId: string, day: string, what: readonly string[]): Promise<void> {
    if (what.length === 0) return;
    await this.database
      .insert(visitCounts)
      .values(what.map((one) => ({ projectId, day, what: one, times: 1 })))
      .onConflictDoUpdate({
        target: [visitCounts.projectId, visitCounts.day, visitCounts.what],
        set: { times: sql`${visitCounts.times} + 1` },
      });
  }
}
