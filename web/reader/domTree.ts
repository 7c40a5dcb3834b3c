import { ownTextIn, seenIn, textElementsIn, type PageTree, type Seen } from '@lettera/core/page';

/** A page as a browser holds it. */
export const DOM: PageTree<Element> = {
  tag: (node) => node.tagName.toLowerCase(),
  attribute: (node, name) => node.getAttribute(name),
  parent: (node) => node.parentElement,
  *children(node) {
    for (let child = node.firstChild; child; child = child.nextSibling) {
      if (child.nodeType === Node.ELEMENT_NODE) yield child as Element;
      else if (child.nodeType === Node.TEXT_NODE) yield (child as Text).data;
    }
  },
};

/** Every element of a page that holds text of its own, in the order in which their text begins. */
export const textElementsOf = ({ body }: Document): Element[] =>
  // A page of frames has no body.
  (body as HTMLElement | null) ? textElementsIn(DOM, body) : [];

/** The text that an element holds itself, blanks as one. */
export const ownText = (node: Element): string => ownTextIn(DOM, node);

/** What an element is, as far as its kind is looked for by it. */
export const seen = (node: Element): Seen<Element> => ({
  ...seenIn(DOM, node),
  text: node.textContent ?? '',
});
