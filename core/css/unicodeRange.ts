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

/** Ranges read before: those of a few files are asked for one letter after another. */
const known = new Map<string, readonly Range[]>();
const MOST_KNOWN = 500;

/**
 * Reads a CSS `unicode-range` value into inclusive ranges. CSS Fonts 4 §4.5; the wildcard form too.
 * @throws RangeError on anything else
 */
export function parseUnicodeRange(value: string): readonly Range[] {
  const before = known.get(value);
  if (before) return before;
  const ranges = readRanges(value);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(value, ranges);
  return ranges;
}

function readRanges(value: string): Range[] {
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

/** The ranges of what these functions give: none where nothing is left. */
const rangesIn = (range: string): readonly Range[] =>
  range === '' ? [] : parseUnicodeRange(range);

const LAST_CODE_POINT = 0x10ffff;
/** The range of a face that has none, as browsers say it. CSS Fonts 4 §4.5. */
export const EVERY_CHARACTER = 'U+0-10FFFF';

/** What two ranges share, as a CSS `unicode-range`; empty where they share nothing. No range means every character. */
export function sharedUnicodeRange(a: string | null, b: string | null): string {
  const all = (range: string | null): readonly Range[] =>
    range === null ? [[0, LAST_CODE_POINT]] : rangesIn(range);
  return all(a)
    .flatMap(([from, to]) =>
      all(b).map(([first, last]) => [Math.max(from, first), Math.min(to, last)] as const),
    )
    .filter(([from, to]) => from <= to)
    .map(written)
    .join(', ');
}

/** What a range has and another has not, as a CSS `unicode-range`; empty where nothing is left. No range means every character. */
export function lessUnicodeRange(range: string | null, less: string): string {
  let left: readonly Range[] = range === null ? [[0, LAST_CODE_POINT]] : rangesIn(range);
  for (const [from, to] of rangesIn(less)) {
    left = left.flatMap(([first, last]): Range[] =>
      to < first || from > last
        ? [[first, last]]
        : [
            ...(first < from ? [[first, from - 1] as const] : []),
            ...(last > to ? [[to + 1, last] as const] : []),
          ],
    );
  }
  return left.map(written).join(', ');
}

/** All that several ranges have, as one `unicode-range`; empty for none. */
export function unitedUnicodeRange(ranges: readonly string[]): string {
  const all = ranges.flatMap(rangesIn).sort(([a], [b]) => a - b);
  const united: [number, number][] = [];
  for (const [from, to] of all) {
    const last = united.at(-1);
    if (last && from <= last[1] + 1) last[1] = Math.max(last[1], to);
    else united.push([from, to]);
  }
  return united.map(written).join(', ');
}

/** Whether a code point lies in a `unicode-range`; no range means every character. */
export function inUnicodeRange(range: string | null, codePoint: number): boolean {
  return (
    range === null || rangesIn(range).some(([from, to]) => codePoint >= from && codePoint <= to)
  );
}

/** Those of some code points that lie in a `unicode-range`, in their order; no range means every character. */
export function withinUnicodeRange(range: string | null, codePoints: Iterable<number>): number[] {
  if (range === null) return [...codePoints];
  const ranges = rangesIn(range);
  return [...codePoints].filter((one) => ranges.some(([from, to]) => one >= from && one <= to));
}
