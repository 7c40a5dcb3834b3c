import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { eventually, launchBrowser, newPage, press, proofFrame, setProofWidth } from './browser';
import { startLettera, type RunningLettera } from './lettera';

/** The shift that the ledger tells, held to what Chromium itself tells of the same swap. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page } = await newPage(browser));
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    const trials = /\/api\/.*\/fallbacks$/.test(request.url());
    void (trials && !fitted
      ? request.respond({ contentType: 'application/json', body: '{}' })
      : request.continue());
  });
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** All that sets the proof's type now, as one style sheet. */
const proofStyles = async (): Promise<string> =>
  (await proofFrame(page)).evaluate(() =>
    [...document.adoptedStyleSheets]
      .flatMap((sheet) => [...sheet.cssRules].map(({ cssText }) => cssText))
      .filter((rule) => !rule.includes('data-lettera'))
      .join('\n'),
  );

interface ShiftEntry extends PerformanceEntry {
  value: number;
  hadRecentInput: boolean;
}

/** Layout shift of a page that goes from one sheet to another, by Chromium's own entries. */
async function chromiumShift(
  html: string,
  layout: string,
  sheets: { fallback: string; web: string },
  viewport: { width: number; height: number },
): Promise<number> {
  const { page: bare } = await newPage(browser, viewport);
  await bare.setBypassCSP(true);
  // Of the same origin, so that the fonts may be fetched.
  await bare.goto(`${lettera.url}/api/v1/health`);
  const shift = await bare.evaluate(
    async (body, css, { fallback, web }) => {
      document.body.innerHTML = body;
      const sheet = (text: string) => {
        const style = document.createElement('style');
        style.textContent = text;
        document.head.append(style);
        return style;
      };
      sheet(css);
      // The web faces are there already: what is measured is the swap, not the way to it.
      const type = sheet(web);
      await Promise.allSettled([...document.fonts].map((face) => face.load()));
      type.textContent = fallback;
      await Promise.allSettled([...document.fonts].map((face) => face.load()));
      const painted = () =>
        new Promise<void>((resolve) =>
          requestAnimationFrame(() => requestAnimationFrame(() => resolve())),
        );
      await painted();
      await painted();
      let sum = 0;
      const observer = new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as ShiftEntry[]) sum += entry.value;
      });
      observer.observe({ type: 'layout-shift' });
      type.textContent = web;
      await painted();
      await painted();
      await new Promise((resolve) => setTimeout(resolve, 100));
      return sum;
    },
    html,
    layout,
    sheets,
  );
  await bare.close();
  return shift;
}

/** Whether the server's answer of what was tried is let through: without it there are no fitted faces. */
let fitted = true;

/** What Chromium tells of the shift without fitted faces, at each width. */
const unfitted: number[] = [];

test.each<[string, 'tablet' | 'phone' | 'laptop', number]>([
  ['without fitted faces', 'tablet', 800],
  ['without fitted faces', 'phone', 360],
  ['without fitted faces', 'laptop', 1280],
  ['with fitted faces', 'tablet', 800],
  ['with fitted faces', 'phone', 360],
])(
  '%s, at the %s’s width of %i px, is what Chromium’s own entries come to',
  async (how, stop, width) => {
    fitted = how === 'with fitted faces';
    await page.goto(`${lettera.url}/p/tarnholm-light/fallbacks`);
    await setProofWidth(page, stop);
    const frame = await proofFrame(page);
    await frame.waitForFunction((wanted: number) => window.innerWidth === wanted, {}, width);
    const ledger = async () =>
      (await page.$eval('footer.ledger', (node) => node.textContent ?? '')) || '';
    const told = await eventually(
      async () => /shift\s*(\d\.\d{3})/.exec(await ledger())?.[1],
      (text) => text !== undefined,
    );
    const html = await frame.evaluate(() => document.body.innerHTML);
    const layout = await (
      await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/pages/home/page.css`)
    ).text();
    const web = await proofStyles();
    await press(page, 'Fallback faces', 'section.proof');
    const fallback = await eventually(proofStyles, (text) => text !== web);
    const height = width < 600 ? 800 : 720;
    const own = await chromiumShift(html, layout, { fallback, web }, { width, height });
    if (!fitted) unfitted.push(own);
    expect(Math.abs(Number(told) - own)).toBeLessThan(Math.max(0.001, own * 0.05));
    await press(page, 'Web faces', 'section.proof');
  },
);

test('there is a shift to be told of, at some width: which one depends on the fonts of the machine', () => {
  expect(unfitted).toHaveLength(3);
  expect(Math.max(...unfitted)).toBeGreaterThan(0.02);
});
