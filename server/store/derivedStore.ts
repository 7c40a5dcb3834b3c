import { and, eq, inArray } from 'drizzle-orm';
import type { Database } from './database';
import { derivedFiles } from './schema';

/** A file made from one that was taken in. */
export interface DerivedFile {
  source: string;
  /** What was done to it, as `cutName` has it. */
  cut: string;
}

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
  }
}
