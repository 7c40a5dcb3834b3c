import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { strToU8, zipSync, type Zippable } from 'fflate';
import request from 'supertest';
import type { LookedPages, PageAccount, ProblemDetails, Project } from '@lettera/core/wire';
import { startTestServer, type TestServer } from '../testing/server';

/** Pages that are brought to be looked at, and are broken, huge, or made to do harm. */

let server: TestServer;
let id: string;
const MEGABYTE = 1024 * 1024;
/** What an answer may take here, milliseconds: more is a way to keep others out. */
const BOUND = 20_000;

beforeAll(async () => {
  server = await startTestServer({ fetches: true, fetchHosts: [] });
  const { body } = await request(server.app)
    .post('/api/v1/projects')
    .send({ name: 'Skerry' })
    .expect(201);
  ({ id } = body as Project);
});
afterAll(() => server.close());

type Files = Readonly<Record<string, string | Uint8Array>>;

async function look(files: Files): Promise<{ status: number; body: LookedPages & ProblemDetails }> {
  const sent = request(server.app).post(`/api/v1/projects/${id}/looked`);
  for (const [path, content] of Object.entries(files)) {
    void sent.attach('file', Buffer.from(content as string), path);
  }
  const start = Date.now();
  const { status, body } = await sent;
  expect(Date.now() - start).toBeLessThan(BOUND);
  await request(server.app).get('/api/v1/health').expect(200);
  return { status, body: body as LookedPages & ProblemDetails };
}

async function account({ pages }: LookedPages): Promise<PageAccount> {
  const [{ site = '', path = '' } = {}] = pages;
  const start = Date.now();
  const { body } = await request(server.app)
    .get(`/api/v1/projects/${id}/pages/x/account?${new URLSearchParams({ site, path })}`)
    .expect(200);
  expect(Date.now() - start).toBeLessThan(BOUND);
  return body as PageAccount;
}

const FOG = '<!doctype html><title>The log</title><p>Fog</p>';
const sized = (bytes: number): Uint8Array => new Uint8Array(bytes).fill(0x61);
const READING = {
  format: 'lettera-reading',
  version: 1,
  title: 'The log',
  html: '<p>Fog</p>',
  sheets: [],
  faces: [],
  views: [],
};

/** An archive whose entries say that they are symbolic links. */
function linked(): Uint8Array {
  const entries: Zippable = {
    'index.html': strToU8(FOG),
    'log.css': [strToU8('/etc/passwd'), { os: 3, attrs: (0o120777 << 16) >>> 0 }],
  };
  return zipSync(entries);
}

describe('refused, with what was wrong', () => {
  test.each<[string, () => Files, RegExp]>([
    ['nothing but a picture', () => ({ 'a.png': sized(10) }), /There is no page among them/],
    ['50 MB of one page', () => ({ 'index.html': sized(50 * MEGABYTE) }), /larger than 5 MB/],
    [
      '100,000 elements in one another',
      () => ({ 'index.html': '<div>'.repeat(100_000) }),
      /deeper than 512|more than 512|512/,
    ],
    [
      'more elements than may be',
      () => ({ 'index.html': '<br>'.repeat(250_001) }),
      /more than 250,000 elements/,
    ],
    [
      'an archive that unpacks to more than may be',
      () => ({ 'a.zip': zipSync({ 'index.html': strToU8(FOG), 'a.css': sized(120 * MEGABYTE) }) }),
      /64 MB/,
    ],
    [
      'an archive of more entries than may be',
      () => ({
        'a.zip': zipSync(
          Object.fromEntries(
            Array.from({ length: 60_000 }, (_, i) => [`${i}.html`, new Uint8Array(0)]),
          ),
          { level: 0 },
        ),
      }),
      /2,?000 files/,
    ],
    [
      'an archive cut short',
      () => ({ 'a.zip': zipSync({ 'index.html': strToU8(FOG) }).subarray(0, 40) }),
      /archive|no page/i,
    ],
    [
      'a reader’s file cut short',
      () => ({ 'a.json': JSON.stringify(READING).slice(0, -20) }),
      /cut short/,
    ],
    [
      'a reader’s file of a newer version',
      () => ({ 'a.json': JSON.stringify({ ...READING, version: 2 }) }),
      /newer reader \(version 2/,
    ],
  ])(
    '%s',
    async (_what, files, says) => {
      const { status, body } = await look(files());
      expect(body.detail).toMatch(says);
      expect(status).toBe(422);
    },
    60_000,
  );
});

describe('read as far as it goes', () => {
  test('what is no HTML is a page of its text', async () => {
    const { status, body } = await look({ 'index.html': new Uint8Array([0, 1, 2, 255, 254, 10]) });
    expect([status, body.pages.length]).toEqual([201, 1]);
  });

  test('5 MB of CSS with errors, and a sheet that is larger', async () => {
    const rule = '.a { color: ; font-size } } p { font-size: 17px } @media (min-width: { ';
    const css = rule.repeat(Math.floor((5 * MEGABYTE) / rule.length));
    const { body } = await look({
      'index.html': `<link rel="stylesheet" href="a.css"><link rel="stylesheet" href="b.css">${FOG}`,
      'a.css': css,
      'b.css': sized(5 * MEGABYTE + 1),
    });
    expect(body.leftOut).toEqual([{ path: 'b.css', why: 'It is larger than 5 MB.' }]);
    const { rules } = await account(body);
    expect(rules.length).toBeGreaterThan(0);
  }, 60_000);

  test('style sheets that import one another, each once', async () => {
    const { body } = await look({
      'index.html': `<link rel="stylesheet" href="a.css">${FOG}`,
      'a.css': '@import "b.css"; p { font-size: 17px }',
      'b.css': '@import "a.css"; @import "b.css"; p { font-size: 18px }',
    });
    const { rules } = await account(body);
    const sizes = rules.map(({ sheet, declarations }) => `${sheet} ${declarations[0]?.value}`);
    expect(sizes).toContain('a.css 17px');
    expect(sizes).toContain('b.css 18px');
    // The last that is said decides: the sheet that was linked.
    expect(sizes.at(-1)).toBe('a.css 17px');
    expect(sizes.length).toBeLessThan(100);
  });

  test('an encoding that lies is read as what it is, and told', async () => {
    const { body } = await look({
      'index.html': Buffer.concat([
        strToU8('<!doctype html><meta charset="utf-8"><title>The log</title><p>'),
        // Þokuljós in ISO 8859-1.
        Buffer.from([0xde, 0x6f, 0x6b, 0x75, 0x6c, 0x6a, 0xf3, 0x73]),
      ]),
    });
    const { notes } = await account(body);
    expect(notes.join(' ')).toMatch(/utf-8/i);
  });

  test('an archive whose paths climb and whose entries are links stays within itself', async () => {
    const { body } = await look({
      'a.zip': zipSync({
        '../../evil.html': strToU8(FOG),
        'site/index.html': strToU8(`<link rel="stylesheet" href="../../../etc/passwd">${FOG}`),
      }),
      'b.zip': linked(),
    });
    expect(body.pages.map(({ path }) => path).sort()).toEqual(['index.html', 'site/index.html']);
    expect(body.leftOut).toContainEqual({
      path: '../../evil.html',
      why: 'Its path leads out of what was brought.',
    });
  });

  test('a reader’s file made by hand holds no script, address or handler', async () => {
    const { body } = await look({
      'a.json': JSON.stringify({
        ...READING,
        title: '</title><script>alert(1)</script>',
        html: '<body onload="x()"><p>Fog<img src="https://elsewhere.example/a.png"></p><script>x()</script>',
        sheets: [
          {
            name: '../../../evil.css',
            media: '"><script>x()</script>',
            css: '@import "https://elsewhere.example/a.css"; p { background: url(//elsewhere.example/b.png) }',
          },
        ],
        views: [{ width: 1e99, texts: [{ words: '<script>' }] }],
      }),
    });
    const [{ site = '', path = '' } = {}] = body.pages;
    const { text } = await request(server.app)
      .get(`/api/v1/projects/${id}/pages/x?${new URLSearchParams({ site, path })}`)
      .expect(200);
    expect(text).not.toMatch(/<script|onload|elsewhere\.example|\.\.\/evil/);
    const { live } = await account(body);
    expect(live.views.flatMap(({ texts }) => texts)).toEqual([]);
  });
});
