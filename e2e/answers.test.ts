import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import { eventually, launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';

let lettera: RunningLettera;
let browser: Browser;

beforeAll(async () => {
  lettera = await startLettera(undefined, { settled: true });
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** What has happened on a page since it was opened: the longest task, ms, and what the ledger said of bytes. */
interface Watched {
  longest: number;
  said: string[];
}

/** Run in the page as soon as it is there. */
function watch(): void {
  const watched: Watched = { longest: 0, said: [] };
  Object.assign(globalThis, { watched });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries())
      watched.longest = Math.max(watched.longest, duration);
  }).observe({ type: 'longtask', buffered: true });
  new MutationObserver(() => {
    const ledger = document.querySelector('.ledger')?.textContent ?? '';
    const [, bytes] = /files?, ([\d.]+ K?B|…|being packed …)/.exec(ledger) ?? [];
    if (bytes && bytes !== watched.said.at(-1)) watched.said.push(bytes);
  }).observe(document, { subtree: true, childList: true, characterData: true });
}

test('the interface answers while hundreds of files are packed, and tells no bytes before they are known', async () => {
  const { page, errors } = await newPage(browser);
  const watched = () =>
    page.evaluate(() => (globalThis as unknown as { watched: Watched }).watched);
  await page.goto(`${lettera.url}/p/tarnholm-welcome/pair?page=welcome-ar`, {
    waitUntil: 'domcontentloaded',
  });
  await page.evaluate(watch);
  await eventually(watched, ({ said }) => said.at(-1) === 'being packed …');
  await new Promise((resolve) => setTimeout(resolve, 15_000));
  const { longest, said } = await watched();
  expect(said.filter((bytes) => bytes.endsWith('B'))).toEqual([]);
  // A task that worked out what no file had changed took 13 s, at each file.
  expect(longest).toBeLessThan(4000);
  expect(errors).toEqual([]);
});
