import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { openServices, readConfig, type Services } from '@lettera/server';
import { applyChange } from '@lettera/core/change';
import { samplePages } from '@lettera/sample';
import { loadSample } from '../cli/loadSample';
import { launchBrowser, newPage } from '../e2e/browser';
import { startLettera } from '../e2e/lettera';
import { largeDocument } from './large';
import { summarise, time, type Row } from './timing';
import { changeTokens } from './web';

/** Changes behind the project. */
const HISTORY = 50_000;
const KEPT_EVERY = 500;
const CHANGES = 40;
/** Frames over which the sheet of styles is scrolled, and how far at each, px. */
const FRAMES = 180;
const SCROLLED = 60;
/** What ordinary work is done so often before the heap is measured again. */
const ROUNDS = 500;

/** The project of a large site, with the sample's faces and pages, and a long history as if each change had been made. */
async function largeProject(services: Services): Promise<string> {
  const sample = await loadSample(services);
  const { case: families, voices, colours, scale, pair } = sample.document;
  const large = largeDocument();
  const document = {
    ...large,
    name: 'A large site',
    case: families,
    voices,
    colours,
    scale,
    ...(pair ? { pair } : {}),
    styles: sample.document.styles,
    elements: sample.document.elements,
  };
  // As many of each as there may be, the sample's own first.
  for (const part of ['styles', 'elements'] as const) {
    const most = Object.keys(large[part]).length;
    const all = { ...sample.document[part], ...large[part] };
    Object.assign(document, { [part]: Object.fromEntries(Object.entries(all).slice(0, most)) });
  }
  for (const element of Object.values(document.elements)) {
    if (!document.styles[element.style]) element.style = 'body';
    if (element.parent && !document.elements[element.parent]) element.parent = null;
  }
  for (const style of Object.values(document.styles)) {
    if (style.follows && !document.styles[style.follows]) style.follows = null;
  }
  const valid = applyChange(document, []).document;
  const { id, slug } = await services.projects.create(valid, await samplePages());
  const client = services.database.$client;
  await client.execute({
    sql: 'INSERT INTO project_fonts SELECT ?, sha256 FROM project_fonts WHERE project_id = ?',
    args: [id, sample.id],
  });
  const patch = JSON.stringify([{ op: 'replace', path: '/words', value: 'Light in order' }]);
  for (let from = 2; from <= HISTORY; from += 1000) {
    await client.batch(
      Array.from({ length: Math.min(1000, HISTORY - from + 1) }, (_, i) => ({
        sql: 'INSERT INTO changes (project_id, revision, kind, label, patch, inverse, below, at) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
        args: [id, from + i, 'change', 'Words', patch, patch, from + i - 1 || null, '2026'],
      })),
      'write',
    );
  }
  await client.execute({
    sql: 'UPDATE projects SET revision = ?, undo_top = ? WHERE id = ?',
    args: [HISTORY, HISTORY, id],
  });
  for (let at = KEPT_EVERY; at <= HISTORY; at += KEPT_EVERY) {
    await client.execute({
      sql: 'INSERT INTO kept_states SELECT id, ?, document FROM projects WHERE id = ?',
      args: [at, id],
    });
  }
  return slug;
}

/** Scrolls the sheet of styles, and gives the time between its frames. */
const scrolled = (page: Page): Promise<number[]> =>
  page.evaluate(
    async (count, by) => {
      const sheet = document.querySelector('.sheet');
      if (!sheet) throw new Error('The sheet is not there');
      const frames: number[] = [];
      let last = performance.now();
      for (let i = 0; i < count; i++) {
        sheet.scrollTop += by;
        await new Promise<number>((resolve) => requestAnimationFrame(resolve));
        const now = performance.now();
        frames.push(now - last);
        last = now;
      }
      return frames.slice(1);
    },
    FRAMES,
    SCROLLED,
  );

/** Bytes that a page holds after all that can go has gone, MB. */
async function heapOf(page: Page): Promise<number> {
  const session = await page.createCDPSession();
  await session.send('HeapProfiler.enable');
  for (let i = 0; i < 3; i++) await session.send('HeapProfiler.collectGarbage');
  const { usedSize } = await session.send('Runtime.getHeapUsage');
  await session.detach();
  return usedSize / 1_000_000;
}

/** Changes, looks at what is only tried, and goes from page to page, as somebody does in an hour. */
async function work(page: Page, rounds: number): Promise<void> {
  await page.evaluate(async (times) => {
    const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
    for (let i = 0; i < times; i++) {
      const inputs = document.querySelectorAll<HTMLInputElement>('.ends input[aria-label="Base"]');
      const input = inputs[i % inputs.length];
      const key = i % 20 < 10 ? 'ArrowUp' : 'ArrowDown';
      input?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      // A remedy that is pointed at is shown, and left.
      const remedy = document.querySelector('.marks button');
      remedy?.dispatchEvent(new MouseEvent('mouseenter'));
      await pause(60);
      remedy?.dispatchEvent(new MouseEvent('mouseleave'));
      await pause(60);
    }
  }, rounds);
}

const serverMemory = async (pid: number): Promise<number> => {
  const { readFile } = await import('node:fs/promises');
  const status = await readFile(`/proc/${pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1000;
};

/** A document of 1,000 styles and 2,000 elements, 50,000 changes behind it. */
export async function largeSites(): Promise<Row[]> {
  const dataFolder = mkdtempSync(join(tmpdir(), 'lettera-large-'));
  const services = await openServices(readConfig({ data: dataFolder }, {}));
  const slug = await largeProject(services);
  await services.close();
  const lettera = await startLettera({ dataFolder });
  const address = `${lettera.url}/api/v1/projects/${slug}`;
  const browser = await launchBrowser();
  const { page } = await newPage(browser);
  const show = async (stage: string) => {
    await page.goto(`${lettera.url}/p/${stage}`);
    await page.waitForSelector('section.proof iframe.ready');
    // The loader that runs this file names functions through a helper, which the page has not.
    await page.evaluate('globalThis.__name = (named) => named');
  };
  const opening: number[] = [];
  for (let i = 0; i < 6; i++) {
    // What goes on after a page was shown is no part of opening the next.
    await page.goto('about:blank');
    await new Promise((resolve) => setTimeout(resolve, 2500));
    opening.push(...(await time(1, () => show(`${slug}/scale`))));
  }
  await new Promise((resolve) => setTimeout(resolve, 6000));
  // What is worked out at rest is part of it here.
  const often = { changes: CHANGES, rest: 900 };
  await changeTokens(page, often);
  const { frames, tasks } = await changeTokens(page, often);

  // Nobody looks on while it is measured how long saving takes.
  await page.goto('about:blank');
  let revision = Number((await fetch(address)).headers.get('etag')?.replaceAll('"', ''));
  const save = async (run: number) => {
    const response = await fetch(address, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'If-Match': `"${revision}"`,
        Prefer: 'return=minimal',
      },
      body: JSON.stringify([
        { op: 'add', path: '/styles/style-500/set/weight', value: 300 + (run % 9) * 50 },
      ]),
    });
    if (!response.ok) throw new Error(await response.text());
    await response.arrayBuffer();
    revision++;
  };
  await time(20, save);
  const saving = await time(200, save);
  const earlier = await time(20, async (run) => {
    const response = await fetch(`${address}/revisions/${1 + run * 2489}`);
    if (!response.ok) throw new Error(await response.text());
    await response.arrayBuffer();
  });

  await show(`${slug}/styles`);
  await new Promise((resolve) => setTimeout(resolve, 4000));
  const between = await scrolled(page);

  // The heap of ordinary work, on the sample: what a project of that size holds is no leak.
  await show('tarnholm-light/scale');
  // What is made once is made by then.
  await work(page, ROUNDS / 2);
  const before = { page: await heapOf(page), server: await serverMemory(lettera.pid()) };
  await work(page, ROUNDS);
  const after = { page: await heapOf(page), server: await serverMemory(lettera.pid()) };
  await browser.close();
  await lettera.close();
  rmSync(dataFolder, { recursive: true, force: true });
  const large = 'a large site';
  return [
    summarise(`${large}: opened until the proof is shown`, opening.slice(1), 1000),
    summarise(`${large}: a change until the proof shows it`, frames, 50),
    summarise(`${large}: the longest task meanwhile`, tasks, 50),
    summarise(`${large}: save a change, ${HISTORY.toLocaleString('en')} behind it`, saving, 20),
    summarise(`${large}: an earlier revision`, earlier, 1000),
    summarise(`${large}: between frames, scrolling the sheet of styles`, between, 17),
    summarise(
      `heap of the page after ${ROUNDS} changes and previews, over that before`,
      [after.page / before.page],
      1.1,
      '×',
    ),
    summarise(
      `memory of the server after ${ROUNDS} changes, over that before`,
      [after.server / before.server],
      1.2,
      '×',
    ),
  ];
}
