import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { effectScope, nextTick, shallowRef } from 'vue';
import { afterRest } from './afterRest';

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

function following<T>(first: T, isHeld = () => false) {
  const source = shallowRef(first);
  const late = effectScope().run(() => afterRest(() => source.value, isHeld));
  const set = async (value: T) => {
    source.value = value;
    await nextTick();
  };
  return { set, late: () => late?.value };
}

test('a value is followed once it rests', async () => {
  const { set, late } = following('a');
  await set('b');
  jest.advanceTimersByTime(99);
  await set('c');
  jest.advanceTimersByTime(99);
  expect(late()).toBe('a');
  jest.advanceTimersByTime(1);
  expect(late()).toBe('c');
});

test('while it may be dragged it is not at rest, however long it pauses', async () => {
  let held = true;
  const { set, late } = following('a', () => held);
  await set('b');
  jest.advanceTimersByTime(5000);
  expect(late()).toBe('a');
  held = false;
  jest.advanceTimersByTime(100);
  expect(late()).toBe('b');
});

test('the first that is there, and one that goes, are followed at once; objects stay what they are', async () => {
  const { set, late } = following<object | null>(null, () => true);
  const project = { styles: {} };
  await set(project);
  expect(late()).toBe(project);
  await set(null);
  expect(late()).toBeNull();
});
