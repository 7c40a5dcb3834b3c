import { property } from './property';

/** The step of the scale that gives the size; an added step stands at a half. */
export const step = property({
  label: 'Size',
  css: 'font-size',
  inherited: true,
  inFontShorthand: true,
  initial: 0,
  part: 'type',
  values: { kind: 'step' },
  token: 'fontSize',
  // Sizes are compared as sizes, by what the scale makes of the step.
  tells: null,
});
