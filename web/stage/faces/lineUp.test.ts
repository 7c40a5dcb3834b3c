import { describe, expect, test } from '@jest/globals';
import type { LibraryFamily, LibraryFile } from '@lettera/core/document';
import {
  filterRows,
  pickableWeights,
  pickedBytes,
  rowOfLibrary,
  sortRows,
  specimenFile,
  weightsOf,
} from './lineUp';

const file = (
  script: string,
  style: 'normal' | 'italic',
  weightMin: number,
  weightMax = weightMin,
): LibraryFile => ({
  name: `${script}-${weightMin}-${style}.woff2`,
  script,
  style,
  weightMin,
  weightMax,
  bytes: 1000 + weightMin,
});

const family = (name: string, files: LibraryFile[], more: Partial<LibraryFamily> = {}) => ({
  id: name.toLowerCase(),
  name,
  class: 'serif',
  licence: 'OFL-1.1',
  scripts: ['latin', 'greek'],
  variable: false,
  files,
  ...more,
});

const STATIC = family('Spectral', [
  file('greek', 'normal', 400),
  file('latin', 'normal', 300),
  file('latin', 'normal', 700),
  file('latin', 'italic', 400),
]);
const VARIABLE = family('Hanken Grotesk', [file('latin', 'normal', 250, 900)], {
  variable: true,
  class: 'sans-serif',
});

describe('the line-up', () => {
  test('shows a family in its Latin upright nearest to regular', () => {
    expect(specimenFile(STATIC)?.weightMin).toBe(300);
    expect(specimenFile(family('X', [file('greek', 'normal', 400)]))).toBeUndefined();
  });

  test('lists the weights there are, and those that can be picked', () => {
    expect(weightsOf(STATIC.files)).toEqual([300, 400, 700]);
    expect(pickableWeights(VARIABLE.files)).toEqual([250, 300, 400, 500, 600, 700, 800, 900]);
    expect(pickableWeights(STATIC.files.filter(({ style }) => style === 'italic'))).toEqual([400]);
  });

  test('finds names typed carelessly, and filters by class', () => {
    const rows = [rowOfLibrary(STATIC, null), rowOfLibrary(VARIABLE, 'hanken-grotesk')];
    const names = (text: string, classes: string[] = []) =>
      filterRows(rows, { text, classes }).map(({ name }) => name);
    expect(names('hankengro')).toEqual(['Hanken Grotesk']);
    expect(names('  SPECTRÁL')).toEqual(['Spectral']);
    expect(names('', ['sans-serif'])).toEqual(['Hanken Grotesk']);
    expect(names('spectral', ['sans-serif'])).toEqual([]);
  });

  test('sorts by any column, both ways', () => {
    const rows = [rowOfLibrary(STATIC, null), rowOfLibrary(VARIABLE, null)];
    const first = (key: 'name' | 'bytes' | 'weights', direction: 1 | -1) =>
      sortRows(rows, key, direction)[0]?.name;
    expect([first('name', 1), first('name', -1)]).toEqual(['Hanken Grotesk', 'Spectral']);
    expect(first('weights', -1)).toBe('Hanken Grotesk');
    expect(first('bytes', -1)).toBe('Spectral');
  });

  test('counts the bytes of what is picked, a variable file once', () => {
    const faces = [
      { style: 'normal', weight: 400 },
      { style: 'normal', weight: 700 },
    ];
    expect(pickedBytes(VARIABLE, ['latin'], faces)).toEqual({ bytes: 1250, files: 1 });
    expect(pickedBytes(STATIC, ['latin', 'greek'], faces)).toEqual({
      bytes: 1700 + 1400,
      files: 2,
    });
    expect(pickedBytes(STATIC, [], faces)).toEqual({ bytes: 0, files: 0 });
  });
});
