import { describe, expect, test } from '@jest/globals';
import { applyChange, documentErrors } from '@lettera/core/change';
import type { LibraryFamily } from '@lettera/core/document';
import { resolveElement, textUseOf } from '@lettera/core/style';
import { seatedDocument } from '../../../core/testing/documents';
import { rowOfCase, rowOfLibrary } from './rows';
import { NO_PARTNER_FILTER, passesAsPartner, type PartnerFilter } from '../../stage/pair/filter';
import { lookPatch, scriptsNeeded, seatPatch } from './seating';

const SCRIPTS = ['latin', 'latin-ext', 'greek', 'vietnamese'];

const library = (
  name: string,
  weights: number[],
  more: Partial<LibraryFamily> = {},
): LibraryFamily => ({
  id: name.toLowerCase().replaceAll(' ', '-'),
  name,
  class: 'serif',
  licence: 'OFL-1.1',
  scripts: SCRIPTS,
  variable: false,
  files: weights.flatMap((weight) =>
    SCRIPTS.map((script) => ({
      name: `${script}-${weight}.woff2`,
      script,
      style: 'normal' as const,
      weightMin: weight,
      weightMax: weight,
      bytes: 20_000,
      sha256: String(weight).padStart(64, '0'),
    })),
  ),
  ...more,
});

const USE = textUseOf(seatedDocument());

describe('looking at a family', () => {
  test('shows it in the voice though it is not in the case, with weights that it has', () => {
    const document = seatedDocument();
    const row = rowOfLibrary(library('Skerry Serif', [400, 800]), null, USE);
    const shown = applyChange(document, lookPatch(document, 'heading', row)).document;
    expect(documentErrors(shown)).toEqual([]);
    expect(shown.case['skerry-serif']?.faces).toHaveLength(2);
    expect(shown.voices['heading']).toMatchObject({ family: 'skerry-serif', generic: 'serif' });
    expect([400, 800]).toContain(resolveElement(shown, 'h1').weight.value);
    expect(document.case['skerry-serif']).toBeUndefined();
  });

  test('of the case seats it as it stands', () => {
    const document = seatedDocument();
    const { literata } = document.case;
    if (!literata) throw new Error('Literata is in the case');
    const patch = lookPatch(document, 'heading', rowOfCase('literata', literata, USE));
    expect(patch).toEqual(seatPatch(document, 'heading', 'literata', literata));
    expect(applyChange(document, patch).document.voices['heading']?.family).toBe('literata');
  });
});

describe('scripts', () => {
  test.each([
    [['en'], ['latin']],
    [['en', 'is'], ['latin']],
    [['pl'], ['latin', 'latin-ext']],
    [
      ['en', 'el'],
      ['latin', 'greek'],
    ],
    [['vi'], ['latin', 'vietnamese']],
    [['ja'], ['latin']],
  ])('for %s are %s', (languages, expected) => {
    const document = { ...seatedDocument(), languages };
    expect(scriptsNeeded(document, library('Skerry', [400]))).toEqual(expected);
  });
});

describe('partners', () => {
  const held = rowOfLibrary(library('Keeper', [400, 700], { class: 'sans-serif' }), 'keeper', USE);
  const row = rowOfLibrary(library('Keeper Serif', [400]), null, USE);
  const passes = (change: Partial<PartnerFilter>) =>
    passesAsPartner(row, [held], 'text', { ...NO_PARTNER_FILTER, ...change }, ['en']);

  test.each<[Partial<PartnerFilter>, boolean]>([
    [{}, true],
    [{ class: 'same' }, false],
    [{ class: 'other' }, true],
    [{ wanted: ['superfamily'] }, true],
    [{ wanted: ['italic'] }, false],
    [{ wanted: ['case'] }, false],
    [{ wanted: ['fit'] }, false],
    [{ scripts: ['greek'] }, true],
    [{ scripts: ['cyrillic'] }, false],
    [{ mostBytes: 20_000 }, true],
    [{ mostBytes: 19_999 }, false],
    [{ languages: true }, false],
  ])('pass %j: %s', (change, expected) => {
    expect(passes(change)).toBe(expected);
  });
});
