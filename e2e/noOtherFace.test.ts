import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Browser, HTTPRequest, Page, ScreenshotClip } from 'puppeteer-core';
import { eventually, launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { allowFoundry, changeProject } from './project';

/** Nothing is shown in another face than its own: with the files of faces kept back, and with them refused. */
let lettera: RunningLettera;
let browser: Browser;

const SLUG = 'tarnholm-light';
/** What the words of the interface are set in, and the font in which every character is blank. */
const ALLOWED = ['Hanken Grotesk Variable', 'Hanken Grotesk', 'OTS derived font', 'Lettera blank'];
const isFace = (request: HTTPRequest): boolean =>
  request.resourceType() === 'font' && new URL(request.url()).pathname.startsWith('/api/');

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  await allowFoundry(lettera, SLUG);
  await changeProject(lettera, SLUG, [
    {
      op: 'add',
      path: '/contenders',
      value: [
        { heading: 'library/space-grotesk', text: 'library/source-serif-4' },
        { heading: 'library/archivo', text: 'library/bitter' },
      ],
    },
  ]);
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** Families that anything is drawn in within elements of a selector, as Chromium tells. */
async function drawnIn(page: Page, selector: string): Promise<string[]> {
  const session = await page.createCDPSession();
  try {
    await session.send('DOM.enable');
    await session.send('CSS.enable');
    const { root } = await session.send('DOM.getDocument', { depth: 0 });
    const { nodeIds } = await session.send('DOM.querySelectorAll', {
      nodeId: root.nodeId,
      selector: `${selector}, ${selector} *`,
    });
    const families = new Set<string>();
    for (const nodeId of nodeIds) {
      const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId });
      for (const { familyName } of fonts) families.add(familyName);
    }
    return [...families];
  } finally {
    await session.detach();
  }
}

const PLACES: [where: string, path: string, selector: string, least: number][] = [
  ['line-up', 'faces', 'li .specimen', 4],
  ['pairs', 'pair', '.partner .set', 4],
  ['contenders', 'pair', '.contenders .names', 2],
  ['starting points', 'pair?view=points', '.points :is(.heading, .text)', 12],
  ['docket', 'faces', '.docket .face', 2],
  [
    'styles',
    'styles',
    '.styles-table :is([data-style="body"], [data-style="heading-1"], [data-style="lead"]) .name',
    3,
  ],
];

test.each(PLACES)('%s, while files are kept back', async (_where, path, selector, least) => {
  // Nothing that was fetched for one place is there for the next.
  const context = await browser.createBrowserContext();
  const { page } = await newPage(context);
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    if (!isFace(request)) void request.continue();
  });
  await page.goto(`${lettera.url}/p/${SLUG}/${path}`);
  await eventually(
    () => page.$$eval(selector, (all) => all.length),
    (count) => count >= least,
  );
  // Each place says that it waits, after a while.
  await eventually(
    () => page.$$eval(selector, (all) => all.map((node) => node.textContent ?? '').join(' ')),
    (text) => text.includes('is on its way …'),
  );
  const others = (await drawnIn(page, selector)).filter((family) => !ALLOWED.includes(family));
  expect(others).toEqual([]);
  await context.close();
});

test.each(PLACES)('%s, where files do not come', async (_where, path, selector) => {
  // Nothing that was fetched for one place is there for the next.
  const context = await browser.createBrowserContext();
  const { page } = await newPage(context);
  await page.setRequestInterception(true);
  page.on('request', (request) => void (isFace(request) ? request.abort() : request.continue()));
  await page.goto(`${lettera.url}/p/${SLUG}/${path}`);
  await eventually(
    () => page.$$eval(selector, (all) => all.map((node) => node.textContent ?? '').join(' ')),
    (text) => text.includes('did not come'),
  );
  const others = (await drawnIn(page, selector)).filter((family) => !ALLOWED.includes(family));
  expect(others).toEqual([]);
  await context.close();
});

/** Whether nothing is drawn in a part of the screen: every pixel of it is of one colour. */
async function isBlank(page: Page, clip: ScreenshotClip): Promise<boolean> {
  const image = await page.screenshot({ clip, encoding: 'base64' });
  return page.evaluate(async (data) => {
    const bitmap = await createImageBitmap(await (await fetch(data)).blob());
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d');
    context?.drawImage(bitmap, 0, 0);
    const pixels = context?.getImageData(0, 0, bitmap.width, bitmap.height).data ?? [];
    return Array.from(pixels).every((value, i) => value === pixels[i % 4]);
  }, `data:image/png;base64,${image}`);
}

test('the page is blank while files are kept back, and says that they are on their way', async () => {
  const context = await browser.createBrowserContext();
  const { page } = await newPage(context);
  const held: HTTPRequest[] = [];
  await page.setBypassCSP(true);
  await page.setRequestInterception(true);
  page.on('request', (request) => void (isFace(request) ? held.push(request) : request.continue()));
  await page.goto(`${lettera.url}/p/${SLUG}/faces`);
  await page.waitForSelector('section.proof footer');
  const foot = () => page.$eval('section.proof footer', (node) => node.textContent ?? '');
  await eventually(foot, (text) => text.includes('on their way'));
  const frame = await (await page.$('section.proof iframe.ready'))?.contentFrame();
  const box = await (await frame?.$('h1'))?.boundingBox();
  if (!box) throw new Error('The page has no heading');
  const clip = { ...box, height: Math.min(box.height, 200) };
  expect(await isBlank(page, clip)).toBe(true);
  for (const request of held.splice(0)) void request.continue();
  await eventually(
    async () => {
      for (const request of held.splice(0)) void request.continue();
      return foot();
    },
    (text) => text.includes('Point at text'),
  );
  await eventually(
    () => isBlank(page, clip),
    (blank) => !blank,
  );
  await context.close();
});
