import { describe, expect, test } from '@jest/globals';
import { othersCame } from './nearRows';

describe('a list in which others came', () => {
  test.each([
    ['abc', 'abxc'],
    ['abc', 'xabc'],
    ['abc', 'abcx'],
    ['abc', 'xac'],
  ])('is told where %s became %s', (before, now) => {
    expect(othersCame([...before], [...now])).toBe(true);
  });

  test.each([
    ['abc', 'abc'],
    ['abc', 'bca'],
    ['abc', 'bxac'],
    ['abc', 'ac'],
    ['abc', ''],
  ])('is another list where %s became %s', (before, now) => {
    expect(othersCame([...before], [...now])).toBe(false);
  });
});
