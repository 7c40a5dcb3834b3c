import { eq, sql } from 'drizzle-orm';
import type { LocalReading } from '@lettera/core/fallback';
import type { Database } from './database';
import { localReadings } from './schema';

/** Readings of local fonts, by project. */
export class LocalReadingStore {
  constructor(private readonly database: Database) {}

  async list(projectId: string): Promise<LocalReading[]> {
    return this.database
      .select({
        local: localReadings.local,
        variant: localReadings.variant,
        advances: localReadings.advances,
      })
      .from(localReadings)
      .where(eq(localReadings.projectId, projectId));
  }

  /** Keeps readings, in place of earlier ones of the same font and style. */
  async keep(projectId: string, readings: readonly LocalReading[]): Promise<void> {
    if (readings.length === 0) return;
    await this.database
      .insert(localReadings)
      .values(readings.map((reading) => ({ projectId, ...reading })))
      .onConflictDoUpdate({
        target: [localReadings.projectId, localReadings.local, localReadings.variant],
        set: { advances: sql`excluded.advances` },
      });
  }
}
