import { blend, wcagContrast } from 'culori';
import { paintedColour } from '../css';

/** WCAG 2.2, 1.4.3: what counts as large text, CSS px, and the least ratio for each kind. */
const LARGE = { size: 24, boldSize: 18.66, boldWeight: 700 };
const LEAST_RATIO = { text: 4.5, large: 3 };

/**
 * (L1 + 0.05) ÷ (L2 + 0.05), the text's alpha composited on its ground, both as they are painted: a ratio of colours
 * beyond sRGB is none that is seen. WCAG 2.2, "contrast ratio".
 */
export const contrastRatio = (text: string, ground: string): number =>
  wcagContrast(blend([paintedColour(ground), paintedColour(text)]), paintedColour(ground));

/** The contrast that WCAG asks of text. @param size CSS px, the smallest that it is set in */
export const leastContrast = (size: number, weight: number): number =>
  size >= LARGE.size || (size >= LARGE.boldSize && weight >= LARGE.boldWeight)
    ? LEAST_RATIO.large
    : LEAST_RATIO.text;
