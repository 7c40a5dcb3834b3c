import fc from 'fast-check';
import { ROUNDINGS, type Scale } from '../../document';

export const scale = (more: Partial<Scale> = {}): Scale => ({
  small: { width: 360, base: 16, ratio: 1.2 },
  large: { width: 1280, base: 18, ratio: 1.25 },
  down: 2,
  up: 4,
  rounding: 'none',
  overrides: {},
  ...more,
});

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Any scale of one series, without steps set by hand. */
export const anyScale = (): fc.Arbitrary<Scale> =>
  fc
    .record({
      small: fc.record({
        width: fc.integer({ min: 200, max: 900 }),
        base: double(8, 64),
        ratio: double(1, 2),
      }),
      large: fc.record({
        width: fc.integer({ min: 1000, max: 2400 }),
        base: double(8, 64),
        ratio: double(1, 2),
      }),
      down: fc.integer({ min: 0, max: 4 }),
      up: fc.integer({ min: 1, max: 6 }),
      rounding: fc.constantFrom(...ROUNDINGS),
      halves: fc.uniqueArray(fc.integer({ min: -4, max: 5 }), { maxLength: 3 }),
    })
    .map(({ halves, ...given }) => ({
      ...given,
      overrides: {},
      added: halves
        .map((number) => number + 0.5)
        .filter((number) => number > -given.down && number < given.up),
    }));
