import { inArray, sql } from 'drizzle-orm';
import type { TunedFace } from '@lettera/core/fallback';
import type { Database } from './database';
import { tunings } from './schema';

/** Tunings are kept up to so many, the newest: a project uses a few dozen. */
const MOST_TUNINGS = 5000;

/** Local fonts tuned to faces, kept by all that they were tuned on. */
export class TuningStore {
  constructor(private readonly database: Database) {}

  /** Those of the given keys that are known; null where a font was found to have no word of the text. */
  async get(keys: readonly string[]): Promise<Map<string, TunedFace | null>> {
    const rows = await this.database
      .select()
      .from(tunings)
      .where(inArray(tunings.key, [...keys]));
    return new Map(rows.map(({ key, face }) => [key, face]));
  }

  async keep(faces: ReadonlyMap<string, TunedFace | null>): Promise<void> {
    if (faces.size === 0) return;
    await this.database
      .insert(tunings)
      .values([...faces].map(([key, face]) => ({ key, face })))
      .onConflictDoNothing();
    await this.database.run(sql`
      delete from ${tunings} where rowid not in (
        select rowid from ${tunings} order by rowid desc limit ${MOST_TUNINGS})`);
  }
}
