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

  test('finds a language by a longer tag, and none for one it has not', () => {
    expect(languageOf('nb-NO')?.tag).toBe('nb');
    expect(languageOf('no')?.tag).toBe('nb');
    expect(languageOf('qaa')).toBeUndefined();
  });

  test.each([
    ['zh', 'zh-Hans'],
    ['zh-CN', 'zh-Hans'],
    ['zh-TW', 'zh-Hant'],
    ['zh-Hant-HK', 'zh-Hant'],
    ['yue', 'zh-Hant'],
    ['yue-Hans', 'zh-Hans'],
    ['uz-Cyrl-UZ', 'uz-Cyrl'],
  ])('finds %s by its script as %s', (tag, found) => {
    expect(languageOf(tag)?.tag).toBe(found);
  });

  test.each([
    ['ar', 'arabic', 'rtl'],
    ['he', 'hebrew', 'rtl'],
    ['ur', 'arabic', 'rtl'],
    ['yi', 'hebrew', 'rtl'],
    ['dv', 'thaana', 'rtl'],
    ['hi', 'devanagari', 'ltr'],
    ['ja', 'japanese', 'ltr'],
    ['ko', 'korean', 'ltr'],
    ['az-Arab', 'arabic', 'rtl'],
    ['az', 'latin', 'ltr'],
  ])('finds the script and the direction of %s', (tag, script, direction) => {
    expect(languageOf(tag)).toMatchObject({ script, direction });
  });

  test('knows the letters of scripts of many', () => {
    const has = (tag: string, text: string) =>
      [...text].every((one) => languageOf(tag)?.characters.includes(one));
    expect(has('ja', 'あんアン々人一鷹')).toBe(false);
    expect(has('ja', 'あんアン々人一燈')).toBe(false);
    expect(has('ja', 'あんアン々人一灯')).toBe(true);
    expect(has('zh-Hans', '这灯')).toBe(true);
    expect(has('zh-Hans', '這燈')).toBe(false);
    expect(has('zh-Hant', '這燈')).toBe(true);
    // KS X 1001 has so many syllables.
    expect([...(languageOf('ko')?.characters ?? '')]).toHaveLength(2350);
    expect(has('ko', '등대')).toBe(true);
    expect(has('ko', '뷁')).toBe(false);
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
