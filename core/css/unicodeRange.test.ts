import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  formatUnicodeRange,
  inUnicodeRange,
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

describe('what several ranges have together', () => {
  test('is written as one, in order, neighbours joined', () => {
    expect(unitedUnicodeRange(['U+A0-FF', 'U+20-7E, U+7F-9F'])).toBe('U+20-FF');
    expect(unitedUnicodeRange(['U+41-5A', 'U+41', 'U+50-60'])).toBe('U+41-60');
    expect(unitedUnicodeRange(['U+43', 'U+41'])).toBe('U+41, U+43');
    expect(unitedUnicodeRange([])).toBe('');
  });
});
