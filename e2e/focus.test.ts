import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { eventually, launchBrowser, newPage, press } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { allowFoundry, measuredProject } from './project';

/** After each action the focus is where the work goes on, and never lost to the page. */
let lettera: RunningLettera;
let browser: Browser;
let page: Page;

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
  ({ page } = await newPage(browser));
});

/** Where the focus is, in words. */
const focus = () =>
  page.evaluate(() => {
    const node = document.activeElement;
    if (!node || node === document.body) return 'lost';
    return `${node.tagName.toLowerCase()}.${node.className}`;
  });
const kept = () => eventually(focus, (where) => where !== 'lost');
const open = (path: string) => page.goto(`${lettera.url}${path}`);

test('a project is started, and the foundry allowed for it', async () => {
  await open('/projects');
  await page.waitForSelector('#name');
  await page.type('#name', 'Skerry Ferries');
  await page.keyboard.press('Enter');
  await page.waitForSelector('.ways');
  expect(await kept()).toMatch(/^main\.workbench/);
  await press(page, 'Look at families');
  await page.type('#allowed-by', 'Ása');
  await page.keyboard.press('Enter');
  await page.waitForSelector('li .specimen');
  expect(await kept()).not.toBe('lost');
});

test('a family is added to the case, and a voice held', async () => {
  const slug = await measuredProject(lettera, 'Focus');
  await open(`/p/${slug}/faces`);
  await page.waitForSelector('li .specimen.shown');
  await page.focus('li button.row');
  await page.keyboard.press('Enter');
  await press(page, 'Add to the case');
  await page.waitForSelector('::-p-text(Add what is picked)');
  expect(await kept()).toMatch(/l-do/);

  await open(`/p/${slug}/pair`);
  await page.locator('[aria-label="Family that is held as heading"]').click();
  await page.waitForSelector('.p-select-filter');
  await page.type('.p-select-filter', 'Space Grotesk');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.waitForSelector('.partner');
  expect(await kept()).toMatch(/p-select-label/);
});

test('what is opened takes the focus, and gives it back', async () => {
  await allowFoundry(lettera, 'tarnholm-light');
  await open('/p/tarnholm-light/pair');
  await page.waitForSelector('.partner');
  const key = '.tool-row [aria-haspopup="dialog"]';
  await page.focus(key);
  await page.keyboard.press('Enter');
  await page.waitForSelector('.l-fold');
  expect(await eventually(focus, (where) => where.includes('l-fold'))).toContain('l-fold-content');
  await page.keyboard.press('Escape');
  await page.waitForSelector('.l-fold', { hidden: true });
  await eventually(
    () => page.$eval(key, (node) => node === document.activeElement),
    (isThere) => isThere,
  );
  await page.keyboard.press('?');
  await page.waitForSelector('[role="dialog"]');
  await page.keyboard.press('Escape');
  await page.waitForSelector('[role="dialog"]', { hidden: true });
  await eventually(
    () => page.$eval(key, (node) => node === document.activeElement),
    (isThere) => isThere,
  );
});
