import type { Stock } from '@lettera/core/stock';
import { computed, watch, type ComputedRef } from 'vue';
import { textElementsOf } from '../../reader/domTree';
import { useProof } from '../../store/proof';
import { useStock } from '../../store/stock';

/** Texts of a stock on the page that the proof shows. */
export interface Places {
  /** Points texts out there, and brings the first into view; another page is gone to where there are none here. */
  point(texts: readonly number[]): void;
  /** The text of the stock that was clicked on the page; null for none. */
  clicked: ComputedRef<number | null>;
  /** Its element there. */
  node: ComputedRef<Element | null>;
}

/** Texts are pointed out at most: outlines beyond are no help. */
const MOST_POINTED = 2000;

export function usePlaces(stock: () => Stock): Places {
  const proof = useProof();
  const site = useStock();

  const here = computed(() => {
    const page = proof.shownPage;
    return page ? textElementsOf(page) : [];
  });
  const pageShown = computed(() => site.read?.slugs.indexOf(proof.page) ?? -1);

  function onPage(texts: readonly number[]): Element[] {
    return texts.slice(0, MOST_POINTED).flatMap((number) => {
      const text = stock().texts[number];
      const node = text?.page === pageShown.value ? here.value[text.element] : undefined;
      return node ? [node] : [];
    });
  }

  function point(texts: readonly number[]): void {
    const nodes = onPage(texts);
    if (nodes.length > 0) {
      proof.pointedOut = nodes;
      nodes[0]?.scrollIntoView({ block: 'center', behavior: 'auto' });
      return;
    }
    const [first] = texts;
    const slug = first === undefined ? null : site.read?.slugs[stock().texts[first]?.page ?? -1];
    if (!slug || slug === proof.page) return;
    waiting = texts;
    proof.page = slug;
  }
  let waiting: readonly number[] = [];
  const node = computed(() => {
    const all = new Set(here.value);
    let at: Element | null = proof.node;
    while (at && !all.has(at)) at = at.parentElement;
    return at;
  });
  const clicked = computed(() => {
    if (!node.value) return null;
    const element = here.value.indexOf(node.value);
    const number = stock().texts.findIndex(
      (text) => text.page === pageShown.value && text.element === element,
    );
    return number < 0 ? null : number;
  });
  // What was to be pointed out on another page is, once that is there.
  watch(
    () => proof.shownPage,
    () => {
      if (waiting.length === 0 || !proof.shownPage) return;
      const texts = waiting;
      waiting = [];
      point(texts);
    },
  );
  return { point, clicked, node };
}
