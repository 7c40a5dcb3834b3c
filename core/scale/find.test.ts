import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange } from '../change';
import { ROUNDINGS } from '../document';
import { seatedDocument } from '../testing/documents';
import { findScale, foundScalePatch, offAt, type GivenSize } from './find';
import { readGivenSizes, readSizes } from './given';
import { ENDS, modularSize, roundSize, stepByNumber } from './steps';
import { runs } from '../testing/runs';

const at = (end: 'small' | 'large', ...sizes: number[]): GivenSize[] =>
  sizes.map((size) => ({ [end]: size }));

describe('reading sizes', () => {
  test('takes a list with any separators and units, and names what is none', () => {
    const { sizes, refused } = readGivenSizes(
      '14, 16px 1.25rem;\n13.5 pt | wide 1.2em -4 3px',
      'large',
    );
    expect(sizes).toEqual(at('large', 14, 16, 18, 20));
    expect(refused.map(({ text }) => text)).toEqual(['wide', '1.2em', '-4', '3px']);
    expect(refused[1]?.why).toMatch(/text around it/);
    expect(refused[3]?.why).toMatch(/from 4 to 800/);
  });

  test('takes sizes from CSS: declarations, shorthands, custom properties and clamps', () => {
    const { sizes, refused } = readGivenSizes(
      `:root { --size-note: 0.875rem; --gap: auto; --big: clamp(2rem, 1rem + 4vw, 3.5rem) }
       body { font: 400 17px/1.5 Literata, serif; color: #123 }
       h3 { font-size: 22px } h4 { font-size: 120% } h5 { font-size: calc(1rem + 1vw) }
       @media (min-width: 60em) { h3 { font-size: 26px; margin: 12px } }`,
      'large',
    );
    expect(sizes).toEqual([...at('large', 14, 17, 22, 26), { small: 32, large: 56 }]);
    expect(refused.map(({ text }) => text)).toEqual([
      'font-size: 120%',
      'font-size: calc(1rem + 1vw)',
    ]);
  });

  test('takes bare declarations, and survives what is no CSS at all', () => {
    expect(readGivenSizes('font-size: 18px; font-size: 1.5rem', 'small').sizes).toEqual(
      at('small', 18, 24),
    );
    expect(readGivenSizes('{{{{ :: @@ <b> }', 'small').sizes).toEqual([]);
    expect(readGivenSizes('x'.repeat(600_000), 'small').refused[0]?.why).toMatch(/longer/);
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (text) => {
        for (const size of readGivenSizes(text, 'large').sizes) {
          for (const px of Object.values(size)) expect(px).toBeGreaterThanOrEqual(4);
        }
      }),
    );
  });

  test('is never brought down by damaged CSS, of which 2,000 kinds are tried', () => {
    const css =
      '@media (min-width: 40em) { h1, .a > b { font: 700 2rem/1.1 "X"; --s: clamp(1rem, 2vw, 3rem) } }';
    const damage = fc.record({
      at: fc.nat(css.length),
      cut: fc.nat(12),
      put: fc.oneof(
        fc.string({ maxLength: 8 }),
        fc.constantFrom('{', '}', '(', '"', '/*', '\\', '@', ';', '\0'),
      ),
    });
    fc.assert(
      fc.property(fc.array(damage, { minLength: 1, maxLength: 5 }), (places) => {
        const broken = places.reduce(
          (text, { at: place, cut, put }) => text.slice(0, place) + put + text.slice(place + cut),
          css,
        );
        const { sizes, refused } = readGivenSizes(broken, 'large');
        for (const px of sizes.flatMap((size) => Object.values(size))) {
          expect(px).toBeGreaterThanOrEqual(4);
          expect(px).toBeLessThanOrEqual(800);
        }
        expect(refused.length).toBeLessThanOrEqual(50);
      }),
      { numRuns: runs(2000) },
    );
  });

  test.each([
    ['blocks', '@media x{'],
    ['brackets', 'a{font-size:('],
    ['functions', 'a{font-size:calc('],
  ])('refuses endless %s in %s', (_what, piece) => {
    const { sizes, refused } = readGivenSizes(piece.repeat(40_000), 'large');
    expect(sizes).toEqual([]);
    expect(refused.length).toBeGreaterThan(0);
  });

  test('joins two ends by the order of size, when there are as many', () => {
    expect(readSizes({ small: '14 16 17', large: '15 18 20' })).toEqual({
      sizes: [
        { small: 14, large: 15 },
        { small: 16, large: 18 },
        { small: 17, large: 20 },
      ],
      refused: [],
      problem: null,
    });
    expect(readSizes({ small: '14 16', large: '15 18 20' }).problem).toMatch(
      /2 sizes were read for the small end and 3 for the large/,
    );
  });

  test('takes a plain size among ones that run for the same at both ends', () => {
    const css =
      'h4 { font-size: 18px } h3 { font-size: clamp(20px, 4vw, 26px) } p { font-size: 16px }';
    expect(readSizes({ small: '', large: css }).sizes).toEqual([
      { small: 16, large: 16 },
      { small: 18, large: 18 },
      { small: 20, large: 26 },
    ]);
  });

  test('says when there are too few or too many', () => {
    expect(readSizes({ small: '', large: '16 what' })).toMatchObject({
      problem: '1 size was read. 3 or more make a scale.',
      refused: [{ text: 'what', why: 'is no size' }],
    });
    const forty = Array.from({ length: 40 }, (_, i) => 10 + i).join(' ');
    expect(readSizes({ small: '', large: forty }).problem).toMatch(/^40 sizes.* 25 steps at most/);
  });
});

describe('finding a scale', () => {
  test('finds again what sizes were made with, whatever the base, ratio and rounding', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 14, max: 22 }),
        fc.integer({ min: 115, max: 160 }),
        fc.constantFrom(...ROUNDINGS),
        fc.integer({ min: 3, max: 6 }),
        (base, hundredths, rounding, up) => {
          const sizes = Array.from({ length: up + 2 }, (_, i) =>
            roundSize(modularSize(base, hundredths / 100, i - 1), rounding),
          );
          // The base is taken from the sizes, so it must be one of them.
          fc.pre(sizes[1] === base && new Set(sizes).size === sizes.length);
          const found = findScale(sizes.map((large) => ({ large })));
          expect(found?.meanOff).toBeLessThan(0.05);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('takes the ratio that has a name where it comes as close', () => {
    const found = findScale(at('large', 12, 16, 21.33, 28.43));
    expect(found?.ends.large).toEqual({ base: 16, ratio: 4 / 3 });
    expect(found?.steps.map(({ number }) => number)).toEqual([-1, 0, 1, 2]);
    const whole = findScale(at('large', 13, 16, 20, 25, 31, 39));
    expect(whole).toMatchObject({ rounding: 'whole', ends: { large: { base: 16, ratio: 1.25 } } });
  });

  test('gives both ends one numbering, and says by how much the odd one would move', () => {
    const found = findScale([
      { small: 14, large: 15 },
      { small: 16, large: 18 },
      { small: 19, large: 22.5 },
      { small: 23, large: 28 },
      { small: 27.6, large: 35 },
      { small: 33, large: 50 },
    ]);
    if (!found) throw new Error('nothing was found');
    expect(found.steps.map(({ number }) => number)).toEqual([-1, 0, 1, 2, 3, 4]);
    const off = found.steps.map((step) => offAt(step, 'large'));
    expect(Math.max(...off)).toBe(off[5]);
    const document = seatedDocument();
    const patch = foundScalePatch(document.scale, found, [4], [-1, 6]);
    const { scale } = applyChange(document, patch).document;
    expect(scale.up).toBe(6);
    for (const end of ENDS) {
      for (const { number, found: wanted, given } of found.steps) {
        const size = stepByNumber(scale, number)[end];
        expect(size).toBeCloseTo((number === 4 ? given : wanted)[end] ?? NaN, 6);
      }
    }
  });

  test('takes the base that is asked for', () => {
    const sizes = at('large', 13, 17, 20, 25, 30, 39, 58);
    expect(findScale(sizes, 20)?.ends.large?.base).toBe(20);
    expect(findScale(sizes, 17)?.ends.large?.base).toBe(17);
  });

  test('says so when no ratio gives each size a step of its own', () => {
    expect(findScale(at('large', 16, 16.1, 16.2, 700))).toBeNull();
  });
});
