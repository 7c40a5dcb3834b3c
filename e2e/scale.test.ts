import { describe, expect, test } from '@jest/globals';
import type { FamilyMeasures } from '@lettera/core/measure';
import { sizeAt, stepByNumber } from '@lettera/core/scale';
import { atScale } from './atScale';
import { violationsOn } from './axe';
import { computed, eventually, fill, press, proofFrame, setProofWidth } from './browser';
import { ask } from './project';

const at = atScale();

describe('the table of steps', () => {
  test('takes sizes in any unit, shows them in the one preferred, and gives a step back', async () => {
    await fill(at.page, 'up-2 at the large end', '2.25rem');
    await eventually(at.scaleNow, ({ overrides }) => overrides['2']?.large === 36);
    await press(at.page, 'rem', '[aria-label="Sizes shown in"]');
    const shown = () =>
      at.page.$eval(
        'input[aria-label="up-2 at the large end"]',
        (node) => (node as HTMLInputElement).value,
      );
    expect(await shown()).toBe('2.25');
    await press(at.page, 'pt', '[aria-label="Sizes shown in"]');
    expect(await shown()).toBe('27');
    await fill(at.page, 'up-2 at the large end', '24');
    await eventually(at.scaleNow, ({ overrides }) => overrides['2']?.large === 32);
    await at.page.$eval('input[aria-label="up-2 at the large end"]', (node) =>
      node.dispatchEvent(new MouseEvent('dblclick', { bubbles: true })),
    );
    await eventually(at.scaleNow, ({ overrides }) => overrides['2'] === undefined);
    await press(at.page, 'px', '[aria-label="Sizes shown in"]');
  });

  test('adds a step between two, which a style can take, and renames all steps at once', async () => {
    await at.page.$eval('tr[data-step="1"] button', (node) => (node as HTMLElement).click());
    await eventually(at.scaleNow, ({ added }) => added?.[0] === 1.5);
    await at.change({ op: 'add', path: '/styles/lead/set/step', value: 1.5 });
    const between = await eventually(
      () => at.proofed('.lead'),
      (size) => size > 25,
    );
    expect(between).toBeCloseTo(19 * 1.28 ** 1.5, 1);
    await press(at.page, 'small to large', '[aria-label="Names of steps"]');
    await eventually(at.scaleNow, ({ names }) => names?.scheme === 'sizes');
    const names = await eventually(
      () => at.page.$$eval('tbody .name', (nodes) => nodes.map((node) => node.textContent?.trim())),
      (list) => list.includes('large-plus'),
    );
    expect(names).toContain('medium');
    expect(
      await at.page.$$eval('text.label', (nodes) => nodes.map((node) => node.textContent?.trim())),
    ).toContain('large-plus');
    // A step that a style needs is not taken out, and why is said.
    await at.page.$eval('tr[data-step="1.5"] button', (node) => (node as HTMLElement).click());
    const refusal = await at.page.waitForSelector('.refusal');
    expect(await refusal?.evaluate((node) => node.textContent)).toMatch(
      /Style Lead: size is step 1\.5/,
    );
    await press(at.page, 'own', '[aria-label="Names of steps"]');
    await fill(at.page, 'Own name of base', 'text');
    await eventually(at.scaleNow, ({ names: own }) => own?.own['0'] === 'text');
    await fill(at.page, 'Own name of up-1', 'text');
    const named = 'tr[data-step="1"] .name';
    const refused = () =>
      at.page.$eval(`${named} [role="alert"]`, (node) => node.textContent ?? '');
    expect(await refused()).toMatch(/^“text” is the name of the step of [\d.]+ px already\.$/);
    // What was typed is there to be put right.
    const typed = () => at.page.$eval(`${named} input`, (node) => (node as HTMLInputElement).value);
    expect(await typed()).toBe('text');
    await fill(at.page, 'Own name of up-1', 'Sub heading');
    expect(await refused()).toMatch(/^“Sub heading” cannot be part/);
    expect(await typed()).toBe('Sub heading');
    await fill(at.page, 'Own name of up-1', 'sub-heading');
    await eventually(at.scaleNow, ({ names: own }) => own?.own['1'] === 'sub-heading');
    expect(await at.page.$(`${named} [role="alert"]`)).toBeNull();
  });

  test('has a second series take over, with base and ratio of its own', async () => {
    await press(at.page, 'up-3', '[aria-label="A second series begins at"]');
    await eventually(at.scaleNow, ({ display }) => display?.from === 3);
    const ratio = await at.page.$$('.settings input[aria-label="ratio"]');
    await ratio[1]?.click({ clickCount: 3 });
    await ratio[1]?.type('1.5');
    await at.page.keyboard.press('Enter');
    await eventually(at.scaleNow, ({ display }) => display?.large.ratio === 1.5);
    const { large } = (await at.scaleNow()).display ?? { large: { base: 0 } };
    await eventually(
      () => at.proofed('h1'),
      (size) => Math.abs(size - large.base * 1.5 ** 2) < 0.1,
    );
  });

  test.each([
    ['a base out of bounds', 'Base', '100', /from 8 to 64/],
    ['a ratio out of bounds', 'Ratio', '5', /from 1 to 3/],
    ['a ratio that is none', 'Ratio', 'wide', /no number/],
    ['a small width not less than the large', 'Viewport', '1280', /from 200 to 1279/],
  ])('says what is wrong with %s, and changes nothing', async (_what, label, value, message) => {
    const { revision } = await at.project();
    await fill(at.page, label, value, '.ends fieldset:nth-child(1)');
    expect(await at.page.$eval('.ends [role="alert"]', (node) => node.textContent)).toMatch(
      message,
    );
    expect((await at.project()).revision).toBe(revision);
  });

  test('refuses 40 steps, and ends that cross unless that is wanted', async () => {
    await fill(at.page, 'above the base', '40');
    expect(await at.page.$eval('.settings [role="alert"]', (node) => node.textContent)).toContain(
      'from 0 to 12',
    );
    await at.page.keyboard.press('Escape');
    await fill(at.page, 'up-2 at the small end', '18');
    const refusal = await at.page.waitForSelector('.refusal');
    expect(await refusal?.evaluate((node) => node.textContent)).toContain(
      'up-2 would be smaller than up-1 at 360 px, 18 px against 20.4 px.',
    );
    expect((await at.scaleNow()).overrides).toEqual({});
    await press(at.page, 'Let them cross anyway');
    await eventually(at.scaleNow, ({ overrides }) => overrides['2']?.small === 18);
    await eventually(at.marksText, (texts) =>
      texts.some((text) => text?.includes('up-2 is smaller than up-1 at 360 px')),
    );
    await press(at.page, 'Give both back to the ratio', '.marks');
    await eventually(at.scaleNow, ({ overrides }) => Object.keys(overrides).length === 0);
  });
});

describe('marks', () => {
  test('are shown put right while pointed at, and put right on a click', async () => {
    await at.change({
      op: 'replace',
      path: '/scale/small',
      value: { width: 360, base: 15, ratio: 1.08 },
    });
    await eventually(at.marksText, (texts) =>
      texts.some((text) => text?.includes('cannot be told apart')),
    );
    await setProofWidth(at.page, 'phone');
    const fix = await at.page.waitForSelector('.marks ::-p-text(Set the ratio at 360 px to)');
    await fix?.hover();
    const before = 15 * 1.08 ** 5;
    await eventually(
      () => at.proofed('h1'),
      (size) => size > before + 1,
    );
    expect((await at.scaleNow()).small.ratio).toBe(1.08);
    await fix?.click();
    const { small } = await eventually(at.scaleNow, (scale) => scale.small.ratio > 1.1);
    expect(small.ratio).toBeCloseTo(1.12, 2);
    await eventually(at.marksText, (texts) =>
      texts.some((text) => text?.includes('Body text wants 16 px')),
    );
  });
});

describe('lines', () => {
  test('count the characters that lines really hold, on the page', async () => {
    await at.show('Lines');
    const cell = () =>
      at.page.$eval('tr[data-style="body"] td:nth-child(2)', (node) =>
        parseInt(node.textContent ?? '', 10),
      );
    const told = await eventually(cell, (characters) => characters > 0);
    // Characters of a long paragraph over the lines that Chromium broke it into.
    const real = await (
      await proofFrame(at.page)
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
      await at.page.$eval('tr[data-style="title"] td:nth-child(2)', (node) => node.textContent),
    ).toContain('characters');
  });

  test('go by the advance that the server measures on the face', async () => {
    await at.show('Lines');
    const row = 'tr[data-style="body"] td:nth-child(2)';
    const text = await eventually(
      () => at.page.$eval(row, (node) => node.textContent ?? ''),
      (found) => found.includes('characters'),
    );
    const [, characters, column] = /(\d+) characters\s*in (\d+) px/.exec(text) ?? [];
    const measures = await ask<Record<string, FamilyMeasures>>(
      at.lettera,
      `/projects/${at.slug}/case/measures`,
    );
    const advance = measures['literata']?.regular.advance ?? NaN;
    expect(Number(characters)).toBeCloseTo(Number(column) / (19 * advance), -0.5);
  });

  test('are given the height suggested, one or all, and stand on a grid drawn on the proof', async () => {
    await at.show('Lines');
    const take = await at.page.waitForSelector('tr[data-style="heading-1"] .l-do');
    // What is suggested may be another once the face has been measured: what is clicked counts.
    const label = await take?.evaluate((node) => {
      const { textContent } = node;
      (node as HTMLElement).click();
      return textContent;
    });
    const wanted = Number(/Use ([\d.]+)/.exec(label ?? '')?.[1]);
    await eventually(
      async () => (await at.project()).document.styles['heading-1']?.set.lineHeight,
      (height) => height === wanted,
    );
    await at.page.click('.view .l-onoff');
    await eventually(at.scaleNow, ({ grid }) => grid === 4);
    const frame = await proofFrame(at.page);
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

describe('between the ends', () => {
  const titleOf = 'main article h3';

  test('sizes follow the containers that are named, on the proof too', async () => {
    await at.show('Between the ends');
    const free = await at.proofed(titleOf);
    await press(at.page, 'with a container', '.view');
    await eventually(at.scaleNow, ({ between }) => between === 'container');
    await at.page.type('.view .selectors', '.notices article, ');
    await at.page.keyboard.press('Enter');
    const { containers } = await eventually(at.scaleNow, (scale) => scale.containers !== undefined);
    expect(containers).toEqual(['.notices article']);
    const scale = await at.scaleNow();
    const width = await (
      await proofFrame(at.page)
    ).$eval('main article', (node) => node.getBoundingClientRect().width);
    const within = await eventually(
      () => at.proofed(titleOf),
      (size) => size < free,
    );
    expect(within).toBeCloseTo(sizeAt(scale, stepByNumber(scale, 2), width), 1);
  });

  test('plain sizes change at one width, which can be moved and given back', async () => {
    await at.show('Between the ends');
    await press(at.page, 'at one width', '.view');
    await setProofWidth(at.page, 'tablet');
    await eventually(
      () => at.proofed('body'),
      (size) => size === 17,
    );
    await fill(at.page, 'Changes at', '700');
    await eventually(
      () => at.proofed('body'),
      (size) => size === 19,
    );
    await fill(at.page, 'Changes at', '2000');
    expect(await at.page.$eval('.view [role="alert"]', (node) => node.textContent)).toContain(
      'from 361 to 1280',
    );
  });
});

describe('from sizes', () => {
  test('finds the scale that comes closest, says what is no size, and keeps the odd one by hand', async () => {
    await at.show('From sizes');
    await at.page.type(
      '.given textarea',
      'h1 { font-size: 39px } h2 { font-size: 31px } h3 { font-size: 25px }',
    );
    await at.page.type(
      '.given textarea',
      ' p { font-size: 16px } .lead { font-size: 21px } small { font-size: 80% }',
    );
    const result = await at.page.waitForSelector('.result');
    expect(await result?.evaluate((node) => node.textContent)).toMatch(/16 px × 1\.2[45]/);
    expect(await at.page.$eval('.view details', (node) => node.textContent)).toContain(
      'font-size: 80%',
    );
    await at.page.click('[aria-label="Keep up-1 as given"]');
    await press(at.page, 'Use this scale');
    const scale = await eventually(at.scaleNow, ({ large }) => large.base === 16);
    expect(scale.overrides).toEqual({ '1': { large: 21 } });
    expect(scale.small).toEqual(at.start.scale.small);
    await eventually(
      () => at.proofed('h2'),
      (size) => Math.round(size) === 31,
    );
  });

  test('says when there are too few, and finds both ends at once', async () => {
    await at.show('From sizes');
    await at.page.type('.given textarea', '16 and some');
    await eventually(
      () => at.page.$eval('.view .mark-text', (node) => node.textContent ?? '').catch(() => ''),
      (text) => text.includes('1 size was read. 3 or more make a scale.'),
    );
    await at.page.type('.given textarea', ' 20 25 31.25');
    const [, small] = await at.page.$$('.given textarea');
    await small?.type('15 18 21.6 25.92');
    await eventually(
      () => at.page.$eval('.result', (node) => node.textContent ?? '').catch(() => ''),
      (text) =>
        text.includes('15 px × 1.2, a minor third') && text.includes('16 px × 1.25, a major third'),
    );
  });
});

test('a family that changes is compared by apparent size, and the offer kept until it is answered', async () => {
  await at.change({ op: 'replace', path: '/voices/text/family', value: 'bricolage-grotesque' });
  await at.page.waitForSelector('.offers button');
  const before = await at.proofed('body');
  const text = await at.page.$eval('.offers p', (node) => node.textContent ?? '');
  const [, says] = /Text looks ([\d.]+) % larger in Bricolage Grotesque/.exec(text) ?? [];
  await at.page.reload();
  await (await at.page.waitForSelector('.offers button'))?.click();
  const { large } = await eventually(at.scaleNow, (scale) => scale.large.base !== 19);
  expect(large.base).toBeCloseTo(before / (1 + Number(says) / 100), 0);
  await at.page.waitForFunction(() => !document.querySelector('.offers'));
});

test.each(['light', 'dark'])(
  'every view passes WCAG 2.2 AA in the %s room, as far as axe can tell',
  async (theme) => {
    await at.change(
      { op: 'replace', path: '/scale/small/ratio', value: 1.05 },
      { op: 'add', path: '/scale/overrides/3', value: { large: 42 } },
      { op: 'add', path: '/scale/names', value: { scheme: 'own', own: { '0': 'text' } } },
    );
    await at.page.evaluate((name) => localStorage.setItem('lettera:theme', name), theme);
    await at.page.reload();
    await proofFrame(at.page);
    await eventually(at.marksText, (texts) => texts.length > 0);
    await press(at.page, 'Try without keeping');
    await fill(at.page, 'Base', '20', '.ends fieldset:nth-child(2)');
    const found: string[] = [];
    for (const view of [
      'Steps',
      'Ladder',
      'Lines',
      'Between the ends',
      'From sizes',
      'Kinds of site',
    ]) {
      await at.show(view);
      if (view === 'From sizes') {
        await at.page.type('.given textarea', '14 16 21 28 what');
        await at.page.waitForSelector('.result');
      }
      found.push(...(await violationsOn(at.page, view)));
    }
    await at.page.evaluate(() => localStorage.removeItem('lettera:theme'));
    expect(found).toEqual([]);
  },
);
