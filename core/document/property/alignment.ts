import { property } from './property';

/** CSS Text 4 §7.1. */
export const alignment = property({
  label: 'Alignment',
  css: 'text-align',
  inherited: true,
  inFontShorthand: false,
  initial: 'start',
  part: 'setting',
  values: {
    kind: 'choice',
    of: ['start', 'center', 'end', 'justify'],
    words: { center: 'centred', justify: 'justified' },
  },
  tells: null,
});
