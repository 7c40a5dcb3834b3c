import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { eventually, launchBrowser, newPage, press, proofFrame, setProofWidth } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { allowFoundry } from './project';

const SAMPLE = 'tarnholm-light';

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  await allowFoundry(lettera, SAMPLE);
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});
beforeEach(async () => {
  ({ page, errors } = await newPage(browser));
});
afterEach(() => page.close());

const open = async (stage: string) => {
  await page.goto(`${lettera.url}/p/${SAMPLE}/${stage}`);
  return proofFrame(page, { asItIs: true });
};
const proofAt = () =>
  page.$eval('section.proof', (node) => {
    const iframe = node.querySelector('iframe');
    const { left, width } = node.getBoundingClientRect();
    return {
      left: Math.round(left),
      room: Math.round(width),
      page: iframe?.offsetWidth ?? 0,
      scale: (iframe?.getBoundingClientRect().width ?? 0) / (iframe?.offsetWidth ?? 1),
      says: node.querySelector('footer')?.textContent ?? '',
    };
  });
/** Rows that are whole in the workbench, and how far down the first begins. */
const rowsIn = (selector: string) =>
  page.$eval(
    '.workbench',
    (bench, rows) => {
      const { top, bottom } = bench.getBoundingClientRect();
      const boxes = [...bench.querySelectorAll(rows)].map((node) => node.getBoundingClientRect());
      return {
        above: Math.min(...boxes.map((box) => box.top)) - top,
        whole: boxes.filter((box) => box.top >= top && box.bottom <= bottom + 1).length,
      };
    },
    selector,
  );

describe('lists begin high at 1280 × 800', () => {
  test('the line-up shows seven families at the size it opens with', async () => {
    await open('faces');
    await page.waitForFunction(() => document.querySelectorAll('li .specimen.shown').length > 6);
    const { above, whole } = await rowsIn('li.place .family');
    expect(above).toBeLessThanOrEqual(190);
    expect(whole).toBeGreaterThanOrEqual(7);
  });

  test.each([
    ['text', 'a text face'],
    ['heading', 'a heading'],
  ])('Pair shows four partners with their reasons: %s', async (part, sought) => {
    await open('pair');
    await page.waitForSelector('.partner .in-face:not(.waits)');
    await press(page, sought, '[aria-label="What is looked for"]');
    await page.waitForSelector(`.partner .set.${part} .in-face:not(.waits)`);
    const settled = await eventually(
      () => rowsIn('.partner'),
      ({ whole }) => whole >= 4,
    );
    expect(settled.above).toBeLessThanOrEqual(190);
    const told = await page.$$eval('.partner .why', (nodes) =>
      nodes.slice(0, 4).map((node) => ({
        goodFor: node.querySelector('.good')?.textContent?.trim() ?? '',
        reasons: node.querySelectorAll('.reasons li').length,
      })),
    );
    for (const { goodFor, reasons } of told) {
      expect(goodFor).toMatch(/^[a-z].{8,}/);
      expect(reasons).toBeGreaterThan(0);
    }
  });

  test('no specimen is cut off with dots', async () => {
    const dotted = () =>
      page.$$eval(
        '.specimen, .partner .set, .points .heading, .points .text',
        (nodes) =>
          nodes.filter((node) => getComputedStyle(node).textOverflow === 'ellipsis').length,
      );
    await open('faces');
    await page.waitForSelector('li .specimen.shown');
    expect(await dotted()).toBe(0);
    await open('pair');
    await page.waitForSelector('.partner .in-face:not(.waits)');
    expect(await dotted()).toBe(0);
    // What is cut off below is cut off between two lines.
    const parts = await page.$$eval('.partner .set', (nodes) =>
      nodes.map((node) => node.clientHeight / parseFloat(getComputedStyle(node).lineHeight)),
    );
    for (const lines of parts) expect(Math.abs(lines - Math.round(lines))).toBeLessThan(0.06);
    await press(page, 'Starting points');
    await page.waitForSelector('.points li');
    expect(await dotted()).toBe(0);
  });
});

describe('the proof', () => {
  test.each(['faces', 'pair', 'scale', 'fallbacks', 'styles', 'deliver'])(
    'is at first as wide as its room, at 100 %%, in %s',
    async (stage) => {
      await open(stage);
      const { page: width, room, scale, says } = await proofAt();
      expect(scale).toBeCloseTo(1, 3);
      expect(Math.abs(width - room)).toBeLessThanOrEqual(1);
      expect(says).toContain(`${width} px · 100 %`);
    },
  );

  test('shrinks a wider page only when that is asked for, and says so', async () => {
    await open('scale');
    await setProofWidth(page, 'laptop');
    const shrunk = await eventually(proofAt, ({ page: width }) => width === 1280);
    expect(shrunk.says).toContain(`shrunk to ${Math.round(shrunk.scale * 100)} %`);
    await setProofWidth(page, 'room');
    await eventually(proofAt, ({ scale }) => Math.abs(scale - 1) < 0.001);
  });

  test('has an edge that is dragged by pointer and keys, remembered for each stage', async () => {
    await open('scale');
    const before = await proofAt();
    const edge = await page.waitForSelector('[role="separator"]');
    const box = await edge?.boundingBox();
    if (!box) throw new Error('There is no edge');
    await page.mouse.move(box.x + 2, box.y + 300);
    await page.mouse.down();
    await page.mouse.move(box.x - 98, box.y + 300, { steps: 4 });
    await page.mouse.up();
    const dragged = await eventually(proofAt, ({ room }) => room > before.room + 90);
    await edge?.focus();
    await page.keyboard.press('ArrowRight');
    await eventually(proofAt, ({ room }) => room === dragged.room - 10);
    await open('pair');
    expect((await proofAt()).room).not.toBe(dragged.room - 10);
    await open('scale');
    expect((await proofAt()).room).toBe(dragged.room - 10);
  });

  test.each(['scale', 'styles'])(
    'has the whole room at one key, and gives it back: %s',
    async (stage) => {
      await open(stage);
      const before = await proofAt();
      await page.keyboard.press('r');
      const whole = await eventually(proofAt, ({ left }) => left <= 216);
      expect(whole.room).toBeGreaterThan(1000);
      expect(await page.$eval('.workbench', (node) => getComputedStyle(node).display)).toBe('none');
      await page.keyboard.press('Escape');
      await eventually(proofAt, ({ room }) => room === before.room);
    },
  );

  test('outlines the texts that wear the body’s style, and names it', async () => {
    const frame = await open('styles');
    await frame.$eval('main p:not(.lead)', (node) => {
      node.scrollIntoView();
      (node as HTMLElement).click();
    });
    const outlined = () =>
      frame.$$eval('[data-lettera-style="body"]', (nodes) => nodes.map((node) => node.tagName));
    const tags = await eventually(outlined, (list) => list.length > 2);
    expect(tags).toContain('P');
    expect(tags).not.toContain('BODY');
    expect(tags).not.toContain('H1');
    await frame.hover('main p:not(.lead)');
    const footNames = (style: string) =>
      eventually(
        () => page.$eval('section.proof footer', (node) => node.textContent ?? ''),
        (says) => says.startsWith(`${style} ·`),
      );
    await footNames('Body');
    await frame.$eval('h1', (node) => node.scrollIntoView());
    await frame.hover('h1');
    await footNames('Heading 1');
    // What is selected is named again once nothing is pointed at.
    await page.mouse.move(4, 400);
    await footNames('Body');
    // The body follows nothing: what it would be left to is said.
    for (const column of [1, 3, 4]) {
      await page.click(`tr[data-style="body"] [data-column="${column}"]`);
      const [label, title] = await page.$eval(
        `tr[data-style="body"] [data-column="${column}"] .follow`,
        (node) => [node.textContent?.trim(), node.getAttribute('title')],
      );
      expect(label).toBe('unset');
      expect(title).toContain('left to the visitor’s browser');
      await page.keyboard.press('Escape');
    }
    expect(errors).toEqual([]);
  });
});

describe('zoomed to 200 % in a window of 1280 × 800', () => {
  test.each(['faces', 'pair', 'scale', 'fallbacks', 'styles', 'deliver'])(
    '%s has more than half of the window',
    async (stage) => {
      // Twice the size is half the window, in px of CSS.
      await page.setViewport({ width: 640, height: 400 });
      await page.goto(`${lettera.url}/p/${SAMPLE}/${stage}`);
      await page.waitForSelector('.stage-head');
      const { height, width } = await page.$eval('.workbench', (node) => {
        const box = node.getBoundingClientRect();
        return { height: box.height, width: box.width };
      });
      expect(height).toBeGreaterThan(200);
      expect(width).toBe(640);
    },
  );
});

describe('on a narrow window', () => {
  test.each(['faces', 'pair', 'scale', 'fallbacks', 'styles', 'deliver'])(
    'workbench and proof take turns in %s',
    async (stage) => {
      await page.setViewport({ width: 800, height: 900 });
      await page.goto(`${lettera.url}/p/${SAMPLE}/${stage}`);
      const seen = (selector: string) =>
        page
          .$eval(selector, (node) => node.getBoundingClientRect().height > 300)
          .catch(() => false);
      await eventually(() => seen('.workbench'), Boolean);
      await press(page, 'Show the page', '.ledger');
      await eventually(() => seen('section.proof'), Boolean);
      expect(await seen('.workbench')).toBe(false);
      await press(page, 'Show the workbench', '.ledger');
      await eventually(() => seen('.workbench'), Boolean);
    },
  );
});

describe('five kinds of control', () => {
  test('each has a form of its own at rest, and what is unavailable says why', async () => {
    await open('styles');
    await page.waitForSelector('tr[data-style="body"]');
    const formOf = (selector: string) =>
      page.$eval(selector, (node) => {
        const style = getComputedStyle(node);
        return [
          style.borderTopWidth,
          style.borderBottomWidth,
          style.borderRadius,
          style.textDecorationLine,
          node.querySelector('svg') ? 'drawn' : '',
        ].join(' ');
      });
    const forms = await Promise.all(
      [
        '.l-tab[aria-selected="false"]',
        '.l-choice:not([aria-pressed="true"])',
        '.workbench .l-pick',
        '.l-onoff',
        '.workbench .l-do',
      ].map(formOf),
    );
    expect(new Set(forms).size).toBe(forms.length);
    await open('pair');
    await press(page, 'Voices', '[aria-label="Views"]');
    const remove = await page.waitForSelector(
      'section[aria-labelledby="voice-text"] .l-do[aria-disabled]',
    );
    expect(await remove?.evaluate((node) => node.getAttribute('title'))).toMatch(/^It sets Body/);
    await remove?.click();
    expect(await page.$('section[aria-labelledby="voice-text"]')).not.toBeNull();
  });
});
