import { inArray, eq } from 'drizzle-orm';
import type { FamilyMeasures, FamilySheet } from '@lettera/core/measure';
import type { Database } from './database';
import { familyMeasures } from './schema';

/** SQLite takes a limited number of values in one question. */
const AT_ONCE = 500;

/** What has been measured of families, each once for the files that it was measured on. */
export class MeasureStore {
  constructor(private readonly database: Database) {}

  /** The measures of those of the given keys that are known. */
  async measures(keys: string[]): Promise<Map<string, FamilyMeasures>> {
    const known = new Map<string, FamilyMeasures>();
    for (let from = 0; from < keys.length; from += AT_ONCE) {
      const rows = await this.database
        .select({ key: familyMeasures.key, measures: familyMeasures.measures })
        .from(familyMeasures)
        .where(inArray(familyMeasures.key, keys.slice(from, from + AT_ONCE)));
      for (const { key, measures } of rows) known.set(key, measures);
    }
    return known;
  }

  async sheet(key: string): Promise<FamilySheet | null> {
    const [row] = await this.database
      .select({ sheet: familyMeasures.sheet })
      .from(familyMeasures)
      .where(eq(familyMeasures.key, key));
    return row?.sheet ?? null;
  }

  async keep(key: string, sheet: FamilySheet): Promise<void> {
    await this.database
      .insert(familyMeasures)
      .values({ key, measures: sheet.measures, sheet })
      .onConflictDoNothing();
  }
}
