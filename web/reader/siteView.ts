import { atOnce, unclaimedKinds, type Seen } from '@lettera/core/page';
import { lineages, type SiteView, type Stock } from '@lettera/core/stock';
import { seen, textElementsOf } from './domTree';

/**
 * The kinds of text of a site, and what selectors meet on it.
 * @param pages as they were read, in the order of the stock; not shown
 */
export function siteView(stock: Stock, pages: readonly Document[]): SiteView {
  const numbers = new Map<Element, number>();
  const elements = pages.map(textElementsOf);
  stock.texts.forEach(({ page, element }, number) => {
    const node = elements[page]?.[element];
    if (node) numbers.set(node, number);
  });
  const met = new Map<string, Element[]>();
  const everything = (selector: string): Element[] => {
    try {
      return pages.flatMap((page) => [...page.querySelectorAll(selector)]);
    } catch {
      // No selector that this browser knows: it meets nothing.
      return [];
    }
  };
  const find = (selector: string): Element[] => {
    const known = met.get(selector);
    if (known) return known;
    const texts = everything(selector).filter((node) => numbers.has(node));
    met.set(selector, texts);
    return texts;
  };
  const all: Seen<Element>[] = [...numbers.keys()].map(seen);
  const numberOf = (node: Element): number[] => {
    const number = numbers.get(node);
    return number === undefined ? [] : [number];
  };
  const meeting = new Map<string, readonly number[]>();
  return {
    kinds: atOnce(unclaimedKinds(all, find)).map(({ name, selector, nodes }) => ({
      name,
      selector,
      texts: nodes.flatMap(numberOf),
    })),
    meets(selector) {
      const known = meeting.get(selector);
      if (known) return known;
      const numbersMet = find(selector).flatMap(numberOf);
      meeting.set(selector, numbersMet);
      return numbersMet;
    },
    lineages: (claims) =>
      lineages(
        stock.texts.map(({ page, element }) => elements[page]?.[element] ?? null),
        claims,
        everything,
        (node) => node.parentElement,
      ),
  };
}
