import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser, Frame, Page } from 'puppeteer-core';
import type { ProjectDocument } from '@lettera/core/document';
import { violationsOn } from './axe';
import { choose, eventually, fill, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { changeProject } from './project';

/** The sheet of styles, the text elements, and what is to be put right, in the real interface. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let frame: Frame;
let errors: string[];
const api = () => `${lettera.url}/api/v1/projects/tarnholm-light`;
const projectOf = async () =>
  (await (await fetch(api())).json()) as { revision: number; document: ProjectDocument };
const stored = async (holds: (document: ProjectDocument) => boolean) =>
  (await eventually(projectOf, ({ document }) => holds(document))).document;

const patch = (operations: object[]) => changeProject(lettera, 'tarnholm-light', operations);

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});
beforeEach(async () => {
  await page?.close();
  ({ page, errors } = await newPage(browser));
  await page.goto(`${lettera.url}/p/tarnholm-light/styles`);
  frame = await proofFrame(page);
});

const view = (name: string) =>
  page.locator(`[aria-label="Views of Styles"] [role="tab"]::-p-text(${name})`).click();
const part = (name: string) => press(page, name, '[aria-label="Part of the sheet"]');
const leadIs = (property: string) =>
  frame.$eval('.lead', (node, name) => getComputedStyle(node).getPropertyValue(name), property);
/** A cell of the sheet by its style and its column. */
const cell = (style: string, column: number) =>
  `tr[data-style="${style}"] [data-column="${column}"]`;

test('every property that a style sets is what the browser computes', async () => {
  const set: Record<string, [value: string, css: string, computed: RegExp]> = {
    figures: ['oldstyle-nums tabular-nums', 'font-variant-numeric', /^oldstyle-nums tabular-nums$/],
    smallCaps: ['small-caps', 'font-variant-caps', /^small-caps$/],
    ligatures: ['no-common-ligatures', 'font-variant-ligatures', /^no-common-ligatures$/],
    opticalSize: ['none', 'font-optical-sizing', /^none$/],
    features: ['ss01, cv05 2', 'font-feature-settings', /^"cv05" 2, "ss01"$|^"ss01", "cv05" 2$/],
    axes: ['GRAD 20', 'font-variation-settings', /^"GRAD" 20$/],
    decoration: ['underline', 'text-decoration-line', /^underline$/],
    alignment: ['center', 'text-align', /^center$/],
    hyphenation: ['auto', 'hyphens', /^auto$/],
    wrapping: ['balance', 'text-wrap', /^balance$/],
    measure: ['240px', 'max-inline-size', /^240px$/],
    spaceBefore: ['2em', 'margin-top', /^\d/],
    spaceAfter: ['33px', 'margin-bottom', /^33px$/],
    inset: ['7px 9px', 'padding', /^7px 9px$/],
    ground: ['accent', 'background-color', /^rgb\(\d+, \d+, \d+\)$/],
    lineThickness: ['3px below', 'border-width', /^0px 0px 3px$/],
    lineKind: ['dashed', 'border-style', /^dashed$/],
    lineColour: ['ink', 'border-color', /^rgb\(\d+, \d+, \d+\)$/],
  };
  // The page's own layout has its way; what it leaves open is the style's.
  const own = ['max-inline-size', 'margin-top', 'margin-bottom'];
  await patch(
    Object.entries(set).map(([name, [value]]) => ({
      op: 'add',
      path: `/styles/lead/set/${name}`,
      value,
    })),
  );
  await eventually(
    () => leadIs('text-align'),
    (value) => value === 'center',
  );
  for (const [, css, wanted] of Object.values(set)) {
    if (!own.includes(css))
      expect([css, await leadIs(css)]).toEqual([css, expect.stringMatching(wanted)]);
  }
  const size = parseFloat(await leadIs('font-size'));
  await frame.$eval('.lead', (node) => {
    for (const sheet of document.styleSheets) (sheet as CSSStyleSheet).disabled = true;
    node.scrollIntoView();
  });
  expect(await leadIs('max-inline-size')).toBe('240px');
  expect(await leadIs('margin-bottom')).toBe('33px');
  expect(parseFloat(await leadIs('margin-top'))).toBeCloseTo(2 * size, 1);
  await press(page, 'Undo');
  await stored(({ styles }) => styles['lead']?.set.ground === undefined);
  expect(errors).toEqual([]);
});

describe('the sheet', () => {
  test('takes lengths and tags as they are typed, says what it cannot take, and lets follow', async () => {
    await part('Around it');
    await page.click(cell('lead', 2));
    await fill(page, 'Inset', '1.5 lines');
    await stored(({ styles }) => styles['lead']?.set.inset === '1.5lh');
    const line = parseFloat(await leadIs('line-height'));
    expect(parseFloat(await leadIs('padding-top'))).toBeCloseTo(1.5 * line, 0);
    await page.click(cell('lead', 2));
    await fill(page, 'Inset', 'a lot');
    await page.waitForSelector(`${cell('lead', 2)} [role="alert"]`);
    expect((await projectOf()).document.styles['lead']?.set.inset).toBe('1.5lh');
    await fill(page, 'Inset', ' ');
    await stored(({ styles }) => styles['lead']?.set.inset === undefined);
    expect(errors).toEqual([]);
  });

  test('is gone through by keys, copied, pasted, and let to follow, each by one change', async () => {
    await page.click(cell('heading-1', 0));
    await press(page, 'Done', 'tr.deeds');
    const focus = (style: string, column: number) => page.focus(cell(style, column));
    await focus('heading-1', 3);
    await page.keyboard.down('Shift');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.up('Shift');
    const before = (await projectOf()).document.styles;
    const command = async (key: 'c' | 'v', name: string) => {
      await page.keyboard.down('Control');
      await page.keyboard.press(key, { commands: [name] });
      await page.keyboard.up('Control');
    };
    await command('c', 'Copy');
    await focus('heading-3', 3);
    await command('v', 'Paste');
    const { styles } = await stored(
      ({ styles: now }) => now['heading-3']?.set.lineHeight === before['heading-1']?.set.lineHeight,
    );
    expect(styles['heading-3']?.set.step).toBe(before['heading-1']?.set.step);
    await press(page, 'Undo');
    await stored((now) => now.styles['heading-3']?.set.lineHeight === undefined);
    // From a spreadsheet, with a cell that is no value there.
    await page.focus(cell('lead', 1));
    await page.$eval(cell('lead', 1), (node) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', '520\titalics\r\n530\titalic\r\n');
      node.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
      );
    });
    const pasted = await stored((now) => now.styles['lead']?.set.weight === 520);
    const { styles: all } = pasted;
    const [after = ''] = Object.keys(all).slice(Object.keys(all).indexOf('lead') + 1);
    expect(all[after]?.set).toMatchObject({ weight: 530, slant: 'italic' });
    expect(await page.$eval('.told', (node) => node.textContent)).toContain(
      '“italics” is no slant for Lead',
    );
    await page.focus(cell('lead', 1));
    await page.keyboard.press('Delete');
    await stored((now) => now.styles['lead']?.set.weight === undefined);
    await page.keyboard.press('Enter');
    await page.waitForSelector('tr[data-style="lead"].selected');
    // The first leaves the cell, the second the style.
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('td.open'));
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    await page.waitForFunction(() => !document.querySelector('tr.selected'));
    expect(errors).toEqual([]);
  });

  test('has styles added, named, given a class and taken out, and is filtered', async () => {
    await press(page, 'Add a style');
    await page.locator('[aria-label="Name of a new style"]').fill('Side note');
    await press(page, 'Add it');
    const added = await stored(({ styles }) => styles['side-note']?.name === 'Side note');
    expect(added.styles['side-note']?.follows).toBe('body');
    await page.waitForSelector('tr[data-style="side-note"].selected');
    await fill(page, 'Name of Side note', 'Drawn out');
    await stored(({ styles }) => styles['side-note']?.name === 'Drawn out');
    await press(page, 'Give it a class');
    const { elements } = await stored(({ elements: all }) => 'side-note' in all);
    expect(elements['side-note']?.selectors).toEqual(['.side-note']);
    await press(page, 'Remove Drawn out', 'tr.deeds');
    const after = await stored(({ styles }) => !('side-note' in styles));
    expect(after.elements['side-note']?.style).toBe('body');
    await press(page, 'Undo');
    await stored(({ styles }) => 'side-note' in styles);
    const shown = () =>
      page.$$eval('.styles-table tbody tr.one', (all) =>
        all.map((row) => row.getAttribute('data-style')),
      );
    await page.locator('[aria-label="Filter by style or element"]').fill('h2');
    await eventually(shown, (keys) => keys.join() === 'heading-2');
    await page.locator('[aria-label="Filter by style or element"]').fill('nothing is called so');
    await press(page, 'Show all');
    await eventually(shown, (keys) => keys.length > 15);
    await part('Features');
    await press(page, 'set here only', '.tool-row');
    await eventually(shown, (keys) => keys.join() === 'table,time');
    expect(await violationsOn(page, 'Styles')).toEqual([]);
    expect(errors).toEqual([]);
  });
});

test('text elements are given selectors that are CSS, a style, and places on the page', async () => {
  await view('Elements');
  await page.waitForSelector('tr[data-element="lead"]');
  await press(page, 'Show on the page: 3 places of Heading 3[role="button"]');
  const tags = (selector: string) =>
    frame.$$eval(selector, (all) => all.map(({ tagName }) => tagName).join());
  const headings = await tags('h3');
  await eventually(
    () => tags('[data-lettera-out]'),
    (pointed) => pointed === headings,
  );
  await fill(page, 'Selectors of Lead', '.lead, .intro:is(p, div)');
  await stored(({ elements }) => elements['lead']?.selectors[1] === '.intro:is(p, div)');
  await fill(page, 'Selectors of Lead', '.lead {');
  await page.waitForFunction(() => document.body.textContent?.includes('Nothing was changed'));
  expect((await projectOf()).document.elements['lead']?.selectors).toHaveLength(2);
  await page.locator('[aria-label="Name of a new text element"]').fill('Notice');
  await page.locator('[aria-label="Its selectors"]').fill('h2');
  await press(page, 'Add it', '.workbench');
  await stored(({ elements }) => 'notice' in elements);
  // It stands last, and is shown there; rows far from the window are not there.
  await page.waitForFunction(() => {
    const row = document.querySelector('tr[data-element="notice"]')?.getBoundingClientRect();
    const sheet = document.querySelector('.workbench .scroll')?.getBoundingClientRect();
    return row && sheet && row.top >= sheet.top && row.bottom <= sheet.bottom + 1;
  });
  await page.$eval('.workbench .scroll', (sheet) => sheet.scrollTo(0, 0));
  await page.waitForFunction(() =>
    document.querySelector('tr[data-element="h2"]')?.textContent?.includes('of another'),
  );
  await page.locator('[aria-label="Filter text elements"]').fill('Notice');
  await press(page, 'Remove Notice[role="button"]');
  await stored(({ elements }) => !('notice' in elements));
  expect(await violationsOn(page, 'Text elements')).toEqual([]);
  expect(errors).toEqual([]);
});

test('strays, what is set for nothing, and styles that are the same or unworn have one action each', async () => {
  await patch([
    { op: 'add', path: '/styles/heading-3/set/letterSpacing', value: 0.05 },
    { op: 'remove', path: '/styles/heading-3/set/step' },
    {
      op: 'add',
      path: '/styles/lost',
      value: { name: 'Lost', follows: null, set: { weight: 611 } },
    },
    { op: 'add', path: '/styles/twin', value: { name: 'Twin', follows: 'lead', set: {} } },
    {
      op: 'add',
      path: '/styles/heir',
      value: { name: 'Heir', follows: 'twin', set: { weight: 450 } },
    },
    {
      op: 'add',
      path: '/elements/heir',
      value: { name: 'Heir', selectors: ['.heir'], style: 'heir', parent: null },
    },
    { op: 'add', path: '/styles/lead/set/slant', value: 'normal' },
  ]);
  await view('Clean-up');
  await press(page, 'Drop it: Lead, Slant: upright');
  await stored(({ styles }) => styles['lead']?.set.slant === undefined);
  await press(page, 'Remove it: Lost, shows nowhere');
  await stored(({ styles }) => !('lost' in styles));
  await press(page, 'Keep Lead: Lead, and Twin');
  const { styles } = await stored(({ styles: all }) => !('twin' in all));
  expect(styles['heir']?.follows).toBe('lead');
  expect(await violationsOn(page, 'To put right')).toEqual([]);
  expect(errors).toEqual([]);
});

test('a mark is set aside with a reason that is kept, and taken up again', async () => {
  await patch([{ op: 'add', path: '/styles/lead/set/letterSpacing', value: 0.2 }]);
  await view('Clean-up');
  await page.waitForFunction(() =>
    document.querySelector('.workbench .marks')?.textContent?.includes('Lead: words fall apart'),
  );
  const open = await page.$('.workbench .marks [aria-expanded="false"]');
  await open?.click();
  await page.locator('.workbench .marks [aria-label^="Set aside: Lead: words"]').click();
  await page.locator('[aria-label="Why it is set aside"]').fill('A campaign of a week');
  await press(page, 'Set it aside');
  await stored(({ aside }) => aside?.['spaced-text:lead'] === 'A campaign of a week');
  await page.waitForFunction(
    () => !document.querySelector('.workbench .marks')?.textContent?.includes('words fall apart'),
  );
  await page.reload();
  await proofFrame(page);
  await page.locator('footer [aria-expanded]::-p-text(mark)').click();
  await page.waitForSelector('::-p-text(A campaign of a week)');
  expect(await violationsOn(page, 'Marks set aside')).toEqual([]);
  await page.locator('::-p-text(Bring back)').click();
  await stored(({ aside }) => aside?.['spaced-text:lead'] === undefined);
  expect(errors).toEqual([]);
});

test('a starting set shows while pointed at, is taken, and is taken back', async () => {
  const line = () =>
    frame.$eval('body', (node) => {
      const style = getComputedStyle(node);
      return parseFloat(style.lineHeight) / parseFloat(style.fontSize);
    });
  const before = await line();
  await press(page, 'Starting sets');
  await page.locator('.l-fold ::-p-aria(Product[role="button"])').hover();
  await eventually(line, (height) => Math.abs(height - 1.45) < 0.01);
  expect((await projectOf()).document.styles['body']?.set.wrapping).toBeUndefined();
  await page.locator('.l-fold ::-p-aria(Reading[role="button"])').hover();
  await eventually(line, (height) => Math.abs(height - 1.6) < 0.01);
  expect(await violationsOn(page, 'Starting sets')).toEqual([]);
  await press(page, 'Reading', '.l-fold');
  await stored(({ styles }) => styles['body']?.set.wrapping === 'pretty');
  await press(page, 'Undo');
  await stored(({ styles }) => styles['body']?.set.wrapping === undefined);
  await eventually(line, (height) => Math.abs(height - before) < 0.01);
  expect(errors).toEqual([]);
});

test('what differs on narrow screens is set in cells of its own, and shows there alone', async () => {
  const navigation = (property: string) =>
    frame.$eval('nav', (node, name) => getComputedStyle(node).getPropertyValue(name), property);
  const usual = await navigation('font-weight');
  await choose(page, 'Where the sheet is', 'below 600 px');
  // The proof goes to a phone, where it can be seen.
  await page.waitForFunction(() =>
    document.querySelector('[aria-label="Proof"], section.proof')?.textContent?.includes('360 px'),
  );
  await page.click('tr[data-style="navigation"] [data-column="1"]');
  await fill(page, 'Weight', '640', 'tr.selected');
  await stored(({ styles }) => styles['navigation']?.narrow?.weight === 640);
  await eventually(
    () => navigation('font-weight'),
    (weight) => weight === '640',
  );
  expect(
    await page.$eval('tr[data-style="lead"] [data-column="3"]', (node) =>
      node.getAttribute('title'),
    ),
  ).toContain('every width');
  // A property that is set nowhere else is, too.
  await patch([{ op: 'add', path: '/styles/navigation/narrow/case', value: 'uppercase' }]);
  await eventually(
    () => navigation('text-transform'),
    (value) => value === 'uppercase',
  );
  await fill(page, 'Narrow below', '340');
  await stored(({ narrowBelow }) => narrowBelow === 340);
  await eventually(
    () => navigation('font-weight'),
    (weight) => weight === usual,
  );
  expect(await navigation('text-transform')).toBe('none');
  await press(page, 'Undo');
  await choose(page, 'Where the sheet is', 'every width');
  await eventually(
    () => navigation('font-weight'),
    (weight) => weight === usual,
  );
  // What is delivered does the same.
  const css = await (await fetch(`${api()}/bundle.zip`)).arrayBuffer();
  expect(css.byteLength).toBeGreaterThan(1000);
  expect(await violationsOn(page, 'Narrow screens')).toEqual([]);
  expect(errors).toEqual([]);
});

describe('colours', () => {
  const row = (colour: string) => `tbody[data-colour="${colour}"]`;

  test('are told with their contrast on each ground, and softer and stronger ones are proposed', async () => {
    await patch([
      { op: 'add', path: '/styles/caption/set/ground', value: 'panel' },
      { op: 'replace', path: '/colours/quiet/light', value: '#8a959d' },
    ]);
    await view('Colours');
    await page.waitForFunction(
      (at) => document.querySelector(at)?.textContent?.includes('Panel'),
      {},
      row('quiet'),
    );
    // Under what is needed on the panel, and marked.
    const low = await page.$$eval(`${row('quiet')} .figure.mark-text`, (all) =>
      all.map((node) => parseFloat(node.textContent ?? '')),
    );
    expect(low.length).toBeGreaterThan(0);
    expect(Math.max(...low)).toBeLessThan(4.5);
    const caption = () =>
      frame.$eval('figcaption', (node) => getComputedStyle(node).color.replace(/\s/g, ''));
    const before = await caption();
    const stronger = `${row('quiet')} [aria-label^="Stronger Slate on the light"]`;
    await page.locator(stronger).hover();
    await eventually(caption, (colour) => colour !== before);
    await page.mouse.move(640, 20);
    await eventually(caption, (colour) => colour === before);
    await page.locator(stronger).click();
    const { colours } = await stored(({ colours: all }) => all['quiet']?.light !== '#8a959d');
    expect(colours['quiet']?.light).toMatch(/^#[0-9a-f]{6}$/);
    await page.waitForFunction(
      (at) => document.querySelectorAll(`${at} .figure.mark-text`).length === 0,
      {},
      row('quiet'),
    );
    expect(await violationsOn(page, 'Colours')).toEqual([]);
    expect(errors).toEqual([]);
  });

  test('are typed in any form of CSS, picked by eye, named, and refused where they are none', async () => {
    await view('Colours');
    const field = `${row('accent')} [aria-label="Lantern red on the light background"]`;
    const type = async (text: string) => {
      await page.locator(field).fill(text);
      await page.keyboard.press('Tab');
    };
    await type('oklch(45% 0.15 30 / 0.8)');
    await stored(({ colours }) => colours['accent']?.light === 'oklch(45% 0.15 30 / 0.8)');
    await type('reddish');
    await page.waitForSelector('[role="alert"]');
    expect(await page.$eval(field, (node) => (node as HTMLInputElement).value)).toBe(
      'oklch(45% 0.15 30 / 0.8)',
    );
    // By eye: what it lets through stays.
    await page.$eval(`${row('accent')} input[type="color"]`, (node) => {
      (node as HTMLInputElement).value = '#204060';
      node.dispatchEvent(new Event('change', { bubbles: true }));
    });
    await stored(({ colours }) => colours['accent']?.light === '#204060cc');
    await page.locator('[aria-label="Name of Lantern red"]').fill('Sea');
    await page.keyboard.press('Tab');
    await stored(({ colours }) => colours['accent']?.name === 'Sea');
    await page.locator('[aria-label="Remove On lantern red"]').click();
    await stored(({ colours }) => colours['on-accent'] === undefined);
    expect(errors).toEqual([]);
  });
});

test('the whole site is checked at once, at both ends of the scale, and says where each mark was seen', async () => {
  await patch([
    { op: 'add', path: '/styles/table/set/letterSpacing', value: 0.001 },
    { op: 'add', path: '/styles/body/set/letterSpacing', value: 0.1 },
    { op: 'replace', path: '/colours/quiet/dark', value: '#39464e' },
  ]);
  await view('Clean-up');
  const site = '[aria-label="The whole site"]';
  await press(page, 'Check 5 pages', site);
  await page.waitForSelector(`${site} li`);
  const text = await page.$eval(site, (node) => node.textContent ?? '');
  expect(text).toContain('Body: words fall apart into letters');
  expect(text).toContain('On every page');
  // The dark ground is not delivered, and is tried all the same.
  expect(text).toContain('hard to read on the dark background');
  expect(await page.$('iframe[title="A page that is measured"]')).toBeNull();
  await page.locator(`${site} ::-p-text(Remove the letter spacing)`).click();
  await stored(({ styles }) => styles['body']?.set.letterSpacing === 0);
  await page.waitForFunction(
    (at) => document.querySelector(at)?.textContent?.includes('has changed since'),
    {},
    site,
  );
  expect(await violationsOn(page, 'The whole site')).toEqual([]);
  // Stopped, as soon as that is offered, it leaves nothing behind.
  await page.$eval(site, (part) => {
    const watching = new MutationObserver(() => {
      const stop = [...part.querySelectorAll('button')].find((node) => node.textContent === 'Stop');
      if (!stop) return;
      watching.disconnect();
      stop.click();
    });
    watching.observe(part, { childList: true, subtree: true });
  });
  await press(page, 'Check it again', site);
  await page.waitForSelector(`${site} ::-p-aria(Check 5 pages)`);
  expect(await page.$('iframe[title="A page that is measured"]')).toBeNull();
  expect(errors).toEqual([]);
});

test('a style in a voice of its own is told, and let follow', async () => {
  await patch([
    {
      op: 'add',
      path: '/voices/third',
      value: { name: 'Third', family: 'literata', generic: 'serif', fallback: null },
    },
    { op: 'add', path: '/styles/control/set/voice', value: 'third' },
  ]);
  await view('Clean-up');
  const list = '[aria-label="Outside the pair"]';
  await page.waitForFunction(
    (at) =>
      /Control\s*Third, Literata for \d+ styles/.test(
        document.querySelector(at)?.textContent ?? '',
      ),
    {},
    list,
  );
  await page.locator(`${list} ::-p-text(Let it follow)`).click();
  await stored(({ styles }) => styles['control']?.set.voice === undefined);
  await page.waitForFunction(
    (at) => document.querySelector(at)?.textContent?.includes('reaches every style'),
    {},
    list,
  );
  expect(errors).toEqual([]);
});
