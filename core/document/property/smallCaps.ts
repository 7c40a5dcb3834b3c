import { property } from './property';

/** Small capitals. CSS Fonts 4 §6.6. */
export const smallCaps = property({
  label: 'Small caps',
  css: 'font-variant-caps',
  inherited: true,
  inFontShorthand: true,
  shorthands: ['font-variant'],
  initial: 'normal',
  part: 'detail',
  values: {
    kind: 'choice',
    of: ['normal', 'small-caps', 'all-small-caps'],
    words: { normal: 'none', 'small-caps': 'small caps', 'all-small-caps': 'all small caps' },
  },
  tells: 'any',
});
