import { property } from './property';

/** Whether an underline leaves room for letters that reach below it. CSS Text Decoration 4 §2.10.4. */
export const underlineSkip = property({
  label: 'Underline skips',
  css: 'text-decoration-skip-ink',
  inherited: true,
  inFontShorthand: false,
  initial: 'auto',
  part: 'underline',
  values: {
    kind: 'choice',
    of: ['auto', 'none', 'all'],
    words: { auto: 'descenders', none: 'nothing', all: 'every letter' },
  },
  engines: '“Every letter” is in Chromium and Firefox; WebKit takes it for “descenders”.',
  tells: null,
});
