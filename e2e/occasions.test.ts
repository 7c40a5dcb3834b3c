import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import type { ProjectDocument } from '@lettera/core/document';
import {
  choose,
  computed,
  eventually,
  fill,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  setProofWidth,
} from './browser';
import { indentedLines } from './indentedLines';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';
import { serveSite, type Site } from './site';

/** Styles that differ in states, in parts of a text, at widths and in print: on the proof, and as they are delivered. */

const COPY =
  'The light is lit at dusk and put out at dawn, and the keeper on watch writes down the wind, the glass and every sail that passes. Nothing is left out, and nothing is put in for the sake of the story. ';
const SITE = `<!doctype html><html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<link rel="stylesheet" href="lettera.css">
<style>body { margin: 0 } .lead { max-width: none; margin: 0 } .card { container: card / inline-size; width: 500px }</style>
<main><h1>Log</h1><p class="lead">${COPY.repeat(4)}</p>
<ul><li>One <a id="link" href="https://tarnholm.example/tides">tides</a></li></ul>
<details open><summary class="kicker">More</summary><p>Text</p></details>
<div class="card"><p class="pull-quote">In a card</p></div>
<form><input id="field" placeholder="Your name"><button id="off" disabled>Send</button></form>
</main></html>`;

let lettera: RunningLettera;
let browser: Browser;
let site: Site;
const slug = 'tarnholm-light';
const patch = (operations: object[]) => changeProject(lettera, slug, operations);
const at = (style: string, values: object) => ({
  op: 'add',
  path: `/styles/${style}/at`,
  value: values,
});
const stored = (holds: (document: ProjectDocument) => boolean) =>
  eventually(
    () => ask<{ document: ProjectDocument }>(lettera, `/projects/${slug}`),
    ({ document }) => holds(document),
  );

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  site = await serveSite(lettera, slug, SITE);
});
afterAll(async () => {
  await browser?.close();
  await site?.close();
  await lettera?.close();
});

/** The page of the site with what is delivered now. */
async function delivered(): Promise<Page> {
  await site.deliver();
  const { page } = await newPage(browser);
  await page.goto(site.url);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  return page;
}

const one = async (page: Page, selector: string, property: string, pseudo?: string) =>
  page.$eval(
    selector,
    (node, name, part) => getComputedStyle(node, part).getPropertyValue(name),
    property,
    pseudo,
  );

test('a state is set in cells of its own, and the proof shows text in it', async () => {
  const { page, errors } = await newPage(browser);
  await page.goto(`${lettera.url}/p/${slug}/styles`);
  const frame = await proofFrame(page);
  const weight = async () =>
    (await computed(frame, 'a:not(.button, .site-title, nav a)', ['font-weight']))['font-weight'];
  const before = await weight();
  await choose(page, 'Where the sheet is', 'pressed');
  await fill(page, 'Filter by style or element', 'Link');
  await page.locator('tr[data-style="link"] [data-column="1"]').click();
  await fill(page, 'Weight', '650', 'tr[data-style="link"]');
  await stored(({ styles }) => styles['link']?.at?.['active']?.weight === 650);
  await eventually(weight, (now) => now === '650');
  // Back at every width, it is at rest again.
  await choose(page, 'Where the sheet is', 'every width');
  await eventually(weight, (now) => now === before);
  // Visited links take colours alone: there is nothing else to set.
  await choose(page, 'Where the sheet is', 'visited, set');
  expect(
    await page.$$eval('.styles-table thead th', (all) => all.map(({ innerText }) => innerText)),
  ).toEqual(['Style', 'Follows', 'Colour']);
  expect(errors).toEqual([]);
  await page.close();
});

test('what is delivered is so in the states that a visitor brings about', async () => {
  await patch([
    at('link', {
      hover: { weight: 700 },
      focus: { decoration: 'overline' },
      active: { slant: 'italic' },
    }),
    at('control', { disabled: { slant: 'italic' } }),
    at('kicker', { open: { letterSpacing: 0.2 } }),
  ]);
  const page = await delivered();
  expect(await one(page, '#link', 'font-weight')).not.toBe('700');
  await page.keyboard.press('Tab');
  expect(await one(page, '#link', 'text-decoration-line')).toBe('overline');
  await page.$eval('#link', (node) => (node as HTMLElement).blur());
  await page.hover('#link');
  expect(await one(page, '#link', 'font-weight')).toBe('700');
  await page.mouse.down();
  expect(await one(page, '#link', 'font-style')).toBe('italic');
  await page.mouse.move(5, 700);
  await page.mouse.up();
  expect(await one(page, '#link', 'font-weight')).not.toBe('700');
  expect(await one(page, '#link', 'text-decoration-line')).toBe('underline');
  expect(await one(page, '#off', 'font-style')).toBe('italic');
  const spacing = async () => parseFloat(await one(page, 'summary', 'letter-spacing'));
  const open = await spacing();
  await page.$eval('details', (node) => node.removeAttribute('open'));
  expect(open).toBeGreaterThan((await spacing()) * 2);
  await page.close();
});

test('parts of a text have what is set for them', async () => {
  await patch([
    at('list', { marker: { colour: 'accent', weight: 700 } }),
    at('lead', { 'first-line': { weight: 700 }, selection: { ground: 'ink', colour: 'ground' } }),
    at('body', { placeholder: { slant: 'italic' } }),
  ]);
  const page = await delivered();
  const accent = await one(page, '#link', 'color');
  expect(await one(page, 'li', 'color', '::marker')).not.toBe('');
  expect(await one(page, 'ul', 'color', '::marker')).toBe(accent);
  expect(await one(page, '.lead', 'font-weight', '::first-line')).toBe('700');
  expect(await one(page, '.lead', 'font-weight')).not.toBe('700');
  expect(await one(page, '.lead', 'background-color', '::selection')).toBe(
    await one(page, 'body', 'color'),
  );
  expect(await one(page, '#field', 'font-style', '::placeholder')).toBe('italic');
  await page.close();
});

const indented = (page: Page, selector: string) =>
  page.evaluate(`(${indentedLines(selector)})(document)`);

test.each([2, 3, 4])('a first letter of %i lines keeps them at every width', async (lines) => {
  await patch([at('lead', { 'first-letter': { dropLines: lines } })]);
  const page = await delivered();
  for (const width of [360, 700, 1280]) {
    await page.setViewport({ width, height: 800 });
    expect({ width, lines: await indented(page, '.lead') }).toEqual({ width, lines });
  }
  await page.close();
});

test('styles differ at the site’s widths, of the page and of a container, and so do sizes', async () => {
  await patch([
    {
      op: 'add',
      path: '/widths',
      value: {
        tablet: { name: 'Tablet', from: 768, below: 1100 },
        wall: { name: 'Wall', from: 1600, scale: { base: 24, ratio: 1.5 } },
        card: { name: 'Card', from: 400, container: 'card' },
        slim: { name: 'Slim', below: 400, container: 'card' },
      },
    },
    at('heading-1', { tablet: { case: 'uppercase' } }),
    at('pull-quote', { card: { case: 'uppercase' }, slim: { case: 'lowercase' } }),
  ]);
  const page = await delivered();
  const cases: Record<number, string> = {};
  for (const width of [767, 768, 1099, 1100]) {
    await page.setViewport({ width, height: 800 });
    cases[width] = await one(page, 'h1', 'text-transform');
  }
  expect(cases).toEqual({ 767: 'none', 768: 'uppercase', 1099: 'uppercase', 1100: 'none' });
  expect(await one(page, '.pull-quote', 'text-transform')).toBe('uppercase');
  await page.$eval('.card', (node) => ((node as HTMLElement).style.width = '399px'));
  expect(await one(page, '.pull-quote', 'text-transform')).toBe('lowercase');
  await page.setViewport({ width: 1600, height: 800 });
  expect(await one(page, 'body', 'font-size')).toBe('24px');
  await page.setViewport({ width: 1599, height: 800 });
  expect(await one(page, 'body', 'font-size')).not.toBe('24px');
  await page.close();

  // Choosing one shows the page at that width.
  const { page: app } = await newPage(browser);
  await app.goto(`${lettera.url}/p/${slug}/styles`);
  const frame = await proofFrame(app);
  await setProofWidth(app, 'phone');
  await choose(app, 'Where the sheet is', 'Tablet, set');
  await eventually(
    () => computed(frame, 'h1', ['text-transform']),
    (now) => now['text-transform'] === 'uppercase',
  );
  expect(await frame.evaluate(() => innerWidth)).toBe(768);
  await app.close();
});

test('pages are printed in points, with the addresses of links, and are seen so on the proof', async () => {
  const { page: app } = await newPage(browser);
  await app.goto(`${lettera.url}/p/${slug}/styles`);
  const frame = await proofFrame(app);
  await choose(app, 'Where the sheet is', 'in print');
  await press(app, 'Sizes in points');
  await stored(({ print }) => print !== undefined);
  await fill(app, 'Base', '9');
  await press(app, 'Addresses behind links');
  await stored(({ print }) => print?.base === 9 && print.addresses === true);
  await eventually(
    () => computed(frame, 'body', ['font-size']),
    (now) => now['font-size'] === '12px',
  );
  await app.close();

  await patch([
    at('heading-2', { print: { breakAfter: 'avoid' } }),
    at('lead', { print: { orphans: 3 } }),
  ]);
  const page = await delivered();
  expect(await one(page, 'body', 'font-size')).not.toBe('12px');
  await page.emulateMediaType('print');
  expect(await one(page, 'body', 'font-size')).toBe('12px');
  expect(await one(page, '.lead', 'orphans')).toBe('3');
  expect(await one(page, '#link', 'content', '::after')).toContain(
    'https://tarnholm.example/tides',
  );
  await page.close();
});
