import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  boldFace,
  nearestFace,
  onOffer,
  regularFace,
  weightWithin,
  type ListedFace,
} from './family';

const upright = (weightMin: number, weightMax = weightMin): ListedFace => ({
  style: 'normal',
  weightMin,
  weightMax,
});
const italic = (weightMin: number, weightMax = weightMin): ListedFace => ({
  style: 'italic',
  weightMin,
  weightMax,
});

describe('the faces that show and measure a family', () => {
  test.each<[string, ListedFace[], ListedFace | undefined]>([
    ['the regular', [upright(300), upright(400), upright(700)], upright(400)],
    ['a variable one that holds it', [upright(200, 900)], upright(200, 900)],
    ['the nearest where there is none', [upright(300), upright(700)], upright(300)],
    ['an italic where there is no upright', [italic(500)], italic(500)],
    ['none of no faces', [], undefined],
  ])('%s', (_what, faces, expected) => {
    expect(regularFace(faces)).toEqual(expected);
  });

  test('of two that claim one place, the later: it is what a browser shows', () => {
    const [first, second] = [upright(400), upright(400)];
    expect(nearestFace([first, second])).toBe(second);
  });

  test('bold is 600 or more', () => {
    expect(boldFace([upright(400), upright(500)])).toBeUndefined();
    expect(boldFace([upright(400), upright(600)])).toEqual(upright(600));
    expect(boldFace([upright(400), italic(700)], 'italic')).toEqual(italic(700));
  });

  test.each<[ListedFace[], [boolean, boolean, boolean]]>([
    [
      [upright(400), upright(700), italic(400)],
      [true, true, true],
    ],
    [[upright(200, 900)], [true, true, false]],
    [[upright(300)], [false, false, false]],
    [[upright(500)], [true, false, false]],
    [[italic(400)], [false, false, true]],
  ])('what %j offer', (faces, [regular, bold, hasItalic]) => {
    expect(onOffer(faces)).toEqual({ regular, bold, italic: hasItalic });
  });

  test('a weight is found within a face, and at its ends beyond them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1000 }),
        fc.integer({ min: 1, max: 1000 }),
        fc.integer({ min: 1, max: 1000 }),
        (a, b, wanted) => {
          const range = upright(Math.min(a, b), Math.max(a, b));
          const found = weightWithin(range, wanted);
          expect(found).toBeGreaterThanOrEqual(range.weightMin);
          expect(found).toBeLessThanOrEqual(range.weightMax);
          if (wanted >= range.weightMin && wanted <= range.weightMax) expect(found).toBe(wanted);
        },
      ),
    );
  });
});
