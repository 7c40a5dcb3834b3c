/** A size that runs linearly between two viewport widths and is flat beyond them. All in CSS px. */
export interface FluidSize {
  small: number;
  large: number;
  smallWidth: number;
  largeWidth: number;
}

/** What browsers take 1rem to be unless the visitor has chosen otherwise, CSS px. */
export const ROOT_SIZE = 16;

/** Four decimals, as delivered; `-0` is written `0`. */
const decimal = (value: number): string => String(Number(value.toFixed(4)) || 0);

const line = ({ small, large, smallWidth, largeWidth }: FluidSize) => {
  const slope = (large - small) / (largeWidth - smallWidth);
  return { slope, intercept: small - slope * smallWidth };
};

/** The size in CSS px at a viewport width in CSS px, at the default root size. */
export function fluidSizeAt(size: FluidSize, width: number): number {
  const { slope, intercept } = line(size);
  const [lower, upper] = [Math.min(size.small, size.large), Math.max(size.small, size.large)];
  return Math.min(upper, Math.max(lower, intercept + slope * width));
}

/**
 * The size as CSS: `clamp(lower rem, intercept rem + slope vw, upper rem)`, the bounds being the smaller
 * and the larger end whichever way it runs; a plain length when both ends agree.
 * CSS Values 4 §10.7 (`clamp()`).
 *
 * @example fluidCss({ small: 16, large: 18, smallWidth: 360, largeWidth: 1280 })
 * // 'clamp(1rem, 0.9511rem + 0.2174vw, 1.125rem)'
 */
export function fluidCss(size: FluidSize): string {
  const rem = (px: number) => `${decimal(px / ROOT_SIZE)}rem`;
  if (size.small === size.large) return rem(size.small);
  const { slope, intercept } = line(size);
  const [lower, upper] = [Math.min(size.small, size.large), Math.max(size.small, size.large)];
  const rate = decimal(Math.abs(slope) * 100);
  return `clamp(${rem(lower)}, ${rem(intercept)} ${slope < 0 ? '-' : '+'} ${rate}vw, ${rem(upper)})`;
}
