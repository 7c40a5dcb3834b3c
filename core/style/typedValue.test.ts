import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange } from '../change';
import { descriptorOf, PROPERTY_NAMES, type PropertyName } from '../document';
import { seatedDocument } from '../testing/documents';
import {
  copiedCells,
  followPatch,
  pastePatch,
  shownValue,
  typedValue,
  writtenValue,
} from './typedValue';

const document = seatedDocument();
const all = { styles: Object.keys(document.styles), properties: PROPERTY_NAMES };
const cells = (styles: string[], properties: PropertyName[]) => ({ styles, properties });

describe('a value as it is typed', () => {
  test.each<[PropertyName, string, string | number | null]>([
    ['voice', 'Heading', 'heading'],
    ['voice', ' text ', 'text'],
    ['voice', 'Georgia', null],
    ['step', 'up-2', 2],
    ['step', '-1', -1],
    ['step', '40', null],
    ['case', 'uppercase', 'uppercase'],
    ['case', 'As typed', 'none'],
    ['weight', '650', 650],
    ['weight', '650.5', null],
    ['weight', '1200', null],
    ['letterSpacing', '0,02 em', 0.02],
    ['letterSpacing', '2 px', null],
    ['spaceBefore', '1.5 lines', '1.5lh'],
    ['features', 'ss01, cv05 2', 'ss01, cv05 2'],
    ['features', 'none', ''],
    ['colour', 'Ink', 'ink'],
  ])('%s takes “%s” as %j', (property, text, value) => {
    expect(typedValue(document, property, text)).toBe(value);
  });

  test('is read back as it is written, whatever it is', () => {
    const valueOf = (property: PropertyName): fc.Arbitrary<string | number> => {
      const { values } = descriptorOf(property);
      switch (values.kind) {
        case 'key':
          return fc.constantFrom(...Object.keys(document[values.of]));
        case 'step':
          return fc.integer({ min: -document.scale.down, max: document.scale.up });
        case 'choice':
          return fc.constantFrom(...values.of);
        case 'number':
          return fc
            .integer({ min: values.min * 1000, max: values.max * 1000 })
            .map((n) => (values.whole ? Math.round(n / 1000) : n / 1000));
        case 'length':
          return fc
            .tuple(
              fc.integer({ min: values.min * 100, max: values.max * 100 }),
              fc.constantFrom(...values.units),
            )
            .map(([n, unit]) => `${n / 100}${unit}`);
        case 'settings':
          return fc.constantFrom('', 'GRAD 20', 'ss01 1, cv05 2');
      }
    };
    const any = fc
      .constantFrom(...PROPERTY_NAMES)
      .chain((property) => fc.tuple(fc.constant(property), valueOf(property)));
    fc.assert(
      fc.property(any, ([property, value]) => {
        for (const written of [writtenValue, shownValue]) {
          expect(typedValue(document, property, written(document, property, value))).toBe(value);
        }
      }),
    );
  });
});

test('what is shown has a minus where what is typed has a hyphen', () => {
  expect(writtenValue(document, 'letterSpacing', -0.012)).toBe('-0.012 em');
  expect(shownValue(document, 'letterSpacing', -0.012)).toBe('\u22120.012 em');
  expect(shownValue(document, 'spaceBefore', '-2em')).toMatch(/^\u22122 ?em$/);
  // A hyphen within what is no figure stays one.
  expect(shownValue(document, 'colour', 'sea-foam')).toBe('sea-foam');
});

describe('cells of the sheet', () => {
  test('are copied as a table, and pasted elsewhere set and follow alike', () => {
    const from = cells(['heading-1', 'lead'], ['weight', 'slant', 'step']);
    const text = copiedCells(document, from);
    expect(text.split('\n').map((line) => line.split('\t').length)).toEqual([3, 3]);
    const to = cells(['caption', 'quote'], ['weight', 'slant', 'step']);
    const between = { ...all, styles: ['caption', 'quote'] };
    const { patch, refused } = pastePatch(document, text, to, between);
    expect(refused).toEqual([]);
    const after = applyChange(document, patch).document;
    expect(copiedCells(after, to)).toBe(text);
  });

  test('take one value all over, and leave out what they cannot take, told', () => {
    const range = cells(['caption', 'lead'], ['weight']);
    const { patch } = pastePatch(document, '640\r\n', range, all);
    const after = applyChange(document, patch).document;
    expect([after.styles['caption']?.set.weight, after.styles['lead']?.set.weight]).toEqual([
      640, 640,
    ]);
    const mixed = pastePatch(document, 'much\titalic\n', cells(['lead'], ['weight']), all);
    expect(mixed.refused).toEqual([{ style: 'lead', property: 'weight', text: 'much' }]);
    expect(mixed.patch).toEqual([{ op: 'add', path: '/styles/lead/set/slant', value: 'italic' }]);
  });

  test('past the end of the sheet nothing is pasted, and nothing is asked for that is there', () => {
    const last = all.styles.at(-1) ?? '';
    const { patch } = pastePatch(document, '300\n400\n500', cells([last], ['weight']), all);
    expect(patch).toEqual([{ op: 'add', path: `/styles/${last}/set/weight`, value: 300 }]);
    expect(pastePatch(document, copiedCells(document, all), all, all).patch).toEqual([]);
  });

  test('follow where they are let to', () => {
    const range = cells(['lead'], PROPERTY_NAMES);
    const after = applyChange(document, followPatch(document, range)).document;
    expect(after.styles['lead']?.set).toEqual({});
    expect(followPatch(after, range)).toEqual([]);
  });
});
