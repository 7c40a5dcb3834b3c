import { BREAKS } from './breaking';
import { property } from './property';

/** Whether a page or a column may end before a text. After headings it should not. CSS Fragmentation 3 §3.1. */
export const breakBefore = property({
  label: 'Break before',
  css: 'break-before',
  inherited: false,
  inFontShorthand: false,
  initial: 'auto',
  part: 'breaks',
  values: BREAKS,
  tells: null,
});
