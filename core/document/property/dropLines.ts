import { property } from './property';

/** How many lines a first letter is as tall as, and stands in. CSS Inline 3 §7. */
export const dropLines = property({
  label: 'Drop cap',
  css: 'initial-letter',
  inherited: false,
  inFontShorthand: false,
  initial: null,
  part: 'type',
  values: { kind: 'number', min: 1, max: 8, by: 1, whole: true },
  only: 'first-letter',
  tells: null,
});
