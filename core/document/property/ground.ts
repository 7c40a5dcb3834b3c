import { property } from './property';

/** The colour behind the text. */
export const ground = property({
  label: 'Background',
  css: 'background-color',
  inherited: false,
  inFontShorthand: false,
  shorthands: ['background'],
  initial: null,
  part: 'around',
  values: { kind: 'key', of: 'colours' },
  tells: null,
});
