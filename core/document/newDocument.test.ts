import { describe, expect, test } from '@jest/globals';
import { marksOf } from '../check';
import { documentErrors } from '../change';
import { sampleDocument } from '../../sample';
import { newDocument } from './newDocument';

/** A page as wide as a reader's column on a phone, a tablet and a desktop. */
const page = (width: number, column: number) => ({
  title: 'Home',
  width,
  texts: Object.fromEntries(
    Object.keys(newDocument('Skerry').styles).map((style) => [
      style,
      { column, longest: 400, advance: 0.45 },
    ]),
  ),
});

describe('a new project', () => {
  test('is valid, and passes Lettera’s own checks before anything has been decided', () => {
    const document = newDocument('Skerry Ferries');
    expect(documentErrors(document)).toEqual([]);
    expect(marksOf(document)).toEqual([]);
  });

  test.each([
    [360, 328],
    [1280, 620],
  ])('passes them on a page of %d px', (width, column) => {
    const marks = marksOf(newDocument('Skerry'), { page: page(width, column) });
    expect(marks.filter(({ rule }) => rule !== 'measure')).toEqual([]);
  });

  test('and so does the sample', () => {
    expect(marksOf(sampleDocument())).toEqual([]);
  });
});
