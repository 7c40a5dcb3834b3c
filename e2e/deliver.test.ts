import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { ElementHandle } from 'puppeteer-core';
import type { Browser, Page } from 'puppeteer-core';
import type { ProjectDocument } from '@lettera/core/document';
import type { DeliveryFile } from '@lettera/core/wire';
import { violationsOn } from './axe';
import { eventually, fill, launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';

/** What the bundle is to a site that has CSS of its own, chosen in the real interface. */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
const folder = mkdtempSync(join(tmpdir(), 'lettera-'));
const api = '/projects/tarnholm-light';
const stored = async (holds: (document: ProjectDocument) => boolean) =>
  (
    await eventually(
      () => ask<{ document: ProjectDocument }>(lettera, api),
      ({ document }) => holds(document),
    )
  ).document;
const fileOf = async (path: string): Promise<string> => {
  const files = await ask<DeliveryFile[]>(lettera, `${api}/delivery`);
  const file = files.find((one) => one.path === path);
  return file?.kind === 'text' ? file.content : '';
};

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});
beforeEach(async () => {
  await page?.close();
  ({ page, errors } = await newPage(browser));
  await page.goto(`${lettera.url}/p/tarnholm-light/deliver`);
  await proofFrame(page, { asItIs: true });
});

const choose = (choice: string, of: string) => press(page, choice, `[aria-label="${of}"]`);

test('the style sheet holds what is chosen, with rules of the weight that is chosen, which is warned of', async () => {
  await choose('Style sheet', 'Views');
  await choose('Faces and tokens', 'What the style sheet holds');
  await stored(({ delivery }) => delivery.form === 'tokens');
  expect(await fileOf('lettera.css')).not.toContain(':where(');
  expect(await page.$('[aria-label="Weight of its rules"]')).toBeNull();
  await choose('Everything', 'What the style sheet holds');
  await choose('Over classes', 'Weight of its rules');
  await stored(({ delivery }) => delivery.weight === 'over');
  await page.waitForFunction(() =>
    document
      .querySelector('[aria-label="The style sheet"] [role="status"]')
      ?.textContent?.includes('in the layer “lettera”'),
  );
  const css = await fileOf('lettera.css');
  // A browser has it so: against four classes, and not against five or an id.
  const shown = await browser.newPage();
  const alone = css
    .replace(/@layer lettera \{([^]*)\}\n$/, '$1')
    .replace(/@font-face \{[^}]*\}/g, '');
  await shown.setContent(
    `<style>${alone}</style><style>.a.b.c.d { font-size: 99px } .a.b.c.d.e { font-size: 88px } #own { font-size: 77px }</style><h1 class="a b c d">A</h1><h1 class="a b c d e">B</h1><h1 id="own">C</h1>`,
  );
  const sizes = await shown.$$eval('h1', (all) =>
    all.map((node) => getComputedStyle(node).fontSize),
  );
  expect(sizes[0]).not.toBe('99px');
  expect(sizes.slice(1)).toEqual(['88px', '77px']);
  await shown.close();
  await choose('None', 'Weight of its rules');
  await stored(({ delivery }) => delivery.weight === 'none');
  expect(await violationsOn(page, 'Deliver')).toEqual([]);
  expect(errors).toEqual([]);
});

test('font files hold what the site needs, weigh against a budget, and say what would be saved', async () => {
  await choose('Fonts', 'Views');
  const bars = () =>
    page.$$eval('.bars tr', (rows) =>
      rows.map((row) => [...row.children].map((cell) => cell.textContent?.trim() ?? '')),
    );
  const fonts = async () =>
    (await ask<DeliveryFile[]>(lettera, `${api}/delivery`)).filter(({ kind }) => kind === 'font');
  const bytes = async () => (await fonts()).reduce((sum, file) => sum + file.bytes, 0);
  const whole = `${((await bytes()) / 1000).toFixed(1)} KB`;
  await eventually(bars, ([all]) => all?.[2] === whole);
  expect((await bars()).map(([name]) => name)).toContain('Literata 400 italic, greek');
  // Every letter of the site's languages and pages, every style and feature: calculations of the sample.
  expect(await bytes()).toBeLessThan(115_000);
  await choose('Script', 'Counted by');
  expect((await bars()).map(([name]) => name)).toEqual(['All font files', 'latin', 'greek']);
  await fill(page, 'Budget, KB', '60');
  await page.waitForSelector('::-p-text(over the budget of 60.0 KB)');

  // Times follow from the bytes, on each connection that is stated.
  const times = await page.$$eval(
    '[aria-label="What they weigh"] .figures-table tbody tr',
    (rows) =>
      rows.map((row) =>
        [...row.querySelectorAll('td')].map((td) => parseFloat(td.textContent ?? '')),
      ),
  );
  expect(times).toHaveLength(3);
  for (const [text = 0, faces = 0] of times) expect(faces).toBeGreaterThan(text);
  expect(times[0]?.[1]).toBeGreaterThan(times[2]?.[1] ?? Infinity);

  // What is fetched at once is chosen by what the pages show before anything is scrolled.
  const first = () =>
    page.$eval('[aria-label="Fetched at once"]', (node) => node.textContent ?? '');
  expect(await first()).toContain('which set the body and the first heading');
  await press(page, 'Choose by what 5 pages show first');
  const { delivery } = await stored((document) => document.delivery.first !== undefined);
  expect(delivery.first).toContain('h1');
  const told = await eventually(first, (text) => text.includes('what the pages show first'));
  const preloaded = [...(await fileOf('head.html')).matchAll(/preload" href="fonts\/([^"]+)"/g)];
  expect(preloaded.length).toBeGreaterThan(0);
  for (const [, name = ''] of preloaded) expect(told).toContain(name);

  await press(page, 'Work it out');
  await page.waitForSelector('::-p-aria(Work it out again[role="button"])');
  const savings = '[aria-label="What would be saved"]';
  const says = await page.$$eval(`${savings} li`, (all) => all.map((node) => node.textContent));
  const greek = says.find((text) => text?.includes('No greek of its own'));
  const [, saved = ''] = /saves ([\d.]+) KB/.exec(greek ?? '') ?? [];
  const before = await bytes();
  await press(page, 'Do it: No greek of its own: it shows in the fallback', savings);
  await stored(({ case: families }) =>
    Object.values(families).every(({ faces }) =>
      faces.every(({ files }) => files.every(({ script }) => script !== 'greek')),
    ),
  );
  expect((before - (await bytes())) / 1000).toBeCloseTo(Number(saved), 1);
  await page.waitForSelector('::-p-text(The project has changed since)');
  expect(await violationsOn(page, 'Fonts')).toEqual([]);
  await press(page, 'Undo');
  await stored(({ case: families }) =>
    Object.values(families).some(({ faces }) =>
      faces.some(({ files }) => files.some(({ script }) => script === 'greek')),
    ),
  );

  // A family for one word alone has the characters of that word.
  const only = await page.waitForSelector('::-p-aria(Bricolage Grotesque for this copy alone)');
  await only?.click();
  await page.keyboard.type('Tarnholm');
  await page.keyboard.press('Enter');
  await stored((document) => document.case['bricolage-grotesque']?.onlyFor === 'Tarnholm');
  const css = await fileOf('lettera.css');
  expect(css).toContain(
    'unicode-range: U+20, U+41, U+48, U+4C-4F, U+52, U+54, U+61, U+68, U+6C-6F, U+72, U+74;',
  );
  await press(page, 'Undo');
  await choose('All files of the case', 'What the font files hold');
  await stored(({ delivery }) => delivery.letters === 'whole');
  expect(await bytes()).toBeGreaterThan(250_000);
  await press(page, 'Undo');
  expect(errors).toEqual([]);
});

test('the bundle is tried in a page of its own before it is offered, and what comes out otherwise is told', async () => {
  const told = () => page.$eval('.verified', (node) => node.textContent ?? '').catch(() => '');
  expect(await eventually(told, (text) => text.includes('come out'))).toMatch(
    /^Tried in a page of its own: 3\d elements at 360, 820, 1280 px come out as the project has them/,
  );
  // With a style sheet and fonts that are not what the project has.
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    const url = request.url();
    if (/\/files\/fonts\/literata-400-italic-latin/.test(url)) void request.abort();
    else if (url.endsWith('/files/lettera.css')) {
      void fileOf('lettera.css').then((css) =>
        request.respond({
          contentType: 'text/css',
          body: `${css}\nh2 { font-size: 31px; font-weight: 500 }`,
        }),
      );
    } else void request.continue();
  });
  await page.reload();
  const wrong = await eventually(told, (text) => text.includes('come out'));
  // A size and a weight at three widths, and a file: the line height is the same multiple of another size.
  expect(wrong).not.toContain('line height');
  expect(wrong).toContain('Literata 400 italic did not load');
  expect(wrong).toContain('Heading 2, size at 1280 px: 31 px on the page');
  expect(wrong).toContain('Heading 2, weight at 360 px: 500 on the page, 680 in the project');
  await page.waitForSelector('::-p-text(Download the bundle, 7 things otherwise)');
  expect(await violationsOn(page, 'Deliver')).toEqual([]);
});

test('names that a site reads are set to tokens, and those that cannot be are told', async () => {
  await press(page, 'Style sheet');
  await press(page, 'Other names for tokens');
  const add = async (name: string, token: string) => {
    await page.locator('[aria-label="Name that the site reads"]').fill(name);
    await page.locator('[aria-label="Token that it is to have"]').click();
    await page.locator(`::-p-aria(${token}[role="option"])`).click();
    await press(page, 'Add it', '.l-fold');
  };
  await add('site-font', '--font-text');
  await stored(({ delivery }) => delivery.names?.['--site-font'] === '--font-text');
  expect(await fileOf('lettera.css')).toContain('--site-font: var(--font-text);');
  await add('--font-heading', '--font-text');
  await page.waitForSelector('.l-fold [role="alert"]::-p-text(is the name of a token itself)');
  expect(await violationsOn(page, 'Other names')).toEqual([]);
  await page.locator('.l-fold [aria-label="Remove --site-font"]').click();
  await stored(({ delivery }) => delivery.names?.['--site-font'] === undefined);
  expect(errors).toEqual([]);
});

test('tokens are read in: looked at first, told what cannot be used, taken as one change', async () => {
  const choosing = async (name: string, text: string) => {
    const path = join(folder, name);
    writeFileSync(path, text);
    const input = (await page.$('.l-fold input[type="file"]')) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(path);
  };
  const own = await fileOf('tokens.json');
  await press(page, 'Read a token file');
  await choosing(
    'theirs.json',
    JSON.stringify({
      sea: { $type: 'color', $value: '#123456' },
      pace: { $type: 'duration', $value: { value: 1, unit: 's' } },
    }),
  );
  await page.waitForSelector('.l-fold ::-p-text(It brings 1 colour.)');
  await page.waitForSelector('.l-fold li::-p-text(duration)');
  expect(await violationsOn(page, 'Tokens read')).toEqual([]);
  await press(page, 'Apply', '.l-fold');
  await stored(({ colours }) => colours['sea']?.light === '#123456');
  // Lettera’s own, from before: the colour goes again.
  await choosing('tokens.json', own);
  await press(page, 'Apply', '.l-fold');
  const back = await stored(({ colours }) => colours['sea'] === undefined);
  expect(Object.keys(back.styles).length).toBeGreaterThan(20);
  expect(await fileOf('tokens.json')).toBe(own);
  await choosing('broken.json', own.slice(0, 400));
  await page.waitForSelector('.l-fold [role="alert"]::-p-text(not JSON)');
  await page.keyboard.press('Escape');
  await press(page, 'Undo');
  await stored(({ colours }) => colours['sea']?.light === '#123456');
  expect(errors).toEqual([]);
});

test('what was delivered is kept, and what changed since is told in words and by line', async () => {
  const session = await page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
  expect(await page.$('[aria-label="Since the last delivery"]')).toBeNull();
  await page.locator('::-p-aria(Download the bundle)').click();
  const since = '[aria-label="Since the last delivery"]';
  const said = () => page.$eval(since, (node) => node.textContent ?? '').catch(() => '');
  await eventually(said, (text) => text.includes('Every file is the same.'));
  await changeProject(lettera, 'tarnholm-light', [
    { op: 'add', path: '/styles/lead/set/lineHeight', value: 1.33 },
  ]);
  await eventually(said, (text) => text.includes('Style Lead: line height 1.42 → 1.33'));
  await page.locator(`${since} ::-p-aria(lettera.css[role="button"])`).click();
  const lines = await page.waitForSelector('[aria-label="What changed in lettera.css"]');
  const text = (await lines?.evaluate((node) => node.textContent ?? '')) ?? '';
  expect(text).toContain('--style-lead-line-height: 1.33;');
  expect(text).toMatch(/\d+ lines as before/);
  expect(text.split('\n').length).toBeLessThan(40);
  expect(await violationsOn(page, 'Since the last delivery')).toEqual([]);
  const again = await page.$eval(`${since} a`, (node) => (node as HTMLAnchorElement).href);
  const bundle = await fetch(again);
  expect(bundle.headers.get('content-type')).toContain('application/zip');
  // It is kept across a reload, and in another tab.
  await page.reload();
  await eventually(said, (now) => now.includes('Style Lead: line height'));
  expect(errors).toEqual([]);
});

test('a project is saved to one file and opened again, its faces included; another file is refused', async () => {
  const saved = await page.$eval('::-p-text(Save the project)', (node) =>
    node.closest('a')?.getAttribute('href'),
  );
  const file = join(folder, 'tarnholm.lettera');
  writeFileSync(file, Buffer.from(await (await fetch(`${lettera.url}${saved}`)).arrayBuffer()));
  await page.goto(`${lettera.url}/projects`);
  const choose = async (path: string) => {
    const input = (await page.waitForSelector(
      'input[aria-label="Project file"]',
    )) as ElementHandle<HTMLInputElement>;
    await input.uploadFile(path);
  };
  const other = join(folder, 'notes.lettera');
  writeFileSync(other, 'Wind came round at four');
  await choose(other);
  await page.waitForSelector('[role="alert"]::-p-text(It is no project file of Lettera)');
  expect(await violationsOn(page, 'Projects')).toEqual([]);
  // What was refused is told by the browser too.
  errors.length = 0;
  await choose(file);
  await page.waitForFunction(() => location.pathname === '/p/tarnholm-light-trust/faces');
  await proofFrame(page, { asItIs: true });
  const opened = await ask<{ document: ProjectDocument }>(
    lettera,
    '/projects/tarnholm-light-trust',
  );
  expect(Object.keys(opened.document.case)).toEqual(['bricolage-grotesque', 'literata']);
  expect(errors).toEqual([]);
});
