import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import { stylesheet } from '@lettera/core/deliver';
import type { ChangedTexts, LostContrast } from '@lettera/core/deliver/trying';
import type { ProjectDocument } from '@lettera/core/document';
import { build } from 'esbuild';
import type { Browser, Page } from 'puppeteer-core';
import { plansOf, seatedDocument } from '../core/testing/documents';
import { launchBrowser, newPage } from './browser';
import { COMPONENTS, componentPage } from './sites/components';

/** What is delivered changes what the project decided, on pages of the components of frameworks, and nothing else. */

let browser: Browser;
let page: Page;
let reader: string;
beforeAll(async () => {
  const bundled = await build({
    stdin: {
      contents: `export { elementsRead, readComputed } from './web/reader/computedTexts'; export * from './web/reader/forcedStates'; export { holdStill } from './web/reader/stockReader'; export { ownText } from './web/reader/domTree'; export { changedTexts } from './core/deliver/trying'; export { keepColours } from './web/reader/keepColours';`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    format: 'iife',
    globalName: 'reader',
    write: false,
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
  });
  reader = bundled.outputFiles[0]?.text ?? '';
  browser = await launchBrowser();
  ({ page } = await newPage(browser));
});
afterAll(() => browser?.close());

type Delivered = Pick<ProjectDocument['delivery'], 'layer' | 'linked' | 'weight'>;
const SETTINGS: readonly (readonly [how: string, delivery: Delivered])[] = [
  ['in a layer before all', { layer: 'lettera', linked: 'before', weight: 'none' }],
  ['outside a layer, before', { layer: null, linked: 'before', weight: 'own' }],
  ['after, as heavy as their selectors', { layer: null, linked: 'after', weight: 'own' }],
  ['after, over classes', { layer: null, linked: 'after', weight: 'over' }],
];

/** A project whose styles leave colours open but for running text and headings. */
const projectWith = (delivery: Delivered): ProjectDocument =>
  applyChange(seatedDocument(), [
    ...Object.entries(delivery).map(([key, value]) => ({
      op: 'add' as const,
      path: `/delivery/${key}`,
      value,
    })),
  ]).document;

interface Found {
  texts: number;
  states: string[];
  changed: { where: string; decided: number; besides: string[]; lost: string[] }[];
  /** Texts whose colour the site sets itself, claimed by nothing that says one, that have another afterwards. */
  recoloured: string[];
  /** Where the site's own colours would have to stay, as far as it was read. */
  keep: { keepColoursOn: string[]; keepDarkColours: boolean };
}

/** Runs in the page: reads it without what is delivered and with it, at rest and in each state. */
async function readBoth(document_: unknown, grounds: string): Promise<Found> {
  interface Reader {
    elementsRead(page: Document): Element[];
    readComputed(of: unknown, nodes: Element[], stopped: () => boolean): Promise<ReadType[]>;
    makeForceable(page: Document): Set<string>;
    forceState(page: Document, state: string | null): void;
    claimingMarked(of: unknown): unknown;
    turnDark(page: Document): () => void;
    holdStill(page: Document): void;
    ownText(node: Element): string;
    keepColours(
      of: unknown,
      read: { nodes: Element[]; read: ReadType[] },
      light: LostContrast[],
      dark: LostContrast[],
    ): Found['keep'];
    changedTexts(of: unknown, before: ReadType[], after: ReadType[]): ChangedTexts;
  }
  interface ReadType {
    around: number | null;
    claims: string[];
    isText: boolean;
    colour: string;
  }
  const { reader } = window as unknown as { reader: Reader };
  reader.holdStill(document);
  const states = [...reader.makeForceable(document)];
  const nodes = reader.elementsRead(document);
  const delivered = (document.querySelector('#delivered') as HTMLStyleElement).sheet;
  const project = reader.claimingMarked(document_) as {
    elements: Record<string, { style: string }>;
    styles: Record<string, { follows: string | null; set: { colour?: string } }>;
  };
  const named = (number: number) => {
    const node = nodes[number] as Element;
    return `${node.tagName.toLowerCase()}.${node.className} “${reader.ownText(node).slice(0, 20)}”`;
  };
  const saysColour = (element: string): boolean => {
    for (let key = project.elements[element]?.style ?? null; key;) {
      if (project.styles[key]?.set.colour !== undefined) return true;
      key = project.styles[key]?.follows ?? null;
    }
    return false;
  };
  const turnBack = grounds === 'dark' ? reader.turnDark(document) : () => {};
  const changed: Found['changed'] = [];
  const recoloured: string[] = [];
  let texts = 0;
  const kept = window as unknown as { lostInLight?: LostContrast[] };
  const lost: LostContrast[] = [];
  for (const state of [null, ...states]) {
    const read = async (on: boolean) => {
      if (delivered) delivered.disabled = !on;
      reader.forceState(document, state);
      return reader.readComputed(project, nodes, () => false);
    };
    const [before, after] = [await read(false), await read(true)];
    const now = reader.changedTexts(project, before, after);
    texts = after.filter(({ isText }) => isText).length;
    lost.push(...now.lost);
    changed.push({
      where: `${grounds} ${state ?? 'at rest'}`,
      decided: now.decided.length,
      besides: now.besides.map(
        (one) =>
          `${one.property} ${one.before} → ${one.after}: ${one.texts.slice(0, 4).map(named).join('; ')}`,
      ),
      lost: now.lost.map(
        (one) =>
          `${one.before.toFixed(2)} → ${one.after.toFixed(2)}: ${one.texts.slice(0, 4).map(named).join('; ')}`,
      ),
    });
    after.forEach((now, i) => {
      const was = before[i];
      const around = was?.around === null ? undefined : before[was?.around ?? -1];
      // What is mixed from the colour around goes with that.
      const isOwn = was && around && was.colour !== around.colour && !was.colour.includes('/');
      if (isOwn && now.colour !== was.colour && !now.claims.some(saysColour)) {
        recoloured.push(`${grounds} ${state ?? 'at rest'}: ${named(i)}`);
      }
    });
  }
  reader.forceState(document, null);
  turnBack();
  if (grounds === 'light') kept.lostInLight = lost;
  const inDark = grounds === 'dark' ? lost : [];
  const read = await reader.readComputed(project, nodes, () => false);
  const keep = reader.keepColours(project, { nodes, read }, kept.lostInLight ?? [], inDark);
  return { texts, states, changed, recoloured, keep };
}

/** What is delivered for a project on a page of components, read on both grounds. */
async function readAll(name: string, project: ProjectDocument, more = ''): Promise<Found> {
  const css = stylesheet(project, plansOf(project)) + more;
  await page.setContent(componentPage(name, { css, linked: project.delivery.linked ?? 'before' }));
  await page.evaluate(reader);
  const read = async (ground: string) => {
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: ground }]);
    return page.evaluate(readBoth, project, ground);
  };
  const [light, dark] = [await read('light'), await read('dark')];
  return {
    ...dark,
    changed: [...light.changed, ...dark.changed],
    recoloured: [...light.recoloured, ...dark.recoloured],
  };
}

const lostIn = ({ changed }: Found) =>
  changed.flatMap(({ where, lost }) => lost.map((one) => `${where}: ${one}`));
const besidesIn = ({ changed }: Found) =>
  changed.flatMap(({ where, besides }) => besides.map((one) => `${where}: ${one}`));

describe.each(Object.keys(COMPONENTS))('on the components of %s', (name) => {
  test.each(SETTINGS)('%s, what was left open stays, and can be read', async (_how, delivery) => {
    const project = projectWith(delivery);
    const found = await readAll(name, project);
    expect(found.texts).toBeGreaterThan(50);
    expect(found.states).toContain('hover');
    for (const { where, decided } of found.changed)
      expect([where, decided > 0]).toEqual([where, true]);
    expect(found.recoloured).toEqual([]);
    expect(besidesIn(found)).toEqual([]);
    if (lostIn(found).length === 0) return;
    // Where the project's colours would be hard to read, the site's stay, on a click.
    const kept = applyChange(
      project,
      Object.entries(found.keep).map(([key, value]) => ({
        op: 'add' as const,
        path: `/delivery/${key}`,
        value,
      })),
    ).document;
    const again = await readAll(name, kept);
    expect(lostIn(again)).toEqual([]);
    expect(besidesIn(again)).toEqual([]);
    for (const { where, decided } of again.changed)
      expect([where, decided > 0]).toEqual([where, true]);
  });
});

test('a rule that hands colours on is found out', async () => {
  const project = projectWith({ layer: null, linked: 'after', weight: 'over' });
  const found = await readAll('bootstrap', project, '.btn.btn { color: inherit }');
  expect(found.recoloured).not.toEqual([]);
  expect(besidesIn(found).join()).toMatch(
    /colour rgb\(255, 255, 255\) → rgb\(22, 32, 42\): button\.btn btn-secondary/,
  );
});
