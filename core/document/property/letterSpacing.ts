import { property } from './property';

/** In em of the style's own size. */
export const letterSpacing = property({
  label: 'Letter spacing',
  css: 'letter-spacing',
  inherited: true,
  inFontShorthand: false,
  initial: 0,
  part: 'type',
  values: { kind: 'number', min: -0.5, max: 2, by: 0.005, unit: 'em' },
  token: 'letterSpacing',
  tells: null,
});
