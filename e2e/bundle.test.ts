import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { computed, fontsUsed, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { BARE_PAGE, SELECTORS, serveSite, TYPE, type Site } from './site';

const WIDTHS = [360, 800, 1280];

let lettera: RunningLettera;
let browser: Browser;
let site: Site;
let bare: Page;
let proof: Page;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  site = await serveSite(lettera, 'tarnholm-light', BARE_PAGE);
  ({ page: bare } = await newPage(browser));
  await bare.goto(site.url);
  await bare.evaluate(() => document.fonts.ready.then(() => undefined));
  ({ page: proof } = await newPage(browser));
  await proof.goto(`${lettera.url}/p/tarnholm-light/styles`);
  const page = await proof.waitForSelector('section.proof [aria-label="Page"]');
  await page?.click();
  const sheet = await proof.waitForSelector('::-p-aria(Every kind of text[role="option"])');
  await sheet?.click();
  await proof.waitForFunction(() =>
    document.querySelector('section.proof iframe.ready')?.getAttribute('src')?.endsWith('/sheet'),
  );
});
afterAll(async () => {
  await browser?.close();
  await site?.close();
  await lettera?.close();
});

describe('a page with nothing but the delivered style sheet', () => {
  test.each(WIDTHS)('computes at %i px what the proof shows', async (width) => {
    await bare.setViewport({ width, height: 800 });
    await press(
      proof,
      { 360: 'phone', 800: 'tablet', 1280: 'laptop' }[width] ?? '',
      'section.proof .ruler',
    );
    const frame = await proofFrame(proof);
    await frame.waitForFunction((wanted: number) => window.innerWidth === wanted, {}, width);
    for (const selector of SELECTORS) {
      const [onSite, onProof] = await Promise.all([
        computed(bare, selector, TYPE),
        computed(frame, selector, TYPE),
      ]);
      expect({ selector, ...onSite }).toEqual({ selector, ...onProof });
    }
  });

  test.each([
    ['h1', 'Bricolage Grotesque'],
    ['.lead', 'Literata'],
    ['em', 'Literata'],
    ['button', 'Bricolage Grotesque'],
  ])('really sets %s in %s, on the site and on the proof', async (selector, family) => {
    for (const used of [
      await fontsUsed(bare, selector, false),
      await fontsUsed(proof, selector, true),
    ]) {
      // Chromium names the font file's own family, which may go on with its optical size.
      expect(used).toEqual([expect.stringMatching(`^${family}`)]);
    }
  });

  test('sets Greek in the face’s own file', async () => {
    expect(await fontsUsed(bare, '.greek', false)).toEqual(['Literata']);
  });

  test('shows the fallback in the same line box when no web face comes', async () => {
    const { page } = await newPage(browser, { width: 1280, height: 800 });
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      void (request.url().endsWith('.woff2') ? request.abort() : request.continue());
    });
    await page.goto(bare.url());
    const [without, having] = await Promise.all([
      computed(page, '.lead', ['height', 'font-family']),
      computed(bare, '.lead', ['height', 'font-family']),
    ]);
    expect(without).toEqual(having);
    expect(await fontsUsed(page, '.lead', false)).not.toContain('Literata');
    await page.close();
  });

  test('comes with what goes into the head, and with the terms of each family', () => {
    const { files } = site;
    const head = new TextDecoder().decode(files['head.html']);
    for (const [, path = ''] of head.matchAll(/href="([^"]+)"/g)) expect(files[path]).toBeDefined();
    expect(new TextDecoder().decode(files['licences/literata.txt'])).toContain('OPEN FONT LICENSE');
  });
});
