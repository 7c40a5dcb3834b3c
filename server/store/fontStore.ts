import { and, eq, inArray, notExists, sql } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import type { FaceReading } from '@lettera/core/font';
import type { Database } from './database';
import { fontFiles, projectFonts } from './schema';

/** A font file on its way into the store, whole as it was taken in. */
export interface NewFont {
  bytes: Uint8Array;
  reading: FaceReading;
  licence: string | null;
}

/** A file as it was taken in. */
export interface StoredFile {
  bytes: Buffer;
  format: FaceReading['format'];
}

/** Font files by hash, each stored once whatever takes it in. */
export class FontStore {
  constructor(private readonly database: Database) {}

  #keep({ bytes, reading, licence }: NewFont) {
    return this.database
      .insert(fontFiles)
      .values({ sha256: reading.sha256, bytes: Buffer.from(bytes), reading, licence })
      .onConflictDoNothing();
  }

  #link(projectId: string, sha256: string) {
    return this.database.insert(projectFonts).values({ projectId, sha256 }).onConflictDoNothing();
  }

  /** What `add` does, for a batch that does more. */
  statements(projectId: string, fonts: NewFont[]): BatchItem<'sqlite'>[] {
    return fonts.flatMap((font) => [this.#keep(font), this.#link(projectId, font.reading.sha256)]);
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

  /** Each of the given files as it was taken in, by hash. */
  async files(hashes: string[]): Promise<Map<string, Buffer>> {
    if (hashes.length === 0) return new Map();
    const rows = await this.database
      .select({ sha256: fontFiles.sha256, bytes: fontFiles.bytes })
      .from(fontFiles)
      .where(inArray(fontFiles.sha256, hashes));
    return new Map(rows.map(({ sha256, bytes }) => [sha256, bytes]));
  }

  /** A file that the project has taken in, or null. */
  async projectFile(projectId: string, sha256: string): Promise<StoredFile | null> {
    const [row] = await this.database
      .select({
        bytes: fontFiles.bytes,
        format: sql<FaceReading['format']>`json_extract(${fontFiles.reading}, '$.format')`,
      })
      .from(projectFonts)
      .innerJoin(fontFiles, eq(projectFonts.sha256, fontFiles.sha256))
      .where(and(eq(projectFonts.projectId, projectId), eq(projectFonts.sha256, sha256)));
    return row ?? null;
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

  /** Removes files that no project has any more, and what was made from them. */
  async removeUnused(): Promise<void> {
    await this.database.delete(fontFiles).where(
      notExists(
        this.database
          .select({ one: sql`1` })
          .from(projectFonts)
          .where(eq(projectFonts.sha256, fontFiles.sha256)),
      ),
    );
  }
}
