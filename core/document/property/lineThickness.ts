import { property } from './property';

/** A line at the edges of the text, above it where they are not said; of a thematic break, the line that it is. */
export const lineThickness = property({
  label: 'Line',
  css: 'border-width',
  longhand: 'border-top-width',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['border', 'border-top', 'border-block', 'border-block-start'],
  initial: '0px',
  part: 'around',
  values: { kind: 'length', units: ['px', 'em'], min: 0, max: 100, edges: true },
  tells: null,
});
