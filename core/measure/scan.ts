import type { Outline } from '../font/outline';

/** A stretch of ink, or of white, along a line: from where to where, em. */
export interface Span {
  from: number;
  to: number;
}

interface Crossing {
  at: number;
  winding: number;
}

/** Where the edges of an outline cross the line `other axis = level`, in order. */
function crossings(outline: Outline, level: number, axis: 0 | 1): Crossing[] {
  const found: Crossing[] = [];
  for (const contour of outline) {
    const { length } = contour;
    for (let i = 0; i < length; i += 2) {
      const j = (i + 2) % length;
      const [a, b] = [contour[i + 1 - axis] ?? 0, contour[j + 1 - axis] ?? 0];
      if (a <= level === b <= level) continue;
      const [p, q] = [contour[i + axis] ?? 0, contour[j + axis] ?? 0];
      found.push({ at: p + ((level - a) / (b - a)) * (q - p), winding: b > a ? 1 : -1 });
    }
  }
  return found.sort((one, other) => one.at - other.at);
}

/** Ink along a line, overlapping contours united by the non-zero rule. */
function spans(outline: Outline, level: number, axis: 0 | 1): Span[] {
  const result: Span[] = [];
  let winding = 0;
  let from = 0;
  for (const crossing of crossings(outline, level, axis)) {
    const before = winding;
    winding += crossing.winding;
    if (before === 0) from = crossing.at;
    else if (winding === 0 && crossing.at > from) result.push({ from, to: crossing.at });
  }
  return result;
}

/** Ink along the horizontal line at height `y`, from left to right. */
export const inkAcross = (outline: Outline, y: number): Span[] => spans(outline, y, 0);

/** Ink along the vertical line at `x`, from bottom to top. */
export const inkUpward = (outline: Outline, x: number): Span[] => spans(outline, x, 1);

export const lengthOf = ({ from, to }: Span): number => to - from;

/** Whether a point lies in the ink, by the non-zero rule: how often the edges to its left wind round it. */
export function isInk(outline: Outline, x: number, y: number): boolean {
  let winding = 0;
  for (const contour of outline) {
    const { length } = contour;
    let [px, py] = [contour[length - 2] ?? 0, contour[length - 1] ?? 0];
    for (let i = 0; i < length; i += 2) {
      const [qx, qy] = [contour[i] ?? 0, contour[i + 1] ?? 0];
      if (py <= y !== qy <= y && px + ((y - py) / (qy - py)) * (qx - px) < x) {
        winding += qy > py ? 1 : -1;
      }
      [px, py] = [qx, qy];
    }
  }
  return winding !== 0;
}

/** An outline leaned to the right by so much for each em of height. */
export const sheared = (outline: Outline, by: number): Outline =>
  outline.map((contour) => {
    const leaned = Float64Array.from(contour);
    for (let i = 0; i < leaned.length; i += 2) {
      leaned[i] = (contour[i] ?? 0) + by * (contour[i + 1] ?? 0);
    }
    return leaned;
  });
