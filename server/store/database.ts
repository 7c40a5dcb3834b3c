import { randomUUID } from 'node:crypto';
import { accessSync, constants, existsSync, mkdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { createClient, type Client, type InStatement } from '@libsql/client';
import { is } from 'drizzle-orm';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { folder } from '../folders';
import * as schema from './schema';

export type Database = LibSQLDatabase<typeof schema> & { $client: Client };

/** The store cannot be opened; the message says what to do about it. */
export class StoreError extends Error {
  override readonly name = 'StoreError';
}

/** The database has not answered for longer than is waited: another program holds it, or its server is away. */
export class DatabaseBusyError extends Error {
  override readonly name = 'DatabaseBusyError';
}

/** How long a database that another program holds is waited for, milliseconds. */
export const BUSY_WAIT = 5000;
const FIRST_PAUSE = 20;
const LONGEST_PAUSE = 250;

const MIGRATIONS = folder('store/migrations');
export const DATABASE_FILE = 'lettera.db';

const codeOf = (error: unknown): string => String((error as { code?: unknown }).code ?? '');

const isBusy = (error: unknown): boolean =>
  /^SQLITE_(BUSY|LOCKED)/.test(codeOf(error)) || /database is locked/.test(String(error));

/** Whether a server could not be reached, or the connection to it broke: what was sent may have been done. */
const isUnreachable = (error: unknown): boolean =>
  /fetch failed|ECONNRESET|ECONNREFUSED|socket hang up/.test(
    `${String(error)} ${String((error as { cause?: unknown }).cause)}`,
  );

/** Whether a statement only reads, and may be asked again. */
const onlyReads = (statement: InStatement): boolean =>
  /^\s*(select|pragma)\b/i.test(typeof statement === 'string' ? statement : statement.sql);

/**
 * A client that waits while another program holds the database. The connection on which a statement was
 * refused is given up: it would go on as if that statement were under way. Others that wait for that connection
 * have not begun then, and begin on the next. A server that is away for a moment is asked again what is only read.
 */
function patientClient(client: Client): Client {
  async function patiently<T>(work: () => Promise<T>, reads: boolean): Promise<T> {
    const until = Date.now() + BUSY_WAIT;
    for (let pause = FIRST_PAUSE; ; pause = Math.min(LONGEST_PAUSE, pause * 2)) {
      try {
        return await work();
      } catch (error) {
        const isTakenAway = codeOf(error) === 'CLIENT_CLOSED' && !client.closed;
        if (!isTakenAway && !isBusy(error) && !isUnreachable(error)) throw error;
        if (isBusy(error)) await client.reconnect();
        if (Date.now() + pause > until || (isUnreachable(error) && !reads)) {
          throw new DatabaseBusyError(
            isUnreachable(error)
              ? 'The database server does not answer.'
              : 'Another program holds the database.',
            { cause: error },
          );
        }
        await wait(pause);
      }
    }
  }
  return new Proxy(client, {
    get(target, name) {
      if (name === 'execute') {
        return (...given: Parameters<Client['execute']>) =>
          patiently(() => target.execute(...given), onlyReads(given[0]));
      }
      if (name === 'batch') {
        // What is stored together begins as a write, so that it waits before its first statement or not at all.
        return (statements: Parameters<Client['batch']>[0]) =>
          patiently(() => target.batch(statements, 'write'), false);
      }
      const value: unknown = Reflect.get(target, name, target);
      return typeof value === 'function' ? (value.bind(target) as unknown) : value;
    },
  });
}

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

const MIGRATIONS_TABLE = '__drizzle_migrations';

const hasTable = async (client: Client, name: string): Promise<boolean> =>
  (
    await client.execute({
      sql: "SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?",
      args: [name],
    })
  ).rows.length > 0;

/** The newest migration that a database has had, as drizzle stamps it; 0 where it has had none. */
async function newestIn(client: Client): Promise<number> {
  if (!(await hasTable(client, MIGRATIONS_TABLE))) return 0;
  const { rows } = await client.execute(
    `SELECT max(created_at) AS newest FROM ${MIGRATIONS_TABLE}`,
  );
  return Number(rows[0]?.['newest'] ?? 0);
}

/** Who brings the database to its schema: a table by itself, since there is no other before. */
const MIGRATING = 'migrating';
/** How long that is held without an end, milliseconds: by one that has died meanwhile, no longer. */
const MIGRATION_LEASE = 60_000;
const NOW = "CAST(unixepoch('subsec') * 1000 AS INTEGER)";

/** Does what changes the schema while no other process does. @throws StoreError when another is at it for too long */
async function alone(client: Client, where: string, work: () => Promise<void>): Promise<void> {
  await client.execute(
    `CREATE TABLE IF NOT EXISTS ${MIGRATING} (id INTEGER PRIMARY KEY, holder TEXT NOT NULL, until INTEGER NOT NULL)`,
  );
  const holder = randomUUID();
  const until = Date.now() + 2 * MIGRATION_LEASE;
  for (;;) {
    const { rows } = await client.execute({
      sql: `INSERT INTO ${MIGRATING} VALUES (1, ?, ${NOW} + ${MIGRATION_LEASE}) ON CONFLICT (id) DO UPDATE SET holder = excluded.holder, until = excluded.until WHERE ${MIGRATING}.until <= ${NOW} RETURNING holder`,
      args: [holder],
    });
    if (rows.length > 0) break;
    if (Date.now() > until) {
      throw new StoreError(
        `Another Lettera is bringing the data in ${where} over to this version, and has not ended. Nothing was changed. Wait until it has, and start again.`,
      );
    }
    await wait(LONGEST_PAUSE);
  }
  try {
    // What another has done meanwhile is not done again.
    if ((await newestIn(client)) < newestMigration()) await work();
  } finally {
    await client.execute({ sql: `DELETE FROM ${MIGRATING} WHERE holder = ?`, args: [holder] });
  }
}

/** Whether a database is being made by another process at this moment, which may have begun only just now. */
async function isBeingMade(client: Client): Promise<boolean> {
  for (let pause = FIRST_PAUSE; pause < BUSY_WAIT / 2; pause *= 2) {
    if ((await hasTable(client, MIGRATING)) || (await isLetteraDatabase(client))) return true;
    await wait(pause);
  }
  return false;
}

/** Whether a database holds what Lettera keeps. */
export const isLetteraDatabase = (client: Client): Promise<boolean> =>
  hasTable(client, MIGRATIONS_TABLE);

/** @throws StoreError when the database was written by a newer program */
export async function refuseNewerDatabase(client: Client): Promise<void> {
  if ((await newestIn(client)) > newestMigration()) {
    throw new StoreError(
      'The data was written by a newer version of Lettera than this one. Nothing was changed. Start that version, or give another data folder with --data.',
    );
  }
}

/** @throws StoreError when SQLite finds damage. https://sqlite.org/pragma.html#pragma_quick_check */
export async function refuseDamagedDatabase(client: Client, where: string): Promise<void> {
  const { rows } = await client.execute('PRAGMA quick_check(1)');
  const [found] = Object.values(rows[0] ?? {});
  if (found !== 'ok') throw damaged(where, String(found));
}

const damaged = (where: string, found: string): StoreError =>
  new StoreError(
    `The database in ${where} is damaged (${found.replace(/\s+/g, ' ').slice(0, 120)}). Nothing was changed. Put a copy back that “lettera backup” has made, with “lettera restore”, or give another data folder with --data.`,
  );

/** Makes a folder and those above it, one by one: Node's own recursion never returns where /proc refuses. */
function makeFolder(path: string): void {
  if (existsSync(path)) return;
  makeFolder(dirname(path));
  mkdirSync(path);
}

/** Makes a data folder where there is none. @throws StoreError where it cannot be written to */
export function prepareFolder(dataFolder: string): void {
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

/** What keeps a store from being opened, in words that say what to do. */
function openFailure(error: unknown, where: string): Error {
  if (error instanceof StoreError) return error;
  const text = `${codeOf(error)} ${String(error)} ${String((error as Error).cause)}`;
  if (/SQLITE_(NOTADB|CORRUPT)|malformed|not a database/.test(text)) {
    return damaged(where, (error as Error).message);
  }
  if (/SQLITE_(FULL|IOERR)|ENOSPC|disk is full|disk I\/O/.test(text)) {
    return new StoreError(
      `There is no room for the data in ${where}: the disk is full. Nothing was lost. Make room on it, or give another data folder with --data.`,
    );
  }
  if (
    /SERVER_ERROR|Unauthorized|HTTP status 40[13]/i.test(text) &&
    /40[13]|Unauthorized/i.test(text)
  ) {
    return new StoreError(
      `The database server ${where} lets nobody in without its token. Nothing was changed. Give it in LETTERA_DATABASE_TOKEN.`,
    );
  }
  if (/fetch failed|ECONNREFUSED|ENOTFOUND|ETIMEDOUT/.test(text)) {
    return new StoreError(
      `The database server ${where} does not answer. Nothing was changed. Start it, or correct LETTERA_DATABASE_URL.`,
    );
  }
  if (error instanceof DatabaseBusyError || isBusy(error)) {
    return new StoreError(
      `The database in ${where} is held by another program. Nothing was changed. Stop that program, and start again.`,
    );
  }
  return new StoreError(
    `Lettera cannot open its database in ${where}: ${(error as Error).message}`,
  );
}

/** The failure of whatever is done while a store is opened or first filled. @see openFailure */
export const toStoreError = (error: unknown, where: string): Error => openFailure(error, where);

/** All tables that Lettera keeps. */
export const ours = (): SQLiteTable[] =>
  Object.values(schema).filter((one) => is(one, SQLiteTable));

/**
 * Brings a database to this version's schema, and holds it to that.
 * @param where it is, as it is reported
 * @throws StoreError where tables or columns are missing that its version had
 */
export async function bringToSchema(client: Client, where: string): Promise<Database> {
  const patient = patientClient(client);
  const database = drizzle(patient, { schema });
  if ((await newestIn(patient)) < newestMigration()) {
    await alone(patient, where, () => migrate(database, { migrationsFolder: MIGRATIONS }));
  }
  const { rows } = await client.execute(
    'SELECT m.name AS "table", c.name AS "column" FROM sqlite_master m, pragma_table_info(m.name) c WHERE m.type = \'table\'',
  );
  const there = new Set(rows.map((row) => `${String(row['table'])}.${String(row['column'])}`));
  const missing = ours().flatMap((table) => {
    const { name, columns } = getTableConfig(table);
    return columns.map((column) => `${name}.${column.name}`).filter((one) => !there.has(one));
  });
  if (missing.length > 0) {
    const tables = [...new Set(missing.map((one) => one.split('.')[0]))].join(', ');
    throw new StoreError(
      `The data in ${where} is not whole: of ${tables}, parts are missing. Nothing was changed. Put a copy back that “lettera backup” has made.`,
    );
  }
  return database as Database;
}

/** @throws StoreError when a database is older than the program, for whoever does not bring it to its schema */
export async function refuseOlderDatabase(client: Client): Promise<void> {
  if ((await newestIn(client)) < newestMigration()) {
    throw new StoreError(
      'The data was written by an older version of Lettera. Nothing was changed. Start this version once, and it is brought over.',
    );
  }
}

/** Where data lies: a folder, or another libSQL server. */
export interface DataPlace {
  dataFolder: string;
  databaseUrl?: string | null;
  databaseToken?: string | null;
}

/** Connections to a server that are used at once. */
const AT_ONCE = 20;

/** A client of the server that a place names. */
export const serverClient = ({ databaseUrl, databaseToken }: DataPlace): Client =>
  createClient({
    url: databaseUrl ?? '',
    concurrency: AT_ONCE,
    ...(databaseToken ? { authToken: databaseToken } : {}),
  });

/** What a place is called: an address without what lets in. */
export function nameOf({ dataFolder, databaseUrl }: DataPlace): string {
  return databaseUrl?.replace(/[?#].*$/, '').replace(/\/\/[^/@]*@/, '//') ?? dataFolder;
}

/** How a store is opened. */
export interface OpenOptions {
  /** By whoever only reads: nothing is changed, not even an older schema. */
  reads?: boolean;
}

/**
 * Opens the store and brings it to this version's schema.
 * @throws StoreError when the folder cannot be written, or the database is damaged, newer than the program,
 * or held by another one
 */
export async function openDatabase(
  place: DataPlace,
  { reads = false }: OpenOptions = {},
): Promise<Database> {
  const { dataFolder, databaseUrl } = place;
  const where = nameOf(place);
  if (!databaseUrl) prepareFolder(dataFolder);
  const file = join(dataFolder, DATABASE_FILE);
  const bytesBefore = !databaseUrl && existsSync(file) ? statSync(file).size : 0;
  let client: Client | undefined;
  try {
    // One connection: what is done on it is done at once, and all of it sees the same.
    client = databaseUrl
      ? serverClient(place)
      : createClient({ url: `file:${file}`, concurrency: 1 });
    const patient = patientClient(client);
    if (!databaseUrl) {
      await refuseDamagedDatabase(patient, where);
      if (bytesBefore > 0 && !(await isBeingMade(patient))) {
        throw new StoreError(
          `The database in ${where} holds nothing. If it was copied from elsewhere, its data stands in ${DATABASE_FILE}-wal beside the original: copy that too, or make a whole copy with “lettera backup”. To begin anew, remove the file.`,
        );
      }
      await setFileUp(patient);
    }
    await refuseNewerDatabase(patient);
    if (reads) await refuseOlderDatabase(patient);
    const database = await bringToSchema(client, where);
    if (!databaseUrl) await checkpoint(client);
    return database;
  } catch (error) {
    client?.close();
    throw openFailure(error, where);
  }
}

/** Sets a file up for several to work on, where that has not been done: it needs the file to itself for a moment. */
async function setFileUp(client: Client): Promise<void> {
  const { rows } = await client.execute('PRAGMA journal_mode');
  if (Object.values(rows[0] ?? {})[0] === 'wal') return;
  // What is let go of can be given back to the disk; of a new file from its first page on.
  await client.execute('PRAGMA auto_vacuum = INCREMENTAL');
  await client.execute('PRAGMA journal_mode = WAL');
}

/** Brings all that is in the write-ahead log into the database file itself. */
async function checkpoint(client: Client): Promise<void> {
  // One that cannot be made now leaves the log where it is, which is sound.
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
}

const INCREMENTAL = 2;

/** Gives the disk back what has been let go of. https://sqlite.org/pragma.html#pragma_incremental_vacuum */
export async function giveBackSpace({ $client }: Database): Promise<void> {
  if ($client.protocol !== 'file') return;
  const { rows } = await $client.execute('PRAGMA auto_vacuum');
  const [mode] = Object.values(rows[0] ?? {});
  if (Number(mode) === INCREMENTAL) {
    // As a script: one statement at a time gives back one page.
    await $client.executeMultiple('PRAGMA incremental_vacuum');
  } else {
    // A file of an earlier version is made anew once.
    await $client.execute('PRAGMA auto_vacuum = INCREMENTAL');
    await $client.execute('VACUUM');
  }
  await checkpoint($client);
}

/** Closes the store, with everything in one file. */
export async function closeDatabase({ $client }: Database): Promise<void> {
  if ($client.protocol === 'file') await checkpoint($client);
  $client.close();
}
