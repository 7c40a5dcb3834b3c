import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import type { LiveState } from '@lettera/core/wire';
import { eventually, launchBrowser } from '../e2e/browser';
import { startLettera, type RunningLettera } from '../e2e/lettera';
import { ask } from '../e2e/project';
import { linesOntoPage, serveRunning } from '../e2e/runningSite';
import { summarise, type Row } from './timing';

const SAMPLE = 'tarnholm-light';
/** Changes whose way to the page is timed, and changes over which it is seen whether anything grows. */
const TIMED = 60;
const MANY = 1000;
const PAUSE = 120;
const MEGABYTE = 1024 * 1024;

/** Source of what notes when the page's own size of text was another, frame by frame. */
const LOOKING_ON = `(() => {
  window.seen = [];
  let last = '';
  const look = () => {
    const { fontSize } = getComputedStyle(document.body);
    if (fontSize !== last) window.seen.push(Date.now());
    last = fontSize;
    requestAnimationFrame(look);
  };
  look();
})`;

const pause = (time: number) => new Promise((resolve) => setTimeout(resolve, time));

/** What the server's process holds, bytes. */
const held = (pid: number): number => {
  const [, pages = '0'] = readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ');
  return Number(pages) * 4096;
};

/** What the page holds once what can be let go of is. */
async function heap(page: Page): Promise<number> {
  const session = await page.createCDPSession();
  await session.send('HeapProfiler.collectGarbage');
  const { usedSize } = await session.send('Runtime.getHeapUsage');
  await session.detach();
  return usedSize;
}

/** Changes one after the other, each on the revision that the last has led to. */
async function changing(lettera: RunningLettera) {
  let { revision } = await ask<{ revision: number }>(lettera, `/projects/${SAMPLE}`);
  return async (size: number): Promise<void> => {
    ({ revision } = await ask<{ revision: number }>(lettera, `/projects/${SAMPLE}`, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'If-Match': `"${revision}"`,
        Prefer: 'return=minimal',
      },
      body: JSON.stringify([
        { op: 'replace', path: '/scale/small/base', value: size },
        { op: 'replace', path: '/scale/large/base', value: size },
      ]),
    }));
  };
}

/** From a change that is sent until the running page has it; and what a thousand of them leave behind. */
export async function liveSheet(): Promise<Row[]> {
  const lettera = await startLettera();
  let lines = '';
  const site = await serveRunning(() => lines);
  lines = await linesOntoPage(lettera, SAMPLE, site);
  const browser = await launchBrowser();
  try {
    const page = await browser.newPage();
    await page.goto(site.url);
    await eventually(
      () => ask<LiveState>(lettera, `/projects/${SAMPLE}/live`),
      ({ pages }) => pages.length > 0,
    );
    await page.evaluate(`${LOOKING_ON}()`);
    const last = () =>
      page.evaluate(() => (window as unknown as { seen: number[] }).seen.at(-1) ?? 0);
    const change = await changing(lettera);
    const samples: number[] = [];
    for (let i = 0; i < TIMED; i++) {
      const sent = Date.now();
      await change(17 + (i % 2));
      await eventually(last, (when) => when >= sent);
      samples.push((await last()) - sent);
    }
    const before = { page: await heap(page), server: held(lettera.pid()) };
    for (let i = 0; i < MANY; i++) {
      await change(17 + (i % 40) / 10);
      await pause(PAUSE);
    }
    const grown = {
      page: (await heap(page)) - before.page,
      server: held(lettera.pid()) - before.server,
    };
    return [
      summarise('a change until the running page has it', samples, 100),
      summarise(`the running page after ${MANY} changes, more`, [grown.page / MEGABYTE], 1, 'MB'),
      summarise(`the server after ${MANY} changes, more`, [grown.server / MEGABYTE], 60, 'MB'),
    ];
  } finally {
    await browser.close();
    site.close();
    await lettera.close();
  }
}
