import { property } from './property';

/** In em, or in lines of the text itself. */
export const spaceBefore = property({
  label: 'Space before',
  css: 'margin-top',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['margin', 'margin-block', 'margin-block-start'],
  initial: '0em',
  part: 'around',
  values: { kind: 'length', units: ['lh', 'em', 'px'], min: -20, max: 400 },
  tells: null,
});
