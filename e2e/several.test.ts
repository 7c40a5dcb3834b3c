import { setTimeout as wait } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import Database from 'libsql';
import type { Browser } from 'puppeteer-core';
import type { Project } from '@lettera/server';
import { eventually, launchBrowser, newPage, proofFrame } from './browser';
import { startStudio, type Studio } from './studio';

/** How many processes are killed in each store; `LETTERA_KILLS=60` kills more, on a machine that has the time. */
const KILLS = Number(process.env['LETTERA_KILLS'] ?? 3);
/** Whether times are held to: on a machine that does nothing else. */
const IS_QUIET = process.env['LETTERA_KILLS'] !== undefined;
const PROJECT = '/api/v1/projects/tarnholm-light';

const write = (url: string, revision: number, words: string) =>
  fetch(url + PROJECT, {
    method: 'PATCH',
    headers: {
      'Content-Type': 'application/json-patch+json',
      'If-Match': `"${revision}"`,
      Prefer: 'return=minimal',
    },
    body: JSON.stringify([{ op: 'replace', path: '/words', value: words }]),
  });
const projectAt = async (url: string) => (await (await fetch(url + PROJECT)).json()) as Project;

let browser: Browser;
beforeAll(async () => {
  browser = await launchBrowser();
});
afterAll(() => browser.close());

describe.each(['a file', 'a server'] as const)('three processes on %s', (kept) => {
  let studio: Studio;
  beforeAll(async () => {
    studio = await startStudio(kept);
  });
  afterAll(() => studio.close());

  test('browsers on different ones hear each other within a second', async () => {
    const [one = '', other = ''] = studio.urls;
    const { page, errors } = await newPage(browser);
    await page.goto(`${other}/p/tarnholm-light/faces`);
    await proofFrame(page, { asItIs: true });
    const took: number[] = [];
    for (let i = 0; i < 5; i++) {
      const { revision } = await projectAt(one);
      const name = `Tarnholm ${i}`;
      const began = Date.now();
      await fetch(one + PROJECT, {
        method: 'PATCH',
        headers: {
          'Content-Type': 'application/json-patch+json',
          'If-Match': `"${revision}"`,
        },
        body: JSON.stringify([{ op: 'replace', path: '/name', value: name }]),
      });
      await page.waitForFunction(
        (wanted) => document.querySelector('.docket')?.textContent?.includes(wanted),
        { polling: 'mutation' },
        name,
      );
      took.push(Date.now() - began);
    }
    if (IS_QUIET) expect(took.sort((a, b) => a - b)[2]).toBeLessThan(1000);
    expect(errors).toEqual([]);
    await page.close();
  });

  test('what is fitted and packed is worked out once for all of them', async () => {
    const database = new Database(studio.file);
    // What is stored twice is not kept twice; this tells of each time that it was to be.
    database.exec(`
      CREATE TABLE made (what TEXT);
      CREATE TRIGGER made_tuning BEFORE INSERT ON tunings BEGIN INSERT INTO made VALUES (NEW.key); END;
      CREATE TRIGGER made_file BEFORE INSERT ON derived_files BEGIN INSERT INTO made VALUES (NEW.source || NEW.cut); END;
    `);
    const { revision } = await projectAt(studio.url);
    // Another weight asks for other fallback faces, other characters for other files.
    const answer = await fetch(studio.url + PROJECT, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'If-Match': `"${revision}"`,
      },
      body: JSON.stringify([
        { op: 'add', path: '/styles/lead/set/weight', value: 433 },
        { op: 'add', path: '/delivery/alsoLetters', value: 'ΨΩ' },
      ]),
    });
    expect(answer.status).toBe(200);
    const bundles = await Promise.all(
      studio.urls.map(async (url) => {
        const bundle = await fetch(`${url}${PROJECT}/bundle.zip`);
        expect(bundle.status).toBe(200);
        return (await bundle.arrayBuffer()).byteLength;
      }),
    );
    expect(new Set(bundles).size).toBe(1);
    const made = database.prepare('SELECT what FROM made').all() as { what: string }[];
    database.exec('DROP TRIGGER made_tuning; DROP TRIGGER made_file; DROP TABLE made');
    database.close();
    expect(made.length).toBeGreaterThan(3);
    expect(new Set(made.map(({ what }) => what)).size).toBe(made.length);
  });

  test('work that a killed process was at is taken over', async () => {
    const [one = '', other = ''] = studio.urls;
    const { revision } = await projectAt(studio.url);
    const answer = await fetch(studio.url + PROJECT, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'If-Match': `"${revision}"`,
      },
      body: JSON.stringify([{ op: 'add', path: '/styles/lead/set/weight', value: 377 }]),
    });
    expect(answer.status).toBe(200);
    const lost = fetch(`${one}${PROJECT}/fallbacks`).catch(() => null);
    const database = new Database(studio.file, { readonly: true });
    await eventually(
      () => Promise.resolve(database.prepare('SELECT key FROM leases').all().length),
      (held) => held > 0,
    );
    database.close();
    await studio.kill(0);
    await lost;
    const began = Date.now();
    expect((await fetch(`${other}${PROJECT}/fallbacks`)).status).toBe(200);
    // A lease of ten seconds, and the fitting itself.
    expect(Date.now() - began).toBeLessThan(60_000);
    await studio.restart(0);
  });

  test('whichever is killed in the midst of writes, nothing acknowledged is lost', async () => {
    const acknowledged = new Map<number, string>();
    let ended = false;
    const writer = async () => {
      let { revision } = await projectAt(studio.url);
      for (let i = 0; !ended; i++) {
        const words = `change ${i}`;
        const answer = await write(studio.url, revision, words).catch(() => null);
        const change = (await answer?.json().catch(() => null)) as Project | null;
        if (answer?.ok && change) {
          ({ revision } = change);
          acknowledged.set(revision, words);
        } else {
          // Refused as stale, or cut off: what stands is asked for anew.
          const now = await projectAt(studio.url).catch(() => null);
          if (now?.revision) ({ revision } = now);
          else await wait(20);
        }
      }
    };
    const writing = writer();
    for (let kill = 0; kill < KILLS; kill++) {
      const which = kill % studio.urls.length;
      await wait(30 + ((kill * 37) % 120));
      await studio.kill(which);
      await wait(100);
      await studio.restart(which);
    }
    ended = true;
    await writing;
    expect(acknowledged.size).toBeGreaterThan(KILLS * 3);
    const stored = new Map<number, string>();
    for (let before: number | undefined; ;) {
      const query = before === undefined ? '' : `&before=${before}`;
      const page = (await (
        await fetch(`${studio.url}${PROJECT}/changes?limit=200${query}`)
      ).json()) as { revision: number; patch: { value: string }[] }[];
      for (const { revision, patch } of page) stored.set(revision, patch[0]?.value ?? '');
      before = page.at(-1)?.revision;
      if (page.length < 200) break;
    }
    for (const [revision, words] of acknowledged) expect(stored.get(revision)).toBe(words);
    // All of them say the same.
    const all = await Promise.all(studio.urls.map(projectAt));
    expect(new Set(all.map(({ revision, document }) => `${revision} ${document.words}`)).size).toBe(
      1,
    );
  });
});
