import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import type { Patch } from '../document';
import { fallbacksOf, seatedDocument, trials } from '../testing/documents';
import { fallbackPlan, fittingOf, voiceFallback } from './plan';
import { planIn } from './planVariants';

const after = (patch: Patch) => applyChange(seatedDocument(), patch).document;
const stackAfter = (patch: Patch, voice = 'text') =>
  voiceFallback(fallbackPlan(after(patch), trials()), voice).stack.map(({ kind, name }) => [
    kind,
    name,
  ]);
const choose = (value: unknown): Patch => [{ op: 'replace', path: '/voices/text/fallback', value }];

describe('the fallback plan', () => {
  test('runs from the web face over the fallback faces and plain names to the generic', () => {
    expect(stackAfter([])).toEqual([
      ['web', 'Literata'],
      ['fallback', 'Georgia for Literata'],
      ['fallback', 'Noto Serif for Literata'],
      ['local', 'Georgia'],
      ['local', 'Noto Serif'],
      ['generic', 'serif'],
    ]);
  });

  test('takes the local fonts that were chosen, in their order, and plain names as they were typed', () => {
    expect(stackAfter(choose(['cambria', 'georgia'])).slice(1, 3)).toEqual([
      ['fallback', 'Cambria for Literata'],
      ['fallback', 'Georgia for Literata'],
    ]);
    expect(stackAfter(choose('cambria'))[1]).toEqual(['fallback', 'Cambria for Literata']);
    expect(
      stackAfter([{ op: 'add', path: '/voices/text/plain', value: ['Iowan Old Style'] }]).slice(-2),
    ).toEqual([
      ['local', 'Iowan Old Style'],
      ['generic', 'serif'],
    ]);
    expect(stackAfter(choose([]))).toEqual([
      ['web', 'Literata'],
      ['generic', 'serif'],
    ]);
  });

  test('has no fallback face over a font whose widths are not known, only its name', () => {
    expect(stackAfter(choose(['palatino', 'georgia']))).toEqual([
      ['web', 'Literata'],
      ['fallback', 'Georgia for Literata'],
      ['local', 'Palatino'],
      ['local', 'Georgia'],
      ['generic', 'serif'],
    ]);
  });

  test('of an empty seat is the generic alone, and does without faces until one is worked out', () => {
    const plan = fallbacksOf(seatedDocument());
    expect(voiceFallback(plan, 'code').stack).toEqual([{ kind: 'generic', name: 'monospace' }]);
    const untried = fallbackPlan(seatedDocument(), {});
    expect(untried.faces).toEqual([]);
    expect(voiceFallback(untried, 'text').stack.map(({ name }) => name)).toEqual([
      'Literata',
      'serif',
    ]);
  });

  test('divides the web face’s line box by each part’s ratio, so that all give one', () => {
    const faces = fallbacksOf(seatedDocument()).faces.filter(({ local }) => local === 'georgia');
    expect(faces.map(({ unicodeRange }) => unicodeRange)).toEqual([
      null,
      'U+20, U+A0',
      null,
      'U+20, U+A0',
    ]);
    for (const { sizeAdjust, overrides } of faces) {
      expect((overrides?.ascent ?? 0) * sizeAdjust).toBeCloseTo(0.95, 10);
      expect((overrides?.descent ?? 0) * sizeAdjust).toBeCloseTo(0.25, 10);
    }
  });

  test('names faces by the voice where two voices share a family', () => {
    const shared = after([{ op: 'replace', path: '/voices/heading/family', value: 'literata' }]);
    const tried = { ...trials(), 'heading/literata': trials()['text/literata'] ?? [] };
    const { stack } = voiceFallback(fallbackPlan(shared, tried), 'text');
    expect(stack[1]?.name).toBe('Georgia for Literata, Text');
  });

  test('tunes running text evenly and headings closely, unless the designer says otherwise', () => {
    expect(fittingOf(seatedDocument(), 'text').evenness).toBe(0.06);
    expect(fittingOf(seatedDocument(), 'heading').evenness).toBe(0.1);
    const set = after([{ op: 'add', path: '/voices/text/fitting', value: { evenness: 0.04 } }]);
    expect(fittingOf(set, 'text')).toMatchObject({ evenness: 0.04, groups: 6, space: true });
  });

  test('is refused what is no stack and no fitting', () => {
    for (const value of [['georgia', 'georgia'], [''], 4, ['a'.repeat(80)]]) {
      expect(() => after(choose(value))).toThrow();
    }
    for (const value of [{ groups: 7 }, { evenness: -1 }, { target: 2 }, { space: 1 }]) {
      expect(() => after([{ op: 'add', path: '/voices/text/fitting', value }])).toThrow();
    }
    expect(() => after([{ op: 'add', path: '/audience', value: { windows: -1 } }])).toThrow();
    expect(() => after([{ op: 'add', path: '/audience', value: { toaster: 1 } }])).toThrow();
  });
});

describe('a plan in other ways', () => {
  const plan = fallbacksOf(seatedDocument());

  test('is without fallback faces, in one ratio, or without overrides', () => {
    expect(planIn(plan, 'tuned')).toBe(plan);
    const none = planIn(plan, 'none');
    expect(none.faces).toEqual([]);
    expect(voiceFallback(none, 'text').stack.some(({ kind }) => kind === 'fallback')).toBe(false);
    const one = planIn(plan, 'one');
    expect(one.faces.every(({ unicodeRange }) => unicodeRange === null)).toBe(true);
    expect(one.faces).toHaveLength(plan.faces.length / 2);
    for (const { sizeAdjust, overrides } of one.faces) {
      expect((overrides?.ascent ?? 0) * sizeAdjust).toBeCloseTo(0.95, 10);
    }
    expect(planIn(plan, 'bare').faces.every(({ overrides }) => overrides === null)).toBe(true);
  });
});
