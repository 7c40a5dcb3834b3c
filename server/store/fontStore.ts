import { and, eq, inArray } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import type { FaceReading } from '@lettera/core/font';
import type { Database } from './database';
import { fontFiles, projectFonts } from './schema';

/** A font file on its way into the store: read, and packed as WOFF2. */
export interface NewFont {
  bytes: Uint8Array;
  woff2: Uint8Array;
  reading: FaceReading;
  licence: string | null;
}

/** Font files by hash, each stored once whatever takes it in. */
export class FontStore {
  constructor(private readonly database: Database) {}

  /** What `add` does, for a batch that does more. */
  statements(projectId: string, fonts: NewFont[]): BatchItem<'sqlite'>[] {
    return fonts.flatMap(({ bytes, woff2, reading, licence }) => [
      this.database
        .insert(fontFiles)
        .values({
          sha256: reading.sha256,
          bytes: Buffer.from(bytes),
          woff2: reading.format === 'woff2' ? null : Buffer.from(woff2),
          reading,
          licence,
        })
        .onConflictDoNothing(),
      this.database
        .insert(projectFonts)
        .values({ projectId, sha256: reading.sha256 })
        .onConflictDoNothing(),
    ]);
  }

  /** Stores the files that are not there yet and notes that the project has taken them in: all or none. */
  async add(projectId: string, fonts: NewFont[]): Promise<void> {
    const [first, ...rest] = this.statements(projectId, fonts);
    if (first) await this.database.batch([first, ...rest]);
  }

  /** The readings of those of the given files that the store has, by hash. */
  async readings(hashes: string[]): Promise<Map<string, FaceReading>> {
    if (hashes.length === 0) return new Map();
    const rows = await this.database
      .select({ sha256: fontFiles.sha256, reading: fontFiles.reading })
      .from(fontFiles)
      .where(inArray(fontFiles.sha256, hashes));
    return new Map(rows.map(({ sha256, reading }) => [sha256, reading]));
  }

  /** The WOFF2 form of each of the given files, by hash. */
  async woff2Files(hashes: string[]): Promise<Map<string, Buffer>> {
    if (hashes.length === 0) return new Map();
    const rows = await this.database
      .select({ sha256: fontFiles.sha256, bytes: fontFiles.bytes, woff2: fontFiles.woff2 })
      .from(fontFiles)
      .where(inArray(fontFiles.sha256, hashes));
    return new Map(rows.map(({ sha256, bytes, woff2 }) => [sha256, woff2 ?? bytes]));
  }

  /** The WOFF2 form of a file that the project has taken in, or null. */
  async projectFile(projectId: string, sha256: string): Promise<Buffer | null> {
    const [row] = await this.database
      .select({ bytes: fontFiles.bytes, woff2: fontFiles.woff2 })
      .from(projectFonts)
      .innerJoin(fontFiles, eq(projectFonts.sha256, fontFiles.sha256))
      .where(and(eq(projectFonts.projectId, projectId), eq(projectFonts.sha256, sha256)));
    return row ? (row.woff2 ?? row.bytes) : null;
  }

  /** Which of the given files the project has not taken in. */
  async missingFrom(projectId: string, hashes: string[]): Promise<string[]> {
    if (hashes.length === 0) return [];
    const rows = await this.database
      .select({ sha256: projectFonts.sha256 })
      .from(projectFonts)
      .where(and(eq(projectFonts.projectId, projectId), inArray(projectFonts.sha256, hashes)));
    const there = new Set(rows.map(({ sha256 }) => sha256));
    return hashes.filter((hash) => !there.has(hash));
  }

  /** The licence text that came with each of the given files, where one did. */
  async licences(hashes: string[]): Promise<Map<string, string>> {
    if (hashes.length === 0) return new Map();
    const rows = await this.database
      .select({ sha256: fontFiles.sha256, licence: fontFiles.licence })
      .from(fontFiles)
      .where(inArray(fontFiles.sha256, hashes));
    return new Map(rows.flatMap(({ sha256, licence }) => (licence ? [[sha256, licence]] : [])));
  }
}
