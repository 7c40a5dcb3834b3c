import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { pagesAsRead, readSite, siteFilesIn } from '@lettera/core/page/file';
import {
  provenanceAt,
  STOCK_PROPERTIES,
  type Fold,
  type Moves,
  type Stock,
  type StockText,
  type TextLook,
} from '@lettera/core/stock';
import { stockOfReadings } from '@lettera/core/stock/reading';
import { resolveInUse } from '@lettera/core/style';
import Ajv2020 from 'ajv/dist/2020';
import { build } from 'esbuild';
import { unzipSync } from 'fflate';
import type { Browser, CDPSession, Page } from 'puppeteer-core';
import { launchBrowser, newPage } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { BARE_PAGE } from './site';
import { fortyOddSizes, PACKAGED, WRITTEN, type SiteFiles } from './sites/stockPages';

/**
 * What a stock says of a page, held to Chromium: the page is opened as its own server would serve it, without
 * Lettera, and each of its texts is asked for its computed values there; the declaration that is named as the
 * source of a value is changed, and the text must follow.
 */

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let reading: string;
let server: Server;
let served: SiteFiles = {};
const SLUG = 'tarnholm-light';
const api = () => `${lettera.url}/api/v1/projects/${SLUG}`;
const address = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;

beforeAll(async () => {
  const bundled = await build({
    stdin: {
      contents: `export { StockBook, foldStock, foldPatch, WHOLE_FOLD, movesOf } from './core/stock'; export { previewOf } from './core/change'; export { readPageInto } from './web/reader/stockReader'; export { siteView } from './web/reader/siteView'; export { textElementsOf } from './web/reader/domTree'; export { setFrameWidth } from './web/reader/frameWidth';`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    format: 'iife',
    globalName: 'stocktaking',
    write: false,
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
  });
  reading = bundled.outputFiles[0]?.text ?? '';
  server = createServer((request, response) => {
    const path = decodeURIComponent((request.url ?? '/').slice(1).replace(/\?.*$/, ''));
    const file = served[path];
    if (path.endsWith('.css')) response.setHeader('Content-Type', 'text/css');
    if (path.endsWith('.html')) response.setHeader('Content-Type', 'text/html');
    response.setHeader('Cache-Control', 'no-store');
    response.statusCode = file === undefined ? 404 : 200;
    response.end(file);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page } = await newPage(browser));
  await page.goto(`${lettera.url}/p/${SLUG}/stock`);
  await page.waitForSelector('section.ways');
  await page.evaluate(reading);
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
  server?.close();
});

interface Looked {
  site: string;
  path: string;
}

async function look(files: SiteFiles): Promise<Looked> {
  const body = new FormData();
  for (const [path, content] of Object.entries(files))
    body.append('file', new Blob([content as string]), path);
  const answer = await fetch(`${api()}/looked`, { method: 'POST', body });
  const { pages } = (await answer.json()) as { pages: Looked[] };
  const [first] = pages;
  if (!first) throw new Error('No page was read');
  return first;
}

/** Takes stock of a page in the application's own page; what it showed is left in a frame there. */
const takeStock = (
  { site, path }: Looked,
  live: object = { views: [], faces: [] },
): Promise<Stock> =>
  page.evaluate(
    async (project, query, views) => {
      const { stocktaking } = window as unknown as { stocktaking: Stocktaking };
      document.querySelector('#taken')?.remove();
      const frame = document.createElement('iframe');
      frame.id = 'taken';
      frame.setAttribute('sandbox', 'allow-same-origin');
      frame.style.cssText = 'position:fixed;left:-4000px;top:0;height:800px;border:0';
      const loaded = new Promise((resolve) => (frame.onload = resolve));
      frame.src = `${project}/pages/x?${query}`;
      document.body.append(frame);
      await loaded;
      const book = new stocktaking.StockBook();
      const rules = (await (await fetch(`${project}/pages/x/account?${query}`)).json()) as object;
      await stocktaking.readPageInto(
        book,
        {
          title: 'x',
          page: frame.contentDocument,
          rules,
          elsewhere: [],
          unread: [],
          live: views,
          setWidth: (width: number) => stocktaking.setFrameWidth(frame, width),
        },
        { stopped: () => false, progress: () => undefined },
      );
      return book.close('2026-11-27T00:00:00.000Z');
    },
    `/api/v1/projects/${SLUG}`,
    new URLSearchParams({ site, path }).toString(),
    live,
  );

interface Stocktaking {
  StockBook: new () => { close(made: string): Stock };
  readPageInto(book: object, page: object, options: object): Promise<void>;
  setFrameWidth(frame: HTMLIFrameElement, width: number): Promise<void>;
  siteView(stock: Stock, pages: Document[]): object;
  textElementsOf(page: Document): Element[];
}

interface Seen {
  tag: string;
  words: string;
  look: Omit<TextLook, 'face' | 'ground' | 'stack'> & { family: string };
  shown: boolean;
}

/** A page as its own server serves it, with nothing that runs, asks elsewhere or moves. */
class ServedVisit {
  private constructor(
    private readonly visit: Page,
    private readonly session: CDPSession,
  ) {}

  static async open(path: string, width: number): Promise<ServedVisit> {
    const visit = await browser.newPage();
    await visit.setJavaScriptEnabled(false);
    await visit.setRequestInterception(true);
    visit.on('request', (request) => {
      void (request.url().startsWith(address()) ? request.continue() : request.abort());
    });
    await visit.setViewport({ width, height: 800 });
    await visit.goto(address() + path);
    const session = await visit.createCDPSession();
    for (const domain of ['DOM', 'CSS', 'Runtime'] as const) await session.send(`${domain}.enable`);
    return new ServedVisit(visit, session);
  }

  close = (): Promise<void> => this.visit.close();

  /** Every element that holds text of its own. */
  texts = (): Promise<Seen[]> =>
    this.visit.evaluate(async () => {
      await document.fonts.ready;
      const OUT = 'script, style, template, noscript, title, head, option, textarea, iframe';
      const found: Element[] = [];
      const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      while (walker.nextNode()) {
        const { parentElement, nodeValue } = walker.currentNode as Text;
        if (!nodeValue?.trim() || !parentElement || parentElement.closest(OUT)) continue;
        if (!found.includes(parentElement)) found.push(parentElement);
      }
      Object.assign(window, { found });
      return found.map((node): Seen => {
        const style = getComputedStyle(node);
        const px = (value: string) => parseFloat(value) || 0;
        return {
          tag: node.tagName.toLowerCase(),
          words: [...node.childNodes]
            .filter((child) => child.nodeType === Node.TEXT_NODE)
            .map((child) => child.nodeValue)
            .join('')
            .replace(/\s+/g, ' ')
            .trim()
            .slice(0, 80),
          look: {
            family: style.fontFamily,
            size: px(style.fontSize),
            weight: Number(style.fontWeight),
            slant: style.fontStyle as 'normal',
            lineHeight: style.lineHeight === 'normal' ? null : px(style.lineHeight),
            letterSpacing: px(style.letterSpacing),
            letterCase: style.textTransform,
            colour: style.color,
          },
          shown: node.checkVisibility(),
        };
      });
    });

  /**
   * The font that draws most of each text, by its name and whether the page brought it; empty for a text that
   * is not drawn. What `texts` found is asked.
   * @param families what texts are set in for this once, by their numbers; as they are where it is left out
   */
  async fonts(families: readonly (string | null)[] = []): Promise<string[]> {
    const count = await this.visit.evaluate(async (wanted) => {
      const { found } = window as unknown as { found: HTMLElement[] };
      found.forEach((node, i) => {
        const family = wanted[i];
        if (family) node.style.setProperty('font-family', family, 'important');
      });
      await document.fonts.ready;
      return found.length;
    }, families);
    // Numbers of nodes are those of the document that was asked for last.
    await this.session.send('DOM.getDocument', { depth: 0 });
    const all: string[] = [];
    for (let i = 0; i < count; i++) {
      const glyphs = new Map<string, number>();
      const { result } = await this.session.send('Runtime.evaluate', {
        expression: `[...found[${i}].childNodes].filter((child) => child.nodeType === 3 && child.data.trim())`,
      });
      const { result: nodes } = await this.session.send('Runtime.getProperties', {
        objectId: result.objectId ?? '',
        ownProperties: true,
      });
      for (const { value } of nodes) {
        if (value?.subtype !== 'node' || !value.objectId) continue;
        const { nodeId } = await this.session.send('DOM.requestNode', { objectId: value.objectId });
        const { fonts } = await this.session.send('CSS.getPlatformFontsForNode', { nodeId });
        for (const { familyName, isCustomFont, glyphCount } of fonts) {
          const name = `${familyName}${isCustomFont ? ' of the page' : ''}`;
          glyphs.set(name, (glyphs.get(name) ?? 0) + glyphCount);
        }
      }
      const [main] = [...glyphs].sort(([, a], [, b]) => b - a);
      all.push(main?.[0] ?? '');
    }
    await this.visit.evaluate((wanted) => {
      const { found } = window as unknown as { found: HTMLElement[] };
      found.forEach((node, i) => {
        if (wanted[i]) node.style.removeProperty('font-family');
      });
    }, families);
    return all;
  }
}

/** A family as a stack has it. */
const GENERICS = /^(serif|sans-serif|monospace|cursive|fantasy|system-ui|math|emoji|ui-[a-z-]+)$/;
const asDeclared = (family: string): string =>
  GENERICS.test(family) ? family : JSON.stringify(family);

const lookOf = (stock: Stock, number: number, end: 'narrow' | 'wide'): TextLook =>
  stock.looks[stock.texts[number]?.[end].look ?? -1] as TextLook;

const ALL = { ...WRITTEN, ...PACKAGED };

describe.each(Object.keys(ALL))('%s', (name) => {
  test('every text is set as Chromium computes it where the site serves it, at both widths', async () => {
    served = ALL[name]?.() ?? {};
    const [path = ''] = Object.keys(served);
    const stock = await takeStock(await look(served));
    const [read] = stock.pages;
    const visits = [
      await ServedVisit.open(path, read?.narrow ?? 0),
      await ServedVisit.open(path, read?.wide ?? 0),
    ];
    const [narrow = [], wide = []] = await Promise.all(visits.map((visit) => visit.texts()));
    const seen = narrow.flatMap((small, i) => {
      const large = wide[i];
      return large && (small.shown || large.shown) ? [{ small, large, number: i }] : [];
    });
    expect(stock.texts.map(({ tag, words }) => [tag, words])).toEqual(
      seen.map(({ small }) => [small.tag, small.words]),
    );
    expect(stock.texts.length).toBeGreaterThan(2);
    stock.texts.forEach((text, number) => {
      for (const [end, at] of [
        ['narrow', seen[number]?.small],
        ['wide', seen[number]?.large],
      ] as const) {
        const { stack, face: _face, ground: _ground, ...look } = lookOf(stock, number, end);
        const { family, ...wanted } = at?.look ?? { family: '' };
        expect({ text: text.words, end, ...look }).toEqual({ text: text.words, end, ...wanted });
        expect(stack.join(',')).toBe(family.replace(/["']/g, '').replace(/,\s*/g, ','));
      }
    });
    expect(stock.sources.some(({ by }) => by === 'rule')).toBe(true);

    // The face that is reported draws the text, and none before it in its stack does.
    for (const [end, visit] of [
      ['narrow', visits[0]],
      ['wide', visits[1]],
    ] as const) {
      if (!visit) throw new Error('There is no visit');
      const looks = new Map(seen.map(({ number }, i) => [number, lookOf(stock, i, end)]));
      const perText = (family: (look: TextLook) => string | null | undefined) =>
        narrow.map((_, i) => {
          const look = looks.get(i);
          const name = look && family(look);
          return name ? asDeclared(name) : null;
        });
      const asIs = await visit.fonts();
      expect(asIs.filter((font) => font !== '').length).toBeGreaterThan(2);
      const alone = await visit.fonts(perText(({ face }) => face));
      expect(alone).toEqual(asIs);
      const unknown = await visit.fonts(perText(() => 'No such family'));
      const longest = Math.max(...[...looks.values()].map(({ stack }) => stack.length));
      for (let place = 0; place < longest; place++) {
        const before = perText(({ stack, face }) => {
          const last = face === null ? stack.length : stack.indexOf(face);
          return place < last ? stack[place] : null;
        });
        if (before.every((family) => family === null)) break;
        const drawn = await visit.fonts(before);
        before.forEach((family, i) => {
          if (family) expect(`${family}: ${drawn[i]}`).toBe(`${family}: ${unknown[i]}`);
        });
      }
      await visit.close();
    }
  }, 240_000);
});

interface Tried {
  what: string;
  found: boolean;
  follows: boolean;
}

/** Changes the declarations that are named as sources, one after another, and looks whether the text follows. */
const trySources = (stock: Stock, wanted: number): Promise<Tried[]> =>
  page.evaluate(
    (taken, most) => {
      const { stocktaking } = window as unknown as { stocktaking: Stocktaking };
      const site = document.querySelector<HTMLIFrameElement>('#taken')?.contentDocument as Document;
      const elements = stocktaking.textElementsOf(site);
      const OTHER: Record<string, string> = {
        color: 'rgb(1, 2, 3)',
        'font-size': '77.5px',
        'font-family': 'Sentinel',
        'font-weight': '123',
        'font-style': 'oblique 13deg',
        'line-height': '77.5px',
        'letter-spacing': '7.5px',
        'text-transform': 'lowercase',
      };
      const plain = (text: string) => text.replace(/\s+/g, '').replace(/["']/g, '').toLowerCase();
      const rulesIn = (list: CSSRuleList): CSSStyleRule[] =>
        [...list].flatMap((rule) => [
          ...('selectorText' in rule ? [rule as CSSStyleRule] : []),
          ...('styleSheet' in rule && (rule as CSSImportRule).styleSheet
            ? rulesIn((rule as CSSImportRule).styleSheet?.cssRules as CSSRuleList)
            : []),
          ...('cssRules' in rule ? rulesIn((rule as CSSGroupingRule).cssRules) : []),
        ]);
      // An imported sheet is another once it has been changed.
      const all = () => [...site.styleSheets].flatMap((sheet) => rulesIn(sheet.cssRules));
      const places = taken.texts
        .flatMap((text) =>
          Object.entries(taken.provenances[text.wide.provenances] ?? {}).map(
            ([property, origin]) => ({
              text,
              property,
              source: taken.sources[origin.source],
            }),
          ),
        )
        .filter(({ source }) => source?.by === 'rule');
      // Every so many of them, so that all parts of the page are tried.
      const step = Math.max(1, Math.floor(places.length / most));
      const tried: Tried[] = [];
      for (let i = 0; i < places.length && tried.length < most; i += step) {
        const place = places[i];
        const node = place && elements[place.text.element];
        if (!place || !node || place.source?.by !== 'rule') continue;
        const { property, source } = place;
        const last = (selector: string) => plain(selector).replace(/^.*[\s>+~]/, '');
        const blocks = all().filter(
          ({ style, selectorText }) =>
            // A shorthand with a named value in it has no longhands of its own yet.
            (style.getPropertyValue(property) !== '' || style.getPropertyValue('font') !== '') &&
            // What is nested is reported whole, and stands in its rule by its own part.
            (plain(selectorText).includes(plain(source.selector)) ||
              plain(source.selector).endsWith(last(selectorText).replace('&', ''))),
        );
        const value = () => site.defaultView?.getComputedStyle(node).getPropertyValue(property);
        const follows = blocks.some(({ style }) => {
          const text = style.cssText;
          style.setProperty(property, OTHER[property] ?? '', style.getPropertyPriority(property));
          const now = value();
          style.cssText = text;
          value();
          return now === OTHER[property];
        });
        tried.push({
          what: `${property} of “${place.text.words}” by ${source.selector}`,
          found: blocks.length > 0,
          follows,
        });
      }
      return tried;
    },
    stock,
    wanted,
  );

test('the rule that is named is the one that decides, on 200 values of texts', async () => {
  const tried: Tried[] = [];
  for (const files of Object.values(ALL)) {
    const stock = await takeStock(await look(files()));
    tried.push(...(await trySources(stock, 24)));
  }
  expect(tried.filter(({ found, follows }) => !found || !follows)).toEqual([]);
  expect(tried.length).toBeGreaterThanOrEqual(200);
}, 240_000);

test('no more than what Chromium sets a text in is told as its face', async () => {
  const stock = await takeStock(await look(WRITTEN['a long read in two scripts']?.() ?? {}));
  const shown = (words: string) => {
    const number = stock.texts.findIndex((text) => text.words.startsWith(words));
    return lookOf(stock, number, 'wide').face;
  };
  expect(shown('The glass fell')).toBe('Literata');
  expect(shown('Κύμα')).toBe('Literata');
  // Its file never comes.
  expect(shown('The moon’s share')).toBe('sans-serif');
  expect(shown('GET /tides')).toBe('monospace');
  expect(stock.pages[0]?.faces.map(({ family, state }) => `${family} ${state}`).sort()).toEqual([
    'Literata loaded',
    'Literata loaded',
    'Literata loaded',
    'Lora unloaded',
    'Onest failed',
  ]);
  expect(stock.texts.some(({ words }) => words === 'Not shown.')).toBe(false);
}, 60_000);

test('forty odd sizes fold into nine steps, within a px for 95 of 100 characters', async () => {
  served = fortyOddSizes();
  const looked = await look(served);
  const stock = await takeStock(looked);
  expect(new Set(stock.looks.map(({ size }) => size)).size).toBe(40);
  const { steps, near } = await page.evaluate((taken) => {
    const { stocktaking } = window as unknown as { stocktaking: Folding };
    const site = document.querySelector<HTMLIFrameElement>('#taken')?.contentDocument as Document;
    const view = stocktaking.siteView(taken, [site]);
    const fold = stocktaking.foldStock(taken, view, { case: {}, scale: {}, voices: {} });
    const { small, large, down, up, overrides, rounding } = fold.scale.scale;
    const round = { none: 0, half: 0.5, whole: 1, even: 2 }[rounding];
    const at = (end: 'small' | 'large', n: number): number => {
      const { base, ratio } = { small, large }[end];
      const size = base * ratio ** n;
      return overrides[String(n)]?.[end] ?? (round ? Math.round(size / round) * round : size);
    };
    let [all, within] = [0, 0];
    for (const text of taken.texts) {
      const size = {
        small: taken.looks[text.narrow.look]?.size ?? 0,
        large: taken.looks[text.wide.look]?.size ?? 0,
      };
      const n = fold.scale.stepOf(size);
      all += text.characters;
      const off = Math.max(
        Math.abs(at('small', n) - size.small),
        Math.abs(at('large', n) - size.large),
      );
      if (off <= 1) within += text.characters;
    }
    return { steps: down + up + 1, near: within / all };
  }, stock);
  expect(steps).toBeLessThanOrEqual(9);
  expect(near).toBeGreaterThanOrEqual(0.95);
}, 60_000);

interface Folding extends Stocktaking {
  foldStock(
    stock: Stock,
    view: object,
    document: object,
  ): {
    scale: {
      scale: {
        small: { base: number; ratio: number };
        large: { base: number; ratio: number };
        down: number;
        up: number;
        rounding: 'none' | 'half' | 'whole' | 'even';
        overrides: Record<string, { small?: number; large?: number }>;
      };
      stepOf(size: { small: number; large: number }): number;
    };
  };
}

test('a page that Lettera’s own bundle has set gives back the scale, the voices and the styles', async () => {
  const bundle = unzipSync(
    new Uint8Array(await (await fetch(`${api()}/bundle.zip`)).arrayBuffer()),
  );
  const { document } = (await (await fetch(api())).json()) as { document: ProjectDocument };
  const stock = await takeStock(
    await look({
      'index.html': BARE_PAGE,
      ...Object.fromEntries(
        Object.entries(bundle)
          .filter(([path]) => /^fonts\/|^lettera\.css$/.test(path))
          .map(([path, file]) => [path, Buffer.from(file)]),
      ),
    }),
  );
  const folded = await page.evaluate(
    (taken, project) => {
      const { stocktaking } = window as unknown as { stocktaking: FoldingWhole };
      const site = window.document.querySelector<HTMLIFrameElement>('#taken')
        ?.contentDocument as Document;
      const fold = stocktaking.foldStock(taken, stocktaking.siteView(taken, [site]), project);
      const after = stocktaking.previewOf(project, stocktaking.foldPatch(project, fold));
      return {
        after,
        moves: after && stocktaking.movesOf(taken, fold, after),
        unfolded: fold.styles.unfolded,
        texts: fold.styles.elements.map(({ element, texts }) => ({
          style: element.style,
          selectors: element.selectors,
          texts: texts.map((number) => taken.texts[number]?.tag),
        })),
      };
    },
    stock,
    document,
  );
  const { after } = folded;
  if (!after) throw new Error('The project does not take the fold');
  expect(folded.unfolded).toEqual([]);
  expect(folded.moves).toMatchObject({ texts: 0, weight: 0 });
  for (const end of ['small', 'large'] as const) {
    expect(after.scale[end].base).toBeCloseTo(document.scale[end].base, 2);
    expect(after.scale[end].ratio).toBeCloseTo(document.scale[end].ratio, 3);
    expect(after.scale[end].width).toBe(document.scale[end].width);
  }
  expect(after.scale.overrides).toEqual(document.scale.overrides);
  // Each voice has the family that it had.
  const familyOf = (of: ProjectDocument, voice: string) => of.voices[voice]?.family;
  expect(familyOf(after, 'text')).toBe(familyOf(document, 'text'));
  expect(familyOf(after, 'heading')).toBe(familyOf(document, 'heading'));
  // Each element comes to what its style comes to in the project.
  const wanted: Record<string, string> = {
    h1: 'heading-1',
    h2: 'heading-2',
    '.lead': 'lead',
    figcaption: 'caption',
    th: 'table-heading',
    label: 'label',
    button: 'control',
  };
  for (const [selector, style] of Object.entries(wanted)) {
    const found = Object.values(after.elements).find(({ selectors }) =>
      selectors.some((one) => one === selector || one.split(' ').at(-1) === selector),
    );
    const [now, before] = [resolveInUse(after, found?.style ?? ''), resolveInUse(document, style)];
    expect({
      selector,
      step: now.step.value,
      weight: now.weight.value,
      slant: now.slant.value,
      case: now.case.value,
      lineHeight: Number(now.lineHeight.value.toFixed(2)),
      spacing: Number(now.letterSpacing.value.toFixed(3)),
    }).toEqual({
      selector,
      step: before.step.value,
      weight: before.weight.value,
      slant: before.slant.value,
      case: before.case.value,
      lineHeight: Number(before.lineHeight.value.toFixed(2)),
      spacing: Number(before.letterSpacing.value.toFixed(3)),
    });
  }
}, 60_000);

interface FoldingWhole extends Stocktaking {
  foldStock(stock: Stock, view: object, document: ProjectDocument): Fold;
  foldPatch(document: ProjectDocument, fold: Fold): Patch;
  movesOf(stock: Stock, fold: Fold, folded: ProjectDocument): Moves;
  previewOf(document: ProjectDocument, patch: Patch): ProjectDocument | null;
}

interface Reading {
  html: string;
  sheets: { css: string }[];
  faces: { family: string; status: string }[];
  views: { width: number; texts: { words: string; family: string; size: number }[] }[];
}

/** Runs the reader on a page as its own server serves it, at two widths, and gives the file that it offers last. */
async function readLive(path: string): Promise<Reading> {
  const script = await (await fetch(`${lettera.url}/reader.js`)).text();
  const visit = await browser.newPage();
  const asked: string[] = [];
  try {
    await visit.setViewport({ width: 360, height: 800 });
    await visit.goto(address() + path);
    await visit.evaluate(() => {
      const offered: Blob[] = [];
      const create = URL.createObjectURL.bind(URL);
      URL.createObjectURL = (blob: Blob) => {
        offered.push(blob);
        return create(blob);
      };
      Object.assign(window, { offered });
      const field = document.createElement('div');
      field.innerHTML =
        '<input value="a secret"><textarea>another secret</textarea><p style="display:none">a hidden secret</p>';
      document.body.append(field);
      field.querySelector('input')?.setAttribute('value', 'a typed secret');
    });
    visit.on('request', (request) => {
      // The browser looks for a picture of the site by itself, at a time of its own.
      const isOwn = /^blob:|\/favicon\.ico$/.test(request.url());
      if (!isOwn) asked.push(request.url());
    });
    await visit.evaluate(script);
    await visit.setViewport({ width: 1280, height: 800 });
    await visit.evaluate(script);
    const text = await visit.evaluate(() =>
      (window as unknown as { offered: Blob[] }).offered.at(-1)?.text(),
    );
    expect(asked).toEqual([]);
    return JSON.parse(text ?? '') as Reading;
  } finally {
    await visit.close();
  }
}

test.each(['in px', 'fluid, with containers', 'a long read in two scripts', 'on a framework'])(
  'the reader gives the page as it is, at each width that it was run at: %s',
  async (name) => {
    served = WRITTEN[name]?.() ?? {};
    const [path = ''] = Object.keys(served);
    const reading = await readLive(path);
    const ajv = new Ajv2020({ strict: false, validateFormats: false });
    const schema = JSON.parse(readFileSync('docs/reading.schema.json', 'utf8')) as object;
    ajv.validate(schema, reading);
    expect(ajv.errors ?? []).toEqual([]);
    expect(JSON.stringify(reading)).not.toMatch(/secret/);
    expect(reading.views.map(({ width }) => width)).toEqual([360, 1280]);

    const stock = await takeStock(
      await look({ 'live.reading.json': JSON.stringify(reading) }),
      reading,
    );
    expect([stock.pages[0]?.narrow, stock.pages[0]?.wide]).toEqual([360, 1280]);
    for (const [end, view] of [
      ['narrow', reading.views[0]],
      ['wide', reading.views[1]],
    ] as const) {
      // What the live page shows at one width alone is reported at that one.
      const texts = new Map(view?.texts.map((text) => [text.words, text]));
      const differing = stock.texts.flatMap((text, number) => {
        const live = texts.get(text.words);
        const {
          stack: _stack,
          ground: _ground,
          slant: _slant,
          ...now
        } = {
          ...lookOf(stock, number, end),
          measure: text[end].measure,
        };
        const {
          words,
          family: _family,
          style: _style,
          ...wanted
        } = (live ?? {}) as Record<string, unknown>;
        return live && JSON.stringify(now) !== JSON.stringify({ ...now, ...wanted })
          ? [{ words, now, wanted }]
          : [];
      });
      expect(differing).toEqual([]);
      expect(stock.texts.filter(({ words }) => texts.has(words)).length).toBeGreaterThan(5);
    }
    // Without a browser the same is told of every text, and the same decides it.
    const file = { path: 'live.reading.json', bytes: Buffer.from(JSON.stringify(reading)) };
    const bare = stockOfReadings(
      pagesAsRead(readSite(siteFilesIn([file]), '/files/')),
      stock.made,
    ).stock;
    expect(bare.texts.map(({ tag, words, within }) => [tag, words, within])).toEqual(
      stock.texts.map(({ tag, words, within }) => [tag, words, within]),
    );
    const askedContainers = name === 'fluid, with containers';
    bare.texts.forEach((text, number) => {
      const same = stock.texts[number] as StockText;
      for (const end of ['narrow', 'wide'] as const) {
        const { ground: _ground, ...look } = lookOf(bare, number, end);
        const { ground: _same, ...wanted } = lookOf(stock, number, end);
        const alone = reading.views.filter(({ texts }) =>
          texts.some(({ words }) => words === text.words),
        );
        // A text that is seen at one width alone is told as it is there.
        if (alone.length === 2)
          expect({ words: text.words, ...look }).toEqual({ words: text.words, ...wanted });
        if (askedContainers) continue;
        for (const property of STOCK_PROPERTIES) {
          expect([text.words, property, provenanceAt(bare, text, end, property)]).toEqual([
            text.words,
            property,
            provenanceAt(stock, same, end, property),
          ]);
        }
      }
    });
    expect([stock.pages[0]?.live, bare.pages[0]?.live]).toEqual([true, true]);
    // Its faces are those of the live page, whose files stay there.
    expect(stock.pages[0]?.faces.map(({ family, state }) => [family, state])).toEqual(
      reading.faces.map(({ family, status }) => [
        family,
        { loaded: 'loaded', error: 'failed' }[status] ?? 'unloaded',
      ]),
    );
  },
  120_000,
);
