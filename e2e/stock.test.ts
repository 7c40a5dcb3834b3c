import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { ProjectDocument } from '@lettera/core/document';
import { zipSync } from 'fflate';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { violationsOn } from './axe';
import {
  aboutPage,
  clickInProof,
  eventually,
  fill,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  unfold,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask } from './project';
import { serveSite } from './site';
import { attacks } from './sites/attacks';
import { WRITTEN, type SiteFiles } from './sites/stockPages';

/** A site that is taken stock of in the real interface. */

const SLUG = 'tarnholm-light';
let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let folder: string;

interface Project {
  revision: number;
  document: ProjectDocument;
}
const project = () => ask<Project>(lettera, `/projects/${SLUG}`);

/** A site that is served, and that may be fetched. */
let served = '';
let live: Server;
let host: string;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lettera-stock-'));
  live = createServer((asked, response) => {
    response.setHeader('Content-Type', asked.url === '/log.css' ? 'text/css' : 'text/html');
    response.end(asked.url === '/log.css' ? 'p { font-size: 17px }' : served);
  });
  await new Promise<void>((resolve) => live.listen(0, '127.0.0.1', resolve));
  host = `127.0.0.1:${(live.address() as AddressInfo).port}`;
  lettera = await startLettera(undefined, { env: { LETTERA_FETCH_HOSTS: host } });
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
  live.closeAllConnections();
  live.close();
  rmSync(folder, { recursive: true });
});
beforeEach(async () => {
  await page?.close();
  await fetch(`${lettera.url}/api/v1/projects/${SLUG}/stock`, { method: 'DELETE' });
  ({ page, errors } = await newPage(browser));
  await page.goto(`${lettera.url}/p/${SLUG}/stock`);
  await page.waitForSelector('section.ways');
});

const bytes = (file: string | Buffer): Uint8Array =>
  typeof file === 'string' ? new TextEncoder().encode(file) : new Uint8Array(file);

/** Brings a site as a zip. */
async function bring(files: SiteFiles): Promise<void> {
  const path = join(folder, 'site.zip');
  const packed = Object.entries(files).map(([name, file]) => [name, bytes(file)] as const);
  writeFileSync(path, zipSync(Object.fromEntries(packed)));
  const input = (await page.waitForSelector(
    'input[aria-label="Files of pages"]',
  )) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
}
const read = () => page.waitForSelector('table.shares');
const site = (name: string): SiteFiles => WRITTEN[name]?.() ?? {};
const rows = (selector: string) =>
  page.$$eval(`${selector} tbody tr`, (all) =>
    all.map((row) =>
      [...row.children].map((cell) => cell.textContent?.replace(/\s+/g, ' ').trim() ?? ''),
    ),
  );
const summary = () => page.$eval('main', (node) => node.textContent ?? '');

test('a saved page is told by what sets its text, pointed at, and leaves the project as it was', async () => {
  const { revision, document } = await project();
  await bring(site('a long read in two scripts'));
  await read();
  const families = await rows('table.shares');
  expect(families.map(([name]) => name)).toEqual(['Literata', 'Onest', 'Litterata', 'Lora']);
  expect(families[1]?.join(' ')).toMatch(/Declared, and not here/);
  expect(families[2]?.join(' ')).toMatch(/nothing answers to the name.*Was Literata meant/);
  expect(families[3]?.join(' ')).toMatch(/no text asks for it/);
  expect(await violationsOn(page, 'main')).toEqual([]);

  // The page is shown as its own style sheets have it.
  const frame = await proofFrame(page);
  expect(await frame.$eval('h1', (node) => getComputedStyle(node).fontFamily)).toBe(
    'Onest, sans-serif',
  );
  await press(page, 'Sizes');
  const sizes = await rows('table.shares');
  const [main] = [...sizes].sort((a, b) => parseFloat(b[1] ?? '') - parseFloat(a[1] ?? ''));
  expect(main?.[0]).toBe('17 px');
  await page.locator('button[aria-label="Show on the page: 1 text of 41.6 px"]').click();
  await eventually(
    () => frame.$$eval('[data-lettera-out]', (all) => all.map((one) => one.tagName).join()),
    (tags) => tags === 'H1',
  );

  await clickInProof(page, frame, 'figcaption');
  const here = await page.waitForSelector('section.here');
  const said = await here?.evaluate((node) => node.textContent?.replace(/\s+/g, ' ') ?? '');
  expect(said).toContain('figcaption in type/read.css, line 8, font-size: 0.85rem');
  expect(said).toContain('from body around it: body in type/read.css, line 6, font:');

  await press(page, 'Values');
  await page.waitForSelector('.swatch');
  await press(page, 'Conflicts');
  await page.waitForSelector('.fights');
  expect(await violationsOn(page, 'main')).toEqual([]);
  expect((await project()).revision).toBe(revision);
  expect((await project()).document).toEqual(document);

  // A family that the page brought is added, under the name that the site knows it by.
  await press(page, 'Families');
  await page.locator('button[aria-label="Use in this project: Lora"]').click();
  await page.waitForSelector('::-p-text(say of themselves “installable”)');
  expect(await violationsOn(page, 'main')).toEqual([]);
  await press(page, 'Add 1 file');
  await page.waitForSelector('::-p-text(1 face added to the case)');
  const taken = await eventually(project, (one) => one.revision > revision);
  expect(Object.values(taken.document.case).map(({ name }) => name)).toContain('Lora');
  await press(page, 'Done');

  // One whose files stay elsewhere is referred to, and a look-alike of the case stands in.
  await page.locator('button[aria-label="Use in this project: Onest"]').click();
  await press(page, 'Refer to it');
  await fill(page, 'Address of its style sheet', 'https://fonts.tarnholm.example/onest.css');
  const referred = await eventually(project, (one) => one.revision > taken.revision);
  expect(Object.values(referred.document.case)).toContainEqual(
    expect.objectContaining({ name: 'Onest', source: 'reference' }),
  );
  await page.waitForSelector('form.reference', { hidden: true });

  // What was looked at goes with the stage, and is there when it is come back to.
  await page.keyboard.press('g');
  await page.keyboard.press('s');
  await page.waitForSelector('path.curve');
  expect(await page.$eval('.docket', (node) => node.textContent)).toContain('1 page, ');
  await page.keyboard.press('g');
  await page.keyboard.press('k');
  await read();
  // And when the project is opened again, with when it was.
  await page.reload();
  await read();
  expect(await summary()).toMatch(/, brought on \d+ \w+/);
  await unfold(page, 'This site');
  await press(page, 'Leave this site', '.l-fold');
  await page.waitForSelector('section.ways');
  await page.reload();
  await page.waitForSelector('section.ways');
  expect(errors).toEqual([]);
}, 120_000);

/** Size, weight and slant of every text that is seen, at both widths. */
async function typeAt(
  visit: Page,
  address: string,
): Promise<(readonly [number, number, string])[][]> {
  await visit.goto(address);
  const found = [];
  for (const width of [360, 1280]) {
    await visit.setViewport({ width, height: 800 });
    found.push(
      await visit.evaluate(() =>
        [...document.body.querySelectorAll('*')]
          .filter((node) =>
            [...node.childNodes].some((one) => one.nodeName === '#text' && one.nodeValue?.trim()),
          )
          .filter((node) => !node.closest('script, style, noscript') && node.checkVisibility())
          .map((node) => {
            const { fontSize, fontWeight, fontStyle } = getComputedStyle(node);
            return [parseFloat(fontSize), Number(fontWeight), fontStyle] as const;
          }),
      ),
    );
  }
  const [narrow = [], wide = []] = found;
  expect(narrow.length).toBe(wide.length);
  return narrow.map((one, i) => [one, wide[i] ?? one]);
}
const isMoved = (
  before: readonly (readonly [number, number, string])[],
  after: readonly (readonly [number, number, string])[],
): boolean =>
  after.some(([size, weight, slant], i) => {
    const [was = 0, wasWeight = 0, wasSlant = ''] = before[i] ?? [];
    return Math.abs(size - was) >= 0.1 || Math.abs(weight - wasWeight) >= 10 || slant !== wasSlant;
  });

test.each([
  ['fluid, with containers', '.lead'],
  ['forty odd sizes', 'p'],
  ['a long read in two scripts', 'p:not(.by)'],
])(
  'a site folded and put back onto its own page with its own style sheets: %s',
  async (name, main) => {
    const before = await project();
    const files = site(name);
    await bring(files);
    await read();
    await press(page, 'Fold');
    await page.waitForSelector('section.fold');
    expect(await violationsOn(page, 'main')).toEqual([]);
    const told = await eventually(
      () => page.$eval('section.fold .moves', (node) => node.textContent ?? ''),
      (text) => text.includes('as laid out on 1 page'),
    );
    const frame = await proofFrame(page);
    const asItIs = await frame.$eval(main, (node) => getComputedStyle(node).fontSize);
    await page.keyboard.press('b');
    await page.waitForSelector('section.proof iframe.ready[src*="layer=site"]');
    const folded = await proofFrame(page);
    const within = await folded.$eval(main, (node) => getComputedStyle(node).fontSize);
    expect(Math.abs(parseFloat(within) - parseFloat(asItIs))).toBeLessThanOrEqual(1.001);
    await page.keyboard.press('b');
    await page.waitForSelector('section.proof iframe.ready:not([src*="layer=site"])');
    // Nothing is stored until it is taken.
    expect((await project()).revision).toBe(before.revision);

    await press(page, 'Apply what is ticked');
    await page.waitForSelector('::-p-text(Applied as one change)');
    const after = await eventually(project, ({ revision }) => revision > before.revision);
    expect(after.revision).toBe(before.revision + 1);
    expect(Object.keys(after.document.pages ?? {})).toHaveLength(1);
    await press(page, 'Follows');
    await page.waitForSelector('section.drift');
    expect(await violationsOn(page, 'main')).toEqual([]);

    // On the page, with the site's own style sheets, all texts follow.
    await aboutPage(page);
    await page.keyboard.press('g');
    await page.keyboard.press('t');
    const [slug = ''] = Object.keys(after.document.pages ?? {});
    await page.waitForSelector(`section.proof iframe.ready[src*="/${slug}?"]`);
    await press(page, 'Who sets its text', 'section.proof [role="tablist"]');
    const account = await eventually(
      () => page.$eval('section.proof aside', (node) => node.textContent ?? ''),
      (text) => /(\d+) texts at [\d ,]+px: (\d+) follow/.test(text),
    );
    const [, texts, following] = /(\d+) texts at [\d ,]+px: (\d+) follow/.exec(account) ?? [];
    expect(`${following} of ${texts}`).toBe(`${texts} of ${texts}`);

    // And where the site itself links what is delivered.
    const [path = '', html = ''] = Object.entries(files)[0] ?? [];
    const up = '../'.repeat(path.split('/').length - 1);
    const own = Object.fromEntries(
      Object.entries(files).map(([file, content]) => [file, bytes(content)]),
    );
    const linked = String(html)
      .replace(
        /<link rel="stylesheet" href="([^"]+)">/,
        (_all, href: string) =>
          `<style>@import "${href}" layer(site);</style><link rel="stylesheet" href="${up}lettera.css">`,
      )
      .replaceAll('href="/', 'href="#');
    const server = await serveSite(lettera, SLUG, '', { ...own, [path]: bytes(linked) });
    try {
      const visit = await browser.newPage();
      await visit.setViewport({ width: 1280, height: 800 });
      await visit.goto(server.url + path);
      const delivered = await visit.$eval(main, (node) => getComputedStyle(node).fontSize);
      const proofed = await eventually(
        async () => {
          const now = await proofFrame(page);
          return now.$eval(main, (node) => getComputedStyle(node).fontSize);
        },
        (size) => Math.abs(parseFloat(size) - parseFloat(delivered)) < 0.02,
      );
      expect(proofed).toBeTruthy();
      expect(
        await visit.$eval(main, (node) => getComputedStyle(node).getPropertyValue('--size-base')),
      ).not.toBe('');
      // What was said to move is what moves where the site links the files.
      const after = await typeAt(visit, server.url + path);
      const original = await serveSite(lettera, SLUG, '', own);
      const before = await typeAt(visit, original.url + path);
      await original.close();
      await visit.close();
      expect(after.length).toBe(before.length);
      const moved = after.filter((one, i) => isMoved(before[i] ?? [], one)).length;
      expect(told).toMatch(
        moved === 0 ? /^nothing moves/ : new RegExp(`^${moved} of ${after.length} `),
      );
    } finally {
      await server.close();
    }
    await press(page, 'Undo');
    const undone = await eventually(project, ({ revision }) => revision > after.revision);
    expect(undone.document).toEqual(before.document);
    expect(errors).toEqual([]);
  },
  180_000,
);

/** A font that says of itself that it may not be embedded. OpenType 1.9, OS/2 “fsType”. */
function restricted(): Buffer {
  const font = readFileSync('core/font/golden/tarnholm-slab.otf');
  const tables = font.readUInt16BE(4);
  for (let i = 0; i < tables; i++) {
    const entry = 12 + i * 16;
    if (font.toString('latin1', entry, entry + 4) === 'OS/2') {
      font.writeUInt16BE(2, font.readUInt32BE(entry + 8) + 8);
    }
  }
  return font;
}

test('files that say of themselves that they may not be hosted are not offered to be', async () => {
  const { revision } = await project();
  await bring({
    'index.html':
      '<!doctype html><title>Slab</title><style>@font-face { font-family: Slab; src: url(slab.otf) } p { font-family: Slab }</style><p>The light on Tarnholm burned all night.</p>',
    'slab.otf': restricted(),
  });
  await read();
  await page.locator('button[aria-label="Use in this project: Slab"]').click();
  await page.waitForSelector('::-p-text(say of themselves “restricted: no embedding”)');
  const key = await page.waitForSelector('::-p-aria(Add 1 file)');
  expect(await key?.evaluate((node) => node.getAttribute('aria-disabled'))).toBe('true');
  await key?.click();
  expect((await project()).revision).toBe(revision);
}, 60_000);

test('a fold is changed before it is taken', async () => {
  const before = await project();
  await bring(site('forty odd sizes'));
  await read();
  await press(page, 'Fold');
  await page.waitForSelector('section.fold[aria-busy="false"]');
  const ratio = () =>
    page.$eval(
      'input[aria-label="Ratio at 1280 px"]',
      (field) => (field as HTMLInputElement).value,
    );
  const found = await ratio();
  await fill(page, 'Ratio at 1280 px', '1.3');
  await fill(page, 'Base at 360 px', '15');
  await fill(page, 'Name of the voice for Georgia', 'Log');
  await fill(page, 'Name of the style Body', 'Running text');
  await eventually(
    () => page.$$eval('section.fold th[scope="row"]', (all) => all.map((one) => one.textContent)),
    (steps) => steps.includes('base'),
  );
  await page.waitForSelector('section.fold[aria-busy="false"]');
  await press(page, 'Apply what is ticked');
  const after = await eventually(project, ({ revision }) => revision > before.revision);
  expect(after.document.scale).toMatchObject({ small: { base: 15 }, large: { ratio: 1.3 } });
  expect(Object.values(after.document.voices).map(({ name }) => name)).toContain('Log');
  expect(after.document.styles['body']?.name).toBe('Running text');
  await press(page, 'Undo');
  const undone = await eventually(project, ({ revision }) => revision > after.revision);
  expect(undone.document).toEqual(before.document);
  // Back to the scale that was found.
  await press(page, 'The scale as found');
  expect(await eventually(ratio, (value) => value === found)).toBe(found);
  expect(errors).toEqual([]);
}, 90_000);

test('what is no page, or has no text, is said, and nothing is lost', async () => {
  await bring({ 'notes.txt': 'No page.' });
  await page.waitForSelector('::-p-text(There is no page among them)');
  await bring({ 'index.html': '<!doctype html><title>Empty</title><body><img src="a.png">' });
  await page.waitForSelector('::-p-text(There is no text on this page that anybody sees)');
  expect(await summary()).not.toContain('NaN');
  await unfold(page, 'This site');
  await press(page, 'Leave this site', '.l-fold');
  await bring(site('in px'));
  await read();
  expect(await summary()).toContain('read at 360 and 1280 px');
}, 60_000);

test('of a page that is looked at nothing runs, and nothing is asked for elsewhere', async () => {
  const heard: string[] = [];
  const out = createServer((asked, response) => {
    heard.push(asked.url ?? '');
    response.end();
  });
  await new Promise<void>((resolve) => out.listen(0, '127.0.0.1', resolve));
  const dialogs: string[] = [];
  const elsewhere: string[] = [];
  page.on('dialog', (dialog) => {
    dialogs.push(dialog.message());
    void dialog.dismiss();
  });
  page.on('request', (request) => {
    const asked = request.url();
    if (!asked.startsWith(lettera.url) && !/^(data|blob):/.test(asked)) elsewhere.push(asked);
  });
  try {
    const all = attacks(`http://127.0.0.1:${(out.address() as AddressInfo).port}`);
    const body = `<h1>All ways</h1><p>Fog on the water.</p>${all.join('\n')}`;
    const reading = {
      format: 'lettera-reading',
      version: 1,
      title: 'Read',
      html: `<html><head></head><body>${body}</body></html>`,
      sheets: [{ name: 'a.css', media: '', css: all.join('\n') }],
      unread: [],
      faces: [],
      views: [],
    };
    await bring({
      'saved.html': `<!doctype html><title>Saved</title>${body}`,
      'read.reading.json': JSON.stringify(reading),
    });
    await read();
    expect(await page.$eval('main', (node) => node.textContent)).toContain('2 pages, ');
    await press(page, 'Fold');
    await page.waitForSelector('section.fold[aria-busy="false"]');
    await page.keyboard.press('b');
    await page.waitForSelector('section.proof iframe.ready[src*="layer=site"]');
    expect(await page.evaluate(() => 'ran' in window)).toBe(false);
    expect([heard, elsewhere, dialogs]).toEqual([[], [], []]);
  } finally {
    out.close();
  }
}, 60_000);

test('the reader is offered in full, and its file is read as the page', async () => {
  const script = await (await fetch(`${lettera.url}/reader.js`)).text();
  await press(page, 'Show all of it');
  expect(await page.$eval('pre[aria-label="The reader"]', (node) => node.textContent)).toBe(script);
  expect(await page.$eval('a[href^="javascript:"]', (node) => node.getAttribute('href'))).toBe(
    `javascript:${encodeURIComponent(script)}`,
  );
  const text = (size: number) => ({
    words: 'Fog',
    family: 'Georgia, serif',
    size,
    weight: 400,
    style: 'normal',
    lineHeight: null,
    letterSpacing: 0,
    letterCase: 'none',
    colour: 'rgb(0, 0, 0)',
  });
  const path = join(folder, 'tarnholm.example.reading.json');
  writeFileSync(
    path,
    JSON.stringify({
      format: 'lettera-reading',
      version: 1,
      made: '2026-11-27T00:00:00.000Z',
      address: 'https://tarnholm.example/',
      title: 'The log',
      quirks: false,
      html: '<html lang="en"><head></head><body><p>Fog</p></body></html>',
      sheets: [{ name: 'log.css', media: '', css: 'p { font-family: Georgia, serif }' }],
      unread: [],
      faces: [],
      views: [
        { width: 390, height: 800, texts: [text(17)] },
        { width: 1440, height: 800, texts: [text(21)] },
      ],
    }),
  );
  const input = (await page.$(
    'input[aria-label="Files of pages"]',
  )) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
  await read();
  expect(await summary()).toContain('read at 390 and 1440 px');
  await press(page, 'Sizes');
  expect((await rows('table.shares')).map(([size]) => size)).toEqual(['21 px']);
  await press(page, 'at 390 px');
  await eventually(
    () => rows('table.shares'),
    (all) => all[0]?.[0] === '17 px',
  );
  await unfold(page, 'This site');
  await press(page, 'Leave this site', '.l-fold');
  writeFileSync(path, '{"format": "lettera-reading", "version": 2}');
  const again = (await page.waitForSelector(
    'input[aria-label="Files of pages"]',
  )) as ElementHandle<HTMLInputElement>;
  await again.uploadFile(path);
  await page.waitForSelector('::-p-text(made by a newer reader)');
}, 60_000);

test('an address is fetched on a word, and one that leads inside is refused', async () => {
  await page.locator('input[aria-label="Address of a page"]').fill('http://127.0.0.1:1/');
  await press(page, 'Fetch it');
  await page.waitForSelector('::-p-text(this machine or one of its neighbours)');
  expect(await page.$('table.shares')).toBeNull();
  // Where it is allowed for the project it is asked, until that is withdrawn.
  await page.locator('::-p-aria(Allowed by[role="textbox"])').fill('Ása');
  await press(page, 'Allow 127.0.0.1:1 and fetch');
  await page.waitForSelector('::-p-text(127.0.0.1:1 does not answer)');
  await page.waitForSelector('::-p-text(127.0.0.1:1, allowed by Ása)');
  await press(page, 'Withdraw 127.0.0.1:1');
  await page.waitForSelector('::-p-text(127.0.0.1:1, allowed by Ása)', { hidden: true });

  served = '<!doctype html><title>The log</title><link rel=stylesheet href=log.css><p>Fog</p>';
  await page.locator('input[aria-label="Address of a page"]').fill(`http://${host}/`);
  await press(page, 'Fetch it');
  await read();
  expect(await summary()).toContain('1 page, 1 text, read at');
  expect(errors.filter((error) => !/403|422|Failed to load/.test(error))).toEqual([]);

  // It is fetched again as it is then, also when the project is opened another time.
  served += '<p>Ebb</p>';
  await unfold(page, 'This site');
  await press(page, 'Fetch again', '.l-fold');
  await eventually(summary, (text) => text.includes('1 page, 2 texts, read at'));
  served += '<p>Flood</p>';
  await page.reload();
  await read();
  expect(await summary()).toContain('1 page, 2 texts, read at');
  await unfold(page, 'This site');
  await press(page, 'Fetch again', '.l-fold');
  await eventually(summary, (text) => text.includes('1 page, 3 texts, read at'));
  // One that does not come leaves what is there.
  live.closeAllConnections();
  live.close();
  await unfold(page, 'This site');
  await press(page, 'Fetch again', '.l-fold');
  await page.waitForSelector('::-p-text(does not answer)');
  expect(await summary()).toContain('1 page, 3 texts, read at');
}, 90_000);

test('reading can be stopped, and gone on with', async () => {
  const many = Array.from({ length: 20_000 }, (_, i) => `<p class="c${i % 90}">The light ${i}</p>`);
  await bring({ 'index.html': `<!doctype html><title>Long</title><body>${many.join('')}` });
  // Whoever stops it does not wait for the line to come to rest.
  await (
    await page.waitForSelector('.l-progress-line button')
  )?.evaluate((node) => (node as HTMLElement).click());
  await page.waitForSelector('::-p-text(Reading was stopped)');
  expect(await page.$('table.shares')).toBeNull();
  await press(page, 'Read it after all');
  await read();
  expect(await summary()).toContain('20000 texts');
}, 120_000);
