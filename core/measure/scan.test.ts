import { describe, expect, test } from '@jest/globals';
import type { Outline } from '../font/outline';
import { differenceOf, shapeDifferenceOf } from './difference';
import { inkAcross, inkUpward, sheared } from './scan';
import { squarenessOf } from './shapes';
import { strokeRange } from './strokes';

const box = (left: number, bottom: number, right: number, top: number): Outline[number] =>
  Float64Array.from([left, bottom, right, bottom, right, top, left, top]);
const reversed = (contour: Outline[number]): Outline[number] => {
  const points = Array.from({ length: contour.length / 2 }, (_, i) => [
    contour[2 * i] ?? 0,
    contour[2 * i + 1] ?? 0,
  ]);
  return Float64Array.from(points.reverse().flat());
};
const ellipse = (rx: number, ry: number, corners = 256): Outline[number] =>
  Float64Array.from({ length: 2 * corners }, (_, i) => {
    const angle = (2 * Math.PI * Math.floor(i / 2)) / corners;
    return i % 2 ? ry * Math.sin(angle) : rx * Math.cos(angle);
  });

describe('ink along a line', () => {
  test('is united where contours overlap, and open where one runs against the other', () => {
    const overlapping = [box(0, 0, 0.3, 1), box(0.2, 0, 0.5, 1)];
    expect(inkAcross(overlapping, 0.5)).toEqual([{ from: 0, to: 0.5 }]);
    const ring = [box(0, 0, 1, 1), reversed(box(0.25, 0.25, 0.75, 0.75))];
    expect(inkAcross(ring, 0.5)).toEqual([
      { from: 0, to: 0.25 },
      { from: 0.75, to: 1 },
    ]);
    expect(inkUpward(ring, 0.1)).toEqual([{ from: 0, to: 1 }]);
    expect(inkAcross(ring, 2)).toEqual([]);
  });

  test('moves with the height when the letter is leaned', () => {
    const [span] = inkAcross(sheared([box(0, 0, 0.1, 1)], 0.2), 0.5);
    expect(span?.from).toBeCloseTo(0.1, 10);
    expect(span?.to).toBeCloseTo(0.2, 10);
  });
});

describe('strokes', () => {
  test('of a ring that swells from 0.02 to 0.1 are those', () => {
    const ring = [ellipse(0.3, 0.27), reversed(ellipse(0.2, 0.25))];
    const range = strokeRange(ring);
    expect(range?.thin).toBeCloseTo(0.02, 2);
    expect(range?.thick).toBeCloseTo(0.1, 2);
  });

  test('of a narrow ring of one thickness do not swell where rays from its middle would', () => {
    const ring = [box(0, 0, 0.3, 0.7), reversed(box(0.08, 0.08, 0.22, 0.62))];
    const range = strokeRange(ring);
    expect((range?.thick ?? 0) / (range?.thin ?? 1)).toBeCloseTo(1, 6);
  });

  test('are those of the whole where two halves overlap', () => {
    const halves = [box(0, 0, 0.08, 0.5), box(0.06, 0, 0.1, 0.5)];
    expect(strokeRange(halves)?.thin).toBeCloseTo(0.1, 3);
  });
});

describe('shapes', () => {
  test('an ellipse is not square, a box is', () => {
    expect(squarenessOf([ellipse(0.3, 0.25)])).toBeCloseTo(0, 2);
    expect(squarenessOf([box(0, 0, 0.4, 0.5)])).toBeCloseTo(1, 6);
  });

  test('differ by what they do not share', () => {
    const one = [box(0, 0, 0.4, 1)];
    expect(differenceOf(one, [box(1, 0, 1.4, 1)])).toBeCloseTo(0, 6);
    expect(differenceOf(one, [box(0, 0, 0.2, 1)])).toBeCloseTo(1 / 3, 2);
    expect(shapeDifferenceOf(one, [box(0, 0, 0.2, 3)])).toBeCloseTo(0, 6);
  });
});
