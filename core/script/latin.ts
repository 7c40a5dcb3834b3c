import { AS_LATIN, script } from './script';

export const latin = script({
  key: 'latin',
  name: 'Latin',
  iso: ['Latn'],
  has: /\p{Script=Latin}/u,
  capitals: true,
  body: { of: 'top', letters: ['x', 'z', 'v'], called: 'x-height', againstX: 1 },
  reaches: 'ÅÉlpgj',
  stroke: 'o',
  sentence: 'All human beings are born free and equal in dignity and rights.',
  setting: AS_LATIN,
});
