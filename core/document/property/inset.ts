import { property } from './property';

/** Room between the text and the edge of its ground: all round, or above and below and then at the sides. */
export const inset = property({
  label: 'Inset',
  css: 'padding',
  inherited: false,
  inFontShorthand: false,
  initial: '0em',
  part: 'around',
  values: { kind: 'length', units: ['em', 'lh', 'px'], min: 0, max: 400, most: 2 },
  tells: null,
});
