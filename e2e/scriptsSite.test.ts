import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ProjectDocument } from '@lettera/core/document';
import type { Browser, Page } from 'puppeteer-core';
import { fontsUsed, launchBrowser, newPage } from './browser';
import { foldScripts, servedScripts } from './foldedScripts';
import { startLettera, type RunningLettera } from './lettera';
import { ask } from './project';
import { serveSite, type Site } from './site';
import { FAMILY_OF, SITE_LANGUAGES } from './sites/fiveScripts';

/** A site in five scripts that others wrote: taken stock of, folded, delivered, and read where it is served. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let slug: string;
let said: string;
let before: Site;
let after: Site;
beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page, errors } = await newPage(browser));
  ({ slug } = await ask<{ slug: string }>(lettera, '/projects', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'Boats in five scripts' }),
  }));
  said = await foldScripts(lettera, page, slug);
  after = await serveSite(lettera, slug, '', servedScripts());
  // The same pages with a sheet beside them that says nothing.
  before = await serveSite(lettera, slug, '', {
    ...servedScripts(),
    'lettera.css': new Uint8Array(),
  });
}, 300_000);
afterAll(async () => {
  await browser?.close();
  await before?.close();
  await after?.close();
  await lettera?.close();
});

const documentNow = async (): Promise<ProjectDocument> =>
  (await ask<{ document: ProjectDocument }>(lettera, `/projects/${slug}`)).document;

/** What tells how a text is set, of every element with text. */
async function settings(site: Site, file: string, width: number): Promise<string[]> {
  await page.setViewport({ width, height: 800 });
  await page.goto(site.url + file);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  return page.$$eval('main *', (all) =>
    all
      .filter((node) => [...node.childNodes].some((one) => one.nodeName === '#text'))
      .map((node) => {
        const style = getComputedStyle(node);
        const px = (length: string) => Number(parseFloat(length).toFixed(1));
        return [
          node.tagName,
          node.className,
          px(style.fontSize),
          style.fontWeight,
          style.fontStyle,
          px(style.lineHeight),
        ].join(' ');
      }),
  );
}

test('every script has its family in the voice, and every language its way of being set', async () => {
  expect(said).toContain('nothing moves');
  expect(said).toContain('Text, Georgian');
  const { voices, styles, byLanguage, languages, case: families } = await documentNow();
  const nameOf = (key: string | null | undefined) => families[key ?? '']?.name;
  expect(nameOf(voices['text']?.family)).toBe('Literata');
  const seats = Object.entries(voices['text']?.scripts ?? {});
  expect(Object.fromEntries(seats.map(([script, { family }]) => [script, nameOf(family)]))).toEqual(
    {
      hebrew: FAMILY_OF.he,
      thai: FAMILY_OF.th,
      korean: FAMILY_OF.ko,
      georgian: FAMILY_OF.ka,
    },
  );
  expect([...languages].sort()).toEqual([...SITE_LANGUAGES].sort());
  expect(languages[0]).toBe('en');
  expect(byLanguage).toMatchObject({
    he: { lineHeight: 1, emphasis: 'none' },
    th: { emphasis: 'none' },
    ko: { lineHeight: 1, emphasis: 'italic' },
    ka: { lineHeight: 1, emphasis: 'italic' },
  });
  // 1.9 in text against 1.5; 1.5 in headings, which are not as much higher against 1.2 and 1.25.
  expect(byLanguage?.['th']?.lineHeight).toBeCloseTo(1.9 / 1.5, 2);
  for (const heading of ['heading-1', 'heading-2'])
    expect(styles[heading]?.at).toEqual({ 'lang-th': { lineHeight: 1.5 } });
  expect(errors).toEqual([]);
});

test.each(SITE_LANGUAGES)(
  'every text in %s is in its family, as Chromium says',
  async (language) => {
    await page.goto(`${after.url}${language === 'en' ? 'index' : language}.html`);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    await page.waitForNetworkIdle();
    for (const selector of [
      'h1',
      '.lead',
      'p:not([class])',
      'h2',
      'li',
      'blockquote p',
      '.button',
    ]) {
      const used = await fontsUsed(page, selector, false);
      const ofScript = used.filter((name) => name.startsWith(FAMILY_OF[language]));
      expect([selector, ofScript.length]).toEqual([selector, 1]);
      // Figures and stops that all scripts share are the voice's own, and nothing is of any other.
      for (const name of used.filter((one) => !ofScript.includes(one)))
        expect(name).toMatch(/^Literata/);
    }
  },
);

test.each(SITE_LANGUAGES)('nothing of how %s is set has moved', async (language) => {
  const file = `${language === 'en' ? 'index' : language}.html`;
  for (const width of [360, 1280])
    expect(await settings(after, file, width)).toEqual(await settings(before, file, width));
});
