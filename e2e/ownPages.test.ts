import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import type { Browser, ElementHandle, Frame, Page } from 'puppeteer-core';
import { stepSizeAt } from '@lettera/core/scale';
import type { ProjectDocument } from '@lettera/core/document';
import { violationsOn } from './axe';
import {
  clickInProof,
  eventually,
  fill,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  aboutPage,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { attacks } from './sites/attacks';

/** Pages of the site's own in the real interface. */

const SHOP = 'sample/own';
let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let folder: string;

const api = () => `${lettera.url}/api/v1/projects/tarnholm-light`;
const documentOf = async () =>
  ((await (await fetch(api())).json()) as { document: ProjectDocument }).document;
const stored = (holds: (document: ProjectDocument) => boolean) => eventually(documentOf, holds);

async function open(): Promise<void> {
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  await proofFrame(page, { asItIs: true });
  await aboutPage(page);
}
async function upload(paths: string[], label = 'Files of pages'): Promise<void> {
  const input = (await page.waitForSelector(
    `input[aria-label="${label}"]`,
  )) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(...paths);
}
const frameOf = async (slug: string) => {
  await page.waitForSelector(
    `section.proof iframe.ready:is([src$="/${slug}"], [src*="/${slug}?"])`,
  );
  return proofFrame(page, { asItIs: true });
};
/** Clicks a text of the proof, wherever on the page it stands. */
async function clickOn(frame: Frame, selector: string): Promise<void> {
  await frame.$eval(selector, (node) => node.scrollIntoView({ block: 'center' }));
  await clickInProof(page, frame, selector);
}
/** Brings a page in by the API, as files with their paths; gives its key. */
async function bring(files: Record<string, string>): Promise<string> {
  const body = new FormData();
  for (const [path, text] of Object.entries(files)) body.append('file', new Blob([text]), path);
  const answer = (await (await fetch(`${api()}/pages`, { method: 'POST', body })).json()) as {
    pages: { slug: string }[];
  };
  return answer.pages[0]?.slug ?? '';
}
const shopFiles = () =>
  Object.fromEntries(
    ['index.html', 'css/site.css', 'css/type.css'].map((path) => [
      path,
      readFileSync(join(SHOP, path), 'utf8'),
    ]),
  );

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'lettera-own-'));
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
  rmSync(folder, { recursive: true, force: true });
});
beforeEach(async () => {
  await page?.close();
  ({ page, errors } = await newPage(browser));
});

describe('a page of the site’s own', () => {
  test('comes as a folder, is shown in its own layout, named, ordered, taken out, and is back by undo', async () => {
    await open();
    await upload([SHOP], 'A folder of pages');
    const frame = await frameOf('the-lamp-room-shop');
    const ground = await frame.evaluate(() => getComputedStyle(document.body).backgroundColor);
    expect(ground).toBe('rgb(244, 239, 230)');
    // Lettera's rules stand before the page's own: what the page leaves open is Lettera's.
    const sizes = await frame.evaluate(() =>
      ['.lead', '.good h2', '.site-title'].map((selector) => {
        const node = document.querySelector(selector);
        return node ? getComputedStyle(node).fontFamily.split(',')[0] : '';
      }),
    );
    expect(sizes).toEqual(['Literata', '"Bricolage Grotesque"', '"Bricolage Grotesque"']);
    await page.waitForFunction(() =>
      document.querySelector('section.proof table')?.textContent?.includes('count.js'),
    );
    await fill(page, 'Name of The lamp-room shop', 'Shop');
    await stored(({ pages }) => pages?.['the-lamp-room-shop']?.name === 'Shop');
    await press(page, 'Remove Shop');
    await stored(({ pages }) => Object.keys(pages ?? {}).length === 0);
    await press(page, 'Undo');
    await stored(({ pages }) => pages?.['the-lamp-room-shop']?.name === 'Shop');
    await press(page, 'Show Shop');
    await frameOf('the-lamp-room-shop');
    expect(errors).toEqual([]);
  });

  test('comes as a zip, as files, and pasted; what cannot be used says why beside the way in', async () => {
    await open();
    const zip = join(folder, 'site.zip');
    writeFileSync(zip, zipSync({ 'a/index.html': strToU8('<title>Zipped</title><p>Boats</p>') }));
    await upload([zip]);
    await frameOf('zipped');
    const plain = join(folder, 'plain.html');
    writeFileSync(plain, '<title>Plain</title><p>Ropes</p>');
    await upload([plain]);
    await frameOf('plain');
    // A page that is gone by undo makes way for one that is there.
    await press(page, 'Undo');
    await frameOf('the-lamp-room-shop');
    await press(page, 'Redo');
    await press(page, 'Show Plain');
    await frameOf('plain');
    await press(page, 'Paste a page');
    await page.locator('form.paste textarea').fill('<h1>Pasted here</h1>');
    await (await page.$$('form.paste textarea'))[1]?.type('h1 { text-transform: uppercase }');
    await press(page, 'Add the page');
    const frame = await frameOf('pasted-page');
    expect(await frame.$eval('h1', (node) => getComputedStyle(node).textTransform)).toBe(
      'uppercase',
    );
    const none = join(folder, 'none.css');
    writeFileSync(none, 'a { color: red }');
    await upload([none]);
    const said = () =>
      page.$eval('section.proof [role="alert"]', (node) => node.textContent ?? '').catch(() => '');
    expect(await eventually(said, (text) => text !== '')).toContain('no page among them');
    expect(errors.filter((error) => !error.includes('422'))).toEqual([]);
  });

  test('is dropped anywhere, as a folder, and is part of the address', async () => {
    const site = join(folder, 'dropped');
    mkdirSync(join(site, 'css'), { recursive: true });
    writeFileSync(
      join(site, 'index.html'),
      '<title>Dropped</title><link rel="stylesheet" href="css/a.css"><p>Ropes</p>',
    );
    writeFileSync(join(site, 'css/a.css'), 'p { font-size: 33px }');
    await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
    await proofFrame(page, { asItIs: true });
    const session = await page.createCDPSession();
    const drag = (type: 'dragEnter' | 'dragOver' | 'drop') => {
      const data = { items: [], files: [site], dragOperationsMask: 1 };
      return session.send('Input.dispatchDragEvent', { type, x: 400, y: 300, data });
    };
    await drag('dragEnter');
    // What takes the drop comes after what is seen first, and says so while something is held over it.
    await eventually(
      async () => {
        await drag('dragOver');
        return page.$('.over');
      },
      (over) => over !== null,
    );
    await drag('drop');
    const frame = await frameOf('dropped');
    expect(await frame.$eval('p', (node) => getComputedStyle(node).fontSize)).toBe('33px');
    await bring({ 'first.html': '<title>First</title><p>a</p>' });
    await press(page, 'Dropped: later');
    await page.waitForFunction(() => location.search === '?page=dropped');
    await page.locator('.docket a[href$="/styles"]').click();
    await page.waitForFunction(
      () => location.pathname.endsWith('/styles') && location.search === '?page=dropped',
    );
    await page.reload();
    await frameOf('dropped');
    expect(errors).toEqual([]);
  });

  test('of any script, or without text, is shown and told of', async () => {
    await bring({
      'rtl.html':
        '<!doctype html><html lang="he" dir="rtl"><title>Right to left</title><h1>אור על האי</h1><p>המגדלור דולק כל לילה, since 1861.</p>',
    });
    await bring({ 'none.html': '<title>No text</title><div style="height: 3000px"></div>' });
    await open();
    await press(page, 'Show Right to left');
    const frame = await frameOf('right-to-left');
    expect(await frame.$eval('h1', (node) => getComputedStyle(node).direction)).toBe('rtl');
    const { left, right } = await frame.$eval('p', (node) => {
      const range = document.createRange();
      range.selectNodeContents(node);
      const box = range.getBoundingClientRect();
      return { left: box.left, right: window.innerWidth - box.right };
    });
    expect(right).toBeLessThan(left);
    await clickOn(frame, 'p');
    const told = () => page.$eval('section.proof aside', (node) => node.textContent ?? '');
    const faces = await eventually(told, (text) => text.includes('Literata'));
    // Hebrew letters are in no face of the case: those that fall are named.
    expect(faces).toMatch(/ה/);
    await press(page, 'Pages', 'section.proof [role="tablist"]');
    await press(page, 'Show No text');
    await frameOf('no-text');
    await press(page, 'Who sets its text', 'section.proof [role="tablist"]');
    await eventually(told, (text) => text.includes('0 texts'));
    await press(page, 'What moved', 'section.proof [role="tablist"]');
    expect(errors).toEqual([]);
  });

  test('tells who overrules Lettera, makes an element of what none claims, and takes other words', async () => {
    const slug = await bring({ ...shopFiles(), 'extra.txt': 'x' });
    await open();
    const { pages = {} } = await documentOf();
    const key = slug || Object.keys(pages).find((one) => one.startsWith('the-lamp')) || '';
    await press(page, `Show ${pages[key]?.name ?? ''}`);
    const frame = await frameOf(key);
    await press(page, 'Who sets its text', '[role="tablist"]');
    await page.waitForFunction(() =>
      document
        .querySelector('section.proof table')
        ?.textContent?.includes('.good p in css/type.css'),
    );
    const rows = await page.$$eval('section.proof table tbody tr', (all) =>
      all.map((row) => [...row.children].map((cell) => cell.textContent?.trim() ?? '')),
    );
    expect(rows).toContainEqual([
      '.good h2 in css/site.css, line 9, specificity 0-1-1, layer parts',
      'font-size, letter-spacing',
      '3',
      'How to win over it',
    ]);
    expect(rows.some(([who]) => who === 'a style attribute')).toBe(true);
    await press(
      page,
      'Show on the page: 3 texts that .good h2 in css/site.css, line 9, specificity 0-1-1, layer parts decides',
    );
    await eventually(
      async () => (await frame.$$('h2[data-lettera-out]')).length,
      (pointed) => pointed === 3,
    );

    const follow = () =>
      page.$$eval('section.proof p b', ([first]) => Number(first?.textContent ?? -1));
    const before = await eventually(follow, (following) => following > 0);

    // Round one rule: said with !important of the elements that it overrules, and of those alone.
    const sizes = () =>
      frame.$$eval('.good h2', (all) => all.map((node) => getComputedStyle(node).fontSize));
    const asTheySay = await sizes();
    const rule = '.good h2 in css/site.css, line 9, specificity 0-1-1, layer parts';
    await press(page, `How to win over ${rule}`);
    const offered = await eventually(
      () =>
        page.$$eval(`[aria-label="How to win over ${rule}"] li`, (all) =>
          all.map((node) => node.textContent?.replace(/\s+/g, ' ').trim() ?? ''),
        ),
      (ways) => ways.length === 3,
    );
    expect(offered.map((text) => text.replace(/:.*/, ''))).toEqual([
      'Rules linked after your own style sheets',
      'Rules with !important on Heading 2',
      'Rules that leave these texts alone',
    ]);
    expect(offered[1]).toContain('3 of 3 texts there follow');
    await press(page, 'Deliver the rules with !important on Heading 2');
    await stored(({ elements }) => elements['h2']?.important === true);
    await eventually(sizes, (now) => now.every((size) => !asTheySay.includes(size)));
    await eventually(
      () => page.$$eval('section.proof td.who', (all) => all.map((td) => td.textContent)),
      (who) => who.length > 0 && !who.includes(rule),
    );
    await press(page, 'Undo');
    await eventually(sizes, (now) => now.join() === asTheySay.join());
    await page.waitForSelector(`::-p-aria(Deliver the rules that leave these texts alone)`);
    await press(page, 'Deliver the rules that leave these texts alone');
    await stored(({ delivery }) => delivery.leave?.join() === '.good h2');
    await page.waitForSelector('::-p-text(left to the page’s own style sheets)');
    await eventually(sizes, (now) => now.join() === asTheySay.join());
    await press(page, 'Undo');
    await stored(({ delivery }) => delivery.leave === undefined);
    await page.waitForFunction(
      () =>
        !document
          .querySelector('section.proof aside')
          ?.textContent?.includes(' left to the page’s'),
    );

    // The least force that wins more is offered, tried on the page, and taken as one change.
    await eventually(follow, (following) => following === before);
    const [least] = await eventually(
      () =>
        page.$$eval('[aria-label="The least that would win"] li', (all) =>
          all.map((node) => ({
            label: node.querySelector('button')?.ariaLabel ?? '',
            following: Number(node.querySelector('b')?.textContent),
          })),
        ),
      (ways) => ways.length > 0,
    );
    expect(least?.following).toBeGreaterThan(before);
    await press(page, least?.label ?? '');
    await stored(({ delivery }) => delivery.linked === 'after');
    await eventually(follow, (following) => following === least?.following);
    await press(page, 'Undo');
    await eventually(follow, (following) => following === before);

    await press(page, 'Make it a text element: Price');
    const { elements } = await stored(({ elements: all }) => 'price' in all);
    expect(elements['price']?.selectors).toEqual(['.price']);

    await clickOn(await frameOf(key), '.imprint');
    await page.waitForSelector('section.proof form.typed');
    const told = () => page.$eval('section.proof dl', (node) => node.textContent ?? '');
    expect(await eventually(told, (text) => text.includes('to 1 on'))).toContain('Literata');
    await page.locator('form.typed textarea').fill('Open when the lamp is lit.');
    await press(page, 'Set these words');
    await stored(({ typed }) => JSON.stringify(typed ?? {}).includes('lamp is lit'));
    await page.reload();
    await aboutPage(page);
    await press(page, `Show ${pages[key]?.name ?? ''}`);
    const again = await frameOf(key);
    expect(await again.$eval('.imprint', (node) => node.textContent)).toBe(
      'Open when the lamp is lit.',
    );
    await press(page, 'Undo');
    await eventually(
      () => again.$eval('.imprint', (node) => node.textContent ?? ''),
      (text) => text.startsWith('Lamp-room shop'),
    );

    await clickOn(again, '.imprint');
    await press(page, 'A style only here');
    const { elements: now, styles } = await stored(({ styles: all }) =>
      Object.values(all).some(({ name }) => name.endsWith('only here')),
    );
    const made = Object.entries(styles).find(([, { name }]) => name.endsWith('only here'))?.[0];
    const here = Object.values(now).find(({ style }) => style === made);
    expect((await again.$$(here?.selectors[0] ?? '')).length).toBe(1);
    expect(errors).toEqual([]);
  });

  test('has the size that is told of it, from the text around it where that gives it', async () => {
    await bring({
      'index.html':
        '<title>Sizes</title><style>.big { font-size: 25px }</style><h1>Fog <em>tonight</em></h1><p class="big">Seen by <em class="seen">the keeper</em></p>',
    });
    await open();
    await press(page, 'Show Sizes');
    const frame = await frameOf('sizes');
    await press(page, 'This text', 'section.proof [role="tablist"]');
    const told = async (selector: string, words: string): Promise<string> => {
      await clickOn(frame, selector);
      const panel = await eventually(
        () => page.$eval('section.proof aside', (node) => node.textContent ?? ''),
        (text) => text.includes(words),
      );
      return panel;
    };
    const { scale, styles } = await documentOf();
    const ends = [360, 1280].map(
      (width) =>
        `${Number(stepSizeAt(scale, styles['heading-1']?.set.step ?? 0, width).toFixed(2))} px`,
    );
    expect(await told('h1', 'used by Heading 1')).toContain(
      `${ends[0]} at 360, ${ends[1]} at 1280`,
    );
    expect(await told('h1 em', 'used by Emphasis')).toContain(
      `here; ${ends[0]} at 360, ${ends[1]} at 1280`,
    );
    const site = await told('.seen', '25 px');
    expect(site).not.toMatch(/here; /);
    expect(errors).toEqual([]);
  });

  test('has nothing beside it that keeps people out', async () => {
    await bring({
      'index.html': '<title>Beside</title><p class="odd">Odd words</p><script>1</script>',
    });
    await open();
    await press(page, 'Show Beside');
    const frame = await frameOf('beside');
    for (const view of ['Pages', 'Who sets its text', 'This text']) {
      await press(page, view, 'section.proof [role="tablist"]');
      if (view === 'This text') await clickInProof(page, frame, 'p');
      await new Promise((resolve) => setTimeout(resolve, 600));
      expect(await violationsOn(page, view)).toEqual([]);
    }
  });
});

describe('a page that is not easy to live with', () => {
  test('may name its fields and pictures as it likes', async () => {
    const names =
      'createTreeWalker querySelector querySelectorAll body head defaultView documentElement addEventListener fonts children closest matches parentElement textContent attributes removeAttribute';
    const fields = names
      .split(' ')
      .map(
        (name) =>
          `<img name="${name}" id="${name}" alt=""><form><p>Field</p><input name="${name}"><input id="${name}"></form>`,
      )
      .join('');
    await bring({
      'index.html': `<title>Names</title><h1>Fog</h1><p class="odd">Odd words</p>${fields}`,
    });
    await open();
    await press(page, 'Show Names');
    const frame = await frameOf('names');
    await press(page, 'This text', 'section.proof [role="tablist"]');
    await clickOn(frame, '.odd');
    await page.waitForFunction(() =>
      [...document.querySelectorAll('section.proof aside textarea')].some(
        (field) => (field as HTMLTextAreaElement).value === 'Odd words',
      ),
    );
    await press(page, 'Who sets its text', 'section.proof [role="tablist"]');
    await page.waitForFunction(() =>
      /texts at/.test(document.querySelector('section.proof aside')?.textContent ?? ''),
    );
    expect(errors).toEqual([]);
  });

  test('has many rules and many texts, and the interface goes on meanwhile', async () => {
    const rules = Array.from(
      { length: 30_000 },
      (_, i) => `.a${i} p, .b${i % 90} i { font-size: ${10 + (i % 9)}px }`,
    );
    const texts = Array.from(
      { length: 3000 },
      (_, i) => `<p class="b${i % 90}">Fog <i>${i}</i></p>`,
    );
    await bring({
      'index.html': `<title>Rules</title><style>${rules.join('')}</style>${texts.join('')}`,
    });
    await open();
    await press(page, 'Show Rules');
    await frameOf('rules');
    await page.evaluate(() => {
      const seen: number[] = [];
      Object.assign(window, { seen });
      let last = performance.now();
      const beat = (): void => {
        const now = performance.now();
        seen.push(now - last);
        last = now;
        setTimeout(beat);
      };
      beat();
    });
    await press(page, 'Who sets its text', 'section.proof [role="tablist"]');
    await page.waitForFunction(() =>
      /6,?000 texts at/.test(document.querySelector('section.proof aside')?.textContent ?? ''),
    );
    const longest = await page.evaluate(() =>
      Math.max(...(window as unknown as { seen: number[] }).seen),
    );
    // All of it takes many seconds; what the browser itself lays out at once is not ours.
    expect(longest).toBeLessThan(3000);
  });
});

describe('nothing of a page', () => {
  let out: Server;
  const heard: string[] = [];
  /** A hint to connect makes no request: connections are heard too. */
  let connections = 0;
  let address = '';
  beforeAll(async () => {
    out = createServer((request, response) => {
      heard.push(request.url ?? '');
      response.end();
    });
    out.on('connection', () => connections++);
    await new Promise<void>((resolve) => out.listen(0, '127.0.0.1', resolve));
    address = `http://127.0.0.1:${(out.address() as AddressInfo).port}`;
  });
  afterAll(() => {
    out.close();
  });

  test('runs, and nothing is asked for elsewhere, in any way that is known', async () => {
    const all = attacks(address);
    expect(all.length).toBeGreaterThan(60);
    // Each on a page of its own, and all of them on one.
    const files = Object.fromEntries(
      all.map((attack, i) => [`${i}.html`, `<title>Way ${i}</title><p>x</p>${attack}`]),
    );
    const slugs: string[] = [];
    for (let from = 0; from < all.length; from += 50) {
      const body = new FormData();
      for (const [path, text] of Object.entries(files).slice(from, from + 50)) {
        body.append('file', new Blob([text]), path);
      }
      const answer = (await (await fetch(`${api()}/pages`, { method: 'POST', body })).json()) as {
        pages: { slug: string }[];
      };
      slugs.push(...answer.pages.map(({ slug }) => slug));
    }
    slugs.push(await bring({ 'all.html': `<title>All ways</title>${all.join('\n')}` }));
    expect(slugs).toHaveLength(all.length + 1);
    const elsewhere: string[] = [];
    page.on('request', (request) => {
      const asked = request.url();
      if (!asked.startsWith(lettera.url) && !/^(data|blob):/.test(asked)) elsewhere.push(asked);
    });
    const dialogs: string[] = [];
    page.on('dialog', (dialog) => {
      dialogs.push(dialog.message());
      void dialog.dismiss();
    });
    await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
    await proofFrame(page, { asItIs: true });
    const ran = await page.evaluate(
      async (pages, base, outside) => {
        const found: string[] = [];
        const ASKING =
          /^(src|srcset|href|xlink:href|style|poster|background|data|action|formaction|ping|filter|fill|on.*)$/;
        for (const slug of pages) {
          const frame = document.createElement('iframe');
          frame.setAttribute('sandbox', 'allow-same-origin');
          frame.src = `${base}/pages/${slug}`;
          await new Promise((resolve) => {
            frame.onload = resolve;
            document.body.append(frame);
          });
          const inside = frame.contentDocument;
          for (const node of inside?.querySelectorAll<HTMLElement>('a, button, summary') ?? []) {
            node.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }));
          }
          if ('ran' in window || (frame.contentWindow && 'ran' in frame.contentWindow))
            found.push(slug);
          if (inside?.querySelector('script, iframe, object, embed, base'))
            found.push(`${slug} keeps`);
          for (const node of inside?.querySelectorAll('*') ?? []) {
            const asks = [...node.attributes].some(
              ({ name, value }) => value.includes(outside) && ASKING.test(name),
            );
            if (asks) found.push(`${slug} asks by ${node.outerHTML}`);
          }
          frame.remove();
        }
        return found;
      },
      slugs,
      '/api/v1/projects/tarnholm-light',
      address.slice('http:'.length),
    );
    expect(ran).toEqual([]);
    expect(elsewhere).toEqual([]);
    expect(heard).toEqual([]);
    expect(connections).toBe(0);
    const { headers } = await fetch(`${api()}/pages/${slugs.at(-1) ?? ''}`);
    expect(headers.get('x-dns-prefetch-control')).toBe('off');
    expect(headers.get('link')).toBeNull();
    expect(dialogs).toEqual([]);
  });
});
