import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { isCssColour } from '@lettera/core/css';
import type { Patch } from '@lettera/core/document';
import type { Project } from '@lettera/server';
import fc from 'fast-check';
import type { Browser } from 'puppeteer-core';
import { serveSite } from './site';
import { launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';

/** What is delivered as it is opened: the specimen from disk, and sizes where they follow a container. */

let lettera: RunningLettera;
let browser: Browser;
const folders: string[] = [];

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
  for (const folder of folders) rmSync(folder, { recursive: true });
});

const address = () => `${lettera.url}/api/v1/projects/tarnholm-light`;

async function change(patch: Patch): Promise<Response> {
  const { revision } = (await (await fetch(address())).json()) as Project;
  return fetch(address(), {
    method: 'PATCH',
    headers: { 'Content-Type': 'application/json-patch+json', 'If-Match': `"${revision}"` },
    body: JSON.stringify(patch),
  });
}

/** Writes the bundle to disk. @returns the address of its specimen */
async function specimenOnDisk(): Promise<string> {
  const site = await serveSite(lettera, 'tarnholm-light', '');
  const folder = mkdtempSync(join(tmpdir(), 'lettera-specimen-'));
  folders.push(folder);
  for (const [path, content] of Object.entries(site.files)) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), content);
  }
  await site.close();
  return `file://${folder}/specimen.html`;
}

describe('the specimen', () => {
  test.each([320, 360, 480, 800, 1280, 2000])(
    'does not scroll sideways at %i px',
    async (width) => {
      const { page } = await newPage(browser, { width, height: 800 });
      await page.goto(await specimenOnDisk());
      const wide = await page.evaluate(() => ({
        page: document.documentElement.scrollWidth - document.documentElement.clientWidth,
        parts: [...document.body.querySelectorAll('*')]
          .filter((node) => node.getBoundingClientRect().right > window.innerWidth + 0.5)
          .map((node) => node.outerHTML.slice(0, 80)),
      }));
      expect(wide).toEqual({ page: 0, parts: [] });
      await page.close();
    },
  );

  test('prints on A4 without anything beyond its edges', async () => {
    // A4 less its margins, CSS px.
    const { page } = await newPage(browser, { width: 673, height: 1000 });
    await page.goto(await specimenOnDisk());
    await page.emulateMediaType('print');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(673);
    const pdf = await page.pdf({ preferCSSPageSize: true });
    expect(Buffer.from(pdf).toString('latin1')).toMatch(/\/MediaBox \[0 0 59[45]\.?\d* 84[12]/);
    await page.close();
  });

  test('runs nothing, whatever elements and names are called', async () => {
    const hostile = '<img src=x onerror="window.ran=1"><script>window.ran=1</script>';
    const refused = await change([
      {
        op: 'add',
        path: '/elements/run',
        value: { name: 'window.ran=1//', selectors: ['script'], style: 'lead', parent: null },
      },
    ]);
    expect(refused.status).toBe(422);
    const taken = await change([
      { op: 'replace', path: '/elements/lead/name', value: hostile.slice(0, 60) },
      { op: 'replace', path: '/words', value: hostile },
      { op: 'replace', path: '/name', value: hostile },
      { op: 'replace', path: '/elements/small/selectors', value: ['tide-table', 'small'] },
    ]);
    expect(taken.status).toBe(200);
    const { page, errors } = await newPage(browser);
    await page.goto(await specimenOnDisk());
    expect(await page.evaluate(() => 'ran' in window)).toBe(false);
    expect(await page.$$eval('script, img, iframe', (nodes) => nodes.length)).toBe(0);
    expect(await page.$eval('body', (node) => node.textContent)).toContain(hostile);
    expect(errors).toEqual([]);
    await page.close();
    for (let i = 0; i < 1; i++) await fetch(`${address()}/undo`, await undo());
  });

  const undo = async (): Promise<RequestInit> => {
    const { revision } = (await (await fetch(address())).json()) as Project;
    return { method: 'POST', headers: { 'If-Match': `"${revision}"` } };
  };
});

describe('sizes that follow a container', () => {
  const PAGE = `<!doctype html><html><head><link rel="stylesheet" href="lettera.css"><style>
      body { margin: 0 } aside { width: 360px; padding: 0 } main { width: 1280px }
    </style></head><body>
    <main><p id="main">Text</p></main>
    <aside id="aside"><p id="p">Text</p><ul><li id="li">Item</li></ul>
      <table><tbody><tr><td id="td">Cell</td></tr></tbody></table>
      <div><section><p id="deep">Deep</p></section></div>
      <a id="link" href="#">Link</a><span id="span">Span</span>
      <h2 id="h2">Heading <span id="in-h2">word</span></h2><p class="lead" id="lead">Lead <em id="em">word</em></p>
    </aside></body></html>`;

  test('are those of the container for every text in it, running text too', async () => {
    expect(
      (
        await change([
          { op: 'add', path: '/scale/between', value: 'container' },
          { op: 'add', path: '/scale/containers', value: ['aside'] },
        ])
      ).status,
    ).toBe(200);
    const site = await serveSite(lettera, 'tarnholm-light', PAGE);
    const { page } = await newPage(browser);
    await page.goto(site.url);
    const sizes = await page.evaluate(() =>
      Object.fromEntries(
        [...document.querySelectorAll('[id]')].map((node) => [
          node.id,
          Number.parseFloat(getComputedStyle(node).fontSize),
        ]),
      ),
    );
    // At 360 px the base is 17 px and a step 1.2 times the one below; at 1280 px the base is 19 px.
    const [base, up, down] = [17, 17 * 1.2, 17 / 1.2];
    const expected: Record<string, number> = {
      main: 19,
      p: base,
      li: base,
      td: down,
      deep: base,
      link: base,
      span: base,
      h2: base * 1.2 ** 3,
      'in-h2': base * 1.2 ** 3,
      lead: up,
      em: up,
    };
    for (const [id, size] of Object.entries(expected)) {
      expect({ id, off: Math.abs((sizes[id] ?? 0) - size) < 0.02, size: sizes[id] }).toEqual({
        id,
        off: true,
        size: sizes[id],
      });
    }
    await page.close();
    await site.close();
  });
});

test('every colour that is taken is one to Chromium', async () => {
  const number = fc.oneof(
    fc.integer({ min: -20, max: 400 }).map(String),
    fc.integer({ min: -20, max: 150 }).map((n) => `${n}%`),
    fc.constantFrom('none', '0.5', '.25', '1e1', '120deg', '2rad', '0.3turn', '10px', 'x', ''),
  );
  const digit = fc.constantFrom(...'0123456789abcdefABCDEFg');
  const hexadecimal = (minLength: number, maxLength: number) =>
    fc.string({ unit: digit, minLength, maxLength });
  const name = fc.constantFrom(
    ...['rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'RGB'],
    ...['color(srgb', 'color(display-p3', 'color(xyz-d50', 'color(xyz', 'color(--lab-d65'],
  );
  const colour = fc.oneof(
    fc
      .tuple(
        name,
        fc.array(number, { minLength: 2, maxLength: 4 }),
        fc.constantFrom(' ', ', ', ','),
        fc.constantFrom('', ' / 0.5', '/50%', ', 0.5'),
      )
      .map(
        ([fn, parts, comma, alpha]) =>
          `${fn}${fn.includes('(') ? ' ' : '('}${parts.join(comma)}${alpha})`,
      ),
    hexadecimal(2, 9).map((text) => `#${text}`),
    hexadecimal(3, 8),
    fc.constantFrom('red', 'Tomato', 'transparent', 'currentcolor', 'inherit', 'canvas', 'none'),
  );
  const taken = fc.sample(colour, { numRuns: 20_000, seed: 11 }).filter(isCssColour);
  expect(taken.length).toBeGreaterThan(1000);
  const { page } = await newPage(browser);
  const refused = await page.evaluate(
    (colours) => colours.filter((one) => !CSS.supports('color', one)),
    [...new Set(taken)],
  );
  expect(refused).toEqual([]);
  await page.close();
});
