import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { newDocument, type Family } from '@lettera/core/document';
import { startTestServer, type TestServer } from '../testing/server';
import type { LibraryDetails } from '@lettera/core/wire';
import { planFaces, takeFamilyIn } from './taking';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => {
  Object.assign(server.behaviour, {
    delay: 0,
    failures: 0,
    cutFilesShort: false,
    serveWrongFiles: false,
  });
});

const client = () => server.services.foundry;

describe('the client of the foundry', () => {
  test('lists every family over all pages', async () => {
    const families = await client().families();
    expect(families).toHaveLength(111);
    expect(new Set(families.map(({ id }) => id)).size).toBe(111);
  });

  test('asks again after a failure, and gives up with what to do', async () => {
    server.behaviour.failures = 2;
    expect((await client().family('gloock')).name).toBe('Gloock');
    server.behaviour.failures = 99;
    await expect(client().family('anton')).rejects.toThrow(
      'The foundry does not answer (status 503). What is in the case is unaffected. Try again.',
    );
  });

  test('fetches a file once, and knows it again', async () => {
    const family = await client().family('gloock');
    const name = 'gloock-latin-400-normal.woff2';
    const first = await client().file(family, name);
    server.behaviour.failures = 99;
    expect((await client().file(family, name)).equals(first)).toBe(true);
  });

  test('takes nothing that is not what the foundry lists', async () => {
    const family = await client().family('bungee');
    server.behaviour.serveWrongFiles = true;
    await expect(client().file(family, 'bungee-latin-400-normal.woff2')).rejects.toThrow(
      'is not the one it lists',
    );
    server.behaviour.serveWrongFiles = false;
    expect((await client().file(family, 'bungee-latin-400-normal.woff2')).length).toBeGreaterThan(
      0,
    );
    await expect(client().file(family, '../../package.json')).rejects.toThrow('has no file');
  });

  test('says that a family is gone', async () => {
    await expect(client().family('no-such-family')).rejects.toThrow('no longer has this family');
  });
});

const file = (
  style: 'normal' | 'italic',
  weightMin: number,
  weightMax = weightMin,
  script = 'latin',
) => ({
  name: `${script}-${style}-${weightMin}`,
  script,
  style,
  weightMin,
  weightMax,
  bytes: 1000,
  unicodeRange: 'U+20-7E',
  sha256: 'a'.repeat(64),
});

const details = (files: LibraryDetails['files'], variable = false): LibraryDetails => ({
  id: 'skerry',
  name: 'Skerry',
  class: 'serif',
  licence: 'OFL-1.1',
  licenceText: 'Terms',
  version: 'v1',
  scripts: ['latin', 'greek'],
  variable,
  files,
});

describe('planning what to fetch', () => {
  const STATIC = details([
    file('normal', 400),
    file('normal', 400, 400, 'greek'),
    file('normal', 700),
    file('italic', 400),
  ]);
  const VARIABLE = details([file('normal', 200, 900), file('italic', 200, 900)], true);
  const pick = (...faces: ['normal' | 'italic', number][]) =>
    faces.map(([style, weight]) => ({ style, weight }));

  test('a static family has a face for each weight, with a file for each script', () => {
    const plan = planFaces(STATIC, {
      scripts: ['latin', 'greek'],
      faces: pick(['normal', 400], ['italic', 400]),
    });
    expect(plan.map(({ style, weightMin, files }) => [style, weightMin, files.length])).toEqual([
      ['normal', 400, 2],
      ['italic', 400, 1],
    ]);
  });

  test('a variable family has a face for each style, from the lightest to the heaviest weight', () => {
    const plan = planFaces(VARIABLE, {
      scripts: ['latin'],
      faces: pick(['normal', 700], ['normal', 300], ['normal', 400], ['italic', 400]),
    });
    expect(plan.map(({ style, weightMin, weightMax }) => [style, weightMin, weightMax])).toEqual([
      ['normal', 300, 700],
      ['italic', 400, 400],
    ]);
  });

  test.each<[string, Parameters<typeof planFaces>[1], string]>([
    ['no weight', { scripts: ['latin'], faces: [] }, 'at least one weight'],
    ['no script', { scripts: [], faces: pick(['normal', 400]) }, 'at least one script'],
    [
      'a strange script',
      { scripts: ['runic'], faces: pick(['normal', 400]) },
      'does not come in runic',
    ],
    [
      'a weight in no script',
      { scripts: ['greek'], faces: pick(['normal', 700]) },
      'has no 700 in the scripts',
    ],
    [
      'an italic it lacks',
      { scripts: ['latin'], faces: pick(['italic', 700]) },
      'has no 700 italic',
    ],
  ])('refuses %s', (_what, picks, message) => {
    expect(() => planFaces(STATIC, picks)).toThrow(message);
  });
});

describe('taking a family in', () => {
  const family = { name: 'Skerry', source: 'foundry', faces: [] } as unknown as Family;

  test('adds it under its own key, or replaces what was taken of it before', () => {
    const document = newDocument('Tarnholm');
    expect(takeFamilyIn(document, 'skerry', family)).toMatchObject([
      { op: 'add', path: '/case/skerry' },
    ]);
    document.case['skerry-2'] = family;
    expect(takeFamilyIn(document, 'skerry', family)).toMatchObject([
      { op: 'replace', path: '/case/skerry-2' },
    ]);
  });

  test('leaves a family of that name alone that came from files', () => {
    const document = newDocument('Tarnholm');
    document.case['skerry'] = { ...family, source: 'files' };
    expect(takeFamilyIn(document, 'skerry', family)[0]?.path).toBe('/case/skerry-2');
  });
});
