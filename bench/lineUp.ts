import type { Page } from 'puppeteer-core';
import type { Project } from '@lettera/server';
import { eventually, launchBrowser, newPage } from '../e2e/browser';
import { startLettera } from '../e2e/lettera';
import { summarise, type Row } from './timing';

const FAMILIES = 2000;
const RUNS = 12;

/** Opens the line-up of a library of 2,000 families, all of them measured. */
async function openLineUp(page: Page, url: string): Promise<void> {
  const address = `${url}/api/v1/projects/tarnholm-light/foundry`;
  const allowed = await fetch(address, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ allowedBy: 'bench' }),
  });
  const { name } = ((await allowed.json()) as Project).document;
  await eventually(
    async () => (await (await fetch(`${address}/measures`)).json()) as { state: string },
    ({ state }) => state === 'done',
    120_000,
  );
  await page.goto(`${url}/p/tarnholm-light/faces`);
  await page.waitForFunction((wanted) => document.title.includes(wanted), {}, name);
  await page.waitForFunction(
    (families) =>
      document.querySelector('.sentence .lead')?.textContent?.includes(String(families)),
    { timeout: 60_000 },
    FAMILIES,
  );
  await page.waitForSelector('li .specimen.shown');
  // The loader that runs this file names functions through a helper, which the page has not.
  await page.evaluate('globalThis.__name = (named) => named');
}

/** Sorts and filters, each until the frame that shows it has been drawn, milliseconds. */
const sortAndFilter = (page: Page): Promise<{ sorts: number[]; filters: number[] }> =>
  page.evaluate(async (runs) => {
    const nextFrame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
    const first = () => document.querySelector('li .name')?.textContent ?? '';
    const counted = () => document.querySelector('.sentence .lead')?.textContent ?? '';
    const timed = async (act: () => void, shown: () => string): Promise<number> => {
      await nextFrame();
      const before = shown();
      const start = performance.now();
      act();
      while (shown() === before) await nextFrame();
      await nextFrame();
      const took = performance.now() - start;
      await new Promise((resolve) => setTimeout(resolve, 250));
      return took;
    };
    const sorts: number[] = [];
    const filters: number[] = [];
    const heads = [...document.querySelectorAll<HTMLElement>('.columns button')];
    const field = document.querySelector<HTMLInputElement>('[aria-label="Find a family by name"]');
    for (let run = 0; run < runs; run++) {
      // Name and width, in turn, so that another family always comes first.
      sorts.push(await timed(() => heads[run % 2 ? 0 : 2]?.click(), first));
    }
    for (let run = 0; run < runs; run++) {
      filters.push(
        await timed(() => {
          if (!field) return;
          field.value = run % 2 ? '' : 'litrata';
          field.dispatchEvent(new Event('input', { bubbles: true }));
        }, counted),
      );
    }
    return { sorts, filters };
  }, RUNS);

/** Scrolls through the list as fast as a wheel does, and counts the frames in which a row is missing. */
const scroll = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const nextFrame = () => new Promise<number>((resolve) => requestAnimationFrame(resolve));
    const bench = document.querySelector<HTMLElement>('.workbench');
    const list = bench?.querySelector('ul[aria-label="Families"]');
    if (!bench || !list) throw new Error('There is no line-up');
    let blank = 0;
    for (let step = 0; step < 240; step++) {
      bench.scrollTop += 240;
      await nextFrame();
      const room = bench.getBoundingClientRect();
      for (const y of [room.top + 60, room.top + room.height / 2, room.bottom - 20]) {
        const at = document.elementFromPoint(room.left + 300, y);
        if (at === list || at === bench) blank++;
      }
    }
    return blank;
  });

/** The line-up with 2,000 families: sorting, filtering, scrolling. */
export async function lineUps(): Promise<Row[]> {
  const lettera = await startLettera(undefined, { families: FAMILIES });
  const browser = await launchBrowser();
  try {
    const { page } = await newPage(browser);
    await openLineUp(page, lettera.url);
    await sortAndFilter(page);
    const { sorts, filters } = await sortAndFilter(page);
    const blank = await scroll(page);
    const families = `${FAMILIES.toLocaleString('en')} families`;
    return [
      summarise(`sort ${families} in the line-up until they show`, sorts, 50),
      summarise(`filter ${families} by a name with a slip until they show`, filters, 50),
      summarise(`blank places met while scrolling ${families}`, [blank], 0, 'places'),
    ];
  } finally {
    await browser.close();
    await lettera.close();
  }
}
