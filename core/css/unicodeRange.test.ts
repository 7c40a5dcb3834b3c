import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatUnicodeRange, inUnicodeRange, parseUnicodeRange } from './unicodeRange';

describe('unicode-range', () => {
  test('is written with neighbours joined and read with the wildcard', () => {
    expect(formatUnicodeRange([0x61, 0x62, 0x63, 0x20, 0xa0])).toBe('U+20, U+61-63, U+A0');
    expect(parseUnicodeRange('U+4??, U+26')).toEqual([
      [0x400, 0x4ff],
      [0x26, 0x26],
    ]);
    expect(() => parseUnicodeRange('U+20; } body')).toThrow('is not a unicode-range');
  });

  test('holds just the characters it was written from', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 0x500 }), { minLength: 1 }),
        (points) => {
          const range = formatUnicodeRange(points);
          const wanted = new Set(points);
          for (let point = 0; point <= 0x500; point++) {
            expect(inUnicodeRange(range, point)).toBe(wanted.has(point));
          }
        },
      ),
      { numRuns: 20 },
    );
    expect(inUnicodeRange(null, 0x1f600)).toBe(true);
  });
});
