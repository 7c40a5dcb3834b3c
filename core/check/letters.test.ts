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

describe('letters with marks', () => {
  const page = { title: 'Log', width: 800, texts: {}, marked: { body: ['ᾱ\u0301', 'm\u0303'] } };
  /** The files of Literata by the characters that they have. */
  const found = (...files: string[]) => {
    const document = seatedDocument();
    const literata = document.case['literata'];
    if (!literata) throw new Error('no such family');
    const face = literata.faces[0];
    if (!face?.files[0]) throw new Error('no such file');
    const file = face.files[0];
    const hashes = files.map((_, i) => String(i).repeat(64));
    literata.faces = [{ ...face, files: hashes.map((sha256) => ({ ...file, sha256 })) }];
    const readings = Object.fromEntries(
      files.map((characters, i) => [hashes[i] ?? '', { fullName: '', fsType: 0, characters }]),
    );
    return marks('marked-letters', { readings, page }, document).map(({ message }) => message);
  };
  const LATIN = 'U+20-7E, U+301, U+303';

  test('that no one file has together are named', () => {
    expect(found(LATIN, 'U+370-3FF, U+1F00-1FFF')).toEqual([
      'Body: on “Log” ᾱ́ comes from another font, since no one file of Literata has the letter and the marks.',
    ]);
    expect(found('U+20-7E', 'U+1FB1', 'U+301, U+303')[0]).toMatch(/ᾱ́ m̃ come from .* the letters/);
  });

  test('are no matter where one file has them, joined or apart, or where it is not known', () => {
    expect(found(LATIN, 'U+1FB1, U+301')).toEqual([]);
    expect(found(LATIN, 'U+3B1, U+304, U+301')).toEqual([]);
    // What the family lacks altogether is told as such.
    expect(found(LATIN)).toEqual([]);
    expect(marks('marked-letters', { page })).toEqual([]);
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
