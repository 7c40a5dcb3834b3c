import { describe, expect, test } from '@jest/globals';
import {
  charactersByScript,
  languageOf,
  LANGUAGE_SOURCE,
  LANGUAGES,
  languagesCovered,
  missingLetters,
} from './coverage';

const mapsOf = (text: string) => {
  const codePoints = new Set([...text].map((character) => character.codePointAt(0)));
  return (codePoint: number) => codePoints.has(codePoint);
};
const ASCII = 'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ';

describe('coverage', () => {
  test('names at least thirty European languages, Greek, Cyrillic and Vietnamese, and its source', () => {
    expect(LANGUAGES.filter(({ script }) => script === 'latin').length).toBeGreaterThanOrEqual(30);
    for (const tag of ['el', 'ru', 'uk', 'bg', 'sr', 'vi']) expect(languageOf(tag)?.tag).toBe(tag);
    expect(LANGUAGE_SOURCE).toContain('CLDR');
    expect(new Set(LANGUAGES.map(({ tag }) => tag)).size).toBe(LANGUAGES.length);
  });

  test('takes every letter in both cases', () => {
    expect(languagesCovered(mapsOf(ASCII))).toEqual(['en']);
    const icelandic = languageOf('is');
    expect(icelandic && missingLetters(icelandic, mapsOf(`${ASCII}ðþæöáéíóúý`)).join('')).toBe(
      'ÁÐÉÍÓÚÝÞÆÖ',
    );
    expect(languageOf('tr')?.characters).toMatch(/ı.*İ/u);
    expect(languageOf('el')?.characters).toMatch(/ς.*Ώ/u);
  });

  test('finds a language by a longer tag, and none for one it has not', () => {
    expect(languageOf('nb-NO')?.tag).toBe('nb');
    expect(languageOf('ja')).toBeUndefined();
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
