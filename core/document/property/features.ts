import { property } from './property';

/** Other OpenType features, by their tags. CSS Fonts 4 §6.12. */
export const features = property({
  label: 'Features',
  css: 'font-feature-settings',
  inherited: true,
  inFontShorthand: true,
  initial: '',
  part: 'detail',
  values: { kind: 'settings', whole: true },
  tells: null,
});
