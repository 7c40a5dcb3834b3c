import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newDocument } from './newDocument';
import { sharing } from './sharing';

const copyOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('what says the same shares its parts', () => {
  const before = newDocument('Tarnholm');

  test('all of it where all is the same', () => {
    expect(sharing(before, copyOf(before))).toBe(before);
  });

  test('but for what differs and what is around it', () => {
    const now = copyOf(before);
    now.scale.large.ratio = 1.5;
    const shared = sharing(before, now);
    expect(shared).not.toBe(before);
    expect(shared).toEqual(now);
    expect(shared.scale).not.toBe(before.scale);
    expect(shared.scale.small).toBe(before.scale.small);
    expect(shared.styles).toBe(before.styles);
  });

  test.each([
    [
      { a: 1, b: 2 },
      { b: 2, a: 1 },
    ],
    [{ a: 1 }, { a: 1, b: undefined }],
    [{ a: 1, b: 2 }, { a: 1 }],
    [[1, 2], [1]],
    [[1], [1, 2]],
    [{}, []],
    [{ 0: 1 }, [1]],
    [{ a: null }, { a: {} }],
    [{}, JSON.parse('{"constructor": 1, "__proto__": {"a": 2}}')],
  ])('%j is not taken for %j', (one, other) => {
    const shared = sharing<unknown>(one, other);
    expect(shared).not.toBe(one);
    expect(JSON.stringify(shared)).toBe(JSON.stringify(other));
  });

  test('and it never says anything else, for any two values', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (one, other) => {
        const text = JSON.stringify(other);
        expect(JSON.stringify(sharing<unknown>(one, other))).toBe(text);
        expect(sharing<unknown>(other, JSON.parse(text))).toEqual(other);
      }),
    );
  });
});
