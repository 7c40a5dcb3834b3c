import { SLANTS } from '../vocabulary';
import { property } from './property';

export const slant = property({
  label: 'Slant',
  css: 'font-style',
  inherited: true,
  inFontShorthand: true,
  initial: 'normal',
  part: 'type',
  values: { kind: 'choice', of: SLANTS, words: { normal: 'upright' } },
  tells: 'any',
});
