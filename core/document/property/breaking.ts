/** What may stand between two texts at the end of a page or a column. CSS Fragmentation 3 §3.1. */
export const BREAKS = {
  kind: 'choice',
  of: ['auto', 'avoid', 'page'],
  words: { auto: 'may break', avoid: 'none', page: 'a new page' },
} as const;
