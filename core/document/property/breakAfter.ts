import { BREAKS } from './breaking';
import { property } from './property';

/** Whether a page or a column may end after a text. After headings it should not. CSS Fragmentation 3 §3.1. */
export const breakAfter = property({
  label: 'Break after',
  css: 'break-after',
  inherited: false,
  inFontShorthand: false,
  initial: 'auto',
  part: 'breaks',
  values: BREAKS,
  tells: null,
});
