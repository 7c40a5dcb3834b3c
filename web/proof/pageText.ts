import type { ProjectDocument } from '@lettera/core/document';
import { elementAt } from '@lettera/core/style';
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
