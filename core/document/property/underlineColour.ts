import { property } from './property';

/** CSS Text Decoration 4 §2.2: that of the text, where nothing sets it. */
export const underlineColour = property({
  label: 'Underline colour',
  css: 'text-decoration-color',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['text-decoration'],
  initial: null,
  part: 'underline',
  values: { kind: 'key', of: 'colours' },
  tells: null,
});
