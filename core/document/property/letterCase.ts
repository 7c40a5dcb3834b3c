import { CASES } from '../vocabulary';
import { property } from './property';

/** Capitals and small letters. */
export const letterCase = property({
  label: 'Capitals',
  css: 'text-transform',
  inherited: true,
  inFontShorthand: false,
  initial: 'none',
  part: 'type',
  values: { kind: 'choice', of: CASES, words: { none: 'as typed' } },
  tells: 'any',
});
