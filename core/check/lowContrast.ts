import { isWideGamut } from '../css';
import { contrastRatio } from '../style/contrast';
import { groundColour } from '../style/grounds';
import { inkUses } from '../style/inkUses';
import { type ProposedInk, proposedInks } from '../style/inks';
import { px, styleName, type Mark, type Rule, subjectOf } from './mark';

/**
 * Text whose contrast is under what WCAG asks, at the smaller end of its size, on each ground that it stands
 * on: those that text elements name, and those on which it is found on the page.
 */
export const lowContrast: Rule = (document, { page }) => {
  const sides = document.delivery.dark ? (['light', 'dark'] as const) : (['light'] as const);
  const uses = inkUses(document, page?.grounds);
  // What would do for an ink is looked for once for all the places where it is too weak.
  const strongerInks = new Map<string, ProposedInk | null>();
  const strongerFor = (ink: string, colour: string, side: 'light' | 'dark'): ProposedInk | null => {
    const key = `${side} ${ink}`;
    const known = strongerInks.get(key);
    if (known !== undefined) return known;
    const needs = uses
      .filter((use) => use.ink === ink)
      .map((use) => ({ ground: groundColour(document, use.ground, side), least: use.least }));
    const { stronger } = proposedInks(colour, needs);
    strongerInks.set(key, stronger);
    return stronger;
  };
  // Many styles stand in the same ink on the same ground.
  const ratios = new Map<string, number>();
  const ratioOf = (ink: string, ground: string, side: 'light' | 'dark'): number => {
    const key = `${side} ${ink} ${ground}`;
    const ratio =
      ratios.get(key) ??
      contrastRatio(document.colours[ink]?.[side] ?? '', groundColour(document, ground, side));
    ratios.set(key, ratio);
    return ratio;
  };
  return uses.flatMap(({ style, ink, ground, size, least }) =>
    sides.flatMap((side): Mark[] => {
      const [text, behind] = [document.colours[ink], document.colours[ground]];
      if (!text || !behind) return [];
      const ratio = ratioOf(ink, ground, side);
      if (ratio >= least) return [];
      const stronger = strongerFor(ink, text[side], side);
      const name = styleName(document, style);
      return [
        {
          rule: 'low-contrast',
          stage: 'styles',
          style,
          subject: subjectOf(ink, 'on', ground, side),
          message: `${name}: hard to read on the ${side} ${behind.name.toLowerCase()}. The contrast of ${text.name} is ${ratio.toFixed(2)} to 1; WCAG asks for ${least} at ${px(size)}.${isWideGamut(text[side]) ? ` ${text.name} lies beyond sRGB: this is how most screens show it.` : ''}`,
          remedy: `Choose a colour for ${name} that stands out more from ${behind.name}.`,
          ...(stronger && {
            fix: {
              does: `Make ${text.name} ${stronger.colour} there`,
              patch: [
                { op: 'replace' as const, path: `/colours/${ink}/${side}`, value: stronger.colour },
              ],
            },
          }),
        },
      ];
    }),
  );
};
