import type { Outline } from '../font/outline';
import type { Shaper } from '../font/shape';
import type { LowerCase } from './letterCase';
import { inkAcross, inkUpward, isInk, lengthOf, type Span } from './scan';

/** The thinnest and thickest stroke of a letter, em. */
export interface StrokeRange {
  thin: number;
  thick: number;
}

/** Points probed on each edge of a contour, and how far beside the edge ink or white is looked for, em. */
const LONGEST_PROBE_GAP = 0.02;
const BESIDE = 0.0015;
/** A stroke ends where its two edges run within this angle of each other; corners do not count. */
const PARALLEL = Math.cos((25 * Math.PI) / 180);
/** Part of the probes left out at either end, which are where strokes meet or end. */
const OUTLIERS = 0.04;

const median = (values: number[]): number | null => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted.length === 0 ? null : (sorted[Math.floor(sorted.length / 2)] ?? null);
};

/**
 * The vertical stem: the thickness of the strokes of `l` and `n` at half the x-height, across the slope,
 * em. The middle one of the three counts, so that a loop or a joint does not. Where the lower case is
 * drawn as capitals it is `h`, since the legs of an `N` are its thin strokes.
 */
export function stemOf(
  face: Shaper,
  xHeight: number,
  slope: number,
  lowerCase: LowerCase,
): number | null {
  const l = face.outline('l');
  const n = face.outline(lowerCase === 'capitals' ? 'h' : 'n');
  const across = (outline: Outline | null) => (outline ? inkAcross(outline, xHeight / 2) : []);
  const [first] = across(l);
  const legs = across(n);
  const stems = [first, legs[0], legs.length > 1 ? legs.at(-1) : undefined].flatMap((span) =>
    span ? [lengthOf(span)] : [],
  );
  const stem = median(stems);
  return stem === null ? null : stem * Math.cos((slope * Math.PI) / 180);
}

interface Edge {
  x: number;
  y: number;
  dx: number;
  dy: number;
}

function edgesOf(outline: Outline): Edge[] {
  const edges: Edge[] = [];
  for (const contour of outline) {
    const { length } = contour;
    for (let i = 0; i < length; i += 2) {
      const j = (i + 2) % length;
      const [x, y] = [contour[i] ?? 0, contour[i + 1] ?? 0];
      const [dx, dy] = [(contour[j] ?? 0) - x, (contour[j + 1] ?? 0) - y];
      if (dx !== 0 || dy !== 0) edges.push({ x, y, dx, dy });
    }
  }
  return edges;
}

/** How far a ray runs before it leaves the ink across an edge that is nearly parallel to its own. */
function thicknessAlong(
  edges: Edge[],
  outline: Outline,
  from: { x: number; y: number },
  direction: { x: number; y: number },
): number | null {
  const met: { distance: number; parallel: boolean }[] = [];
  for (const { x, y, dx, dy } of edges) {
    const [ox, oy] = [x - from.x, y - from.y];
    // Which side of the ray the edge begins and ends on: one that lies on one side is not met.
    const begins = ox * direction.y - oy * direction.x;
    const ends = begins + dx * direction.y - dy * direction.x;
    if (begins * ends > 1e-12) continue;
    const cross = direction.x * dy - direction.y * dx;
    if (Math.abs(cross) < 1e-12) continue;
    const distance = (ox * dy - oy * dx) / cross;
    const along = begins / cross;
    if (distance <= 1e-6 || along < 0 || along > 1) continue;
    met.push({ distance, parallel: Math.abs(cross) / Math.hypot(dx, dy) >= PARALLEL });
  }
  met.sort((a, b) => a.distance - b.distance);
  for (const { distance, parallel } of met) {
    const beyond = distance + BESIDE;
    const leaves = !isInk(outline, from.x + direction.x * beyond, from.y + direction.y * beyond);
    if (leaves) return parallel ? distance : null;
  }
  return null;
}

/** Whether a white point has ink on all four sides, as in the counter of an `o`. */
function isEnclosed(outline: Outline, x: number, y: number): boolean {
  const around = (spans: Span[], at: number) =>
    spans.some(({ to }) => to < at) && spans.some(({ from }) => from > at);
  return around(inkAcross(outline, y), x) && around(inkUpward(outline, x), y);
}

/**
 * The thinnest and thickest stroke of a letter: from points all along the edges of its counter, or along
 * all its edges when it has none, the ink is measured straight across. From outside, near a corner, that
 * would run along a stroke and not across it. Edges that lie inside the ink, where contours overlap, are
 * passed over.
 */
export function strokeRange(outline: Outline): StrokeRange | null {
  const edges = edgesOf(outline);
  const found: { thickness: number; fromCounter: boolean }[] = [];
  for (const { x, y, dx, dy } of edges) {
    const length = Math.hypot(dx, dy);
    const probes = Math.max(1, Math.round(length / LONGEST_PROBE_GAP));
    const normal = { x: -dy / length, y: dx / length };
    for (let i = 0; i < probes; i++) {
      const t = (i + 0.5) / probes;
      const [px, py] = [x + t * dx, y + t * dy];
      const left = isInk(outline, px + normal.x * BESIDE, py + normal.y * BESIDE);
      const right = isInk(outline, px - normal.x * BESIDE, py - normal.y * BESIDE);
      if (left === right) continue;
      const inward = left ? normal : { x: -normal.x, y: -normal.y };
      const thickness = thicknessAlong(edges, outline, { x: px, y: py }, inward);
      if (thickness === null) continue;
      const fromCounter = isEnclosed(outline, px - inward.x * BESIDE, py - inward.y * BESIDE);
      found.push({ thickness, fromCounter });
    }
  }
  const inner = found.filter(({ fromCounter }) => fromCounter);
  const across = (inner.length > 0 ? inner : found).map(({ thickness }) => thickness);
  if (across.length === 0) return null;
  across.sort((a, b) => a - b);
  const rank = (part: number) => across[Math.round(part * (across.length - 1))] ?? 0;
  return { thin: rank(OUTLIERS), thick: rank(1 - OUTLIERS) };
}
