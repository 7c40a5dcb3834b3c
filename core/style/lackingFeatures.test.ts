import { expect, test } from '@jest/globals';
import { lackingFeatures } from './lackingFeatures';

const sheet = (tags: string[], figures: string[] = []) => ({
  features: tags.map((tag) => ({ tag })),
  figures,
});
const lacking = (...given: Parameters<typeof lackingFeatures>) => lackingFeatures(...given).words;

test('what a face lacks is told by the words that ask for it', () => {
  expect(lacking('smallCaps', 'small-caps', sheet(['smcp']))).toEqual([]);
  expect(lacking('smallCaps', 'all-small-caps', sheet(['smcp']))).toEqual(['all-small-caps']);
  expect(lacking('smallCaps', 'normal', sheet([]))).toEqual([]);
  expect(lacking('features', 'ss01, cv05 2, zero 0', sheet(['ss01']))).toEqual(['cv05']);
  expect(lacking('ligatures', 'discretionary-ligatures', sheet([]))).toEqual([
    'discretionary-ligatures',
  ]);
  expect(lackingFeatures('smallCaps', 'small-caps', sheet([])).instead).toBe('drawn');
  expect(lackingFeatures('figures', 'tabular-nums', sheet([])).instead).toBe('nothing');
});

test('figures that a face shows unasked are there, whatever its features', () => {
  const figures = 'oldstyle-nums tabular-nums';
  expect(lacking('figures', figures, sheet(['onum'], ['tabular', 'lining']))).toEqual([]);
  expect(lacking('figures', figures, sheet(['onum'], ['proportional', 'lining']))).toEqual([
    'tabular-nums',
  ]);
  expect(lacking('figures', figures, sheet([], ['proportional', 'lining', 'tabular']))).toEqual([
    'oldstyle-nums',
  ]);
});
