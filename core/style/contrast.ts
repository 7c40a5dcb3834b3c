import { blend, wcagLuminance } from '../css/culori';
import { paintedColour } from '../css';

/** WCAG 2.2, 1.4.3: what counts as large text, CSS px, and the least ratio for each kind. */
const LARGE = { size: 24, boldSize: 18.66, boldWeight: 700 };
const LEAST_RATIO = { text: 4.5, large: 3 };

/** The relative luminance of a colour as it is painted, 0 to 1, without its alpha. WCAG 2.2, "relative luminance". */
export const luminanceOf = (colour: string): number => wcagLuminance(paintedColour(colour));

/** (L1 + 0.05) ÷ (L2 + 0.05) of two relative luminances, the lighter first. WCAG 2.2, "contrast ratio". */
export const ratioOfLuminances = (one: number, other: number): number =>
  (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);

/**
 * The contrast of text with its ground, the text's alpha composited on it, both as they are painted: a ratio of
 * colours beyond sRGB is none that is seen.
 */
export const contrastRatio = (text: string, ground: string): number =>
  ratioOfLuminances(
    wcagLuminance(blend([paintedColour(ground), paintedColour(text)])),
    luminanceOf(ground),
  );

/** The contrast that WCAG asks of text. @param size CSS px, the smallest that it is set in */
export const leastContrast = (size: number, weight: number): number =>
  size >= LARGE.size || (size >= LARGE.boldSize && weight >= LARGE.boldWeight)
    ? LEAST_RATIO.large
    : LEAST_RATIO.text;
