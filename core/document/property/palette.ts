import { property } from './property';

/** Of a colour font the palette that is drawn. CSS Fonts 4 §9. */
export const palette = property({
  label: 'Palette',
  css: 'font-palette',
  inherited: true,
  inFontShorthand: false,
  initial: 'normal',
  part: 'detail',
  values: {
    kind: 'choice',
    of: ['normal', 'light', 'dark'],
    words: { normal: 'its first', light: 'for a light background', dark: 'for a dark background' },
  },
  tells: null,
});
