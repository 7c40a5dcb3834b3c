/** What a line height is suggested from. */
export interface LineHeightCase {
  /** CSS px. */
  size: number;
  /** Of the face, in em. */
  xHeight: number;
  /** Characters a line; null where it is not known. */
  measure: number | null;
}

/**
 * The constants of the suggestion, ours: where text of a usual size, x-height and measure stands, and how
 * much each of them takes it from there. `leading` is what a line has beyond its size, in em.
 */
const USUAL = { size: 16, xHeight: 0.5, measure: 62, leading: 0.5 };
/** em of leading for each em of x-height: larger letters leave less white between lines. */
const FOR_X_HEIGHT = 0.8;
/** em of leading for each character: the eye finds its way back less easily from a longer line. */
const FOR_MEASURE = 0.0025;
/** Beyond these measures the line is at fault and not its height. */
const MEASURES: readonly [number, number] = [25, 90];
/** Leading shrinks as size grows, and grows a little as it shrinks: powers of the usual size ÷ the size. */
const SHRINKS = { above: 1, below: 0.3 };

export const LINE_HEIGHTS = [1, 1.8] as const;

const clamp = (value: number, [least, most]: readonly [number, number]): number =>
  Math.min(most, Math.max(least, value));

/**
 * The line height that suits text, as a multiple of its size, 1.0 to 1.8, to a hundredth: more for a large
 * x-height and for long lines, less for large sizes.
 */
export function suggestedLineHeight({ size, xHeight, measure }: LineHeightCase): number {
  const forMeasure =
    measure === null ? 0 : FOR_MEASURE * (clamp(measure, MEASURES) - USUAL.measure);
  const leading = USUAL.leading + FOR_X_HEIGHT * (xHeight - USUAL.xHeight) + forMeasure;
  const ratio = USUAL.size / size;
  const factor = ratio ** (ratio < 1 ? SHRINKS.above : SHRINKS.below);
  return Math.round(clamp(1 + leading * factor, LINE_HEIGHTS) * 100) / 100;
}

/** A line of text on a baseline grid, CSS px: the nearest whole number of its lines, one at least. */
export const lineOnGrid = (size: number, lineHeight: number, grid: number): number =>
  Math.max(grid, Math.round((size * lineHeight) / grid) * grid);
