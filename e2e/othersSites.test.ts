import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { applyChange } from '@lettera/core/change';
import { styleProperty, stylesheet } from '@lettera/core/deliver';
import {
  demandsTogether,
  leastWeight,
  type ChangedTexts,
  type LostContrast,
} from '@lettera/core/deliver/trying';
import {
  PROPERTIES,
  PROPERTY_NAMES,
  type ProjectDocument,
  type TextElement,
} from '@lettera/core/document';
import { carries, resolveElement } from '@lettera/core/style';
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
      contents: `export { rulesOfPage } from './core/page/siteRules'; export { elementsRead, readComputed } from './web/reader/computedTexts'; export * from './web/reader/forcedStates'; export { holdStill } from './web/reader/stockReader'; export { ownText } from './web/reader/domTree'; export { changedTexts } from './core/deliver/trying'; export { keepColours } from './web/reader/keepColours'; export { demandsOn, demandsTogether, leastWeight } from './core/deliver/trying'; export { cascadeOf } from './web/proof/panel/pageCascade'; export { atOnce } from './core/page'; export { viewOf } from './web/reader/pageView'; export { elementsAt } from './core/style';`,
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
  const turnBack = grounds === 'dark' ? reader.turnDark(document) : () => undefined;
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

/** Frameworks without layers and with them, on which every way of delivery is tried; on the others the extremes. */
const TRIED_WHOLE = ['bootstrap', 'daisyui'];

describe.each(Object.keys(COMPONENTS))('on the components of %s', (name) => {
  test.each(SETTINGS.filter((_, i) => TRIED_WHOLE.includes(name) || i % 3 === 0))(
    '%s, what was left open stays, and can be read',
    async (_how, delivery) => {
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
    },
  );
});

test('a rule that hands colours on is found out', async () => {
  const project = projectWith({ layer: null, linked: 'after', weight: 'over' });
  const found = await readAll('bootstrap', project, '.btn.btn { color: inherit }');
  expect(found.recoloured).not.toEqual([]);
  expect(besidesIn(found).join()).toMatch(
    /colour rgb\(255, 255, 255\) → rgb\(22, 32, 42\): button\.btn btn-secondary/,
  );
});

/** Runs in the page: what the project's rules have to win over as it is laid out. */
function demandsHere(document_: unknown): unknown {
  interface Reader {
    rulesOfPage(sheets: { path: string; media: string }[], texts: Map<string, string>): unknown;
    cascadeOf(of: unknown, page: Document, rules: unknown, options: object): unknown;
    demandsOn(of: unknown, cascade: unknown, rules: unknown, view: unknown): unknown;
    viewOf(page: Document): unknown;
    atOnce(work: unknown): {
      demands: Map<string, unknown>;
      orders: Map<string, unknown>;
      isLayered: boolean;
    };
  }
  const { reader } = window as unknown as { reader: Reader };
  const own = [...document.querySelectorAll('style:not(#delivered)')];
  const texts = new Map(own.map((node, i) => [`${i}.css`, node.textContent ?? '']));
  const rules = reader.rulesOfPage(
    [...texts.keys()].map((path) => ({ path, media: '' })),
    texts,
  );
  const cascade = reader.atOnce(reader.cascadeOf(document_, document, rules, { keepsAll: true }));
  const { demands, orders, isLayered } = reader.atOnce(
    reader.demandsOn(document_, cascade, rules, reader.viewOf(document)),
  );
  return { demands: [...demands], orders: [...orders], isLayered };
}

/**
 * Runs in the page: texts that do not have what the strongest text element that claims them says. Each value is set
 * on the text itself, over all rules, and nothing may change by that.
 */
function otherwise(document_: unknown, styleSays: Record<string, [css: string, name: string][]>) {
  const { reader } = window as unknown as {
    reader: { elementsAt(of: unknown, node: Element): string[] };
  };
  const wrong: string[] = [];
  let tried = 0;
  for (const node of document.querySelectorAll<HTMLElement>('body, body *')) {
    const done = new Set<string>();
    for (const element of reader.elementsAt(document_, node)) {
      for (const [css, name] of styleSays[element] ?? []) {
        if (done.has(css)) continue;
        done.add(css);
        tried++;
        const value = () => getComputedStyle(node).getPropertyValue(css);
        const [before, style] = [value(), node.getAttribute('style')];
        node.style.setProperty(css, `var(${name})`, 'important');
        const now = value();
        if (style === null) node.removeAttribute('style');
        else node.setAttribute('style', style);
        if (now !== before)
          wrong.push(`${element} ${css} ${before} ≠ ${now}: ${node.tagName}.${node.className}`);
      }
    }
  }
  return { wrong, tried };
}

describe('the least weight that wins', () => {
  const saysOf = (project: ProjectDocument) =>
    Object.fromEntries(
      Object.keys(project.elements).map((key) => {
        const resolved = resolveElement(project, key);
        const { style } = project.elements[key] as TextElement;
        return [
          key,
          PROPERTY_NAMES.filter(
            (name) => carries(resolved[name]) && !/border/.test(PROPERTIES[name].css),
          ).map((name): [string, string] => [PROPERTIES[name].css, styleProperty(style, name)]),
        ];
      }),
    );
  const show = async (name: string, project: ProjectDocument) => {
    const css = stylesheet(project, plansOf(project));
    await page.setContent(
      componentPage(name, { css, linked: project.delivery.linked ?? 'before' }),
    );
    await page.evaluate(reader);
  };
  const WIDTHS = [360, 1280];
  const wrongIn = async (name: string, project: ProjectDocument) => {
    await show(name, project);
    const wrong: string[] = [];
    for (const width of WIDTHS) {
      await page.setViewport({ width, height: 800 });
      const found = await page.evaluate(otherwise, project, saysOf(project));
      expect(found.tried).toBeGreaterThan(100);
      wrong.push(...found.wrong.map((one) => `${width}: ${one}`));
    }
    return wrong;
  };
  const leastFor = async (name: string, project: ProjectDocument) => {
    await show(name, project);
    const all = [];
    for (const width of WIDTHS) {
      await page.setViewport({ width, height: 800 });
      const { demands, orders, isLayered } = (await page.evaluate(demandsHere, project)) as {
        demands: [string, never][];
        orders: [string, never][];
        isLayered: boolean;
      };
      all.push({ demands: new Map(demands), orders: new Map(orders), isLayered });
    }
    return leastWeight(project, demandsTogether(all));
  };

  test.each(Object.keys(COMPONENTS))(
    'makes all texts on the components of %s as the project says',
    async (name) => {
      await page.emulateMediaFeatures([]);
      const before = projectWith({ layer: 'lettera', linked: 'before', weight: 'none' });
      expect(await wrongIn(name, before)).not.toEqual([]);
      const least = await leastFor(name, before);
      const after = applyChange(before, least.patch).document;
      const still = await wrongIn(name, after);
      expect([least.unmet, still]).toEqual([0, []]);
      // Nothing weighs more than it has to, and what is found is no other the next time.
      expect((await leastFor(name, after)).patch).toEqual([]);
      for (const [key, [ids, classes]] of Object.entries(least.weights).slice(0, 2)) {
        const lighter = classes > 0 ? [ids, classes - 1] : null;
        const path = `/elements/${key}/weight`;
        const light = applyChange(after, [
          lighter ? { op: 'add', path, value: lighter } : { op: 'remove', path },
        ]).document;
        if (ids === 0) expect([key, await wrongIn(name, light)]).not.toEqual([key, []]);
      }
    },
  );
});
