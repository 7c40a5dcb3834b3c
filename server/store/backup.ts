import { copyFile, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { identityOf, isAlive } from '../processes';
import {
  bringToSchema,
  DATABASE_FILE,
  isLetteraDatabase,
  prepareFolder,
  refuseDamagedDatabase,
  refuseNewerDatabase,
  StoreError,
  toStoreError,
} from './database';

/** Where data lies: a folder, or another libSQL server, which is copied by its own means. */
export interface DataPlace {
  dataFolder: string;
  databaseUrl: string | null;
}

/** @throws StoreError where the data is not in the folder */
function refuseElsewhere({ databaseUrl, dataFolder }: DataPlace, does: string): void {
  if (databaseUrl === null) return;
  throw new StoreError(
    `The data is on another server, ${databaseUrl}, and not in ${dataFolder}: “lettera ${does}” does not reach it. Nothing was written. Copy it by that server’s own means, or leave LETTERA_DATABASE_URL out to work on the folder.`,
  );
}

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

/**
 * Writes a whole copy of a store to one file, while it is in use or not. SQLite's `VACUUM INTO`: what is
 * read is one state, and it is read back before it is called done.
 * @throws StoreError
 */
export async function backup(place: DataPlace, out: string): Promise<void> {
  refuseElsewhere(place, 'backup');
  const { dataFolder } = place;
  const source = join(dataFolder, DATABASE_FILE);
  if (!(await exists(source))) {
    throw new StoreError(`There is no data of Lettera’s in ${dataFolder}.`);
  }
  if (await exists(out)) {
    throw new StoreError(`${out} is there already. Nothing was written. Name a file that is not.`);
  }
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
 * Puts a copy that `backup` made in the place of a store's data, which stays beside it under another name. The
 * copy is brought to this version's schema before, and held to it.
 * @returns where the data that was there has gone; null when there was none
 * @throws StoreError when the copy cannot be used, or the folder is being served; nothing has changed then
 */
export async function restore(file: string, place: DataPlace): Promise<string | null> {
  refuseElsewhere(place, 'restore');
  const { dataFolder } = place;
  if (!(await exists(file))) throw new StoreError(`There is no file ${file}.`);
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
