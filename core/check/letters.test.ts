import { describe, expect, test } from '@jest/globals';
import type { FamilyMeasures } from '../measure/family';
import { seatedDocument } from '../testing/documents';
import { marksOf, type Evidence, type Mark } from '.';

const ASCII = 'U+20-7E';
const LATIN_1 = 'U+20-7E, U+A0-FF';

const marks = (rule: string, evidence: Evidence, document = seatedDocument()): Mark[] =>
  marksOf(document, evidence).filter((mark) => mark.rule === rule);

describe('letters of the site’s languages', () => {
  const inNorse = () => ({ ...seatedDocument(), languages: ['en', 'is'] });

  test('that the files of a family lack are named with their language', () => {
    const [mark, ...others] = marks(
      'language-letters',
      { characters: { archivo: ASCII, literata: LATIN_1 } },
      inNorse(),
    );
    expect(others).toEqual([]);
    expect(mark?.family).toBe('archivo');
    expect(mark?.message).toMatch(/^Archivo: in Icelandic some letters come from another font/);
    expect(mark?.message).toContain('and');
  });

  test('are no matter where the family has them, or where nothing is known of it', () => {
    expect(marks('language-letters', { characters: { archivo: LATIN_1 } }, inNorse())).toEqual([]);
    expect(marks('language-letters', {}, inNorse())).toEqual([]);
    expect(marks('language-letters', { characters: { archivo: ASCII } })).toEqual([]);
  });
});

describe('characters of the page', () => {
  const page = (letters: Record<string, string>) => ({
    title: 'Tides',
    width: 800,
    texts: {},
    letters,
  });

  test('that the family of their style lacks are named where they stand', () => {
    const evidence = {
      characters: { literata: ASCII },
      page: page({ body: 'abc λ₂', table: 'a–z' }),
    };
    const found = marks('page-letters', evidence);
    expect(found.map(({ style }) => style)).toEqual(['body', 'table']);
    expect(found[0]?.message).toBe(
      'Body: on “Tides” λ ₂ come from another font, since Literata has no such characters.',
    );
    expect(found[1]?.message).toContain('– comes from another font');
  });

  test('that it has are none, nor are those of a voice without a family', () => {
    const evidence = {
      characters: { literata: LATIN_1 },
      page: page({ body: 'æðþ  \n', code: 'λ' }),
    };
    expect(marks('page-letters', evidence)).toEqual([]);
  });
});

describe('a face without lower case', () => {
  const measures = (lowerCase: 'none' | 'capitals' | 'own') => ({
    archivo: { regular: { lowerCase } } as unknown as FamilyMeasures,
  });
  const without = (lowerCase: 'none' | 'capitals' | 'own', set: Record<string, string> = {}) => {
    const document = seatedDocument();
    Object.assign(document.styles['heading']?.set ?? {}, set);
    return marks('face-without-case', { measures: measures(lowerCase) }, document).filter(
      ({ style }) => style?.startsWith('heading'),
    );
  };

  test('of capitals only wants capitals', () => {
    const [first] = without('none');
    expect(first?.message).toMatch(/small letters come from another font/);
    expect(first?.fix?.patch).toEqual([
      { op: 'add', path: '/styles/heading-1/set/case', value: 'uppercase' },
    ]);
    expect(without('none', { case: 'uppercase' })).toEqual([]);
  });

  test('whose small letters are capitals shows no case', () => {
    const [first] = without('capitals', { case: 'uppercase' });
    expect(first?.message).toMatch(/its case shows nothing/);
    expect(first?.fix?.patch).toEqual([
      { op: 'add', path: '/styles/heading/set/case', value: 'none' },
    ]);
    expect(without('capitals')).toEqual([]);
  });

  test('is any other: nothing is said', () => {
    expect(without('own', { case: 'uppercase' })).toEqual([]);
    expect(without('own')).toEqual([]);
  });
});
