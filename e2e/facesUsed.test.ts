import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { build } from 'esbuild';
import type { Browser, Frame, HTTPRequest, Page } from 'puppeteer-core';
import {
  eventually,
  fallbacksFitted,
  launchBrowser,
  newPage,
  press,
  proofFrame,
  aboutPage,
} from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { bringFrameworkPages } from './sites/frameworks';

/** The face that is told of each text, held to Chromium's own account of it. */

let lettera: RunningLettera;
let browser: Browser;
let finder: string;
beforeAll(async () => {
  const bundled = await build({
    stdin: {
      contents: `export * from './web/reader/faceUsed'; export { familiesIn } from './core/css';`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    format: 'iife',
    globalName: 'faces',
    write: false,
  });
  finder = bundled.outputFiles[0]?.text ?? '';
  lettera = await startLettera();
  browser = await launchBrowser();
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

interface Told {
  words: string;
  /**
   * Names in the stack that set letters of the text, how many letters, and where the page has faces of that name the
   * number of a specimen that is set in them alone: they may be files, or fonts of the machine under a name of the page's.
   */
  families: [family: string | null, letters: number, specimen: number | null][];
  /** Texts that stand in it: Chromium tells of an element with all that is in it. */
  inside: number[];
}

/** Numbers every element of the page that holds text, and tells what the finder says of each. */
function tellAll(): Told[] {
  interface Faces {
    familiesIn(stack: string): string[];
    LetterFinder: new (page: Document) => {
      lettersBy(text: string, stack: string[], style: string): Map<string | null, string>;
    };
  }
  const { faces } = window as unknown as { faces: Faces };
  const page = document.querySelector<HTMLIFrameElement>('section.proof iframe')
    ?.contentDocument as Document;
  const found = new faces.LetterFinder(page);
  const ofPage = new Set([...page.fonts].map(({ family }) => family.replaceAll('"', '')));
  const all: Told[] = [];
  const specimens = new Map<string, number>();
  /** The number of a specimen of letters in faces of the page alone; the same one for the same. */
  const specimenIn = (family: string, style: CSSStyleDeclaration, letters: string): number => {
    const name = [family, style.fontStyle, style.fontWeight, letters].join('|');
    const made = specimens.get(name);
    if (made !== undefined) return made;
    const specimen = page.createElement('span');
    specimen.style.cssText = `font: ${style.fontStyle} ${style.fontWeight} 16px "${family}"`;
    specimen.textContent = letters;
    specimen.setAttribute('data-specimen', String(specimens.size));
    page.documentElement.append(specimen);
    specimens.set(name, specimens.size);
    return specimens.size - 1;
  };
  for (const node of page.body.querySelectorAll('*')) {
    const text = [...node.childNodes]
      .map((child) => (child.nodeType === 3 ? (child.nodeValue ?? '') : ''))
      .join('');
    if (!text.trim() || node.matches('option, textarea, script, style')) continue;
    const style = page.defaultView?.getComputedStyle(node);
    if (!style || node.getClientRects().length === 0) continue;
    // What is shown is what case makes of it.
    const shown = style.textTransform === 'uppercase' ? text.toUpperCase() : text;
    const by = found.lettersBy(
      shown,
      faces.familiesIn(style.fontFamily),
      `${style.fontStyle} ${style.fontWeight}`,
    );
    node.setAttribute('data-told', String(all.length));
    all.push({
      words: text.trim().slice(0, 40),
      families: [...by].map(([family, letters]) => [
        family,
        [...shown].filter((letter) => letters.includes(letter)).length,
        family !== null && ofPage.has(family) ? specimenIn(family, style, letters) : null,
      ]),
      inside: [],
    });
  }
  for (const node of page.querySelectorAll('[data-told]')) {
    const told = all[Number(node.getAttribute('data-told'))];
    told?.inside.push(
      ...[...node.querySelectorAll('[data-told]')].map((one) =>
        Number(one.getAttribute('data-told')),
      ),
    );
  }
  return all;
}

/** Glyphs from fonts of the page, and from fonts of the machine. */
interface Shown {
  own: number;
  machine: number;
  names: string[];
}

/** What Chromium says of each text, and of each specimen. */
async function platformFonts(page: Page): Promise<{ texts: Shown[]; specimens: Shown[] }> {
  const session = await page.createCDPSession();
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const { root } = await session.send('DOM.getDocument', { depth: -1, pierce: true });
  type DomNode = typeof root;
  const nodes: DomNode[] = [];
  const walk = (node: DomNode): void => {
    nodes.push(node);
    for (const child of node.children ?? []) walk(child);
    if (node.contentDocument) walk(node.contentDocument);
  };
  walk(root);
  const shownIn = async (attribute: string): Promise<Shown[]> => {
    const all: Shown[] = [];
    for (const { attributes = [], nodeId } of nodes) {
      const at = attributes.indexOf(attribute);
      if (at < 0) continue;
      const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId });
      const count = (custom: boolean) =>
        fonts
          .filter(({ isCustomFont }) => isCustomFont === custom)
          .reduce((sum, { glyphCount }) => sum + glyphCount, 0);
      all[Number(attributes[at + 1])] = {
        own: count(true),
        machine: count(false),
        names: fonts.map(({ familyName }) => familyName),
      };
    }
    return all;
  };
  const shown = { texts: await shownIn('data-told'), specimens: await shownIn('data-specimen') };
  await session.detach();
  return shown;
}

const PAGES = ['Home', 'Log entry', 'Tide tables', 'Stay with us', 'Every kind of text'];

/** Where what is told of the page shown is not what Chromium says, and how many texts there are. */
async function disagreements(page: Page) {
  await page.evaluate(finder);
  const told = await page.evaluate(tellAll);
  const { texts: fontsOf, specimens } = await platformFonts(page);
  const wrong = told.flatMap(({ words, families: ofText, inside }, i) => {
    const shown = fontsOf[i];
    if (!shown) return [];
    const families = [...ofText, ...inside.flatMap((at) => told[at]?.families ?? [])];
    const lettersOf = (ofMachine: boolean) =>
      families
        .filter(([, , at]) => ofMachine === (at === null || specimens[at]?.own === 0))
        .reduce((sum, [, letters]) => sum + letters, 0);
    const [machine, own] = [lettersOf(true), lettersOf(false)];
    // Spaces are letters of the first font, and letters that are joined are one glyph.
    const agrees =
      own > 0 === shown.own > 0 &&
      (machine > 0 ? shown.machine > 0 : shown.machine === 0 || own === 0);
    return agrees ? [] : [`“${words}” ${JSON.stringify(families)} but ${JSON.stringify(shown)}`];
  });
  const own = fontsOf.filter((fonts) => (fonts?.own ?? 0) > 0).length;
  const inFallback = told.filter(({ families }) =>
    families.some(([family]) => family?.includes(' for ')),
  ).length;
  return { texts: told.length, wrong, own, inFallback };
}

/** Waits until faces of the page are there, as far as they ever will be: all, or those of such a name. */
async function facesIn(page: Page, frame: Frame, named = ''): Promise<void> {
  await fallbacksFitted(page);
  await frame.evaluate(async (name) => {
    const wanted = () => [...document.fonts].filter(({ family }) => family.includes(name));
    let loaded: FontFace[] = [];
    while (wanted().some((face) => !loaded.includes(face))) {
      loaded = wanted();
      await Promise.allSettled(loaded.map((face) => face.load()));
    }
  }, named);
}

/** Hashes of the files of a family of the sample. */
async function filesOf(family: string): Promise<string[]> {
  const { document } = (await (await fetch(project())).json()) as {
    document: { case: Record<string, { faces: { files: { sha256: string }[] }[] }> };
  };
  return (document.case[family]?.faces ?? []).flatMap(({ files }) =>
    files.map(({ sha256 }) => sha256),
  );
}
const project = () => `${lettera.url}/api/v1/projects/tarnholm-light`;

test.each<[string, boolean, 'Web faces' | 'Fallback faces']>([
  ['as they are', false, 'Web faces'],
  ['without the web faces', false, 'Fallback faces'],
  ['where one family is blocked', true, 'Web faces'],
])('every text of the sample, %s, is set in what is told of it', async (_name, blocked, fonts) => {
  const { page } = await newPage(browser);
  if (blocked) {
    // The files of the text face never come.
    const hashes = await filesOf('literata');
    await page.setRequestInterception(true);
    page.on('request', (request) => {
      if (hashes.some((sha256) => request.url().includes(sha256))) void request.abort();
      else void request.continue();
    });
  }
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  await proofFrame(page, { asItIs: true });
  await press(page, fonts, 'section.proof [aria-label="Faces"]');
  const wrong: string[] = [];
  let texts = 0;
  await aboutPage(page);
  for (const title of PAGES) {
    if (title !== 'Home') {
      await page.locator('section.proof [aria-label="Page"]').click();
      await page.locator(`[role="listbox"] ::-p-aria(${title}[role="option"])`).click();
    }
    await facesIn(page, await proofFrame(page, { asItIs: true }));
    const found = await disagreements(page);
    texts += found.texts;
    wrong.push(...found.wrong.map((one) => `${title}: ${one}`));
  }
  expect(texts).toBeGreaterThan(250);
  expect(wrong).toEqual([]);
  await page.close();
});

test('every text of a page is told in its fallback while faces are late, and in them once they are there', async () => {
  const { page } = await newPage(browser);
  const hashes = [...(await filesOf('literata')), ...(await filesOf('bricolage-grotesque'))];
  expect(hashes.length).toBeGreaterThan(2);
  const late: HTTPRequest[] = [];
  let there = false;
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    if (!there && hashes.some((sha256) => request.url().includes(sha256))) late.push(request);
    else void request.continue();
  });
  await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
  const element = await page.waitForSelector('section.proof iframe.ready');
  const frame = (await element?.contentFrame()) as Frame;
  await eventually(
    () => Promise.resolve(late.length),
    (asked) => asked > 0,
  );
  await facesIn(page, frame, ' for ');
  const before = await disagreements(page);
  there = true;
  for (const request of late) void request.continue();
  await facesIn(page, frame);
  const after = await disagreements(page);
  expect([before.wrong, after.wrong]).toEqual([[], []]);
  expect(before.inFallback).toBeGreaterThan(20);
  expect(after.inFallback).toBe(0);
  await page.close();
});

test('every text of ten pages of the site’s own is set in what is told of it', async () => {
  const [file = ''] = await filesOf('literata');
  const font = await (await fetch(`${project()}/fonts/${file}`)).blob();
  // A face of the page's own, one whose file is no font, and one that has not come along.
  const css = `
    @font-face { font-family: "Lamp Room"; src: url(own.woff2); }
    @font-face { font-family: Broken; src: url(broken.woff2); }
    @font-face { font-family: Missing; src: url(missing.woff2); }
    h1 { font-family: "Lamp Room", serif }
    h2 { font-family: Broken, "Lamp Room", serif }
    li { font-family: Missing, "Not There", sans-serif }
  `;
  const pages = await bringFrameworkPages(project(), css, {
    'own.woff2': font,
    'broken.woff2': new Blob(['no font at all']),
  });
  const { page } = await newPage(browser);
  const wrong: string[] = [];
  let [texts, own] = [0, 0];
  for (const { title, slug } of pages) {
    await page.goto(`${lettera.url}/p/tarnholm-light/scale?page=${slug}`);
    await page.waitForSelector(`section.proof iframe.ready[src*="/${slug}"]`);
    await facesIn(page, await proofFrame(page, { asItIs: true }));
    const found = await disagreements(page);
    texts += found.texts;
    own += found.own;
    wrong.push(...found.wrong.map((one) => `${title}: ${one}`));
  }
  expect(texts).toBeGreaterThan(400);
  expect(own).toBeGreaterThan(100);
  expect(wrong).toEqual([]);
  await page.close();
});
