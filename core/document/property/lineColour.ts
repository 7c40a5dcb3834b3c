import { property } from './property';

export const lineColour = property({
  label: 'Colour of the line',
  css: 'border-color',
  longhand: 'border-top-color',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['border', 'border-top', 'border-block', 'border-block-start'],
  initial: null,
  part: 'around',
  values: { kind: 'key', of: 'colours' },
  tells: null,
});
