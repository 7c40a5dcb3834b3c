import {
  copyFile,
  mkdtemp,
  readdir,
  readFile,
  rename,
  rm,
  stat,
  writeFile,
} from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { createClient, type Client, type InValue, type ResultSet } from '@libsql/client';
import { getTableConfig, type SQLiteTable } from 'drizzle-orm/sqlite-core';
import { identityOf, isAlive } from '../processes';
import {
  bringToSchema,
  DATABASE_FILE,
  isLetteraDatabase,
  nameOf,
  ours,
  prepareFolder,
  refuseDamagedDatabase,
  refuseNewerDatabase,
  refuseOlderDatabase,
  serverClient,
  StoreError,
  toStoreError,
  type DataPlace,
} from './database';
import { leases, outbox, tries } from './schema';

const exists = (path: string): Promise<boolean> =>
  stat(path).then(
    () => true,
    () => false,
  );

async function withClient<T>(path: string, work: (client: Client) => Promise<T>): Promise<T> {
  let client: Client | undefined;
  try {
    client = createClient({ url: `file:${path}`, concurrency: 1 });
    return await work(client);
  } catch (error) {
    throw toStoreError(error, path);
  } finally {
    client?.close();
  }
}

/** @throws StoreError when a file is no whole database that this program can open */
async function refuseUnusable(path: string): Promise<void> {
  await withClient(path, async (client) => {
    await refuseDamagedDatabase(client, path);
    if (!(await isLetteraDatabase(client))) {
      throw new StoreError(`${path} holds no data of Lettera’s.`);
    }
    await refuseNewerDatabase(client);
  });
}

/** @throws StoreError where a file is there that is to be written */
async function refuseThere(out: string): Promise<void> {
  if (!(await exists(out))) return;
  throw new StoreError(`${out} is there already. Nothing was written. Name a file that is not.`);
}

/** What processes tell one another, and what they are at: nothing that is kept. */
const PASSING: readonly SQLiteTable[] = [outbox, leases, tries];
/** Rows that are copied together: of some, one may be megabytes. */
const ROWS_AT_ONCE = 50;

/** Copies all that is kept from one database to another that is empty, of the same schema. */
async function copyRows(from: Pick<Client, 'execute'>, to: Client): Promise<void> {
  // What others refer to refers to nothing itself, and comes first.
  const tables = ours()
    .filter((one) => !PASSING.includes(one))
    .map((table) => getTableConfig(table))
    .sort((a, b) => a.foreignKeys.length - b.foreignKeys.length);
  for (const { name, columns } of tables) {
    const names = columns.map((column) => `"${column.name}"`);
    const insert = `INSERT INTO "${name}" (rowid, ${names.join(', ')}) VALUES (?, ${names.map(() => '?').join(', ')})`;
    for (let last: InValue = 0; ;) {
      const { rows }: ResultSet = await from.execute({
        sql: `SELECT rowid AS row_id, ${names.join(', ')} FROM "${name}" WHERE rowid > ? ORDER BY rowid LIMIT ${ROWS_AT_ONCE}`,
        args: [last],
      });
      if (rows.length === 0) break;
      await to.batch(
        rows.map((row) => ({
          sql: insert,
          args: ['row_id', ...columns.map((column) => column.name)].map(
            (column) => row[column] as InValue,
          ),
        })),
        'write',
      );
      last = rows.at(-1)?.['row_id'] ?? last;
    }
  }
}

/** As `backup`, of a store on another server: what is read is one state. */
async function backupServer(place: DataPlace, out: string): Promise<void> {
  const where = nameOf(place);
  await refuseThere(out);
  const client = serverClient(place);
  try {
    if (!(await isLetteraDatabase(client))) {
      throw new StoreError(`There is no data of Lettera’s at ${where}.`);
    }
    await refuseNewerDatabase(client);
    await refuseOlderDatabase(client);
    const state = await client.transaction('read');
    try {
      await withClient(out, async (copy) => {
        await bringToSchema(copy, out);
        await copyRows(state, copy);
      });
    } finally {
      state.close();
    }
    await refuseUnusable(out);
  } catch (error) {
    await rm(out, { force: true });
    throw toStoreError(error, where);
  } finally {
    client.close();
  }
}

/**
 * Writes a whole copy of a store to one file, while it is in use or not. SQLite's `VACUUM INTO`: what is
 * read is one state, and it is read back before it is called done.
 * @throws StoreError
 */
export async function backup(place: DataPlace, out: string): Promise<void> {
  if (place.databaseUrl) return backupServer(place, out);
  const { dataFolder } = place;
  const source = join(dataFolder, DATABASE_FILE);
  if (!(await exists(source))) {
    throw new StoreError(`There is no data of Lettera’s in ${dataFolder}.`);
  }
  await refuseThere(out);
  try {
    await withClient(source, async (client) => {
      await client.execute({ sql: 'VACUUM INTO ?', args: [out] });
    });
    await refuseUnusable(out);
  } catch (error) {
    await rm(out, { force: true });
    throw error;
  }
}

const RUNNING = /^running-(\d+)$/;

/** Notes that this process serves a data folder. @returns how to take the note away */
export async function noteRunning(dataFolder: string): Promise<() => Promise<void>> {
  const note = join(dataFolder, `running-${process.pid}`);
  await writeFile(note, identityOf(process.pid)).catch(() => undefined);
  return () => rm(note, { force: true });
}

/** The process that serves a folder, if one does: a note of one that has gone says nothing. */
async function servedBy(dataFolder: string): Promise<number | undefined> {
  const names = await readdir(dataFolder).catch(() => []);
  for (const name of names) {
    const pid = Number(RUNNING.exec(name)?.[1] ?? NaN);
    if (pid === process.pid || !isAlive(pid)) continue;
    const noted = await readFile(join(dataFolder, name), 'utf8').catch(() => '');
    // Another process may have its number by now.
    if (noted === '' || noted === identityOf(pid)) return pid;
  }
  return undefined;
}

/**
 * Puts a copy that `backup` made onto another server, which holds no project yet: what is there is not replaced, as
 * there is no place beside it that it could be kept in.
 */
async function restoreServer(file: string, place: DataPlace): Promise<null> {
  const where = nameOf(place);
  await refuseUnusable(file);
  const arriving = join(await mkdtemp(join(tmpdir(), 'lettera-restoring-')), DATABASE_FILE);
  const client = serverClient(place);
  try {
    await copyFile(file, arriving);
    await bringToSchema(client, where);
    const { rows } = await client.execute('SELECT 1 FROM projects LIMIT 1');
    if (rows.length > 0) {
      throw new StoreError(
        `There are projects at ${where}. Nothing was changed. Restore into a database that has none, and put that in the place of this one.`,
      );
    }
    await withClient(arriving, async (copy) => {
      await bringToSchema(copy, file);
      await copyRows(copy, client).catch(async (error: unknown) => {
        // It is as it was before: without a project.
        await client.batch(
          // What refers to others goes with them.
          ours().map((table) => `DELETE FROM "${getTableConfig(table).name}"`),
          'write',
        );
        throw error;
      });
    });
    return null;
  } catch (error) {
    throw toStoreError(error, where);
  } finally {
    client.close();
    await rm(dirname(arriving), { recursive: true, force: true });
  }
}

/**
 * Puts a copy that `backup` made in the place of a store's data, which stays beside it under another name. The
 * copy is brought to this version's schema before, and held to it.
 * @returns where the data that was there has gone; null when there was none
 * @throws StoreError when the copy cannot be used, or the folder is being served; nothing has changed then
 */
export async function restore(file: string, place: DataPlace): Promise<string | null> {
  if (!(await exists(file))) throw new StoreError(`There is no file ${file}.`);
  if (place.databaseUrl) return restoreServer(file, place);
  const { dataFolder } = place;
  const pid = await servedBy(dataFolder);
  if (pid !== undefined) {
    throw new StoreError(
      `Lettera serves ${dataFolder} at this moment (process ${pid}). Nothing was changed. Stop it, and restore then. If that process is another program, remove ${join(dataFolder, `running-${pid}`)}.`,
    );
  }
  await refuseUnusable(file);
  prepareFolder(dataFolder);
  const target = join(dataFolder, DATABASE_FILE);
  const arriving = `${target}.restoring`;
  try {
    await copyFile(file, arriving);
    await withClient(arriving, (client) => bringToSchema(client, file));
  } catch (error) {
    await rm(arriving, { force: true });
    throw toStoreError(error, dataFolder);
  }
  let aside: string | null = null;
  if (await exists(target)) {
    aside = `${target}.before-${new Date().toISOString().replace(/[:.]/g, '-')}`;
    await rename(target, aside);
    // The log belongs to the data that it stands beside.
    for (const end of ['-wal', '-shm']) {
      if (await exists(target + end)) await rename(target + end, aside + end);
    }
  }
  await rename(arriving, target);
  return aside;
}
