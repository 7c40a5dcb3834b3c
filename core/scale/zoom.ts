/** WCAG 2.2, 1.4.4: text can be resized to this many times its size. */
const WANTED = 2;
/** The most that browsers zoom a page. */
const MOST_ZOOM = 5;
/** The widest window that is checked, device-independent px. */
const WIDEST_WINDOW = 2560;
/** How finely a bound that passes is sought, CSS px. */
const FINENESS = 0.01;

/** A reach short of twice by less is one of decimals. */
const SLACK = 1e-9;
/** As good as at a width, but before it, CSS px. */
const BEFORE = 1e-6;

/** A size over viewport widths, and the widths between which it only runs straight. */
export interface SizeOverWidth {
  sizeAt: (width: number) => number;
  bends: readonly number[];
}

/** Windows from a width to another, device-independent px. */
export interface WindowRange {
  from: number;
  to: number;
}

/**
 * How many times its size text in a window can be zoomed to. At zoom z a window of W has a viewport of
 * W ÷ z, and text shows at z × size(W ÷ z) = W × size(v) ÷ v for v = W ÷ z. Over a straight run that
 * quotient only rises or only falls, so its maximum is at an end of the run.
 */
export function zoomReach({ sizeAt, bends }: SizeOverWidth, window: number): number {
  const least = window / MOST_ZOOM;
  let most = Math.max(MOST_ZOOM * sizeAt(least), sizeAt(window));
  const tryWidth = (v: number): void => {
    if (v > least && v < window) most = Math.max(most, (window * sizeAt(v)) / v);
  };
  for (const bend of bends) {
    tryWidth(bend);
    // Just before it too, for sizes that change at once.
    tryWidth(bend - BEFORE);
  }
  return most / sizeAt(window);
}

/** A size never more than 2.5 times its least doubles everywhere: at 500 % it shows at 5 times the least. */
function alwaysDoubles({ sizeAt, bends }: SizeOverWidth): boolean {
  const sizes = bends.flatMap((width) => [sizeAt(width - BEFORE), sizeAt(width)]);
  return Math.max(...sizes) <= (MOST_ZOOM / WANTED) * Math.min(...sizes);
}

/** The first window from a width to another, in whole px, in which no zoom doubles the text; null without one. */
function firstFailure(size: SizeOverWidth, from: number): number | null {
  if (alwaysDoubles(size)) return null;
  for (let window = from; window <= WIDEST_WINDOW; window++) {
    if (zoomReach(size, window) < WANTED - SLACK) return window;
  }
  return null;
}

/**
 * The windows, in whole px from a width to 2560, in which no zoom up to 500 % doubles the text; null when
 * it doubles in all.
 */
export function zoomFailure(size: SizeOverWidth, from: number): WindowRange | null {
  const first = firstFailure(size, from);
  if (first === null) return null;
  let last = WIDEST_WINDOW;
  while (zoomReach(size, last) >= WANTED - SLACK) last--;
  return { from: first, to: last };
}

/**
 * The largest upper bound with which every window passes, CSS px, rounded down to a hundredth.
 *
 * @param withBound the size with another upper bound
 * @param range a bound that passes, and one that fails
 */
export function passingBound(
  withBound: (upper: number) => SizeOverWidth,
  [passes, fails]: [number, number],
  from: number,
): number {
  let [low, high] = [passes, fails];
  while (high - low > FINENESS / 2) {
    const middle = (low + high) / 2;
    if (firstFailure(withBound(middle), from) !== null) high = middle;
    else low = middle;
  }
  const nearest = Math.round(low / FINENESS) * FINENESS;
  return firstFailure(withBound(nearest), from) === null ? nearest : nearest - FINENESS;
}
