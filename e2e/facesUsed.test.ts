import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { build } from 'esbuild';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser, newPage, press, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';

/** The face that is told of each text, held to Chromium's own account of it. */

let lettera: RunningLettera;
let browser: Browser;
let finder: string;
beforeAll(async () => {
  const bundled = await build({
    entryPoints: ['web/proof/panel/faceUsed.ts'],
    bundle: true,
    format: 'iife',
    globalName: 'faces',
    write: false,
  });
  finder = bundled.outputFiles[0]?.text ?? '';
  lettera = await startLettera();
  browser = await launchBrowser();
}, 120_000);
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

interface Told {
  words: string;
  /** Names in the stack that set letters of the text, and how many letters each. */
  families: [family: string | null, letters: number][];
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
  const all: Told[] = [];
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

/** What Chromium says of each: glyphs from fonts of the page, and from fonts of the machine. */
async function platformFonts(
  page: Page,
): Promise<{ own: number; machine: number; names: string[] }[]> {
  const session = await page.createCDPSession();
  await session.send('DOM.enable');
  await session.send('CSS.enable');
  const { root } = await session.send('DOM.getDocument', { depth: -1, pierce: true });
  type DomNode = typeof root;
  const numbered = new Map<number, number>();
  const walk = (node: DomNode): void => {
    const { attributes = [], children = [], contentDocument, nodeId } = node;
    const at = attributes.indexOf('data-told');
    if (at >= 0) numbered.set(Number(attributes[at + 1]), nodeId);
    for (const child of children) walk(child);
    if (contentDocument) walk(contentDocument);
  };
  walk(root);
  const all: { own: number; machine: number; names: string[] }[] = [];
  for (const [number, nodeId] of [...numbered].sort(([a], [b]) => a - b)) {
    const { fonts } = await session.send('CSS.getPlatformFontsForNode', { nodeId });
    const count = (custom: boolean) =>
      fonts
        .filter(({ isCustomFont }) => isCustomFont === custom)
        .reduce((sum, { glyphCount }) => sum + glyphCount, 0);
    all[number] = {
      own: count(true),
      machine: count(false),
      names: fonts.map(({ familyName }) => familyName),
    };
  }
  await session.detach();
  return all;
}

const PAGES = ['Home', 'Log entry', 'Tide tables', 'Stay with us', 'Every kind of text'];

test.each<[string, boolean, 'Web' | 'Fallback']>([
  ['as they are', false, 'Web'],
  ['without the web faces', false, 'Fallback'],
  ['where one family is blocked', true, 'Web'],
])(
  'every text of the sample, %s, is set in what is told of it',
  async (_name, blocked, fonts) => {
    const { page } = await newPage(browser);
    if (blocked) {
      // The files of the text face never come.
      const { document } = (await (
        await fetch(`${lettera.url}/api/v1/projects/tarnholm-light`)
      ).json()) as {
        document: { case: Record<string, { faces: { files: { sha256: string }[] }[] }> };
      };
      const hashes = (document.case['literata']?.faces ?? []).flatMap(({ files }) =>
        files.map(({ sha256 }) => sha256),
      );
      await page.setRequestInterception(true);
      page.on('request', (request) => {
        if (hashes.some((sha256) => request.url().includes(sha256))) void request.abort();
        else void request.continue();
      });
    }
    await page.goto(`${lettera.url}/p/tarnholm-light/scale`);
    await proofFrame(page, { asItIs: true });
    await press(page, fonts, 'section.proof [aria-label="Fonts"]');
    const wrong: string[] = [];
    let texts = 0;
    await press(page, 'This page');
    for (const title of PAGES) {
      if (title !== 'Home') {
        await page.locator('section.proof [aria-label="Page"]').click();
        await page.locator(`[role="listbox"] ::-p-aria(${title}[role="option"])`).click();
      }
      const frame = await proofFrame(page, { asItIs: true });
      await frame.evaluate(async () => {
        await Promise.allSettled([...document.fonts].map((face) => face.load()));
      });
      await page.evaluate(finder);
      const told = await page.evaluate(tellAll);
      const fontsOf = await platformFonts(page);
      texts += told.length;
      told.forEach(({ words, families: ofText, inside }, i) => {
        const shown = fontsOf[i];
        if (!shown) return;
        const families = [...ofText, ...inside.flatMap((at) => told[at]?.families ?? [])];
        const generic = /^(serif|sans-serif|monospace|system-ui)$/;
        const machine = families
          .filter(([family]) => family === null || generic.test(family))
          .reduce((sum, [, letters]) => sum + letters, 0);
        const own = families
          .filter(([family]) => family !== null && !generic.test(family))
          .reduce((sum, [, letters]) => sum + letters, 0);
        // Spaces are letters of the first font, and letters that are joined are one glyph.
        const agrees =
          own > 0 === shown.own > 0 &&
          (machine > 0 ? shown.machine > 0 : shown.machine === 0 || own === 0);
        if (!agrees) {
          wrong.push(
            `${title}: “${words}” ${JSON.stringify(families)} but ${JSON.stringify(shown)}`,
          );
        }
      });
    }
    expect(texts).toBeGreaterThan(250);
    expect(wrong).toEqual([]);
    await page.close();
  },
  120_000,
);
