import { property } from './property';

/** Which figures. CSS Fonts 4 §6.7. */
export const figures = property({
  label: 'Figures',
  css: 'font-variant-numeric',
  inherited: true,
  inFontShorthand: true,
  shorthands: ['font-variant'],
  initial: 'normal',
  part: 'detail',
  values: {
    kind: 'choice',
    of: [
      'normal',
      'lining-nums',
      'oldstyle-nums',
      'tabular-nums',
      'lining-nums tabular-nums',
      'oldstyle-nums tabular-nums',
      'oldstyle-nums proportional-nums',
      'diagonal-fractions',
      'slashed-zero',
    ],
    words: {
      normal: 'the face’s own',
      'lining-nums': 'lining',
      'oldstyle-nums': 'old-style',
      'tabular-nums': 'tabular',
      'lining-nums tabular-nums': 'lining, tabular',
      'oldstyle-nums tabular-nums': 'old-style, tabular',
      'oldstyle-nums proportional-nums': 'old-style, proportional',
      'diagonal-fractions': 'fractions',
      'slashed-zero': 'slashed zero',
    },
  },
  tells: null,
});
