import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import type { Project } from '@lettera/server';
import {
  computed,
  eventually,
  fontsUsed,
  launchBrowser,
  newPage,
  press,
  proofFrame,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, measuredProject } from './project';

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let slug: string;
let count = 0;

const api = <T>(path: string) => ask<T>(lettera, path);
const project = () => api<Project>(`/projects/${slug}`);

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** An empty project with the foundry allowed and measured, at Pair. */
beforeEach(async () => {
  slug = await measuredProject(lettera, `Pair ${++count}`);
  await page?.close();
  ({ page, errors } = await newPage(browser));
  await page.goto(`${lettera.url}/p/${slug}/pair`);
  await proofFrame(page);
});

const hold = async (name: string, role = 'heading') => {
  await (await page.waitForSelector(`[aria-label="Family that is held as ${role}"]`))?.click();
  await page.waitForSelector('.p-select-filter');
  await page.type('.p-select-filter', name);
  await (await page.waitForSelector(`::-p-aria(${name}[role="option"])`))?.click();
};
const partners = () =>
  page.$$eval('.partner .name', (nodes) => nodes.map((node) => node.textContent?.trim() ?? ''));
const heading = () => fontsUsed(page, 'h1', true);
const text = () => fontsUsed(page, '.lead', true);
/** Clicks a control of the partner of that name. */
const controlOf = async (name: string, control: string) => {
  const found = await page.evaluateHandle(
    (wanted, label) => {
      const row = [...document.querySelectorAll('.partner')].find(
        (node) => node.querySelector('.name')?.textContent?.trim() === wanted,
      );
      return [...(row?.querySelectorAll('button') ?? [])].find(
        (node) => node.textContent?.trim() === label,
      );
    },
    name,
    control,
  );
  return found.asElement() as ElementHandle<HTMLElement> | null;
};
const ofPartner = async (name: string, control: string) =>
  (await controlOf(name, control))?.evaluate((node) => node.click());

test('from an empty project to a taken pair, in order and with reasons', async () => {
  expect(await page.$eval('.workbench', (node) => node.textContent)).toContain(
    'the heading voice has none yet',
  );
  await hold('Space Grotesk');
  const order = await eventually(partners, (list) => list.length > 2);
  const reasons = await page.$$eval('.partner .good', (nodes) =>
    nodes.slice(0, 3).map((node) => node.textContent?.trim() ?? ''),
  );
  for (const words of reasons) expect(words).toMatch(/^long reading/);
  await press(page, 'Filter');
  await press(page, 'a true italic', '.l-fold [aria-label="Wanted"]');
  await page.keyboard.press('Escape');
  const narrowed = await eventually(partners, (list) => list.length > 2);
  const [first = ''] = narrowed;
  expect(order.length).toBeGreaterThan(0);

  // Pointing shows both, though neither has been taken in; leaving gives back.
  const name = await page.waitForSelector('.partner .name');
  await name?.hover();
  await eventually(heading, ([family]) => family?.startsWith('Space Grotesk') === true);
  const shown = await eventually(text, ([family]) => family?.split(' ')[0] === first.split(' ')[0]);
  expect(shown).toHaveLength(1);
  expect((await project()).document.case).toEqual({});
  await page.mouse.move(640, 20);
  await eventually(heading, ([family]) => !family?.startsWith('Space Grotesk'));

  await name?.click();
  const after = await eventually(
    project,
    ({ document }) => document.voices['text']?.family !== null,
  );
  const { voices, case: families } = after.document;
  expect(families[voices['heading']?.family ?? '']?.name).toBe('Space Grotesk');
  expect(families[voices['text']?.family ?? '']?.name).toBe(first);
  expect(families[voices['text']?.family ?? '']?.faces.map(({ style }) => style)).toContain(
    'italic',
  );
  await eventually(heading, ([family]) => family?.startsWith('Space Grotesk') === true);
  expect(errors).toEqual([]);
});

test('what is pointed at stays under the pointer when it is taken', async () => {
  await hold('Archivo');
  const [, second = ''] = await eventually(partners, (list) => list.length > 2);
  const button = await controlOf(second, 'Use');
  await button?.scrollIntoView();
  const box = await button?.boundingBox();
  const at = { x: (box?.x ?? 0) + 4, y: (box?.y ?? 0) + 4 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.click(at.x, at.y);
  const said = await eventually(
    () => page.$$eval('.notice', (all) => all.map((node) => node.textContent ?? '').join(' ')),
    (words) => words.includes('Now in use'),
  );
  expect(said).toContain(second);
  const under = await page.evaluate(
    ({ x, y }) =>
      document.elementFromPoint(x, y)?.closest('.partner')?.querySelector('.name')?.textContent,
    at,
  );
  expect(under?.trim()).toBe(second);
  // Nothing else is where the button was: pressed again, nothing more happens.
  const { revision } = await project();
  await page.mouse.click(at.x, at.y);
  expect((await project()).revision).toBe(revision);
  expect((await project()).document.contenders ?? []).toEqual([]);
});

test('a starting point is shown on the project’s own page, and taken', async () => {
  await press(page, 'Starting points');
  const points = await page.waitForSelector('.points li:nth-child(3) .l-do');
  await points?.scrollIntoView();
  expect(await page.$$('.points li')).toHaveLength(12);
  await points?.hover();
  await eventually(heading, ([family]) => family === 'DM Serif Display');
  await points?.click();
  await eventually(
    project,
    ({ document }) => document.case[document.voices['text']?.family ?? '']?.name === 'DM Sans',
  );
  expect((await project()).document.voices['heading']?.generic).toBe('serif');
  // DM Serif Display has the one weight: every heading got it, and it was said.
  expect(await page.$eval('.notice', (node) => node.textContent)).toContain('→ 400');
});

test('contenders are kept over a reload, flipped by key, and set side by side', async () => {
  await hold('Archivo');
  const [one = '', two = ''] = await eventually(partners, (list) => list.length > 2);
  await ofPartner(one, 'Shortlist');
  await ofPartner(two, 'Shortlist');
  await eventually(project, ({ document }) => document.contenders?.length === 2);
  await page.reload();
  await proofFrame(page);
  await page.waitForSelector('.contenders li:nth-child(2)');
  await page.keyboard.press('2');
  await eventually(text, ([family]) => family?.split(' ')[0] === two.split(' ')[0]);
  await page.keyboard.press('1');
  await eventually(text, ([family]) => family?.split(' ')[0] === one.split(' ')[0]);
  await page.keyboard.press('1');
  await eventually(heading, ([family]) => family !== 'Archivo');
  expect((await project()).document.case).toEqual({});
  await page.click('.contenders [aria-haspopup="dialog"]');
  const figures = await page.$eval('.l-fold', (node) => node.textContent ?? '');
  expect(figures).toMatch(/[\d.]+ KB, \d+ marks?, shift measured once it is in the case/);
  await page.keyboard.press('Escape');

  await press(page, 'Side by side');
  const frames = await eventually(
    () => page.$$('.beside iframe.ready'),
    (list) => list.length === 2,
  );
  const families = await Promise.all(
    frames.map(async (handle) => {
      const frame = await handle.contentFrame();
      return (await computed(frame, '.lead', ['font-family']))['font-family'] ?? '';
    }),
  );
  expect(families[0]).toContain(one);
  expect(families[1]).toContain(two);

  // At full size, and what is moved in one moves in the other to the same part of the page.
  const [left, right] = await Promise.all(frames.map((handle) => handle.contentFrame()));
  const shownAt = await page.$$eval('.beside iframe', (nodes) =>
    nodes.map((node) => ({
      scale: node.getBoundingClientRect().width / node.offsetWidth,
      width: node.offsetWidth,
    })),
  );
  for (const { scale, width } of shownAt) {
    expect(scale).toBeCloseTo(1, 2);
    expect(width).toBeGreaterThan(480);
  }
  await left?.$eval('h2', (node) => node.scrollIntoView());
  const topOf = (frame: typeof right) => frame?.$eval('h2', (n) => n.getBoundingClientRect().top);
  await eventually(
    async () => Math.abs((await topOf(right)) ?? 999),
    (top) => top < 60,
  );

  await press(page, 'Dismiss', '.beside');
  await eventually(project, ({ document }) => document.contenders?.length === 1);
});

test('pairs are drawn within the filter, stepped back through, and left without a trace', async () => {
  await hold('Archivo');
  await press(page, 'Filter');
  await press(page, 'another class', '.l-fold');
  await page.keyboard.press('Escape');
  await eventually(partners, (list) => list.length > 2);
  const drawn = () => page.$eval('.drawn b', (node) => node.textContent ?? '').catch(() => '');
  await press(page, 'More');
  await press(page, 'Draw one at random', '.l-fold');
  const first = await eventually(drawn, (pair) => pair.startsWith('Archivo over'));
  let second = first;
  for (let tries = 0; second === first && tries < 20; tries++) {
    await press(page, 'Draw again', '.drawn');
    second = await drawn();
  }
  await press(page, 'Back');
  await eventually(drawn, (pair) => pair !== second);
  await press(page, 'Forward');
  await eventually(drawn, (pair) => pair === second);
  await press(page, 'Close', '.drawn');
  await eventually(heading, ([family]) => family !== 'Archivo');
  expect((await project()).revision).toBe(1);
});

test('a set of three: a subheading is sought beside heading and text, taken, and one undo takes all back', async () => {
  await hold('Archivo');
  await eventually(partners, (list) => list.length > 2);
  await press(page, 'More');
  await press(page, 'a set of three: heading, subheading and text', '.l-fold');
  await page.keyboard.press('Escape');
  await press(page, 'a subheading', '[aria-label="What is looked for"]');
  await hold('Literata', 'text');
  const order = await eventually(partners, (list) => list.length > 2);
  const [first = ''] = order;
  await ofPartner(first, 'Use');
  const { document } = await eventually(project, (now) =>
    Boolean(now.document.voices['subheading']?.family),
  );
  const name = (voice: string) => document.case[document.voices[voice]?.family ?? '']?.name;
  expect([name('heading'), name('subheading'), name('text')]).toEqual([
    'Archivo',
    first,
    'Literata',
  ]);
  expect(document.pair).toEqual({ heading: 'heading', subheading: 'subheading', text: 'text' });
  await eventually(
    () => fontsUsed(page, 'h3', true),
    ([family]) => family?.split(' ')[0] === first.split(' ')[0],
  );
  await press(page, 'Undo', '.docket');
  await eventually(project, (now) => now.document.voices['subheading'] === undefined);
});

test('Pair works with whichever voices are chosen, renamed or not', async () => {
  await press(page, 'Voices');
  const field = 'Name of the voice Heading';
  await page.click(`[aria-label="${field}"]`, { clickCount: 3 });
  await page.keyboard.type('Signs');
  await page.keyboard.press('Enter');
  await eventually(project, ({ document }) => document.voices['heading']?.name === 'Signs');
  await (await page.waitForSelector('[aria-label="Voice that is paired as heading"]'))?.click();
  await (await page.waitForSelector('::-p-aria(Code[role="option"])'))?.click();
  await eventually(project, ({ document }) => document.pair?.heading === 'code');
  await press(page, 'Partners');
  await hold('Space Mono');
  await eventually(partners, (list) => list.length > 2);
  await ofPartner((await partners())[0] ?? '', 'Use');
  const { document } = await eventually(project, (now) =>
    Boolean(now.document.voices['code']?.family),
  );
  expect(document.case[document.voices['code']?.family ?? '']?.name).toBe('Space Mono');
  expect(document.voices['heading']?.family).toBeNull();
  expect(errors).toEqual([]);
});
