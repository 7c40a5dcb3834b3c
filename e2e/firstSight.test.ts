import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { eventually, fontsUsed, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask } from './project';

/** The first minute: the sample as the demo shows it, and a new project. */
let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];

beforeAll(async () => {
  lettera = await startLettera(undefined, { settled: true });
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});
beforeEach(async () => {
  await page?.close();
  ({ page, errors } = await newPage(browser));
});

const textOf = (selector: string) =>
  page.$eval(selector, (node) => node.textContent ?? '').catch(() => '');

test('from the address to the first pair tried on the page in three clicks, with nothing empty on the way', async () => {
  await page.goto(lettera.url);
  // Faces: a full line-up with its figures, and nothing that asks first.
  await eventually(
    () => textOf('.found'),
    (text) => text.trim() === '77 families',
  );
  expect(await page.$$('#allowed-by')).toEqual([]);
  await eventually(
    () => page.$$eval('li .figure', (all) => all.some((node) => node.textContent === '…')),
    (isOpen) => !isOpen,
    5000,
  );
  // One: Pair, with partners in order.
  await page.click('.docket a[href$="/pair"]');
  await page.waitForSelector('.partner .in-face:not(.waits)');
  expect(await page.$$('.contenders li')).toHaveLength(2);
  expect((await page.$$('.partner')).length).toBeGreaterThan(3);
  // Pointing tries the third partner on the page; two: it is used.
  const name = await page.$eval('li:nth-child(3) .partner .name', (node) => node.textContent ?? '');
  await page.hover('li:nth-child(3) .partner .name');
  await proofFrame(page, { asItIs: true });
  await eventually(
    () => fontsUsed(page, '.lead', true),
    ([first]) => first?.split(' ')[0] === name.trim().split(' ')[0],
  );
  expect(errors).toEqual([]);
});

test('the sample has waypoints, one mark that is worth putting right, and a site that was taken stock of', async () => {
  const names = await ask<{ name: string }[]>(lettera, '/projects/tarnholm-light/waypoints');
  expect(names).toHaveLength(3);
  await page.goto(`${lettera.url}/p/tarnholm-light/styles`);
  await eventually(
    () => textOf('.ledger .figures button:last-of-type'),
    (text) => text.trim() === '1 mark',
  );
  await page.goto(`${lettera.url}/p/tarnholm-light/stock`);
  await page.waitForSelector('table.shares');
  expect(await page.$$eval('table.shares tbody tr', (all) => all.length)).toBeGreaterThan(1);
  expect(errors).toEqual([]);
});

test.each([
  ['With families', ['Look at families']],
  ['With a ready pair', ['See starting points']],
  ['With a site that exists', ['Take stock of a site']],
])('a new project begins %s', async (_way, clicks) => {
  await page.goto(`${lettera.url}/projects`);
  await page.waitForSelector('#name');
  await page.type('#name', `Begun ${clicks.join()}`);
  await page.keyboard.press('Enter');
  await page.waitForSelector('.ways');
  for (const click of clicks) await press(page, click, '.ways');
  // Each leads to where the work goes on, with what it needs next at hand.
  await page.waitForSelector('#allowed-by, form, .l-do');
  expect(errors).toEqual([]);
});
