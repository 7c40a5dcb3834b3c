import { describe, expect, test } from '@jest/globals';
import { seatedDocument, trials } from '../testing/documents';
import { candidateError, chosenCandidate, orderCandidates } from './fallbackFace';
import { layoutShift } from './layoutShift';
import { LOCAL_FONTS, localCandidates, localVariant } from './localFonts';
import { stackOf } from './stack';

describe('a voice’s stack', () => {
  test('runs from the web face over the fallback face and the local font to the generic', () => {
    expect(
      stackOf(seatedDocument(), 'text', trials()).map(({ kind, name }) => [kind, name]),
    ).toEqual([
      ['web', 'Literata'],
      ['fallback', 'Georgia for Literata'],
      ['local', 'Georgia'],
      ['generic', 'serif'],
    ]);
  });

  test('takes the local font that was chosen, and the generic alone for an empty seat', () => {
    const document = seatedDocument();
    Object.assign(document.voices['text'] ?? {}, { fallback: 'cambria' });
    expect(stackOf(document, 'text', trials())[1]?.name).toBe('Cambria for Literata');
    expect(stackOf(document, 'code', trials())).toEqual([{ kind: 'generic', name: 'monospace' }]);
  });

  test('does without a fallback face until one is worked out', () => {
    expect(stackOf(seatedDocument(), 'text', {}).map(({ name }) => name)).toEqual([
      'Literata',
      'serif',
    ]);
    expect(chosenCandidate(seatedDocument(), 'text', {})).toBeNull();
  });
});

describe('local fonts', () => {
  test('answer a request in the nearest of their four styles', () => {
    expect(localVariant(500, 'normal')).toBe('regular');
    expect(localVariant(600, 'normal')).toBe('bold');
    expect(localVariant(900, 'italic')).toBe('boldItalic');
  });

  test('are tried within the class, and all of them for handwriting', () => {
    expect(localCandidates('monospace')).toEqual(['courier-new']);
    expect(localCandidates('serif')).not.toContain('arial');
    expect(localCandidates('cursive')).toHaveLength(Object.keys(LOCAL_FONTS).length);
  });

  test('are ordered by the platforms that carry them, then by fit', () => {
    const [face] = trials()['literata']?.[0]?.faces ?? [];
    if (!face) throw new Error('no face');
    const candidate = (local: string, meanError: number) => ({
      local,
      faces: [{ ...face, meanError }],
    });
    const ordered = orderCandidates([
      candidate('noto-serif', 0.01),
      candidate('times-new-roman', 0.04),
      candidate('georgia', 0.02),
    ]);
    expect(ordered.map(({ local }) => local)).toEqual(['georgia', 'times-new-roman', 'noto-serif']);
    expect(candidateError(candidate('georgia', 0.02))).toBe(0.02);
    expect(candidateError({ local: 'georgia', faces: [] })).toBe(Infinity);
  });
});

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
