import { beforeEach, expect, jest, test } from '@jest/globals';
import { askAhead, takeAhead } from './ahead';

let fetched: string[];
beforeEach(() => {
  fetched = [];
  globalThis.fetch = jest.fn((input: unknown) => {
    fetched.push(String(input));
    return Promise.resolve(new Response('{}'));
  }) as typeof fetch;
});

test('the project of an address and its pages are asked for once, and each answer is taken once', async () => {
  askAhead('/p/tarnholm-light/faces');
  expect(fetched).toEqual([
    '/api/v1/projects/tarnholm-light',
    '/api/v1/projects/tarnholm-light/pages',
  ]);
  expect((await takeAhead('/api/v1/projects/tarnholm-light'))?.ok).toBe(true);
  expect(takeAhead('/api/v1/projects/tarnholm-light')).toBeUndefined();
  expect(takeAhead('/api/v1/projects/another')).toBeUndefined();
});

test('an address without a project asks for nothing', () => {
  askAhead('/projects');
  expect(fetched).toEqual([]);
});
