import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seatedDocument } from '../testing/documents';
import { LINE_HEIGHTS, lineOnGrid, suggestedLineHeight } from './lineHeight';
import { suggestedFor } from './lineHeightOf';
import { lineMeasureOf } from './lineMeasure';

const usual = { size: 16, xHeight: 0.5, measure: 62 };
const anyCase = fc.record({
  size: fc.double({ min: 4, max: 800, noNaN: true }),
  xHeight: fc.double({ min: 0.2, max: 0.8, noNaN: true }),
  measure: fc.option(fc.double({ min: 1, max: 300, noNaN: true })),
});

describe('a suggested line height', () => {
  test('is what the trade takes for usual text, and closes up for headings', () => {
    expect(suggestedLineHeight(usual)).toBe(1.5);
    expect(suggestedLineHeight({ ...usual, size: 32, measure: null })).toBeCloseTo(1.25, 2);
    expect(suggestedLineHeight({ ...usual, size: 64, measure: null })).toBeLessThan(1.15);
  });

  test('lies within its bounds, and grows with x-height and measure and falls with size', () => {
    fc.assert(
      fc.property(anyCase, fc.double({ min: 1, max: 2, noNaN: true }), (one, times) => {
        const at = suggestedLineHeight(one);
        expect(at).toBeGreaterThanOrEqual(LINE_HEIGHTS[0]);
        expect(at).toBeLessThanOrEqual(LINE_HEIGHTS[1]);
        expect(suggestedLineHeight({ ...one, size: one.size * times })).toBeLessThanOrEqual(at);
        expect(
          suggestedLineHeight({ ...one, xHeight: one.xHeight * times }),
        ).toBeGreaterThanOrEqual(at);
        if (one.measure !== null) {
          expect(
            suggestedLineHeight({ ...one, measure: one.measure * times }),
          ).toBeGreaterThanOrEqual(at);
        }
      }),
    );
  });

  test.each([
    [{ size: 16, xHeight: 0.6, measure: 62 }, 1.58],
    [{ size: 16, xHeight: 0.4, measure: 62 }, 1.42],
    [{ size: 16, xHeight: 0.5, measure: 82 }, 1.55],
    [{ size: 16, xHeight: 0.5, measure: 42 }, 1.45],
    // Beyond these measures the line is at fault.
    [{ size: 16, xHeight: 0.5, measure: 300 }, 1.57],
    [{ size: 16, xHeight: 0.5, measure: 90 }, 1.57],
    [{ size: 16, xHeight: 0.5, measure: 4 }, 1.41],
    [{ size: 16, xHeight: 0.5, measure: 25 }, 1.41],
    [{ size: 32, xHeight: 0.5, measure: 62 }, 1.25],
    [{ size: 8, xHeight: 0.5, measure: 62 }, 1.62],
    [{ size: 800, xHeight: 0.5, measure: 62 }, 1.01],
    [{ size: 4, xHeight: 0.8, measure: 300 }, 1.8],
  ])('for %j is %f', (one, value) => expect(suggestedLineHeight(one)).toBe(value));

  test('of a style stands between what its two ends want', () => {
    const found = suggestedFor(seatedDocument(), 'heading-1', { xHeights: { archivo: 0.52 } });
    expect(found?.least).toBeLessThan(found?.value ?? 0);
    expect(found?.most).toBeGreaterThan(found?.value ?? 9);
    expect(found?.value).toBe(
      Math.round(((found?.least ?? 0) + (found?.most ?? 0)) * 50 + 1e-9) / 100,
    );
    expect(suggestedFor(seatedDocument(), 'code', {})).toBeNull();
  });

  test.each([
    [360, 'small'],
    [820, 'small'],
    [821, 'large'],
    [1280, 'large'],
  ] as const)('of text measured at %i px counts its measure at the %s end alone', (width, end) => {
    const document = seatedDocument();
    const xHeights = { archivo: 0.52, literata: 0.5 };
    const text = { column: 2000, longest: 900, advance: 0.45 };
    const { body } = document.styles;
    expect(body).toBeDefined();
    const long = suggestedFor(document, 'body', {
      xHeights,
      page: { width, texts: { body: text } },
    });
    const unknown = suggestedFor(document, 'body', { xHeights });
    expect(long?.measuredAt).toBe(end);
    expect(unknown?.measuredAt).toBeNull();
    // A long line wants 0.07 more; the other end stays as it is where nothing is known.
    const lifted = (of: typeof long) => (end === 'small' ? of?.most : of?.least) ?? 0;
    const other = (of: typeof long) => (end === 'small' ? of?.least : of?.most) ?? 0;
    if (end === 'small') {
      expect(lifted(long)).toBeGreaterThan(lifted(unknown) + 0.05);
      expect(other(long)).toBe(other(unknown));
    } else {
      // The large end's size wants least; lifted above the small end's, the two change places.
      expect(Math.max(long?.least ?? 0, long?.most ?? 0)).toBeGreaterThan(unknown?.least ?? 9);
      expect([long?.least, long?.most]).toContain(unknown?.most);
    }
  });
});

test('a line on a grid is a whole number of its lines, one at least', () => {
  expect(lineOnGrid(18, 1.55, 4)).toBe(28);
  expect(lineOnGrid(18, 1.55, 8)).toBe(24);
  expect(lineOnGrid(12, 1.2, 60)).toBe(60);
});

test('the measure counts what letter spacing adds', () => {
  expect(lineMeasureOf({ column: 450, advance: 0.45 }, 20, 0)).toBeCloseTo(50, 10);
  expect(lineMeasureOf({ column: 450, advance: 0.45 }, 20, 0.05)).toBeCloseTo(45, 10);
});
