import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import type { Browser, Page } from 'puppeteer-core';
import type { Project } from '@lettera/server';
import {
  clickInProof,
  computed,
  eventually,
  fill,
  fontsUsed,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  setProofWidth,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';

/** Chromium names the font file's own family, which goes on with its optical size. */
const BRICOLAGE: unknown = expect.stringMatching(/^Bricolage Grotesque/);

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page, errors } = await newPage(browser));
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

const project = async (slug = 'tarnholm-light'): Promise<Project> =>
  (await (await fetch(`${lettera.url}/api/v1/projects/${slug}`)).json()) as Project;

const go = (stage: string): Promise<void> =>
  page.click(`nav[aria-label="Stages"] a[href$="/${stage.toLowerCase()}"]`);

const saved = () =>
  eventually(
    () => page.$eval('.docket [role="status"]', (node) => node.textContent?.trim()),
    (text) => text === 'Saved',
  );

const proofed = async (selector: string, property: string): Promise<string> => {
  const values = await computed(await proofFrame(page), selector, [property]);
  return values[property] ?? '';
};

/** Chooses an option of the list that a control opens. */
async function choose(control: string, option: string, within: string): Promise<void> {
  const list = await page.waitForSelector(`${within} [aria-label="${control}"]`);
  await list?.click();
  const choice = await page.waitForSelector(`::-p-aria(${option}[role="option"])`);
  await choice?.click();
}

/** The whole job is longer than what one test takes elsewhere, ms. */
const WHOLE_JOB = 600_000;

test(
  'a newcomer goes through the whole job, and back',
  async () => {
    // The printed address leads to the sample project, proofed in its own faces.
    await page.goto(lettera.url);
    await page.waitForFunction(() => location.pathname === '/p/tarnholm-light/faces');
    await proofFrame(page);
    expect(await fontsUsed(page, 'h1', true)).toEqual([BRICOLAGE]);
    expect(await fontsUsed(page, '.lead', true)).toEqual(['Literata']);
    const start = await project();

    // 1. Faces: every family in the project's words, by class, one taken in with the weights wanted.
    expect(await page.$$('li button.row')).toHaveLength(2);
    await press(page, 'The foundry’s families');
    await page.type('#allowed-by', 'Ása');
    await press(page, 'Allow the foundry');
    const counted = () => page.$eval('.found', (node) => node.textContent?.trim()).catch(() => '');
    await eventually(counted, (text) => text === '77 families');
    const inFace = await page.waitForSelector('li .specimen.shown');
    const words = await inFace?.evaluate((node) => node.textContent);
    expect(words).toBe(start.document.words);
    await press(page, 'Filter');
    await press(page, 'Class', '.l-fold');
    await press(page, 'sans-serif', '[aria-label="Class"]');
    const about = await page.$$eval('li .about', (nodes) => nodes.map((node) => node.textContent));
    expect(about.length).toBeGreaterThan(3);
    expect(about.every((text) => text?.trim().startsWith('sans-serif'))).toBe(true);
    await page.type('[aria-label="Find a family by name"]', 'barlow condensed');
    await eventually(counted, (text) => text === '1 of 77 families');
    await page.$eval('li button.row', (node) => (node as HTMLElement).click());
    await page.waitForSelector('.take');
    for (const weight of ['400', '500', '600']) {
      await page.$eval(`.take fieldset:first-child [aria-label="${weight} upright"]`, (node) =>
        (node as HTMLElement).click(),
      );
    }
    await press(page, 'Add to the case');
    await eventually(
      () => project().then(({ document }) => Object.keys(document.case)),
      (keys) => keys.includes('barlow-condensed'),
    );
    const taken = (await project()).document.case['barlow-condensed'];
    expect(taken?.faces.map(({ weightMin }) => weightMin)).toEqual([500, 600, 700]);

    // 2. Pair: pointing shows it on the proof, a click takes it.
    await go('Pair');
    await press(page, 'a heading', '[aria-label="What is looked for"]');
    await press(page, 'Filter');
    await press(page, 'in the case', '.l-fold [aria-label="Wanted"]');
    await page.keyboard.press('Escape');
    const partner = await page.waitForSelector(
      '.partner ::-p-aria(Barlow Condensed[role="button"])',
    );
    await partner?.hover();
    await eventually(
      () => fontsUsed(page, 'h1', true),
      ([first]) => first === 'Barlow Condensed',
    );
    expect((await project()).document.voices['heading']?.family).toBe('bricolage-grotesque');
    await partner?.click();
    await eventually(
      project,
      ({ document }) => document.voices['heading']?.family === 'barlow-condensed',
    );
    await saved();
    // Headings ask for 680, which is not on offer: each style got the nearest, and it was said.
    expect(await page.$eval('.notice', (node) => node.textContent)).toMatch(/680 → 700/);

    // 3. Scale: base, ratio and widths; steps, curves and proof follow.
    await go('Scale');
    await page.waitForSelector('path.curve');
    const curve = () => page.$eval('path.curve:nth-of-type(8)', (node) => node.getAttribute('d'));
    const before = { size: await proofed('h1', 'font-size'), curve: await curve() };
    const large = '.ends fieldset:nth-child(2)';
    await fill(page, 'Base', '20px', large);
    await fill(page, 'Ratio', '4/3', large);
    await fill(page, 'Viewport', '1200', large);
    await fill(page, 'Viewport', '400', '.ends fieldset:nth-child(1)');
    await saved();
    const expected = 20 * (4 / 3) ** 5;
    expect(parseFloat(await proofed('h1', 'font-size'))).toBeCloseTo(expected, 1);
    expect(await proofed('h1', 'font-size')).not.toBe(before.size);
    expect(await curve()).not.toBe(before.curve);
    // A ratio out of bounds is refused with the bounds, and nothing changes.
    await fill(page, 'Ratio', '0', large);
    expect(await page.$eval(`${large} [role="alert"]`, (node) => node.textContent)).toContain(
      'from 1 to 3',
    );
    await page.keyboard.press('Escape');
    expect((await project()).document.scale.large.ratio).toBeCloseTo(4 / 3, 10);

    // 4. Fallbacks: a stack with a fitted fallback face, and the proof in it.
    await go('Fallbacks');
    await press(page, 'Heading', '[aria-label="Voice"]');
    const entries = () =>
      page.$$eval('ol[aria-label="Stack of Heading"] .entry', (nodes) =>
        nodes.map((node) => node.textContent),
      );
    // Once the local fonts have been fitted there are fallback faces for every platform of the audience.
    const stack = await eventually(entries, (names) => names.length >= 6);
    expect(stack[0]).toBe('Barlow Condensed');
    expect(stack.slice(1, -3)).toEqual(
      expect.arrayContaining(['Arial for Barlow Condensed', 'Roboto for Barlow Condensed']),
    );
    expect(stack.at(-1)).toBe('sans-serif');
    const boxInWeb = await proofed('h1', 'height');
    await press(page, 'Show the fallback on the page');
    // Arial where the machine has it, else the open font of the same widths.
    await eventually(
      () => fontsUsed(page, 'h1', true),
      ([first]) => ['Arial', 'Liberation Sans', 'Arimo', 'Roboto'].includes(first ?? ''),
    );
    // The line box stays what the web face makes it: as many lines, of the same height.
    expect(await proofed('h1', 'height')).toBe(boxInWeb);
    await page.keyboard.press('f');
    await eventually(
      () => fontsUsed(page, 'h1', true),
      ([first]) => first === 'Barlow Condensed',
    );

    // 5. Styles: text clicked in the proof, each property changed, what is set and what follows.
    await go('Styles');
    const frame = await proofFrame(page);
    await clickInProof(page, frame, 'h1');
    const row = 'tr[data-style="heading-1"].selected';
    await page.waitForSelector(row);
    expect(await frame.$$('[data-lettera-style]')).toHaveLength(1);
    const cells = await page.$$eval(`${row} td:not(.follows)`, (nodes) =>
      nodes.map((node) => (node.classList.contains('set') ? 'set' : 'follows')),
    );
    expect(cells).toEqual([
      'follows',
      'follows',
      'follows',
      'set',
      'set',
      'set',
      'follows',
      'follows',
    ]);
    const openCell = (column: number) => page.click(`${row} [data-column="${column}"]`);
    await openCell(0);
    await choose('Voice', 'Text', row);
    await openCell(1);
    await fill(page, 'Weight', '600', row);
    await openCell(3);
    await choose('Size', 'up-4 · 35.3 → 63.2', row);
    await openCell(4);
    await fill(page, 'Line height', '1.2', row);
    await openCell(5);
    await fill(page, 'Letter spacing', '0.05', row);
    await openCell(6);
    await choose('Capitals', 'uppercase', row);
    await openCell(7);
    await choose('Colour', 'Lantern red', row);
    await saved();
    const shown = await computed(frame, 'h1', [
      'font-family',
      'font-weight',
      'font-size',
      'line-height',
      'letter-spacing',
      'text-transform',
      'color',
    ]);
    const size = 20 * (4 / 3) ** 4;
    expect(shown['font-family']).toMatch(/^Literata,/);
    expect(shown).toMatchObject({
      'font-weight': '600',
      'text-transform': 'uppercase',
      color: 'rgb(156, 47, 31)',
    });
    expect(parseFloat(shown['font-size'] ?? '')).toBeCloseTo(size, 1);
    expect(parseFloat(shown['line-height'] ?? '')).toBeCloseTo(size * 1.2, 0);
    expect(parseFloat(shown['letter-spacing'] ?? '')).toBeCloseTo(size * 0.05, 1);
    await openCell(1);
    const again = await page.waitForSelector(`${row} [data-column="1"] .follow`);
    await again?.click();
    await saved();
    expect(await proofed('h1', 'font-weight')).toBe('700');

    // 6. Deliver: the files with their bytes, the code, the bundle, its specimen from disk.
    await go('Deliver');
    await press(page, 'lettera.css[role="button"]', 'table');
    await page.waitForSelector('td.code pre');
    const listed = await page.$$eval('table tbody tr:not(:has(td.code))', (rows) =>
      rows.map((node) => [
        node.querySelector('td')?.textContent?.trim() ?? '',
        Number(node.querySelector('.figure')?.textContent?.replaceAll(',', '')),
      ]),
    );
    const href = await page.$eval(
      'a[href$="bundle.zip"]',
      (node) => (node as HTMLAnchorElement).href,
    );
    const files = unzipSync(new Uint8Array(await (await fetch(href)).arrayBuffer()));
    expect(Object.fromEntries(listed)).toEqual(
      Object.fromEntries(Object.entries(files).map(([path, bytes]) => [path, bytes.length])),
    );
    expect(await page.$eval('td.code pre', (node) => node.textContent?.trim())).toBe(
      new TextDecoder().decode(files['lettera.css']).trim(),
    );
    const folder = mkdtempSync(join(tmpdir(), 'lettera-bundle-'));
    for (const [path, bytes] of Object.entries(files)) {
      mkdirSync(dirname(join(folder, path)), { recursive: true });
      writeFileSync(join(folder, path), bytes);
    }
    const { page: specimen } = await newPage(browser);
    await specimen.goto(pathToFileURL(join(folder, 'specimen.html')).href);
    await specimen.evaluate(() => document.fonts.ready.then(() => undefined));
    expect(await fontsUsed(specimen, 'h1', false)).toEqual(['Literata']);
    expect(await fontsUsed(specimen, 'h2', false)).toEqual(['Barlow Condensed']);
    const inSpecimen = await computed(specimen, 'h1', Object.keys(shown));
    expect(inSpecimen).toEqual({ ...shown, 'font-weight': '700' });
    await specimen.close();

    // 7. Undo all of it, redo it, reload, and start a second project.
    const end = await project();
    let current = end;
    for (let steps = 0; current.undo && steps < 60; steps++) {
      const { revision } = current;
      await press(page, 'Undo', '.docket');
      current = await eventually(project, (next) => next.revision > revision);
      await saved();
    }
    expect(current.undo).toBeNull();
    expect(current.document).toEqual(start.document);
    await eventually(
      () => fontsUsed(page, 'h1', true),
      ([first]) => first?.startsWith('Bricolage Grotesque') === true,
    );
    for (let steps = 0; current.redo && steps < 60; steps++) {
      const { revision } = current;
      await press(page, 'Redo', '.docket');
      current = await eventually(project, (next) => next.revision > revision);
      await saved();
    }
    expect(current.document).toEqual(end.document);
    await page.reload();
    await proofFrame(page);
    expect(await page.evaluate(() => location.pathname)).toBe('/p/tarnholm-light/deliver');
    await eventually(
      () => fontsUsed(page, 'h2', true),
      ([first]) => first === 'Barlow Condensed',
    );
    await press(page, '‹ Projects');
    await fill(page, 'Start a project', 'Skerry Ferries');
    await page.waitForFunction(() => location.pathname === '/p/skerry-ferries/faces');
    // A new project offers the ways to begin, each a click, and neither tools nor marks before that.
    await page.waitForSelector('.ways');
    expect(await page.$$eval('.ways h3', (nodes) => nodes.map((node) => node.textContent))).toEqual(
      [
        'With families',
        'With a ready pair',
        'With font files of your own',
        'With a site that exists',
      ],
    );
    expect(await page.$$('.tool-row, .columns, section.proof')).toEqual([]);
    await press(page, 'See starting points', '.ways');
    await page.waitForSelector('#allowed-by');
    await page.type('#allowed-by', 'Ása');
    await press(page, 'Allow the foundry');
    await page.waitForSelector('.points li:nth-child(12)');
    expect(page.url()).toContain('/pair?view=points');
    await proofFrame(page);
    for (const width of ['phone', 'tablet', 'laptop'] as const) {
      await setProofWidth(page, width);
      await eventually(
        () => page.$eval('.ledger', (node) => node.textContent ?? ''),
        (text) => text.includes('shift none') && text.includes('0 marks'),
      );
    }
    expect((await project('skerry-ferries')).document.case).toEqual({});
    expect(errors).toEqual([]);
  },
  WHOLE_JOB,
);
