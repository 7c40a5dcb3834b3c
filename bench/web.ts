import type { Page } from 'puppeteer-core';
import { launchBrowser, newPage, proofFrame } from '../e2e/browser';
import { startLettera } from '../e2e/lettera';
import { summarise, type Row } from './timing';

const TEXT_NODES = 2000;
const CHANGES = 60;

interface Load {
  shown: number;
  scriptBytes: number;
}

/** Loads the application without a cache, until the proof is there. */
async function load(page: Page, url: string): Promise<Load> {
  await page.goto(url);
  await page.waitForSelector('section.proof iframe.ready');
  return page.evaluate(() => {
    const [paint] = performance.getEntriesByName('first-contentful-paint');
    const scripts = (
      performance.getEntriesByType('resource') as PerformanceResourceTiming[]
    ).filter(({ name }) => name.endsWith('.js'));
    return {
      shown: Math.max(paint?.startTime ?? 0, performance.now()),
      scriptBytes: scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0),
    };
  });
}

export async function firstLoads(): Promise<Row[]> {
  const lettera = await startLettera();
  const browser = await launchBrowser();
  const loads: Load[] = [];
  for (let run = 0; run < 10; run++) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await page.setCacheEnabled(false);
    loads.push(await load(page, `${lettera.url}/p/tarnholm-light/faces`));
    await context.close();
  }
  await browser.close();
  await lettera.close();
  return [
    summarise(
      'first load, uncached, until the proof is shown',
      loads.map(({ shown }) => shown),
      1000,
    ),
    summarise(
      'script before the first stage is usable, gzipped',
      loads.map(({ scriptBytes }) => scriptBytes / 1000),
      250,
      'KB',
    ),
  ];
}

/** Steps a number of the scale, until the proof has painted it; and the longest task meanwhile. */
async function changeTokens(page: Page): Promise<{ frames: number[]; tasks: number[] }> {
  return page.evaluate(async (changes) => {
    const input = document.querySelector<HTMLInputElement>(
      '.ends fieldset:nth-child(2) input[aria-label="Base"]',
    );
    const proof = document.querySelector('iframe')?.contentDocument;
    const heading = proof?.querySelector('h1');
    if (!input || !heading) throw new Error('The scale is not there');
    const nextFrame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
    const longTasks: number[] = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) longTasks.push(duration);
    }).observe({ type: 'longtask' });
    const size = () => getComputedStyle(heading).fontSize;
    const frames: number[] = [];
    const tasks: number[] = [];
    for (let i = 0; i < changes; i++) {
      await nextFrame();
      const before = size();
      longTasks.length = 0;
      const start = performance.now();
      const key = i % 20 < 10 ? 'ArrowUp' : 'ArrowDown';
      input.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      while (size() === before) await nextFrame();
      heading.getBoundingClientRect();
      await nextFrame();
      frames.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, 120));
      tasks.push(Math.max(0, ...longTasks));
    }
    return { frames, tasks };
  }, CHANGES);
}

export async function tokenChanges(): Promise<Row[]> {
  const lettera = await startLettera();
  const browser = await launchBrowser();
  const { page } = await newPage(browser);
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  const frame = await proofFrame(page);
  await page.waitForSelector('.ends input');
  const nodes = await frame.evaluate((wanted) => {
    const main = document.querySelector('main');
    for (;;) {
      const texts = document.evaluate(
        'count(//body//text()[normalize-space()])',
        document,
        null,
        XPathResult.NUMBER_TYPE,
      ).numberValue;
      if (texts >= wanted || !main) return texts;
      document.body.append(main.cloneNode(true));
    }
  }, TEXT_NODES);
  // The loader that runs this file names functions through a helper, which the page has not.
  await page.evaluate('globalThis.__name = (named) => named');
  await changeTokens(page);
  const { frames, tasks } = await changeTokens(page);
  await browser.close();
  await lettera.close();
  const on = `page of ${nodes.toLocaleString('en')} text nodes`;
  return [
    summarise(`token change until the proof shows it, ${on}`, frames, 33),
    summarise('longest task on the main thread meanwhile', tasks, 50),
  ];
}
