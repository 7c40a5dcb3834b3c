import { describe, expect, test } from '@jest/globals';
import { genericClass, knownFont, lettersApart, nearestName, systemWord } from './plainNames';
import { readNames } from './readNames';

describe('names typed into a stack', () => {
  test('are read as CSS has them, in quotes or not', () => {
    expect(readNames(`Georgia, "Noto Serif", 'Iowan Old Style'`).names).toEqual([
      'Georgia',
      'Noto Serif',
      'Iowan Old Style',
    ]);
    expect(readNames('  Georgia ,, ').names).toEqual(['Georgia']);
    expect(readNames('').names).toEqual([]);
  });

  test('that need quotes, stand twice, or end in a generic are put right and said', () => {
    expect(readNames('Source Serif 4, Georgia').notes.join()).toContain('quotes');
    expect(readNames('"Source Serif 4"').notes).toEqual([]);
    expect(readNames('Noto Serif').notes).toEqual([]);
    expect(readNames('Georgia, georgia')).toMatchObject({ names: ['Georgia'] });
    expect(readNames('Georgia, serif')).toMatchObject({ names: ['Georgia'] });
    expect(readNames('serif, Georgia').names).toEqual(['serif', 'Georgia']);
  });

  test('with an open quotation mark are refused', () => {
    expect(() => readNames('"Georgia, serif')).toThrow(RangeError);
  });
});

describe('the nearest known name', () => {
  test.each([
    ['Helvetia', 'Helvetica'],
    ['Times New Romann', 'Times New Roman'],
    ['SegoeUI', 'Segoe UI'],
    ['Verdna', 'Verdana'],
  ])('of %s is %s', (typed, known) => {
    expect(nearestName(typed)).toBe(known);
    expect(knownFont(typed)).toBeNull();
  });

  test.each(['SF Mono', '-apple-system', 'BlinkMacSystemFont', 'ui-monospace', 'ui-rounded'])(
    'of %s is none: it is what it is',
    (name) => expect(nearestName(name)).toBeNull(),
  );

  test('words for the fonts of an interface are known by where they answer', () => {
    expect(systemWord('UI-Monospace')).toEqual({ class: 'monospace', platforms: ['macos', 'ios'] });
    expect(systemWord('BlinkMacSystemFont')?.platforms).toEqual(['macos']);
    expect(systemWord('Georgia')).toBeNull();
    expect(systemWord('constructor')).toBeNull();
    expect(genericClass('ui-serif')).toBe('serif');
  });

  test('is none for a name that is like nothing', () => {
    expect(nearestName('Lanternfish')).toBeNull();
    expect(nearestName('Qx')).toBeNull();
    expect(knownFont('georgia')?.class).toBe('serif');
  });

  test('is counted in letters put in, taken out or changed', () => {
    expect(lettersApart('light', 'light')).toBe(0);
    expect(lettersApart('light', 'lights')).toBe(1);
    expect(lettersApart('light', 'night')).toBe(1);
    expect(lettersApart('', 'abc')).toBe(3);
  });
});
