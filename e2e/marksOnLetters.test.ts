import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { ProjectDocument } from '@lettera/core/document';
import { Shaper } from '@lettera/core/font/file';
import type { Browser, Page } from 'puppeteer-core';
import { fontsUsed, launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { allowFoundry, ask, changeProject } from './project';
import { serveSite, type Site } from './site';

/**
 * Letters with marks, composed and decomposed, in the files that are delivered: each word is one run in one face. (ᾱ́ is
 * none: no file of the family has an acute for Greek.)
 */

const WORDS = {
  stress: 'за́мок',
  tilde: 'm̃',
  composed: 'Café Beyoncé ñ ç ő řeka',
  decomposed: 'Café ñ ç ő řeka'.normalize('NFD'),
  cyrillic: 'й ё'.normalize('NFD'),
  greek: 'Ελλάδα ΰ'.normalize('NFD'),
  vietnamese: 'tiếng Việt'.normalize('NFD'),
};
const PAGE = `<!doctype html><html lang="en"><meta charset="utf-8"><link rel="stylesheet" href="lettera.css"><title>Marks</title>${Object.entries(
  WORDS,
)
  .map(([name, words]) => `<p class="${name}">${words}</p>`)
  .join('')}</html>`;

let lettera: RunningLettera;
let browser: Browser;
let site: Site;
let page: Page;
beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page } = await newPage(browser));
});
afterAll(async () => {
  await browser?.close();
  await site?.close();
  await lettera?.close();
});

test('of a family as the foundry has it, in files by script', async () => {
  const { slug } = await ask<{ slug: string }>(lettera, '/projects', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ name: 'Marks' }),
  });
  await allowFoundry(lettera, slug);
  const { scripts } = await ask<{ scripts: string[] }>(
    lettera,
    `/projects/${slug}/foundry/families/literata`,
  );
  await ask(lettera, `/projects/${slug}/foundry/families/literata`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ scripts, faces: [{ style: 'normal', weight: 400 }] }),
  });
  await changeProject(lettera, slug, [
    { op: 'replace', path: '/voices/text/family', value: 'literata' },
  ]);
  const body = new FormData();
  body.append('file', new Blob([PAGE]), 'index.html');
  await ask(lettera, `/projects/${slug}/pages`, { method: 'POST', body });
  site = await serveSite(lettera, slug, PAGE);
  const { document } = await ask<{ document: ProjectDocument }>(lettera, `/projects/${slug}`);
  expect(Object.keys(document.case)).toEqual(['literata']);
  await page.goto(site.url);
  await page.evaluate(() => globalThis.document.fonts.ready.then(() => undefined));
  for (const name of Object.keys(WORDS)) {
    expect([name, await fontsUsed(page, `.${name}`, false)]).toEqual([name, ['Literata']]);
  }
  // Held by the shaper that browsers use: a letter and its marks come from one file, nothing missing.
  const shapers = await Promise.all(
    Object.entries(site.files)
      .filter(([path]) => path.endsWith('.woff2'))
      .map(([, bytes]) => Shaper.open(bytes)),
  );
  for (const words of Object.values(WORDS)) {
    for (const cluster of words.match(/\p{L}\p{M}*/gu) ?? []) {
      const whole = shapers.some((shaper) => shaper.glyphs(cluster).every(({ id }) => id !== 0));
      expect([cluster, whole]).toEqual([cluster, true]);
    }
  }
});
