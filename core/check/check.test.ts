import { describe, expect, test } from '@jest/globals';
import { face, family, seatedDocument } from '../testing/documents';
import { contrastRatio } from '../style';
import { marksOf } from '.';

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
    expect(low().map(({ style, subject }) => [style, subject])).toEqual([
      ['caption', 'quiet-on-ground-light'],
      ['link', 'quiet-on-ground-light-visited'],
    ]);
    document.delivery.dark = true;
    expect(low()).toHaveLength(4);
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

  test('name faces that claim one place, by what their files call them', () => {
    const document = seatedDocument();
    document.case['archivo'] = family('Archivo', [
      face('normal', 700, 700, 'c'),
      face('normal', 700, 700, 'd'),
    ]);
    const readings = {
      ['c'.repeat(64)]: { fullName: 'Archivo Bold', fsType: 0 },
      ['d'.repeat(64)]: { fullName: 'Archivo Bold, other', fsType: 0 },
    };
    const mark = marksOf(document, { readings }).find(({ rule }) => rule === 'shared-place');
    expect(mark?.message).toBe(
      'Archivo 700 upright: only Archivo Bold, other shows, since Archivo Bold claims the same place.',
    );
    Object.assign(document.case['archivo'].faces[1] ?? {}, { widthMin: 75, widthMax: 75 });
    expect(rules(document)).not.toContain('shared-place');
  });

  test('name a file in use that forbids the web, and leave stand-ins alone', () => {
    const document = seatedDocument();
    const readings = { ['c'.repeat(64)]: { fullName: 'Archivo SemiBold', fsType: 2 } };
    const marks = marksOf(document, { readings }).filter(({ rule }) => rule === 'embedding');
    expect(marks.map(({ message }) => message)).toEqual([
      'Archivo SemiBold would be delivered, though its file says “restricted: no embedding”.',
    ]);
    Object.assign(document.case['archivo'] ?? {}, { source: 'reference' });
    expect(marksOf(document, { readings }).some(({ rule }) => rule === 'embedding')).toBe(false);
  });

  test('name two families that the site would call the same', () => {
    const document = seatedDocument();
    expect(rules(document)).not.toContain('same-name');
    Object.assign(document.case['archivo'] ?? {}, { alias: 'Literata' });
    expect(rules(document)).toContain('same-name');
  });

  test('name the families in use beyond the third, and what they cost', () => {
    const document = seatedDocument();
    const seat = (key: string, name: string) => {
      document.case[key] = family(name, [face('normal', 400), face('normal', 700)]);
      document.voices[key] = { name, family: key, generic: 'serif', fallback: null };
      document.styles[key] = { name, follows: null, set: { voice: key } };
      document.elements[key] = { name, selectors: [`.${key}`], style: key, parent: null };
    };
    seat('skerry', 'Skerry');
    const many = () =>
      marksOf(structuredClone(document)).filter(({ rule }) => rule === 'many-families');
    expect(many()).toEqual([]);
    seat('keeper', 'Keeper');
    expect(many().map(({ message }) => message)).toEqual([
      '4 families are in use. Keeper beyond the third add up to 40 KB that visitors load.',
    ]);
    seat('warden', 'Warden');
    for (const { faces } of Object.values(document.case)) {
      for (const { files } of faces) for (const file of files) file.bytes = 20_500;
    }
    expect(many()[0]?.message).toContain('82 KB');
    const bytes = new Map([['0'.repeat(64), 7_000]]);
    expect(
      marksOf(structuredClone(document), { bytes })
        .map(({ message }) => message)
        .join(),
    ).toContain('Keeper and Warden beyond the third add up to 28 KB');
    document.case['keeper']?.faces[0]?.files.forEach((file) => (file.bytes = 4_000_000));
    expect(many()[0]?.message).toContain('4062 KB');
    document.case['keeper']?.faces[0]?.files.forEach((file) => (file.bytes = 20_000));
    for (const { faces } of Object.values(document.case)) {
      for (const { files } of faces) for (const file of files) file.bytes = 20_000;
    }
    expect(many()[0]?.message).toContain('Keeper and Warden beyond the third add up to 80 KB');
  });

  describe('contrast is asked for by size and weight, WCAG 2.2', () => {
    // 4.0 to 1 on white: enough for large text, and not for other text.
    const MIDDLING = '#808080';
    const low = (px: number, weight: number, light = MIDDLING) => {
      const document = seatedDocument();
      document.scale.overrides = { '1': { small: px, large: Math.max(px, 19) } };
      document.scale.crossing = true;
      Object.assign(document.colours['ink'] ?? {}, { light });
      Object.assign(document.styles['lead']?.set ?? {}, { weight });
      return marksOf(document).some(
        ({ rule, style }) => rule === 'low-contrast' && style === 'lead',
      );
    };
    test.each([
      [24, 400, false],
      [23.9, 400, true],
      [18.66, 700, false],
      [18.65, 700, true],
      [18.66, 699, true],
      [12, 900, true],
    ])('%f px at %i is marked: %s', (px, weight, marked) => expect(low(px, weight)).toBe(marked));

    test('3 to 1 is the least for large text', () => {
      expect(low(30, 400, '#949494')).toBe(false);
      expect(low(30, 400, '#969696')).toBe(true);
    });
    test('4.5 to 1 is the least for other text', () => {
      expect(low(16, 400, '#767676')).toBe(false);
      expect(low(16, 400, '#777777')).toBe(true);
    });
  });
});
