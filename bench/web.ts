import type { Page } from 'puppeteer-core';
import { openServices, readConfig } from '@lettera/server';
import { launchBrowser, newPage, proofFrame } from '../e2e/browser';
import { startLettera } from '../e2e/lettera';
import { summarise, type Row } from './timing';

const TEXT_NODES = 2000;
const CHANGES = 60;
/** More than a change of a field takes to reach the proof. */
const MICROTASKS = 40;

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
  return page.evaluate(
    async (changes, MICROTASKS) => {
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
        // What the change sets off runs in microtasks, several deep, which all come before this frame is
        // drawn. Where it has reached the proof by then, the frame shows it, and the next one begins when it
        // has been drawn.
        for (let hop = 0; hop < MICROTASKS && size() === before; hop++) await null;
        while (size() === before) await nextFrame();
        await nextFrame();
        frames.push(performance.now() - start);
        await new Promise((resolve) => setTimeout(resolve, 120));
        tasks.push(Math.max(0, ...longTasks));
      }
      return { frames, tasks };
    },
    CHANGES,
    MICROTASKS,
  );
}

const textNodes = (html: string): number =>
  [...html.matchAll(/>([^<]+)</g)].filter(([, text]) => text?.trim()).length;

/** Makes the project's first page long enough, by its own contents over and over. */
async function lengthenPage(dataFolder: string): Promise<number> {
  const services = await openServices(readConfig({ data: dataFolder }));
  const { $client } = services.database;
  const { rows } = await $client.execute("SELECT html FROM pages WHERE slug = 'home'");
  const html = String(rows[0]?.['html']);
  const times = Math.ceil(TEXT_NODES / textNodes(html));
  const long = html.repeat(times);
  await $client.execute({ sql: "UPDATE pages SET html = ? WHERE slug = 'home'", args: [long] });
  await services.close();
  return textNodes(long);
}

export async function tokenChanges(): Promise<Row[]> {
  const lettera = await startLettera();
  await lettera.kill();
  const nodes = await lengthenPage(lettera.dataFolder);
  await lettera.restart();
  const browser = await launchBrowser();
  const { page } = await newPage(browser);
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  await proofFrame(page);
  await page.waitForSelector('.ends input');
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
