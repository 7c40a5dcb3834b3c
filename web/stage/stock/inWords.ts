import { inWords as say } from './words';
import type { LackingFace, StockSource } from '@lettera/core/stock';

/** Weights and slants in a row: `700, 400 italic`. */
export const weightsInWords = (
  faces: readonly { weight: number; slant: 'normal' | 'italic' | 'oblique' }[],
): string =>
  faces.map(({ weight, slant }) => `${weight}${slant === 'normal' ? '' : ' italic'}`).join(', ');

/** What becomes of a weight and slant that no face has: `700 is faked from 400`, `500 shows as 400`. */
export function lackInWords({ weight, slant, shown, faked }: LackingFace): string {
  const asked = weightsInWords([{ weight, slant }]);
  const from = weightsInWords([shown]);
  return faked.length > 0
    ? say.hasNoFaceFaked(asked, faked.join(' and '), from)
    : say.hasNoFaceShows(asked, from);
}

/** What decides a property, in words. */
export function sourceInWords(source: StockSource): string {
  switch (source.by) {
    case 'rule': {
      const { selector, sheet, line, layer, important, property, value } = source;
      const where = say.inLine(selector, sheet, line);
      return [
        where,
        layer ? say.layer(layer.join('.')) : null,
        `${property}: ${value}${important ? ' !important' : ''}`,
      ]
        .filter(Boolean)
        .join(', ');
    }
    case 'inline':
      return say.styleAttribute(source.value, source.important ? ' !important' : '');
    case 'browser':
      return say.browsersOwnStyleSheet;
    case 'nothing':
      return say.nothingSets;
  }
}
