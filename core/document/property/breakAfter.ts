import { property } from './property';

/** Whether a page or a column may end after a text. After headings it should not. CSS Fragmentation 3 §3.1. */
export const breakAfter = property({
  label: 'Break after',
  css: 'break-after',
  inherited: false,
  inFontShorthand: false,
  initial: 'auto',
  part: 'breaks',
  values: {
    kind: 'choice',
    of: ['auto', 'avoid', 'page'],
    words: { auto: 'may break', avoid: 'none', page: 'a new page' },
  },
  tells: null,
});
