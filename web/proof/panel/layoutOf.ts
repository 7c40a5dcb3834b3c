import type { LaidOutBlock, LaidOutPage } from '@lettera/core/page';
import { textElementsOf } from '../../reader/domTree';

/** Blocks that are looked at; a longer page is looked at so far. */
const MOST_BLOCKS = 500;
const LONGEST_WORDS = 60;

/** The blocks of a page that hold text, in order: those of an inline text are the block's around it. */
export const textBlocksOf = (page: Document): Element[] => {
  const view = page.defaultView;
  const blocks = new Set<Element>();
  for (const node of textElementsOf(page)) {
    let at: Element | null = node;
    while (at && view?.getComputedStyle(at).display.startsWith('inline')) at = at.parentElement;
    if (at && at !== page.body) blocks.add(at);
    if (blocks.size >= MOST_BLOCKS) break;
  }
  return [...blocks];
};

/** The words that the lines of a block begin with, by their number. */
function linesOf(block: Element): number[] {
  const page = block.ownerDocument;
  const range = page.createRange();
  const walker = page.createTreeWalker(block, NodeFilter.SHOW_TEXT);
  const lines: number[] = [];
  let [number, bottom] = [0, -Infinity];
  while (walker.nextNode()) {
    const text = walker.currentNode as Text;
    for (const { index, 0: word } of text.data.matchAll(/\S+/g)) {
      range.setStart(text, index);
      range.setEnd(text, index + word.length);
      const [box] = range.getClientRects();
      if (!box) continue;
      // What stands wholly under the line before begins another.
      if (box.top >= bottom - box.height * 0.25) lines.push(number);
      bottom = Math.max(bottom, box.bottom);
      number++;
    }
  }
  return lines;
}

const shortened = (text: string): string => {
  const plain = text.replace(/\s+/g, ' ').trim();
  const space = plain.lastIndexOf(' ', LONGEST_WORDS);
  return plain.length <= LONGEST_WORDS
    ? plain
    : `${plain.slice(0, space > 0 ? space : LONGEST_WORDS)} …`;
};

/** How a page is laid out now. */
export const layoutOf = (page: Document): LaidOutPage => ({
  width: page.documentElement.clientWidth,
  height: page.documentElement.scrollHeight,
  blocks: textBlocksOf(page).map((block): LaidOutBlock => ({
    tag: block.tagName.toLowerCase(),
    words: shortened(block.textContent ?? ''),
    height: block.getBoundingClientRect().height,
    lines: linesOf(block),
  })),
});
