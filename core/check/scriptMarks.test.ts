import { describe, expect, test } from '@jest/globals';
import type { FamilyMeasures } from '../measure/family';
import { scriptedDocument, seatedDocument } from '../testing/documents';
import { marksOf, type Evidence, type Mark } from '.';
import { REACHES_PAST } from './scriptMarks';

const marks = (rule: string, document = scriptedDocument(), evidence: Evidence = {}): Mark[] =>
  marksOf(document, evidence).filter((mark) => mark.rule === rule);

const LATIN_1 = 'U+20-7E, U+A0-FF';
const ARABIC = 'U+600-6FF, U+200C-200F';

describe('a script that no family of a voice has', () => {
  const inArabic = () => ({ ...seatedDocument(), languages: ['en', 'ar'] });
  const characters = { archivo: LATIN_1, literata: LATIN_1, naskh: ARABIC };

  test('is told for each voice, with where it is put right', () => {
    const found = marks('language-script', inArabic(), { characters });
    expect(found.map(({ voice }) => voice).sort()).toEqual(['heading', 'text']);
    expect(found[0]).toMatchObject({ stage: 'pair' });
    expect(found[0]?.message).toContain('Arabic');
    expect(marks('language-letters', inArabic(), { characters })).toEqual([]);
  });

  test('is none where a family is seated for it, and its lacking letters are that family’s', () => {
    const document = { ...scriptedDocument(), languages: ['en', 'ar'] };
    const found = marks('language-script', document, {
      characters: { ...characters, mincho: 'U+4E00' },
    });
    expect(found.map(({ voice }) => voice)).toEqual(['heading']);
    const few = { ...characters, naskh: 'U+627-64A', mincho: 'U+4E00' };
    const [lacking] = marks('language-letters', document, { characters: few });
    expect(lacking?.message).toMatch(/^Noto Naskh Arabic: in Arabic some letters/);
  });
});

describe('bold and italics that are made up', () => {
  test('are told for the script whose family has none', () => {
    const [bold, ...others] = marks('faked-bold-script');
    expect(others).toEqual([]);
    expect(bold?.message).toMatch(
      /in Japanese Sawarabi Mincho 400 is thickened by the browser, since 700/,
    );
    expect(bold?.lacks).toEqual({ weight: 700, style: 'normal' });
    expect(marks('faked-italic-script')).toEqual([]);
  });

  test('italics of a script that has none, where they are asked for all the same', () => {
    const document = { ...scriptedDocument(), byLanguage: { ar: { emphasis: 'italic' as const } } };
    const found = marks('faked-italic-script', document);
    expect(found[0]?.message).toContain('and Arabic has no italics');
    expect(found[0]?.stage).toBe('styles');
    // Bold within italics is told by each of the two.
    const subjects = found.map(({ subject }) => subject);
    expect(subjects.every((one) => one?.startsWith('arabic-400'))).toBe(true);
  });

  test('a face of a script’s family is used where a language in it asks for it, and else not', () => {
    const unused = (document = scriptedDocument()) =>
      marks('unused-face', document).map(({ family }) => family);
    expect(unused()).not.toContain('naskh');
    expect(unused()).not.toContain('mincho');
    const { naskh } = scriptedDocument().case;
    const [face] = naskh?.faces ?? [];
    const document = scriptedDocument();
    if (!naskh || !face) throw new Error('The document has no such family');
    document.case['naskh'] = {
      ...naskh,
      faces: [face, { ...face, style: 'italic', weightMin: 200, weightMax: 200 }],
    };
    expect(unused(document)).toContain('naskh');
  });
});

/** Measures of the family for Arabic: a text face's, but for what is said. */
const inArabic = (own: Partial<FamilyMeasures['scripts'][string]>): Evidence => ({
  measures: {
    naskh: {
      regular: { lowerCase: 'own', monospaced: false, figures: null },
      weights: [],
      languages: ['ar'],
      italic: null,
      scripts: {
        arabic: {
          height: 0.34,
          thin: 0.04,
          thick: 0.08,
          advance: 0.4,
          top: 1,
          bottom: -0.5,
          ...own,
        },
      },
    } as unknown as FamilyMeasures,
  },
});

test('a family of a script that is not drawn for text is told with its script', () => {
  expect(marks('unfit-text', scriptedDocument(), inArabic({}))).toEqual([]);
  const [mark, ...others] = marks('unfit-text', scriptedDocument(), inArabic({ thick: 0.25 }));
  expect(others).toEqual([]);
  expect(mark).toMatchObject({ family: 'naskh', stage: 'pair', subject: 'arabic' });
  expect(mark?.message).toMatch(
    /^Running text in Arabic tires or breaks up: Noto Naskh Arabic is not drawn for it. heavy strokes, 0.74 of the tooth height/,
  );
});

describe('marks that reach into the next line', () => {
  const reaching = (top: number, bottom: number): Evidence => inArabic({ top, bottom });
  const lowest = Math.min(...['body', 'small', 'quote', 'pull-quote'].map(() => 1.25 * 1.15));

  test('are told from where they are likely to meet, and not before', () => {
    // The lowest line that the text voice is set in, at the size of the family.
    const meets = (lowest * REACHES_PAST) / 1.15;
    const [mark] = marks('marks-meet', scriptedDocument(), reaching(meets, -0.2));
    expect(mark?.message).toMatch(
      /in Arabic marks of one line can stand in the letters of the next/,
    );
    expect(marks('marks-meet', scriptedDocument(), reaching(0.8, -0.1))).toEqual([]);
  });

  test('are put right by higher lines of that language', () => {
    const document = scriptedDocument();
    const [mark] = marks('marks-meet', document, reaching(1.6, -0.6));
    const value = (mark?.fix?.patch[0] as { value: Record<string, { lineHeight: number }> }).value;
    expect(value['ar']?.lineHeight).toBeGreaterThan(1.15);
    const after = { ...document, byLanguage: value };
    expect(marks('marks-meet', after, reaching(1.6, -0.6))).toEqual([]);
  });
});

test('local fonts of another script are told, and given back', () => {
  const document = scriptedDocument();
  Object.assign(document.voices['text']?.scripts?.['arabic'] ?? {}, {
    fallback: ['georgia', 'arabic-geeza-pro'],
  });
  const [mark, ...others] = marks('wrong-script-fallback', document);
  expect(others).toEqual([]);
  expect(mark?.message).toContain('Georgia has no letters of Arabic');
  expect(mark?.fix?.patch).toEqual([
    { op: 'remove', path: '/voices/text/scripts/arabic/fallback' },
  ]);
});

describe('a page that does not say what it is', () => {
  const page = (more: object): Evidence => ({
    page: { title: 'Welcome', width: 800, texts: {}, ...more },
  });

  test('joined letters in a language that the site does not name are pulled apart', () => {
    const spaced = page({ letters: { kicker: 'abcسلام' } });
    expect(marks('joined-apart', seatedDocument(), spaced)[0]?.message).toContain(
      'joined letters of Arabic are pulled apart, since 0.06 em',
    );
    expect(marks('joined-apart', scriptedDocument(), spaced)).toEqual([]);
    expect(marks('joined-apart', seatedDocument(), page({ letters: { body: 'سلام' } }))).toEqual(
      [],
    );
    expect(marks('joined-apart', seatedDocument(), page({ letters: { kicker: 'שלום' } }))).toEqual(
      [],
    );
  });

  test('text that runs the other way than its block is told with how it begins', () => {
    const turned = page({ turned: { body: 'שלום לכם' } });
    expect(marks('wrong-direction', seatedDocument(), turned)[0]?.message).toContain('“שלום לכם”');
    expect(marks('wrong-direction', seatedDocument(), page({}))).toEqual([]);
  });
});
