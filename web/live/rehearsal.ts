import type { LiveTold } from '@lettera/core/wire';
import { pageAddress } from './facts';
import type { LiveHandle } from './handle';

/** How long web fonts are held back, and how long is waited for what moves afterwards, milliseconds. */
const HELD = 2000;
const SETTLED = 400;
/** What moves less is not seen to move, CSS px. */
const SEEN = 0.5;
const MOST_BLOCKS = 4000;

export type Rehearsed = Extract<LiveTold, { kind: 'swapped' }>;

const wait = (time: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, time));

/** What may move: the blocks of the page, and each run of text in them. */
function movable(): (Element | Range)[] {
  const blocks = [...document.body.querySelectorAll('*')].slice(0, MOST_BLOCKS);
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const texts: Range[] = [];
  while (walker.nextNode() && texts.length < MOST_BLOCKS) {
    if (!walker.currentNode.nodeValue?.trim()) continue;
    const range = document.createRange();
    range.selectNodeContents(walker.currentNode);
    texts.push(range);
  }
  return [...blocks, ...texts];
}

const boxes = (all: readonly (Element | Range)[]): DOMRect[] =>
  all.map((one) => one.getBoundingClientRect());

/** Layout shift in a stretch of time, as the browser tells it; null where it does not. */
function watchShift(): () => number | null {
  if (!PerformanceObserver.supportedEntryTypes.includes('layout-shift')) return () => null;
  let shift = 0;
  const take = (entries: PerformanceEntryList): void => {
    for (const entry of entries) shift += (entry as unknown as { value: number }).value;
  };
  const observer = new PerformanceObserver((list) => take(list.getEntries()));
  observer.observe({ type: 'layout-shift' });
  return () => {
    take(observer.takeRecords());
    observer.disconnect();
    return shift;
  };
}

/**
 * The page as visitors have it while the web fonts are on their way, and then with them: how much moves, by the
 * browser's own entries and by the boxes of what is on the page.
 */
export async function rehearseSwap({ setMode }: Pick<LiveHandle, 'setMode'>): Promise<Rehearsed> {
  const blocks = movable();
  await setMode('fallback');
  await wait(HELD);
  const before = boxes(blocks);
  const shifted = watchShift();
  await setMode('all');
  await wait(SETTLED);
  const moves = boxes(blocks).flatMap(({ top, left, width, height }, i) => {
    const was = before[i];
    if (!was || (was.width === 0 && width === 0)) return [];
    const by = [top - was.top, left - was.left, width - was.width, height - was.height];
    const farthest = Math.max(...by.map(Math.abs));
    return farthest > SEEN ? [farthest] : [];
  });
  return {
    kind: 'swapped',
    address: pageAddress(),
    width: Math.round(innerWidth),
    shift: shifted(),
    moved: moves.length,
    farthest: Math.max(0, ...moves),
  };
}
