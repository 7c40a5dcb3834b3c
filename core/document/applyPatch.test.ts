import { describe, expect, jest, test } from '@jest/globals';
import { applyPatch, DOCUMENT_LIMITS, PatchError, valueAt } from './applyPatch';
import type { Patch } from './patch';

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

describe('a patch of many operations', () => {
  const document = Object.freeze({ here: { k: { at: 0 }, list: [{ at: 0 }] } });
  const steps = (many: number): Patch =>
    Array.from({ length: many }, (_, i) => ({ op: 'replace', path: '/here/k/at', value: i }));

  test('copies what it edits once, and not once for each of them', () => {
    applyPatch(document, steps(1));
    const frozen = jest.spyOn(Object, 'freeze');
    const [few, many] = [2, 1000].map((operations) => {
      frozen.mockClear();
      applyPatch(document, steps(operations));
      return frozen.mock.calls.length;
    });
    frozen.mockRestore();
    expect(many).toBe(few);
  });

  test('leaves what it was given as it was, frozen throughout or at its root alone', () => {
    const part = { at: 1 };
    const { document: after, inverse } = applyPatch<unknown>(document, [
      { op: 'add', path: '/here/a', value: part },
      { op: 'copy', from: '/here/a', path: '/here/b' },
      { op: 'replace', path: '/here/a/at', value: 2 },
      { op: 'copy', from: '/here/a', path: '/here/c' },
      { op: 'replace', path: '/here/a/at', value: 3 },
      { op: 'replace', path: '/here/list/0/at', value: 4 },
      { op: 'move', from: '/here/a', path: '/here/d' },
      { op: 'replace', path: '/here/d/at', value: 5 },
    ]);
    expect(after).toEqual({
      here: { k: { at: 0 }, list: [{ at: 4 }], b: { at: 1 }, c: { at: 2 }, d: { at: 5 } },
    });
    expect(part).toEqual({ at: 1 });
    expect(document).toEqual({ here: { k: { at: 0 }, list: [{ at: 0 }] } });
    expect(applyPatch(after, inverse).document).toEqual(document);
    expect(() => Object.assign((after as typeof document).here, { k: 1 })).toThrow(TypeError);
  });

  test('fills a list or an object to its bound, and not beyond, though something goes again', () => {
    const { width } = DOCUMENT_LIMITS;
    const full = Object.freeze({
      list: Array.from({ length: width }, () => 0),
      here: Object.fromEntries(Array.from({ length: width }, (_, i) => [`k${i}`, 0])),
    });
    const one = (path: string): Patch => [{ op: 'add', path, value: 1 }];
    expect(applyPatch(full, one('/here/k7')).document.here['k7']).toBe(1);
    for (const path of ['/here/more', '/list/-', '/list/3']) {
      expect(() => applyPatch(full, one(path))).toThrow('too-wide');
      const takenBack: Patch = [...one(path), { op: 'remove', path: path.replace('-', '0') }];
      expect(() => applyPatch(full, takenBack)).toThrow('too-wide');
    }
  });

  test('is refused as a whole where it stops', () => {
    const { document: before } = applyPatch(document, steps(1));
    const broken: Patch = [...steps(3), { op: 'remove', path: '/nowhere' }];
    expect(() => applyPatch(before, broken)).toThrow('not-there');
    expect(before).toEqual({ here: { k: { at: 0 }, list: [{ at: 0 }] } });
  });
});
