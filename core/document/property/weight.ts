import { property } from './property';

export const weight = property({
  label: 'Weight',
  css: 'font-weight',
  inherited: true,
  inFontShorthand: true,
  initial: 400,
  // CSS Fonts 4 §2.2.
  part: 'type',
  values: { kind: 'number', min: 1, max: 1000, by: 10, whole: true },
  token: 'fontWeight',
  // A regular and a semibold are told apart at a glance, neighbouring weights are not.
  tells: { by: 200 },
});
