import { describe, expect, test } from '@jest/globals';
import { TokenTree } from './tokenTree';

const token = { $type: 'number', $value: 1 };
/** One token with as much white space behind it as makes a file of that many characters. */
const ofLength = (length: number): string => JSON.stringify({ one: token }).padEnd(length);
const ofTokens = (count: number): string =>
  JSON.stringify(Object.fromEntries(Array.from({ length: count }, (_, i) => [`t${i}`, token])));
/** A token within that many groups. */
const within = (groups: number): string =>
  `${'{"a":'.repeat(groups)}${JSON.stringify(token)}${'}'.repeat(groups)}`;

describe('what is read of a file of tokens ends', () => {
  test.each([
    ['characters', ofLength(4_000_000), ofLength(4_000_001), /4,000,001 characters; at most/],
    ['tokens', ofTokens(5000), ofTokens(5001), /more than 5000 tokens/],
    ['depth', within(24), within(25), /more than 24 deep/],
  ])('at its limit of %s, and not before', (_, most, more, said) => {
    expect(TokenTree.read(most).tokens.length).toBeGreaterThan(0);
    expect(() => TokenTree.read(more)).toThrow(said);
  });
});
