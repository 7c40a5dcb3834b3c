import { expect, test } from '@jest/globals';
import { claimedClass } from './claimedClass';

const NONE = [0, 0, 0, 0];

test.each([
  ['PANOSE with serifs', { panose: [2, 4, 5, 3], fixedPitch: false, family: 'X' }, 'serif'],
  ['PANOSE without', { panose: [2, 11, 5, 3], fixedPitch: false, family: 'X' }, 'sans-serif'],
  ['PANOSE monospaced', { panose: [2, 11, 5, 9], fixedPitch: false, family: 'X' }, 'monospace'],
  ['PANOSE script', { panose: [3, 0, 0, 0], fixedPitch: false, family: 'X' }, 'handwriting'],
  ['fixed pitch', { panose: NONE, fixedPitch: true, family: 'X' }, 'monospace'],
  ['the name', { panose: NONE, fixedPitch: false, family: 'Skerry Slab' }, 'serif'],
  [
    '“sans” before “serif” in a name',
    { panose: NONE, fixedPitch: false, family: 'Skerry Sans Serif' },
    'sans-serif',
  ],
  ['nothing', { panose: NONE, fixedPitch: false, family: 'Skerry' }, null],
] as const)('the class claimed by %s', (_by, claims, expected) => {
  expect(claimedClass(claims)).toBe(expected);
});
