import { boxOf, type Outline } from '../font/outline';
import type { Shaper } from '../font/shape';
import { inkAcross } from './scan';

/** Rows that a letter is scanned in. */
const ROWS = 60;
/** An opening shorter than this part of the x-height is a notch, as in an `a` of one storey. */
const NOTCH = 0.04;

interface Opening {
  letter: string;
  side: 'left' | 'right';
  /** Part of the x-height in which the opening is looked for, from the baseline. */
  between: [number, number];
}

/** Where text faces open: `c` to the right, `e` to the right below its bar, `a` to the left above its bowl. */
const OPENINGS: Opening[] = [
  { letter: 'c', side: 'right', between: [0.05, 0.95] },
  { letter: 'e', side: 'right', between: [0.05, 0.5] },
  { letter: 'a', side: 'left', between: [0.5, 0.95] },
];

/** The longest run of rows without ink on one side of a letter's middle, in x-heights. */
function openingOf(outline: Outline, xHeight: number, { side, between }: Opening): number {
  const { left, right } = boxOf(outline);
  const middle = (left + right) / 2;
  let longest = 0;
  let run = 0;
  for (let row = 0; row < ROWS; row++) {
    const part = (row + 0.5) / ROWS;
    const shut = inkAcross(outline, part * xHeight).some(({ from, to }) =>
      side === 'right' ? to > middle : from < middle,
    );
    run = shut || part < between[0] || part > between[1] ? 0 : run + 1;
    longest = Math.max(longest, run);
  }
  return longest / ROWS;
}

/** How open `c`, `e` and `a` are: the mean height of their openings ÷ x-height; null without any. */
export function apertureOf(face: Shaper, xHeight: number): number | null {
  const openings = OPENINGS.flatMap((opening) => {
    const outline = face.outline(opening.letter);
    const open = outline ? openingOf(outline, xHeight, opening) : 0;
    return open > NOTCH ? [open] : [];
  });
  return openings.length === 0
    ? null
    : openings.reduce((sum, open) => sum + open, 0) / openings.length;
}

/** Part of its box that an ellipse fills. */
const ELLIPSE = Math.PI / 4;

/**
 * How square an `o` is: 0 for an ellipse, 1 for a rectangle, below 0 for what is more pointed. From the
 * part of its box that lies within its outer edge.
 */
export function squarenessOf(outline: Outline): number | null {
  const { left, right, bottom, top } = boxOf(outline);
  let filled = 0;
  for (let row = 0; row < ROWS; row++) {
    const ink = inkAcross(outline, bottom + ((row + 0.5) / ROWS) * (top - bottom));
    const [first, last] = [ink[0], ink.at(-1)];
    if (first && last) filled += last.to - first.from;
  }
  const part = filled / ROWS / (right - left);
  return Number.isFinite(part) ? (part - ELLIPSE) / (1 - ELLIPSE) : null;
}
