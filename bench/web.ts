import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { ElementHandle, Page } from 'puppeteer-core';
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

/** A script as gzip packs it, bytes: what is sent depends on what else a browser takes. */
const gzippedBytes = async (url: string): Promise<number> =>
  gzipSync(Buffer.from(await (await fetch(url)).arrayBuffer())).length;

/** Loads the application without a cache, until the proof is there. */
async function load(page: Page, url: string): Promise<Load> {
  await page.goto(url);
  await page.waitForSelector('section.proof iframe.ready');
  const { shown, scripts } = await page.evaluate(() => {
    const [paint] = performance.getEntriesByName('first-contentful-paint');
    const scripts = (
      performance.getEntriesByType('resource') as PerformanceResourceTiming[]
    ).filter(({ name }) => name.endsWith('.js'));
    return {
      shown: Math.max(paint?.startTime ?? 0, performance.now()),
      scripts: scripts.map(({ name }) => name),
    };
  });
  const bytes = await Promise.all(scripts.map(gzippedBytes));
  return { shown, scriptBytes: bytes.reduce((sum, one) => sum + one, 0) };
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

/**
 * Steps a number of the scale, until the proof has painted it; and the longest task meanwhile.
 * @param given.rest how long is waited after each, milliseconds
 */
export async function changeTokens(
  page: Page,
  { changes = CHANGES, rest = 120 } = {},
): Promise<{ frames: number[]; tasks: number[] }> {
  return page.evaluate(
    async (changes, rest, MICROTASKS) => {
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
        await new Promise((resolve) => setTimeout(resolve, rest));
        tasks.push(Math.max(0, ...longTasks));
      }
      return { frames, tasks };
    },
    changes,
    rest,
    MICROTASKS,
  );
}

/** Frames are 16.7 ms apart at 60 a second; their time stamps vary by a tenth. */
const FRAME = 17;
/** Moves over which a drag is measured, and how far apart they are, milliseconds. */
const MOVES = 120;
const MOVE_EVERY = 10;

/** Drags from a place to and fro, and gives the time between the frames drawn meanwhile, milliseconds. */
async function dragFrames(
  page: Page,
  from: { x: number; y: number },
  by: { x: number; y: number },
): Promise<number[]> {
  await page.evaluate(() => {
    const watched = globalThis as unknown as { frames: number[]; watching: boolean };
    watched.frames = [];
    watched.watching = true;
    const note = (time: number) => {
      watched.frames.push(time);
      if (watched.watching) requestAnimationFrame(note);
    };
    requestAnimationFrame(note);
  });
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 0; i < MOVES; i++) {
    const along = Math.sin((i / MOVES) * Math.PI * 4);
    await page.mouse.move(from.x + by.x * along, from.y + by.y * along);
    await new Promise((resolve) => setTimeout(resolve, MOVE_EVERY));
  }
  const frames = await page.evaluate(() => {
    const watched = globalThis as unknown as { frames: number[]; watching: boolean };
    watched.watching = false;
    return watched.frames;
  });
  await page.mouse.up();
  return frames.slice(1).map((time, i) => time - (frames[i] ?? time));
}

/** Dragging a curve's end, and the proof's width, on the sample project's first page. */
export async function drags(): Promise<Row[]> {
  const lettera = await startLettera();
  const browser = await launchBrowser();
  const { page } = await newPage(browser);
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  await page.evaluate('globalThis.__name = (named) => named');
  await proofFrame(page);
  // What is measured once the page rests is not part of a drag.
  await new Promise((resolve) => setTimeout(resolve, 2500));
  const middleOf = async (selector: string) => {
    const box = await (await page.waitForSelector(selector))?.boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  const end = await middleOf('[data-end="5 large"] .dot');
  await dragFrames(page, end, { x: 0, y: -20 });
  const ends = await dragFrames(page, await middleOf('[data-end="5 large"] .dot'), {
    x: 0,
    y: -20,
  });
  const ruler = await middleOf('.ruler .handle');
  const widths = await dragFrames(page, ruler, { x: 60, y: 0 });
  await browser.close();
  await lettera.close();
  return [
    summarise('between frames while a curve’s end is dragged', ends, FRAME),
    summarise('between frames while the width ruler is dragged', widths, FRAME),
  ];
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

const STOCK_NODES = 10_000;
const READINGS = 7;

/** A page of so many text nodes, in forty styles, some of them in the midst of others. */
function longPage(nodes: number): string {
  const rules = Array.from(
    { length: 40 },
    (_, i) => `.c${i} { font-size: ${12 + i * 0.3}px; color: #${String(100 + i * 7)} }`,
  );
  const texts = Array.from(
    { length: Math.ceil(nodes / 4) },
    (_, i) =>
      `<p class="c${i % 40}">The glass fell all day without hurry, <em>Þokuljós</em> answered, and by six nobody stood on the gallery. ${i}</p>${i % 9 === 0 ? `<h2>Log ${i}</h2>` : `<p>Fog ${i}</p>`}`,
  );
  return `<!doctype html><html lang="en"><title>Long</title><style>body { font: 16px/1.5 Georgia, serif } ${rules.join('\n')} @media (min-width: 700px) { h2 { font-size: 2rem } }</style><body>${texts.join('')}</body></html>`;
}

/** Reading a page for its stock, from the click until it is reported. */
export async function takingStock(): Promise<Row[]> {
  const lettera = await startLettera();
  const browser = await launchBrowser();
  const { page } = await newPage(browser);
  const folder = mkdtempSync(join(tmpdir(), 'lettera-bench-'));
  const path = join(folder, 'long.html');
  writeFileSync(path, longPage(STOCK_NODES));
  await page.goto(`${lettera.url}/p/tarnholm-light/stock`);
  const input = await page.waitForSelector('input[aria-label="Files of pages"]');
  await (input as ElementHandle<HTMLInputElement>).uploadFile(path);
  await page.waitForSelector('table.shares');
  const times: number[] = [];
  for (let run = 0; run < READINGS; run++) {
    times.push(
      await page.evaluate(async () => {
        const press = async (name: string): Promise<void> => {
          for (const key of document.querySelectorAll('button')) {
            if (key.textContent?.trim() === name) key.click();
          }
          await new Promise((resolve) => requestAnimationFrame(resolve));
        };
        await press('This site');
        const start = performance.now();
        await press('Read again');
        do await new Promise((resolve) => requestAnimationFrame(resolve));
        while (document.querySelector('.l-progress-line'));
        return performance.now() - start;
      }),
    );
  }
  await browser.close();
  await lettera.close();
  rmSync(folder, { recursive: true });
  return [summarise(`taking stock of a page of ${STOCK_NODES} text nodes`, times, 1000)];
}
