import { property } from './property';

/** In em, or in lines of the text itself. */
export const spaceAfter = property({
  label: 'Space after',
  css: 'margin-bottom',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['margin', 'margin-block', 'margin-block-end'],
  initial: '0em',
  part: 'around',
  values: { kind: 'length', units: ['lh', 'em', 'px'], min: -20, max: 400 },
  tells: null,
});
