import { describe, expect, test } from '@jest/globals';
import { layoutShift } from './layoutShift';

describe('layoutShift', () => {
  const viewport = { width: 1000, height: 500 };
  const box = (top: number, height = 100) => ({ left: 0, top, width: 1000, height });

  test('is impact fraction times distance fraction', () => {
    // A block of a fifth of the viewport moves by its own height: 2/5 of the area, 100 of 1000 px.
    expect(layoutShift([box(0)], [box(100)], viewport)).toBeCloseTo(0.4 * 0.1, 10);
  });

  test('counts text by where it starts, though its box stays', () => {
    const text = (left: number, top: number) => ({ ...box(0, 50), start: { left, top } });
    expect(layoutShift([text(400, 0)], [text(500, 0)], viewport)).toBeCloseTo(0.1 * 0.1, 10);
    expect(layoutShift([text(400, 0)], [text(0, 25)], viewport)).toBeCloseTo(0.1 * 0.4, 10);
    expect(layoutShift([text(400, 0)], [text(402.9, 2.9)], viewport)).toBe(0);
    expect(layoutShift([text(400, 0)], [text(403, 0)], viewport)).toBeGreaterThan(0);
  });

  test('counts overlapping areas once, and nothing that stays or is out of sight', () => {
    const before = [box(0), box(0), box(200), box(900)];
    const after = [box(100), box(100), box(202), box(1400)];
    expect(layoutShift(before, after, viewport)).toBeCloseTo(0.4 * 0.1, 10);
    expect(layoutShift(before, before, viewport)).toBe(0);
  });
});
