import { property } from './property';

/** How long lines may get. */
export const measure = property({
  label: 'Measure',
  css: 'max-inline-size',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['max-width'],
  initial: 'none',
  part: 'setting',
  values: { kind: 'length', units: ['ch', 'em', 'px'], min: 1, max: 4000 },
  tells: null,
});
