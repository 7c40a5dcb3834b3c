import type { Seen } from '@lettera/core/page';

/** Elements whose text is no text of the page's. */
const NO_TEXT = 'script, style, template, noscript, title, head, option, textarea';

/** Every element of a page that holds text of its own, in the order of the page. */
export function textElementsOf(page: Document): Element[] {
  const found = new Set<Element>();
  // A page of frames has no body.
  if (!(page.body as HTMLElement | null)) return [];
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const { parentElement, nodeValue } = walker.currentNode as Text;
    if (nodeValue?.trim() && parentElement && !found.has(parentElement)) {
      if (!parentElement.closest(NO_TEXT)) found.add(parentElement);
    }
  }
  return [...found];
}

const PLACES = 'header, nav, main, aside, footer';

/** An element as it is told of where its kind is looked for. */
export const seen = (node: Element): Seen<Element> => ({
  node,
  tag: node.tagName.toLowerCase(),
  classes: [...node.classList],
  role: node.getAttribute('role'),
  place: node.parentElement?.closest(PLACES)?.tagName.toLowerCase() ?? null,
  text: node.textContent ?? '',
});
