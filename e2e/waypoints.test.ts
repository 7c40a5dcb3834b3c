import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { violationsOn } from './axe';
import { eventually, fill, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';

/** States that are given a name: compared with, shown before and after, and returned to. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page, errors } = await newPage(browser));
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

const open = () => page.locator('.docket .head .l-do').click();
const asideText = async () => {
  const aside = await page.waitForSelector('section.proof aside');
  return (await aside?.evaluate((node) => node.textContent ?? '')) ?? '';
};

test('a waypoint is named, compared with, shown by a key, and gone back to and from', async () => {
  await page.goto(`${lettera.url}/p/tarnholm-light/styles`);
  const frame = await proofFrame(page, { asItIs: true });
  const weight = () => frame.$eval('.lead', (node) => getComputedStyle(node).fontWeight);
  const before = await weight();
  await open();
  await page.locator('[aria-label="Name of the present state"]').fill('Before the winter');
  await press(page, 'Name the present state');
  await page.waitForSelector('::-p-aria(Compare with Before the winter)');
  expect(await violationsOn(page, 'Waypoints')).toEqual([]);
  await page.keyboard.press('Escape');

  await page.click('tr[data-style="lead"] [data-column="1"]');
  await fill(page, 'Weight', '720', 'tr.selected');
  await eventually(weight, (now) => now === '720');
  await press(page, 'Done', 'tr.deeds');
  await open();
  await press(page, 'Compare with Before the winter');
  await eventually(asideText, (text) => text.includes('Style Lead: weight following → 720'));
  await eventually(
    () =>
      page.$$eval('section.proof iframe.ready', (all) =>
        all.map((one) => {
          const lead = (one as HTMLIFrameElement).contentDocument?.querySelector('.lead');
          return lead ? getComputedStyle(lead).fontWeight : '';
        }),
      ),
    (weights) => weights.join() === `720,${before}`,
  );
  await page.focus('.docket a');
  await page.keyboard.press('b');
  await eventually(weight, (now) => now === before);
  await page.waitForSelector('::-p-text(As it was: Before the winter)');
  await page.keyboard.press('b');
  await eventually(weight, (now) => now === '720');

  await open();
  await press(page, 'Go back to Before the winter');
  await eventually(weight, (now) => now === before);
  await press(page, 'Undo');
  await eventually(weight, (now) => now === '720');

  // What one change of the history did, asked from the list.
  await open();
  await page.locator('::-p-aria(What moved by Undone: Back to “Before the winter”)').click();
  await eventually(asideText, (text) => text.includes(`Style Lead: weight following → 720`));
  await open();
  await press(page, 'Remove Before the winter');
  await press(page, 'Keep Before the winter');
  await press(page, 'Remove Before the winter');
  await press(page, 'Remove Before the winter for good');
  await page.waitForFunction(() => !document.body.textContent?.includes('Compare'));
  expect(errors).toEqual([]);
});

test('a waypoint is renamed, and one that another tab names is heard of', async () => {
  await page.goto(`${lettera.url}/p/tarnholm-light/styles`);
  await proofFrame(page, { asItIs: true });
  await open();
  await page.locator('[aria-label="Name of the present state"]').fill('First');
  await press(page, 'Name the present state');
  const field = await page.waitForSelector('[aria-label="Name of waypoint First"]');
  await field?.evaluate((node) => {
    (node as HTMLInputElement).value = 'The first of them';
    node.dispatchEvent(new Event('change', { bubbles: true }));
  });
  await page.waitForSelector('::-p-aria(Compare with The first of them)');
  await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/waypoints`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: lettera.url },
    body: JSON.stringify({ name: 'From elsewhere' }),
  });
  await page.waitForSelector('::-p-aria(Compare with From elsewhere)');
  expect(errors).toEqual([]);
});
