import { describe, expect, test } from '@jest/globals';
import { LANGUAGE_SOURCE, languageOf, LANGUAGES } from '.';

describe('languages', () => {
  test('names at least thirty European languages, Greek, Cyrillic and Vietnamese, and its source', () => {
    expect(LANGUAGES.filter(({ script }) => script === 'latin').length).toBeGreaterThanOrEqual(30);
    for (const tag of ['el', 'ru', 'uk', 'bg', 'sr', 'vi']) expect(languageOf(tag)?.tag).toBe(tag);
    expect(LANGUAGE_SOURCE).toContain('CLDR');
    expect(new Set(LANGUAGES.map(({ tag }) => tag)).size).toBe(LANGUAGES.length);
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
});
