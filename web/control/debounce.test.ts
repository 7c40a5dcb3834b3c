import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { effectScope } from 'vue';
import { debounce } from './debounce';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

test('work is done once, after a pause, and not when it was given up', () => {
  const work = jest.fn();
  const soon = debounce(work, 100);
  soon();
  jest.advanceTimersByTime(99);
  soon();
  jest.advanceTimersByTime(99);
  expect(work).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1);
  expect(work).toHaveBeenCalledTimes(1);
  soon();
  soon.cancel();
  jest.advanceTimersByTime(500);
  expect(work).toHaveBeenCalledTimes(1);
});

test('work is given up with the scope that it was made in', () => {
  const work = jest.fn();
  const scope = effectScope();
  scope.run(() => debounce(work, 100))?.();
  scope.stop();
  jest.advanceTimersByTime(500);
  expect(work).not.toHaveBeenCalled();
});
