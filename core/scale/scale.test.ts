import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange, documentErrors } from '../change';
import type { Patch, Scale } from '../document';
import { seatedDocument } from '../testing/documents';
import { giveBackPatch, moveEndPatch, setByHandPatch } from './byHand';
import { crossingsOf } from './crossing';
import { fluidCss, fluidSizeAt, type FluidSize } from './fluid';
import { INTERVALS, intervalOf } from './intervals';
import { ROOT_SIZE } from './lengths';
import { stepName } from './names';
import { stepNameFault } from './stepNameFault';
import { SITE_KINDS, siteKindPatch } from './siteKinds';
import { changeWidth, sizeAt, stepCss, stepSizeAt } from './sizeAt';
import { ENDS, roundSize, stepByNumber, stepsOf } from './steps';
import { anyScale, scale } from './testing/scales';

/** A project with that scale; its styles use steps from -1 to 5. */
const documentWith = (more: Partial<Scale> = {}) => {
  const document = seatedDocument();
  return { ...document, scale: scale({ up: 6, ...more }) };
};
const after = (more: Partial<Scale>, patch: Patch) => applyChange(documentWith(more), patch);

/** Evaluates what `fluidCss` writes, at a viewport width in CSS px. */
function evaluate(css: string, width: number): number {
  const rem = (text: string) => Number(text.replace('rem', '')) * ROOT_SIZE;
  const match = /^clamp\((.+?), (-?[\d.]+rem) ([+-]) ([\d.]+)(?:vw|cqi), (.+)\)$/.exec(css);
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
  });

  test('are rounded at their ends, unless set by hand', () => {
    const [, , base, up1] = stepsOf(scale({ rounding: 'even', overrides: { '1': { large: 23 } } }));
    expect(base).toMatchObject({ small: 16, large: 18 });
    expect(up1).toMatchObject({ small: 20, large: 23, setByHand: { small: false, large: true } });
    expect(roundSize(19.3, 'half')).toBe(19.5);
    expect(roundSize(19.3, 'whole')).toBe(19);
  });

  test('are no smaller and no larger than the scale allows, but for what is set by hand', () => {
    const sizes = (more: Partial<Scale>) => stepsOf(scale(more)).map(({ small }) => small);
    const free = sizes({});
    expect(sizes({ floor: 14, ceiling: 20 })).toEqual(
      free.map((size) => Math.min(20, Math.max(14, size))),
    );
    // The limit itself is within it, and a size that is rounded beyond it is not.
    expect(Math.max(...sizes({ ceiling: 19.2 }))).toBe(19.2);
    expect(Math.min(...sizes({ floor: 13.5, rounding: 'whole' }))).toBe(13.5);
    expect(sizes({ floor: 14, overrides: { '-2': { small: 9 } } })[0]).toBe(9);
    expect(sizes({ floor: 4, ceiling: 800 })).toEqual(free);
    expect(() => after({}, [{ op: 'add', path: '/scale/floor', value: 16 }])).not.toThrow();
    expect(() =>
      after({ ceiling: 20 }, [{ op: 'add', path: '/scale/floor', value: 20.5 }]),
    ).toThrow(/no step is larger than, which is 20 px/);
    expect(() => after({}, [{ op: 'add', path: '/scale/floor', value: 3 }])).toThrow();
  });

  test('added between two are their geometric mean, also where one series ends and another begins', () => {
    const one = scale({
      added: [1.5, 2.5],
      display: { from: 3, small: { base: 40, ratio: 1.3 }, large: { base: 64, ratio: 1.5 } },
    });
    const at = (number: number) => stepByNumber(one, number);
    expect(at(1.5).large).toBeCloseTo(18 * 1.25 ** 1.5, 10);
    expect(at(3)).toMatchObject({ small: 40, large: 64 });
    expect(at(4).large).toBeCloseTo(96, 10);
    expect(at(2.5).small).toBeCloseTo(Math.sqrt(at(2).small * 40), 10);
    expect(stepsOf(one).map(({ number }) => number)).toEqual([-2, -1, 0, 1, 1.5, 2, 2.5, 3, 4]);
  });

  test('never fall from one to the next, however they are rounded', () => {
    fc.assert(
      fc.property(anyScale(), (one) => {
        expect(crossingsOf(one)).toEqual([]);
      }),
    );
  });

  test('stay within their ends at every width, and are as those at the ends and beyond', () => {
    fc.assert(
      fc.property(
        anyScale(),
        fc.constantFrom('viewport', 'container', 'media' as const),
        fc.integer({ min: 100, max: 3000 }),
        (one, between, width) => {
          const { small, large } = one;
          for (const step of stepsOf(one)) {
            const size = sizeAt({ ...one, between }, step, width);
            expect(size).toBeGreaterThanOrEqual(Math.min(step.small, step.large));
            expect(size).toBeLessThanOrEqual(Math.max(step.small, step.large));
            if (width <= small.width) expect(size).toBeCloseTo(step.small, 8);
            if (width >= large.width) expect(size).toBeCloseTo(step.large, 8);
          }
        },
      ),
    );
  });
});

describe('names of steps', () => {
  const named = (names: Scale['names']) =>
    [-3, -1, 0, 1, 1.5, 4, 5].map((number) =>
      stepName(scale({ up: 5, added: [1.5], ...(names ? { names } : {}) }), number),
    );

  test('go by numbers, by CSS’s words for sizes, or by the designer’s own', () => {
    expect(named(undefined)).toEqual([
      'down-3',
      'down-1',
      'base',
      'up-1',
      'up-1-plus',
      'up-4',
      'up-5',
    ]);
    expect(named({ scheme: 'sizes', own: {} })).toEqual([
      'xx-small',
      'small',
      'medium',
      'large',
      'large-plus',
      'xxx-large',
      '4x-large',
    ]);
    expect(named({ scheme: 'own', own: { '0': 'text', '5': 'masthead' } })).toEqual([
      'down-3',
      'down-1',
      'text',
      'up-1',
      'up-1-plus',
      'up-4',
      'masthead',
    ]);
  });

  test.each<[string, RegExp | null]>([
    ['', null],
    ['large-2', null],
    ['text', null],
    ['a'.repeat(40), null],
    ['a'.repeat(41), /^That is 41 characters\. A name has at most 40\.$/],
    ['Large', /^“Large” cannot be part of a custom property’s name/],
    ['2-large', /cannot be part/],
    ['a--b', /cannot be part/],
    ['up-2', /^“up-2” is the name of the step of [\d.]+ px already\.$/],
    ['intro', /^“intro” is the name of the step of [\d.]+ px already\.$/],
  ])('“%s” for a step is refused in words, or not', (name, expected) => {
    const own = { '0': 'text', '3': 'intro' };
    const fault = stepNameFault(scale({ up: 5, names: { scheme: 'own', own } }), 0, name);
    if (expected) expect(fault).toMatch(expected);
    else expect(fault).toBeNull();
  });

  test('that two steps would share, or that are no names, are refused', () => {
    const errors = (own: Record<string, string>) =>
      documentErrors(documentWith({ names: { scheme: 'own', own } }));
    expect(errors({ '0': 'up-1' })).toEqual([
      { path: '/scale/names', message: 'gives two steps the name “up-1”' },
    ]);
    expect(errors({ '0': 'x; }' })[0]?.path).toBe('/scale/names/own');
    expect(errors({ '0': 'text', '1': 'large-text' })).toEqual([]);
  });
});

describe('fluid sizes', () => {
  test('are written as a clamp in rem, four decimals', () => {
    const size = { small: 16, large: 18, smallWidth: 360, largeWidth: 1280 };
    expect(fluidCss(size)).toBe('clamp(1rem, 0.9511rem + 0.2174vw, 1.125rem)');
    expect(fluidCss(size, 'cqi')).toBe('clamp(1rem, 0.9511rem + 0.2174cqi, 1.125rem)');
    expect(fluidCss({ ...size, small: 18 })).toBe('1.125rem');
    // A site whose rem is 10 px, and one whose rem differs from one width to another.
    expect(fluidCss({ ...size, small: 18 }, 'vw', 10)).toBe('1.8rem');
    expect(fluidCss(size, 'vw', null)).toBe('clamp(16px, 15.2174px + 0.2174vw, 18px)');
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

  test('are two plain ones where they change at a width, half-way unless it is said', () => {
    const media = scale({ between: 'media' });
    expect(changeWidth(media)).toBe(820);
    expect([819, 820].map((width) => stepSizeAt(media, 0, width))).toEqual([16, 18]);
    expect(stepCss(media, stepByNumber(media, 0))).toEqual({ value: '1rem', from: '1.125rem' });
    expect(changeWidth({ ...media, changeAt: 700 })).toBe(700);
  });
});

describe('moving an end', () => {
  test('moves the base, or the ratio so that the step reaches the size, or the step alone', () => {
    const move = (number: number, size: number, alone = false) =>
      stepByNumber(
        after({}, moveEndPatch(documentWith().scale, number, 'large', size, alone)).document.scale,
        number,
      );
    expect(move(0, 20).large).toBe(20);
    expect(move(3, 50).large).toBeCloseTo(50, 0);
    expect(move(-1, 15).large).toBeCloseTo(15, 1);
    expect(move(3, 33, true)).toMatchObject({ large: 33, setByHand: { large: true } });
  });

  test('stops at what the scale may be, and, set by hand, at the neighbours', () => {
    const one = scale({ overrides: { '2': { large: 30 } } });
    expect(moveEndPatch(one, 2, 'large', 300, false)).toEqual(
      setByHandPatch(one, 2, 'large', 18 * 1.25 ** 3),
    );
    expect(moveEndPatch(one, 0, 'small', 1, false)[0]).toMatchObject({ value: 8 });
    expect(moveEndPatch(one, 3, 'small', 1e4, false)[0]).toMatchObject({ value: 3 });
    expect(moveEndPatch(one, 3, 'small', 1, false)[0]).toMatchObject({ value: 1 });
  });

  test('of a display step moves its own series', () => {
    const display = { from: 3, small: { base: 40, ratio: 1.3 }, large: { base: 64, ratio: 1.5 } };
    expect(moveEndPatch(scale({ display }), 3, 'large', 70, false)).toEqual([
      { op: 'replace', path: '/scale/display/large/base', value: 70 },
    ]);
    expect(moveEndPatch(scale({ display }), 4, 'large', 80, false)).toEqual([
      { op: 'replace', path: '/scale/display/large/ratio', value: 1.25 },
    ]);
  });

  test('is taken back by its inverse, wherever it was moved to', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(-2, -1, 0, 1, 2, 3, 4, 5, 6),
        fc.constantFrom(...ENDS),
        fc.double({ min: 1, max: 400, noNaN: true }),
        fc.boolean(),
        (number, end, size, alone) => {
          const before = documentWith();
          const { document, inverse } = applyChange(
            before,
            moveEndPatch(before.scale, number, end, size, alone),
          );
          expect(crossingsOf(document.scale)).toEqual([]);
          expect(applyChange(document, inverse).document).toEqual(before);
        },
      ),
    );
  });

  test('by hand is given back end by end', () => {
    const overrides = { '2': { small: 25, large: 30 } };
    const [first] = giveBackPatch(scale({ overrides }), 2, 'small');
    expect(first).toEqual({ op: 'remove', path: '/scale/overrides/2/small' });
    expect(giveBackPatch(scale({ overrides: { '2': { large: 30 } } }), 2, 'large')).toEqual([
      { op: 'remove', path: '/scale/overrides/2' },
    ]);
    expect(giveBackPatch(scale(), 2, 'large')).toEqual([]);
  });
});

describe('a scale that does not go together', () => {
  const refusals = (more: Partial<Scale>) =>
    documentErrors(documentWith(more)).map(({ path, message }) => `${path} ${message}`);

  test.each<[string, Partial<Scale>, RegExp]>([
    [
      'small width not less',
      { small: { width: 1280, base: 16, ratio: 1.2 } },
      /less than the large/,
    ],
    ['base out of bounds', { small: { width: 360, base: 2, ratio: 1.2 } }, /small\/base/],
    ['ratio out of bounds', { large: { width: 1280, base: 16, ratio: 9 } }, /large\/ratio/],
    ['40 steps', { up: 40 }, /scale\/up must not be greater than 12/],
    ['a change outside the ends', { changeAt: 200 }, /changeAt must lie between/],
    ['a step added beyond the last', { added: [6.5] }, /added must stand between/],
    ['a whole number as an added step', { added: [2] }, /half-way between two/],
    [
      'a series from a step that is not there',
      { display: { from: 9, small: { base: 80, ratio: 1.3 }, large: { base: 90, ratio: 1.3 } } },
      /highest is 6/,
    ],
  ])('is refused: %s', (_what, more, message) => {
    expect(refusals(more).join('\n')).toMatch(message);
  });

  test('has ends that cross only when that is allowed', () => {
    const overrides = { '2': { small: 15 } };
    expect(refusals({ overrides })).toEqual([
      '/scale/crossing must be allowed first: up-2 would be smaller than up-1 at 360 px, 15 px against 19.2 px',
    ]);
    expect(refusals({ overrides, crossing: true })).toEqual([]);
  });
});

describe('starting points', () => {
  test('of each kind of site suit the project, and cross nowhere', () => {
    for (const kind of SITE_KINDS) {
      const { document } = after(
        { overrides: { '1': { large: 21 } } },
        siteKindPatch(documentWith().scale, kind),
      );
      expect(document.scale.overrides).toEqual({});
      expect(document.scale.small).toEqual({ width: 360, ...kind.small });
    }
  });

  test('intervals rise, and are known by their ratio', () => {
    const ratios = INTERVALS.map(({ ratio }) => ratio);
    expect(ratios).toEqual([...ratios].sort((a, b) => a - b));
    expect(intervalOf(1.3333)?.name).toBe('perfect fourth');
    expect(intervalOf(1.29)).toBeNull();
  });
});
