import { and, eq, inArray, sql } from 'drizzle-orm';
import type { Database } from './database';
import { derivedFiles } from './schema';

/** A file made from one that was taken in. */
export interface DerivedFile {
  source: string;
  /** What was done to it, as `cutName` has it. */
  cut: string;
}

/** Files made from one that was taken in are kept up to so many, the newest. */
export const MOST_OF_A_SOURCE = 100;

/** Files made to be delivered, kept by what they were made from and what was done to it. */
export class DerivedStore {
  constructor(private readonly database: Database) {}

  /** Bytes of all that has been made from the given files. */
  async sizes(sources: string[]): Promise<(DerivedFile & { size: number })[]> {
    if (sources.length === 0) return [];
    return this.database
      .select({ source: derivedFiles.source, cut: derivedFiles.cut, size: derivedFiles.size })
      .from(derivedFiles)
      .where(inArray(derivedFiles.source, sources));
  }

  /** Bytes of one file; null where it has not been made. */
  async size({ source, cut }: DerivedFile): Promise<number | null> {
    const [row] = await this.database
      .select({ size: derivedFiles.size })
      .from(derivedFiles)
      .where(and(eq(derivedFiles.source, source), eq(derivedFiles.cut, cut)));
    return row?.size ?? null;
  }

  async get({ source, cut }: DerivedFile): Promise<Buffer | null> {
    const [row] = await this.database
      .select({ bytes: derivedFiles.bytes })
      .from(derivedFiles)
      .where(and(eq(derivedFiles.source, source), eq(derivedFiles.cut, cut)));
    return row?.bytes ?? null;
  }

  async keep({ source, cut }: DerivedFile, bytes: Uint8Array): Promise<void> {
    await this.database
      .insert(derivedFiles)
      .values({ source, cut, bytes: Buffer.from(bytes), size: bytes.byteLength })
      .onConflictDoNothing();
    // Each text that is typed into a page asks for other characters: what was made for it goes in time.
    await this.database.run(sql`
      delete from ${derivedFiles} where ${derivedFiles.source} = ${source} and rowid not in (
        select rowid from ${derivedFiles} where ${derivedFiles.source} = ${source}
        order by rowid desc limit ${MOST_OF_A_SOURCE})`);
  }
}
