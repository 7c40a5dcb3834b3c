import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change/change';
import { face, seatedDocument } from '../testing/documents';
import { facesWanted, nearestWeight, weightChanges, weightPatch } from './weightPlan';
import { voiceUses } from './usage';

const at = (...weights: number[]) => weights.map((weight) => face('normal', weight));

describe('the nearest sensible weight', () => {
  test.each([
    ['is the one wanted where it is there', at(400, 700), 400, 400],
    ['stays bold for bold', at(400, 600), 700, 600],
    ['is no bold for text, though nearer', at(300, 500, 600), 550, 500],
    ['is not under 400 for text', at(300, 500), 400, 500],
    ['may be light where light is wanted', at(300, 500), 300, 300],
    ['takes what there is', at(900), 400, 900],
    ['takes the light one where there is no other', at(200, 300), 400, 300],
    ['lies on a variable face’s range', [face('normal', 300, 650)], 700, 650],
  ])('%s', (_what, faces, wanted, expected) => {
    expect(nearestWeight(faces, wanted)).toBe(expected);
  });
});

describe('seating a family with other weights', () => {
  test('lists each style that changes, and changes those alone', () => {
    const document = seatedDocument();
    const changes = weightChanges(document, 'heading', at(500, 800));
    expect(changes.length).toBeGreaterThan(0);
    expect(changes.every(({ from, to }) => from !== to && [500, 800].includes(to))).toBe(true);
    const changed = applyChange(document, weightPatch(document, changes)).document;
    // Headings follow one style, and still do.
    expect(changed.styles['heading-2']?.set.weight).toBeUndefined();
    expect(changed.styles['heading']?.set.weight).not.toBe(document.styles['heading']?.set.weight);
    const asked = voiceUses(changed)
      .get('heading')
      ?.requests.map(({ weight }) => weight);
    expect(asked?.every((weight) => [500, 800].includes(weight))).toBe(true);
    expect(
      weightChanges(document, 'text', [face('normal', 100, 900), face('italic', 100, 900)]),
    ).toEqual([]);
  });

  test('takes in the nearest of each face that the styles ask for', () => {
    const faces = [...at(300, 400, 600), face('italic', 400)];
    const wanted = facesWanted(seatedDocument(), 'text', faces);
    expect(wanted).toContainEqual({ style: 'normal', weight: 400 });
    expect(wanted).toContainEqual({ style: 'normal', weight: 600 });
    expect(wanted).toContainEqual({ style: 'italic', weight: 400 });
    expect(
      facesWanted(seatedDocument(), 'text', at(400)).some(({ style }) => style === 'italic'),
    ).toBe(false);
  });
});
