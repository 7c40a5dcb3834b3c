/** Where a page stands in its window: the block at its top, and how far that one has gone by. */
export interface PagePlace {
  /** Number of the block among all blocks of the page. */
  block: number;
  /** Part of its height that is above the window, from 0 to 1. */
  part: number;
}

const BLOCKS = 'h1, h2, h3, h4, p, li, figure, blockquote, tr, form, header, footer';

const blocksOf = (page: Document): Element[] => [...page.body.querySelectorAll(BLOCKS)];

/** The place of a page: the same in any typeface, whose lines break elsewhere. */
export function placeOf(page: Document): PagePlace {
  const blocks = blocksOf(page);
  const at = Math.max(
    0,
    blocks.findIndex((block) => block.getBoundingClientRect().bottom > 0),
  );
  const box = blocks[at]?.getBoundingClientRect();
  const part = box && box.height > 0 ? -box.top / box.height : 0;
  return { block: at, part: Math.min(1, Math.max(0, part)) };
}

/** Brings a page to a place. @returns whether it has moved */
export function goTo(page: Document, { block, part }: PagePlace): boolean {
  const scroller = page.scrollingElement;
  const box = blocksOf(page)[block]?.getBoundingClientRect();
  if (!scroller || !box) return false;
  const before = scroller.scrollTop;
  const first = block === 0 && part === 0;
  scroller.scrollTop = first ? 0 : before + box.top + part * box.height;
  return scroller.scrollTop !== before;
}
