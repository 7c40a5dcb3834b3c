import { expect, test } from '@jest/globals';
import { inPieces } from './inPieces';

/** Work of three long steps on a word, told with what is known of it when it begins. */
function worker() {
  const found: string[] = [];
  const known = { of: 'nothing' };
  const pauses: (() => void)[] = [];
  function* steps(word: { is: string }) {
    const begun = known.of;
    for (let i = 0; i < 3; i++) {
      const until = performance.now() + 15;
      while (performance.now() < until);
      yield;
    }
    return `${word.is} by ${begun}`;
  }
  const work = inPieces<{ is: string }, string>(
    (word) => (word.is === 'never' ? null : steps(word)),
    (one) => found.push(one),
    () => new Promise((resolve) => pauses.push(resolve)),
  );
  /** Lets a piece be done. */
  const go = async () => {
    pauses.shift()?.();
    await new Promise((resolve) => setTimeout(resolve));
  };
  return { found, known, pauses, work, go };
}

test('work on a thing comes to its end though more is known of it at each step, and is then done again', async () => {
  const { found, known, pauses, work, go } = worker();
  const word = { is: 'mark' };
  const all = work(word);
  for (let i = 0; pauses.length > 0; i++) {
    if (i < 3) {
      known.of = `piece ${i}`;
      void work(word);
    }
    await go();
  }
  await all;
  expect([found[0], found.at(-1)]).toEqual(['mark by nothing', 'mark by piece 2']);
});

test('work on another thing begins at once, and that on the first is given up', async () => {
  const { found, pauses, work, go } = worker();
  void work({ is: 'first' });
  await go();
  void work({ is: 'second' });
  while (pauses.length > 0) await go();
  expect(found).toEqual(['second by nothing']);
});

test('what could not be begun, or failed, is begun when it is asked for again', async () => {
  const { found, pauses, work, go } = worker();
  const word = { is: 'never' };
  await work(word);
  word.is = 'now';
  void work(word);
  while (pauses.length > 0) await go();
  expect(found).toEqual(['now by nothing']);
  let fails = true;
  const failing = inPieces<object, string>(
    // eslint-disable-next-line require-yield -- It ends at its first step.
    function* () {
      if (fails) throw new Error('no');
      return 'done';
    },
    (one) => found.push(one),
  );
  await expect(failing(word)).rejects.toThrow('no');
  fails = false;
  await failing(word);
  expect(found.at(-1)).toBe('done');
});
