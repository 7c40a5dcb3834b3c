import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import type { ProjectDocument } from '@lettera/core/document';
import type { LiveState, VisitState } from '@lettera/core/wire';
import { eventually, fill, launchBrowser, newPage, press } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { ask, changeProject } from './project';
import { BARE_PAGE, serveSite } from './site';
import { siteToRun, type RunningSite, type SiteToRun } from './runningSite';

/** The project's type on sites as they run, each on its own development server. */

const KINDS = ['vue', 'react', 'static'] as const;
type Kind = (typeof KINDS)[number];

const slug = 'tarnholm-light';
let lettera: RunningLettera;
let browser: Browser;
let desk: Page;
let deskErrors: string[];
const waiting = {} as Record<Kind, SiteToRun>;
const running = {} as Record<Kind, RunningSite>;

const live = () => ask<LiveState>(lettera, `/projects/${slug}/live`);
const at = async () => `${lettera.url}/live/${(await live()).sheet?.key ?? ''}/`;
const linesOf = (of: number) =>
  desk.$$eval(
    '.running pre',
    (all, i) =>
      [...(all[i]?.querySelectorAll('.code-line') ?? [])].map((one) => one.textContent).join(''),
    of,
  );

/** A page of a running site, which notes what it asks for and whether it was loaded anew. */
async function visit(kind: Kind): Promise<{ page: Page; asked: Set<string>; errors: string[] }> {
  const { page, errors } = await newPage(browser, { width: 900, height: 700 });
  const asked = new Set<string>();
  page.on('request', (request) => asked.add(new URL(request.url()).host));
  await page.goto(running[kind].url);
  await page.evaluate(() => {
    (window as unknown as { mine: boolean }).mine = true;
  });
  return { page, asked, errors };
}
const isSamePage = (page: Page) =>
  page.evaluate(() => (window as unknown as { mine?: boolean }).mine === true);
const styleOf = (page: Page, selector = 'h1') =>
  page.$eval(selector, (node) => {
    const { fontFamily, fontSize, fontWeight, color } = getComputedStyle(node);
    return { fontFamily, fontSize, fontWeight, color };
  });
const follows = (page: Page) =>
  eventually(
    () => styleOf(page),
    ({ fontFamily }) => fontFamily.startsWith('"Bricolage Grotesque"'),
  );
/** Text of Lettera's own panel on a page of the site. */
const said = (page: Page) =>
  page.evaluate(
    () =>
      document.querySelector('lettera-tools')?.shadowRoot?.querySelector('.said')?.textContent ??
      '',
  );
const tool = async (page: Page, name: string) => {
  await page.waitForFunction(() => document.querySelector('lettera-tools'));
  await eventually(
    () =>
      page.evaluate((label) => {
        const tree = document.querySelector('lettera-tools')?.shadowRoot;
        if (tree?.querySelector<HTMLElement>('.panel:not(.said)')?.hidden) {
          tree.querySelector<HTMLElement>('.open')?.click();
        }
        const found = [...(tree?.querySelectorAll('button') ?? [])].find((one) =>
          one.textContent?.startsWith(label),
        );
        found?.click();
        return found !== undefined;
      }, name),
    Boolean,
  );
};
interface Bases {
  scale: Record<'small' | 'large', { base: number }>;
}
let bases: Bases['scale'] | null = null;
/** Makes all text larger by so many px than it is by itself. */
async function grow(by: number): Promise<void> {
  bases ??= (await ask<{ document: Bases }>(lettera, `/projects/${slug}`)).document.scale;
  const { small, large } = bases;
  await changeProject(lettera, slug, [
    { op: 'replace', path: '/scale/small/base', value: small.base + by },
    { op: 'replace', path: '/scale/large/base', value: large.base + by },
  ]);
}
const size = async (page: Page, selector = 'h1') =>
  parseFloat((await styleOf(page, selector)).fontSize);

beforeAll(async () => {
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page: desk, errors: deskErrors } = await newPage(browser));
  for (const kind of KINDS) waiting[kind] = await siteToRun(kind);
});
afterAll(async () => {
  await browser?.close();
  await Promise.all(Object.values(running).map((site) => site.close()));
  await lettera?.close();
});

test('it is off until the designer says where the site runs', async () => {
  expect((await fetch(`${lettera.url}/live/${'a'.repeat(43)}/lettera.css`)).status).toBe(404);
  await desk.goto(`${lettera.url}/p/${slug}/deliver`);
  await press(desk, 'Running site');
  expect((await live()).sheet).toBeNull();
  const places = KINDS.map((kind) => waiting[kind].url.replace('http://', ''));
  await fill(desk, 'Where the site runs', places.join(', '));
  const { sheet } = await eventually(live, (now) => now.sheet !== null);
  expect(sheet?.origins).toEqual(KINDS.map((kind) => waiting[kind].url));
  expect(sheet?.key).toMatch(/^[\w-]{43}$/);
  // The script that every page has is small.
  const script = await (await fetch(`${await at()}lettera.js`)).arrayBuffer();
  expect(script.byteLength).toBeLessThanOrEqual(5 * 1024);
});

test('each of the three ways puts it onto a page: lines of a template, a plugin, a bookmark', async () => {
  await eventually(
    () => desk.$$('.running pre'),
    (all) => all.length === 2,
  );
  const [template, plugin] = [await linesOf(0), await linesOf(1)];
  const bookmark = await desk.$eval('.bookmark a', (link) => link.getAttribute('href') ?? '');
  waiting.react.edit('index.html', (html) => html.replace('<!-- Lettera -->', template));
  running.vue = await waiting.vue.run(plugin);
  running.react = await waiting.react.run();
  running.static = await waiting.static.run();
  for (const kind of ['vue', 'react'] as const) {
    const { page, asked, errors } = await visit(kind);
    await follows(page);
    await page.waitForFunction(() => document.querySelector('lettera-tools'));
    // No request but to its own server and to Lettera.
    const own = [running[kind].url, lettera.url].map((url) => new URL(url).host);
    expect([...asked].filter((host) => !own.includes(host))).toEqual([]);
    expect(errors).toEqual([]);
    await page.close();
  }
  const { page } = await visit('static');
  expect((await styleOf(page)).fontFamily).not.toContain('Bricolage');
  await page.evaluate(decodeURIComponent(bookmark.replace('javascript:', '')));
  await follows(page);
  await page.close();
});

describe('while it is decided', () => {
  test('a change shows at once, without a reload or a lost place, and hot reload goes on beside it', async () => {
    const { page } = await visit('vue');
    await follows(page);
    await page.evaluate(() => scrollTo(0, 400));
    /** Where what is looked at stands in the window. */
    const place = () => page.$eval('.filler', (node) => node.getBoundingClientRect().top);
    const placeBefore = await place();
    const before = await size(page);
    await grow(4);
    await eventually(
      () => size(page),
      (now) => now > before + 2,
    );
    expect(Math.abs((await place()) - placeBefore)).toBeLessThan(1);
    running.vue.edit('App.vue', (text) => text.replace('at the landing', 'by the landing'));
    await eventually(
      () => page.$eval('h1', (node) => node.textContent ?? ''),
      (text) => text.includes('by the landing'),
    );
    await follows(page);
    await grow(0);
    await eventually(
      () => size(page),
      (now) => Math.abs(now - before) < 0.1,
    );
    expect(await isSamePage(page)).toBe(true);
    await page.close();
  });

  test('another face shows without its text being set in a third one in between', async () => {
    const { page } = await visit('react');
    await follows(page);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    // Every width that the heading has had, frame by frame.
    await page.$eval('h1', (node) => {
      const heading = node as HTMLElement;
      heading.style.display = 'inline-block';
      const widths = ((window as unknown as { widths: number[] }).widths = []) as number[];
      const look = () => {
        const { width } = heading.getBoundingClientRect();
        if (widths.at(-1) !== width) widths.push(width);
        requestAnimationFrame(look);
      };
      look();
    });
    const widths = () =>
      page.evaluate(() => [...(window as unknown as { widths: number[] }).widths]);
    const [first] = await widths();
    for (const family of ['literata', 'bricolage-grotesque']) {
      await changeProject(lettera, slug, [
        { op: 'replace', path: '/voices/heading/family', value: family },
      ]);
      await eventually(
        () => styleOf(page),
        ({ fontFamily }) => fontFamily.startsWith(family === 'literata' ? 'Literata' : '"Bric'),
      );
      // What would still come comes within some frames.
      await page.evaluate(async () => {
        for (let frame = 0; frame < 30; frame++) await new Promise(requestAnimationFrame);
      });
    }
    const seen = await widths();
    expect(seen).toHaveLength(3);
    expect(seen[2]).toBe(first);
    await page.close();
  });

  test('what is only tried shows there too, and goes with its layer', async () => {
    const { page } = await visit('react');
    await follows(page);
    const before = (await styleOf(page)).fontWeight;
    const put = (tried: object[] | null) =>
      fetch(`${lettera.url}/api/v1/projects/${slug}/live/look`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ tried, style: null, marks: [] }),
      });
    await put([{ op: 'replace', path: '/styles/heading/set/weight', value: 500 }]);
    await eventually(
      () => styleOf(page),
      ({ fontWeight }) => fontWeight === '500',
    );
    await put(null);
    await eventually(
      () => styleOf(page),
      ({ fontWeight }) => fontWeight === before,
    );
    await page.close();
  });
});

describe('pointing', () => {
  const introLine =
    readFileSync('e2e/sites/running/vue/App.vue', 'utf8')
      .split('\n')
      .findIndex((line) => line.includes('class="intro"')) + 1;

  test('a text that is clicked with t held is selected in Lettera, with its place in the sources', async () => {
    const { page } = await visit('vue');
    await follows(page);
    await page.waitForFunction(() => document.querySelector('lettera-tools'));
    await page.bringToFront();
    const intro = await (await page.waitForSelector('.intro'))?.boundingBox();
    await page.keyboard.down('t');
    await page.mouse.move((intro?.x ?? 0) + 20, (intro?.y ?? 0) + 8);
    const label = () =>
      page.evaluate(
        () =>
          document.querySelector('lettera-tools')?.shadowRoot?.querySelector('.pointed')
            ?.textContent,
      );
    await eventually(label, (text) => text === 'no text element');
    await page.mouse.click((intro?.x ?? 0) + 20, (intro?.y ?? 0) + 8);
    await page.keyboard.up('t');
    await eventually(
      () => said(page),
      (text) => text.startsWith('Sent to Lettera'),
    );
    await desk.bringToFront();
    const panel = await eventually(
      () => desk.$eval('body', (body) => body.innerText),
      (text) => text.includes('The landing is safe for an hour'),
    );
    expect(panel).toContain(`App.vue:${introLine}`);
    // Nothing claims it: it becomes a text element there, and the page has it.
    await press(desk, 'Make it a text element');
    await eventually(
      () => ask<{ document: { elements: object } }>(lettera, `/projects/${slug}`),
      ({ document }) => JSON.stringify(document.elements).includes('.intro'),
    );
    await page.bringToFront();
    const outlined = () =>
      page.evaluate(
        () =>
          document.querySelector('lettera-tools')?.shadowRoot?.querySelectorAll('.selected').length,
      );
    await eventually(outlined, (many) => (many ?? 0) > 0);
    await page.close();
  });

  test('a field is typed into as ever, and b flips before and after', async () => {
    const { page } = await visit('static');
    await page.addScriptTag({ url: `${await at()}lettera.js` });
    await follows(page);
    await page.waitForFunction(() => document.querySelector('lettera-tools'));
    await page.evaluate(() => document.body.prepend(document.createElement('input')));
    await page.bringToFront();
    await page.click('input');
    await page.keyboard.type('tab');
    expect(await page.$eval('input', (field) => field.value)).toBe('tab');
    await follows(page);
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.press('b');
    await eventually(
      () => styleOf(page),
      ({ fontFamily }) => !fontFamily.includes('Bricolage'),
    );
    await page.keyboard.press('b');
    await follows(page);
    await page.close();
  });

  test('marks stand beside the texts that they are about, where that is wanted', async () => {
    const { page } = await visit('vue');
    await follows(page);
    const stored = await ask<{ document: ProjectDocument }>(lettera, `/projects/${slug}`);
    const { ink } = stored.document.colours;
    await changeProject(lettera, slug, [
      { op: 'replace', path: '/colours/ink', value: { ...ink, light: '#aaaaaa' } },
    ]);
    // The desk judges what it shows.
    await desk.bringToFront();
    await eventually(
      () =>
        page.evaluate(() => document.querySelector('lettera-tools')?.shadowRoot?.textContent ?? ''),
      (text) => /Show \d+ marks?/.test(text),
    );
    await page.bringToFront();
    await tool(page, 'Show');
    const marks = () =>
      page.evaluate(() =>
        [
          ...(document.querySelector('lettera-tools')?.shadowRoot?.querySelectorAll('.mark') ?? []),
        ].map((mark) => mark.textContent ?? ''),
      );
    await eventually(marks, (all) => all.some((says) => says.includes('2.28 to 1')));
    await changeProject(lettera, slug, [{ op: 'replace', path: '/colours/ink', value: ink }]);
    await page.close();
  });

  test('the swap is rehearsed there, and told here', async () => {
    const { page } = await visit('react');
    await follows(page);
    await page.bringToFront();
    await tool(page, 'Rehearse the swap');
    await eventually(
      () => said(page),
      (text) => text.includes('Layout shift 0.'),
    );
    await desk.bringToFront();
    await eventually(
      () => desk.$eval('body', (body) => body.innerText),
      (text) => text.includes('Swap rehearsed on'),
    );
    await page.close();
  });
});

test('a page is read there as it stands, with what its scripts made, and taken stock of here', async () => {
  const { page } = await visit('vue');
  await follows(page);
  await page.waitForSelector('.tide');
  await page.bringToFront();
  await tool(page, 'Read this page');
  const what = await eventually(
    () => said(page),
    (text) => text.includes('nowhere else'),
  );
  expect(what).toContain(new URL(lettera.url).host);
  expect(await ask(lettera, `/projects/${slug}/live/readings`)).toEqual([]);
  await tool(page, 'Send it');
  await eventually(
    () => said(page),
    (text) => text.includes('They are in Lettera'),
  );
  const [read] = await ask<{ address: string; widths: number[]; texts: number }[]>(
    lettera,
    `/projects/${slug}/live/readings`,
  );
  expect(read).toMatchObject({ address: `${running.vue.url}/`, widths: [900], texts: 5 });
  const file = await ask<{ html: string; views: { texts: { family: string }[] }[] }>(
    lettera,
    `/projects/${slug}/live/readings/file?address=${encodeURIComponent(read?.address ?? '')}`,
  );
  expect(file.html).toContain('High water');
  // The site's own type, not the project's.
  expect(file.views[0]?.texts.map(({ family }) => family)).toEqual(Array(5).fill('monospace'));
  await follows(page);
  await desk.bringToFront();
  await press(desk, 'Take stock of them');
  await eventually(
    () => desk.$eval('body', (body) => body.innerText),
    (text) => /1 page, 5 texts/.test(text),
  );
  await page.close();
});

test('pages are gathered while one browses, routes of one page too', async () => {
  const { page } = await visit('vue');
  await follows(page);
  await tool(page, 'Read every page as I browse');
  const addresses = async () =>
    (await ask<{ address: string }[]>(lettera, `/projects/${slug}/live/readings`)).map(
      ({ address }) => address,
    );
  await eventually(addresses, (all) => all.length === 1);
  await page.evaluate(() => {
    history.pushState({}, '', '/boats');
    const heading = document.createElement('h2');
    heading.textContent = 'Boats';
    document.querySelector('main')?.append(heading);
  });
  await eventually(addresses, (all) => all.includes(`${running.vue.url}/boats`));
  await page.close();
  await fetch(`${lettera.url}/api/v1/projects/${slug}/live/readings`, { method: 'DELETE' });
});

test('a Lettera that went away leaves the page as it was, and is followed again when it is back', async () => {
  const { page } = await visit('react');
  await follows(page);
  const before = await size(page);
  const asksAgain = page.waitForRequest((request) => request.url().includes('/events'));
  await lettera.kill();
  await asksAgain;
  await follows(page);
  expect(await size(page)).toBe(before);
  await lettera.restart();
  await grow(5);
  await eventually(
    () => size(page),
    (now) => now > before + 2,
  );
  await grow(0);
  expect(await isSamePage(page)).toBe(true);
  await page.close();
});

test('a place that is not named gets nothing, is told here, and can be named with a click', async () => {
  const other = await siteToRun('react');
  const script = `${await at()}lettera.js`;
  other.edit('index.html', (html) =>
    html.replace('<!-- Lettera -->', `<script src="${script}" defer></script>`),
  );
  const site = await other.run();
  const { page } = await newPage(browser);
  await page.goto(site.url);
  await eventually(
    () =>
      page.evaluate(() => document.querySelector('lettera-note')?.shadowRoot?.textContent ?? ''),
    (text) => text.includes('is not named in Lettera'),
  );
  expect((await styleOf(page)).fontFamily).toBe('monospace');
  await desk.bringToFront();
  await desk.goto(`${lettera.url}/p/${slug}/deliver`);
  await press(desk, 'Running site');
  await press(desk, `Name ${site.url}`);
  await eventually(live, ({ sheet }) => sheet?.origins.includes(site.url) ?? false);
  await page.reload();
  await follows(page);
  await page.close();
  await site.close();
});

test('a policy that keeps it out is said on the page, with the way on', async () => {
  const { page } = await newPage(browser);
  await page.goto(running.static.url);
  await page.setBypassCSP(false);
  await page.evaluate(
    (src) => {
      const policy = document.createElement('meta');
      policy.httpEquiv = 'Content-Security-Policy';
      policy.content = `connect-src 'self'`;
      document.head.append(policy);
      const script = document.createElement('script');
      script.src = src;
      document.head.append(script);
    },
    `${await at()}lettera.js`,
  );
  await eventually(
    () =>
      page.evaluate(() => document.querySelector('lettera-note')?.shadowRoot?.textContent ?? ''),
    (text) => text.includes('connect-src') && text.includes(lettera.url),
  );
  await page.close();
});

test('the proof is a page of its own for devices', async () => {
  const { page, errors } = await newPage(browser, { width: 390, height: 800 });
  await page.goto(`${await at()}proof`);
  await follows(page);
  await page.evaluate(() => document.querySelector<HTMLElement>('a')?.click());
  await page.waitForFunction(() => location.pathname.endsWith('/proof/pages/home'));
  await follows(page);
  const before = await size(page);
  await grow(4);
  await eventually(
    () => size(page),
    (now) => now > before + 2,
  );
  await grow(0);
  expect(errors).toEqual([]);
  await page.close();
});

test('ended, it is gone from the pages that had it, and its key is never good again', async () => {
  const { page } = await visit('react');
  await follows(page);
  const address = await at();
  await desk.bringToFront();
  await press(desk, 'End it');
  await eventually(
    () => styleOf(page),
    ({ fontFamily }) => fontFamily === 'monospace',
  );
  expect((await fetch(`${address}lettera.js`)).status).toBe(404);
  expect((await live()).sheet).toBeNull();
  expect(deskErrors.filter((error) => !/ERR_CONNECTION|Failed to load/.test(error))).toEqual([]);
  await page.close();
});

test('visits are counted on a site that is delivered so, and stand beside what is expected', async () => {
  const { key } = await ask<{ key: string }>(lettera, `/projects/${slug}/visits`, {
    method: 'PUT',
  });
  await changeProject(lettera, slug, [
    { op: 'add', path: '/delivery/visits', value: `${lettera.url}/visits/${key}` },
  ]);
  const site = await serveSite(
    lettera,
    slug,
    BARE_PAGE.replace('</html>', '<script src="visits.js" defer></script></html>'),
  );
  const { page, errors } = await newPage(browser);
  await page.goto(site.url);
  const { counts } = await eventually(
    () => ask<VisitState>(lettera, `/projects/${slug}/visits`),
    (state) => state.counts.length > 0,
  );
  const told = counts.map(({ what }) => what);
  expect(told).toContain('visits');
  // The web face set the text at last.
  expect(told).toEqual(
    expect.arrayContaining([
      expect.stringMatching(/^drawn\/text@\w{8}\/0$/),
      expect.stringMatching(/^drawn\/heading@\w{8}\/0$/),
    ]),
  );
  expect(told.filter((what) => /^(text|faces|shift)\//.test(what))).toHaveLength(3);
  // As little as that is kept.
  expect(new Set(counts.flatMap((one) => Object.keys(one)))).toEqual(
    new Set(['day', 'what', 'times']),
  );
  expect(errors.filter((error) => !error.includes('status of 404'))).toEqual([]);
  await desk.bringToFront();
  await desk.goto(`${lettera.url}/p/${slug}/fallbacks`);
  await press(desk, 'Visitors');
  await eventually(
    () => desk.$eval('body', (body) => body.innerText),
    (text) =>
      /1 visit, \d+ \w+\./.test(text) &&
      !text.includes('earlier stack') &&
      text.includes('Set the text at last'),
  );
  await press(desk, 'Stop, and forget what was counted');
  await eventually(
    () => ask<VisitState>(lettera, `/projects/${slug}/visits`),
    (state) => state.key === null && state.counts.length === 0,
  );
  await page.close();
  await site.close();
});
