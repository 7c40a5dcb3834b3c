import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { sizeAt, stepByNumber, type End } from '@lettera/core/scale';
import type { FamilyMeasures } from '@lettera/core/measure';
import type { Project } from '@lettera/server';
import type { Browser, Page } from 'puppeteer-core';
import { violationsOn } from './axe';
import { computed, eventually, fill, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';

const SLUG = 'tarnholm-light';

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let start: Project['document'];

const project = () => ask<Project>(lettera, `/projects/${SLUG}`);
const scaleNow = async () => (await project()).document.scale;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  start = (await project()).document;
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** The sample project as it was, at Scale, the proof as wide as a desktop. */
beforeEach(async () => {
  const { document } = await project();
  if (JSON.stringify(document) !== JSON.stringify(start)) {
    await changeProject(lettera, SLUG, [{ op: 'replace', path: '', value: start }]);
  }
  await page?.close();
  ({ page, errors } = await newPage(browser));
  await page.goto(`${lettera.url}/p/${SLUG}/scale`);
  await proofFrame(page);
  await page.waitForSelector('path.curve');
});

const proofed = async (selector: string): Promise<number> =>
  parseFloat((await computed(await proofFrame(page), selector, ['font-size']))['font-size'] ?? '');
const handle = (number: number, end: End) => `[data-end="${number} ${end}"]`;
const focusEnd = (number: number, end: End) =>
  page.$eval(handle(number, end), (node) => (node as SVGElement).focus());
const show = (view: string) => press(page, view, '[role="radiogroup"][aria-label="View"]');
const told = () => page.$eval('.told text', (node) => node.textContent?.trim() ?? '');
/** The marks on the scale, opened when they are folded. */
async function marksText(): Promise<(string | null)[]> {
  await page
    .$eval('.marks .head[aria-expanded="false"]', (node) => (node as HTMLElement).click())
    .catch(() => null);
  return page.$$eval('.marks li', (nodes) => nodes.map((node) => node.textContent));
}

/** The middle of an end on the screen. */
async function placeOf(number: number, end: End): Promise<{ x: number; y: number }> {
  const box = await (await page.waitForSelector(`${handle(number, end)} .dot`))?.boundingBox();
  if (!box) throw new Error('The end is not to be seen');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

describe('the chart', () => {
  test('an end dragged moves its series, the proof following, in one change that undo takes back', async () => {
    const { revision } = await project();
    const before = await proofed('h1');
    const { x, y } = await placeOf(5, 'large');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y - 12);
    await page.mouse.move(x, y - 24);
    const dragged = await eventually(
      () => proofed('h1'),
      (size) => size > before + 4,
    );
    expect(await told()).toContain(`up-5 at 1280 px: ${Math.round(dragged * 100) / 100} px`);
    // Nothing is stored before the hand lets go.
    expect((await project()).revision).toBe(revision);
    await page.mouse.up();
    const { document } = await eventually(project, (now) => now.revision === revision + 1);
    expect(document.scale.large.ratio).toBeGreaterThan(start.scale.large.ratio);
    expect(document.scale.overrides).toEqual({});
    expect(stepByNumber(document.scale, 5).large).toBeCloseTo(dragged, 1);
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await eventually(scaleNow, (scale) => scale.large.ratio === start.scale.large.ratio);
    expect(errors).toEqual([]);
  });

  test('a step dragged alone is set by hand, up to its neighbour, and a double-click gives it back', async () => {
    await press(page, 'that step alone');
    const { x, y } = await placeOf(3, 'large');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y - 150, { steps: 4 });
    await page.mouse.up();
    const scale = await eventually(scaleNow, ({ overrides }) => overrides['3'] !== undefined);
    expect(scale.overrides['3']?.large).toBeCloseTo(stepByNumber(scale, 4).large, 6);
    expect(scale.large).toEqual(start.scale.large);
    const place = await placeOf(3, 'large');
    await page.mouse.click(place.x, place.y, { count: 2 });
    await eventually(scaleNow, ({ overrides }) => Object.keys(overrides).length === 0);
  });

  test('Escape breaks a drag off without a trace', async () => {
    const { revision } = await project();
    const before = await proofed('body');
    const { x, y } = await placeOf(0, 'large');
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x, y - 40, { steps: 3 });
    await eventually(
      () => proofed('body'),
      (size) => size > before + 1,
    );
    await page.keyboard.press('Escape');
    await page.mouse.up();
    await eventually(
      () => proofed('body'),
      (size) => size === before,
    );
    expect((await project()).revision).toBe(revision);
  });

  test('by keyboard: a pixel, ten with Shift, the other end, the next step, given back', async () => {
    await focusEnd(0, 'large');
    await page.keyboard.press('ArrowUp');
    await eventually(scaleNow, ({ large }) => large.base === 20);
    await page.keyboard.down('Shift');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.up('Shift');
    await eventually(scaleNow, ({ large }) => large.base === 30);
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowDown');
    await eventually(scaleNow, ({ small }) => small.base === 16);
    await press(page, 'that step alone');
    await focusEnd(0, 'small');
    await page.keyboard.press(']');
    await page.keyboard.press('ArrowUp');
    await eventually(scaleNow, ({ overrides }) => overrides['1']?.small !== undefined);
    expect(await page.$eval(handle(1, 'small'), (node) => node.ariaValueText)).toMatch(
      /^up-1 at 360 px: 20\.2 px, set by hand$/,
    );
    await page.keyboard.press('Delete');
    await eventually(scaleNow, ({ overrides }) => overrides['1'] === undefined);
  });

  test('the proof’s width and the ends’ widths are lines to drag', async () => {
    const box = async (selector: string) =>
      (await (await page.waitForSelector(selector))?.boundingBox()) ?? {
        x: 0,
        y: 0,
        width: 0,
        height: 0,
      };
    await press(page, 'Tablet', 'section.proof');
    const line = await box('.here path');
    await page.mouse.move(line.x + 1, line.y + 20);
    await page.mouse.down();
    await page.mouse.move(line.x - 60, line.y + 20, { steps: 3 });
    await page.mouse.up();
    const width = await (await proofFrame(page)).evaluate(() => innerWidth);
    expect(width).toBeLessThan(720);
    const here = await page.$$eval('tr[data-step="0"] .figure', (nodes) => nodes[2]?.textContent);
    const { scale } = start;
    expect(here).toBe(`${Number(sizeAt(scale, stepByNumber(scale, 0), width).toFixed(2))} px`);

    const end = await box('.width[aria-label*="large"] .grip');
    await page.mouse.move(end.x + 20, end.y + 10);
    await page.mouse.down();
    await page.mouse.move(end.x + 60, end.y + 10, { steps: 3 });
    await page.mouse.up();
    const moved = await eventually(scaleNow, ({ large }) => large.width > 1280);
    expect(moved.large.width % 10).toBe(0);
  });

  test('a ratio is picked on the axis by its name', async () => {
    await page.$eval('.ends fieldset:nth-child(2) .tick:nth-of-type(5)', (node) => {
      node.scrollIntoView();
    });
    const tick = await page.$('.ends fieldset:nth-child(2) .tick:nth-of-type(5)');
    const place = await tick?.boundingBox();
    await page.mouse.move((place?.x ?? 0) + 4, (place?.y ?? 0) + 12);
    await eventually(
      () => proofed('h2'),
      (size) => Math.abs(size - 19 * (4 / 3) ** 3) < 0.1,
    );
    expect((await scaleNow()).large.ratio).toBe(1.28);
    await page.mouse.click((place?.x ?? 0) + 4, (place?.y ?? 0) + 12);
    await eventually(scaleNow, ({ large }) => large.ratio === 4 / 3);
  });
});

describe('trying', () => {
  test('shows on the proof, and is left without a trace or taken as one change', async () => {
    const { revision } = await project();
    const before = await proofed('h1');
    await press(page, 'Try without keeping');
    await fill(page, 'Base', '24', '.ends fieldset:nth-child(2)');
    await fill(page, 'Ratio', '4/3', '.ends fieldset:nth-child(2)');
    await eventually(
      () => proofed('h1'),
      (size) => Math.abs(size - 24 * (4 / 3) ** 5) < 0.1,
    );
    await press(page, 'Leave it as it was');
    await eventually(
      () => proofed('h1'),
      (size) => size === before,
    );
    expect((await project()).revision).toBe(revision);

    await press(page, 'Try without keeping');
    await fill(page, 'Base', '24', '.ends fieldset:nth-child(2)');
    await fill(page, 'Base', '18', '.ends fieldset:nth-child(1)');
    await press(page, 'Take it');
    const now = await eventually(project, (one) => one.revision > revision);
    expect(now.revision).toBe(revision + 1);
    expect([now.document.scale.small.base, now.document.scale.large.base]).toEqual([18, 24]);
  });

  test('a kind of site is shown while pointed at, and taken on a click', async () => {
    await show('Kinds of site');
    const body = await proofed('body');
    await (await page.waitForSelector('.view li:nth-child(1)'))?.hover();
    await eventually(
      () => proofed('body'),
      (size) => Math.abs(size - 21) < 0.02,
    );
    await page.hover('h1');
    await eventually(
      () => proofed('body'),
      (size) => size === body,
    );
    await press(page, 'Take the scale for long reading');
    await eventually(scaleNow, ({ small, large }) => small.base === 18 && large.base === 21);
  });
});

describe('the table of steps', () => {
  test('takes sizes in any unit, shows them in the one preferred, and gives a step back', async () => {
    await fill(page, 'up-2 at the large end', '2.25rem');
    await eventually(scaleNow, ({ overrides }) => overrides['2']?.large === 36);
    await press(page, 'rem', '[aria-label="Sizes shown in"]');
    const shown = () =>
      page.$eval(
        'input[aria-label="up-2 at the large end"]',
        (node) => (node as HTMLInputElement).value,
      );
    expect(await shown()).toBe('2.25');
    await press(page, 'pt', '[aria-label="Sizes shown in"]');
    expect(await shown()).toBe('27');
    await fill(page, 'up-2 at the large end', '24');
    await eventually(scaleNow, ({ overrides }) => overrides['2']?.large === 32);
    await page.$eval('input[aria-label="up-2 at the large end"]', (node) =>
      node.dispatchEvent(new MouseEvent('dblclick', { bubbles: true })),
    );
    await eventually(scaleNow, ({ overrides }) => overrides['2'] === undefined);
    await press(page, 'px', '[aria-label="Sizes shown in"]');
  });

  test('adds a step between two, which a style can take, and renames all steps at once', async () => {
    await page.$eval('tr[data-step="1"] button', (node) => (node as HTMLElement).click());
    await eventually(scaleNow, ({ added }) => added?.[0] === 1.5);
    await changeProject(lettera, SLUG, [{ op: 'add', path: '/styles/lead/set/step', value: 1.5 }]);
    const between = await eventually(
      () => proofed('.lead'),
      (size) => size > 25,
    );
    expect(between).toBeCloseTo(19 * 1.28 ** 1.5, 1);
    await press(page, 'small to large', '[aria-label="Names of steps"]');
    await eventually(scaleNow, ({ names }) => names?.scheme === 'sizes');
    const names = await eventually(
      () => page.$$eval('tbody .name', (nodes) => nodes.map((node) => node.textContent?.trim())),
      (list) => list.includes('large-plus'),
    );
    expect(names).toContain('medium');
    expect(
      await page.$$eval('text.label', (nodes) => nodes.map((node) => node.textContent?.trim())),
    ).toContain('large-plus');
    // A step that a style needs is not taken out, and why is said.
    await page.$eval('tr[data-step="1.5"] button', (node) => (node as HTMLElement).click());
    const refusal = await page.waitForSelector('.refused');
    expect(await refusal?.evaluate((node) => node.textContent)).toMatch(
      /Style Lead: step is step 1\.5/,
    );
    await press(page, 'own', '[aria-label="Names of steps"]');
    await fill(page, 'Own name of base', 'text');
    await eventually(scaleNow, ({ names: own }) => own?.own['0'] === 'text');
    await fill(page, 'Own name of up-1', 'text');
    await eventually(
      () => page.$eval('.refused', (node) => node.textContent ?? ''),
      (text) => text.includes('gives two steps the name “text”'),
    );
  });

  test('has a second series take over, with base and ratio of its own', async () => {
    await press(page, 'up-3', '[aria-label="A second series takes over from"]');
    await eventually(scaleNow, ({ display }) => display?.from === 3);
    const ratio = await page.$$('.settings input[aria-label="ratio"]');
    await ratio[1]?.click({ clickCount: 3 });
    await ratio[1]?.type('1.5');
    await page.keyboard.press('Enter');
    await eventually(scaleNow, ({ display }) => display?.large.ratio === 1.5);
    const { large } = (await scaleNow()).display ?? { large: { base: 0 } };
    await eventually(
      () => proofed('h1'),
      (size) => Math.abs(size - large.base * 1.5 ** 2) < 0.1,
    );
  });

  test.each([
    ['a base out of bounds', 'Base', '100', /from 8 to 64/],
    ['a ratio out of bounds', 'Ratio', '5', /from 1 to 3/],
    ['a ratio that is none', 'Ratio', 'wide', /no number/],
    ['a small width not less than the large', 'Viewport', '1280', /from 200 to 1279/],
  ])('says what is wrong with %s, and changes nothing', async (_what, label, value, message) => {
    const { revision } = await project();
    await fill(page, label, value, '.ends fieldset:nth-child(1)');
    expect(await page.$eval('.ends [role="alert"]', (node) => node.textContent)).toMatch(message);
    expect((await project()).revision).toBe(revision);
  });

  test('refuses 40 steps, and ends that cross unless that is wanted', async () => {
    await fill(page, 'above the base', '40');
    expect(await page.$eval('.settings [role="alert"]', (node) => node.textContent)).toContain(
      'from 0 to 12',
    );
    await page.keyboard.press('Escape');
    await fill(page, 'up-2 at the small end', '18');
    const refusal = await page.waitForSelector('.refused');
    expect(await refusal?.evaluate((node) => node.textContent)).toContain(
      'up-2 would be smaller than up-1 at 360 px, 18 px against 20.4 px.',
    );
    expect((await scaleNow()).overrides).toEqual({});
    await press(page, 'Let them cross all the same');
    await eventually(scaleNow, ({ overrides }) => overrides['2']?.small === 18);
    await eventually(marksText, (texts) =>
      texts.some((text) => text?.includes('up-2 is smaller than up-1 at 360 px')),
    );
    await press(page, 'Give both back to the ratio', '.marks');
    await eventually(scaleNow, ({ overrides }) => Object.keys(overrides).length === 0);
  });
});

describe('marks', () => {
  test('are shown put right while pointed at, and put right on a click', async () => {
    await changeProject(lettera, SLUG, [
      { op: 'replace', path: '/scale/small', value: { width: 360, base: 15, ratio: 1.08 } },
    ]);
    await eventually(marksText, (texts) =>
      texts.some((text) => text?.includes('cannot be told apart')),
    );
    await press(page, 'Phone', 'section.proof');
    const fix = await page.waitForSelector('.marks ::-p-text(Set the ratio at 360 px to)');
    await fix?.hover();
    const before = 15 * 1.08 ** 5;
    await eventually(
      () => proofed('h1'),
      (size) => size > before + 1,
    );
    expect((await scaleNow()).small.ratio).toBe(1.08);
    await fix?.click();
    const { small } = await eventually(scaleNow, (scale) => scale.small.ratio > 1.1);
    expect(small.ratio).toBeCloseTo(1.12, 2);
    await eventually(marksText, (texts) =>
      texts.some((text) => text?.includes('Body text wants 16 px')),
    );
  });
});

describe('lines', () => {
  test('count the characters that lines really hold, on the page', async () => {
    await show('Lines');
    const cell = () =>
      page.$eval('tr[data-style="body"] td:nth-child(2)', (node) =>
        parseInt(node.textContent ?? '', 10),
      );
    const told = await eventually(cell, (characters) => characters > 0);
    // Characters of a long paragraph over the lines that Chromium broke it into.
    const real = await (
      await proofFrame(page)
    ).evaluate(() => {
      const paragraphs = [...document.querySelectorAll('main > p:not(.lead)')].filter(
        (node) => (node.textContent?.length ?? 0) > 300,
      );
      const lines = paragraphs.map(
        (node) =>
          node.getBoundingClientRect().height / parseFloat(getComputedStyle(node).lineHeight),
      );
      const characters = paragraphs.map(
        (node) => node.textContent?.replace(/\s+/g, ' ').trim().length ?? 0,
      );
      const sum = (list: number[]) => list.reduce((total, one) => total + one, 0);
      // The last line of each is half full on average, and a line is cut short by half a word.
      return sum(characters) / (sum(lines) - paragraphs.length / 2) + 2.5;
    });
    expect(Math.abs(told / real - 1)).toBeLessThan(0.06);
    // A link in the site's title sets no size, so that its text is the title's.
    expect(
      await page.$eval('tr[data-style="title"] td:nth-child(2)', (node) => node.textContent),
    ).toContain('characters');
  });

  test('go by the advance that the server measures on the face', async () => {
    await show('Lines');
    const row = 'tr[data-style="body"] td:nth-child(2)';
    const text = await eventually(
      () => page.$eval(row, (node) => node.textContent ?? ''),
      (found) => found.includes('characters'),
    );
    const [, characters, column] = /(\d+) characters\s*in (\d+) px/.exec(text) ?? [];
    const measures = await ask<Record<string, FamilyMeasures>>(
      lettera,
      `/projects/${SLUG}/case/measures`,
    );
    const advance = measures['literata']?.regular.advance ?? NaN;
    expect(Number(characters)).toBeCloseTo(Number(column) / (19 * advance), -0.5);
  });

  test('are given the height suggested, one or all, and stand on a grid drawn on the proof', async () => {
    await show('Lines');
    const take = await page.waitForSelector('tr[data-style="heading-1"] .again');
    const label = await take?.evaluate((node) => node.textContent ?? '');
    const wanted = Number(/Take ([\d.]+)/.exec(label ?? '')?.[1]);
    await take?.click();
    await eventually(
      async () => (await project()).document.styles['heading-1']?.set.lineHeight,
      (height) => height === wanted,
    );
    await page.click('input[type="checkbox"]');
    await eventually(scaleNow, ({ grid }) => grid === 4);
    const frame = await proofFrame(page);
    await eventually(
      async () =>
        parseFloat((await computed(frame, 'main > p', ['line-height']))['line-height'] ?? '') % 4,
      (rest) => rest === 0,
    );
    expect(
      await frame.$eval('html', (node) => getComputedStyle(node, '::after').backgroundImage),
    ).toContain('repeating-linear-gradient');
  });
});

describe('from sizes', () => {
  test('finds the scale that comes closest, says what is no size, and keeps the odd one by hand', async () => {
    await show('From sizes');
    await page.type(
      '.given textarea',
      'h1 { font-size: 39px } h2 { font-size: 31px } h3 { font-size: 25px }',
    );
    await page.type(
      '.given textarea',
      ' p { font-size: 16px } .lead { font-size: 21px } small { font-size: 80% }',
    );
    const result = await page.waitForSelector('.result');
    expect(await result?.evaluate((node) => node.textContent)).toMatch(/16 px × 1\.2[45]/);
    expect(await page.$eval('.view details', (node) => node.textContent)).toContain(
      'font-size: 80%',
    );
    await page.click('[aria-label="Keep up-1 as given"]');
    await press(page, 'Take this scale');
    const scale = await eventually(scaleNow, ({ large }) => large.base === 16);
    expect(scale.overrides).toEqual({ '1': { large: 21 } });
    expect(scale.small).toEqual(start.scale.small);
    await eventually(
      () => proofed('h2'),
      (size) => Math.round(size) === 31,
    );
  });

  test('says when there are too few, and finds both ends at once', async () => {
    await show('From sizes');
    await page.type('.given textarea', '16 and some');
    await eventually(
      () => page.$eval('.view .mark-text', (node) => node.textContent ?? '').catch(() => ''),
      (text) => text.includes('1 size was read. 3 or more make a scale.'),
    );
    await page.type('.given textarea', ' 20 25 31.25');
    const [, small] = await page.$$('.given textarea');
    await small?.type('15 18 21.6 25.92');
    await eventually(
      () => page.$eval('.result', (node) => node.textContent ?? '').catch(() => ''),
      (text) =>
        text.includes('15 px × 1.2, a minor third') && text.includes('16 px × 1.25, a major third'),
    );
  });
});

test('a family that changes is compared by apparent size, and the offer kept until it is answered', async () => {
  await changeProject(lettera, SLUG, [
    { op: 'replace', path: '/voices/text/family', value: 'bricolage-grotesque' },
  ]);
  await page.waitForSelector('.offers button');
  const before = await proofed('body');
  const text = await page.$eval('.offers p', (node) => node.textContent ?? '');
  const [, says] = /Text looks ([\d.]+) % larger in Bricolage Grotesque/.exec(text) ?? [];
  await page.reload();
  await (await page.waitForSelector('.offers button'))?.click();
  const { large } = await eventually(scaleNow, (scale) => scale.large.base !== 19);
  expect(large.base).toBeCloseTo(before / (1 + Number(says) / 100), 0);
  await page.waitForFunction(() => !document.querySelector('.offers'));
});

test.each(['light', 'dark'])(
  'every view passes WCAG 2.2 AA in the %s room, as far as axe can tell',
  async (theme) => {
    await changeProject(lettera, SLUG, [
      { op: 'replace', path: '/scale/small/ratio', value: 1.05 },
      { op: 'add', path: '/scale/overrides/3', value: { large: 42 } },
      { op: 'add', path: '/scale/names', value: { scheme: 'own', own: { '0': 'text' } } },
    ]);
    await page.evaluate((name) => localStorage.setItem('lettera:theme', name), theme);
    await page.reload();
    await proofFrame(page);
    await eventually(marksText, (texts) => texts.length > 0);
    await press(page, 'Try without keeping');
    await fill(page, 'Base', '20', '.ends fieldset:nth-child(2)');
    const found: string[] = [];
    for (const view of [
      'Steps',
      'Ladder',
      'Lines',
      'Between the ends',
      'From sizes',
      'Kinds of site',
    ]) {
      await show(view);
      if (view === 'From sizes') {
        await page.type('.given textarea', '14 16 21 28 what');
        await page.waitForSelector('.result');
      }
      found.push(...(await violationsOn(page, view)));
    }
    await page.evaluate(() => localStorage.removeItem('lettera:theme'));
    expect(found).toEqual([]);
  },
);
