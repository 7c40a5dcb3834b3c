import { describe, expect, test } from '@jest/globals';
import { countWords, tuningTextOf, type LanguageText } from './tuningText';

const english: LanguageText = {
  words: new Map([
    ['the', 9],
    ['light', 1],
  ]),
  judged: [
    {
      kind: 'declaration',
      language: 'en',
      sentences: ['Everyone has the right to a light.'],
    },
    { kind: 'names', language: 'en', sentences: ['Iceland', 'Norway'] },
  ],
};

describe('the text that fallbacks are tuned on', () => {
  test('is every other sentence of the copy; the rest is held out', () => {
    const { tuning, judged } = tuningTextOf('The light. The sea is up. The lamp is out.', []);
    expect([...tuning.keys()]).toEqual(
      expect.arrayContaining(['The', 'light.', 'lamp', 'is', 'out.']),
    );
    expect(tuning.has('sea')).toBe(false);
    expect(judged).toEqual([{ kind: 'copy', language: null, sentences: ['The sea is up.'] }]);
    expect((tuning.get('The') ?? 0) / (tuning.get('out.') ?? 1)).toBeCloseTo(2, 8);
  });

  test('has the languages’ words too, the copy counting three times as much', () => {
    const { tuning, judged } = tuningTextOf('Lamp oil. Wick.', [english]);
    const sum = (words: string[]) =>
      words.reduce((total, word) => total + (tuning.get(word) ?? 0), 0);
    expect(sum(['Lamp', 'oil.']) / sum(['the', 'light'])).toBeCloseTo(3, 8);
    expect(judged.map(({ kind }) => kind)).toEqual(['copy', 'declaration', 'names']);
  });

  test('stands on the languages alone where there is no copy, figures among it', () => {
    const { tuning, judged } = tuningTextOf('', [english]);
    expect((tuning.get('the') ?? 0) / (tuning.get('light') ?? 1)).toBeCloseTo(9, 8);
    expect([...tuning.keys()].some((word) => /^\d+$/.test(word))).toBe(true);
    expect(judged).toEqual(english.judged);
  });

  test('of a megabyte of copy keeps the most frequent words, and a few pages to judge by', () => {
    const words = Array.from({ length: 180_000 }, (_, i) => `w${(i * 7919) % 5000}`);
    const copy = words.map((word, i) => (i % 12 === 0 ? `${word}.` : word)).join(' ');
    expect(copy.length).toBeGreaterThan(1_000_000);
    const { tuning, judged } = tuningTextOf(copy, []);
    expect(tuning.size).toBeLessThanOrEqual(2000);
    expect(judged[0]?.sentences.join('').length).toBeLessThanOrEqual(6000);
  });

  test('judges by each language in turn, none longer than its share', () => {
    const long = (language: string): LanguageText => ({
      words: new Map(),
      judged: [
        {
          kind: 'declaration',
          language,
          sentences: Array.from({ length: 900 }, () => 'Ten chars.'),
        },
      ],
    });
    const { judged } = tuningTextOf('', [long('en'), long('de'), long('fr')]);
    expect(judged.map(({ language }) => language)).toEqual(['en', 'de', 'fr']);
    for (const { sentences } of judged) expect(sentences.join('')).toHaveLength(2000);
  });

  test('counts words as they stand', () => {
    expect([...countWords(['a b a', ' b  c'])]).toEqual([
      ['a', 2],
      ['b', 2],
      ['c', 1],
    ]);
  });
});
