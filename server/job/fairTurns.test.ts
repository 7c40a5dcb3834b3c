import { describe, expect, test } from '@jest/globals';
import { FairTurns } from './fairTurns';

/** Pieces of work that end when they are told to, and the order in which they began. */
function workshop(turns: FairTurns) {
  const begun: string[] = [];
  const ends = new Map<string, () => void>();
  const add = (owner: string, name: string): Promise<void> =>
    turns.run(owner, () => {
      begun.push(name);
      return new Promise<void>((resolve) => ends.set(name, resolve));
    });
  const end = async (name: string) => {
    ends.get(name)?.();
    await new Promise((resolve) => setImmediate(resolve));
  };
  return { begun, add, end };
}

describe('turns', () => {
  test('are an owner’s, whatever it has waiting', async () => {
    const { begun, add, end } = workshop(new FairTurns(3, 2));
    for (let i = 1; i <= 4; i++) void add('a', `a${i}`);
    void add('b', 'b1');
    await end('');
    // The third place is kept for somebody else.
    expect(begun).toEqual(['a1', 'a2', 'b1']);
    void add('b', 'b2');
    void add('c', 'c1');
    await end('a1');
    expect(begun.at(-1)).toBe('a3');
    await end('b1');
    expect(begun.at(-1)).toBe('b2');
    await end('a2');
    expect(begun.at(-1)).toBe('c1');
    await end('b2');
    expect(begun.at(-1)).toBe('a4');
  });

  test('pass on from work that fails, and it is idle in the end', async () => {
    const turns = new FairTurns(1, 1);
    const failed = turns.run('a', () => Promise.reject(new Error('broken')));
    const next = turns.run('b', () => Promise.resolve(1));
    expect(turns.isIdle).toBe(false);
    await expect(failed).rejects.toThrow('broken');
    expect(await next).toBe(1);
    expect(turns.isIdle).toBe(true);
  });
});
