import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { build } from 'esbuild';
import type { ProjectDocument } from '@lettera/core/document';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser, newPage, proofFrame } from './browser';
import { startLettera, type RunningLettera } from './lettera';
import { bringFrameworkPages } from './sites/frameworks';

/**
 * Who overrules Lettera on pages with style sheets of others, held to Chromium: the declaration that is named
 * is given another value, and the text must take it.
 */

/** What a site adds of its own, in every way that the cascade knows. */
const OWN = `
@layer base, parts;
@layer parts { .card { & p { color: rgb(9, 9, 9); letter-spacing: 0.01em } } h4 { font-size: 19px } }
@layer base { h4 { font-size: 23px !important; text-transform: uppercase } .list li { font-style: oblique } }
main p:not(.lead) { line-height: 1.7 }
@media (min-width: 900px) { h2 { font-size: 31px } }
@supports (display: grid) { .badge { font: italic 600 11px/1.4 Arial } }
@supports (display: nothing) { .badge { font-size: 99px } }
@scope (.card) to (.footer) { h3 { letter-spacing: 0.04em } p { line-height: 1.3 } }
main { container-type: inline-size }
@container (min-width: 200px) { li { letter-spacing: 0.02em } }
@container (min-width: 9000px) { li { letter-spacing: 0.3em } }
@layer base { td { letter-spacing: 0.1em; color: revert-layer } }
:is(#none, .footer) p { text-transform: capitalize !important }
`;
const TRIED_ON_EACH = 50;

interface Tried {
  /** Who decides, and what became of it. */
  by: string;
  property: string;
  wrong: string | null;
  /** Whether taking the declaration away changes the value. */
  changes: boolean;
}

let lettera: RunningLettera;
let browser: Browser;
let page: Page;
let errors: string[];
let cascade: string;
beforeAll(async () => {
  const bundled = await build({
    stdin: {
      contents: `export { cascadeOf, typeOf } from './web/proof/panel/pageCascade'; export { textElementsOf } from './web/reader/domTree'; export { atOnce, Decisions } from './core/page'; export { inWords } from './web/proof/panel/textFacts'; export { colouredBy, weighedSelector } from './core/style';`,
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    format: 'iife',
    globalName: 'reckoning',
    write: false,
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
  });
  cascade = bundled.outputFiles[0]?.text ?? '';
  lettera = await startLettera();
  browser = await launchBrowser();
  ({ page, errors } = await newPage(browser));
});
afterAll(async () => {
  await browser?.close();
  await lettera?.close();
});

/** Runs in the application's page: tries texts and properties of the page in a frame, drawn at random. */
async function tryDecisions(
  address: string,
  slug: string,
  wanted: number,
  start: number,
): Promise<{ tried: Tried[]; counts: Record<string, number> }> {
  interface Reckoning {
    cascadeOf(document: unknown, page: Document, rules: unknown): unknown;
    atOnce(work: unknown): unknown;
    textElementsOf(page: Document): Element[];
    typeOf(document: unknown): { css: string; inherited: boolean }[];
    Decisions: new (
      cascade: unknown,
      matches: (at: Element, selector: string) => boolean,
    ) => {
      of(
        node: Element,
        property: object,
      ): { declared: Record<string, unknown> | 'browser'; node: Element } | null;
    };
    inWords(by: unknown): string;
    colouredBy(document: unknown, element: unknown): string[];
    weighedSelector(document: unknown, element: unknown, selectors?: string[]): string;
  }
  const { reckoning } = window as unknown as { reckoning: Reckoning };
  const json = async (path: string) => (await (await fetch(address + path)).json()) as unknown;
  const { document: type } = (await json('')) as {
    document: { elements: Record<string, { selectors: string[]; important?: boolean }> };
  };
  const rules = await json(`/pages/${slug}/account`);
  const site = document.querySelector<HTMLIFrameElement>('section.proof iframe')
    ?.contentDocument as Document;
  const still = new (site.defaultView as unknown as typeof globalThis).CSSStyleSheet();
  still.replaceSync(
    '*, *::before, *::after { transition: none !important; animation: none !important }',
  );
  site.adoptedStyleSheets = [...site.adoptedStyleSheets, still];

  const SENTINELS: Record<string, string> = {
    color: 'rgb(1, 2, 3)',
    'font-size': '77.5px',
    'font-family': 'Sentinel',
    'font-weight': '123',
    'font-style': 'oblique 13deg',
    'line-height': '77.5px',
    'letter-spacing': '7.5px',
    'text-transform': 'lowercase',
    'font-variant-numeric': 'ordinal',
    'text-align': 'right',
    'text-decoration-line': 'overline',
  };
  const plain = (selector: string) =>
    selector
      .replace(/\s*([>+~,()])\s*/g, '$1')
      .replace(/\s+/g, ' ')
      .replace(/["']/g, '')
      .toLowerCase();
  /** The selectors of a list. */
  const partsOf = (list: string): string[] => {
    const parts = [''];
    let depth = 0;
    for (const character of list) {
      if ('(['.includes(character)) depth++;
      if (')]'.includes(character)) depth--;
      if (character === ',' && depth === 0) parts.push('');
      else parts[parts.length - 1] += character;
    }
    return parts.map((part) => part.trim());
  };
  /** Whether a rule stands under no condition that does not hold. */
  const holds = ({ parentRule }: CSSRule): boolean => {
    if (!parentRule) return true;
    const { media, conditionText } = parentRule as Partial<CSSMediaRule>;
    const container = (parentRule as { containerQuery?: string }).containerQuery;
    const own = media
      ? site.defaultView?.matchMedia(media.mediaText).matches === true
      : container !== undefined
        ? container === '(min-width: 200px)'
        : conditionText === undefined || CSS.supports(conditionText);
    return own && holds(parentRule);
  };
  const styleRulesOf = (list: CSSRuleList): CSSStyleRule[] =>
    [...list].flatMap((rule) => [
      ...('selectorText' in rule ? [rule as CSSStyleRule] : []),
      ...('cssRules' in rule ? styleRulesOf((rule as CSSGroupingRule).cssRules) : []),
    ]);
  /** A sheet, and those that it imports. */
  const withImports = (sheet: CSSStyleSheet): CSSStyleSheet[] => [
    sheet,
    ...[...sheet.cssRules].flatMap((rule) => {
      const { styleSheet } = rule as Partial<CSSImportRule>;
      return styleSheet ? withImports(styleSheet) : [];
    }),
  ];
  const sheets = [...site.styleSheets].flatMap(withImports).map((sheet) => ({
    path: decodeURIComponent(sheet.href ?? ''),
    rules: styleRulesOf(sheet.cssRules),
  }));

  /** The declaration block that a decision names, as the browser holds it. */
  function blockOf(
    declared: Record<string, unknown>,
    node: Element,
    css: string,
  ): CSSStyleDeclaration | null {
    if (declared['by'] === 'inline') return (node as HTMLElement).style;
    const element = type.elements[String(declared['element'])];
    const isImportant =
      declared['by'] === 'project'
        ? element?.important
        : (declared['declaration'] as { important?: boolean } | undefined)?.important;
    const priority = isImportant ? 'important' : '';
    const selector =
      declared['by'] === 'project'
        ? reckoning.weighedSelector(
            type,
            element,
            css === 'color' ? reckoning.colouredBy(type, element) : undefined,
          )
        : String(declared['selector']);
    const path =
      declared['by'] === 'project' ? 'start.css' : (declared['rule'] as { sheet: string }).sheet;
    const found = sheets
      .filter((sheet) => sheet.path.endsWith(path))
      .flatMap((sheet) => sheet.rules)
      .filter(
        (rule) =>
          holds(rule) &&
          rule.style.getPropertyValue(css) !== '' &&
          rule.style.getPropertyPriority(css) === priority &&
          (rule.selectorText.includes('&') ||
            plain(rule.selectorText) === plain(selector) ||
            partsOf(rule.selectorText).some((one) => plain(one) === plain(selector))),
      );
    return found.at(-1)?.style ?? null;
  }

  // Mulberry32: the same texts every time, others on each page.
  let seed = start;
  const random = () => {
    seed = (seed + 0x6d2b79f5) | 0;
    let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  const all = reckoning
    .textElementsOf(site)
    .flatMap((node) =>
      reckoning
        .typeOf(type)
        // Lines at the edges of a text are told of, and not tried: they have no one value.
        .filter(({ css }) => css in SENTINELS)
        .map((property) => ({ node, property })),
    )
    .map((one) => ({ one, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
  const reckoned = reckoning.atOnce(reckoning.cascadeOf(type, site, rules));
  const decisions = new reckoning.Decisions(reckoned, (at, selector) => at.matches(selector));
  const tried: Tried[] = [];
  const counts: Record<string, number> = {};
  for (const { node, property } of all) {
    if (tried.length >= wanted) break;
    const { css } = property;
    const decision = decisions.of(node, property);
    const by = !decision
      ? 'nothing'
      : decision.declared === 'browser'
        ? 'browser'
        : String(decision.declared['by']);
    counts[by] = (counts[by] ?? 0) + 1;
    if (!decision || decision.declared === 'browser') continue;
    const value = () => site.defaultView?.getComputedStyle(node).getPropertyValue(css) ?? '';
    const said = reckoning.inWords(decision.declared);
    const block = blockOf(decision.declared, decision.node, css);
    if (!block) {
      tried.push({ by: said, property: css, wrong: 'no such declaration', changes: false });
      continue;
    }
    const [text, before] = [block.cssText, value()];
    block.setProperty(css, SENTINELS[css] ?? '', block.getPropertyPriority(css));
    const now = value();
    block.removeProperty(css);
    const without = value();
    block.cssText = text;
    tried.push({
      by: said,
      property: css,
      wrong: now === SENTINELS[css] ? null : `${before} became ${now}`,
      changes: without !== before,
    });
  }
  return { tried, counts };
}

/** Tries texts on pages as the project stands, and gathers what came of them. */
async function tryPages(
  pages: readonly { title: string; slug: string }[],
  onEach: number,
): Promise<{ wrong: string[]; tried: number; changing: number; counts: Record<string, number> }> {
  const wrong: string[] = [];
  let [changing, tried] = [0, 0];
  const counts: Record<string, number> = {};
  for (const { title, slug } of pages) {
    await page.goto(`${lettera.url}/p/tarnholm-light/styles?page=${slug}`);
    await proofFrame(page, { asItIs: true });
    await page.waitForSelector(`section.proof iframe.ready[src*="/pages/${slug}"]`);
    await page.evaluate(cascade);
    const result = await page.evaluate(
      tryDecisions,
      `/api/v1/projects/tarnholm-light`,
      slug,
      onEach,
      18_610 + tried,
    );
    tried += result.tried.length;
    changing += result.tried.filter(({ changes }) => changes).length;
    for (const [by, count] of Object.entries(result.counts)) counts[by] = (counts[by] ?? 0) + count;
    wrong.push(
      ...result.tried.flatMap((one) =>
        one.wrong ? [`${title}: ${one.property} by ${one.by}: ${one.wrong}`] : [],
      ),
    );
  }
  return { wrong, tried, changing, counts };
}

let pages: { title: string; slug: string }[];

test('who overrules what is what Chromium takes, on 500 texts of ten pages', async () => {
  pages = await bringFrameworkPages(`${lettera.url}/api/v1/projects/tarnholm-light`, OWN);
  const { wrong, tried, changing, counts } = await tryPages(pages, TRIED_ON_EACH);
  expect(wrong).toEqual([]);
  expect(tried).toBe(500);
  // The rest would have the same value from what stands behind it.
  expect(changing / tried).toBeGreaterThan(0.5);
  // Each of those who may decide is among them.
  expect(Object.keys(counts).sort()).toEqual(
    expect.arrayContaining(['browser', 'inline', 'page', 'project']),
  );
  expect(errors).toEqual([]);
}, 240_000);

/** The ways in which the project's rules can stand beside a site's own. */
test.each<[how: string, settings: object, important: string[]]>([
  [
    'after its sheets, as heavy as their selectors',
    { linked: 'after', layer: null, weight: 'own' },
    [],
  ],
  ['after its sheets, in a layer of its own', { linked: 'after', layer: 'parts' }, []],
  ['outside a layer that holds its sheets', { layer: null, siteLayer: 'site' }, []],
  [
    'with its own colours on some grounds',
    { layer: null, weight: 'over', keepColoursOn: ['.card', 'main li'] },
    [],
  ],
  [
    'with !important on a few, and some texts left alone',
    { layer: null, weight: 'over', leave: ['main p', '.card h3', 'footer *'] },
    ['h1', 'h2', 'h4', 'list-item'],
  ],
])(
  'and so it is where they stand %s',
  async (_how, settings, important) => {
    const project = `${lettera.url}/api/v1/projects/tarnholm-light`;
    const before = (await (await fetch(project)).json()) as {
      document: ProjectDocument;
      revision: number;
    };
    const elements = Object.keys(before.document.elements).filter((key) => important.includes(key));
    const reply = await fetch(project, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'If-Match': `"${before.revision}"`,
      },
      body: JSON.stringify([
        {
          op: 'replace',
          path: '/delivery',
          value: { layer: 'lettera', display: 'swap', dark: false, ...settings },
        },
        ...elements.map((key) => ({ op: 'add', path: `/elements/${key}/important`, value: true })),
      ]),
    });
    expect(reply.status).toBe(200);
    const { wrong, tried, counts } = await tryPages(pages.slice(0, 4), TRIED_ON_EACH);
    expect(wrong).toEqual([]);
    expect(tried).toBe(200);
    expect(Math.min(counts['project'] ?? 0, counts['page'] ?? 0)).toBeGreaterThan(0);
  },
  240_000,
);
