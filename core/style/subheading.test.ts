import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import { pairSeatsOf } from '../document';
import { seatedDocument } from '../testing/documents';
import { resolveElement } from './resolve';
import { subheadingPatch } from './subheading';
import { textUseOf } from './textUse';

describe('a voice for subheadings', () => {
  test('is made once, and sets the levels from the third on', () => {
    const document = applyChange(seatedDocument(), subheadingPatch(seatedDocument())).document;
    expect(pairSeatsOf(document)?.subheading).toBe('subheading');
    const voices = ['h1', 'h2', 'h3', 'h4'].map((key) => resolveElement(document, key).voice.value);
    expect(voices).toEqual(['heading', 'heading', 'subheading', 'subheading']);
    expect(subheadingPatch(document)).toEqual([]);
  });
});

describe('how a site sets its parts', () => {
  test('is read from its styles, at the small end of its scale', () => {
    const document = seatedDocument();
    const { sizes, languages } = textUseOf(document);
    const { base, ratio } = document.scale.small;
    expect(languages).toBe(document.languages);
    expect(sizes.running).toEqual({ size: base, weight: 400 });
    expect(sizes.headings.size).toBeCloseTo(base * ratio ** 3, 6);
    expect(sizes.headings.weight).toBe(resolveElement(document, 'h2').weight.value);
    expect(sizes.subheadings.size).toBeCloseTo(base * ratio ** 2, 6);
    expect(sizes.short.size).toBeCloseTo(base / ratio, 6);
  });
});
