import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import type { Patch } from '../document';
import { fallbackPlan } from '../fallback';
import { seatedDocument, trials } from '../testing/documents';
import { marksOf, type Mark } from '.';

const RULES = [
  'wrong-generic',
  'generic-in-the-middle',
  'misspelt-font',
  'unknown-font',
  'other-class',
  'vague-generic',
  'unreached-fallback',
  'uncovered-letters',
  'floating-line',
  'no-line-height',
];

const after = (patch: Patch) => applyChange(seatedDocument(), patch).document;
const marked = (patch: Patch, evidence: Parameters<typeof marksOf>[1] = {}): Mark[] => {
  const document = after(patch);
  return marksOf(document, { fallback: fallbackPlan(document, trials()), ...evidence }).filter(
    ({ rule }) => RULES.includes(rule),
  );
};
const rules = (patch: Patch) => marked(patch).map(({ rule }) => rule);
const plain = (...names: string[]): Patch => [
  { op: 'add', path: '/voices/text/plain', value: names },
];

/** What puts a mark right leaves none of its rule. */
function rightedBy(patch: Patch, rule: string): void {
  const mark = marked(patch).find((one) => one.rule === rule);
  expect(mark?.fix).toBeDefined();
  const righted = applyChange(after(patch), mark?.fix?.patch ?? []).document;
  const left = marksOf(righted, { fallback: fallbackPlan(righted, trials()) });
  expect(left.some((one) => one.rule === rule)).toBe(false);
}

describe('marks on fallbacks', () => {
  test('are none on a stack as it is proposed', () => {
    expect(rules([])).toEqual([]);
  });

  test('a generic that is not of the face’s class', () => {
    const patch: Patch = [{ op: 'replace', path: '/voices/text/generic', value: 'sans-serif' }];
    expect(rules(patch)).toContain('wrong-generic');
    rightedBy(patch, 'wrong-generic');
    expect(rules([{ op: 'replace', path: '/case/literata/class', value: 'display' }])).toEqual([]);
  });

  test('a generic in the middle of the stack', () => {
    expect(rules(plain('serif', 'Georgia'))).toEqual(['generic-in-the-middle']);
    rightedBy(plain('serif', 'Georgia'), 'generic-in-the-middle');
  });

  test('a name that is misspelt, with the nearest known one, and one that nothing is near', () => {
    const [mark] = marked(plain('Gorgia'));
    expect(mark?.rule).toBe('misspelt-font');
    expect(mark?.message).toContain('Georgia');
    rightedBy(plain('Gorgia'), 'misspelt-font');
    expect(rules(plain('Lanternfish'))).toEqual(['unknown-font']);
    expect(rules(plain('Georgia', 'Iowan Old Style'))).toEqual([]);
  });

  test('a font of another class', () => {
    expect(rules(plain('Georgia', 'Verdana'))).toEqual(['other-class']);
    rightedBy(plain('Georgia', 'Verdana'), 'other-class');
    const sans: Patch = [
      { op: 'replace', path: '/voices/text/fallback', value: ['georgia', 'noto-serif'] },
      { op: 'replace', path: '/voices/text/generic', value: 'sans-serif' },
    ];
    expect(rules(sans).filter((rule) => rule === 'other-class')).toHaveLength(2);
  });

  test('a generic that looks different on every platform, in words', () => {
    const vague = marked([{ op: 'replace', path: '/voices/text/generic', value: 'cursive' }]);
    const mark = vague.find(({ rule }) => rule === 'vague-generic');
    for (const platform of ['Windows', 'macOS', 'Android'])
      expect(mark?.message).toContain(platform);
  });

  test('a fallback face that nobody reaches, and by whom it is kept from', () => {
    const patch: Patch = [
      {
        op: 'replace',
        path: '/voices/text/fallback',
        value: ['georgia', 'noto-serif', 'cambria'],
      },
    ];
    const [mark] = marked(patch);
    expect(mark?.rule).toBe('unreached-fallback');
    expect(mark?.message).toMatch(/Cambria.*Windows takes Georgia.*ChromeOS takes Noto Serif/);
    rightedBy(patch, 'unreached-fallback');
    const first = [{ ...patch[0], value: ['cambria', 'georgia', 'noto-serif'] }] as Patch;
    expect(rules(first)).toEqual([]);
  });

  test('letters that no fallback face of the stack has, but not those that one has', () => {
    const document = seatedDocument();
    const lacking = (missing: string[][]) => {
      const tried = trials();
      tried['text/literata']?.forEach(({ faces }, i) => {
        for (const face of faces) face.missing = missing[i] ?? [];
      });
      return marksOf(document, { fallback: fallbackPlan(document, tried) }).filter(
        ({ rule }) => rule === 'uncovered-letters',
      );
    };
    expect(lacking([['λ', 'μ'], ['λ']])[0]?.message).toContain('λ');
    expect(lacking([['λ', 'μ'], ['λ']])[0]?.message).not.toContain('μ');
    expect(lacking([['λ'], []])).toEqual([]);
    expect(lacking([['₁'], ['₁']])).toEqual([]);
  });

  test('a text element without a line height of its own', () => {
    const patch: Patch = [{ op: 'remove', path: '/styles/body/set/lineHeight' }];
    const found = marked(patch).filter(({ rule }) => rule === 'no-line-height');
    expect(found.map(({ style }) => style)).toContain('body');
    expect(found.map(({ style }) => style)).not.toContain('lead');
    expect(found[0]?.message).toContain('Safari');
  });

  test('a web face whose line differs between platforms, which is pinned to one', () => {
    const lines = (winAscent: number) =>
      Object.fromEntries(
        ['a', 'b', 'c', 'd'].map((digit) => [
          digit.repeat(64),
          {
            unitsPerEm: 1000,
            ascent: 900,
            descent: -250,
            lineGap: 0,
            hhea: { ascent: 900, descent: -250, lineGap: 0 },
            typo: { ascent: 900, descent: -250, lineGap: 0 },
            win: { ascent: winAscent, descent: 250, lineGap: 0 },
            useTypoMetrics: false,
          },
        ]),
      );
    const floating = marked([], { lines: lines(1000) });
    expect(floating.map(({ rule }) => rule)).toEqual(['floating-line', 'floating-line']);
    const pinned = applyChange(seatedDocument(), floating[0]?.fix?.patch ?? []).document;
    expect(Object.values(pinned.case).some(({ faces }) => faces[0]?.pinned?.ascent === 0.9)).toBe(
      true,
    );
    expect(marked([], { lines: lines(905) })).toEqual([]);
  });
});
