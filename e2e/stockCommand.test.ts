import { spawn } from 'node:child_process';
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Stock } from '@lettera/core/stock';
import { unzipSync } from 'fflate';
import { eventually } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { BARE_PAGE } from './site';
import { WRITTEN, type SiteFiles } from './sites/stockPages';

/** Taking stock from the command line, as it is built. */

let lettera: RunningLettera;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lettera-command-'));
  lettera = await startLettera();
});
afterAll(async () => {
  await lettera?.close();
  rmSync(folder, { recursive: true });
});

function run(
  args: string[],
  env: Record<string, string> = {},
): Promise<{ code: number | null; out: string; said: string }> {
  const child = spawn(process.execPath, ['build/lettera.mjs', ...args], {
    env: { ...process.env, ...env },
  });
  let [out, said] = ['', ''];
  child.stdout.on('data', (piece: Buffer) => (out += piece.toString()));
  child.stderr.on('data', (piece: Buffer) => (said += piece.toString()));
  return new Promise((resolve) => child.on('close', (code) => resolve({ code, out, said })));
}

/** Lays files of a site down, and gives the folder. */
function laid(name: string, files: SiteFiles | Record<string, Uint8Array | string>): string {
  const at = join(folder, name);
  for (const [path, content] of Object.entries(files)) {
    mkdirSync(dirname(join(at, path)), { recursive: true });
    writeFileSync(join(at, path), content);
  }
  return at;
}

test('a site in a folder is told, and all of it written', async () => {
  const site = laid('tides', WRITTEN['a long read in two scripts']?.() ?? {});
  const file = join(folder, 'stock.json');
  const { code, out } = await run(['stock', site, '--out', file]);
  expect(code).toBe(0);
  expect(out).toContain('- Literata: ');
  expect(out).toContain('- Onest: ');
  const stock = JSON.parse(readFileSync(file, 'utf8')) as Stock & {
    format: string;
    version: number;
  };
  expect([stock.format, stock.version]).toEqual(['lettera-stock', 1]);
  expect(stock.texts.length).toBeGreaterThan(10);
  expect(stock.looks[stock.texts[0]?.wide.look ?? -1]?.size).toBeCloseTo(41.6, 3);
}, 60_000);

test('what no longer follows a project is told, and ends otherwise', async () => {
  const bundle = unzipSync(
    new Uint8Array(
      await (await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/bundle.zip`)).arrayBuffer(),
    ),
  );
  const files = Object.fromEntries(
    Object.entries(bundle).filter(([path]) => /^fonts\/|^lettera\.css$/.test(path)),
  );
  const follows = laid('follows', { 'index.html': BARE_PAGE, ...files });
  const drift = (site: string, ...more: string[]) =>
    run(['drift', 'tarnholm-light', site, '--server', lettera.url, ...more]);
  const before = await drift(follows);
  expect(before.said).toBe('');
  // The colour of a button goes with the ground that the browser gives it.
  expect(before.out).not.toMatch(/- (?!note: Button: color is left open)/);
  expect(before.code).toBe(0);

  const strays = laid('strays', {
    ...files,
    'own.css': 'p { margin: 0 }\nh1 { font-size: 30px }',
    'index.html': BARE_PAGE.replace(
      '<main>',
      '<link rel="stylesheet" href="own.css"><style>td { font-weight: 800 }</style><main>',
    ),
  });
  const after = await drift(strays);
  expect(after.code).toBe(1);
  expect(after.out).toMatch(
    /- error: Heading 1: font-size is 30 px on the site and [\d.]+ px in the project, at 1280 px, 1 text\n .*by h1 in own.css, line 2, font-size: 30px/,
  );
  expect(after.out).toMatch(/- note: Table cell: font-weight is left open and the site’s own, 800/);
  // A size that is another is told once, and not as letter spacing too.
  expect(after.out).not.toContain('letter-spacing');
  const json = await drift(strays, '--format', 'json');
  expect(JSON.parse(json.out)).toMatchObject({
    findings: expect.arrayContaining([
      expect.objectContaining({ rule: 'drift/font-size', severity: 'error' }),
    ]),
  });
  // What is known does not count, and what comes besides does.
  const known = join(folder, 'known.json');
  expect((await drift(strays, '--write-baseline', known)).code).toBe(0);
  const held = await drift(strays, '--baseline', known);
  expect([held.code, held.out]).toEqual([
    0,
    expect.stringMatching(/^Tarnholm.* known by the base/),
  ]);
  writeFileSync(
    join(strays, 'index.html'),
    BARE_PAGE.replace(
      '<main>',
      '<link rel="stylesheet" href="own.css"><style>h2 { font-size: 9px }</style><main>',
    ),
  );
  const more = await drift(strays, '--baseline', known, '--format', 'junit');
  expect([more.code, more.out]).toEqual([
    1,
    expect.stringContaining('<failure type="error" message="Heading 2: font-size'),
  ]);
  const sarif = await drift(strays, '--fail-on', 'never', '--format', 'sarif');
  expect([sarif.code, sarif.out]).toEqual([
    0,
    expect.stringMatching(/"uri": "own.css"\s*},\s*"region": {\s*"startLine": 2/),
  ]);
  expect((await drift(strays, '--baseline', join(folder, 'none.json'))).code).toBe(2);
}, 90_000);

test('without a browser, the reader’s file is read all the same, and saved pages are refused', async () => {
  const reading = {
    format: 'lettera-reading',
    version: 1,
    made: '2026-11-27T00:00:00.000Z',
    address: 'https://tarnholm.example/',
    title: 'The log',
    quirks: false,
    html: '<html lang="en"><head></head><body><h1>The log</h1></body></html>',
    sheets: [{ name: 'site.css', media: '', css: 'h1 { font: 700 31px Onest }' }],
    unread: [],
    faces: [{ family: 'Onest', weight: '700', style: 'normal', status: 'loaded' }],
    views: [
      {
        width: 1280,
        height: 800,
        texts: [
          {
            words: 'The log',
            family: 'Onest',
            size: 31,
            weight: 700,
            style: 'normal',
            lineHeight: null,
            letterSpacing: 0,
            letterCase: 'none',
            colour: 'rgb(0, 0, 0)',
            face: 'Onest',
            measure: null,
          },
        ],
      },
    ],
  };
  const site = laid('read', { 'log.reading.json': JSON.stringify(reading) });
  const file = join(folder, 'read.json');
  const none = { LETTERA_CHROMIUM: join(folder, 'no-browser') };
  const told = await run(['stock', site, '--out', file], none);
  expect(told.said).toBe('');
  expect(told.code).toBe(0);
  expect(told.out).toContain('1 page, 1 text, at 1280 and 1280 px, by the reader’s file');
  expect(told.out).toContain('- Onest: 100.0 %, shown');
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({
    by: 'the reader’s file',
    looks: [{ size: 31, face: 'Onest' }],
    sources: expect.arrayContaining([expect.objectContaining({ selector: 'h1' })]),
  });
  const drift = await run(['drift', 'tarnholm-light', site, '--server', lettera.url], none);
  expect(drift.code).toBe(1);
  expect(drift.out).toMatch(/- error: Heading 1: font-size is 31 px on the site/);
  expect(drift.out).toMatch(/read by the reader’s file$/m);

  const saved = await run(['stock', 'e2e/sites/everything.html'], none);
  expect(saved.code).toBe(2);
  expect(saved.said).toMatch(/was not read where it is live.*none was found/s);
}, 90_000);

test.each<[string, string[], RegExp]>([
  ['no page', ['stock', 'package.json'], /There is no page among them/],
  ['no file', ['stock', 'nowhere.html'], /ENOENT/],
  [
    'no project',
    ['drift', 'skerry', 'e2e/sites/everything.html'],
    /There is no (project|data of Lettera)/,
  ],
])(
  '%s is said',
  async (_what, args, says) => {
    const { code, said } = await run(args, { LETTERA_DATA: join(folder, 'empty') });
    expect(said).toMatch(says);
    expect(code).toBe(2);
  },
  60_000,
);

test('a bundle that is watched is written anew at each change, and just what changed', async () => {
  const to = join(folder, 'watched');
  const project = `${lettera.url}/api/v1/projects/tarnholm-light`;
  const child = spawn(process.execPath, [
    'build/lettera.mjs',
    'build',
    'tarnholm-light',
    '--watch',
    '--out',
    to,
    '--server',
    lettera.url,
  ]);
  const said: string[] = [];
  child.stdout.on('data', (piece: Buffer) => said.push(...piece.toString().trim().split('\n')));
  const ended = new Promise((resolve) => child.on('close', resolve));
  const line = (number: number) =>
    eventually(
      () => Promise.resolve(said),
      (lines) => lines.length > number,
      60_000,
    ).then((lines) => lines[number] ?? '');
  expect(await line(0)).toMatch(/^Revision \d+: \d+ files, in \d+ ms$/);
  const sheet = () => readFileSync(join(to, 'lettera.css'), 'utf8');
  const fonts = () =>
    readdirSync(join(to, 'fonts')).map((name) => [name, statSync(join(to, 'fonts', name)).mtimeMs]);
  const [before, files] = [sheet(), fonts()];

  const waits: number[] = [];
  for (const [i, ink] of ['#101820', '#111921', '#121a22', '#131b23'].entries()) {
    const { revision } = (await (await fetch(project)).json()) as { revision: number };
    const answer = await fetch(project, {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
      body: JSON.stringify([{ op: 'replace', path: '/colours/ink/light', value: ink }]),
    });
    expect(answer.status).toBe(200);
    const at = Date.now();
    await eventually(
      () => Promise.resolve(sheet()),
      (css) => css.includes(ink),
      20_000,
    );
    waits.push(Date.now() - at);
    expect(await line(i + 1)).toMatch(/lettera\.css/);
  }
  if (process.env['LETTERA_TIMES']) console.log('A change was written after', waits, 'ms');
  expect(sheet()).not.toBe(before);
  // The font files were left as they were, and nothing half done is there.
  expect(fonts()).toEqual(files);
  expect(readdirSync(to).filter((name) => name.includes('.new-'))).toEqual([]);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
}, 120_000);
