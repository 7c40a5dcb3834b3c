import { property } from './property';

/** Browsers hyphenate in languages that they know, where the page says which it is in. CSS Text 4 §6.3. */
export const hyphenation = property({
  label: 'Hyphenation',
  css: 'hyphens',
  inherited: true,
  inFontShorthand: false,
  initial: 'manual',
  part: 'setting',
  values: {
    kind: 'choice',
    of: ['none', 'manual', 'auto'],
    words: { manual: 'where written', auto: 'by the browser' },
  },
  tells: null,
});
