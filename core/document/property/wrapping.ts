import { property } from './property';

/** How lines are broken. CSS Text 4 §6.4; a browser that does not know a way breaks as usual. */
export const wrapping = property({
  label: 'Wrapping',
  css: 'text-wrap',
  inherited: true,
  inFontShorthand: false,
  shorthands: ['text-wrap-mode', 'text-wrap-style', 'white-space'],
  initial: 'wrap',
  part: 'setting',
  values: {
    kind: 'choice',
    of: ['wrap', 'balance', 'pretty', 'nowrap'],
    words: { wrap: 'as usual', balance: 'balanced', nowrap: 'in one line' },
  },
  tells: null,
});
