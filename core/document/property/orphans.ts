import { property } from './property';

/** Least lines of a text that are left at the end of a page or a column. CSS Fragmentation 3 §3.3. */
export const orphans = property({
  label: 'Orphans',
  css: 'orphans',
  inherited: true,
  inFontShorthand: false,
  initial: 2,
  part: 'breaks',
  values: { kind: 'number', min: 1, max: 10, by: 1, whole: true },
  engines: 'Not in Firefox.',
  tells: null,
});
