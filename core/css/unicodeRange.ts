/** Code points from one to another, both among them. */
type Range = readonly [from: number, to: number];

const hex = (codePoint: number): string => codePoint.toString(16).toUpperCase().padStart(2, '0');

const written = ([from, to]: Range): string =>
  from === to ? `U+${hex(from)}` : `U+${hex(from)}-${hex(to)}`;

/** Writes code points as a CSS `unicode-range` value, neighbours joined: `U+20-7E, U+A0`. */
export function formatUnicodeRange(codePoints: Iterable<number>): string {
  const sorted = [...new Set(codePoints)].sort((a, b) => a - b);
  const runs: [number, number][] = [];
  for (const codePoint of sorted) {
    const last = runs.at(-1);
    if (last && last[1] === codePoint - 1) last[1] = codePoint;
    else runs.push([codePoint, codePoint]);
  }
  return runs.map(written).join(', ');
}

/**
 * Reads a CSS `unicode-range` value into inclusive ranges. CSS Fonts 4 §4.5; the wildcard form too.
 * @throws RangeError on anything else
 */
export function parseUnicodeRange(value: string): Range[] {
  return value.split(',').map((part) => {
    const match = /^\s*U\+([0-9A-F]{1,6})(\?{0,5})(?:-([0-9A-F]{1,6}))?\s*$/i.exec(part);
    if (!match) throw new RangeError(`“${part.trim()}” is not a unicode-range`);
    const [, from = '', wild = '', to] = match;
    if (wild) {
      return [
        parseInt(from + wild.replaceAll('?', '0'), 16),
        parseInt(from + wild.replaceAll('?', 'F'), 16),
      ];
    }
    return [parseInt(from, 16), parseInt(to ?? from, 16)];
  });
}

const LAST_CODE_POINT = 0x10ffff;
/** The range of a face that has none, as browsers say it. CSS Fonts 4 §4.5. */
export const EVERY_CHARACTER = 'U+0-10FFFF';
const EVERY: readonly Range[] = [[0, LAST_CODE_POINT]];

/** Ranges by their order, none touching the next. */
function joined(ranges: readonly Range[]): Range[] {
  const united: [number, number][] = [];
  for (const [from, to] of ranges.toSorted(([a], [b]) => a - b)) {
    const last = united.at(-1);
    if (last && from <= last[1] + 1) last[1] = Math.max(last[1], to);
    else if (from <= to) united.push([from, to]);
  }
  return united;
}

/** Ranges read before: those of a few files are asked for one letter after another. */
const known = new Map<string, readonly Range[]>();
const MOST_KNOWN = 500;

/** The ranges of what these functions give, by their order: none where nothing is left, and all where there is no range. */
function rangesIn(range: string | null): readonly Range[] {
  if (range === null) return EVERY;
  if (range === '') return [];
  let ranges = known.get(range);
  if (!ranges) {
    ranges = joined(parseUnicodeRange(range));
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(range, ranges);
  }
  return ranges;
}

/** What is in both, going along the two once. */
function shared(a: readonly Range[], b: readonly Range[]): Range[] {
  const both: Range[] = [];
  for (let i = 0, j = 0; i < a.length && j < b.length;) {
    const [from, to] = a[i] as Range;
    const [first, last] = b[j] as Range;
    if (from <= last && first <= to) both.push([Math.max(from, first), Math.min(to, last)]);
    if (to < last) i++;
    else j++;
  }
  return both;
}

/** What lies between ranges, and before and after them. */
function beside(ranges: readonly Range[]): Range[] {
  const starts = [0, ...ranges.map(([, to]) => to + 1)];
  const ends = [...ranges.map(([from]) => from - 1), LAST_CODE_POINT];
  return starts.flatMap((from, i): Range[] => {
    const to = ends[i] as number;
    return from <= to ? [[from, to]] : [];
  });
}

const inCss = (ranges: readonly Range[]): string => ranges.map(written).join(', ');

/** What two ranges share, as a CSS `unicode-range`; empty where they share nothing. No range means every character. */
export const sharedUnicodeRange = (a: string | null, b: string | null): string =>
  inCss(shared(rangesIn(a), rangesIn(b)));

/** What a range has and another has not, as a CSS `unicode-range`; empty where nothing is left. No range means every character. */
export const lessUnicodeRange = (range: string | null, less: string): string =>
  inCss(shared(rangesIn(range), beside(rangesIn(less))));

/** All that several ranges have, as one `unicode-range`; empty for none. */
export const unitedUnicodeRange = (ranges: readonly string[]): string =>
  inCss(joined(ranges.flatMap(rangesIn)));

/** Whether one of ranges by their order has a code point: the last that begins at or before it. */
function has(ranges: readonly Range[], codePoint: number): boolean {
  let low = 0;
  let high = ranges.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((ranges[middle] as Range)[0] <= codePoint) low = middle + 1;
    else high = middle;
  }
  const at = ranges[low - 1];
  return at !== undefined && codePoint <= at[1];
}

/** Whether a code point lies in a `unicode-range`; no range means every character. */
export const inUnicodeRange = (range: string | null, codePoint: number): boolean =>
  has(rangesIn(range), codePoint);

/** Those of some code points that lie in a `unicode-range`, in their order; no range means every character. */
export function withinUnicodeRange(range: string | null, codePoints: Iterable<number>): number[] {
  const ranges = rangesIn(range);
  return [...codePoints].filter((one) => has(ranges, one));
}
