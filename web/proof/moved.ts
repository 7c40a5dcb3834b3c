import type { Box } from '@lettera/core/fallback';

const MOVED = 'data-lettera-moved';
/** Less than this is no move to the eye, nor to the specification (Layout Instability §4.2.2), CSS px. */
const LEAST = 3;

/** How far a block or the start of a run of text goes, CSS px. */
function moveOf(from: Box, to: Box): number {
  const [a, b] = [from.start ?? from, to.start ?? to];
  return Math.max(Math.abs(a.left - b.left), Math.abs(a.top - b.top));
}

/** Outlines the blocks that move, or whose lines do, with how many px; those of an earlier time are let go. */
export function outlineMoved(
  page: Document,
  movable: readonly (Element | Text)[],
  before: readonly Box[],
  after: readonly Box[],
): void {
  for (const node of page.querySelectorAll(`[${MOVED}]`)) node.removeAttribute(MOVED);
  const furthest = new Map<Element, number>();
  movable.forEach((node, i) => {
    const [from, to] = [before[i], after[i]];
    if (!from || !to) return;
    const move = Math.max(moveOf(from, to), Math.abs(from.height - to.height));
    const block = 'data' in node ? node.parentElement : node;
    if (block && block !== page.body && move >= LEAST) {
      furthest.set(block, Math.max(move, furthest.get(block) ?? 0));
    }
  });
  // Of nested blocks that move together the innermost tells it.
  for (const [block, move] of furthest) {
    if ([...furthest.keys()].some((other) => other !== block && block.contains(other))) continue;
    block.setAttribute(MOVED, `${Math.round(move)} px`);
  }
}
