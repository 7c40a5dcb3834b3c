import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { facesOf, type TunedCandidate } from '@lettera/core/fallback';
import { fallbackFaceRule } from '@lettera/core/deliver';
import { unpack } from '../core/font/container';
import { renamed } from '../core/font/testing/sfnt';
import { twinFiles } from '../server/job/twins';
import { violationsOn } from './axe';
import { eventually, fill, launchBrowser, newPage, press } from './browser';
import { startLettera, type RunningLettera } from './lettera';

/** Fallbacks in the real interface, and what was worked out held to what Chromium makes of it. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
const address = () => `${lettera.url}/p/tarnholm-light/fallbacks`;
const trialsOf = async () =>
  (await (await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/fallbacks`)).json()) as Record<
    string,
    TunedCandidate[]
  >;
const documentOf = async () =>
  (
    (await (await fetch(`${lettera.url}/api/v1/projects/tarnholm-light`)).json()) as {
      document: {
        voices: Record<string, { fallback: string[] | null; fitting?: object; plain?: string[] }>;
        audience?: Record<string, number>;
      };
    }
  ).document;

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  await trialsOf();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});
beforeEach(async () => {
  if (page && !page.isClosed()) await page.close();
  ({ page, errors } = await newPage(browser));
  await page.goto(address());
  await page.waitForSelector('ol[aria-label="Stack of Text"] .fallback');
});

const names = () =>
  page.$$eval('ol[aria-label="Stack of Text"] .fallback .entry', (nodes) =>
    nodes.map((node) => node.textContent ?? ''),
  );
const stored = (holds: (document: Awaited<ReturnType<typeof documentOf>>) => boolean) =>
  eventually(documentOf, holds);
const view = (name: string) => press(page, name, '[role="tablist"]');

describe('the stack', () => {
  test('is put in order, added to and taken from, and given back to what is proposed', async () => {
    const proposed = await names();
    expect(proposed).toHaveLength(2);
    await press(page, `${proposed[0]}: later`);
    await eventually(names, (now) => now[0] === proposed[1]);
    await press(page, 'Add Cambria');
    await eventually(names, (now) => now[2] === 'Cambria for Literata');
    await stored(({ voices }) => voices['text']?.fallback?.[2] === 'cambria');
    // Cambria is on Windows and ChromeOS, which Georgia and Noto Serif serve before it.
    await page.waitForSelector('.entries .remark');
    await eventually(
      async () => (await page.$$('[aria-label="Marks on the fallbacks"] .mark-text')).length,
      (count) => count > 0,
    );
    await press(page, 'Remove Cambria for Literata');
    await press(page, 'Use what Lettera proposes');
    await stored(({ voices }) => voices['text']?.fallback === null);
    expect(await eventually(names, (now) => now.length === 2)).toEqual(proposed);
    expect(errors).toEqual([]);
  });

  test('is added to and put in order by dragging', async () => {
    const proposed = await names();
    await page.setDragInterception(true);
    const drag = async (what: string, to: string) => {
      const [from, onto] = [await page.waitForSelector(what), await page.waitForSelector(to)];
      if (from && onto) await from.dragAndDrop(onto);
    };
    const entry = (place: number) =>
      `ol[aria-label="Stack of Text"] .fallback:nth-of-type(${place})`;
    await drag('::-p-xpath(//tr[@draggable][.//b="Cambria"])', entry(2));
    await eventually(names, (now) => now[0] === 'Cambria for Literata');
    await drag(entry(2), entry(4));
    await eventually(names, (now) => now[1] === 'Cambria for Literata');
    await stored(({ voices }) => voices['text']?.fallback?.[1] === 'cambria');
    await press(page, 'Use what Lettera proposes');
    await eventually(names, (now) => now.join() === proposed.join());
    expect(errors).toEqual([]);
  });

  test('says that fitting was stopped, and goes on with it', async () => {
    await page.setRequestInterception(true);
    let stopped = false;
    page.on('request', (request) => {
      if (stopped || !/\/api\/.*\/fallbacks$/.test(request.url()) || request.method() !== 'GET') {
        void request.continue();
        return;
      }
      stopped = true;
      void request.respond({
        status: 409,
        contentType: 'application/problem+json',
        body: JSON.stringify({ type: 'urn:lettera:problem:stopped' }),
      });
    });
    await page.reload();
    await press(page, 'Go on fitting');
    await page.waitForSelector('ol[aria-label="Stack of Text"] .fallback');
    expect(await page.$('::-p-aria(Go on fitting)')).toBeNull();
  });

  test('takes plain names as they are typed, says what was put right, and refuses what is no list', async () => {
    await fill(page, 'Plain names', 'Source Serif 4, Georgia, serif');
    await stored(({ voices }) => voices['text']?.plain?.join() === 'Source Serif 4,Georgia');
    expect(await page.$eval('.notes', (node) => node.textContent)).toContain('quotes');
    await fill(page, 'Plain names', '"Georgia');
    expect(await page.$eval('.notes', (node) => node.textContent)).toContain('Nothing was changed');
    expect((await documentOf()).voices['text']?.plain).toEqual(['Source Serif 4', 'Georgia']);
    await fill(page, 'Plain names', ' ');
    await stored(({ voices }) => voices['text']?.plain === undefined);
  });
});

describe('tuning', () => {
  test('is set by method and limit, and by a point of the curve', async () => {
    await view('Tuning');
    await page.waitForSelector('svg.chart circle');
    const points = await page.$$('svg.chart circle');
    expect(points.length).toBeGreaterThanOrEqual(6);
    await points[3]?.evaluate((point) => (point as SVGElement).focus());
    await page.keyboard.press('Enter');
    await stored(({ voices }) => 'evenness' in (voices['text']?.fitting ?? {}));
    await press(page, 'One ratio');
    await stored(({ voices }) => JSON.stringify(voices['text']?.fitting).includes('"groups":1'));
    await press(page, 'In groups of letters');
    await fill(page, 'Letters within ±', '60 %');
    await page.waitForSelector('.refused');
    expect(errors).toEqual([]);
  });
});

describe('the overlay', () => {
  test('sets both faces over one another, with the ends of lines and the error of each word', async () => {
    await view('Overlay');
    await eventually(
      async () => (await page.$$('.overlay .end.web')).length,
      (ends) => ends >= 3,
    );
    await press(page, 'Word by word');
    const words = await eventually(
      () => page.$$eval('.overlay .error', (nodes) => nodes.map((node) => node.textContent ?? '')),
      (all) => all.length > 10,
    );
    expect(words.every((word) => /^[+−]?\d+\.\d %$/.test(word))).toBe(true);
    const fonts = await page.$$eval('.overlay p', (nodes) =>
      nodes.map((node) => getComputedStyle(node).fontFamily),
    );
    expect(new Set(fonts).size).toBe(2);
  });
});

describe('the rehearsal', () => {
  test('goes from the fallback to the web faces, and tells the shift in each way', async () => {
    await view('Rehearsal');
    const cells = await eventually(
      () =>
        page.$$eval('.shifts td.figure', (nodes) => nodes.map((node) => node.textContent ?? '')),
      (all) => all.length === 8 && all.every((cell) => /\d\.\d{4}/.test(cell)),
    );
    const [none, , tuned] = [0, 2, 4].map((at) => [Number(cells[at]), Number(cells[at + 1])]);
    expect((tuned?.[0] ?? 1) + (tuned?.[1] ?? 1)).toBeLessThan((none?.[0] ?? 0) + (none?.[1] ?? 0));
    await press(page, 'Rehearse the swap');
    const chosen = () =>
      page.$eval(
        'section.proof [aria-label="Faces"] [aria-pressed="true"] .visually-hidden',
        (node) => node.textContent?.trim(),
      );
    await eventually(chosen, (font) => font === 'Fallback faces');
    await eventually(chosen, (font) => font === 'Web faces');
    await press(page, 'optional', '[aria-label="font-display of Literata"]');
    await eventually(
      () => page.$$eval('.wait p', (nodes) => nodes.map((node) => node.textContent ?? '').join()),
      (says) => says.includes('too late'),
    );
  });
});

describe('visitors', () => {
  test('land where the mix of platforms takes them; a mix is read from CSV, and a bad one refused', async () => {
    await view('Visitors');
    const folder = mkdtempSync(join(tmpdir(), 'lettera-mix-'));
    const give = async (name: string, content: string) => {
      const path = join(folder, name);
      writeFileSync(path, content);
      const input = await page.waitForSelector('input[aria-label="A mix of platforms"]');
      await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    };
    const said = () =>
      page.$eval('section [role="status"].small', (node) => node.textContent ?? '');
    await give('bad.csv', 'Toaster,100');
    await eventually(said, (text) => text.includes('The mix is as it was'));
    expect((await documentOf()).audience).toBeUndefined();
    await give('mix.csv', 'platform;share\nWindows;62,5\nAndroid;30\nToaster;7,5');
    await eventually(said, (text) => text.includes('Toaster'));
    await stored(({ audience }) => audience?.['windows'] !== undefined);
    expect((await documentOf()).audience?.['windows']).toBeCloseTo(67.57, 2);
    await press(page, 'Set this stack aside to compare');
    await page.waitForSelector('figure + figure');
    await press(page, 'Back to Lettera’s mix');
    await stored(({ audience }) => audience === undefined);
  });
});

describe('local fonts of the designer’s own machine', () => {
  let folder: string;
  let own: Browser | undefined;
  const ask = () => press(page, 'Measure those on this machine');

  /** Chromium on a machine that carries copies of an open font as Palatino Bold and under a name of no platform. */
  async function machine(setting: 'granted' | 'denied'): Promise<void> {
    folder = mkdtempSync(join(tmpdir(), 'lettera-machine-'));
    const [file] = twinFiles('pt-serif', 'bold');
    const { sfnt } = await unpack(readFileSync(file?.path ?? ''));
    const names = { family: 'Palatino', full: 'Palatino Bold', postScript: 'Palatino-Bold' };
    writeFileSync(join(folder, 'a.ttf'), renamed(sfnt, { ...names, style: 'Bold' }));
    writeFileSync(join(folder, 'b.ttf'), renamed(sfnt, 'Lanternfish'));
    const config = join(folder, 'fonts.conf');
    writeFileSync(
      config,
      `<fontconfig><dir>${folder}</dir><cachedir>${folder}/cache</cachedir></fontconfig>`,
    );
    own = await launchBrowser({ env: { FONTCONFIG_FILE: config } });
    ({ page, errors } = await newPage(own));
    const session = await page.createCDPSession();
    await session.send('Browser.setPermission', {
      permission: { name: 'local-fonts' },
      setting,
      origin: lettera.url,
    });
    await page.goto(address());
  }
  afterEach(async () => {
    await page.close();
    await own?.close();
    rmSync(folder, { recursive: true, force: true });
  });

  test('are measured on a click, those of the list alone', async () => {
    await machine('granted');
    await ask();
    const kept = async () =>
      (await (
        await fetch(`${lettera.url}/api/v1/projects/tarnholm-light/local-fonts`)
      ).json()) as object[];
    await eventually(kept, (fonts) => fonts.length > 0);
    expect(await kept()).toEqual([{ local: 'palatino', variant: 'bold' }]);
    expect(errors).toEqual([]);
  });

  test('are left alone where the browser is not allowed to show them', async () => {
    await machine('denied');
    await ask();
    const said = () => page.$eval('.said', (node) => node.textContent ?? '').catch(() => '');
    expect(await eventually(said, (text) => text !== '')).toContain('Nothing was measured');
  });
});

describe('a local font without an open twin', () => {
  test('is measured from a file in the browser, and only its widths are kept', async () => {
    const [file] = twinFiles('pt-serif', 'regular');
    const { sfnt } = await unpack(readFileSync(file?.path ?? ''));
    const folder = mkdtempSync(join(tmpdir(), 'lettera-local-'));
    const path = join(folder, 'Palatino.ttf');
    writeFileSync(path, renamed(sfnt, 'Palatino'));
    expect(existsSync(path)).toBe(true);
    const sent: number[] = [];
    page.on('request', (request) => {
      if (request.method() === 'POST' && request.url().endsWith('/local-fonts')) {
        sent.push(request.postData()?.length ?? 0);
      }
    });
    const input = await page.waitForSelector('input[aria-label="Files of local fonts"]');
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    const trials = await eventually(
      trialsOf,
      (all) =>
        all['text/literata']?.find(({ local }) => local === 'palatino')?.faces[0]?.variant ===
        'regular',
    );
    expect(sent).toHaveLength(1);
    // What the browser read is what is read of the same font by its tables: PT Serif under another name.
    const byName = (local: string) =>
      trials['text/literata']?.find((candidate) => candidate.local === local)?.faces[0];
    expect(byName('palatino')?.ratio).toBeCloseTo(byName('pt-serif')?.ratio ?? 0, 2);
    expect(byName('palatino')?.one.mean).toBeCloseTo(byName('pt-serif')?.one.mean ?? 0, 2);
    expect(errors).toEqual([]);
  });
});

describe('what Chromium makes of a fallback in parts', () => {
  test('is what was worked out: widths of words across parts, kerning within them alone', async () => {
    const trials = await trialsOf();
    const candidate = trials['text/literata']?.find(({ local }) => local === 'georgia');
    const face = candidate?.faces[0];
    if (!candidate || !face) throw new Error('Georgia was not tuned');
    const one: TunedCandidate = { ...candidate, faces: [face] };
    const rules = facesOf('parts', one).map((part) =>
      fallbackFaceRule(part, {
        sources: [
          `url("${lettera.url}/api/v1/local-fonts/georgia/${part.variant}/latin.woff2") format("woff2")`,
        ],
      }),
    );
    const { page: bare } = await newPage(browser);
    await bare.setBypassCSP(true);
    await bare.goto(`${lettera.url}/api/v1/health`);
    const words =
      'Tarnholm light burned every winter AVATAR Today’s Keeper’s To Wave fifty flow'.split(' ');
    const widths = await bare.evaluate(
      async (css, all) => {
        const style = document.createElement('style');
        style.textContent = css;
        document.head.append(style);
        await Promise.all([...document.fonts].map((font) => font.load()));
        const span = document.createElement('span');
        span.style.cssText = 'font: 1000px parts; white-space: pre; position: absolute';
        document.body.append(span);
        return all.map((word) => {
          span.textContent = word;
          return span.getBoundingClientRect().width / 1000;
        });
      },
      rules.join('\n'),
      words,
    );
    await bare.close();
    const expected = await widthsOf(one, words);
    widths.forEach((width, i) => {
      expect({ word: words[i], off: Math.abs(width / (expected[i] ?? 1) - 1) < 0.002 }).toEqual({
        word: words[i],
        off: true,
      });
    });
  });
});

/** The widths of words over the parts of a fallback, as the core works them out: shaped piece by piece. */
async function widthsOf({ faces }: TunedCandidate, words: string[]): Promise<number[]> {
  const { Shaper } = await import('@lettera/core/font/file');
  const { inUnicodeRange } = await import('@lettera/core/font');
  const [file] = twinFiles('gelasio', 'regular');
  const shaper = await Shaper.open(new Uint8Array(readFileSync(file?.path ?? '')));
  const [rest, ...named] = faces[0]?.parts ?? [];
  const partOf = (character: string) =>
    named.findLast(({ unicodeRange }) =>
      inUnicodeRange(unicodeRange, character.codePointAt(0) ?? 0),
    ) ?? rest;
  return words.map((word) => {
    let sum = 0;
    let piece = '';
    let before = partOf([...word][0] ?? '');
    const end = () => (sum += shaper.advance(piece) * (before?.ratio ?? 1));
    for (const character of word) {
      const part = partOf(character);
      if (part !== before) {
        end();
        piece = '';
        before = part;
      }
      piece += character;
    }
    end();
    return sum;
  });
}

test.each(['Stack', 'Tuning', 'Overlay', 'Rehearsal', 'Visitors'])(
  '%s has nothing that keeps people out',
  async (name) => {
    await view(name);
    await page.waitForSelector(`section[aria-label="${name}"]`);
    expect(await violationsOn(page, name)).toEqual([]);
  },
);
