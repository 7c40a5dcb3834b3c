import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { violationsOn } from './axe';
import {
  choose,
  eventually,
  fontsUsed,
  launchBrowser,
  newPage,
  press,
  proofFrame,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask } from './project';
import { serveSite, type Site } from './site';

/** A site in four scripts: what is delivered for it, and how it is set up. */

const SLUG = 'tarnholm-welcome';
const LANGUAGES = ['en', 'ar', 'ja', 'hi'] as const;
type Language = (typeof LANGUAGES)[number];
const DIRECTION = { en: 'ltr', ar: 'rtl', ja: 'ltr', hi: 'ltr' } as const;

const pageIn = (language: Language): string =>
  `<!doctype html><html lang="${language}" dir="${DIRECTION[language]}"><meta charset="utf-8"><title>${language}</title><link rel="stylesheet" href="lettera.css">${readFileSync(`sample/welcome/${language}.html`, 'utf8')}</html>`;

/** One line in each script, alone and with Latin in it, and lists and texts that stand in another language. */
const MIXED = `<!doctype html><html lang="en"><meta charset="utf-8"><title>Mixed</title><link rel="stylesheet" href="lettera.css">
<p id="latin">The light</p>
<p id="all">The light نور 灯 दीप</p>
<section lang="ar" dir="rtl"><p id="arabic">نور <em>نور</em> <b class="kicker">نور</b></p><p lang="en" dir="ltr" id="within">The <em>light</em></p></section>
<p lang="ja" id="japanese">灯台の<em>灯</em></p></html>`;

let lettera: RunningLettera;
let browser: Browser;
let site: Site;
let page: Page;
let errors: string[];
beforeAll(async () => {
  lettera = await startLettera(undefined, { settled: true });
  browser = await launchBrowser();
  ({ page, errors } = await newPage(browser));
  const bytes = (text: string) => new TextEncoder().encode(text);
  site = await serveSite(
    lettera,
    SLUG,
    MIXED,
    Object.fromEntries(LANGUAGES.map((one) => [`${one}.html`, bytes(pageIn(one))])),
  );
}, 300_000);
afterAll(async () => {
  await browser?.close();
  await site?.close();
  await lettera?.close();
});

const styleOf = (selector: string, property: string): Promise<string> =>
  page.$eval(selector, (node, name) => getComputedStyle(node).getPropertyValue(name), property);

describe('what is delivered', () => {
  const FACES: Record<Language, { h1: string; p: string }> = {
    en: { h1: 'Bricolage Grotesque', p: 'Literata' },
    ar: { h1: 'Readex Pro', p: 'Noto Naskh Arabic' },
    ja: { h1: 'BIZ UDPGothic', p: 'Sawarabi Mincho' },
    hi: { h1: 'Noto Sans Devanagari', p: 'Noto Serif Devanagari' },
  };

  /** What a page fetches of its script, and in all with the Latin faces of figures and names, bytes. */
  const MOST_BYTES: Record<Language, readonly [ofScript: number, all: number]> = {
    en: [1, 90_000],
    ar: [60_000, 150_000],
    ja: [76_000, 150_000],
    hi: [155_000, 240_000],
  };

  test.each(LANGUAGES)('every text in %s is in the family of its script', async (language) => {
    const fetched: { url: string; bytes: number }[] = [];
    const onResponse = async (url: string, body: Promise<Buffer>) => {
      if (url.endsWith('.woff2')) fetched.push({ url, bytes: (await body).length });
    };
    const waiting: Promise<void>[] = [];
    page.on('response', (answer) => waiting.push(onResponse(answer.url(), answer.buffer())));
    await page.goto(`${site.url}${language}.html`);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    await page.waitForNetworkIdle();
    await Promise.all(waiting);
    page.removeAllListeners('response');
    const { h1, p } = FACES[language];
    expect((await fontsUsed(page, 'h1', false))[0]).toMatch(new RegExp(`^${h1}`));
    const inText = await fontsUsed(page, '.lead', false);
    expect(inText[0]).toMatch(new RegExp(`^${p}`));
    // Spaces and stops that all share are the text's own; nothing is of any other.
    for (const name of inText.slice(1)) expect(name).toMatch(/^Literata/);
    const sum = (files: typeof fetched) => files.reduce((all, { bytes }) => all + bytes, 0);
    const ofScript = fetched.filter(({ url }) => !url.includes('-latin'));
    const [mostOfScript, most] = MOST_BYTES[language];
    expect(sum(ofScript)).toBeLessThan(mostOfScript);
    expect(sum(fetched)).toBeLessThan(most);
    expect(fetched.length).toBeGreaterThan(2);
  });

  test('lines are as high with letters of other scripts in them as without', async () => {
    await page.goto(site.url);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    const height = (selector: string) =>
      page.$eval(selector, (node) => node.getBoundingClientRect().height);
    expect(await height('#all')).toBeCloseTo(await height('#latin'), 2);
    expect((await fontsUsed(page, '#all', false)).map((name) => name.split(' ')[0]).sort()).toEqual(
      ['Literata', 'Noto', 'Noto', 'Sawarabi'],
    );
  });

  test('a language is set as it wants it, and one within another as it is elsewhere', async () => {
    const size = parseFloat(await styleOf('#latin', 'font-size'));
    const lines = async (selector: string) =>
      parseFloat(await styleOf(selector, 'line-height')) / size;
    expect(await lines('#latin')).toBeCloseTo(1.55, 2);
    expect(await lines('#arabic')).toBeCloseTo(1.55 * 1.15, 2);
    expect(await lines('#within')).toBeCloseTo(1.55, 2);
    expect(await lines('#japanese')).toBeCloseTo(1.55 * 1.15, 2);
    expect(await styleOf('#arabic em', 'font-style')).toBe('normal');
    expect(await styleOf('#arabic em', 'font-weight')).toBe('700');
    expect(await styleOf('#within em', 'font-style')).toBe('italic');
    expect(await styleOf('#within em', 'font-weight')).toBe('400');
    expect(await styleOf('#japanese em', 'text-emphasis-style')).toBe('sesame');
    expect(await styleOf('#latin', 'text-emphasis-style')).toBe('none');
    expect(parseFloat(await styleOf('#arabic .kicker', 'letter-spacing')) || 0).toBe(0);
  });
});

describe('setting it up', () => {
  beforeAll(async () => {
    // Errors of the site's own pages, which have no icon, are no matter here.
    ({ page, errors } = await newPage(browser));
  });

  const languages = () =>
    ask<{ document: { languages: string[]; voices: Record<string, { scripts?: object }> } }>(
      lettera,
      `/projects/${SLUG}`,
    );

  test('a language of CLDR is added, and what it has in place of italics is chosen', async () => {
    await page.goto(`${lettera.url}/p/${SLUG}/styles`);
    await press(page, 'Languages', '[role="tablist"]');
    await page.waitForSelector('::-p-text(right to left)');
    await choose(page, 'In place of italics in Japanese', 'a bold weight');
    await eventually(
      async () => (await languages()).document as { byLanguage?: Record<string, object> },
      ({ byLanguage }) => JSON.stringify(byLanguage?.['ja']) === '{"emphasis":"weight"}',
    );
    await page.locator('::-p-aria(Add a language[role="combobox"])').click();
    await page.keyboard.type('Hebr');
    await page.locator('::-p-aria(Hebrew[role="option"])').click();
    await eventually(
      async () => (await languages()).document.languages,
      (all) => all.includes('he'),
    );
    await page.waitForSelector('::-p-aria(Make first: Hebrew)');
    expect(await violationsOn(page, 'Languages')).toEqual([]);
  });

  test('its family is found beside the voice’s own, tried on the page, taken, and removed', async () => {
    await page.goto(`${lettera.url}/p/${SLUG}/pair`);
    await press(page, 'Scripts', '[role="tablist"]');
    const first = await page.waitForSelector('#script-hebrew ~ .near li .name');
    const name = await first?.evaluate((node) => node.textContent);
    // Strokes that swell stand first beside Literata.
    expect(['Noto Serif Hebrew', 'Frank Ruhl Libre']).toContain(name);
    const stack = async () => {
      const frame = await proofFrame(page, { asItIs: true });
      return frame.$eval(':root', (node) => getComputedStyle(node).getPropertyValue('--font-text'));
    };
    // While families are still being measured, rows come in above and it moves away from under the pointer.
    const pointedAt = async () => {
      await page.locator(`::-p-aria(Use ${name} for Hebrew)`).hover();
      return stack();
    };
    await eventually(pointedAt, (names) => names.includes(name ?? '?'));
    await page.locator(`::-p-aria(Use ${name} for Hebrew)`).click();
    const scripts = async () => (await languages()).document.voices['text']?.scripts ?? {};
    await eventually(scripts, (all) => Object.keys(all).includes('hebrew'));
    const seat = ((await scripts()) as Record<string, { family: string; size: number }>)['hebrew'];
    expect(seat?.size).toBeGreaterThan(0.7);
    expect(seat?.size).toBeLessThan(1.3);
    await page.waitForSelector(`::-p-aria(Remove ${name} from Hebrew)`);
    expect(await violationsOn(page, 'Scripts')).toEqual([]);
    await page.locator(`::-p-aria(Remove ${name} from Hebrew)`).click();
    await eventually(scripts, (all) => !Object.keys(all).includes('hebrew'));
  });

  test('families are lined up in a script, in its own words and by its own measures', async () => {
    await page.goto(`${lettera.url}/p/${SLUG}/faces`);
    await page.waitForSelector('[data-row]');
    await choose(page, 'Script that families are lined up in', 'Hebrew');
    const rows = () =>
      page.$$eval('[data-row] .name', (nodes) => nodes.map((node) => node.textContent));
    const shown = await eventually(rows, (names) => names.includes('Frank Ruhl Libre'));
    expect(shown).not.toContain('Figtree');
    await page.waitForSelector('[data-row] .specimen ::-p-text(כל בני אדם)');
    expect(await page.$eval('.columns', (node) => node.textContent)).toMatch(/height/);
    expect(await page.$eval('.columns', (node) => node.textContent)).not.toMatch(/x-height/);
    // Words that are typed there are the script's alone, and stay.
    const field = await page.waitForSelector('input.words, .words input');
    await field?.evaluate((node) => (node as HTMLInputElement).select());
    await field?.type('מגדלור');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-row] .specimen ::-p-text(מגדלור)');
    await choose(page, 'Script that families are lined up in', 'Latin');
    await page.waitForSelector('[data-row] .specimen ::-p-text(Skerry)');
    await choose(page, 'Script that families are lined up in', 'Hebrew');
    await page.waitForSelector('[data-row] .specimen ::-p-text(מגדלור)');
    expect(await violationsOn(page, 'Faces')).toEqual([]);
  });

  test('local fonts of each script are told with what they are on', async () => {
    await page.goto(`${lettera.url}/p/${SLUG}/fallbacks`);
    const heading = await page.waitForSelector('section[aria-label="Japanese"] h3');
    expect(await heading?.evaluate((node) => node.textContent)).toMatch(
      /^Japanese: Sawarabi Mincho at \d+ %$/,
    );
    const text = await page.$eval('section[aria-label="Japanese"]', (node) => node.textContent);
    expect(text).toContain('Yu Mincho');
    expect(text).toContain('as wide: each letter fills the em');
    expect(await violationsOn(page, 'Fallbacks')).toEqual([]);
    expect(errors).toEqual([]);
  });
});
