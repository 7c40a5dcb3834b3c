import { property } from './property';

export const lineColour = property({
  label: 'Colour of the line',
  css: 'border-color',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['border', 'border-top', 'border-top-color', 'border-block', 'border-block-start'],
  whenOpen: 'leave',
  initial: null,
  part: 'around',
  values: { kind: 'key', of: 'colours' },
  tells: null,
});
