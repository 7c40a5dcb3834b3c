import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change/change';
import { face, family, seatedDocument } from '../testing/documents';
import { stepByNumber } from '../scale/steps';
import { apparentSizePatch } from './apparentSize';
import { namesakes, replaceFamilyPatch, seatsOf, takeOutPatch } from './familyInUse';
import { resolveElement } from './resolve';

const withSpectral = () => {
  const document = seatedDocument();
  document.case['spectral'] = family('Spectral', [face('normal', 400, 700, 'e')]);
  return document;
};

describe('a family in use', () => {
  test('says in which voices, on which elements, and what shows instead', () => {
    const [seat] = seatsOf(seatedDocument(), 'literata');
    expect(seat).toMatchObject({ voice: 'text', voiceName: 'Text', instead: 'serif' });
    expect(seat?.elements).toContain('Body');
    expect(seat?.elements).not.toContain('Heading 1');
    expect(seatsOf(withSpectral(), 'spectral')).toEqual([]);
  });

  test('is taken out of its seats with it, and comes back whole', () => {
    const before = seatedDocument();
    const { document, inverse } = applyChange(before, takeOutPatch(before, 'literata'));
    expect(document.case['literata']).toBeUndefined();
    expect(document.voices['text']?.family).toBeNull();
    expect(applyChange(document, inverse).document).toEqual(before);
  });

  test('gives its seats to another in one change', () => {
    const before = withSpectral();
    const { document } = applyChange(
      before,
      replaceFamilyPatch(before, 'literata', 'spectral', null),
    );
    expect(document.voices['text']?.family).toBe('spectral');
    expect(document.scale).toEqual(before.scale);
  });

  test('shares its name with another only when the site would call both the same', () => {
    const document = withSpectral();
    expect(namesakes(document, 'spectral')).toEqual([]);
    Object.assign(document.case['spectral'] ?? {}, { alias: 'Literata' });
    expect(namesakes(document, 'spectral')).toEqual(['literata']);
  });
});

describe('apparent size', () => {
  test('with the body’s voice moves the base, and every step with it', () => {
    const before = withSpectral();
    const { document } = applyChange(
      before,
      replaceFamilyPatch(before, 'literata', 'spectral', 1.1),
    );
    expect(document.scale.small.base).toBeCloseTo(before.scale.small.base * 1.1, 2);
    expect(document.scale.large.base).toBeCloseTo(before.scale.large.base * 1.1, 2);
  });

  test('with another voice sets by hand just the steps that its text uses', () => {
    const before = seatedDocument();
    const { document } = applyChange(before, apparentSizePatch(before, ['heading'], 0.9));
    const step = resolveElement(before, 'h1').step.value;
    expect(stepByNumber(document.scale, step).large).toBeCloseTo(
      stepByNumber(before.scale, step).large * 0.9,
      1,
    );
    expect(document.scale.small).toEqual(before.scale.small);
    expect(Object.keys(document.scale.overrides)).not.toContain('0');
  });
});
