import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { LocalAdvances } from './advances';
import { eachLetter, groupLetters, meanRatio, oneRatio, partInOrder } from './groupLetters';
import { fittedWidth, meanWordError, wordModel, type WordModel } from './wordModel';

const LETTERS = [...'abcdefghijklmnop'];

/** A web face whose letters are wider than the local font's by a ratio each, without kerning. */
function model(ratios: readonly number[], words: readonly string[]): WordModel {
  const advances = Object.fromEntries(LETTERS.map((letter, i) => [letter, 0.4 + (i % 5) * 0.05]));
  const local: LocalAdvances = { advances, pairs: {}, colour: null, lines: null };
  const made = wordModel(
    new Map(words.map((word) => [word, 1])),
    (word) =>
      [...word].reduce(
        (sum, letter) => sum + (advances[letter] ?? 0) * (ratios[LETTERS.indexOf(letter)] ?? 1),
        0,
      ),
    local,
  );
  if (!made) throw new Error('no model');
  return made;
}

const someWords = Array.from({ length: 300 }, (_, i) =>
  [1, 3, 7, 11, 5].map((step) => LETTERS[(i * step + step) % LETTERS.length]).join(''),
);

describe('parting values on a line', () => {
  /** Every way to cut a sorted list into k pieces, tried. */
  function leastSpread(sorted: number[], k: number): number {
    const spread = (part: number[]) => {
      const mean = part.reduce((sum, value) => sum + value, 0) / (part.length || 1);
      return part.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    };
    if (k === 1) return spread(sorted);
    return Math.min(
      ...Array.from(
        { length: Math.max(1, sorted.length - 1) },
        (_, i) => spread(sorted.slice(0, i + 1)) + leastSpread(sorted.slice(i + 1), k - 1),
      ),
    );
  }

  test('finds the least spread that any cuts give', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.8, max: 1.2, noNaN: true }), { minLength: 3, maxLength: 8 }),
        fc.integer({ min: 1, max: 3 }),
        (values, k) => {
          const groups = partInOrder(
            Float64Array.from(values),
            new Float64Array(values.length).fill(1),
            k,
          );
          let sum = 0;
          for (let group = 0; group < k; group++) {
            const part = values.filter((_, i) => groups[i] === group);
            const mean = part.reduce((total, value) => total + value, 0) / (part.length || 1);
            sum += part.reduce((total, value) => total + (value - mean) ** 2, 0);
          }
          expect(sum).toBeLessThanOrEqual(
            leastSpread(
              [...values].sort((a, b) => a - b),
              k,
            ) + 1e-9,
          );
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('grouping letters', () => {
  const two = model(
    LETTERS.map((_, i) => (i % 2 ? 1.04 : 0.97)),
    someWords,
  );

  test('finds the groups that a face is made of, and then nothing is off', () => {
    const letters = eachLetter(two, 0.1);
    expect(meanWordError(two, letters)).toBeLessThan(1e-4);
    const [one, found] = groupLetters(two, letters, 2, 0.1);
    expect(one?.error).toBeGreaterThan(0.01);
    expect(found?.error).toBeLessThan(1e-4);
    expect([...(found?.ratios ?? [])].sort()[0]).toBeCloseTo(0.97, 3);
  });

  test('holds the limit, and is no worse with more groups', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.85, max: 1.15, noNaN: true }), {
          minLength: LETTERS.length,
          maxLength: LETTERS.length,
        }),
        fc.constantFrom(0.02, 0.06, 0.1),
        (ratios, limit) => {
          const made = model(ratios, someWords);
          const found = groupLetters(made, eachLetter(made, limit), 4, limit);
          found.forEach(({ error, groups, ratios: fitted }, i) => {
            expect(error).toBeLessThanOrEqual((found[i - 1]?.error ?? Infinity) + 1e-12);
            const mean = meanRatio(made, groups, fitted);
            for (const ratio of fitted) {
              expect(Math.abs(ratio / mean - 1)).toBeLessThanOrEqual(limit + 0.001);
            }
          });
        },
      ),
      { numRuns: 15 },
    );
  });

  test('stops as soon as it is near enough', () => {
    const letters = eachLetter(two, 0.1);
    expect(groupLetters(two, letters, 6, 0.1, (error) => error < 0.5)).toHaveLength(1);
    expect(groupLetters(two, letters, 6, 0.1, (error) => error < 0.001)).toHaveLength(2);
  });

  test('with one ratio leaves the sum as wide as it is', () => {
    const grouping = oneRatio(two);
    let [sum, whole] = [0, 0];
    for (let word = 0; word < two.count; word++) {
      const weight = (two.shares[word] ?? 0) * (two.widths[word] ?? 0);
      sum += weight * fittedWidth(two, grouping, word);
      whole += weight;
    }
    expect(sum / whole).toBeCloseTo(1, 10);
  });
});

describe('kerning', () => {
  test('holds within a group, and is lost between two', () => {
    const local: LocalAdvances = {
      advances: { T: 0.6, o: 0.5 },
      pairs: { To: -0.1 },
      colour: null,
      lines: null,
    };
    const made = wordModel(new Map([['To', 1]]), () => 1, local);
    if (!made) throw new Error('no model');
    const word = [...made.shares].indexOf(Math.max(...made.shares));
    const width = (groups: number[]) =>
      fittedWidth(
        made,
        {
          groups: Int32Array.from(groups),
          ratios: Float64Array.of(1, 1),
        },
        word,
      );
    expect(width([0, 0])).toBeCloseTo(1, 10);
    expect(width([0, 1])).toBeCloseTo(1.1, 10);
  });
});
