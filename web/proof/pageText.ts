import { BODY_STYLE, type ProjectDocument } from '@lettera/core/document';
import { elementAt, elementsByStyle, lasting, selectorsOf } from '@lettera/core/style';
import type { Box } from '@lettera/core/fallback';
import { isFar } from './nearFirst';

/** The nearest element around a node that the project styles, and its key; the body at the last. */
export function styledElement(
  document: ProjectDocument,
  node: Element,
): { node: Element; key: string } | null {
  for (let current: Element | null = node; current; current = current.parentElement) {
    const candidate = current;
    const key = elementAt(document, candidate);
    if (key) return { node: candidate, key };
  }
  return null;
}

/** A selector of everything that text elements of the project claim; empty where they claim nothing. */
export const selectorsOfAll = (document: ProjectDocument): string =>
  Object.values(document.elements)
    .flatMap((element) => selectorsOf(document, lasting(element)))
    .join(', ');

/** Every element of a page that has a style, leaving out those whose text is all in other elements. */
export function elementsWithStyle(
  document: ProjectDocument,
  page: Document,
  styleKey: string,
): Element[] {
  const selectors = (elementsByStyle(document).get(styleKey) ?? [])
    .flatMap((key) => document.elements[key] ?? [])
    .flatMap((element) => selectorsOf(document, element))
    .filter((selector) => selector !== 'body');
  if (selectors.length === 0) return [];
  return [...page.body.querySelectorAll(selectors.join(', '))].filter((node) => {
    const key = elementAt(document, node);
    return key !== null && document.elements[key]?.style === styleKey;
  });
}

/** Elements that are no boxes of their own: their text is looked at by itself. HTML §3.2.5.2.5, phrasing content. */
const INLINE =
  'abbr, b, bdi, bdo, br, cite, code, data, del, dfn, em, i, ins, kbd, mark, q, s, samp, small, span, strong, sub, sup, time, u, var, wbr';

/**
 * What can move on a page when its faces change: the blocks, and each run of text in them. Only what has
 * been laid out anew; far parts are left aside.
 */
export function movableNear(page: Document): (Element | Text)[] {
  const blocks = [...page.body.querySelectorAll(`:not(${INLINE})`)].filter((node) => !isFar(node));
  const texts: Text[] = [];
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const text = walker.currentNode as Text;
    const parent = text.parentElement;
    if (text.data.trim() && parent && !isFar(parent)) texts.push(text);
  }
  return [...blocks, ...texts];
}

/** Every run of text of a page that is not blank, in order: their numbers are those of what is typed over them. */
export function textRunsOf(page: Document): Text[] {
  const runs: Text[] = [];
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const text = walker.currentNode as Text;
    if (text.data.trim()) runs.push(text);
  }
  return runs;
}

/** The blocks whose text wears the body's own style: no element around it has another. */
export function blocksInBody(document: ProjectDocument, page: Document): Element[] {
  const blocks = new Set<Element>();
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const text = walker.currentNode as Text;
    const parent = text.parentElement;
    if (!text.data.trim() || !parent || parent.closest('script, style')) continue;
    const found = styledElement(document, parent);
    if (found && document.elements[found.key]?.style !== BODY_STYLE) continue;
    const block = blockAround(text);
    if (block && block !== page.body) blocks.add(block);
  }
  return [...blocks];
}

/** The block that a run of text stands in; the parts of a line have none of their own. */
function blockAround(text: Text): Element | null {
  let block = text.parentElement;
  while (block?.matches(`${INLINE}, a`)) block = block.parentElement;
  return block;
}

/**
 * Where blocks and runs of text are, in CSS px of the viewport. A run of text takes the width of its block,
 * from its first line to its last: so much of the page is seen to move when it does.
 */
export const boxesOf = (movable: readonly (Element | Text)[]): Box[] =>
  movable.map((node) => {
    if (!('data' in node)) {
      const { left, top, width, height } = node.getBoundingClientRect();
      return { left, top, width, height };
    }
    const range = node.ownerDocument.createRange();
    range.selectNodeContents(node);
    const { bottom } = range.getBoundingClientRect();
    const [first] = range.getClientRects();
    const block = blockAround(node)?.getBoundingClientRect();
    if (!first || !block) return { left: 0, top: 0, width: 0, height: 0 };
    return {
      left: block.left,
      top: first.top,
      width: block.width,
      height: bottom - first.top,
      start: { left: first.left, top: first.top },
    };
  });
