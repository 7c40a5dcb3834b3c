import {
  Cascade,
  Decisions,
  NOT_LIVE,
  typeProperty,
  type Decision,
  type Declared,
  type LiveText,
  type LiveFace,
  type LivePage,
  type LiveView,
  type ProjectRules,
  type TypeProperty,
  type TypeRules,
} from '@lettera/core/page';
import {
  STOCK_ENDS,
  stockWidths,
  widthsWithLive,
  type Origin,
  type Origins,
  type SetAt,
  type StockBook,
  type StockEnd,
  type StockFace,
  type StockProperty,
  type StockSource,
  type StockText,
  type TextLook,
} from '@lettera/core/stock';
import { Breather } from './breathe';
import { isCssColour } from '@lettera/core/css';
import { measureOf } from './charactersALine';
import { familiesIn } from './faceUsed';
import { LookReader } from './lookReader';
import { ownText, wordsOf } from './ownText';
import { viewOf } from './pageView';
import { seen, textElementsOf } from './textElements';

/** A page that is shown in a frame, without anything of a project's, and what is known of it. */
export interface PageRead {
  title: string;
  page: Document;
  rules: TypeRules;
  /** Hosts that it asks for fonts and style sheets, and that were not asked. */
  elsewhere: readonly string[];
  /** What it showed where it is live: that goes before what is computed here. */
  live?: LivePage;
  /** Gives the page a viewport of a width, CSS px. */
  setWidth: (width: number) => Promise<void>;
}

export interface ReadingOptions {
  stopped: () => boolean;
  /** @param share of the page that is read, from 0 to 1 */
  progress: (share: number) => void;
}

const NO_PROJECT: ProjectRules = { rules: [], layer: null, linked: 'before', siteLayer: null };

/** The properties of a stock as the cascade knows them. */
const READ: readonly TypeProperty[] = (
  ['voice', 'step', 'weight', 'slant', 'lineHeight', 'letterSpacing', 'case', 'colour'] as const
).map(typeProperty);

/**
 * What is declared for a text, or for what it inherits a property from, and does not win.
 * @returns by property, the strongest first, as sources of a stock are told
 */
export function overriddenOf(
  page: Document,
  rules: TypeRules,
): (node: Element) => Partial<Record<StockProperty, StockSource[]>> {
  const cascade = new Cascade(rules, NO_PROJECT, viewOf(page), READ, { keepsAll: true });
  const decisions = new Decisions(cascade, (at, selector) => at.matches(selector));
  return (node) =>
    Object.fromEntries(
      READ.map((property) => {
        const at = decisions.of(node, property)?.node ?? node;
        return [property.css, cascade.overridden(at, property.css).map(sourceOf)];
      }),
    );
}

/** A declaration as a stock tells it. */
function sourceOf(declared: Declared | 'browser'): StockSource {
  if (declared === 'browser' || declared.by === 'project') return { by: 'browser' };
  if (declared.by === 'inline') return declared;
  const { rule, selector, specificity, declaration } = declared;
  const { sheet, line, layer } = rule;
  const { important, property, value } = declaration;
  return {
    by: 'rule',
    sheet,
    line,
    selector,
    specificity,
    layer,
    important,
    property,
    value,
  };
}

/** An element as people name it: its tag, and its first class. */
const named = (node: Element): string =>
  node.tagName.toLowerCase() + (node.classList[0] ? `.${node.classList[0]}` : '');

/** Where properties of texts come from, each source under its number in the book. */
class OriginReader {
  readonly #decisions: Decisions<Element>;
  /** Numbers of sources, by the declaration and the selector that it is made by. */
  readonly #known = new Map<object, Map<string, number>>();
  readonly #same = new Map<string, Origins>();

  constructor(
    private readonly book: StockBook,
    page: Document,
    rules: TypeRules,
  ) {
    this.#decisions = new Decisions(
      new Cascade(rules, NO_PROJECT, viewOf(page), READ),
      (at, selector) => at.matches(selector),
    );
  }

  /** @returns the same object for texts whose properties come from the same */
  origins(node: Element): Origins {
    const origins: [StockProperty, Origin][] = [];
    let key = '';
    for (const property of READ) {
      const decision = this.#decisions.of(node, property);
      const source = this.#source(decision);
      const from = decision && decision.node !== node ? named(decision.node) : null;
      origins.push([property.css as StockProperty, { source, from }]);
      key += `${source} ${from}|`;
    }
    const known = this.#same.get(key) ?? (Object.fromEntries(origins) as Origins);
    this.#same.set(key, known);
    return known;
  }

  #source(decision: Decision<Element>): number {
    if (!decision) return this.book.source({ by: 'nothing' });
    const { declared } = decision;
    if (declared === 'browser' || declared.by !== 'page') {
      return this.book.source(sourceOf(declared));
    }
    const { selector, declaration } = declared;
    const bySelector = this.#known.get(declaration) ?? new Map<string, number>();
    this.#known.set(declaration, bySelector);
    const known = bySelector.get(selector);
    if (known !== undefined) return known;
    const number = this.book.source(sourceOf(declared));
    bySelector.set(selector, number);
    return number;
  }
}

/** Texts as a live page showed them, each taken once, in the order of the page. */
class LiveLooks {
  readonly #waiting = new Map<string, LiveText[]>();

  constructor(view: LiveView | undefined) {
    for (const text of view?.texts ?? []) {
      this.#waiting.set(text.words, [...(this.#waiting.get(text.words) ?? []), text]);
    }
  }

  /** The next text of such words; undefined where the page showed no such text. */
  of = (words: string): LiveText | undefined => this.#waiting.get(words)?.shift();
}

/** A look with what the live page had in place of it. */
function overLook(look: TextLook, live: LiveText): TextLook {
  const { family, size, weight, style, lineHeight, letterSpacing, letterCase, colour } = live;
  return {
    ...look,
    stack: familiesIn(family),
    face: live.face === undefined ? look.face : live.face,
    size,
    weight,
    slant: style === 'normal' || style === 'italic' ? style : 'oblique',
    lineHeight,
    letterSpacing,
    letterCase,
    colour: isCssColour(colour) ? colour : look.colour,
  };
}

/** Addresses of font files in the order of their `@font-face` rules, which is that of the page's faces. */
function filesOf(list: CSSRuleList): (string | undefined)[] {
  return [...list].flatMap((rule): (string | undefined)[] => {
    const { style, styleSheet, cssRules, parentStyleSheet } = rule as CSSFontFaceRule &
      CSSImportRule &
      CSSGroupingRule;
    if (rule.cssText.startsWith('@font-face')) {
      const [, address] = /url\("([^"]*)"\)/.exec(style.getPropertyValue('src')) ?? [];
      const isHere = address !== undefined && !/^data:,?/.test(address);
      return [isHere ? new URL(address, parentStyleSheet?.href ?? undefined).href : undefined];
    }
    // Style rules nest no faces, and have their own declarations.
    if (styleSheet) return filesOf(styleSheet.cssRules);
    return cssRules && !('selectorText' in rule) ? filesOf(cssRules) : [];
  });
}

function facesOf(page: Document): StockFace[] {
  const files = [...page.styleSheets].flatMap(({ cssRules }) => filesOf(cssRules));
  const faces = [...page.fonts];
  return faces.map(({ family, weight, style, status }, i) => {
    // Where they do not agree, which file is whose is not known.
    const file = files.length === faces.length ? files[i] : undefined;
    return {
      family: family.replace(/^["']|["']$/g, ''),
      weight,
      style,
      state: STATES[status],
      ...(file ? { file } : {}),
    };
  });
}

/** A face as the live page had it; its file is not here. */
const liveFace = ({ family, weight, style, status }: LiveFace): StockFace => ({
  family,
  weight,
  style,
  state: STATES[status],
});
/** What became of a face, by what the browser says of it. */
const STATES: Readonly<Record<FontFaceLoadStatus, StockFace['state']>> = {
  loaded: 'loaded',
  error: 'failed',
  loading: 'unloaded',
  unloaded: 'unloaded',
};

/** Holds everything still: what moves to another value is not yet there when it is asked for. */
function holdStill(page: Document): void {
  const Sheet = (page.defaultView as (Window & typeof globalThis) | null)?.CSSStyleSheet;
  if (!Sheet) return;
  const still = new Sheet();
  still.replaceSync(
    '*, *::before, *::after { transition: none !important; animation: none !important }',
  );
  page.adoptedStyleSheets = [...page.adoptedStyleSheets, still];
}

/** How long faces may take to come, milliseconds: what never comes does not hold up the rest. */
const PATIENCE = 10_000;
const facesCome = (page: Document): Promise<unknown> =>
  Promise.race([page.fonts.ready, new Promise((resolve) => setTimeout(resolve, PATIENCE))]);

type Kept = Omit<StockText, 'narrow' | 'wide' | 'page' | 'within'> & {
  node: Element;
  text: string;
  at: Partial<Record<StockEnd, SetAt>>;
  isSeen: boolean;
};

/**
 * Reads the type of a page into a book: every text, as the browser computes it at a narrow and at a wide width,
 * with where each property comes from. Others are let to their work in between.
 *
 * @throws Stopped when it is no longer wanted; the book is then as it was
 */
export async function readPageInto(
  book: StockBook,
  { title, page, rules, elsewhere, setWidth, live = NOT_LIVE }: PageRead,
  { stopped, progress }: ReadingOptions,
): Promise<void> {
  holdStill(page);
  const breather = new Breather();
  const widths = widthsWithLive(
    stockWidths(rules),
    live.views.map(({ width }) => width),
  );
  const texts: Kept[] = [];
  for (const [element, node] of textElementsOf(page).entries()) {
    await breather.pause(stopped);
    const text = ownText(node);
    const { tag, classes, role, place } = seen(node);
    const words = wordsOf(text);
    const characters = [...text].length;
    const kept = { node, text, element, tag, classes, role, place, words, characters };
    texts.push({ ...kept, at: {}, isSeen: false });
  }
  for (const [i, end] of STOCK_ENDS.entries()) {
    await setWidth(widths[end]);
    await facesCome(page);
    const looks = new LookReader(page);
    const origins = new OriginReader(book, page, rules);
    const shown = new LiveLooks(live.views.find(({ width }) => width === widths[end]));
    for (const [number, text] of texts.entries()) {
      await breather.pause(stopped);
      const { node } = text;
      const read = looks.look(node, text.text);
      if (!read) continue;
      text.isSeen ||= node.checkVisibility();
      const was = shown.of(text.words);
      text.at[end] = {
        look: book.look(was ? overLook(read.look, was) : read.look),
        origins: book.origins(origins.origins(node)),
        measure:
          was?.measure === undefined ? measureOf(node, text.characters, read.display) : was.measure,
      };
      progress((i + number / texts.length) / STOCK_ENDS.length);
    }
  }
  const numbers = new Map<Element, number>();
  const at = book.pages.length;
  for (const { node, text: _text, at: set, isSeen, ...text } of texts) {
    if (!isSeen || !set.narrow || !set.wide) continue;
    let around = node.parentElement;
    while (around && !numbers.has(around)) around = around.parentElement;
    numbers.set(node, book.texts.length);
    book.texts.push({
      ...text,
      page: at,
      within: around ? (numbers.get(around) ?? null) : null,
      narrow: set.narrow,
      wide: set.wide,
    });
  }
  book.pages.push({
    title,
    ...widths,
    faces: live.faces.length > 0 ? live.faces.map(liveFace) : facesOf(page),
    elsewhere,
  });
}
