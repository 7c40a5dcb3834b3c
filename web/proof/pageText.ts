import type { ProjectDocument } from '@lettera/core/document';
import { meanAdvance } from '@lettera/core/measure';
import { elementAt, type SetText } from '@lettera/core/style';
import type { Box } from '@lettera/core/fallback';
import { isFar } from './nearFirst';

/** The nearest element around a node that the project styles, and its key; the body at the last. */
export function styledElement(
  document: ProjectDocument,
  node: Element,
): { node: Element; key: string } | null {
  for (let current: Element | null = node; current; current = current.parentElement) {
    const candidate = current;
    const key = elementAt(document, (selector) => candidate.matches(selector));
    if (key) return { node: candidate, key };
  }
  return null;
}

/** Every element of a page that has a style, leaving out those whose text is all in other elements. */
export function elementsWithStyle(
  document: ProjectDocument,
  page: Document,
  styleKey: string,
): Element[] {
  const selectors = Object.values(document.elements)
    .filter(({ style }) => style === styleKey)
    .flatMap((element) => element.selectors)
    .filter((selector) => selector !== 'body');
  if (selectors.length === 0) return [];
  return [...page.body.querySelectorAll(selectors.join(', '))].filter((node) => {
    const key = elementAt(document, (selector) => node.matches(selector));
    return key !== null && document.elements[key]?.style === styleKey;
  });
}

const TEXT_BLOCKS =
  'h1, h2, h3, h4, p, li, blockquote, figcaption, figure, table, tr, label, button, input, textarea, pre, nav, footer';

/** The blocks of a page whose layout is up to date, in document order; far ones are left aside. */
export const blocksNear = (page: Document): Element[] =>
  [...page.body.querySelectorAll(TEXT_BLOCKS)].filter((node) => !isFar(node));

/** Where blocks are, in CSS px of the viewport. */
export const boxesOf = (blocks: readonly Element[]): Box[] =>
  blocks.map((node) => {
    const { left, top, width, height } = node.getBoundingClientRect();
    return { left, top, width, height };
  });

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
    const element = styledElement(document, parent);
    const style = document.elements[element?.key ?? '']?.style;
    if (!found || !element || !style || !isColumn(found.style)) continue;
    const text = blocks.get(found.block) ?? {
      block: found.block,
      column: columnOf(found.block, found.style),
      characters: 0,
      styles: new Map(),
    };
    blocks.set(found.block, text);
    text.characters += characters + 1;
    const share = text.styles.get(style) ?? { characters: 0, node: element.node };
    text.styles.set(style, { ...share, characters: share.characters + characters });
  }
  return [...blocks.values()];
}

/**
 * How the text of each style stands on a page: the column that most of it stands in, the longest block,
 * and its face's mean advance. A block counts for the style that sets most of it.
 */
export function textsOf(document: ProjectDocument, page: Document): Record<string, SetText> {
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
