import { describe, expect, test } from '@jest/globals';
import { splitByScript } from './scripts';

const points = (text: string) => [...text].map((one) => one.codePointAt(0) ?? 0);
const split = (text: string) =>
  Object.fromEntries(
    splitByScript(points(text)).map(({ script, codePoints }) => [
      script,
      String.fromCodePoint(...codePoints),
    ]),
  );

describe('characters by script', () => {
  test('have the marks with every script that has letters, so that a letter and its marks are one run', () => {
    // A stress mark on Cyrillic, a tilde on m, a macron and an acute on Greek.
    const parts = split('за́мок m̃ ᾱ́');
    expect(parts['cyrillic']).toContain('\u0301');
    expect(parts['latin']).toContain('\u0303');
    expect(parts['greek']).toContain('\u0301');
    expect(Object.keys(parts).sort()).toEqual(['cyrillic', 'greek', 'latin']);
  });

  test('make no file of marks or signs alone beside letters', () => {
    expect(split('a\u0301')).toEqual({ latin: 'a\u0301' });
    expect(split('a→')).toEqual({ latin: 'a→' });
    expect(split('\u0301')).toEqual({ other: '\u0301' });
  });
});
