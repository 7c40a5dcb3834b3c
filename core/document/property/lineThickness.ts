import { property } from './property';

/** A line above the text; of a thematic break, the line that it is. */
export const lineThickness = property({
  label: 'Line above',
  css: 'border-top-width',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['border', 'border-width', 'border-top', 'border-block', 'border-block-start'],
  whenOpen: 'leave',
  initial: '0px',
  part: 'around',
  values: { kind: 'length', units: ['px', 'em'], min: 0, max: 100 },
  tells: null,
});
