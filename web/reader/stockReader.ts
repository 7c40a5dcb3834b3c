import { EVERY_CHARACTER } from '@lettera/core/css';
import { namedIn, NOT_LIVE, wordsOf, type LivePage, type TypeRules } from '@lettera/core/page';
import {
  FACE_STATES,
  lettersOutside,
  liveFace,
  LiveTexts,
  ProvenanceReader,
  overLook,
  overriddenIn,
  STOCK_ENDS,
  breaksOf,
  stockWidths,
  widthsWithLive,
  type SetAt,
  type StockBook,
  type StockEnd,
  type StockFace,
  type StockProperty,
  type StockSource,
  type StockText,
} from '@lettera/core/stock';
import { Breather } from './breathe';
import { measureOf } from './charactersALine';
import { LookReader } from './lookReader';
import { DOM, ownText, seen, textElementsOf } from './domTree';
import { viewOf } from './pageView';
import { rulesOf } from './rulesOf';

/** A page that is shown in a frame, without anything of a project's, and what is known of it. */
export interface PageRead {
  title: string;
  page: Document;
  rules: TypeRules;
  /** Hosts that it asks for fonts and style sheets, and that were not asked. */
  elsewhere: readonly string[];
  /** Style sheets that it asks for and that are not there. */
  unread: readonly string[];
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

/** What is declared for texts of a page and does not win; @see overriddenIn */
export const overriddenOf = (
  page: Document,
  rules: TypeRules,
): ((node: Element) => Partial<Record<StockProperty, StockSource[]>>) =>
  overriddenIn(viewOf(page), rules);

const named = (node: Element): string => namedIn(DOM, node);

/** Addresses of font files in the order of their `@font-face` rules, which is that of the page's faces. */
function filesOf(sheet: CSSStyleSheet): (string | undefined)[] {
  return filesIn(rulesOf(sheet) ?? []);
}
function filesIn(list: Iterable<CSSRule>): (string | undefined)[] {
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
    if (styleSheet) return filesOf(styleSheet);
    return cssRules && !('selectorText' in rule) ? filesIn(cssRules) : [];
  });
}

function facesOf(page: Document): StockFace[] {
  const files = [...page.styleSheets].flatMap(filesOf);
  const faces = [...page.fonts];
  return faces.map(({ family, weight, style, status, unicodeRange }, i) => {
    // Where they do not agree, which file is whose is not known.
    const file = files.length === faces.length ? files[i] : undefined;
    return {
      family: family.replace(/^["']|["']$/g, ''),
      weight,
      style,
      state: FACE_STATES[status],
      ...(file ? { file } : {}),
      ...(unicodeRange === EVERY_CHARACTER ? {} : { unicodeRange }),
    };
  });
}

/** Holds everything still: what moves to another value is not yet there when it is asked for. */
export function holdStill(page: Document): void {
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

/** What 1rem is where nothing sets it, CSS px. */
const USUAL_ROOT = 16;
/** What it is on a page as it is laid out now. */
const rootOf = ({ documentElement, defaultView }: Document): number =>
  parseFloat(defaultView?.getComputedStyle(documentElement).fontSize ?? '') || USUAL_ROOT;

/**
 * Reads the type of a page into a book: every text, as the browser computes it at a narrow and at a wide width,
 * with where each property comes from. Others are let to their work in between.
 *
 * @throws Stopped when it is no longer wanted; the book is then as it was
 */
export async function readPageInto(
  book: StockBook,
  { title, page, rules, elsewhere, unread, setWidth, live = NOT_LIVE }: PageRead,
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
    const { tag, classes, role, place, language } = seen(node);
    const words = wordsOf(text);
    const characters = [...text].length;
    const said = language ? { language } : {};
    const kept = { node, text, element, tag, classes, role, place, ...said, words, characters };
    texts.push({ ...kept, at: {}, isSeen: false });
  }
  const root = { narrow: USUAL_ROOT, wide: USUAL_ROOT };
  for (const [i, end] of STOCK_ENDS.entries()) {
    await setWidth(widths[end]);
    root[end] = rootOf(page);
    await facesCome(page);
    const looks = new LookReader(page);
    const provenances = new ProvenanceReader(book, viewOf(page), rules, named);
    const shown = new LiveTexts(live.views.find(({ width }) => width === widths[end]));
    for (const [number, text] of texts.entries()) {
      await breather.pause(stopped);
      const { node } = text;
      const read = looks.look(node, text.text);
      if (!read) continue;
      text.isSeen ||= node.checkVisibility();
      const was = shown.of(text.words);
      text.at[end] = {
        look: book.look(was ? overLook(read.look, was) : read.look),
        provenances: book.provenances(provenances.provenances(node)),
        measure:
          was?.measure === undefined ? measureOf(node, text.characters, read.display) : was.measure,
      };
      progress((i + number / texts.length) / STOCK_ENDS.length);
    }
  }
  const at = book.pages.length;
  const isLive = live.views.length > 0;
  const faces = isLive ? live.faces.map(liveFace) : facesOf(page);
  const shown = texts.flatMap(({ node, text: own, at: { narrow, wide }, isSeen, ...text }) => {
    if (!isSeen || !narrow || !wide) return [];
    const outside = lettersOutside(own, book.lookAt(wide.look)?.stack[0], faces);
    return { node, text: { ...text, ...(outside ? { outside } : {}), page: at, narrow, wide } };
  });
  book.add(DOM, shown);
  const breaks = breaksOf(rules);
  book.pages.push({
    title,
    ...widths,
    root,
    ...(breaks.length > 0 ? { breaks } : {}),
    faces,
    live: isLive,
    elsewhere,
    ...(unread.length > 0 ? { unread } : {}),
  });
}
