import { describe, expect, test } from '@jest/globals';
import { familySheet } from '../measure/familySheet';
import { bytesAt, fixed, variable } from '../measure/testing/faces';
import { seatedDocument } from '../testing/documents';
import { marksOf } from '.';

const measured = async (path: string) =>
  (await familySheet({ files: [bytesAt(path)], weight: 400 }, null)).measures;

describe('running text in a family that is not drawn for it', () => {
  test.each([
    ['Bodoni Moda', variable('bodoni-moda'), /thin strokes of 0\.\d\d px at 16 px/],
    ['Space Mono', fixed('space-mono'), /every letter takes the same room/],
    ['Barlow Condensed', fixed('barlow-condensed'), /condensed/],
  ])('is marked, with the measure: %s', async (_name, path, why) => {
    const marks = marksOf(seatedDocument(), { measures: { literata: await measured(path) } });
    const mark = marks.find(({ rule }) => rule === 'unfit-text');
    expect(mark?.message).toMatch(why);
    expect(mark).toMatchObject({ stage: 'pair', style: 'body', family: 'literata' });
  });

  test.each([
    ['Literata', variable('literata')],
    // With care is no mark: it is reported in Faces and in Pair.
    ['EB Garamond', variable('eb-garamond')],
  ])('is not marked where it is: %s', async (_name, path) => {
    const marks = marksOf(seatedDocument(), { measures: { literata: await measured(path) } });
    expect(marks.filter(({ rule }) => rule === 'unfit-text')).toEqual([]);
  });

  test('is not judged before it has been measured', () => {
    const rules = marksOf(seatedDocument(), { measures: { literata: null } });
    expect(rules.filter(({ rule }) => rule === 'unfit-text')).toEqual([]);
  });
});
