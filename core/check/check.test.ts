import { describe, expect, test } from '@jest/globals';
import { face, family, seatedDocument } from '../testing/documents';
import { contrastRatio, marksOf } from '.';

const rules = (document = seatedDocument()) => marksOf(document).map(({ rule }) => rule);

describe('marks', () => {
  test('name a weight that shows in another, and a family that nothing is set in', () => {
    const document = seatedDocument();
    document.case['gloock'] = family('Gloock', [face('normal', 400)]);
    const marks = marksOf(document);
    expect(marks.find(({ rule }) => rule === 'replaced-weight')?.message).toBe(
      'Navigation: shows in Archivo 600, the nearest to the 500 asked for.',
    );
    expect(marks.find(({ rule }) => rule === 'unused-family')?.message).toContain('Gloock');
  });

  test('name a faked italic and a faked bold', () => {
    const document = seatedDocument();
    document.case['literata'] = family('Literata', [face('normal', 400)]);
    expect(rules(document)).toEqual(expect.arrayContaining(['faked-italic', 'faked-bold']));
    document.case['literata'] = family('Literata', [
      face('normal', 200, 900),
      face('italic', 200, 900),
    ]);
    expect(rules(document)).not.toEqual(expect.arrayContaining(['faked-italic']));
  });

  test('name text too low in contrast, on the dark ground only where it is delivered', () => {
    const document = seatedDocument();
    Object.assign(document.colours['quiet'] ?? {}, { light: '#9aa5ad', dark: '#333b40' });
    const low = () => marksOf(document).filter(({ rule }) => rule === 'low-contrast');
    expect(low().map(({ style }) => style)).toEqual(['caption']);
    document.delivery.dark = true;
    expect(low()).toHaveLength(2);
  });

  test('contrast is that of WCAG 2.2, with alpha laid on the ground', () => {
    expect(contrastRatio('#000', '#fff')).toBeCloseTo(21, 5);
    expect(contrastRatio('#767676', '#fff')).toBeCloseTo(4.54, 2);
    expect(contrastRatio('rgb(0 0 0 / 0)', '#fff')).toBeCloseTo(1, 5);
    expect(contrastRatio('rgb(0 0 0 / 0.5)', '#fff')).toBeCloseTo(
      contrastRatio('#808080', '#fff'),
      1,
    );
  });
});
