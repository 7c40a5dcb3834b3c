import { blend, wcagContrast } from 'culori';
import { colourOf } from '../css';
import { GROUND } from '../document/vocabulary';
import { stepByNumber } from '../scale/steps';
import { resolveInUse } from '../style/resolve';
import { stylesInUse } from '../style/usage';
import type { Mark, Rule } from './mark';

/** WCAG 2.2, 1.4.3: what counts as large text, CSS px, and the least ratio for each kind. */
const LARGE = { size: 24, boldSize: 18.66, boldWeight: 700 };
const LEAST_RATIO = { text: 4.5, large: 3 };

/** (L1 + 0.05) ÷ (L2 + 0.05), the text's alpha composited on its ground. WCAG 2.2, "contrast ratio". */
export const contrastRatio = (text: string, ground: string): number =>
  wcagContrast(blend([colourOf(ground), colourOf(text)]), colourOf(ground));

/** Text whose contrast with its ground is under what WCAG asks, at the smaller end of its size. */
export const lowContrast: Rule = (document) => {
  const marks: Mark[] = [];
  const grounds = document.delivery.dark ? (['light', 'dark'] as const) : (['light'] as const);
  for (const key of stylesInUse(document)) {
    const { colour, step, weight } = resolveInUse(document, key);
    const text = document.colours[colour.value ?? ''];
    const ground = document.colours[GROUND];
    if (!text || !ground) continue;
    const { small, large } = stepByNumber(document.scale, step.value);
    const size = Math.min(small, large);
    const isLarge =
      size >= LARGE.size || (size >= LARGE.boldSize && weight.value >= LARGE.boldWeight);
    const least = isLarge ? LEAST_RATIO.large : LEAST_RATIO.text;
    for (const side of grounds) {
      const ratio = contrastRatio(text[side], ground[side]);
      if (ratio < least) {
        const name = document.styles[key]?.name ?? key;
        marks.push({
          rule: 'low-contrast',
          stage: 'styles',
          style: key,
          message: `${name}: hard to read on the ${side} ground. The contrast of ${text.name} is ${ratio.toFixed(2)} to 1; WCAG asks for ${least} at ${size.toFixed(1)} px.`,
          remedy: `Choose a colour for ${name} that stands out more from the ground.`,
        });
      }
    }
  }
  return marks;
};
