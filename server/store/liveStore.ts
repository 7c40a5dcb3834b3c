import { randomBytes } from 'node:crypto';
import { and, desc, eq, getTableColumns, isNotNull, isNull, sql, sum } from 'drizzle-orm';
import type { LiveReading, LiveSheet, LiveState } from '@lettera/core/wire';
import type { Database } from './database';
import { liveReadings, liveSheets } from './schema';

/** Bytes of chance in a key: 32 cannot be guessed. */
const KEY_BYTES = 32;
/** Sheets that were ended and are still told of. */
const MOST_ENDED = 20;
/** Pages that are kept until somebody takes stock of them, and bytes of all of them, for each project. */
export const READING_LIMITS = { pages: 40, bytes: 60 * 1024 * 1024 };

/** More was read on the running site than is kept. */
export class TooMuchReadError extends Error {
  override readonly name = 'TooMuchReadError';
}

const { projectId: _ofSheet, endedAt: _ended, ...sheetTold } = getTableColumns(liveSheets);
const { projectId: _ofReading, reading: _reading, ...readingTold } = getTableColumns(liveReadings);

/** A live sheet, and the project that it is of. */
export interface KeptSheet extends LiveSheet {
  projectId: string;
}

/** Live sheets of projects, at most one of each open, and what was read on the pages that have them. */
export class LiveStore {
  constructor(private readonly database: Database) {}

  /** The sheet that is open; null where none is. */
  async of(projectId: string): Promise<LiveSheet | null> {
    const [row] = await this.database
      .select(sheetTold)
      .from(liveSheets)
      .where(and(eq(liveSheets.projectId, projectId), isNull(liveSheets.endedAt)));
    return row ?? null;
  }

  /** The sheet of a key, while it is open. */
  async byKey(key: string): Promise<KeptSheet | null> {
    const [row] = await this.database
      .select({ ...sheetTold, projectId: liveSheets.projectId })
      .from(liveSheets)
      .where(and(eq(liveSheets.key, key), isNull(liveSheets.endedAt)));
    return row ?? null;
  }

  /** Sheets that were ended, the last first. */
  async ended(projectId: string): Promise<LiveState['ended']> {
    const { startedAt, endedAt, refused } = liveSheets;
    const rows = await this.database
      .select({ startedAt, endedAt, refused })
      .from(liveSheets)
      .where(and(eq(liveSheets.projectId, projectId), isNotNull(endedAt)))
      .orderBy(desc(endedAt))
      .limit(MOST_ENDED);
    return rows.map((row) => ({ ...row, endedAt: row.endedAt ?? '' }));
  }

  /** Opens a sheet under a new key, or has the one that is open as it is wanted. */
  async want(projectId: string, wish: Pick<LiveSheet, 'origins' | 'tried'>): Promise<void> {
    const open = await this.of(projectId);
    if (open) {
      await this.database.update(liveSheets).set(wish).where(eq(liveSheets.key, open.key));
      return;
    }
    await this.database.insert(liveSheets).values({
      key: randomBytes(KEY_BYTES).toString('base64url'),
      projectId,
      ...wish,
      startedAt: new Date().toISOString(),
    });
  }

  /** Ends the sheet that is open: its key is never good again. */
  async end(projectId: string): Promise<void> {
    await this.database
      .update(liveSheets)
      .set({ endedAt: new Date().toISOString() })
      .where(and(eq(liveSheets.projectId, projectId), isNull(liveSheets.endedAt)));
  }

  /** Notes that requests were refused, and from where the last came. */
  async noteRefused(key: string, times: number, from: string): Promise<void> {
    await this.database
      .update(liveSheets)
      .set({ refused: sql`${liveSheets.refused} + ${times}`, refusedFrom: from })
      .where(eq(liveSheets.key, key));
  }

  /** Pages that were read, the last first. */
  async readings(projectId: string): Promise<LiveReading[]> {
    return this.database
      .select(readingTold)
      .from(liveReadings)
      .where(eq(liveReadings.projectId, projectId))
      .orderBy(desc(liveReadings.at));
  }

  /** What was read of a page, as JSON; null where nothing was. */
  async reading(projectId: string, address: string): Promise<string | null> {
    const [row] = await this.database
      .select({ reading: liveReadings.reading })
      .from(liveReadings)
      .where(and(eq(liveReadings.projectId, projectId), eq(liveReadings.address, address)));
    return row?.reading ?? null;
  }

  /** Keeps what was read of a page in place of what was kept of it. @throws TooMuchReadError */
  async keepReading(projectId: string, read: LiveReading & { reading: string }): Promise<void> {
    const others = await this.database
      .select({ count: sql<number>`count(*)`, bytes: sum(liveReadings.bytes) })
      .from(liveReadings)
      .where(
        and(eq(liveReadings.projectId, projectId), sql`${liveReadings.address} <> ${read.address}`),
      );
    const [{ count = 0, bytes = 0 } = {}] = others;
    if (count >= READING_LIMITS.pages || Number(bytes ?? 0) + read.bytes > READING_LIMITS.bytes) {
      throw new TooMuchReadError(
        `${count} pages were read that nobody has taken stock of yet. Take stock of them in Lettera, or remove them there, and read this one again.`,
      );
    }
    const { address: _address, ...values } = read;
    await this.database
      .insert(liveReadings)
      .values({ projectId, ...read })
      .onConflictDoUpdate({
        target: [liveReadings.projectId, liveReadings.address],
        set: values,
      });
  }

  /** Lets go of pages that were read: of one address, or of all. */
  async forgetReadings(projectId: string, address?: string): Promise<void> {
    const { projectId: of } = liveReadings;
    await this.database
      .delete(liveReadings)
      .where(
        address === undefined
          ? eq(of, projectId)
          : and(eq(of, projectId), eq(liveReadings.address, address)),
      );
  }
}
