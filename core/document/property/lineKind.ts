import { property } from './property';

/** CSS Backgrounds 3 §3.2. */
export const lineKind = property({
  label: 'Kind of line',
  css: 'border-style',
  longhand: 'border-top-style',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['border', 'border-top', 'border-block', 'border-block-start'],
  initial: 'none',
  part: 'around',
  values: { kind: 'choice', of: ['none', 'solid', 'dashed', 'dotted', 'double'] },
  tells: null,
});
