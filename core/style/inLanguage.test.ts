import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import { scriptedDocument, seatedDocument } from '../testing/documents';
import { documentInLanguage, scriptRequests, siteLanguages } from './inLanguage';
import { resolveStyle } from './resolve';
import { languagesPatch } from './setLanguages';

const languageIn = (document: ReturnType<typeof scriptedDocument>, tag: string) => {
  const language = siteLanguages(document).find((one) => one.tag === tag);
  if (!language) throw new Error(`${tag} is no language of the site`);
  return language;
};
const inLanguage = (tag: string, document = scriptedDocument()) =>
  documentInLanguage(document, languageIn(document, tag));

describe('how a language is set', () => {
  test('goes by its script beside that of the first', () => {
    const [english, arabic, japanese] = siteLanguages(scriptedDocument());
    expect(english?.setting).toMatchObject({ lineHeight: 1, spacing: 'kept', emphasis: 'italic' });
    expect(arabic?.setting).toMatchObject({
      lineHeight: 1.15,
      spacing: 'none',
      emphasis: 'weight',
    });
    expect(japanese?.setting).toMatchObject({
      lineHeight: 1.15,
      spacing: 'kept',
      emphasis: 'dots',
    });
  });

  test('is the other way round where the first is another', () => {
    const document = { ...scriptedDocument(), languages: ['ar', 'en'] };
    const [arabic, english] = siteLanguages(document);
    expect(arabic?.setting.lineHeight).toBe(1);
    expect(english?.setting.lineHeight).toBeCloseTo(1 / 1.15, 4);
  });

  test('goes by what the project says, but for space between joined letters', () => {
    const document = {
      ...scriptedDocument(),
      byLanguage: {
        ar: { lineHeight: 1.4, spacing: 'kept' as const },
        ja: { spacing: 'none' as const },
      },
    };
    expect(languageIn(document, 'ar').setting).toMatchObject({ lineHeight: 1.4, spacing: 'none' });
    expect(languageIn(document, 'ja').setting.spacing).toBe('none');
  });

  test('none of a language that no table has', () => {
    expect(siteLanguages({ languages: ['en', 'qaa'] }).map(({ tag }) => tag)).toEqual(['en']);
    expect(siteLanguages({ languages: ['qaa'] })).toEqual([]);
  });
});

describe('the project in a language', () => {
  test('has higher lines, no spacing, no capitals and a weight for italics in Arabic', () => {
    const document = scriptedDocument();
    const at = inLanguage('ar', document);
    const [usual, there] = [document, at].map((one) => resolveStyle(one, 'kicker'));
    expect(usual?.letterSpacing.value).toBe(0.06);
    expect(there?.letterSpacing.value).toBe(0);
    expect([usual?.case.value, there?.case.value]).toEqual(['uppercase', 'none']);
    expect(resolveStyle(at, 'body').lineHeight.value).toBeCloseTo(1.55 * 1.15, 4);
    expect(resolveStyle(at, 'emphasis')).toMatchObject({
      slant: { value: 'normal' },
      weight: { value: 700 },
    });
  });

  test('has no weight for italics in Japanese, where dots stand for them', () => {
    const at = inLanguage('ja');
    expect(at.styles['emphasis']?.set).toEqual({ slant: 'normal' });
  });

  test('is as it was in the first, and keeps what does not differ', () => {
    const document = scriptedDocument();
    expect(inLanguage('en', document).styles).toEqual(document.styles);
    expect(inLanguage('ar', document).elements).toBe(document.elements);
    expect(inLanguage('ar', document).scale).toBe(document.scale);
  });

  test('has sizes so many times as large, those set by hand too', () => {
    const document = {
      ...scriptedDocument(),
      byLanguage: { ja: { size: 0.9, measure: 0.5 } },
    };
    document.scale.overrides = { 2: { small: 20 } };
    Object.assign(document.styles['body']?.set ?? {}, { measure: '60ch', alignment: 'justify' });
    const at = documentInLanguage(document, languageIn(document, 'ja'));
    expect(at.scale.small.base).toBeCloseTo(document.scale.small.base * 0.9, 4);
    expect(at.scale.overrides).toEqual({ 2: { small: 18 } });
    expect(at.styles['body']?.set.measure).toBe('30ch');
    expect(at.styles['body']?.set.alignment).toBe('justify');
  });

  test('asks the ideographs of its own script first', () => {
    const document = scriptedDocument();
    Object.assign(document.voices['text']?.scripts ?? {}, {
      'chinese-simplified': { family: 'mincho', size: 1 },
    });
    document.languages = ['en', 'ja', 'zh-Hans'];
    const order = (tag: string) =>
      Object.keys(inLanguage(tag, document).voices['text']?.scripts ?? {});
    expect(order('ja')[0]).toBe('japanese');
    expect(order('zh-Hans')[0]).toBe('chinese-simplified');
    expect(order('en')).toEqual(['arabic', 'japanese', 'chinese-simplified']);
  });
});

test('a script’s family is asked for what its languages set, not for italics that they have none of', () => {
  const arabic = languageIn(scriptedDocument(), 'ar').script;
  const requests = scriptRequests(scriptedDocument(), 'text', arabic);
  expect(requests.some(({ slant }) => slant === 'italic')).toBe(false);
  expect(requests.map(({ weight }) => weight)).toEqual(expect.arrayContaining([400, 700]));
  expect(
    scriptRequests(seatedDocument(), 'text', arabic).some(({ slant }) => slant === 'italic'),
  ).toBe(true);
});

describe('what a style has otherwise in a language', () => {
  const withOwn = () => {
    const document = scriptedDocument();
    Object.assign(document.styles['body'] ?? {}, {
      narrow: { lineHeight: 1.6 },
      at: { 'lang-ar': { lineHeight: 1.9, weight: 500 }, hover: { weight: 600 } },
    });
    return document;
  };

  test('goes before what the language has all text, on narrow screens too, and is nowhere else', () => {
    const document = withOwn();
    const arabic = inLanguage('ar', document);
    expect(arabic.styles['body']?.set).toMatchObject({ lineHeight: 1.9, weight: 500 });
    expect(arabic.styles['body']?.narrow?.lineHeight).toBe(1.9);
    expect(arabic.styles['body']?.at).toEqual({ hover: { weight: 600 } });
    // What follows the style follows it there.
    const others = Object.entries(document.styles).filter(
      ([, { follows, set }]) => follows === 'body' && set.weight === undefined,
    );
    for (const [key] of others) expect(resolveStyle(arabic, key).weight.value).toBe(500);
    expect(inLanguage('ja', document).styles['body']?.set.weight).toBe(
      document.styles['body']?.set.weight,
    );
  });

  test('goes with the language when that goes, and alone', () => {
    const document = { ...withOwn(), byLanguage: { ar: { size: 1.1 }, ja: { size: 0.9 } } };
    const patch = languagesPatch(document, ['en', 'ja']);
    const after = applyChange(document, patch).document;
    expect(after.languages).toEqual(['en', 'ja']);
    expect(after.byLanguage).toEqual({ ja: { size: 0.9 } });
    expect(after.styles['body']?.at).toEqual({ hover: { weight: 600 } });
    expect(languagesPatch(document, [])).toEqual([]);
  });

  test.each([
    ['lang-he', { weight: 500 }, /names the width or language “lang-he”/],
    // Arabic is joined, Japanese is not.
    ['lang-ar', { letterSpacing: 0.1 }, /nothing that browsers take there: letter spacing/],
  ])('is refused at %s for %j', (place, values, says) => {
    const change = () =>
      applyChange(scriptedDocument(), [
        { op: 'add', path: '/styles/body/at', value: { [place]: values } },
      ]);
    expect(change).toThrow(says);
    const inJapanese = [
      { op: 'add' as const, path: '/styles/body/at', value: { 'lang-ja': { letterSpacing: 0.1 } } },
    ];
    expect(() => applyChange(scriptedDocument(), inJapanese)).not.toThrow();
  });
});
