import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { startLettera, type RunningLettera } from './lettera';
import { BARE_PAGE } from './site';

/** The guide of docs/in-a-build.md, followed line by line on a site that breaks its type. */

const LINES = [
  ...readFileSync('docs/in-a-build.md', 'utf8').matchAll(/```sh\n([^]*?)```/g),
].flatMap(([, block = '']) => block.trim().split('\n'));
const lineWith = (...words: string[]): string =>
  LINES.find((line) => words.every((word) => line.includes(word))) ?? '';

let lettera: RunningLettera;
let repository: string;
beforeAll(async () => {
  lettera = await startLettera();
  repository = mkdtempSync(join(tmpdir(), 'lettera-build-'));
  mkdirSync(join(repository, 'type'));
  mkdirSync(join(repository, 'dist/fonts'), { recursive: true });
  const zip = await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/bundle.zip`);
  for (const [path, bytes] of Object.entries(unzipSync(new Uint8Array(await zip.arrayBuffer())))) {
    if (/^fonts\/|^lettera\.css$/.test(path)) writeFileSync(join(repository, 'dist', path), bytes);
  }
  const saved = await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/project-file`);
  writeFileSync(join(repository, 'type/site.lettera'), new Uint8Array(await saved.arrayBuffer()));
});
afterAll(async () => {
  await lettera?.close();
  rmSync(repository, { recursive: true });
});

/** Runs a line of the guide where the site is. */
function follow(line: string): { status: number | null; out: string } {
  const [program, ...args] = (line.match(/"[^"]*"|\S+/g) ?? []).map((word) =>
    word.replaceAll('"', ''),
  );
  expect(program).toBe('lettera');
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [resolve('build/lettera.mjs'), ...args],
    { cwd: repository, encoding: 'utf8' },
  );
  return { status, out: stdout + stderr };
}
const site = (css: string) => {
  const head = '<link rel="stylesheet" href="site.css">';
  writeFileSync(join(repository, 'dist/index.html'), BARE_PAGE.replace('<main>', `${head}<main>`));
  writeFileSync(join(repository, 'dist/site.css'), css);
};

test('what was delivered passes, what breaks its type fails and says where, and what is known does not', () => {
  site('main { max-width: 60rem }');
  expect(follow('lettera check type/site.lettera')).toMatchObject({ status: 0 });
  const drift = lineWith('drift', 'dist');
  expect(drift).toBe('lettera drift type/site.lettera dist');
  expect(LINES).toContain('lettera check type/site.lettera');
  expect(follow(drift)).toMatchObject({ status: 0 });

  site('main { max-width: 60rem }\n\nh1 { font-size: 30px }');
  const broken = follow(drift);
  expect(broken.status).toBe(1);
  expect(broken.out).toMatch(
    /- error: Heading 1: font-size is 30 px [^]*by h1 in site\.css, line 3, font-size: 30px/,
  );

  expect(follow(lineWith('--write-baseline'))).toMatchObject({ status: 0 });
  const held = lineWith('--baseline', 'known.json');
  expect(follow(LINES[LINES.indexOf(lineWith('--write-baseline')) + 1] ?? '')).toMatchObject({
    status: 0,
  });
  expect(held).not.toBe('');

  site('h1 { font-size: 30px }\nh2 { font-weight: 300 }');
  for (const format of ['junit', 'sarif']) {
    expect([format, follow(lineWith(format)).status]).toEqual([format, 1]);
  }
  expect(readFileSync(join(repository, 'type.xml'), 'utf8')).toContain(
    'message="Heading 2: font-weight is 300',
  );
  const { runs } = JSON.parse(readFileSync(join(repository, 'type.sarif'), 'utf8')) as {
    runs: { results: { ruleId: string; baselineState?: string; locations: object[] }[] }[];
  };
  const found = runs[0]?.results ?? [];
  expect(found.find(({ ruleId }) => ruleId === 'drift/font-weight')?.locations).toMatchObject([
    { physicalLocation: { artifactLocation: { uri: 'site.css' }, region: { startLine: 2 } } },
  ]);
  expect(found.some(({ baselineState }) => baselineState === 'unchanged')).toBe(true);
}, 180_000);

test('a site that is served is gone through from its first page, with what lets in', async () => {
  const line = lineWith('--crawl');
  const head = '<link rel="stylesheet" href="/site.css"><a href="/log">Log</a>';
  const pages: Record<string, string> = {
    '/': BARE_PAGE.replace('<main>', `${head}<main>`),
    '/log': BARE_PAGE.replace('<main>', `${head}<main>`).replace('</title>', ' log</title>'),
    '/site.css': 'h1 { font-size: 30px }',
  };
  // In a process of its own: the command is waited for here.
  const script = join(repository, 'serve.mjs');
  writeFileSync(
    script,
    `import { createServer } from 'node:http';
     import { existsSync, readFileSync } from 'node:fs';
     const pages = ${JSON.stringify(pages)};
     createServer((request, response) => {
       const path = request.url;
       const file = 'dist' + path;
       const known = pages[path] ?? (existsSync(file) ? readFileSync(file) : null);
       const isIn = request.headers.cookie === 'preview=1';
       const type = path.endsWith('.css') ? 'text/css' : path.includes('.') ? 'font/woff2' : 'text/html';
       response.writeHead(!isIn ? 401 : known ? 200 : 404, { 'Content-Type': type });
       response.end(isIn ? known : '');
     }).listen(0, '127.0.0.1', function () { console.log(this.address().port); });`,
  );
  const serving = spawn(process.execPath, [script], { cwd: repository });
  try {
    const [port] = (await once(serving.stdout, 'data')) as [Buffer];
    const here = line.replace(
      'https://staging.tarnholm.example',
      `http://127.0.0.1:${port.toString().trim()}`,
    );
    const { status, out } = follow(here);
    expect([status, out]).toEqual([1, expect.stringMatching(/Heading 1: font-size is 30 px/)]);
    expect(out).toMatch(/by h1 in [^ ]*site\.css, line 1/);
    expect(follow(here.replace(/ --header.*/, ''))).toMatchObject({ status: 2 });
  } finally {
    serving.kill();
  }
}, 120_000);
