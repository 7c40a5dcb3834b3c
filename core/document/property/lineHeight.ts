import { property } from './property';

/** A multiple of the size. */
export const lineHeight = property({
  label: 'Line height',
  css: 'line-height',
  inherited: true,
  inFontShorthand: true,
  // What `normal` is in most faces; a delivered text element has a line height of its own.
  initial: 1.2,
  part: 'type',
  values: { kind: 'number', min: 0.5, max: 4, by: 0.05 },
  token: 'lineHeight',
  tells: null,
});
