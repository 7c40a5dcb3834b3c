import { describe, expect, test } from '@jest/globals';
import { face } from '../testing/documents';
import { claimSamePlace, freeKey, sharedPlaces, sortFaces, widthRange } from './faces';
import type { Face } from './projectDocument';

const one = (more: Partial<Face> = {}, script = 'latin'): Face => ({
  ...face('normal', 400),
  files: [{ sha256: '0'.repeat(64), script, unicodeRange: null, bytes: 1 }],
  ...more,
});

describe('two faces claim one place', () => {
  test.each<[string, Face, Face, boolean]>([
    ['alike in all', one(), one(), true],
    ['of other styles', one(), one({ style: 'italic' }), false],
    ['of other weights', one(), one({ weightMin: 401, weightMax: 500 }), false],
    ['whose weights meet at an end', one(), one({ weightMin: 400, weightMax: 500 }), true],
    ['whose weights meet at the other', one(), one({ weightMin: 300, weightMax: 400 }), true],
    ['one within the other', one({ weightMin: 100, weightMax: 900 }), one(), true],
    ['of other widths', one(), one({ widthMin: 75, widthMax: 75 }), false],
    ['whose widths meet', one(), one({ widthMin: 75, widthMax: 100 }), true],
    ['of other scripts', one(), one({}, 'greek'), false],
    ['of one script', one({}, 'greek'), one({}, 'greek'), true],
    ['of which one has all scripts', one({}, 'all'), one({}, 'greek'), true],
    ['of which the other has all scripts', one(), one({}, 'all'), true],
  ])('%s: %#', (_what, a, b, claim) => {
    expect(claimSamePlace(a, b)).toBe(claim);
    expect(claimSamePlace(b, a)).toBe(claim);
    expect(sharedPlaces([a, b])).toEqual(claim ? [[0, 1]] : []);
  });
});

test('faces stand upright before italic, narrow before wide, light before heavy', () => {
  const faces = [
    one({ style: 'italic', weightMin: 300, weightMax: 300 }),
    one({ weightMin: 700, weightMax: 700 }),
    one({ widthMin: 75, widthMax: 75, weightMin: 900, weightMax: 900 }),
    one(),
  ];
  expect(sortFaces(faces)).toEqual([faces[2], faces[3], faces[1], faces[0]]);
  expect(widthRange(one())).toEqual([100, 100]);
});

test('a key is one that no other has, and that CSS can name', () => {
  expect(freeKey([], 'skerry')).toBe('skerry');
  expect(freeKey(['skerry', 'skerry-2'], 'skerry')).toBe('skerry-3');
  expect(freeKey([], '7-knots')).toBe('family-7-knots');
  expect(freeKey([], `a${'-b'.repeat(40)}`)).toMatch(/^[a-z0-9-]{1,60}$/);
});
