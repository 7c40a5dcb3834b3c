import { describe, expect, test } from '@jest/globals';
import { inUnicodeRange } from '../css/unicodeRange';
import { scriptOf } from '../script';
import { script } from '../script/script';
import { scriptedDocument, seatedDocument } from '../testing/documents';
import { familiesInUse } from './usage';
import { namesOf, scriptRange, seatPaths, servedBy, servedRange } from './served';

const point = (letter: string): number => letter.codePointAt(0) ?? 0;
const rangeOf = (key: string): string =>
  scriptRange(scriptOf(key) ?? script({ key, name: key, iso: [], has: /^$/ }));

describe('what a voice is set in', () => {
  test('its own family, then those of scripts that have the letters to themselves', () => {
    expect(servedBy(scriptedDocument(), 'text').map(({ name, size }) => [name, size])).toEqual([
      ['Literata', 1],
      ['Noto Naskh Arabic', 1.15],
      ['Sawarabi Mincho', 0.94],
    ]);
    expect(servedBy(seatedDocument(), 'text').map(({ name }) => name)).toEqual(['Literata']);
    expect(servedBy(seatedDocument(), 'nobody')).toEqual([]);
  });

  test('another voice with the same family keeps its letters: the script’s family is asked first', () => {
    const document = scriptedDocument();
    Object.assign(document.voices['heading'] ?? {}, { family: 'literata' });
    expect(servedBy(document, 'text').map(({ name }) => name)).toEqual([
      'Noto Naskh Arabic',
      'Sawarabi Mincho',
      'Literata',
    ]);
    expect(servedRange(document, 'literata', null)).toBeNull();
  });

  test('a family of the case that is gone is passed over', () => {
    const document = scriptedDocument();
    delete document.case['naskh'];
    expect(servedBy(document, 'text').map(({ name }) => name)).toEqual([
      'Literata',
      'Sawarabi Mincho',
    ]);
  });

  test('families of scripts are in use, and named by where they are seated', () => {
    expect(familiesInUse(scriptedDocument())).toEqual(['archivo', 'literata', 'naskh', 'mincho']);
    expect(seatPaths(scriptedDocument(), 'naskh')).toEqual(['/voices/text/scripts/arabic/family']);
    expect(seatPaths(scriptedDocument(), 'literata')).toEqual(['/voices/text/family']);
  });
});

describe('the names of faces', () => {
  test('are the family’s own at one size, and tell the size where there are two', () => {
    const document = scriptedDocument();
    expect(namesOf(document, 'naskh')).toEqual([{ name: 'Noto Naskh Arabic', size: 1.15 }]);
    Object.assign(document.voices['heading'] ?? {}, {
      scripts: { arabic: { family: 'naskh', size: 1.3 } },
    });
    // The first voice has it under its own name.
    expect(namesOf(document, 'naskh')).toEqual([
      { name: 'Noto Naskh Arabic', size: 1.15 },
      { name: 'Noto Naskh Arabic at 130 %', size: 1.3 },
    ]);
    expect(namesOf(document, 'literata')).toEqual([{ name: 'Literata', size: 1 }]);
  });

  test('a family that is a voice’s own too keeps its name there', () => {
    const document = scriptedDocument();
    Object.assign(document.voices['heading'] ?? {}, { family: 'naskh' });
    expect(namesOf(document, 'naskh')).toEqual(
      expect.arrayContaining([
        { name: 'Noto Naskh Arabic', size: 1 },
        { name: 'Noto Naskh Arabic at 115 %', size: 1.15 },
      ]),
    );
  });
});

describe('the characters that a family serves', () => {
  test('are those of its script, within what its file has', () => {
    const served =
      servedRange(scriptedDocument(), 'naskh', 'U+0600-06FF, U+200C-200E, U+0020') ?? '';
    for (const letter of 'ابت،؟') expect(inUnicodeRange(served, point(letter))).toBe(true);
    expect(inUnicodeRange(served, point('\u200c'))).toBe(true);
    expect(inUnicodeRange(served, 0x20)).toBe(false);
    expect(servedRange(scriptedDocument(), 'naskh', 'U+0020-007E')).toBe('');
  });

  test('leave those of other scripts to their families', () => {
    const served = servedRange(scriptedDocument(), 'literata', null) ?? '';
    for (const letter of 'aé λя') expect(inUnicodeRange(served, point(letter))).toBe(true);
    for (const letter of 'اあ漢') expect(inUnicodeRange(served, point(letter))).toBe(false);
    expect(servedRange(seatedDocument(), 'literata', null)).toBeNull();
    expect(servedRange(seatedDocument(), 'literata', 'U+0000-00FF')).toBe('U+0000-00FF');
  });

  test('of a script have its own letters and punctuation, and none that all share', () => {
    for (const letter of 'あア漢字、。「」（）ー々')
      expect(inUnicodeRange(rangeOf('japanese'), point(letter))).toBe(true);
    for (const letter of 'aé·“”…–0 ')
      expect(inUnicodeRange(rangeOf('japanese'), point(letter))).toBe(false);
    for (const letter of 'हिन्दी।१')
      expect(inUnicodeRange(rangeOf('devanagari'), point(letter))).toBe(true);
    // Armenian texts end in a dot that no other's do.
    expect(inUnicodeRange(rangeOf('armenian'), 0x2024)).toBe(true);
    for (const letter of 'שלוםּ')
      expect(inUnicodeRange(rangeOf('hebrew'), point(letter))).toBe(true);
    for (const letter of '한국어')
      expect(inUnicodeRange(rangeOf('korean'), point(letter))).toBe(true);
  });
});
