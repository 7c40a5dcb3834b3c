import { NO_TEXT, PLACES, type Seen } from '@lettera/core/page';

const OUT = NO_TEXT.join();
const AROUND = PLACES.join();

/** Every element of a page that holds text of its own, in the order of the page. */
export function textElementsOf(page: Document): Element[] {
  const found = new Set<Element>();
  // A page of frames has no body.
  if (!(page.body as HTMLElement | null)) return [];
  const walker = page.createTreeWalker(page.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const { parentElement, nodeValue } = walker.currentNode as Text;
    if (nodeValue?.trim() && parentElement && !found.has(parentElement)) {
      if (!parentElement.closest(OUT)) found.add(parentElement);
    }
  }
  return [...found];
}

/** An element as it is told of where its kind is looked for. */
export const seen = (node: Element): Seen<Element> => ({
  node,
  tag: node.tagName.toLowerCase(),
  classes: [...node.classList],
  role: node.getAttribute('role'),
  place: node.parentElement?.closest(AROUND)?.tagName.toLowerCase() ?? null,
  text: node.textContent ?? '',
});
