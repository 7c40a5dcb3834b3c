import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { openServices, readConfig, type Project } from '@lettera/server';
import { temporaryFolder } from '../server/testing/server';
import { violationsOn } from './axe';
import {
  computed,
  eventually,
  fallbacksFitted,
  fill,
  launchBrowser,
  newPage,
  press,
  proofFrame,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { allowFoundry, changeProject } from './project';

const STAGES = ['faces', 'pair', 'scale', 'fallbacks', 'styles', 'deliver'];
const HOSTILE_FONT = 'core/font/golden/tarnholm-test.otf';
const LARGE_END = '.ends fieldset:nth-child(2)';

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let slug: string;
let count = 0;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

const api = async <T>(path: string, init?: RequestInit): Promise<T> =>
  (await (await fetch(`${lettera.url}/api/v1${path}`, init)).json()) as T;
const project = () => api<Project>(`/projects/${slug}`);

const open = async (target: Page, stage: string): Promise<void> => {
  await target.goto(`${lettera.url}/p/${slug}/${stage}`);
  await proofFrame(target);
};

/** Faces of a project that has nothing yet, which shows how to begin in place of a proof. */
const openEmpty = async (): Promise<void> => {
  await page.goto(`${lettera.url}/p/${slug}/faces`);
  await page.waitForSelector('.ways');
};

const status = (target: Page) =>
  target.$eval('.docket [role="status"]', (node) => node.textContent?.trim());

/** Every test has a project and a page of its own. */
beforeEach(async () => {
  const created = await api<Project>('/projects', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: `Skerry ${++count}` }),
  });
  ({ slug } = created);
  ({ page } = await newPage(browser));
});
afterEach(() => page.close());

describe('font files brought from disk', () => {
  const bring = async (...files: string[]) => {
    const input = await page.waitForSelector('input[type="file"]');
    await (input as unknown as { uploadFile(...paths: string[]): Promise<void> }).uploadFile(
      ...files,
    );
    return eventually(
      () =>
        page.$$eval('.outcome :is(p, li)', (nodes) =>
          nodes.map((node) => node.textContent?.trim() ?? ''),
        ),
      ([first]) => first !== undefined && !first.startsWith('Reading'),
    );
  };

  test('that are no fonts are refused in words, and the case stays as it was', async () => {
    await openEmpty();
    const file = join(temporaryFolder(), 'log.woff2');
    writeFileSync(file, 'Keeper’s log, 14 November');
    expect((await bring(file))[0]).toContain('log.woff2: This is not a font');
    expect((await project()).document.case).toEqual({});
    expect(await page.$$('li button.row')).toHaveLength(0);
  });

  test('with a hostile name are shown, seated and delivered as that name', async () => {
    await openEmpty();
    const name = 'Tarnholm "Test" <b>; }';
    expect((await bring(HOSTILE_FONT))[0]).toContain(`1 face added, as ${name}`);
    await page.waitForSelector('li .name');
    expect(await page.$eval('li .name', (node) => node.textContent)).toContain(name);
    await open(page, 'pair');
    await press(page, 'Voices');
    await (await page.waitForSelector('[aria-label="Family of the case in Heading"]'))?.click();
    await (await page.waitForSelector('[role="option"]'))?.click();
    await eventually(project, ({ document }) => document.voices['heading']?.family !== null);
    const family = await eventually(
      async () =>
        (await computed(await proofFrame(page), 'h1', ['font-family']))['font-family'] ?? '',
      (value) => value.includes('Tarnholm'),
    );
    expect(family).toMatch(/^"Tarnholm \\"Test\\" <b>; }"/);
  });
});

describe('changes that cannot be saved at once', () => {
  test('stay, say so, and are sent again when the server is back', async () => {
    await open(page, 'scale');
    await lettera.kill();
    await fill(page, 'Base', '21', LARGE_END);
    await eventually(
      () => status(page),
      (text) => text === 'Not saved yet',
    );
    expect(await page.$eval('.docket', (node) => node.textContent)).toContain(
      'kept in this browser',
    );
    await fill(page, 'Ratio', '1.4', LARGE_END);
    const shown = await computed(await proofFrame(page), 'body', ['font-size']);
    expect(parseFloat(shown['font-size'] ?? '')).toBeCloseTo(21, 1);
    await lettera.restart();
    await press(page, 'Send now', '.docket');
    await eventually(
      () => status(page),
      (text) => text === 'Saved',
    );
    expect((await project()).document.scale.large).toMatchObject({ base: 21, ratio: 1.4 });
  });

  test('survive the page being closed meanwhile', async () => {
    await open(page, 'scale');
    await lettera.kill();
    await fill(page, 'Base', '22', LARGE_END);
    await eventually(
      () => status(page),
      (text) => text === 'Not saved yet',
    );
    await page.close();
    await lettera.restart();
    ({ page } = await newPage(browser));
    await open(page, 'scale');
    await eventually(project, ({ document }) => document.scale.large.base === 22);
  });
});

describe('two windows on one project', () => {
  test('hear of one another’s changes', async () => {
    await open(page, 'scale');
    const { page: other } = await newPage(browser);
    await open(other, 'scale');
    await page.bringToFront();
    await fill(page, 'Base', '23', LARGE_END);
    await eventually(
      () =>
        other.$eval(
          `${LARGE_END} input[aria-label="Base"]`,
          (node) => (node as HTMLInputElement).value,
        ),
      (value) => value === '23',
    );
    await other.close();
  });

  test('on the same value are put to the person; elsewhere they join', async () => {
    await open(page, 'scale');
    await page.setRequestInterception(true);
    let offline = true;
    page.on('request', (request) => {
      const stopped =
        offline && request.url().includes('/api/') && !request.url().includes('/pages/');
      void (stopped ? request.abort() : request.continue());
    });
    await fill(page, 'Base', '24', LARGE_END);
    const change = async (path: string, value: number) => {
      const { revision } = await project();
      await api(`/projects/${slug}`, {
        method: 'PATCH',
        headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
        body: JSON.stringify([{ op: 'replace', path, value }]),
      });
    };
    await change('/scale/large/ratio', 1.5);
    offline = false;
    await eventually(project, ({ document }) => document.scale.large.base === 24);
    expect((await project()).document.scale.large.ratio).toBe(1.5);

    offline = true;
    await fill(page, 'Base', '25', LARGE_END);
    await eventually(
      () => status(page),
      (text) => text === 'Not saved yet',
    );
    await change('/scale/large/base', 30);
    offline = false;
    await press(page, 'Make mine again');
    await eventually(project, ({ document }) => document.scale.large.base === 25);
  });
});

describe('colours and the name', () => {
  test('are changed in place; what is no colour is refused, and the colour stays', async () => {
    await open(page, 'styles');
    await press(page, 'Colours', '[aria-label="Views of Styles"]');
    await fill(page, 'Ink on the light background', 'rgb(34 34 34)');
    const colour = async () => (await computed(await proofFrame(page), 'body', ['color']))['color'];
    await eventually(colour, (value) => value === 'rgb(34, 34, 34)');
    await fill(page, 'Ink on the light background', 'red; } body {');
    const refusal = await page.waitForSelector('.refusal[role="alert"]');
    expect(await refusal?.evaluate((node) => node.textContent)).toMatch(
      /Ink: light background must be a CSS colour.*Nothing was changed/,
    );
    // It stands beside what was tried, which shows what holds again.
    const field = await page.waitForSelector('[aria-label="Ink on the light background"]');
    const [told, tried] = [await refusal?.boundingBox(), await field?.boundingBox()];
    const apart = Math.min(
      Math.abs((told?.y ?? 0) - ((tried?.y ?? 0) + (tried?.height ?? 0))),
      Math.abs((told?.y ?? 0) + (told?.height ?? 0) - (tried?.y ?? 0)),
    );
    expect(apart).toBeLessThan(20);
    const light = () =>
      page.$eval(
        '[aria-label="Ink on the light background"]',
        (node) => (node as HTMLInputElement).value,
      );
    await eventually(light, (value) => value === 'rgb(34 34 34)');
    // Nor does what was refused come back when the row is drawn again.
    await changeProject(lettera, slug, [
      { op: 'replace', path: '/colours/ink/dark', value: '#eeeeee' },
    ]);
    await eventually(
      () =>
        page.$eval(
          '[aria-label="Ink on the dark background"]',
          (node) => (node as HTMLInputElement).value,
        ),
      (value) => value === '#eeeeee',
    );
    expect(await light()).toBe('rgb(34 34 34)');
    await page.keyboard.press('Escape');
    await page.waitForSelector('.refusal', { hidden: true });
    expect(await colour()).toBe('rgb(34, 34, 34)');
    await fill(page, 'Name of a new colour', 'Seaweed');
    await eventually(project, ({ document }) => document.colours['seaweed']?.name === 'Seaweed');
    await page.click('.docket .name');
    await fill(page, 'Name of the project', 'Skerry Ferries');
    await eventually(project, ({ name }) => name === 'Skerry Ferries');
  });
});

describe('a long page', () => {
  test('shows a change where the eye is first, and everywhere soon after', async () => {
    const services = await openServices(readConfig({ data: lettera.dataFolder }));
    await services.database.$client.execute({
      sql: "UPDATE pages SET html = replace(hex(zeroblob(12)), '0', html) WHERE slug = 'sheet' AND project_id = ?",
      args: [(await project()).id],
    });
    await services.close();
    await open(page, 'scale');
    const frame = await proofFrame(page);
    const sizes = () =>
      frame.$$eval('p.lead', (nodes) =>
        nodes.map((node) => Math.round(parseFloat(getComputedStyle(node).fontSize) * 10) / 10),
      );
    const far = () => frame.$$eval('[data-lettera-far]', (nodes) => nodes.length);
    expect((await sizes()).length).toBeGreaterThan(20);
    // Fallback faces that come meanwhile are a change of their own.
    await fallbacksFitted(page);
    // Seen in the moment in which the far parts are set aside; from without, since no script runs within.
    const moment = await page.evaluateHandle(() => {
      const seen = { far: 0, first: '' };
      const proof = document.querySelector('iframe')?.contentDocument;
      const sizeOfFirst = () => {
        const first = proof?.querySelector('p.lead');
        return first ? getComputedStyle(first).fontSize : '';
      };
      if (!proof) throw new Error('There is no proof');
      const before = sizeOfFirst();
      new MutationObserver(() => {
        const count = proof.querySelectorAll('[data-lettera-far]').length;
        const first = sizeOfFirst();
        // What else comes meanwhile sets far parts aside too, and leaves the size as it was.
        if (count <= seen.far || first === before) return;
        Object.assign(seen, { far: count, first });
      }).observe(proof.body, {
        attributes: true,
        subtree: true,
        attributeFilter: ['data-lettera-far'],
      });
      return seen;
    });
    await fill(page, 'Base', '30', LARGE_END);
    const seen = await eventually(
      () => moment.jsonValue(),
      (value) => value.far > 0,
    );
    expect(seen.far).toBeGreaterThan(50);
    expect(parseFloat(seen.first)).toBeCloseTo(37.5, 1);
    await eventually(far, (count) => count === 0);
    expect(new Set(await sizes())).toEqual(new Set([37.5]));
  });
});

describe('the keyboard', () => {
  test('goes to stages, flips the proof, steps numbers, undoes', async () => {
    await openEmpty();
    await page.keyboard.press('g');
    await page.keyboard.press('s');
    await page.waitForSelector(`${LARGE_END} input[aria-label="Ratio"]`);
    expect(page.url()).toContain('/scale');
    await page.focus(`${LARGE_END} input[aria-label="Ratio"]`);
    await page.keyboard.press('ArrowUp');
    await eventually(project, ({ document }) => document.scale.large.ratio === 1.26);
    await eventually(
      () => status(page),
      (text) => text === 'Saved',
    );
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.down('Control');
    await page.keyboard.press('z');
    await page.keyboard.up('Control');
    await eventually(project, ({ document }) => document.scale.large.ratio === 1.25);
    await page.keyboard.press('f');
    const fallback = '[aria-label="Faces"] [aria-pressed="true"] .visually-hidden';
    expect(await page.$eval(fallback, (node) => node.textContent?.trim())).toBe('Fallback faces');
    await page.keyboard.press('?');
    await page.waitForSelector('[role="dialog"]');
  });
});

describe('every stage', () => {
  test.each(['light', 'dark'])(
    'passes WCAG 2.2 AA in the %s room, as far as axe can tell',
    async (theme) => {
      slug = 'tarnholm-light';
      await page.goto(`${lettera.url}/projects`);
      await page.evaluate((name) => localStorage.setItem('lettera:theme', name), theme);
      const found: string[] = [];
      for (const stage of STAGES) {
        await open(page, stage);
        await page.waitForFunction(
          () => !document.querySelector('.workbench [role="status"]')?.textContent?.includes('…'),
        );
        if (stage === 'styles') await page.click('tr[data-style="lead"] [data-column="3"]');
        found.push(...(await violationsOn(page, stage)));
      }
      expect(found).toEqual([]);
    },
  );

  test.each(['light', 'dark'])(
    'Faces passes in the %s room with a family, a filter, the map and a form open',
    async (theme) => {
      slug = 'tarnholm-light';
      await allowFoundry(lettera, slug);
      await page.goto(`${lettera.url}/projects`);
      // The line-up is remembered, the map of the room before too.
      await page.evaluate(() => localStorage.clear());
      await page.evaluate((name) => localStorage.setItem('lettera:theme', name), theme);
      await open(page, 'faces');
      await page.waitForSelector('li .specimen.shown');
      await eventually(
        () => page.$$eval('.l-progress', (nodes) => nodes.length),
        (bars) => bars === 0,
      );
      const found: string[] = [];
      await page.$eval('li button.row', (node) => (node as HTMLElement).click());
      await page.waitForSelector('.panel .grid');
      found.push(...(await violationsOn(page, 'an opened family')));
      await press(page, 'Filter');
      found.push(...(await violationsOn(page, 'what narrows')));
      await press(page, 'Languages', '.l-fold');
      await page.waitForSelector('.l-fold', { hidden: true });
      found.push(...(await violationsOn(page, 'a filter being edited')));
      await press(page, 'Add fonts');
      await press(page, 'Refer to a family', '.l-fold');
      await press(page, 'Map');
      await page.waitForSelector('.point');
      found.push(...(await violationsOn(page, 'the map and the form')));
      expect(found).toEqual([]);
    },
  );

  test.each(['light', 'dark'])(
    'Pair passes in the %s room in each of its views, with contenders and a draw',
    async (theme) => {
      slug = 'tarnholm-light';
      await allowFoundry(lettera, slug);
      await page.goto(`${lettera.url}/projects`);
      await page.evaluate((name) => localStorage.setItem('lettera:theme', name), theme);
      await open(page, 'pair');
      const clickFirst = (selector: string) =>
        page.$eval(selector, (node) => (node as HTMLElement).click());
      await page.waitForSelector('.partner .in-face:not(.waits)');
      const nth = (row: number, deed: number) =>
        `li:nth-child(${row}) .partner .acts .l-do:nth-child(${deed})`;
      await clickFirst(nth(1, 2));
      await clickFirst(nth(2, 2));
      await page.waitForSelector('.contenders li');
      await clickFirst(nth(1, 3));
      await press(page, 'More');
      await press(page, 'Draw one at random', '.l-fold');
      const found = await violationsOn(page, 'the order');
      for (const view of ['Starting points', 'Side by side', 'Voices']) {
        await press(page, view, '[aria-label="Views"]');
        found.push(...(await violationsOn(page, view)));
      }
      expect(found).toEqual([]);
    },
  );
});
