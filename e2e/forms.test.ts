import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { ProjectDocument } from '@lettera/core/document';
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';
import { computed, eventually, fontsUsed, launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';
import { BARE_PAGE, SELECTORS, serveSite, TYPE, type Site } from './site';

/** The bundle in each form that it can be delivered in: a page that links it comes out the same in all of them. */

const PROJECT = 'tarnholm-light';
const WIDTHS = [360, 800, 1280];
/** The last style sheet is empty but where the rules stand apart from the tokens. */
const PAGE = BARE_PAGE.replace(
  '<link rel="stylesheet" href="lettera.css">',
  '<link rel="stylesheet" href="lettera.css"><link rel="stylesheet" href="rules.css">',
);
/** Text of each face, and the family that it is of. */
const FACES: [selector: string, family: string][] = [
  ['h1', 'Bricolage Grotesque'],
  ['button', 'Bricolage Grotesque'],
  ['.lead', 'Literata'],
  ['em', 'Literata'],
  ['strong', 'Literata'],
  ['.greek', 'Literata'],
];

let lettera: RunningLettera;
let browser: Browser;
let site: Site;
let page: Page;
const own: Record<string, Uint8Array> = {};
const nothing = new Uint8Array();
let sample: ProjectDocument;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ document: sample } = await ask<{ document: ProjectDocument }>(
    lettera,
    `/projects/${PROJECT}`,
  ));
  own['rules.css'] = nothing;
  site = await serveSite(lettera, PROJECT, PAGE, own);
  ({ page } = await newPage(browser));
});
afterAll(async () => {
  await browser?.close();
  await site?.close();
  await lettera?.close();
});

/** Delivers with other settings than the sample's. */
async function deliver(settings: Partial<ProjectDocument['delivery']>): Promise<void> {
  await changeProject(lettera, PROJECT, [
    { op: 'replace', path: '/delivery', value: { ...sample.delivery, ...settings } },
  ]);
  await site.deliver();
}

/** What Chromium makes of every text at each width. */
async function outcome(): Promise<Record<string, Record<string, string>>> {
  const found: Record<string, Record<string, string>> = {};
  await page.goto(site.url);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  for (const width of WIDTHS) {
    await page.setViewport({ width, height: 800 });
    for (const selector of SELECTORS) {
      found[`${selector} at ${width}`] = await computed(page, selector, TYPE);
    }
  }
  return found;
}

describe('the bundle', () => {
  let whole: Awaited<ReturnType<typeof outcome>>;
  beforeAll(async () => {
    whole = await outcome();
    // Different sizes at different widths, so that there is something to agree in.
    expect(whole['h1 at 360']?.['font-size']).not.toBe(whole['h1 at 1280']?.['font-size']);
  });

  test.each<[form: string, settings: Partial<ProjectDocument['delivery']>]>([
    ['outside any layer', { layer: null }],
    ['with the weight of its selectors', { layer: null, weight: 'own' }],
    [
      'over classes, linked after sheets without layers',
      { layer: null, weight: 'over', linked: 'after', inheritOpen: true },
    ],
    ['with tokens that begin with a prefix', { prefix: 'tl' }],
    ['with other names for tokens', { names: { '--body-font': '--font-text' } }],
    ['with files as they were taken in', { letters: 'whole' }],
    ['with the layout features in use', { features: 'used' }],
    ['with bold inside italics', { boldItalics: true }],
  ])('%s sets everything as it does whole', async (_form, settings) => {
    await deliver(settings);
    expect(await outcome()).toEqual(whole);
    for (const [selector, family] of FACES) {
      expect(await fontsUsed(page, selector, false)).toEqual([expect.stringMatching(`^${family}`)]);
    }
  });

  test('as tokens and rules apart sets everything as it does whole, and tokens alone set nothing', async () => {
    await deliver({ form: 'rules' });
    const rules = site.files['lettera.css'] ?? nothing;
    await deliver({ form: 'tokens' });
    const { 'h1 at 360': bare } = await outcome();
    expect(bare?.['font-family']).not.toContain('Bricolage');
    own['rules.css'] = rules;
    expect(await outcome()).toEqual(whole);
    own['rules.css'] = nothing;
  });

  test('says of every element with !important what it says without, and nothing of texts left alone', async () => {
    await changeProject(lettera, PROJECT, [
      { op: 'replace', path: '/delivery', value: { ...sample.delivery, leave: ['h2'] } },
      ...Object.keys(sample.elements).map((key) => ({
        op: 'add',
        path: `/elements/${key}/important`,
        value: true,
      })),
    ]);
    await site.deliver();
    const found = await outcome();
    const others = Object.keys(whole).filter((text) => !text.startsWith('h2'));
    for (const text of others) expect({ text, ...found[text] }).toEqual({ text, ...whole[text] });
    // The browser's own: bold, and one and a half times the body's size.
    expect(found['h2 at 360']?.['font-size']).not.toBe(whole['h2 at 360']?.['font-size']);
    await changeProject(lettera, PROJECT, [
      { op: 'replace', path: '/elements', value: sample.elements },
    ]);
  });
});

test('with the network held back the fallback shows at once in the same line boxes, and then the web face', async () => {
  await deliver({});
  const { page: slow } = await newPage(browser, { width: 1280, height: 800 });
  const held: HTTPRequest[] = [];
  await slow.setRequestInterception(true);
  slow.on('request', (request) => {
    if (request.url().endsWith('.woff2')) held.push(request);
    else void request.continue();
  });
  await slow.goto(site.url, { waitUntil: 'domcontentloaded' });
  await eventually(
    () => Promise.resolve(held.length),
    (count) => count >= 3,
  );
  /** Of blocks: what stands in a line is as high as its font has it, and moves nothing. */
  const heights = () =>
    slow.evaluate((selectors) => {
      const nodes = selectors.flatMap((selector) => document.querySelector(selector) ?? []);
      return nodes
        .filter((node) => getComputedStyle(node).display !== 'inline')
        .map((node) => [node.tagName, node.getBoundingClientRect().height] as const);
    }, SELECTORS);
  const before = await heights();
  expect(before.length).toBeGreaterThan(8);
  expect(await fontsUsed(slow, '.lead', false)).not.toContain('Literata');
  while (held.length > 0) await held.pop()?.continue();
  await eventually(
    async () => {
      while (held.length > 0) await held.pop()?.continue();
      return fontsUsed(slow, '.lead', false);
    },
    (used) => used.some((name) => name.startsWith('Literata')),
  );
  await slow.evaluate(() => document.fonts.ready.then(() => undefined));
  expect(await heights()).toEqual(before);
  await slow.close();
});
