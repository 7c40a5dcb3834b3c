import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { violationsOn } from './axe';
import {
  choose,
  eventually,
  fill,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  openView,
  aboutPage,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { changeProject } from './project';

/** Other ways to look at the proof, what a change has moved, and marks in its margin. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
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
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  await proofFrame(page, { asItIs: true });
});

const patch = (operations: object[]) => changeProject(lettera, 'tarnholm-light', operations);

const look = async (...choices: string[]) => {
  await openView(page);
  for (const choice of choices) await press(page, choice, '.l-fold');
  await page.keyboard.press('Escape');
};
const lookBeside = async (choice: string) => {
  await openView(page);
  await choose(page, 'Beside it', choice);
  await page.keyboard.press('Escape');
};
/** What the frames of the proof come to, the proof itself first. */
const frames = () =>
  page.$$eval('section.proof iframe.ready', (all) =>
    all.map((frame) => {
      const inside = (frame as HTMLIFrameElement).contentDocument as Document;
      const h1 = inside.querySelector('h1') as Element;
      const style = getComputedStyle(h1);
      return {
        width: inside.documentElement.getBoundingClientRect().width,
        viewport: inside.defaultView?.innerWidth ?? 0,
        shown: frame.getBoundingClientRect().width,
        size: parseFloat(style.fontSize),
        family: style.fontFamily.split(',')[0],
        colour: style.color,
        top: inside.scrollingElement?.scrollTop ?? 0,
      };
    }),
  );

describe('the page beside itself', () => {
  test('is as wide as a phone, in the other fonts, or on the other ground, and moves along', async () => {
    await lookBeside('Phone');
    const [, phone] = await eventually(frames, (all) => all.length === 2);
    expect(phone?.viewport).toBe(360);
    expect(phone?.size).toBeCloseTo(42.3, 1);
    await lookBeside('Other faces');
    await eventually(frames, ([, b]) => / for /.test(b?.family ?? ''));
    const [first, second] = await frames();
    expect(first?.family).toBe('"Bricolage Grotesque"');
    expect(second?.family).toMatch(/ for Bricolage Grotesque/);
    expect(second?.viewport).toBe(first?.viewport);
    await lookBeside('Other background');
    await eventually(frames, ([a, b]) => Boolean(a && b && a.colour !== b.colour));
    await page.$eval('section.proof iframe.ready', (frame) =>
      (frame as HTMLIFrameElement).contentDocument?.scrollingElement?.scrollTo(0, 900),
    );
    await eventually(frames, ([, other]) => (other?.top ?? 0) > 500);
    await lookBeside('Alone');
    await eventually(frames, (all) => all.length === 1);
    expect(errors).toEqual([]);
  });

  test('is as it was when it was opened', async () => {
    const [before] = await frames();
    await fill(page, 'Base', '24', '.ends fieldset:nth-child(1)');
    await lookBeside('As opened');
    const [now, opened] = await eventually(
      frames,
      (all) => all.length === 2 && (all[0]?.size ?? 0) > (all[1]?.size ?? 0),
    );
    expect(opened?.viewport).toBe(now?.viewport);
    expect(before?.size).toBeDefined();
    await press(page, 'Undo');
  });
});

test('two contenders stand side by side', async () => {
  const [before] = await frames();
  await patch([
    {
      op: 'add',
      path: '/contenders',
      value: [{ heading: 'case/literata', text: 'case/literata' }],
    },
  ]);
  await lookBeside('Contender');
  const [, contender] = await eventually(
    frames,
    ([, other]) => other !== undefined && other.family !== before?.family,
  );
  expect(before?.family).toBe('"Bricolage Grotesque"');
  expect(contender?.family).toBe('Literata');
  expect(await page.$eval('.other .says', (node) => node.textContent)).toContain('Literata');
  expect(errors).toEqual([]);
});

test('words of another language stand in place of the page’s, and go again', async () => {
  const words = async () => {
    const frame = await proofFrame(page, { asItIs: true });
    return frame.evaluate(() => ({
      lang: document.documentElement.lang,
      heading: document.querySelector('h1')?.textContent ?? '',
      figures: /\d{2}:\d{2}/.test(document.body.textContent ?? ''),
    }));
  };
  const written = await words();
  const choose = async (name: string) => {
    await openView(page);
    await page.locator('.l-fold [aria-label="Words in"]').click();
    await page.locator(`[role="listbox"] ::-p-aria(${name}[role="option"])`).click();
    await page.keyboard.press('Escape');
  };
  await choose('Polish');
  const polish = await eventually(words, ({ lang }) => lang === 'pl');
  expect(polish.heading).toMatch(/[ąćęłńóśźż]/);
  expect(Math.abs(polish.heading.length - written.heading.length)).toBeLessThan(12);
  expect(polish.figures).toBe(written.figures);
  await choose('As it is written');
  expect(await eventually(words, ({ lang }) => lang !== 'pl')).toEqual(written);
  expect(errors).toEqual([]);
});

test('a page in Arabic runs from right to left, one in Japanese has words and not sentences', async () => {
  const frame = await proofFrame(page, { asItIs: true });
  const inLanguage = async (name: string) => {
    await openView(page);
    await choose(page, 'Words in', name);
    await page.keyboard.press('Escape');
  };
  const said = () =>
    frame.evaluate(() => {
      const { documentElement: root, body } = document;
      const heading = document.querySelector('h1') as HTMLElement;
      const text = document.createRange();
      text.selectNodeContents(heading);
      const [box, ink] = [heading.getBoundingClientRect(), text.getClientRects()[0] as DOMRect];
      return {
        lang: root.lang,
        // Where a line of a block begins.
        begins: Math.abs(box.right - ink.right) < Math.abs(ink.left - box.left) ? 'right' : 'left',
        direction: getComputedStyle(body).direction,
        others: [...body.querySelectorAll('[lang]')].map((one) => one.getAttribute('lang')),
        links: [...document.querySelectorAll('nav a')].map((one) => one.textContent.trim().length),
      };
    });
  const before = await said();
  expect(before).toMatchObject({ lang: 'en', direction: 'ltr', begins: 'left' });
  await inLanguage('Arabic');
  const arabic = await eventually(said, ({ lang }) => lang === 'ar');
  expect(arabic).toMatchObject({ direction: 'rtl', begins: 'right' });
  expect(arabic.others).toEqual(before.others.map(() => 'ar'));
  await inLanguage('Japanese');
  const japanese = await eventually(said, ({ lang }) => lang === 'ja');
  expect(japanese).toMatchObject({ direction: 'ltr', begins: 'left' });
  expect(Math.max(...japanese.links)).toBeLessThanOrEqual(Math.max(...before.links));
  await inLanguage('As it is written');
  expect(await eventually(said, ({ lang }) => lang === 'en')).toEqual(before);
  expect(errors).toEqual([]);
});

test('zooming makes the viewport narrower, as a browser does, and the page as much larger', async () => {
  const [plain] = await frames();
  await look('200 %');
  const [zoomed] = await eventually(frames, ([one]) => one?.viewport !== plain?.viewport);
  expect(zoomed?.viewport).toBe(Math.round((plain?.viewport ?? 0) / 2));
  expect(zoomed?.shown).toBeCloseTo(plain?.shown ?? 0, 0);
  await look('100 %');
  await openView(page);
  await press(page, '200 %', '.l-fold [aria-label="Visitor’s text at"]');
  const [larger] = await eventually(frames, ([one]) => (one?.size ?? 0) > 1.5 * (plain?.size ?? 0));
  expect(larger?.viewport).toBe(plain?.viewport);

  // As delivered, the italics have no bold of their own, and no letters that the site does not need.
  const italics = async () => {
    const frame = await proofFrame(page, { asItIs: true });
    return frame.evaluate(() =>
      [...document.fonts]
        .filter(
          ({ family, style }) =>
            family.includes('Literata') && !family.includes('for') && style === 'italic',
        )
        .map(({ weight }) => weight),
    );
  };
  expect([...new Set(await italics())]).toEqual(['200 900']);
  await press(page, 'As delivered', '.l-fold [aria-label="Font files"]');
  expect([...new Set(await eventually(italics, (all) => !all.includes('200 900')))]).toEqual([
    '400',
  ]);
  await press(page, 'As added', '.l-fold [aria-label="Font files"]');
  expect(await violationsOn(page, 'View')).toEqual([]);
});

test('what a change has moved is told for phone and desktop, and pointed at', async () => {
  await fill(page, 'Ratio', '1.4', '.ends fieldset:nth-child(2)');
  await aboutPage(page);
  await press(page, 'What moved', 'section.proof [role="tablist"]');
  const told = () =>
    page.$$eval('section.proof aside h3', (all) =>
      all.map((node) => node.textContent ?? '').filter((text) => text.startsWith('At ')),
    );
  const [phone, desktop] = await eventually(told, (all) => all.length === 2);
  expect(phone).toMatch(/^At 360 px: [\d,]+ px high, as before$/);
  expect(desktop).toMatch(/^At 1280 px: [\d,]+ px high, \d+ px more than before$/);
  expect(await page.$eval('section.proof aside', (node) => node.textContent)).toContain(
    '3 to 4 lines',
  );
  await press(
    page,
    'Show on the page: A light has burned on Tarnholm every night since the winter …',
  );
  const frame = await proofFrame(page, { asItIs: true });
  expect(
    await frame.$$eval('[data-lettera-out]', (all) => all.map(({ tagName }) => tagName)),
  ).toEqual(['H1']);
  await press(page, 'Undo');
  await eventually(told, ([, one]) => / less than before$/.test(one ?? ''));
  // Any change of the history can be asked, not only the last.
  await press(page, 'One change');
  await page.locator('aside [aria-label="Which change"]').click();
  await page.locator('[role="listbox"] [role="option"]:nth-of-type(2)').click();
  await eventually(told, ([, one]) => / more than before$/.test(one ?? ''));
  expect(errors).toEqual([]);
});

test('a mark stands beside its line, is tried while pointed at, and is put right in place', async () => {
  const frame = await proofFrame(page, { asItIs: true });
  const lead = () => frame.$eval('.lead', (node) => parseFloat(getComputedStyle(node).lineHeight));
  await patch([{ op: 'add', path: '/styles/lead/set/lineHeight', value: 1.05 }]);
  const close = await eventually(lead, (height) => height < 24);
  const mark = await page.waitForSelector('.margin > li > button[aria-label*="Lead"]');
  const beside = async () => {
    const box = await mark?.boundingBox();
    const line = await frame.$eval('.lead', (node) => node.getBoundingClientRect().top);
    const outer = await (await page.$('section.proof iframe.ready'))?.boundingBox();
    return Math.abs((box?.y ?? 0) - (outer?.y ?? 0) - line);
  };
  await eventually(beside, (apart) => apart < 2);
  await frame.evaluate(() => window.scrollTo(0, 120));
  await eventually(beside, (apart) => apart < 2);
  await frame.evaluate(() => window.scrollTo(0, 0));
  await mark?.click();
  // Marks are looked for again while the page is tried on: the button is found anew where it has been drawn anew.
  await page.locator('.margin .told button').hover();
  await eventually(lead, (height) => height > close + 3);
  expect(await violationsOn(page, 'Margin')).toEqual([]);
  await page.locator('.margin .told button').click();
  await page.waitForFunction(
    () => !document.querySelector('.margin > li > button[aria-label*="Lead"]'),
  );
  expect(await lead()).toBeGreaterThan(close + 3);
  expect(errors).toEqual([]);
});
