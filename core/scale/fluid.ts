import { ROOT_SIZE } from './lengths';

/** A size that runs linearly between two widths and is flat beyond them. All in CSS px. */
export interface FluidSize {
  small: number;
  large: number;
  smallWidth: number;
  largeWidth: number;
}

/** Four decimals, as delivered; `-0` is written `0`. */
const decimal = (value: number): string => String(Number(value.toFixed(4)) || 0);

/**
 * A length in rem, at what 1rem is on the site; in px where that differs from one width to another.
 * @param root CSS px; null for a root that differs
 */
export const remCss = (px: number, root: number | null = ROOT_SIZE): string =>
  root === null ? `${decimal(px)}px` : `${decimal(px / root)}rem`;

const line = ({ small, large, smallWidth, largeWidth }: FluidSize) => {
  const slope = (large - small) / (largeWidth - smallWidth);
  return { slope, intercept: small - slope * smallWidth };
};

const bounds = ({ small, large }: FluidSize): [number, number] => [
  Math.min(small, large),
  Math.max(small, large),
];

/** The size in CSS px at a width in CSS px, at the default root size. */
export function fluidSizeAt(size: FluidSize, width: number): number {
  const { slope, intercept } = line(size);
  const [lower, upper] = bounds(size);
  return Math.min(upper, Math.max(lower, intercept + slope * width));
}

/** Units of a hundredth of a width: of the viewport, or of the container's inline size. */
export type WidthUnit = 'vw' | 'cqi';

/**
 * The size as CSS: `clamp(lower rem, intercept rem + slope vw, upper rem)`, the bounds being the smaller
 * and the larger end whichever way it runs; a plain length when both ends agree.
 * CSS Values 4 §10.7 (`clamp()`), CSS Containment 3 §6 (`cqi`).
 *
 * @param root what 1rem is on the site, CSS px; null where that differs from one width to another
 * @example fluidCss({ small: 16, large: 18, smallWidth: 360, largeWidth: 1280 })
 * // 'clamp(1rem, 0.9511rem + 0.2174vw, 1.125rem)'
 */
export function fluidCss(
  size: FluidSize,
  unit: WidthUnit = 'vw',
  root: number | null = ROOT_SIZE,
): string {
  const length = (px: number): string => remCss(px, root);
  if (size.small === size.large) return length(size.small);
  const { slope, intercept } = line(size);
  const [lower, upper] = bounds(size);
  const rate = decimal(Math.abs(slope) * 100);
  return `clamp(${length(lower)}, ${length(intercept)} ${slope < 0 ? '-' : '+'} ${rate}${unit}, ${length(upper)})`;
}
