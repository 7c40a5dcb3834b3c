import { afterAll, expect, test } from '@jest/globals';
import { isTimeout, WorkerPool } from './workerPool';

const pool = new WorkerPool();
afterAll(() => pool.close());

test('a limit counts from when the work begins: a process that starts takes longer than this one', async () => {
  const terms = { owner: 'a', limit: 400 };
  // No process has been started yet.
  expect(await pool.run('pageTexts', ['<p>Fog</p>'], terms)).toEqual(['Fog']);
});

test('work that takes longer than its limit is ended, and what comes next is done', async () => {
  const files = { 'a.txt': 'Fog '.repeat(20_000_000) };
  const late = pool.run('zip', files, { owner: 'a', limit: 100 }).catch(isTimeout);
  expect(await late).toBe(true);
  expect(await pool.run('pageTexts', ['<p>Fog</p>'], { owner: 'a' })).toEqual(['Fog']);
});
