import { beforeAll, describe, expect, test } from '@jest/globals';
import { newDocument, type LibraryFamily, type LibraryFile } from '@lettera/core/document';
import type { FamilyMeasures } from '@lettera/core/measure';
import { textUseOf } from '@lettera/core/style';
import { measured, variable } from '../../../core/measure/testing/faces';
import { family as familyOf, face } from '../../../core/testing/documents';
import { namesMatch } from './carelessName';
import {
  filterRows,
  isOnlyNear,
  NO_FILTER,
  phrasesOf,
  withoutPart,
  type LineUpFilter,
} from './filter';
import { plain, rowOfCase, rowOfLibrary, weightsOf, type LineUpRow } from './rows';
import { figureOf, MEASURES, measureOf, withUnit } from './measures';
import { pickableWeights, pickedBytes } from './picks';
import { sortRows, type SortKey } from './sort';

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
  sha256: '0'.repeat(64),
});

const family = (
  name: string,
  files: LibraryFile[],
  more: Partial<LibraryFamily> = {},
): LibraryFamily => ({
  id: name.toLowerCase().replace(' ', '-'),
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
const LITERATA = family('Literata', [
  file('latin', 'normal', 200, 900),
  file('latin', 'italic', 200, 900),
]);

const USE = textUseOf(newDocument('Tarnholm Light Trust'));

let measures: FamilyMeasures;
let rows: LineUpRow[];
beforeAll(async () => {
  const regular = await measured(variable('literata'), { wght: 400 });
  measures = {
    regular,
    weights: [],
    italic: 'drawn',
    languages: ['en', 'is'],
    scripts: {},
    characters: 300,
  };
  rows = [
    rowOfLibrary(STATIC, null, USE, null),
    rowOfLibrary(VARIABLE, 'hanken-grotesk', USE, undefined),
    rowOfLibrary(LITERATA, null, USE, measures),
  ];
});

const names = (filter: Partial<LineUpFilter>): string[] =>
  filterRows(rows, { ...NO_FILTER, ...filter }).map(({ name }) => name);

describe('a row', () => {
  test('says what the family offers, from the library or from the case', () => {
    expect(rows[0]).toMatchObject({ weights: [300, 400, 700], italic: true, variable: false });
    expect(rows[0]?.bytes).toBe(1400);
    expect(rows[1]).toMatchObject({ weights: [250, 900], caseKey: 'hanken-grotesk' });
    const own = familyOf('Skerry', [face('normal', 400)], {
      source: 'reference',
      reference: { stylesheet: 'https://a.example', standIn: 'Literata' },
    });
    expect(rowOfCase('skerry', { ...own, alias: 'Site' }, USE, measures)).toMatchObject({
      key: 'case/skerry',
      name: 'Site (Skerry)',
      standIn: 'Literata',
      measuredClass: 'serif',
      disputed: false,
    });
  });

  test('is judged only once it has been measured', () => {
    const verdicts = rows.map(({ fitness }) => fitness?.drawn.running.verdict);
    expect(verdicts).toEqual([undefined, undefined, 'fit']);
  });

  test('lists weights once each', () => {
    expect(weightsOf(STATIC.files)).toEqual([300, 400, 700]);
  });
});

describe('a filter', () => {
  test.each<[string, Partial<LineUpFilter>, string[]]>([
    ['class', { classes: ['sans-serif'] }, ['Hanken Grotesk']],
    ['weights needed', { weights: [300, 800] }, ['Hanken Grotesk', 'Literata']],
    ['a static weight', { weights: [700] }, ['Spectral', 'Hanken Grotesk', 'Literata']],
    ['an italic', { italic: 'italic' }, ['Spectral', 'Literata']],
    ['a drawn italic, which must be known', { italic: 'drawn' }, ['Literata']],
    ['languages', { languages: ['is'] }, ['Literata']],
    ['languages it has not', { languages: ['is', 'el'] }, []],
    ['figures', { figures: ['tabular'] }, ['Literata']],
    ['fitness', { fit: 'running' }, ['Literata']],
    ['bytes', { mostBytes: 1300 }, ['Hanken Grotesk', 'Literata']],
    ['a measure', { ranges: { xHeight: [0.5, 0.52] } }, ['Literata']],
    ['a measure out of range', { ranges: { xHeight: [0.52, 0.6] } }, []],
    ['where it stands', { from: 'case' }, ['Hanken Grotesk']],
  ])('by %s', (_what, filter, expected) => {
    expect(names(filter)).toEqual(expected);
  });

  test('by a name as it stands, and with a slip only where none does', () => {
    const [row] = rows;
    if (!row) throw new Error('There is no row');
    const named = ['Space Mono', 'Montserrat'].map((name) => ({
      ...row,
      name,
      plainName: plain(name),
    }));
    const found = (name: string) =>
      filterRows(named, { ...NO_FILTER, name }).map((one) => one.name);
    expect(found('mono')).toEqual(['Space Mono']);
    expect(found('monx')).toEqual(['Space Mono', 'Montserrat']);
    expect(found('plex')).toEqual([]);
  });

  test('by the shortlist and by what was looked at', () => {
    const places = { shortlist: ['library/literata'], recent: ['library/spectral'] };
    const of = (from: LineUpFilter['from']) =>
      filterRows(rows, { ...NO_FILTER, from }, places).map(({ name }) => name);
    expect([of('shortlist'), of('recent')]).toEqual([['Literata'], ['Spectral']]);
  });

  test('a name is found as typed, else near it, and which of the two is known', () => {
    const found = (name: string) => ({
      names: filterRows(rows, { ...NO_FILTER, name }).map((row) => row.name),
      near: isOnlyNear(rows, { ...NO_FILTER, name }),
    });
    expect(found('spec')).toEqual({ names: ['Spectral'], near: false });
    expect(found('spek')).toEqual({ names: ['Spectral'], near: true });
    expect(found('')).toEqual({ names: rows.map(({ name }) => name), near: false });
  });

  test('reads as a sentence, part for part, each of which can be let go', () => {
    const filter: LineUpFilter = {
      ...NO_FILTER,
      classes: ['serif', 'sans-serif'],
      name: 'lit',
      weights: [400, 700],
      italic: 'italic',
      languages: ['is', 'el'],
      figures: ['old-style'],
      fit: 'running',
      mostBytes: 30_000,
      ranges: { xHeight: [0.48, 0.55] },
      from: 'shortlist',
    };
    expect(phrasesOf(filter).map(({ text }) => text)).toEqual([
      'serif or sans-serif',
      'named like “lit”',
      'on the shortlist',
      'with 400 and 700',
      'with an italic',
      'for Icelandic and Greek',
      'with old-style figures',
      'for running text',
      'of at most 30.0 KB a face',
      'x-height 0.48 em to 0.55 em',
    ]);
    const cleared = phrasesOf(filter).reduce((left, { part }) => withoutPart(left, part), filter);
    expect(cleared).toEqual(NO_FILTER);
  });
});

describe('names', () => {
  test.each([
    ['hankengro', 'Hanken Grotesk', true],
    ['  SPECTRÁL', 'Spectral', true],
    ['litrata', 'Literata', true],
    ['bricolge grotesk', 'Bricolage Grotesque', true],
    ['sourceserif', 'Source Serif 4', true],
    ['xyz', 'Literata', false],
    ['lato', 'Literata', false],
    ['', 'Literata', true],
  ])('“%s” for %s: %s', (typed, name, found) => {
    expect(namesMatch(plain(typed), plain(name))).toBe(found);
  });
});

describe('sorting', () => {
  const order = (key: SortKey, direction: 1 | -1 = 1) =>
    sortRows(rows, key, direction).map(({ name }) => name[0]);
  test('by any column, both ways, those without a figure last', () => {
    expect(order('name').join('')).toBe('HLS');
    expect(order('name', -1).join('')).toBe('SLH');
    expect(order('xHeight').join('')).toBe('LHS');
    expect(order('xHeight', -1).join('')).toBe('LHS');
    expect(order('weights').join('')).toBe('LHS');
    expect(order('bytes', -1)[0]).toBe('S');
    expect(order('italic')[0]).toBe('L');
    expect(order('fit')[0]).toBe('L');
    for (const { key } of MEASURES) expect(order(key)).toHaveLength(3);
  });
});

describe('figures of measures', () => {
  test('carry their unit, a dash where there is none, and a minus that is one', () => {
    expect(withUnit(measureOf('xHeight'), 0.5071)).toBe('0.51 em');
    expect(withUnit(measureOf('slope'), -0.04)).toBe('0.0°');
    expect(figureOf(measureOf('squareness'), -0.52)).toBe('−0.52');
    expect(withUnit(measureOf('width'), null)).toBe('–');
  });
});

describe('picks', () => {
  test('can be made at each static weight, and along an axis at the hundreds and its ends', () => {
    expect(pickableWeights(VARIABLE.files)).toEqual([250, 300, 400, 500, 600, 700, 800, 900]);
    expect(pickableWeights(STATIC.files.filter(({ style }) => style === 'italic'))).toEqual([400]);
  });

  test('count the bytes of what is picked, a variable file once', () => {
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

test('a family of the case costs what a site loads of it, once that is known', () => {
  const taken = familyOf('Skerry', [face('normal', 400, 400, 'a')]);
  const bytes = (known?: number | null) =>
    rowOfCase('skerry', taken, USE, null, known === undefined ? undefined : () => known).bytes;
  expect(bytes()).toBe(20_000);
  expect(bytes(null)).toBe(20_000);
  expect(bytes(7_000)).toBe(7_000);
});
