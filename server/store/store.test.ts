import {
  chmodSync,
  copyFileSync,
  existsSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { newDocument } from '@lettera/core/document';
import { createClient } from '@libsql/client';
import { readConfig } from '../config';
import { startServer } from '../listen';
import { temporaryFolder } from '../testing/server';
import { toProblem } from '../http/problem';
import { backup, restore } from './backup';
import { closeDatabase, giveBackSpace, openDatabase } from './database';
import { DamagedProjectError, ProjectStore, StaleRevisionError } from './projectStore';
import { SiteStore } from './siteStore';
import { StockStore } from './stockStore';

const place = (dataFolder: string, databaseUrl: string | null = null) => ({
  dataFolder,
  databaseUrl,
});
const rename = (name: string) => [{ op: 'replace', path: '/name', value: name }];

describe('the store', () => {
  test('keeps projects, revisions and undo over a restart', async () => {
    const folder = temporaryFolder();
    const first = await openDatabase({ dataFolder: folder });
    const { id } = await new ProjectStore(first).create(newDocument('One'), []);
    await new ProjectStore(first).change(id, 1, rename('Two'));
    first.$client.close();
    const second = await openDatabase({ dataFolder: folder });
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
    const { $client } = await openDatabase({ dataFolder: temporaryFolder() });
    const pragma = async (name: string) =>
      Object.values((await $client.execute(`PRAGMA ${name}`)).rows[0] ?? {})[0];
    expect(await pragma('journal_mode')).toBe('wal');
    expect(await pragma('synchronous')).toBe(2);
    expect(await pragma('foreign_keys')).toBe(1);
    $client.close();
  });

  test('of two changes on one revision takes one', async () => {
    const database = await openDatabase({ dataFolder: temporaryFolder() });
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

  test('gives each project a name of its own in addresses, and takes nothing else for that', async () => {
    const database = await openDatabase({ dataFolder: temporaryFolder() });
    const store = new ProjectStore(database);
    const slugs = [];
    for (let i = 0; i < 3; i++) slugs.push((await store.create(newDocument('Fog'), [])).slug);
    await store.create(newDocument('Fog 2'), []);
    slugs.push((await store.create(newDocument('Fog'), [])).slug);
    expect(slugs).toEqual(['fog', 'fog-2', 'fog-3', 'fog-4']);
    // A name that is taken elsewhere is no reason to try another name for the project.
    const page = { slug: 'log', title: 'Log', html: '', css: '' };
    let tries = 0;
    await expect(
      store.create(newDocument('Fog'), [page, page], {
        alongside: () => {
          tries++;
          return [];
        },
      }),
    ).rejects.toThrow();
    expect(tries).toBe(1);
    database.$client.close();
  });

  test('a document that cannot be read costs its own project, and no other', async () => {
    const database = await openDatabase({ dataFolder: temporaryFolder() });
    const store = new ProjectStore(database);
    const { id } = await store.create(newDocument('One'), []);
    const other = await store.create(newDocument('Two'), []);
    await database.$client.execute({
      sql: 'UPDATE projects SET document = ? WHERE id = ?',
      args: ['{"name": ', id],
    });
    const fresh = new ProjectStore(database);
    expect((await fresh.list()).map(({ name }) => name)).toEqual(['one (damaged)', 'Two']);
    expect((await fresh.get(other.id))?.name).toBe('Two');
    await expect(fresh.get(id)).rejects.toThrow(DamagedProjectError);
    expect(toProblem(await fresh.get(id).catch((error: unknown) => error))).toMatchObject({
      problem: 'damaged-project',
      detail: expect.stringContaining('Other projects are as they were'),
    });
    expect(await fresh.idOf('one')).toBe(id);
    database.$client.close();
  });

  test('gives the disk back what was deleted', async () => {
    const folder = temporaryFolder();
    const file = join(folder, 'lettera.db');
    const database = await openDatabase({ dataFolder: folder });
    const store = new ProjectStore(database);
    const html = 'fog '.repeat(500_000);
    const { id } = await store.create(newDocument('One'), [
      { slug: 'log', title: 'Log', html, css: '' },
    ]);
    await giveBackSpace(database);
    const before = statSync(file).size;
    expect(before).toBeGreaterThan(html.length);
    await store.remove(id);
    await giveBackSpace(database);
    expect(statSync(file).size).toBeLessThan(before - html.length / 2);
    await closeDatabase(database);
  });

  test('tells of history in pages of so many bytes, and of one revision at least', async () => {
    const database = await openDatabase({ dataFolder: temporaryFolder() });
    const store = new ProjectStore(database);
    const { id } = await store.create(newDocument('One'), []);
    const long = { op: 'replace', path: '', value: newDocument('Two') };
    await store.change(id, 1, [long]);
    for (const revision of [2, 3, 4]) {
      const value = { ...newDocument('Three'), words: `${revision} ${'fog '.repeat(90)}` };
      await store.change(id, revision, [{ op: 'replace', path: '', value }]);
    }
    await database.$client.execute({
      sql: "UPDATE changes SET patch = json_array(json_object('op', 'add', 'path', '/words', 'value', ?)) WHERE revision > 2",
      args: ['x'.repeat(600_000)],
    });
    expect((await store.history(id, 6, 200)).map(({ revision }) => revision)).toEqual([5]);
    expect((await store.history(id, 4, 200)).map(({ revision }) => revision)).toEqual([3, 2]);
    database.$client.close();
  });

  test('lets go of sites that were looked at and left, and of no others', async () => {
    const database = await openDatabase({ dataFolder: temporaryFolder() });
    const { id } = await new ProjectStore(database).create(newDocument('One'), []);
    const sites = new SiteStore(database, (_id, stored) =>
      Promise.resolve({ pages: [...stored.pages], files: [...stored.files] }),
    );
    const read = {
      pages: [{ path: 'a.html', title: 'A', html: '', sheets: [], removed: [], notes: [] }],
      files: [],
    };
    const [left, kept, fresh, own] = ['a', 'b', 'c', 'd'].map((one) => one.repeat(64)) as [
      string,
      string,
      string,
      string,
    ];
    await sites.addLooked(id, left, read, '1871-10-01T05:00:00.000Z');
    await sites.addLooked(id, kept, read, '1871-10-01T05:00:00.000Z');
    await sites.addLooked(id, fresh, read, '1871-10-03T05:00:00.000Z');
    await sites.add(id, own, read);
    const pages = [{ name: 'A', site: kept, path: 'a.html' }];
    await new StockStore(database).keep(id, '1871-10-01T06:00:00.000Z', pages);
    await sites.forgetLooked('1871-10-02T05:00:00.000Z');
    const there = await Promise.all(
      [left, kept, fresh, own].map(async (site) => (await sites.page(id, site, 'a.html')) !== null),
    );
    expect(there).toEqual([false, true, true, true]);
    database.$client.close();
  });

  test('tells of each new revision', async () => {
    const database = await openDatabase({ dataFolder: temporaryFolder() });
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
    const database = await openDatabase({ dataFolder: folder });
    await database.$client.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)",
    );
    database.$client.close();
    await expect(openDatabase({ dataFolder: folder })).rejects.toThrow('newer version of Lettera');
  });

  test('says when its folder cannot be written, or is no folder', async () => {
    const file = join(temporaryFolder(), 'a-file');
    writeFileSync(file, '');
    await expect(openDatabase({ dataFolder: join(file, 'data') })).rejects.toThrow(
      'cannot write to the data folder',
    );
    await expect(openDatabase({ dataFolder: '/proc/lettera' })).rejects.toThrow(
      '--data or LETTERA_DATA',
    );
    const locked = temporaryFolder();
    chmodSync(locked, 0o500);
    if (process.getuid?.() !== 0) {
      await expect(openDatabase({ dataFolder: locked })).rejects.toThrow('cannot write');
    }
  });

  test('says when the database is damaged', async () => {
    const folder = temporaryFolder();
    writeFileSync(join(folder, 'lettera.db'), 'this is no database'.repeat(400));
    await expect(openDatabase({ dataFolder: folder })).rejects.toThrow(
      /is damaged .* “lettera restore”/,
    );
  });

  test('says when a page in the middle of the database is damaged', async () => {
    const folder = temporaryFolder();
    const file = join(folder, 'lettera.db');
    const database = await openDatabase({ dataFolder: folder });
    await new ProjectStore(database).create(newDocument('Tarnholm'), []);
    await closeDatabase(database);
    const bytes = readFileSync(file);
    const page = bytes.readUInt16BE(16);
    const pages = bytes.length / page;
    expect(pages).toBeGreaterThan(6);
    bytes.fill(0x5a, page * Math.floor(pages / 2), page * (Math.floor(pages / 2) + 1));
    writeFileSync(file, bytes);
    await expect(openDatabase({ dataFolder: folder })).rejects.toThrow(/is damaged/);
    expect(readFileSync(file).equals(bytes)).toBe(true);
  });

  test('says when it is given a database without what its log holds', async () => {
    const folder = temporaryFolder();
    const client = createClient({ url: `file:${join(folder, 'lettera.db')}` });
    await client.execute('PRAGMA journal_mode = WAL');
    client.close();
    await expect(openDatabase({ dataFolder: folder })).rejects.toThrow(
      /holds nothing.*lettera\.db-wal/,
    );
  });

  test('has everything in one file once it is closed', async () => {
    const folder = temporaryFolder();
    const database = await openDatabase({ dataFolder: folder });
    const { id } = await new ProjectStore(database).create(newDocument('Tarnholm'), []);
    await closeDatabase(database);
    const copy = temporaryFolder();
    copyFileSync(join(folder, 'lettera.db'), join(copy, 'lettera.db'));
    const copied = await openDatabase({ dataFolder: copy });
    expect((await new ProjectStore(copied).get(id))?.name).toBe('Tarnholm');
    await closeDatabase(copied);
  });
});

describe('a copy', () => {
  test('of a store in use is whole, and can be put in the place of another', async () => {
    const folder = temporaryFolder();
    const database = await openDatabase({ dataFolder: folder });
    const store = new ProjectStore(database);
    const { id } = await store.create(newDocument('One'), []);
    const file = join(temporaryFolder(), 'copy.db');
    await backup(place(folder), file);
    await store.change(id, 1, rename('Two'));
    await closeDatabase(database);

    const aside = await restore(file, place(folder));
    const restored = await openDatabase({ dataFolder: folder });
    expect((await new ProjectStore(restored).get(id))?.name).toBe('One');
    await closeDatabase(restored);
    const kept = await openDatabaseFile(aside ?? '');
    expect((await new ProjectStore(kept).get(id))?.name).toBe('Two');
    await closeDatabase(kept);
  });

  /** A database under another name, as a folder of its own. */
  async function openDatabaseFile(path: string) {
    const folder = temporaryFolder();
    copyFileSync(path, join(folder, 'lettera.db'));
    return openDatabase({ dataFolder: folder });
  }

  test('is neither made nor put back where the data is on another server that does not answer', async () => {
    const folder = temporaryFolder();
    await closeDatabase(await openDatabase({ dataFolder: folder }));
    const elsewhere = place(folder, 'http://127.0.0.1:9');
    const copy = join(folder, 'copy.db');
    await expect(backup(elsewhere, copy)).rejects.toThrow(/127\.0\.0\.1:9 does not answer/);
    expect(existsSync(copy)).toBe(false);
    await backup(place(folder), copy);
    await expect(restore(copy, elsewhere)).rejects.toThrow('Nothing was changed');
  });

  test('of which parts are missing is refused when it is put back', async () => {
    const folder = temporaryFolder();
    const database = await openDatabase({ dataFolder: folder });
    await database.$client.execute('DROP TABLE waypoints');
    await closeDatabase(database);
    const copy = join(folder, 'copy.db');
    await backup(place(folder), copy);
    const target = temporaryFolder();
    await expect(restore(copy, place(target))).rejects.toThrow(/not whole: of waypoints/);
    expect(existsSync(join(target, 'lettera.db'))).toBe(false);
    expect(existsSync(join(target, 'lettera.db.restoring'))).toBe(false);
  });

  test('is put into a folder that is not there yet', async () => {
    const folder = temporaryFolder();
    await closeDatabase(await openDatabase({ dataFolder: folder }));
    const copy = join(folder, 'copy.db');
    await backup(place(folder), copy);
    const target = join(folder, 'new', 'data');
    await expect(restore(copy, place(target))).resolves.toBeNull();
    await closeDatabase(await openDatabase({ dataFolder: target }));
  });

  test('is never written over a file, and never made of nothing', async () => {
    const folder = temporaryFolder();
    await expect(backup(place(folder), join(folder, 'copy.db'))).rejects.toThrow(
      'no data of Lettera’s',
    );
    await closeDatabase(await openDatabase({ dataFolder: folder }));
    const there = join(folder, 'there.db');
    writeFileSync(there, 'x');
    await expect(backup(place(folder), there)).rejects.toThrow('is there already');
    expect(readFileSync(there, 'utf8')).toBe('x');
  });

  test('is put back only when it is sound, and nobody serves the folder', async () => {
    const folder = temporaryFolder();
    const wrong = join(folder, 'wrong.db');
    writeFileSync(wrong, 'no database'.repeat(900));
    await expect(restore(wrong, place(folder))).rejects.toThrow('is damaged');
    await expect(restore(join(folder, 'none.db'), place(folder))).rejects.toThrow(
      'There is no file',
    );
    const copy = join(folder, 'copy.db');
    await closeDatabase(await openDatabase({ dataFolder: folder }));
    await backup(place(folder), copy);
    // The process that runs the tests was started by one that is alive.
    writeFileSync(join(folder, `running-${process.ppid}`), '');
    await expect(restore(copy, place(folder))).rejects.toThrow('serves');
    // Its number may be another's by now: the note is of a process that began at another time.
    writeFileSync(join(folder, `running-${process.ppid}`), 'another boot 1');
    await expect(restore(copy, place(folder))).resolves.toMatch(/before/);
    rmSync(join(folder, `running-${process.ppid}`));
    await expect(restore(copy, place(folder))).resolves.toMatch(/before/);
  });
});

describe('a database that another program holds', () => {
  async function held() {
    const folder = temporaryFolder();
    const database = await openDatabase({ dataFolder: folder });
    const store = new ProjectStore(database);
    const { id } = await store.create(newDocument('One'), []);
    const other = createClient({ url: `file:${join(folder, 'lettera.db')}`, concurrency: 1 });
    const holding = await other.transaction('write');
    return { database, store, id, other, holding };
  }

  test('is waited for, and written to at once when it is free', async () => {
    const { database, store, id, other, holding } = await held();
    const changed = store.change(id, 1, rename('Two'));
    setTimeout(() => void holding.commit(), 400);
    await expect(changed).resolves.toMatchObject({ revision: 2, name: 'Two' });
    await expect(store.change(id, 2, rename('Three'))).resolves.toMatchObject({ revision: 3 });
    other.close();
    await closeDatabase(database);
  });

  test('is given up after a while, said to be busy, and written to once it is free', async () => {
    const { database, store, id, other, holding } = await held();
    const error: unknown = await store.change(id, 1, rename('Two')).catch((one: unknown) => one);
    expect(toProblem(error)).toMatchObject({ problem: 'database-busy', status: 503 });
    expect((await store.get(id))?.revision).toBe(1);
    await holding.commit();
    for (const [revision, name] of [
      [1, 'Two'],
      [2, 'Three'],
      [3, 'Four'],
    ] as const) {
      await expect(store.change(id, revision, rename(name))).resolves.toMatchObject({ name });
    }
    other.close();
    await closeDatabase(database);
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
