import { boxOf, type Box, type Outline } from '../font/outline';
import { inkAcross, type Span } from './scan';

const ROWS = 48;

/** Length that lies in one of two lists of spans but not in both. */
function apart(one: Span[], other: Span[]): number {
  const ends = [...one, ...other].flatMap(({ from, to }) => [from, to]).sort((a, b) => a - b);
  const inside = (spans: Span[], x: number) => spans.some(({ from, to }) => x > from && x < to);
  let length = 0;
  for (let i = 1; i < ends.length; i++) {
    const [from, to] = [ends[i - 1] ?? 0, ends[i] ?? 0];
    const middle = (from + to) / 2;
    if (inside(one, middle) !== inside(other, middle)) length += to - from;
  }
  return length;
}

const total = (spans: Span[]): number => spans.reduce((sum, { from, to }) => sum + to - from, 0);

interface Frame extends Box {
  outline: Outline;
}

/** A row of a letter, its spans in the frame's own measure. */
function row({ outline, left, right, bottom, top }: Frame, part: number, wide: boolean): Span[] {
  const scale = wide ? 1 / (right - left) : 1;
  const shift = wide ? left : (left + right) / 2;
  return inkAcross(outline, bottom + part * (top - bottom)).map(({ from, to }) => ({
    from: (from - shift) * scale,
    to: (to - shift) * scale,
  }));
}

function compare(one: Frame, other: Frame, wide: boolean): number {
  let different = 0;
  let ink = 0;
  for (let i = 0; i < ROWS; i++) {
    const part = (i + 0.5) / ROWS;
    const [a, b] = [row(one, part, wide), row(other, part, wide)];
    different += apart(a, b);
    ink += total(a) + total(b);
  }
  return ink === 0 ? 0 : different / ink;
}

/**
 * How differently two letters are drawn at the same size and height, centred on one another: ink in one
 * but not in both, as a part of all ink. 0 is the same, 1 has nothing in common.
 */
export function differenceOf(one: Outline, other: Outline): number {
  const [a, b] = [boxOf(one), boxOf(other)];
  const bottom = Math.min(a.bottom, b.bottom);
  const top = Math.max(a.top, b.top);
  return compare({ outline: one, ...a, bottom, top }, { outline: other, ...b, bottom, top }, false);
}

/** The same for shapes alone: both letters stretched to the same box first. */
export const shapeDifferenceOf = (one: Outline, other: Outline): number =>
  compare({ outline: one, ...boxOf(one) }, { outline: other, ...boxOf(other) }, true);
