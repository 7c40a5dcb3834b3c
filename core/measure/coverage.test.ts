import { describe, expect, test } from '@jest/globals';
import { charactersByScript, languagesCovered, missingLetters } from './coverage';
import { languageOf } from '../script';

const mapsOf = (text: string) => {
  const codePoints = new Set([...text].map((character) => character.codePointAt(0)));
  return (codePoint: number) => codePoints.has(codePoint);
};
const ASCII = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';

describe('coverage', () => {
  test('takes every letter in both cases', () => {
    const covered = languagesCovered(mapsOf(ASCII));
    expect(covered).toContain('en');
    expect(covered).not.toContain('is');
    expect(covered).not.toContain('ja');
    const icelandic = languageOf('is');
    expect(icelandic && missingLetters(icelandic, mapsOf(`${ASCII}ðþæöáéíóúý`)).join('')).toBe(
      'ÁÐÉÍÓÚÝÞÆÖ',
    );
    expect(languageOf('tr')?.characters).toMatch(/ı.*İ/u);
    expect(languageOf('el')?.characters).toMatch(/ς.*Ώ/u);
  });

  test('sorts characters by script, each once', () => {
    const groups = charactersByScript([0x41, 0x3b1, 0x416, 0x31, 0x2e, 0x20ac, 0x20, 0xe6]);
    expect(groups).toEqual([
      { name: 'Latin', characters: ['A', 'æ'] },
      { name: 'Greek', characters: ['α'] },
      { name: 'Cyrillic', characters: ['Ж'] },
      { name: 'Figures', characters: ['1'] },
      { name: 'Punctuation', characters: ['.'] },
      { name: 'Signs', characters: ['€'] },
    ]);
  });
});
