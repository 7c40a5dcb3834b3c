import { describe, expect, test } from '@jest/globals';
import { applyPatch, PatchError, valueAt } from './applyPatch';

const before = Object.freeze({
  a: { b: 1, bc: 2, list: [1, 2, 3] },
  ab: { c: 3 },
});

describe('a part that is moved', () => {
  test('goes nowhere within itself, at any depth', () => {
    for (const path of ['/a/b2', '/a/list/0', '/a/x/y']) {
      const move = () => applyPatch(before, [{ op: 'move', from: '/a', path }]);
      expect(move).toThrow(PatchError);
      expect(move).toThrow('into-itself');
    }
    expect(before.a.b).toBe(1);
  });

  test('goes to a place whose name begins as its own does', () => {
    const { document } = applyPatch<unknown>(before, [
      { op: 'move', from: '/a/b', path: '/a/bcd' },
    ]);
    expect(document).toEqual({ a: { bc: 2, bcd: 1, list: [1, 2, 3] }, ab: { c: 3 } });
    const { document: other } = applyPatch<unknown>(before, [
      { op: 'move', from: '/a', path: '/ab/c' },
    ]);
    expect(other).toEqual({ ab: { c: before.a } });
  });

  test('stays where it goes to its own place', () => {
    const { document, inverse } = applyPatch(before, [{ op: 'move', from: '/a/b', path: '/a/b' }]);
    expect(document).toEqual(before);
    expect(applyPatch(document, inverse).document).toEqual(before);
  });
});

describe('a test within a patch', () => {
  const holds = (path: string, value: unknown): boolean => {
    try {
      applyPatch(before, [{ op: 'test', path, value }]);
      return true;
    } catch {
      return false;
    }
  };

  test('compares values, whatever the order of members', () => {
    expect(holds('/a', { list: [1, 2, 3], bc: 2, b: 1 })).toBe(true);
    expect(holds('/a/list', [1, 3, 2])).toBe(false);
    expect(holds('/a/list', { 0: 1, 1: 2, 2: 3 })).toBe(false);
    expect(holds('/ab', {})).toBe(false);
    expect(holds('/ab', { c: 3, d: undefined })).toBe(false);
    expect(holds('/ab', { constructor: 3 })).toBe(false);
  });
});

test('what every object has is no part of a document', () => {
  expect(valueAt(before, '/constructor')).toBeUndefined();
  expect(valueAt(before, '/a/toString')).toBeUndefined();
  expect(() => applyPatch(before, [{ op: 'remove', path: '/constructor' }])).toThrow('not-there');
});
