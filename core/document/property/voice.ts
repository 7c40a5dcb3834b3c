import { property } from './property';

/** The named seat whose family sets the text. */
export const voice = property({
  label: 'Voice',
  css: 'font-family',
  inherited: true,
  inFontShorthand: true,
  initial: null,
  part: 'type',
  values: { kind: 'key', of: 'voices' },
  token: 'fontFamily',
  tells: 'any',
});
