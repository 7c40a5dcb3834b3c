import { accessSync, constants, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { folder } from '../folders';
import * as schema from './schema';

export type Database = LibSQLDatabase<typeof schema> & { $client: Client };

/** The store cannot be opened; the message says what to do about it. */
export class StoreError extends Error {
  override readonly name = 'StoreError';
}

const MIGRATIONS = folder('store/migrations');

interface Journal {
  entries: { when: number }[];
}

/** The newest migration that this program knows, as drizzle stamps it. */
function newestMigration(): number {
  const journal = JSON.parse(
    readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8'),
  ) as Journal;
  return Math.max(...journal.entries.map(({ when }) => when));
}

async function refuseNewerDatabase(client: Client): Promise<void> {
  const table = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name = '__drizzle_migrations'",
  );
  if (table.rows.length === 0) return;
  const newest = await client.execute('SELECT max(created_at) AS newest FROM __drizzle_migrations');
  if (Number(newest.rows[0]?.['newest'] ?? 0) > newestMigration()) {
    throw new StoreError(
      'The data was written by a newer version of Lettera than this one. Nothing was changed. Start that version, or give another data folder with --data.',
    );
  }
}

/** Makes a folder and those above it, one by one: Node's own recursion never returns where /proc refuses. */
function makeFolder(path: string): void {
  if (existsSync(path)) return;
  makeFolder(dirname(path));
  mkdirSync(path);
}

function prepareFolder(dataFolder: string): void {
  try {
    makeFolder(dataFolder);
    accessSync(dataFolder, constants.W_OK | constants.X_OK);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new StoreError(
      `Lettera cannot write to the data folder ${dataFolder} (${code ?? 'unknown error'}). Give a folder that can be written with --data or LETTERA_DATA.`,
    );
  }
}

/**
 * Opens the store and brings it to this version's schema.
 * @throws StoreError when the folder cannot be written or the database is newer than the program
 */
export async function openDatabase(
  dataFolder: string,
  databaseUrl: string | null = null,
): Promise<Database> {
  if (!databaseUrl) prepareFolder(dataFolder);
  const client = createClient({ url: databaseUrl ?? `file:${join(dataFolder, 'lettera.db')}` });
  try {
    if (!databaseUrl) await client.execute('PRAGMA journal_mode = WAL');
    await refuseNewerDatabase(client);
    const database = drizzle(client, { schema });
    await migrate(database, { migrationsFolder: MIGRATIONS });
    return database as Database;
  } catch (error) {
    client.close();
    if (error instanceof StoreError) throw error;
    throw new StoreError(
      `Lettera cannot open its database in ${databaseUrl ?? dataFolder}: ${(error as Error).message}`,
    );
  }
}
