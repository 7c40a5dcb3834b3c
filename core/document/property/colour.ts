import { property } from './property';

export const colour = property({
  label: 'Colour',
  css: 'color',
  inherited: true,
  inFontShorthand: false,
  initial: null,
  part: 'type',
  values: { kind: 'key', of: 'colours' },
  tells: 'any',
});
