import { property } from './property';

/** How thick the line of a decoration is. CSS Text Decoration 4 §2.3. */
export const underlineThickness = property({
  label: 'Underline thickness',
  css: 'text-decoration-thickness',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['text-decoration'],
  initial: 'auto',
  part: 'underline',
  values: { kind: 'length', units: ['em', 'px'], min: 0, max: 20 },
  tells: null,
});
