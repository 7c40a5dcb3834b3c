import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  formatUnicodeRange,
  inUnicodeRange,
  lessUnicodeRange,
  sharedUnicodeRange,
  unitedUnicodeRange,
} from './unicodeRange';

describe('what two ranges share', () => {
  test('is what is in both', () => {
    expect(sharedUnicodeRange(null, 'U+20-7E')).toBe('U+20-7E');
    expect(sharedUnicodeRange('U+61, U+3BB', 'U+0-FF')).toBe('U+61');
    expect(sharedUnicodeRange('U+3BB', 'U+0-FF')).toBe('');
    expect(sharedUnicodeRange(null, null)).toBe('U+00-10FFFF');
  });

  test('holds for any two, character by character', () => {
    const range = fc
      .uniqueArray(fc.integer({ min: 32, max: 300 }), { minLength: 1, maxLength: 40 })
      .map(formatUnicodeRange);
    fc.assert(
      fc.property(range, range, fc.integer({ min: 32, max: 300 }), (a, b, code) => {
        const shared = sharedUnicodeRange(a, b);
        expect(shared !== '' && inUnicodeRange(shared, code)).toBe(
          inUnicodeRange(a, code) && inUnicodeRange(b, code),
        );
      }),
    );
  });
});

describe('what a range has and another has not', () => {
  test('is what is in one alone', () => {
    expect(lessUnicodeRange('U+20-7E', 'U+30-39, U+50')).toBe('U+20-2F, U+3A-4F, U+51-7E');
    expect(lessUnicodeRange('U+41-5A', 'U+0-FF')).toBe('');
    expect(lessUnicodeRange(null, 'U+0-FF, U+200-10FFFF')).toBe('U+100-1FF');
    expect(lessUnicodeRange('U+41', '')).toBe('U+41');
  });

  test('holds for any two written in any order, character by character', () => {
    const part = fc
      .tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 30 }))
      .map(([from, more]) => `U+${from.toString(16)}-${(from + more).toString(16)}`);
    const range = fc.array(part, { minLength: 1, maxLength: 20 }).map((parts) => parts.join(', '));
    fc.assert(
      fc.property(range, range, fc.integer({ min: 0, max: 340 }), (a, b, code) => {
        const has = (parts: string) => parts !== '' && inUnicodeRange(parts, code);
        expect(has(lessUnicodeRange(a, b))).toBe(has(a) && !has(b));
        expect(has(sharedUnicodeRange(a, b))).toBe(has(a) && has(b));
      }),
    );
  });
});

test('ranges of thousands of letters are worked with in a moment', () => {
  const every = (step: number) =>
    formatUnicodeRange(Array.from({ length: 20_000 }, (_, i) => 0x4e00 + i * step));
  const [twos, threes] = [every(2), every(3)];
  const started = performance.now();
  sharedUnicodeRange(twos, threes);
  lessUnicodeRange(twos, threes);
  // Every range with every other: a minute.
  expect(performance.now() - started).toBeLessThan(2000);
});

describe('what several ranges have together', () => {
  test('is written as one, in order, neighbours joined', () => {
    expect(unitedUnicodeRange(['U+A0-FF', 'U+20-7E, U+7F-9F'])).toBe('U+20-FF');
    expect(unitedUnicodeRange(['U+41-5A', 'U+41', 'U+50-60'])).toBe('U+41-60');
    expect(unitedUnicodeRange(['U+43', 'U+41'])).toBe('U+41, U+43');
    expect(unitedUnicodeRange([])).toBe('');
  });
});
