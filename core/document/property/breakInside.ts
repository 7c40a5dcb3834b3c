import { property } from './property';

/** Whether a page or a column may end in the midst of a text. CSS Fragmentation 3 §3.2. */
export const breakInside = property({
  label: 'Break inside',
  css: 'break-inside',
  inherited: false,
  inFontShorthand: false,
  initial: 'auto',
  part: 'breaks',
  values: {
    kind: 'choice',
    of: ['auto', 'avoid'],
    words: { auto: 'may break', avoid: 'none' },
  },
  tells: null,
});
