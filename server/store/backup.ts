import { copyFile, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import {
  DATABASE_FILE,
  isLetteraDatabase,
  refuseDamagedDatabase,
  refuseNewerDatabase,
  StoreError,
  toStoreError,
} from './database';

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
export async function backup(dataFolder: string, out: string): Promise<void> {
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

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
};

/** Notes that this process serves a data folder. @returns how to take the note away */
export async function noteRunning(dataFolder: string): Promise<() => Promise<void>> {
  const note = join(dataFolder, `running-${process.pid}`);
  await writeFile(note, '').catch(() => undefined);
  return () => rm(note, { force: true });
}

async function servedBy(dataFolder: string): Promise<number | undefined> {
  const names = await readdir(dataFolder).catch(() => []);
  const pids = names.flatMap((name) => RUNNING.exec(name)?.[1] ?? []).map(Number);
  return pids.find((pid) => pid !== process.pid && isAlive(pid));
}

/**
 * Puts a copy that `backup` made in the place of a store's data, which stays beside it under another name.
 * @returns where the data that was there has gone; null when there was none
 * @throws StoreError when the copy cannot be used, or the folder is being served; nothing has changed then
 */
export async function restore(file: string, dataFolder: string): Promise<string | null> {
  if (!(await exists(file))) throw new StoreError(`There is no file ${file}.`);
  const pid = await servedBy(dataFolder);
  if (pid !== undefined) {
    throw new StoreError(
      `Lettera serves ${dataFolder} at this moment (process ${pid}). Nothing was changed. Stop it, and restore then.`,
    );
  }
  await refuseUnusable(file);
  const target = join(dataFolder, DATABASE_FILE);
  const arriving = `${target}.restoring`;
  try {
    await copyFile(file, arriving);
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
