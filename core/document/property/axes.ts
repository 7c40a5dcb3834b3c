import { property } from './property';

/** A point on axes that no property of their own sets. CSS Fonts 4 §8.2. */
export const axes = property({
  label: 'Axes',
  css: 'font-variation-settings',
  inherited: true,
  inFontShorthand: true,
  initial: '',
  part: 'detail',
  values: { kind: 'settings', whole: false },
  tells: null,
});
