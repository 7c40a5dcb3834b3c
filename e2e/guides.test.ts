import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import type { ProjectDocument } from '@lettera/core/document';
import * as sass from 'sass';
import * as sassNow from 'sass-now';
import { computed, fontsUsed, launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';
import { serveSite, type Site } from './site';

/** The guides of docs/onto-a-site.md, followed with the real packages. */

const SLUG = 'tarnholm-light';
const GUIDE = readFileSync('docs/onto-a-site.md', 'utf8');
const BODY = `<body><h1>A light has burned on Tarnholm</h1><p>Tarnholm lies eleven miles out.</p>
<p class="teaser">Landings are weather permitting.</p></body>`;
const FLAGS = { width: 1280, height: 800 };

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let start: ProjectDocument;
let site: Site | null = null;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  start = (await ask<{ document: ProjectDocument }>(lettera, `/projects/${SLUG}`)).document;
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});
afterEach(async () => {
  await page?.close();
  await site?.close();
  site = null;
});

const deliver = (delivery: object) =>
  changeProject(lettera, SLUG, [
    { op: 'replace', path: '/delivery', value: { ...start.delivery, ...delivery } },
  ]);
/** Shows a page beside the bundle as it is delivered now, with files of its own. */
async function show(head: string, own: Record<string, Uint8Array> = {}): Promise<void> {
  site = await serveSite(lettera, SLUG, `<!doctype html><html lang="en">${head}${BODY}`, own);
  ({ page } = await newPage(browser, FLAGS));
  await page.goto(site.url);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
}
/** The first family of an element, and what Chromium really sets it in. */
const setIn = async (selector: string) => {
  const { 'font-family': family = '' } = await computed(page, selector, ['font-family']);
  const [used = ''] = await fontsUsed(page, selector, false);
  return { asked: family.split(',')[0]?.replaceAll('"', ''), used };
};

/** The names that a section of the guide gives, with their tokens. */
function namesIn(title: string): Record<string, string> {
  const section = GUIDE.split(`### ${title}\n`)[1]?.split(/\n##/)[0] ?? '';
  return Object.fromEntries(
    [...section.matchAll(/^\| `(--[\w-]+)` +\| `(--[\w-]+)` +\|$/gm)].map(
      ([, theirs = '', ours = '']) => [theirs, ours],
    ),
  );
}

test('plain HTML: the bundle sets the page, and the site’s own rules win', async () => {
  await deliver({});
  await show('<link rel="stylesheet" href="lettera.css"><link rel="stylesheet" href="site.css">', {
    'site.css': Buffer.from('.teaser { font-weight: 300 }'),
  });
  expect(await setIn('h1')).toMatchObject({ asked: 'Bricolage Grotesque' });
  expect((await setIn('p')).used).toBe('Literata');
  expect(await computed(page, '.teaser', ['font-weight'])).toEqual({ 'font-weight': '300' });
});

describe('a framework that reads custom properties', () => {
  const LINKS =
    '<link rel="stylesheet" href="framework.css"><link rel="stylesheet" href="lettera.css">';

  test.each([
    ['Bootstrap 5', 'bootstrap/dist/css/bootstrap.css', 'Bricolage Grotesque'],
    ['Bulma 1', 'bulma/css/bulma.css', 'Bricolage Grotesque'],
    ['Pico 2', '@picocss/pico/css/pico.css', 'Literata'],
  ])('%s takes the tokens that the guide names', async (title, file, heading) => {
    const names = namesIn(title);
    expect(Object.keys(names).length).toBeGreaterThan(1);
    await deliver({ names });
    const css = readFileSync(join('node_modules', file));
    // Each name is one that it reads.
    for (const name of Object.keys(names)) expect(css.toString()).toContain(`var(${name}`);
    await show(LINKS, { 'framework.css': css });
    expect(await setIn('p')).toEqual({ asked: 'Literata', used: 'Literata' });
    expect((await setIn('h1')).asked).toBe(heading);
    const own = Object.values(names);
    if (own.includes('--size-base')) {
      expect(await computed(page, 'p', ['font-size'])).toEqual({ 'font-size': '19px' });
    }
    if (own.includes('--style-body-line-height')) {
      const { 'line-height': line = '' } = await computed(page, 'p', ['line-height']);
      expect(parseFloat(line)).toBeCloseTo(19 * 1.55, 1);
    }
  });

  test('gives its headings to rules over classes, outside any layer', async () => {
    await deliver({ names: namesIn('Pico 2'), weight: 'over', layer: null });
    await show(LINKS, { 'framework.css': readFileSync('node_modules/@picocss/pico/css/pico.css') });
    expect((await setIn('h1')).asked).toBe('Bricolage Grotesque');
    expect(await computed(page, 'h1', ['font-weight'])).toEqual({ 'font-weight': '680' });
  });
});

test('names of steps: the token is that of the name', async () => {
  const names = { ...start.scale.names, scheme: 'own', own: { '0': 'text' } };
  await changeProject(lettera, SLUG, [{ op: 'add', path: '/scale/names', value: names }]);
  try {
    expect(GUIDE).toContain('`--size-text` in place of `--size-base`');
    const given = Object.fromEntries(
      Object.entries(namesIn('Bootstrap 5')).map(([theirs, ours]) => [
        theirs,
        ours.replace('--size-base', '--size-text'),
      ]),
    );
    await deliver({ names: given });
    await show(
      '<link rel="stylesheet" href="framework.css"><link rel="stylesheet" href="lettera.css">',
      { 'framework.css': readFileSync('node_modules/bootstrap/dist/css/bootstrap.css') },
    );
    expect(await computed(page, 'p', ['font-size'])).toEqual({ 'font-size': '19px' });
  } finally {
    await changeProject(lettera, SLUG, [
      start.scale.names
        ? { op: 'add', path: '/scale/names', value: start.scale.names }
        : { op: 'remove', path: '/scale/names' },
    ]);
  }
});

test('a component library: custom properties reach into a shadow tree', async () => {
  await deliver({});
  const section = GUIDE.split('## A component library')[1] ?? '';
  const [, source = ''] = /```css\n([^]*?)```/.exec(section) ?? [];
  await show(
    '<link rel="stylesheet" href="lettera.css"><link rel="stylesheet" href="site.css"><script src="card.js"></script><tide-card></tide-card>',
    {
      'site.css': Buffer.from(source),
      'card.js': Buffer.from(
        `customElements.define('tide-card', class extends HTMLElement {
          connectedCallback() {
            this.attachShadow({ mode: 'open' }).innerHTML =
              '<style>h3 { font: 400 10px serif; font-family: var(--card-font); font-size: var(--card-size) }</style><h3>Tides</h3>';
          }
        });`,
      ),
    },
  );
  const inside = await page.$eval('tide-card', (card) => {
    const heading = card.shadowRoot?.querySelector('h3');
    const { fontFamily, fontSize } = getComputedStyle(heading as Element);
    return { family: fontFamily.split(',')[0]?.replaceAll('"', ''), size: parseFloat(fontSize) };
  });
  expect(inside.family).toBe('Bricolage Grotesque');
  expect(inside.size).toBeGreaterThan(19);
});

test('a static site generator, a theme: one address serves pages at any depth', async () => {
  await deliver({});
  const section = GUIDE.split('## A static site generator')[1] ?? '';
  const [, link = ''] = /```html\n([^]*?)```/.exec(section) ?? [];
  const bundle = await serveSite(lettera, SLUG, '');
  await bundle.close();
  const inFolder = Object.fromEntries(
    Object.entries(bundle.files).map(([path, bytes]) => [`type/${path}`, bytes]),
  );
  await show(link, {
    ...inFolder,
    'log/1861/winter.html': Buffer.from(`<!doctype html><html lang="en">${link}${BODY}`),
  });
  await page.goto(`${site?.url ?? ''}log/1861/winter.html`);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  expect(await setIn('h1')).toMatchObject({ asked: 'Bricolage Grotesque' });
  expect((await setIn('h1')).used).toMatch(/^Bricolage Grotesque/);
  expect((await setIn('p')).used).toBe('Literata');
});

test.each([
  ['1.83', sass],
  ['as it is now', sassNow],
])('Sass, %s: what the guide writes compiles and sets the page', async (_which, compiler) => {
  await deliver({});
  const [, source = ''] = /```scss\n([^]*?)```/.exec(GUIDE) ?? [];
  const folder = mkdtempSync(join(tmpdir(), 'lettera-'));
  const files = await ask<{ path: string; content?: string }[]>(
    lettera,
    `/projects/${SLUG}/delivery`,
  );
  const tokens = files.find(({ path }) => path === '_tokens.scss')?.content ?? '';
  writeFileSync(join(folder, '_tokens.scss'), tokens);
  const { css } = compiler.compileString(source, { loadPaths: [folder] });
  await show('<link rel="stylesheet" href="lettera.css"><link rel="stylesheet" href="site.css">', {
    'site.css': Buffer.from(css),
  });
  const lead = start.styles['lead']?.set.lineHeight ?? 0;
  const { 'font-size': size = '', 'line-height': line = '' } = await computed(page, '.teaser', [
    'font-size',
    'line-height',
  ]);
  expect(parseFloat(size)).toBeGreaterThan(19);
  expect(parseFloat(line) / parseFloat(size)).toBeCloseTo(lead, 2);
});

test('Vite: the style sheet is imported, and its fonts are built along', async () => {
  await deliver({});
  const [, source = ''] = /```js\n([^]*?)```/.exec(GUIDE) ?? [];
  const folder = mkdtempSync(join(tmpdir(), 'lettera-'));
  const bundle = await serveSite(lettera, SLUG, '');
  await bundle.close();
  for (const [path, bytes] of Object.entries(bundle.files)) {
    const target = join(folder, 'type', path);
    mkdirSync(dirname(target), { recursive: true });
    writeFileSync(target, bytes);
  }
  writeFileSync(join(folder, 'site.css'), '.teaser { font-weight: 300 }');
  writeFileSync(join(folder, 'main.js'), source);
  writeFileSync(
    join(folder, 'index.html'),
    `<!doctype html><html lang="en"><head><script type="module" src="/main.js"></script></head>${BODY}</html>`,
  );
  execFileSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', folder], {
    stdio: 'pipe',
  });
  const built = join(folder, 'dist');
  const assets = Object.fromEntries(
    readdirSync(join(built, 'assets')).map((name) => [
      `assets/${name}`,
      new Uint8Array(readFileSync(join(built, 'assets', name))),
    ]),
  );
  expect(Object.keys(assets).some((path) => path.endsWith('.woff2'))).toBe(true);
  const style = Object.keys(assets).find((path) => path.endsWith('.css'));
  await show(`<link rel="stylesheet" href="${style}">`, assets);
  expect((await setIn('h1')).asked).toBe('Bricolage Grotesque');
  expect((await setIn('p')).used).toBe('Literata');
  expect(await computed(page, '.teaser', ['font-weight'])).toEqual({ 'font-weight': '300' });
});
