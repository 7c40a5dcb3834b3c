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
    ? `${asked} has no face and is faked (${faked.join(' and ')}) from ${from}`
    : `${asked} has no face and shows as ${from}`;
}

/** What decides a property, in words. */
export function sourceInWords(source: StockSource): string {
  switch (source.by) {
    case 'rule': {
      const { selector, sheet, line, layer, important, property, value } = source;
      const where = `${selector} in ${sheet}, line ${line}`;
      return [
        where,
        layer ? `layer ${layer.join('.')}` : null,
        `${property}: ${value}${important ? ' !important' : ''}`,
      ]
        .filter(Boolean)
        .join(', ');
    }
    case 'inline':
      return `a style attribute: ${source.value}${source.important ? ' !important' : ''}`;
    case 'browser':
      return 'the browser’s own style sheet';
    case 'nothing':
      return 'nothing sets it';
  }
}
