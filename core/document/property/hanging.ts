import { property } from './property';

/** CSS Text 4 §9.2. */
export const hanging = property({
  label: 'Hanging quotes',
  css: 'hanging-punctuation',
  inherited: true,
  inFontShorthand: false,
  initial: 'none',
  part: 'setting',
  values: {
    kind: 'choice',
    of: ['none', 'first', 'last', 'first last'],
    words: {
      first: 'quotes before the first line',
      last: 'quotes behind the last line',
      'first last': 'both',
    },
  },
  engines: 'In WebKit alone: Chromium and Firefox leave punctuation within the line.',
  tells: null,
});
