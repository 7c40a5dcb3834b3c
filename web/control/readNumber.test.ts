import { describe, expect, test } from '@jest/globals';
import { count, kilobytes, percent, plainNumber } from './figures';
import { readNumber } from './readNumber';

describe('readNumber', () => {
  test.each<[string, 'px' | 'em' | 'none', number | null]>([
    ['18', 'px', 18],
    ['18px', 'px', 18],
    ['1.125rem', 'px', 18],
    ['13.5pt', 'px', 18],
    ['1,5', 'none', 1.5],
    ['16/9', 'none', 16 / 9],
    ['.5', 'none', 0.5],
    ['-2%', 'em', -0.02],
    ['0.02em', 'em', 0.02],
    ['18em', 'px', null],
    ['18px', 'none', null],
    ['1/0', 'none', null],
    ['eighteen', 'px', null],
    ['', 'px', null],
  ])('reads %j in %s as %p', (text, unit, expected) => {
    const value = readNumber(text, unit);
    if (expected === null) expect(value).toBeNull();
    else expect(value).toBeCloseTo(expected, 10);
  });
});

test('a size without a unit is in the one preferred', () => {
  expect(readNumber('1.5', 'size', 'rem')).toBe(24);
  expect(readNumber('18px', 'size', 'rem')).toBe(18);
  expect(readNumber('13.5', 'size', 'pt')).toBe(18);
  expect(readNumber('20', 'size')).toBe(20);
  expect(readNumber('2em', 'size', 'rem')).toBeNull();
});

test('figures are written one way', () => {
  expect([kilobytes(900), kilobytes(52_496), kilobytes(291_000)]).toEqual([
    '900 B',
    '52.5 KB',
    '291 KB',
  ]);
  expect([count(1, 'file'), count(3, 'family'), count(0, 'mark')]).toEqual([
    '1 file',
    '3 families',
    '0 marks',
  ]);
  expect(percent(0.0312)).toBe('3.1 %');
  expect(plainNumber(-0)).toBe('0');
});
