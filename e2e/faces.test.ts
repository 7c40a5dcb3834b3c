import { join, resolve } from 'node:path';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import type { FamilyMeasures } from '@lettera/core/measure';
import type { LibraryFamily } from '@lettera/core/document';
import type { Project } from '@lettera/server';
import { renamed } from '../core/font/testing/sfnt';
import {
  computed,
  eventually,
  fill,
  fontsUsed,
  launchBrowser,
  newPage,
  press,
  proofFrame,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, measuredProject } from './project';

/** Families that the foundry has, and how many of them are drawn for Latin: those that are lined up at first. */
const FAMILIES = 400;
let listed = 0;
const SLAB = resolve('core/font/golden/tarnholm-slab.otf');
const HAIRLINE = resolve('core/font/golden/tarnholm-hairline.otf');

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let slug: string;
let count = 0;

const api = <T>(path: string) => ask<T>(lettera, path);
const project = () => api<Project>(`/projects/${slug}`);

beforeAll(async () => {
  lettera = await startLettera(undefined, { families: FAMILIES });
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** A project of its own with the foundry allowed, the line-up open and measured. */
beforeEach(async () => {
  slug = await measuredProject(lettera, `Faces ${++count}`);
  const library = await api<LibraryFamily[]>(`/projects/${slug}/foundry/families`);
  listed = library.filter(({ drawnFor }) => drawnFor === 'latin').length;
  expect(library).toHaveLength(FAMILIES);
  await page?.close();
  ({ page, errors } = await newPage(browser));
  await page.goto(`${lettera.url}/p/${slug}/faces`);
  await page.waitForSelector('li .specimen.shown');
  await lead(`${listed} families`);
});

const lead = (expected: string) =>
  eventually(
    () => page.$eval('.found', (node) => node.textContent?.trim()),
    (text) => text === expected,
  );
const names = () =>
  page.$$eval('li .name', (nodes) => nodes.map((node) => node.textContent?.trim() ?? ''));
const find = async (name: string) => {
  await page.click('[aria-label="Find a family by name"]', { clickCount: 3 });
  await page.type('[aria-label="Find a family by name"]', name);
};
/** Opens the editor of a part of the filter. */
async function narrowBy(part: string): Promise<void> {
  // What has no room in the row stands behind a menu of its own, before the filter.
  const menus = await page.$$('.tool-row [aria-haspopup="dialog"]');
  await menus.at(-1)?.click();
  await press(page, part, '.l-fold');
  await page.waitForSelector('.l-fold', { hidden: true });
}
/** Opens the row of a family that its name finds. */
async function openRow(name: string): Promise<void> {
  await find(name);
  await eventually(names, ([first]) => first === name);
  await page.$eval('li button.row', (node) => (node as HTMLElement).click());
  await page.waitForSelector('.panel h3');
}
const bring = async (...files: string[]) => {
  const input = await page.waitForSelector('input[aria-label="Font files"]');
  await (input as unknown as { uploadFile(...paths: string[]): Promise<void> }).uploadFile(
    ...files,
  );
};

describe('the line-up', () => {
  test('shows hundreds of families, of which only those near the window are there', async () => {
    const there = await page.$$eval('li.place', (nodes) => nodes.length);
    expect(there).toBeLessThan(40);
    const libraryFaces = () =>
      page.evaluate(
        () => [...document.fonts].filter(({ family }) => family.includes('library ')).length,
      );
    const held = await libraryFaces();
    await page.$eval('.workbench', (node) => node.scrollTo(0, node.scrollHeight));
    await eventually(names, (list) => list.some((name) => name.startsWith('Zilla Slab')));
    await page.waitForSelector('li .specimen.shown');
    // What was scrolled past has been let go.
    expect(await libraryFaces()).toBeLessThan(held + 60);
    expect(errors).toEqual([]);
  });

  test('sorts by a measured column, both ways', async () => {
    await press(page, 'contrast', '.columns');
    const contrasts = async () =>
      (await page.$$eval('li .facts > :nth-child(4)', (nodes) =>
        nodes.map((node) => Number(node.textContent)),
      )) ?? [];
    const up = await eventually(contrasts, ([first]) => first !== undefined && first < 1.1);
    expect(up).toEqual([...up].sort((a, b) => a - b));
    await press(page, 'contrast', '.columns');
    await eventually(contrasts, ([first]) => (first ?? 0) > 10);
  });

  test('is narrowed by a sentence, part by part, and remembered', async () => {
    await narrowBy('Languages');
    await page.locator('.editor ::-p-aria(Add a language[role="combobox"])').click();
    await page.keyboard.type('Greek');
    await page.locator('::-p-aria(Greek[role="option"])').click();
    await page.waitForSelector('[role="listbox"]', { hidden: true });
    await page.waitForSelector('.sentence ::-p-text(for Greek)');
    await narrowBy('Fit for');
    await press(page, 'running text', '.editor');
    await narrowBy('A measure');
    await page.click('.editor .p-select');
    await (await page.waitForSelector('::-p-aria(x-height[role="option"])'))?.click();
    await fill(page, 'from', '0.5', '.editor');
    const sentence = () =>
      page.$$eval('.sentence .phrase > :first-child', (nodes) =>
        nodes.map((node) => node.textContent?.trim()),
      );
    const phrases = await eventually(sentence, (list) => list.length === 3);
    expect(phrases.slice(0, 2)).toEqual(['for Greek', 'for running text']);
    expect(phrases[2]).toMatch(/^x-height 0\.50 em to 0\.\d\d em$/);
    const narrowed = await names();
    expect(narrowed).toContain('Literata');
    expect(narrowed).not.toContain('EB Garamond');
    expect(narrowed).not.toContain('Space Mono');

    await page.reload();
    await page.waitForSelector('li .specimen.shown');
    expect(await eventually(sentence, (list) => list.length === 3)).toEqual(phrases);
    await press(page, 'Remove: for Greek', '.sentence');
    await eventually(sentence, (list) => list.length === 2);
    await press(page, 'Clear the filter', '.sentence');
    await lead(`${listed} families`);
  });

  test('finds a name typed carelessly', async () => {
    await find('bricolge grotesk');
    await eventually(names, ([first]) => first === 'Bricolage Grotesque');
  });

  test('a part of a name finds what has it; where nothing has, that is said with the way back', async () => {
    await find('mono');
    const found = await eventually(names, (all) => all.every((name) => /mono/i.test(name)));
    expect(found.length).toBeGreaterThanOrEqual(5);
    await find('plex');
    await page.waitForSelector('::-p-text(No name has “plex” in it. These come near:)');
    expect(await names()).not.toContainEqual(expect.stringMatching(/plex/i));
    await find('zzzz');
    await page.waitForSelector('::-p-text(No family passes the filter.)');
    await press(page, 'Clear the filter', '.empty');
    await lead(`${listed} families`);
  });

  test('sets a row in the weight that is pointed at, and gives back on leaving', async () => {
    await find('spectral');
    await eventually(names, ([first]) => first === 'Spectral');
    const weight = () =>
      page.$eval('li .specimen .in-face', (node) => getComputedStyle(node).fontWeight);
    const axis = await page.waitForSelector('li .axis');
    const box = await axis?.boundingBox();
    if (!box) throw new Error('There is no axis');
    await page.mouse.move(box.x + box.width * 0.79, box.y + 12);
    await eventually(weight, (value) => value === '800');
    await page.mouse.move(box.x, box.y + 200);
    await eventually(weight, (value) => value === '400');
    await axis?.focus();
    await page.keyboard.press('ArrowRight');
    await eventually(weight, (value) => value === '500');
    await page.keyboard.press('Escape');
    await eventually(weight, (value) => value === '400');
  });

  test('brings families to one x-height, on another ground, in another sample, and back', async () => {
    await find('literata');
    await eventually(names, ([first]) => first === 'Literata');
    const style = () =>
      page.$eval('li .specimen', (node) => {
        const { fontSize, backgroundColor } = getComputedStyle(node);
        return { fontSize: parseFloat(fontSize), backgroundColor, text: node.textContent?.trim() };
      });
    const before = await eventually(style, ({ text }) => text !== '');
    await press(page, 'Setting');
    await press(page, 'equal x-height', '.l-fold');
    await press(page, 'dark', '.l-fold [aria-label="Background"]');
    await page.keyboard.press('Escape');
    await page.click('[aria-label="What is set"]');
    await (await page.waitForSelector('::-p-aria(hard letters[role="option"])'))?.click();
    const after = await eventually(style, ({ fontSize }) => fontSize !== before.fontSize);
    // Its x-height is 0.507 em, and the common one 0.5.
    expect(after.fontSize).toBeCloseTo((30 * 0.5) / 0.507, 1);
    expect(after.backgroundColor).toBe('rgb(20, 24, 23)');
    expect(after.text).toContain('Il1');
    await press(page, 'Setting');
    await press(page, 'Reset words, size and background', '.l-fold');
    expect(await eventually(style, ({ fontSize }) => fontSize === before.fontSize)).toEqual(before);
  });

  test('keeps a shortlist by one key, in the project', async () => {
    await openRow('Literata');
    await page.focus('li button.row');
    await page.keyboard.press('k');
    await eventually(project, ({ document }) => document.shortlist?.[0] === 'library/literata');
    await page.keyboard.press('k');
    await eventually(project, ({ document }) => document.shortlist?.length === 0);
  });
});

describe('the map', () => {
  beforeEach(async () => {
    await press(page, 'Map');
    await page.waitForSelector('.point');
  });

  test('sets families as letters in their own faces, and a region drawn narrows the line-up', async () => {
    const used = await eventually(
      () => fontsUsed(page, '.point[aria-label^="Gloock:"] .in-face', false),
      ([first]) => first === 'Gloock',
    );
    expect(used).toEqual(['Gloock']);
    const plane = await (await page.$('.plane .overlay'))?.boundingBox();
    if (!plane) throw new Error('There is no map');
    // From a corner without points: the upper half, where strokes have contrast.
    await page.mouse.move(plane.x + 4, plane.y + 4);
    await page.mouse.down();
    await page.mouse.move(plane.x + plane.width - 4, plane.y + plane.height * 0.4, { steps: 4 });
    await page.mouse.up();
    const text = await eventually(
      () => page.$eval('.found', (node) => node.textContent?.trim() ?? ''),
      (value) => value.includes(' of '),
    );
    const kept = Number(text.split(' ')[0]);
    expect(kept).toBeGreaterThan(10);
    expect(await page.$$eval('.sentence .phrase', (nodes) => nodes.length)).toBe(2);
    await press(page, 'As a table');
    const table = await page.$$eval('table tbody tr', (rows) =>
      rows.map((row) => Number(row.lastElementChild?.textContent)),
    );
    expect(table).toHaveLength(kept);
    expect(Math.min(...table)).toBeGreaterThan(2);
    await press(page, 'As a map');
    await press(page, 'Clear the region');
    await lead(`${listed} families`);
  });

  test('is walked by keyboard and opens a family', async () => {
    await page.focus('.point[tabindex="0"]');
    const at = () =>
      page.evaluate(() => {
        const { left, top } = document.activeElement?.getBoundingClientRect() ?? new DOMRect();
        return { left, top };
      });
    const from = await at();
    await page.keyboard.press('ArrowRight');
    const to = await eventually(at, ({ left }) => left !== from.left);
    expect(to.left).toBeGreaterThan(from.left);
    const name = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label')?.split(':')[0],
    );
    await page.keyboard.press('Enter');
    await page.waitForSelector('.panel h3');
    expect(await page.$eval('.family.open .name', (node) => node.textContent?.trim())).toBe(name);
  });
});

describe('an opened family', () => {
  test('shows its true italic beside the faked one, in files that are really used', async () => {
    await openRow('Literata');
    await page.waitForSelector('.panel dl dd');
    const [trueItalic, faked] = await page.$$eval('.panel section dl dd', (nodes) =>
      nodes.map((node) => ({
        width: (node.querySelector('span') as HTMLElement | null)?.offsetWidth ?? 0,
        family: getComputedStyle(node).fontFamily,
        marked: node.querySelectorAll('.marked').length,
      })),
    );
    expect(trueItalic?.marked).toBeGreaterThan(3);
    expect(faked?.marked).toBe(trueItalic?.marked);
    expect(faked?.family).toContain('regular of library/literata');
    const text = await page.$eval('.panel', (node) => node.textContent);
    expect(text).toContain('Fit for running text, short text and headings.');
    expect(text).toContain('Drawn as an italic');
    expect(text).toContain('every letter is there');
  });

  test('measures at the point that its axis is moved to', async () => {
    await openRow('Literata');
    const here = () => page.$eval('.panel p[role="status"]', (node) => node.textContent ?? '');
    const stem = (text: string) => Number(/stem ([\d.]+) em/.exec(text)?.[1]);
    const regular = stem(await eventually(here, (text) => /stem [\d.]+ em/.test(text)));
    await fill(page, 'Weight', '900', '.panel');
    const black = stem(await eventually(here, (text) => stem(text) > regular * 1.5));
    expect(black).toBeGreaterThan(regular * 1.5);
  });

  test('names the letters that are missing for the project’s languages', async () => {
    const { revision } = await project();
    await fetch(`${lettera.url}/api/v1/projects/${slug}`, {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
      body: JSON.stringify([{ op: 'replace', path: '/languages', value: ['en', 'el'] }]),
    });
    await openRow('Gloock');
    const text = await eventually(
      () => page.$eval('.panel', (node) => node.textContent ?? ''),
      (value) => value.includes('Greek lacks'),
    );
    expect(text).toContain('α');
    expect(text).toMatch(/Not for running text: heavy strokes.*thin strokes of 0\.21 px at 16 px/);
  });

  test('leads to look-alikes, with what differs', async () => {
    await openRow('Gloock');
    await page.waitForSelector('.panel li button.name');
    // A name is set in its own face, and is blank until that is there.
    const name = await eventually(
      () => page.$eval('.panel li button.name', (node) => node.textContent?.trim() ?? ''),
      (said) => said !== '',
    );
    // The generated families repeat the library, so the nearest is another Gloock.
    expect(name).toMatch(/^Gloock \d/);
    await press(page, name, '.panel');
    await eventually(
      () => page.$eval('.family.open .name', (node) => node.textContent?.trim()),
      (open) => open === name,
    );
  });
});

describe('taking in', () => {
  test('from files: grouped, corrected where a file lies, and explained where two claim one place', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'lettera-faces-'));
    const twin = join(folder, 'twin.otf');
    const file = new Uint8Array(readFileSync(SLAB));
    file[file.length - 1] = 1;
    writeFileSync(twin, file);
    await bring(SLAB, twin);
    const trouble = await page.waitForSelector('.outcome li');
    expect(await trouble?.evaluate((node) => node.textContent)).toContain('claims the same place');
    await press(page, 'Close', '.outcome');
    await openRow('Tarnholm Test Slab');
    const claims = () =>
      page.$$eval('.panel .mark-text', (nodes) => nodes.map((node) => node.textContent?.trim()));
    const named = (list: (string | undefined)[]) =>
      list.length === 2 && list.every((claim) => claim?.includes('Tarnholm'));
    expect(await eventually(claims, named)).toEqual([
      'claims the same place as Tarnholm Test Slab: only the later shows',
      'claims the same place as Tarnholm Test Slab: only the later shows',
    ]);
    await fill(page, 'Weight of Tarnholm Test Slab', '800', '.panel');
    await eventually(claims, (list) => list.length === 0);
    const faces = (await project()).document.case['tarnholm-test-slab']?.faces;
    expect(faces?.map(({ weightMin }) => weightMin)).toEqual([600, 800]);
  });

  test('a family of the foundry, with its bytes counted, and out again with what shows instead', async () => {
    await openRow('Spectral');
    const cost = () =>
      page.$eval('.take > .line', (node) => node.textContent?.replace(/\s+/g, ' ') ?? '');
    expect(await cost()).toContain('2 files');
    await press(page, 'Add to the case', '.take');
    await eventually(project, ({ document }) => document.case['spectral'] !== undefined);
    const { revision } = await project();
    await fetch(`${lettera.url}/api/v1/projects/${slug}`, {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
      body: JSON.stringify([{ op: 'replace', path: '/voices/text/family', value: 'spectral' }]),
    });
    await eventually(
      () => fontsUsed(page, '.lead', true),
      ([first]) => first === 'Spectral',
    );
    await press(page, 'Remove from the case', '.panel');
    const warning = await page.$eval('section[aria-label="In the case"]', (n) => n.textContent);
    expect(warning).toMatch(/Body.*will show in the visitor’s own serif/);
    await press(page, 'Remove it', '.panel');
    await eventually(project, ({ document }) => document.case['spectral'] === undefined);
    await press(page, 'Undo', '.docket');
    await eventually(project, ({ document }) => document.voices['text']?.family === 'spectral');
    await eventually(
      () => fontsUsed(page, '.lead', true),
      ([first]) => first === 'Spectral',
    );
  });

  test('one family takes another’s place everywhere, at the same apparent size', async () => {
    const names = ['Keeper', 'Warden'];
    const folder = mkdtempSync(join(tmpdir(), 'lettera-faces-'));
    const files = names.map((name, i) => {
      const path = join(folder, `${name}.otf`);
      const source = i === 0 ? SLAB : HAIRLINE;
      writeFileSync(path, renamed(new Uint8Array(readFileSync(source)), name));
      return path;
    });
    await bring(...files);
    await page.waitForSelector('.outcome .close');
    const { revision, document } = await project();
    await fetch(`${lettera.url}/api/v1/projects/${slug}`, {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
      body: JSON.stringify([{ op: 'replace', path: '/voices/text/family', value: 'keeper' }]),
    });
    await press(page, 'Close', '.outcome');
    await openRow('Keeper');
    await (
      await page.waitForSelector('.panel [aria-label="Family to take its place everywhere"]')
    )?.click();
    await (await page.waitForSelector('::-p-aria(Warden[role="option"])'))?.click();
    await page.locator('.panel ::-p-text(Keep the apparent size)').click();
    await press(page, 'Replace everywhere', '.panel');
    const after = await eventually(
      project,
      ({ document: now }) => now.voices['text']?.family === 'warden',
    );
    const measures = await api<Record<string, FamilyMeasures>>(`/projects/${slug}/case/measures`);
    const xHeight = (key: string) => measures[key]?.regular.xHeight ?? NaN;
    const ratio = after.document.scale.large.base / document.scale.large.base;
    expect(ratio).toBeCloseTo(xHeight('keeper') / xHeight('warden'), 2);
    const shown = await computed(await proofFrame(page), 'body', ['font-size']);
    expect(parseFloat(shown['font-size'] ?? '')).toBeCloseTo(after.document.scale.large.base, 0);
  });

  test('by reference: a look-alike stands in on the proof, and its real name is known everywhere', async () => {
    await press(page, 'Add fonts');
    await press(page, 'Refer to a family', '.l-fold');
    const form = 'form[aria-label="A family served elsewhere"]';
    await fill(page, 'Exact family name', 'Keeper', form);
    expect(await page.$eval(`${form} [role="alert"]`, (node) => node.textContent)).toContain(
      'beginning with https://',
    );
    const input = await page.waitForSelector('input[aria-label="Font file to measure"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(HAIRLINE);
    await eventually(
      () => page.$eval(`${form} .sample`, (node) => node.textContent?.trim()),
      (text) => text?.startsWith('Gloock') === true,
    );
    await fill(page, 'Address of its style sheet', 'https://type.tarnholm.example/k.css', form);
    await eventually(project, ({ document }) => document.case['keeper'] !== undefined);
    const { keeper } = (await project()).document.case;
    expect(keeper?.reference?.standIn).toMatch(/^Gloock/);
    await find('keeper');
    await eventually(
      () => page.$eval('li .stand-in', (node) => node.textContent ?? '').catch(() => ''),
      (text) => text.includes('which stands in for it'),
    );
    expect(errors).toEqual([]);
  });
});
