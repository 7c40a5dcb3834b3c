import type { SetPage } from '@lettera/core/check';
import type { ProjectDocument } from '@lettera/core/document';
import { meanAdvance } from '@lettera/core/measure';
import { carries, resolveStyle, type SetText } from '@lettera/core/style';
import { isFar } from './nearFirst';
import { styledElement } from './pageText';

/** Texts of a page that are looked at; the rest of a long page stands in columns like them. */
const MOST_TEXTS = 600;
/** Size at which advances are measured, CSS px: large enough for a thousandth of an em. */
const MEASURED_AT = 1000;

/** The nearest ancestor that is a block of its own. */
function blockOf(node: Element): { block: Element; style: CSSStyleDeclaration } | null {
  for (let current: Element | null = node; current; current = current.parentElement) {
    const style = current.ownerDocument.defaultView?.getComputedStyle(current);
    if (style && style.display !== 'inline') return { block: current, style };
  }
  return null;
}

/** Blocks whose width is that of what is in them, or that do not break lines. */
const isColumn = ({ display, whiteSpace }: CSSStyleDeclaration): boolean =>
  !/^(inline|table-cell)/.test(display) && !whiteSpace.startsWith('pre');

/** Width of the column inside a block, CSS px. */
const columnOf = (block: Element, style: CSSStyleDeclaration): number =>
  block.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight);

/** The column at which half of the characters stand in ones as wide or narrower. */
function medianColumn(blocks: readonly { column: number; characters: number }[]): number {
  const sorted = [...blocks].sort((a, b) => a.column - b.column);
  let left = sorted.reduce((sum, { characters }) => sum + characters, 0) / 2;
  return sorted.find(({ characters }) => (left -= characters) <= 0)?.column ?? 0;
}

/** Mean advance of the face that an element's text is set in, em, as the browser sets it. */
function advanceOf(node: Element, known: Map<string, number>): number {
  const page = node.ownerDocument;
  const style = page.defaultView?.getComputedStyle(node);
  const font = `${style?.fontStyle} ${style?.fontWeight} ${MEASURED_AT}px ${style?.fontFamily}`;
  const found = known.get(font);
  if (found !== undefined) return found;
  const context = page.createElement('canvas').getContext('2d');
  if (!context) return 0;
  context.font = font;
  const advance =
    (meanAdvance((character) => context.measureText(character).width) ?? 0) / MEASURED_AT;
  known.set(font, advance);
  return advance;
}

/** The style that sets an element's text in its size: a link or an emphasis in it has none of its own. */
function sizingStyle(
  document: ProjectDocument,
  node: Element,
): { style: string; node: Element } | null {
  for (let found = styledElement(document, node); found;) {
    const style = document.elements[found.key]?.style;
    const sized = style && carries(resolveStyle(document, style).step);
    if (style && sized) return { style, node: found.node };
    const { parentElement } = found.node;
    found = parentElement && styledElement(document, parentElement);
  }
  return null;
}

interface BlockText {
  block: Element;
  column: number;
  characters: number;
  /** Characters by style, and an element that has it. */
  styles: Map<string, { characters: number; node: Element }>;
}

/** The text of a page by the block that it stands in. */
function blocksOfText(document: ProjectDocument, page: Document): BlockText[] {
  const blocks = new Map<Element, BlockText>();
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  for (let texts = 0; texts < MOST_TEXTS && walker.nextNode();) {
    const characters = walker.currentNode.nodeValue?.replace(/\s+/g, ' ').trim().length ?? 0;
    const parent = walker.currentNode.parentElement;
    if (characters === 0 || !parent || isFar(parent)) continue;
    texts++;
    const found = blockOf(parent);
    const sized = sizingStyle(document, parent);
    if (!found || !sized || !isColumn(found.style)) continue;
    const { style, node } = sized;
    const text = blocks.get(found.block) ?? {
      block: found.block,
      column: columnOf(found.block, found.style),
      characters: 0,
      styles: new Map(),
    };
    blocks.set(found.block, text);
    text.characters += characters + 1;
    const share = text.styles.get(style) ?? { characters: 0, node };
    text.styles.set(style, { ...share, characters: share.characters + characters });
  }
  return [...blocks.values()];
}

/**
 * How the text of each style stands on a page: the column that most of it stands in, the longest block,
 * and its face's mean advance. A block counts for the style that sets most of it.
 */
export function setTextsOf(document: ProjectDocument, page: Document): Record<string, SetText> {
  const byStyle = new Map<string, { blocks: BlockText[]; node: Element }>();
  for (const text of blocksOfText(document, page)) {
    const [style, { node } = { node: text.block }] =
      [...text.styles].sort(([, a], [, b]) => b.characters - a.characters)[0] ?? [];
    if (!style || text.column <= 0) continue;
    const known = byStyle.get(style) ?? { blocks: [], node };
    byStyle.set(style, known);
    known.blocks.push(text);
  }
  const advances = new Map<string, number>();
  return Object.fromEntries(
    [...byStyle].map(([style, { blocks, node }]) => [
      style,
      {
        column: medianColumn(blocks),
        longest: Math.max(...blocks.map(({ characters }) => characters)),
        advance: advanceOf(node, advances),
      },
    ]),
  );
}

/** Keys of the colours that styles put behind text, by the element of the page that has one. */
function groundAround(document: ProjectDocument, node: Element): string | null {
  for (let found = styledElement(document, node); found;) {
    const style = document.elements[found.key]?.style;
    const ground = style ? resolveStyle(document, style).ground : null;
    if (ground && carries(ground)) return ground.value;
    const { parentElement } = found.node;
    found = parentElement && styledElement(document, parentElement);
  }
  return null;
}

/** A letter with marks after it. */
const MARKED = /\p{L}\p{M}+/gu;

/** What text of one style on a page is made of, and stands on. */
interface Found {
  letters: Set<string>;
  marked: Set<string>;
  grounds: Set<string>;
  /** How the first text begins that runs the other way than its block. */
  turned: string | null;
}

/** Letters that run from right to left, and more of them than of others. Unicode 16, UAX 9 §3.2. */
const RIGHT_TO_LEFT =
  /[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/gu;
const ANY_LETTER = /\p{L}/gu;
/** A letter alone is no text whose direction is seen. */
const FEWEST_LETTERS = 4;
const WORDS_TOLD = 32;

/** Whether a text runs from right to left where its block does not. */
function isTurned(text: string, parent: Element): boolean {
  const letters = text.match(RIGHT_TO_LEFT)?.length ?? 0;
  if (letters < FEWEST_LETTERS || letters * 2 < (text.match(ANY_LETTER)?.length ?? 0)) return false;
  return parent.ownerDocument.defaultView?.getComputedStyle(parent).direction === 'ltr';
}

/**
 * The characters of the texts of each style on a page, each once, as a browser joins letters with the marks after
 * them; letters with marks that are not joined; and the grounds of styles that they stand on, without that of the
 * page itself.
 */
export function textsByStyle(
  document: ProjectDocument,
  page: Document,
): Required<Pick<SetPage, 'letters' | 'marked' | 'turned'>> & {
  grounds: Record<string, string[]>;
} {
  const styles = Object.keys(document.styles);
  const hasGrounds = styles.some((style) => carries(resolveStyle(document, style).ground));
  const found = new Map<string, Found>();
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  for (let texts = 0; texts < MOST_TEXTS && walker.nextNode();) {
    const text = walker.currentNode.nodeValue ?? '';
    const parent = walker.currentNode.parentElement;
    if (!text.trim() || !parent || isFar(parent)) continue;
    texts++;
    const element = styledElement(document, parent);
    const style = document.elements[element?.key ?? '']?.style;
    if (!style) continue;
    const of = found.get(style) ?? {
      letters: new Set(),
      marked: new Set(),
      grounds: new Set(),
      turned: null,
    };
    found.set(style, of);
    const joined = text.normalize('NFC');
    if (of.turned === null && isTurned(joined, parent))
      of.turned = joined.trim().slice(0, WORDS_TOLD);
    for (const letter of joined) of.letters.add(letter);
    for (const [cluster] of joined.matchAll(MARKED)) of.marked.add(cluster);
    const ground = hasGrounds ? groundAround(document, parent) : null;
    if (ground) of.grounds.add(ground);
  }
  const all = [...found];
  return {
    letters: Object.fromEntries(all.map(([style, { letters }]) => [style, [...letters].join('')])),
    marked: Object.fromEntries(all.map(([style, { marked }]) => [style, [...marked]])),
    turned: Object.fromEntries(
      all.flatMap(([style, { turned }]) => (turned === null ? [] : [[style, turned]])),
    ),
    grounds: Object.fromEntries(all.map(([style, { grounds }]) => [style, [...grounds]])),
  };
}
