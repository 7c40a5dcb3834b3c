/** What one engine makes of one page at one width, in one set of fonts. */
export interface Measured {
  /** Height of the page, CSS px. */
  height: number;
  /** Of each block that holds text: its tag, its height, its computed size. */
  blocks: { tag: string; height: number; size: number }[];
}

/**
 * Source of a function that measures a page in a frame of a width: no window of a given width can be had in
 * all engines.
 */
export const measuring = (path: string, width: number): string => `async () => {
  const frame = document.createElement('iframe');
  frame.style.cssText = 'border:0;width:${width}px;height:1000px';
  document.body.style.margin = '0';
  document.body.replaceChildren(frame);
  await new Promise((resolve) => {
    frame.onload = resolve;
    frame.src = ${JSON.stringify(path)};
  });
  const page = frame.contentDocument;
  await Promise.allSettled([...page.fonts].map((face) => face.load()));
  await page.fonts.ready;
  await new Promise((resolve) => setTimeout(resolve, 150));
  const hasText = (node) => [...node.childNodes].some((child) => child.nodeType === 3 && child.data.trim());
  const blocks = [...page.body.querySelectorAll('*')].filter(
    (node) => hasText(node) && !getComputedStyle(node).display.startsWith('inline') && node.getClientRects().length,
  );
  return {
    height: page.documentElement.scrollHeight,
    blocks: blocks.map((node) => ({
      tag: node.tagName.toLowerCase(),
      height: node.getBoundingClientRect().height,
      size: parseFloat(frame.contentWindow.getComputedStyle(node).fontSize),
    })),
  };
}`;

/** How a page in the fallback differs from the same in the web faces. */
export interface Difference {
  /** Of the page's height. */
  height: number;
  /** Blocks whose height differs by more than a pixel, of how many. */
  changed: number;
  blocks: number;
  /** The furthest that a computed size differs, CSS px. */
  size: number;
}

export function differenceOf(web: Measured, fallback: Measured): Difference {
  const pairs = web.blocks.map((block, i) => [block, fallback.blocks[i]] as const);
  return {
    height: Math.abs(fallback.height - web.height) / web.height,
    changed: pairs.filter(([a, b]) => Math.abs(a.height - (b?.height ?? 0)) > 1).length,
    blocks: pairs.length,
    size: Math.max(0, ...pairs.map(([a, b]) => Math.abs(a.size - (b?.size ?? 0)))),
  };
}
