import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { addKeys, keyGroups, type Key } from './keys';

/** As much of a window as the keys need: who listens, and what is pressed. */
type Listener = (event: KeyboardEvent) => void;
const listeners = new Set<Listener>();
let time = 0;
const removers: (() => void)[] = [];

beforeEach(() => {
  Object.assign(globalThis, {
    window: {
      addEventListener: (_name: string, listener: Listener) => listeners.add(listener),
      removeEventListener: (_name: string, listener: Listener) => listeners.delete(listener),
    },
  });
});
afterEach(() => {
  for (const remove of removers.splice(0)) remove();
  expect(listeners.size).toBe(0);
});

function press(key: string, more: Partial<KeyboardEvent> & { on?: string } = {}) {
  const { on, ...rest } = more;
  const event = {
    key,
    timeStamp: (time += 10),
    defaultPrevented: false,
    preventDefault: jest.fn(),
    target: {
      closest: (selectors: string) => selectors.split(', ').some((one) => one === on) || null,
    },
    ...rest,
  };
  for (const listener of listeners) listener(event as unknown as KeyboardEvent);
  return event;
}

function keys(...given: [keys: string, more?: Partial<Key>][]) {
  const run = jest.fn();
  removers.push(
    addKeys(
      'Test',
      given.map(([name, more]) => ({ keys: name, does: name, run: () => run(name), ...more })),
    ),
  );
  return run;
}

describe('keys', () => {
  test('run what they are for, and take the press', () => {
    const run = keys(['f'], ['?'], ['Mod+z'], ['Shift+Mod+z'], ['Escape']);
    expect(press('f').preventDefault).toHaveBeenCalled();
    press('?', { shiftKey: true });
    press('z', { metaKey: true });
    press('Z', { ctrlKey: true, shiftKey: true });
    press('Escape');
    expect(run.mock.calls.flat()).toEqual(['f', '?', 'Mod+z', 'Shift+Mod+z', 'Escape']);
    expect(press('x').preventDefault).not.toHaveBeenCalled();
    press('f', { altKey: true });
    press('f', { ctrlKey: true });
    expect(run).toHaveBeenCalledTimes(5);
  });

  test('stay out of the way of what is typed, and of what takes Enter itself', () => {
    const run = keys(['f'], ['Enter'], ['Escape']);
    for (const on of ['input', 'textarea', '[role="combobox"]', '[contenteditable]']) {
      press('f', { on });
      press('Escape', { on });
    }
    press('Enter', { on: 'button' });
    press('f', { defaultPrevented: true });
    expect(run).not.toHaveBeenCalled();
    press('f', { on: 'button' });
    press('Enter');
    expect(run.mock.calls.flat()).toEqual(['f', 'Enter']);
  });

  test('that no text is made of may work while something is typed', () => {
    const run = keys(['Escape', { whileTyping: true }], ['g s', { whileTyping: true }]);
    press('Escape', { on: 'input' });
    press('g', { on: 'input' });
    press('s', { on: 'input' });
    expect(run.mock.calls.flat()).toEqual(['Escape']);
  });

  test('may come one after the other, within a while', () => {
    const run = keys(['g s'], ['s']);
    press('g');
    press('s');
    press('s');
    press('g');
    time += 1300;
    press('s');
    press('g');
    press('x');
    press('s');
    expect(run.mock.calls.flat()).toEqual(['g s', 's', 's', 's']);
  });

  test('of whoever came last go first, as long as they do anything', () => {
    let open = true;
    const below = keys(['Escape']);
    const above = keys(['Escape', { when: () => open }]);
    press('Escape');
    open = false;
    press('Escape');
    expect(above).toHaveBeenCalledTimes(1);
    expect(below).toHaveBeenCalledTimes(1);
    removers.pop()?.();
    press('Escape');
    expect(below).toHaveBeenCalledTimes(2);
  });

  test('are listed for the help with the words of those that controls take', () => {
    keys(['f']);
    removers.push(addKeys('Numbers', [{ keys: 'arrow keys', does: 'step a number' }]));
    expect(keyGroups.value.map(({ group }) => group)).toEqual(['Numbers', 'Test']);
    expect(press('arrow keys').preventDefault).not.toHaveBeenCalled();
  });
});
