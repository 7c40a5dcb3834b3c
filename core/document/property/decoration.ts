import { property } from './property';

/** CSS Text Decoration 4 §2.1. It goes on through what stands in the text, though it is not inherited. */
export const decoration = property({
  label: 'Decoration',
  css: 'text-decoration-line',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['text-decoration'],
  initial: 'none',
  part: 'underline',
  values: {
    kind: 'choice',
    of: ['none', 'underline', 'overline', 'line-through'],
    words: { 'line-through': 'struck through' },
  },
  tells: null,
});
