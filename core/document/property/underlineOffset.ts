import { property } from './property';

/** How far below the baseline an underline stands, from where it would by itself. CSS Text Decoration 4 §2.8. */
export const underlineOffset = property({
  label: 'Underline distance',
  css: 'text-underline-offset',
  inherited: true,
  inFontShorthand: false,
  initial: 'auto',
  part: 'underline',
  values: { kind: 'length', units: ['em', 'px'], min: -40, max: 40 },
  tells: null,
});
