import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newDocument } from '../../document/newDocument';
import type { Scale } from '../../document/scale';
import { stepsOf } from '../../scale/steps';
import { FOLD_LIMITS, foldSizes, type FoldedScale, type SizeShare } from './foldSizes';

const WIDTHS = { small: 360, large: 1280 };

const wholeScale = ({ scale }: FoldedScale): Scale => ({ ...newDocument('x').scale, ...scale });

/** The share of the text that is moved by no more than a distance, CSS px. */
function within(sizes: readonly SizeShare[], folded: FoldedScale, px: number): number {
  const steps = new Map(stepsOf(wholeScale(folded)).map((step) => [step.number, step]));
  const all = sizes.reduce((sum, { characters }) => sum + characters, 0);
  const near = sizes.filter((size) => {
    const step = steps.get(folded.stepOf(size));
    if (!step) throw new Error('A size was given a step that the scale has not');
    const off = Math.max(Math.abs(step.small - size.small), Math.abs(step.large - size.large));
    return off <= px + 1e-9;
  });
  return near.reduce((sum, { characters }) => sum + characters, 0) / all;
}
const stepCount = ({ scale }: FoldedScale): number => scale.down + scale.up + 1;

/** Sizes as a site grows them: in px as somebody happened to type them, most of the text in few. */
function oddSizes(count: number, seed: number): SizeShare[] {
  let state = seed;
  const random = () => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return state / 2147483648;
  };
  return Array.from({ length: count }, (_, i) => {
    const large = Math.round((10 + 46 * random() ** 2) * 10) / 10;
    const small = Math.round(large * (0.8 + 0.2 * random()) * 10) / 10;
    return {
      small,
      large,
      characters: Math.round(20 + 4000 * random() ** 6 * (i % 7 === 0 ? 3 : 1)),
    };
  });
}

describe('steps', () => {
  test('rise where the sizes of the site do, those that no size becomes too', () => {
    const size = fc.record({
      large: fc.double({ min: 11, max: 60, noNaN: true }),
      by: fc.double({ min: 0.7, max: 1, noNaN: true }),
      characters: fc.integer({ min: 10, max: 5000 }),
    });
    fc.assert(
      fc.property(fc.array(size, { minLength: 2, maxLength: 12 }), (all) => {
        // Of two sizes the larger at one end is the larger at the other.
        const sizes = all
          .sort((a, b) => a.large - b.large)
          .map(({ large, characters }, i) => ({
            large: Number(large.toFixed(1)),
            small: Number((large * (0.95 - i * 0.01)).toFixed(1)),
            characters,
          }))
          .reduce<SizeShare[]>((rising, one) => {
            const last = rising.at(-1);
            return !last || (one.small > last.small && one.large > last.large)
              ? [...rising, one]
              : rising;
          }, []);
        // Held against itself: what is not rising says nothing of the steps.
        expect(sizes.every(({ small }, i) => small > (sizes[i - 1]?.small ?? 0))).toBe(true);
        const { scale } = foldSizes(sizes, { small: 360, large: 1280 });
        const steps = stepsOf({ ...newDocument('Tarnholm').scale, ...scale });
        const used = steps.filter(({ number }) => number >= -scale.down && number <= scale.up);
        for (const end of ['small', 'large'] as const) {
          for (let i = 1; i < used.length; i++) {
            expect(used[i]?.[end]).toBeGreaterThanOrEqual((used[i - 1]?.[end] ?? 0) - 1e-6);
          }
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('sizes that are a scale', () => {
  const scales: Pick<Scale, 'small' | 'large' | 'rounding'>[] = [
    {
      small: { width: 360, base: 16, ratio: 1.2 },
      large: { width: 1280, base: 18, ratio: 1.25 },
      rounding: 'none',
    },
    {
      small: { width: 360, base: 17, ratio: 1.2 },
      large: { width: 1280, base: 19, ratio: 1.28 },
      rounding: 'none',
    },
    {
      small: { width: 360, base: 16, ratio: 1.125 },
      large: { width: 1280, base: 16, ratio: 1.2 },
      rounding: 'half',
    },
    {
      small: { width: 360, base: 18, ratio: 1.25 },
      large: { width: 1280, base: 20, ratio: 4 / 3 },
      rounding: 'none',
    },
  ];
  test.each(scales)('%p is given back', (wanted) => {
    const scale: Scale = { ...newDocument('x').scale, ...wanted, down: 2, up: 5, overrides: {} };
    const used = stepsOf(scale).filter(({ number }) => ![4, -2].includes(number));
    const folded = foldSizes(
      used.map(({ small, large, number }) => ({
        small: Number(small.toFixed(4)),
        large: Number(large.toFixed(4)),
        characters: number === 0 ? 9000 : 300,
      })),
      WIDTHS,
    );
    expect(folded.odd).toEqual([]);
    expect(folded.scale.small.base).toBeCloseTo(wanted.small.base, 2);
    expect(folded.scale.large.base).toBeCloseTo(wanted.large.base, 2);
    expect(folded.scale.small.ratio).toBeCloseTo(wanted.small.ratio, 3);
    expect(folded.scale.large.ratio).toBeCloseTo(wanted.large.ratio, 3);
    for (const step of used) expect(folded.stepOf(step)).toBe(step.number);
  });
});

describe('sizes that have grown', () => {
  test.each([1, 7, 23, 99, 4242])('forty odd sizes come to nine steps (%d)', (seed) => {
    const sizes = oddSizes(40, seed);
    const folded = foldSizes(sizes, WIDTHS);
    expect(stepCount(folded)).toBeLessThanOrEqual(9);
    // The page of forty sizes that is asked of a browser has most of its text in few of them, as sites have.
    expect(within(sizes, folded, 1)).toBeGreaterThan(0.85);
  });

  test('enough of the text stays near enough where nine steps can do it, in as few as can', () => {
    const sizes: SizeShare[] = [
      ...[15.6, 16, 16.3, 16.8].map((large, i) => ({
        small: large,
        large,
        characters: i === 1 ? 5000 : 300,
      })),
      ...[13.1, 13.6, 14.2].map((large) => ({ small: large, large, characters: 400 })),
      ...[31, 32, 32.7].map((large) => ({ small: large - 6, large, characters: 90 })),
      { small: 12, large: 90, characters: 20 },
    ];
    const folded = foldSizes(sizes, WIDTHS);
    expect(within(sizes, folded, 1)).toBeGreaterThanOrEqual(0.95);
    const used = (one: FoldedScale) => new Set(sizes.map(one.stepOf)).size;
    // The few hundredths of the text that are left may move further, though not to another level.
    expect(used(folded)).toBe(4);
    expect(used(foldSizes(sizes, WIDTHS, { ...FOLD_LIMITS, far: Infinity }))).toBe(3);
    const closer = foldSizes(sizes, WIDTHS, { ...FOLD_LIMITS, within: 0.5 });
    expect(within(sizes, closer, 0.5)).toBeGreaterThanOrEqual(0.95);
    expect(used(closer)).toBeGreaterThan(4);
    const all = foldSizes(sizes, WIDTHS, { ...FOLD_LIMITS, share: 1 });
    expect(within(sizes, all, 1)).toBe(1);
    expect(used(all)).toBeGreaterThanOrEqual(4);
  });

  test.each<[number, number]>([
    [38.4, 1],
    [39.3, 2],
  ])('a few words of %d px beside some of 33 are of %d levels', (few, levels) => {
    const sizes = [
      { small: 16, large: 16, characters: 9000 },
      { small: 33, large: 33, characters: 300 },
      { small: few, large: few, characters: 10 },
    ];
    const folded = foldSizes(sizes, WIDTHS);
    expect(new Set(sizes.slice(1).map(folded.stepOf)).size).toBe(levels);
  });

  test.each([
    [1.2, 'none'],
    [1.5, 'whole'],
    [1, 'none'],
  ] as const)('fold into a scale that is given: of %d, rounded to %s', (ratio, rounding) => {
    const sizes = [13, 16, 21, 26.5, 40, 90].map((large) => ({
      small: large * 0.9,
      large,
      characters: large === 16 ? 5000 : 300,
    }));
    const end = { base: 16, ratio };
    const folded = foldSizes(sizes, WIDTHS, FOLD_LIMITS, { small: end, large: end, rounding });
    expect(folded.scale).toMatchObject({ small: end, large: end, rounding });
    const steps = sizes.map(folded.stepOf);
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    // Each is on the scale or keeps its own size, so that no more moves than may.
    expect(within(sizes, folded, FOLD_LIMITS.within)).toBeGreaterThan(0.94);
    const all = stepsOf(wholeScale(folded));
    for (const number of new Set(steps)) {
      if (folded.odd.includes(number)) continue;
      const size = 16 * ratio ** number;
      expect(all.find((step) => step.number === number)?.large).toBeCloseTo(
        rounding === 'whole' ? Math.round(size) : size,
        3,
      );
    }
  });

  test('a step that the scale reaches near enough has no size of its own', () => {
    const at = (sizes: number[]) =>
      sizes.map((large) => ({ small: large, large, characters: large === 16 ? 5000 : 400 }));
    // 16 × 1.25: 12.8, 16, 20, 25, 31.25.
    expect(foldSizes(at([12.8, 16, 20, 25, 31.25]), WIDTHS).odd).toEqual([]);
    const odd = foldSizes(at([12.8, 16, 20, 25, 31.25, 90]), WIDTHS);
    expect(odd.odd).toHaveLength(1);
    const own = stepsOf(wholeScale(odd)).find(({ number }) => number === odd.odd[0]);
    expect(own).toMatchObject({ small: 90, large: 90 });
  });

  test('one size is a scale of one step, and two of two', () => {
    const one = foldSizes([{ small: 16, large: 18, characters: 1 }], WIDTHS);
    expect(stepCount(one)).toBe(1);
    expect(one.scale.small.base).toBe(16);
    expect(one.scale.large.base).toBe(18);
    const two = foldSizes(
      [
        { small: 16, large: 16, characters: 9 },
        { small: 32, large: 40, characters: 1 },
      ],
      WIDTHS,
    );
    expect(stepCount(two)).toBe(2);
  });

  test('whatever the sizes, every one has a step, of at most nine', () => {
    const size = fc.record({
      small: fc.float({ min: 1, max: 300, noNaN: true }),
      large: fc.float({ min: 1, max: 300, noNaN: true }),
      characters: fc.integer({ min: 1, max: 10_000 }),
    });
    fc.assert(
      fc.property(fc.array(size, { minLength: 1, maxLength: 60 }), (sizes) => {
        const folded = foldSizes(sizes, WIDTHS);
        expect(stepCount(folded)).toBeLessThanOrEqual(FOLD_LIMITS.steps);
        expect(within(sizes, folded, Infinity)).toBeCloseTo(1);
      }),
      { numRuns: 60 },
    );
  });
});
