import { mkdirSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { fill, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera } from './lettera';

const FOLDER = 'docs/screenshots';

const lettera = await startLettera();
const browser = await launchBrowser();
const { page } = await newPage(browser);

const open = async (stage: string): Promise<void> => {
  await page.goto(`${lettera.url}/p/tarnholm-light/${stage}`);
  await proofFrame(page);
};

/** Waits until nothing is loading and the shift has been measured, then takes the picture. */
async function take(name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.waitForFunction(
    () =>
      !document.querySelector('.ledger')?.textContent?.includes('being measured') &&
      !document.querySelector('.specimen.loading'),
  );
  await page.mouse.move(100, 640);
  await new Promise((resolve) => setTimeout(resolve, 300));
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  console.log(`${FOLDER}/${name}.png`);
}

/** Opens the row of a family, once the line-up lists it. */
async function openRow(target: Page, name: string): Promise<void> {
  await target.waitForFunction(
    (wanted: string) => {
      const row = [...document.querySelectorAll<HTMLElement>('li button.row')].find(
        (node) => node.querySelector('.name')?.textContent?.trim() === wanted,
      );
      if (row?.getAttribute('aria-expanded') === 'false') row.click();
      return document.querySelector('.take') !== null;
    },
    {},
    name,
  );
}

mkdirSync(FOLDER, { recursive: true });
try {
  await open('faces');
  await take('faces-before-permission');
  await page.type('#allowed-by', 'Ása');
  await press(page, 'Allow the foundry');
  await page.waitForSelector('li .specimen.shown');
  await press(page, 'serif', '[aria-label="Class"]');
  await openRow(page, 'Alegreya');
  await take('faces');

  await open('pair');
  await take('pair');

  await open('scale');
  await press(page, 'Tablet', 'section.proof');
  await take('scale');

  await open('fallbacks');
  await page.waitForSelector('table.tuning');
  await press(page, 'Phone', 'section.proof');
  await press(page, 'Fallback', 'section.proof');
  await take('fallbacks');

  await open('styles');
  await press(page, 'Desktop', 'section.proof');
  await press(page, 'Web', 'section.proof');
  await page.click('tr[data-style="heading-1"] .name');
  await take('styles');

  await open('deliver');
  await page.waitForSelector('td.code pre');
  await take('deliver');

  await page.evaluate(() => localStorage.setItem('lettera:theme', 'dark'));
  await open('pair');
  await press(page, 'Dark', 'section.proof');
  await take('pair-dark');

  await page.goto(`${lettera.url}/projects`);
  await page.evaluate(() => localStorage.removeItem('lettera:theme'));
  await page.goto(`${lettera.url}/projects`);
  await fill(page, 'Start a project', 'Skerry Ferries');
  await proofFrame(page);
  await take('new-project');
} finally {
  await browser.close();
  await lettera.close();
}
