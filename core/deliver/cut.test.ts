import { describe, expect, test } from '@jest/globals';
import { cutName, cutOf, madeKey, PACKED, type Cut } from './cut';

const cuts: Cut[] = [
  PACKED,
  { ...PACKED, axes: { wght: [400, 700] } },
  { ...PACKED, axes: { opsz: [12.5, 40], slnt: [-10, 0], wght: [650, 650] } },
  { ...PACKED, characters: 'U+20-7E, U+A0, U+1F600' },
  { ...PACKED, features: ['kern', 'liga'] },
  { ...PACKED, features: [] },
  { axes: { wght: [400, 400] }, characters: 'U+41', features: ['ss01'] },
];

describe('a cut', () => {
  test.each(cuts)('goes by one name there and back: %j', (cut) => {
    expect(cutOf(cutName(cut))).toEqual(cut);
  });

  test('has a name that no other has, whatever order it was made in', () => {
    expect(new Set(cuts.map(cutName)).size).toBe(cuts.length);
    const [one, other] = [
      { axes: { wght: [4, 5], opsz: [1, 2] }, characters: null, features: ['bbbb', 'aaaa'] },
      { axes: { opsz: [1, 2], wght: [4, 5] }, characters: null, features: ['aaaa', 'bbbb'] },
    ] as const;
    expect(cutName(one)).toBe(cutName(other));
    expect(madeKey('a', PACKED)).not.toBe(madeKey('b', PACKED));
  });

  test.each(['', 'ttf', 'woff2 wght=4', 'woff2 wght=4:5 x', 'woff2 features=kerning', 'woff2  '])(
    'is not “%s”',
    (name) => {
      expect(() => cutOf(name)).toThrow(RangeError);
    },
  );
});
