import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ROUNDINGS, type Scale } from '../document';
import { fluidCss, fluidSizeAt, ROOT_SIZE, type FluidSize } from './fluid';
import { stepSizeAt } from './fluidStep';
import { roundSize, stepName, stepsOf } from './steps';

const scale = (more: Partial<Scale> = {}): Scale => ({
  small: { width: 360, base: 16, ratio: 1.2 },
  large: { width: 1280, base: 18, ratio: 1.25 },
  down: 2,
  up: 4,
  rounding: 'none',
  overrides: {},
  ...more,
});

/** Evaluates what `fluidCss` writes, at a viewport width in CSS px. */
function evaluate(css: string, width: number): number {
  const rem = (text: string) => Number(text.replace('rem', '')) * ROOT_SIZE;
  const match = /^clamp\((.+?), (-?[\d.]+rem) ([+-]) ([\d.]+)vw, (.+)\)$/.exec(css);
  if (!match) return rem(css);
  const [, lower = '', intercept = '', sign, rate, upper = ''] = match;
  const preferred = rem(intercept) + ((sign === '-' ? -1 : 1) * Number(rate) * width) / 100;
  return Math.max(rem(lower), Math.min(preferred, rem(upper)));
}

describe('steps', () => {
  test('are the base times powers of the ratio, at each end', () => {
    const steps = stepsOf(scale());
    expect(steps.map(({ name }) => name)).toEqual([
      'down-2',
      'down-1',
      'base',
      'up-1',
      'up-2',
      'up-3',
      'up-4',
    ]);
    expect(steps[2]).toMatchObject({ small: 16, large: 18 });
    expect(steps[5]?.small).toBeCloseTo(16 * 1.2 ** 3, 10);
    expect(steps[0]?.large).toBeCloseTo(18 / 1.25 ** 2, 10);
    expect([stepName(0), stepName(3), stepName(-1)]).toEqual(['base', 'up-3', 'down-1']);
  });

  test('are rounded at their ends, unless set by hand', () => {
    const [, , base, up1] = stepsOf(scale({ rounding: 'even', overrides: { '1': { large: 23 } } }));
    expect(base).toMatchObject({ small: 16, large: 18 });
    expect(up1).toMatchObject({
      small: 20,
      large: 23,
      setByHand: { small: false, large: true },
    });
    expect(roundSize(19.3, 'half')).toBe(19.5);
    expect(roundSize(19.3, 'whole')).toBe(19);
  });

  test('never fall from one step to the next, however they are rounded', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 64, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        fc.constantFrom(...ROUNDINGS),
        (base, ratio, rounding) => {
          const sizes = stepsOf(scale({ small: { width: 360, base, ratio }, rounding })).map(
            ({ small }) => small,
          );
          sizes.forEach((size, i) => {
            expect(size).toBeGreaterThanOrEqual(sizes[i - 1] ?? 0);
          });
        },
      ),
    );
  });
});

describe('fluid sizes', () => {
  test('are written as a clamp in rem, four decimals', () => {
    const size = { small: 16, large: 18, smallWidth: 360, largeWidth: 1280 };
    expect(fluidCss(size)).toBe('clamp(1rem, 0.9511rem + 0.2174vw, 1.125rem)');
    expect(fluidCss({ ...size, small: 18 })).toBe('1.125rem');
  });

  test('that fall as the viewport grows keep the smaller end as the lower bound', () => {
    const size = { small: 20, large: 16, smallWidth: 360, largeWidth: 1280 };
    expect(fluidCss(size)).toBe('clamp(1rem, 1.3478rem - 0.4348vw, 1.25rem)');
    expect(fluidSizeAt(size, 360)).toBe(20);
    expect(fluidSizeAt(size, 2000)).toBe(16);
  });

  test('as CSS agree with the size computed within 0.02 px at every width', () => {
    const ends = fc.record<FluidSize>({
      small: fc.double({ min: 4, max: 200, noNaN: true }),
      large: fc.double({ min: 4, max: 200, noNaN: true }),
      smallWidth: fc.integer({ min: 200, max: 900 }),
      largeWidth: fc.integer({ min: 1000, max: 2400 }),
    });
    fc.assert(
      fc.property(ends, fc.integer({ min: 200, max: 2560 }), (size, width) => {
        expect(Math.abs(evaluate(fluidCss(size), width) - fluidSizeAt(size, width))).toBeLessThan(
          0.02,
        );
      }),
    );
  });

  test('of a step are found at any width; a step that is not there is refused', () => {
    expect(stepSizeAt(scale(), 0, 820)).toBeCloseTo(17, 10);
    expect(() => stepSizeAt(scale(), 9, 820)).toThrow('no step 9');
  });
});
