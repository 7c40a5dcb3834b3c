import { mkdirSync, readFileSync } from 'node:fs';
import {
  fallbacksFitted,
  fill,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  setProofWidth,
  aboutPage,
} from './browser';
import { startLettera } from './lettera';
import { serveRunning } from './runningSite';

const FOLDER = 'docs/screenshots';
const SAMPLE = 'tarnholm-light';
const WELCOME = 'tarnholm-welcome';

const lettera = await startLettera();
const browser = await launchBrowser();
const { page } = await newPage(browser);

const open = async (stage: string): Promise<void> => {
  await page.goto(`${lettera.url}/p/${SAMPLE}/${stage}?page=home`);
  await proofFrame(page, { asItIs: true });
};

/** Waits until nothing is loading and the shift has been measured, then takes the picture. */
async function take(name: string): Promise<void> {
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.waitForFunction(
    () =>
      !document.querySelector('.ledger')?.textContent?.includes('being measured') &&
      !document.querySelector('.in-face.waits'),
  );
  await page.mouse.move(100, 640);
  await new Promise((resolve) => setTimeout(resolve, 300));
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  console.log(`${FOLDER}/${name}.png`);
}

/** Opens the row of a family, once the line-up lists it. */
async function openRow(name: string): Promise<void> {
  await page.type('[aria-label="Find a family by name"]', name);
  await page.waitForFunction(
    (wanted: string) => document.querySelector('li .name')?.textContent?.trim() === wanted,
    {},
    name,
  );
  await page.click('li button.row');
  await page.waitForSelector('.panel h3');
}

/** Waits until the whole library has been measured, so that no row is without its figures. */
const measured = () =>
  page.waitForFunction(
    () =>
      document.querySelectorAll('li .specimen.shown').length > 3 &&
      !document.querySelector('.l-progress') &&
      ![...document.querySelectorAll('li .figure')].some((node) => node.textContent === '…'),
    { timeout: 60_000 },
  );

mkdirSync(FOLDER, { recursive: true });
try {
  await open('faces');
  await press(page, 'The foundry’s families');
  await page.type('#allowed-by', 'Ása');
  await press(page, 'Allow the foundry');
  await measured();
  await take('faces');
  await press(page, 'Map');
  await page.waitForSelector('.point .in-face');
  await take('faces-map');
  await press(page, 'Line-up');
  await openRow('Alegreya');
  await page.waitForSelector('.panel dl dd');
  await page.$eval('.workbench', (node) => node.scrollTo(0, 270));
  await take('family');

  await open('pair');
  await page.waitForSelector('.partner .in-face:not(.waits)');
  for (const partner of [1, 3]) {
    await page.$eval(`li:nth-child(${partner}) .partner .acts .l-do:nth-child(2)`, (node) =>
      (node as HTMLElement).click(),
    );
  }
  await page.waitForSelector('.contenders li:nth-child(2)');
  await take('pair');
  await press(page, 'Side by side', '[aria-label="Views"]');
  await page.waitForFunction(() => document.querySelectorAll('.beside iframe.ready').length === 2);
  await take('contenders');

  await open('scale');
  await take('scale');

  await open('fallbacks');
  await fallbacksFitted(page);
  await page.waitForSelector('.overlay');
  await take('fallbacks');
  await press(page, 'Overlay', '[role="tablist"]');
  await page.waitForSelector('.overlay .end');
  await press(page, 'Word by word');
  await take('fallbacks-overlay');
  await press(page, 'Rehearsal', '[role="tablist"]');
  await press(page, 'Fallback faces', 'section.proof');
  await page.waitForFunction(() =>
    [...document.querySelectorAll('.shifts td.figure')].every((cell) =>
      /\d\.\d{4}/.test(cell.textContent ?? ''),
    ),
  );
  await take('fallbacks-rehearsal');

  await open('styles');
  await setProofWidth(page, 'room');
  await press(page, 'Web faces', 'section.proof');
  await page.click('tr[data-style="heading-1"] [data-column="4"]');
  await take('styles');
  await press(page, 'Done', 'tr.deeds');
  const body = new FormData();
  for (const path of ['index.html', 'css/site.css', 'css/type.css']) {
    body.append('file', new Blob([readFileSync(`sample/own/${path}`)]), path);
  }
  await fetch(`${lettera.url}/api/v1/projects/${SAMPLE}/pages`, { method: 'POST', body });
  await open('scale');
  await setProofWidth(page, 'room');
  await press(page, 'Full width', 'section.proof');
  await aboutPage(page);
  await press(page, 'Show The lamp-room shop');
  await page.waitForSelector('iframe.ready[src*="/the-lamp-room-shop?"]');
  await press(page, 'Who sets its text', '[role="tablist"]');
  await page.waitForSelector('section.proof table');
  await take('own-page');
  await press(page, 'Close', 'section.proof');
  await open('stock');
  await setProofWidth(page, 'room');
  await press(page, 'Read 1 page');
  await page.waitForSelector('table.shares');
  await press(page, 'Sizes', '[aria-label="Views"]');
  await page.waitForSelector('.chart');
  await take('stock');
  await press(page, 'Fold', '[aria-label="Views"]');
  await press(page, 'Folded (b)');
  await page.waitForSelector('section.proof iframe.ready[src*="layer=site"]');
  await take('stock-fold');
  await press(page, 'The site as it is');

  await open('deliver');
  await press(page, 'lettera.css[role="button"]', 'table');
  await page.waitForSelector('td.code pre');
  await page.waitForSelector('.verified ::-p-text(come out as the project has them)', {
    timeout: 180_000,
  });
  await take('deliver');
  await press(page, 'Fonts', '[aria-label="Views"]');
  await fill(page, 'Budget, KB', '90');
  await press(page, 'Work it out');
  await page.waitForSelector('::-p-aria(Work it out again[role="button"])');
  await take('deliver-fonts');
  await press(page, 'Running site', '[aria-label="Views"]');
  let lines = '';
  const site = await serveRunning(() => lines);
  await fill(page, 'Where the site runs', site.url);
  await page.waitForSelector('.running pre');
  lines = await page.$eval('.running pre', (pre) =>
    [...pre.querySelectorAll('.code-line')].map((line) => line.textContent).join(''),
  );
  const visitor = await browser.newPage();
  await visitor.goto(site.url);
  await visitor.waitForFunction(() => document.querySelector('lettera-tools'));
  await visitor.keyboard.down('t');
  await visitor.click('h1');
  await visitor.keyboard.up('t');
  await page.bringToFront();
  await page.waitForSelector('aside ::-p-text(Keeper’s log)');
  await take('running-site');
  await visitor.close();
  site.close();

  await page.evaluate(() => localStorage.setItem('lettera:theme', 'dark'));
  await open('pair');
  await press(page, 'On dark', 'section.proof');
  await take('pair-dark');
  await page.evaluate(() => localStorage.removeItem('lettera:theme'));

  const welcome = await startLettera(undefined, { settled: true });
  try {
    await page.goto(`${welcome.url}/p/${WELCOME}/pair?page=welcome-ar`);
    await proofFrame(page, { asItIs: true });
    await press(page, 'Scripts', '[role="tablist"]');
    await page.waitForSelector('[data-index="2"] .in-face:not(.waits)', {
      timeout: 120_000,
    });
    await fallbacksFitted(page);
    await take('scripts');
    await page.goto(`${welcome.url}/p/${WELCOME}/styles?view=languages&page=welcome-ja`);
    await proofFrame(page, { asItIs: true });
    await take('languages');
  } finally {
    await welcome.close();
  }
} finally {
  await browser.close();
  await lettera.close();
}
