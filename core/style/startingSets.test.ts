import { describe, expect, test } from '@jest/globals';
import { sampleDocument } from '../../sample';
import { applyChange } from '../change';
import { marksOf } from '../check';
import { newDocument, type ProjectDocument } from '../document';
import { resolveInUse } from './resolve';
import { STARTING_SETS, startingSetPatch } from './startingSets';

describe.each(STARTING_SETS)('the starting set $name', (set) => {
  test.each([
    ['a new project', newDocument('New')],
    ['the sample', sampleDocument()],
  ])('fits %s, is taken back whole, and leaves no mark on what it sets', (_name, bare) => {
    // With its places.
    const { document } = applyChange(bare, []);
    const { document: after, inverse } = applyChange(document, startingSetPatch(document, set));
    expect(applyChange(after, inverse).document).toEqual(document);
    const made = marksOf(after).filter(({ style }) => style && Object.hasOwn(set.styles, style));
    expect(made.map(({ rule, message }) => `${rule}: ${message}`)).toEqual([]);
    expect(after.voices).toEqual(document.voices);
    expect(after.scale).toEqual(document.scale);
    expect(resolveInUse(after, 'body').lineHeight.value).toBe(set.styles['body']?.set.lineHeight);
  });

  test('adds no text element of which one selector is claimed', () => {
    const several = Object.entries(set.elements).filter(
      ([, { selectors }]) => selectors.length > 1,
    );
    for (const [key, { selectors }] of several) {
      const [one = ''] = selectors.slice(-1);
      const { document } = applyChange(newDocument('New'), []);
      const elements = Object.fromEntries(
        Object.entries(document.elements).filter(
          ([other, element]) =>
            other !== key && !element.selectors.some((selector) => selectors.includes(selector)),
        ),
      );
      const mine = { name: 'Mine', selectors: [one], style: 'body', parent: null, place: 1 };
      const adds = (project: ProjectDocument) =>
        startingSetPatch(project, set).some(({ path }) => path === `/elements/${key}`);
      expect(adds({ ...document, elements })).toBe(true);
      expect(adds({ ...document, elements: { ...elements, mine } })).toBe(false);
    }
    expect(several.length).toBeGreaterThan(0);
  });

  test('takes the voices that are paired, the steps that there are, and leaves own styles alone', () => {
    const { document } = applyChange(newDocument('New'), [
      {
        op: 'add',
        path: '/voices/loud',
        value: { name: 'Loud', family: null, generic: 'serif', fallback: null },
      },
      { op: 'add', path: '/pair', value: { heading: 'loud', text: 'text' } },
      { op: 'replace', path: '/styles/heading-1/set/step', value: 2 },
      { op: 'replace', path: '/styles/heading-2/set/step', value: 1 },
      { op: 'replace', path: '/styles/heading-3/set/step', value: 1 },
      { op: 'replace', path: '/styles/display/set/step', value: 2 },
      { op: 'replace', path: '/styles/pull-quote/set/step', value: 2 },
      { op: 'replace', path: '/scale/up', value: 2 },
      { op: 'remove', path: '/elements/kicker' },
      {
        op: 'add',
        path: '/styles/own',
        value: { name: 'Own', follows: null, set: { weight: 611 } },
      },
      {
        op: 'add',
        path: '/elements/mine',
        value: { name: 'Mine', selectors: ['.kicker'], style: 'own', parent: null },
      },
      { op: 'remove', path: '/styles/caption/set/colour' },
      { op: 'remove', path: '/styles/link/at/visited' },
      { op: 'remove', path: '/styles/rule/set/lineColour' },
      { op: 'remove', path: '/colours/quiet' },
    ]);
    const { document: after } = applyChange(document, startingSetPatch(document, set));
    expect(after.styles['heading']?.set.voice).toBe('loud');
    expect(after.styles['heading-1']?.set.step).toBe(2);
    expect(after.styles['own']?.set).toEqual({ weight: 611 });
    expect(after.styles['caption']?.set.colour).toBeUndefined();
    // What the designer's own element meets is not claimed again.
    expect(after.elements['kicker']).toBeUndefined();
    expect(after.elements['pull-quote']?.style).toBe('pull-quote');
  });
});
