import { afterAll, beforeAll, beforeEach } from '@jest/globals';
import type { Scale } from '@lettera/core/document';
import type { Project } from '@lettera/server';
import type { Browser, Page } from 'puppeteer-core';
import { computed, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';

const SLUG = 'tarnholm-light';

/** The sample project at Scale, and what tests do there. */
export interface AtScale {
  page: Page;
  errors: string[];
  lettera: RunningLettera;
  slug: string;
  /** The project as every test begins with it. */
  start: Project['document'];
  project(): Promise<Project>;
  scaleNow(): Promise<Scale>;
  /** Makes a change as another window would. */
  change(...patch: object[]): Promise<Project>;
  /** Size in px of text on the proof. */
  proofed(selector: string): Promise<number>;
  /** Opens one of the views below the chart. */
  show(view: string): Promise<void>;
  /** The marks on the scale, opened when they are folded. */
  marksText(): Promise<(string | null)[]>;
}

/** Every test of a file has the sample project as it was, at Scale, the proof as wide as a desktop. */
export function atScale(): AtScale {
  let browser: Browser;
  const at = {
    slug: SLUG,
    project: () => ask<Project>(at.lettera, `/projects/${SLUG}`),
    scaleNow: async () => (await at.project()).document.scale,
    change: (...patch) => changeProject(at.lettera, SLUG, patch),
    async proofed(selector) {
      const frame = await proofFrame(at.page);
      return parseFloat((await computed(frame, selector, ['font-size']))['font-size'] ?? '');
    },
    show: (view) => press(at.page, view, '[aria-label="Views"]'),
    async marksText() {
      await at.page
        .$eval('.marks .unfold[aria-expanded="false"]', (node) => (node as HTMLElement).click())
        .catch(() => null);
      return at.page.$$eval('.marks li', (nodes) => nodes.map((node) => node.textContent));
    },
  } as AtScale;

  beforeAll(async () => {
    at.lettera = await startLettera();
    browser = await launchBrowser();
    at.start = (await at.project()).document;
  });
  afterAll(async () => {
    await browser?.close();
    await at.lettera?.close();
  });
  beforeEach(async () => {
    // What the last test changed has been stored before the project is put back.
    await at.page?.waitForFunction(
      () => document.querySelector('.save [role="status"]')?.textContent?.trim() === 'Saved',
    );
    await at.page?.close();
    const { document: left } = await at.project();
    if (JSON.stringify(left) !== JSON.stringify(at.start)) {
      await at.change({ op: 'replace', path: '', value: at.start });
    }
    Object.assign(at, await newPage(browser));
    await at.page.goto(`${at.lettera.url}/p/${SLUG}/scale`);
    await proofFrame(at.page);
    await at.page.waitForSelector('path.curve');
  });
  return at;
}
