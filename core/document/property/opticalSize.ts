import { property } from './property';

/** Whether the face is drawn for the size that it is set at. CSS Fonts 4 §8.1. */
export const opticalSize = property({
  label: 'Optical size',
  css: 'font-optical-sizing',
  inherited: true,
  inFontShorthand: true,
  initial: 'auto',
  part: 'detail',
  values: { kind: 'choice', of: ['auto', 'none'], words: { auto: 'by the size' } },
  tells: null,
});
