import { property } from './property';

/** CSS Fonts 4 §6.4. */
export const ligatures = property({
  label: 'Ligatures',
  css: 'font-variant-ligatures',
  inherited: true,
  inFontShorthand: true,
  shorthands: ['font-variant'],
  initial: 'normal',
  part: 'detail',
  values: {
    kind: 'choice',
    of: [
      'normal',
      'none',
      'no-common-ligatures',
      'discretionary-ligatures',
      'historical-ligatures',
    ],
    words: {
      normal: 'common',
      'no-common-ligatures': 'no common ones',
      'discretionary-ligatures': 'discretionary too',
      'historical-ligatures': 'historical too',
    },
  },
  tells: null,
});
