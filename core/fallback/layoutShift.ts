/** A block of the page, or a run of text in one, before or after the swap, in CSS px of the viewport. */
export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
  /** Where it starts, when that is not the box's left and top: text may start in the midst of a line. */
  start?: { left: number; top: number };
}

/** A block counts as moved from this distance on, CSS px (Layout Instability §4.2.2). */
const LEAST_MOVE = 3;

interface Rectangle {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

const clip = (box: Box, width: number, height: number): Rectangle => ({
  left: Math.max(0, Math.min(width, box.left)),
  top: Math.max(0, Math.min(height, box.top)),
  right: Math.max(0, Math.min(width, box.left + box.width)),
  bottom: Math.max(0, Math.min(height, box.top + box.height)),
});

/** The area covered by rectangles, overlaps counted once, by sweeping over the strips between their tops and bottoms. */
function unionArea(rectangles: Rectangle[]): number {
  const edges = [...new Set(rectangles.flatMap(({ top, bottom }) => [top, bottom]))].sort(
    (a, b) => a - b,
  );
  let area = 0;
  for (let i = 0; i + 1 < edges.length; i++) {
    const top = edges[i] ?? 0;
    const bottom = edges[i + 1] ?? 0;
    const spans = rectangles
      .filter((r) => r.top <= top && r.bottom >= bottom)
      .sort((a, b) => a.left - b.left);
    let covered = 0;
    let reached = -Infinity;
    for (const { left, right } of spans) {
      covered += Math.max(0, right - Math.max(left, reached));
      reached = Math.max(reached, right);
    }
    area += covered * (bottom - top);
  }
  return area;
}

const startOf = ({ start, left, top }: Box) => start ?? { left, top };

/**
 * The layout shift score of a swap: impact fraction × distance fraction over the blocks and the runs of
 * text whose start moved, as in the Layout Instability specification (§4.2), which counts text by its own
 * start: a word that goes to another line moves, though its paragraph stays.
 *
 * @param before boxes while the fallback shows; `after` holds the same ones in the same order
 * @param viewport its width and height, CSS px
 */
export function layoutShift(
  before: readonly Box[],
  after: readonly Box[],
  viewport: { width: number; height: number },
): number {
  const { width, height } = viewport;
  const impacted: Rectangle[] = [];
  let furthest = 0;
  before.forEach((from, i) => {
    const to = after[i];
    if (!to) return;
    const [start, end] = [startOf(from), startOf(to)];
    const move = Math.max(Math.abs(start.left - end.left), Math.abs(start.top - end.top));
    if (move < LEAST_MOVE) return;
    const visible = [clip(from, width, height), clip(to, width, height)].filter(
      (r) => r.right > r.left && r.bottom > r.top,
    );
    if (visible.length === 0) return;
    impacted.push(...visible);
    furthest = Math.max(furthest, move);
  });
  const impact = unionArea(impacted) / (width * height);
  const distance = Math.min(1, furthest / Math.max(width, height));
  return impact * distance;
}
