import { chmodSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { newDocument } from '@lettera/core/document';
import { readConfig } from '../config';
import { startServer } from '../listen';
import { temporaryFolder } from '../testing/server';
import { openDatabase } from './database';
import { ProjectStore, StaleRevisionError } from './projectStore';

const rename = (name: string) => [{ op: 'replace', path: '/name', value: name }];

describe('the store', () => {
  test('keeps projects, revisions and undo over a restart', async () => {
    const folder = temporaryFolder();
    const first = await openDatabase(folder);
    const { id } = await new ProjectStore(first).create(newDocument('One'), []);
    await new ProjectStore(first).change(id, 1, rename('Two'));
    first.$client.close();
    const second = await openDatabase(folder);
    const store = new ProjectStore(second);
    expect(await store.get(id)).toMatchObject({ revision: 2, name: 'Two', undo: 'Project name' });
    expect(await store.undo(id, 2)).toMatchObject({
      revision: 3,
      name: 'One',
      redo: 'Project name',
    });
    second.$client.close();
  });

  test('writes in full before it answers', async () => {
    const { $client } = await openDatabase(temporaryFolder());
    const pragma = async (name: string) =>
      Object.values((await $client.execute(`PRAGMA ${name}`)).rows[0] ?? {})[0];
    expect(await pragma('journal_mode')).toBe('wal');
    expect(await pragma('synchronous')).toBe(2);
    expect(await pragma('foreign_keys')).toBe(1);
    $client.close();
  });

  test('of two changes on one revision takes one', async () => {
    const database = await openDatabase(temporaryFolder());
    const [one, two] = [new ProjectStore(database), new ProjectStore(database)];
    const { id } = await one.create(newDocument('One'), []);
    const outcomes = await Promise.allSettled([
      one.change(id, 1, rename('A')),
      two.change(id, 1, rename('B')),
      one.change(id, 1, rename('C')),
    ]);
    expect(outcomes.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    for (const outcome of outcomes) {
      if (outcome.status === 'rejected') expect(outcome.reason).toBeInstanceOf(StaleRevisionError);
    }
    expect((await one.get(id))?.revision).toBe(2);
    database.$client.close();
  });

  test('tells of each new revision', async () => {
    const database = await openDatabase(temporaryFolder());
    const store = new ProjectStore(database);
    const { id } = await store.create(newDocument('One'), []);
    const heard: number[] = [];
    const stop = store.onRevision(id, ({ revision }) => heard.push(revision));
    await store.change(id, 1, rename('Two'));
    await store.undo(id, 2);
    stop();
    await store.redo(id, 3);
    expect(heard).toEqual([2, 3]);
    database.$client.close();
  });

  test('refuses a database that is newer than the program', async () => {
    const folder = temporaryFolder();
    const database = await openDatabase(folder);
    await database.$client.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)",
    );
    database.$client.close();
    await expect(openDatabase(folder)).rejects.toThrow('newer version of Lettera');
  });

  test('says when its folder cannot be written, or is no folder', async () => {
    const file = join(temporaryFolder(), 'a-file');
    writeFileSync(file, '');
    await expect(openDatabase(join(file, 'data'))).rejects.toThrow(
      'cannot write to the data folder',
    );
    await expect(openDatabase('/proc/lettera')).rejects.toThrow('--data or LETTERA_DATA');
    const locked = temporaryFolder();
    chmodSync(locked, 0o500);
    if (process.getuid?.() !== 0) {
      await expect(openDatabase(locked)).rejects.toThrow('cannot write');
    }
  });

  test('says when the database is damaged', async () => {
    const folder = temporaryFolder();
    writeFileSync(join(folder, 'lettera.db'), 'this is no database'.repeat(400));
    await expect(openDatabase(folder)).rejects.toThrow('cannot open its database');
  });
});

test('a start on a port in use says so and stops', async () => {
  const other = createServer();
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  const { port } = other.address() as AddressInfo;
  const config = readConfig({ port: String(port), data: temporaryFolder() }, {});
  await expect(startServer(config, { startingPages: () => Promise.resolve([]) })).rejects.toThrow(
    `Port ${port} on 127.0.0.1 is in use`,
  );
  await new Promise((resolve) => other.close(resolve));
});
