import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fluidSizeAt, type FluidSize } from './fluid';
import { passingBound, zoomFailure, zoomReach, type SizeOverWidth } from './zoom';

const over = (size: FluidSize): SizeOverWidth => ({
  sizeAt: (width) => fluidSizeAt(size, width),
  bends: [size.smallWidth, size.largeWidth],
});
const fluid = (small: number, large: number, smallWidth = 360, largeWidth = 1280) => ({
  small,
  large,
  smallWidth,
  largeWidth,
});

/** The most that text grows by over zooms tried one by one, as the criterion words it. */
function triedReach(size: FluidSize, window: number): number {
  const zooms = Array.from({ length: 4001 }, (_, i) => 1 + i / 1000);
  return Math.max(
    ...zooms.map((z) => (z * fluidSizeAt(size, window / z)) / fluidSizeAt(size, window)),
  );
}

describe('zooming text', () => {
  test('reaches as far as zooms tried one by one show', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        fc.integer({ min: 360, max: 2560 }),
        (small, large, window) => {
          const size = fluid(small, large);
          expect(zoomReach(over(size), window)).toBeCloseTo(triedReach(size, window), 1);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('always doubles while the larger end is at most 2.5 times the smaller', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 40, noNaN: true }),
        fc.double({ min: 1, max: 2.5, noNaN: true }),
        (small, times) => {
          expect(zoomFailure(over(fluid(small, small * times)), 360)).toBeNull();
        },
      ),
      { numRuns: 40 },
    );
  });

  test('fails in the windows from where five times the small end is less than twice the size', () => {
    // 20 px until 360, 120 from 1280. At 500 % a window under 1800 shows 100 px, which is too little once
    // the size is over 50 px: from 360 + 30 / 100 × 920 = 636 px on. A window of 2560 shows the whole size
    // at 200 %, since its viewport is 1280 px then.
    expect(zoomFailure(over(fluid(20, 120)), 360)).toEqual({ from: 637, to: 2559 });
  });

  test('names the largest bound that passes: just under it all windows do, just over it one does not', () => {
    const bound = passingBound((upper) => over(fluid(20, upper)), [20, 120], 360);
    expect(zoomFailure(over(fluid(20, bound)), 360)).toBeNull();
    expect(zoomFailure(over(fluid(20, bound + 0.02)), 360)).not.toBeNull();
    expect(bound).toBeCloseTo(50, 6);
  });

  test('knows sizes that change at one width', () => {
    const media = (large: number): SizeOverWidth => ({
      sizeAt: (width) => (width < 820 ? 20 : large),
      bends: [820],
    });
    expect(zoomFailure(media(50), 360)).toBeNull();
    expect(zoomFailure(media(51), 360)).toEqual({ from: 820, to: 1639 });
  });
});
