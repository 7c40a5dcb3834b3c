import { describe, expect, test } from '@jest/globals';
import { applyChange, ChangeError, describePatch } from '../change';
import { marksOf } from '../check';
import { stylesheet } from '../deliver';
import { designTokens } from '../deliver/designTokens';
import type { Patch, ProjectDocument } from '../document';
import { fallbacksOf, plansOf, seatedDocument } from '../testing/documents';
import {
  copiedCells,
  followPatch,
  narrowDocument,
  pastePatch,
  resolveInUse,
  setCellPatch,
  usersOfColour,
  voiceUses,
} from '.';

const changed = (patch: Patch, document: ProjectDocument = seatedDocument()) =>
  applyChange(document, patch).document;
const narrowed = (style: string, values: Record<string, string | number>) =>
  changed([{ op: 'add', path: `/styles/${style}/narrow`, value: values }]);

describe('what styles set on narrow screens', () => {
  test('stands in place of what they set for every width, and is followed', () => {
    const document = narrowed('heading', { weight: 500 });
    const narrow = narrowDocument(document);
    expect(resolveInUse(document, 'heading-2').weight.value).toBe(700);
    expect(resolveInUse(narrow, 'heading-2').weight).toMatchObject({
      value: 500,
      source: 'heading',
    });
    expect(narrowDocument(narrow)).toBe(narrow);
    const plain = seatedDocument();
    expect(narrowDocument(plain)).toBe(plain);
    expect(
      narrowDocument(changed([{ op: 'add', path: '/styles/lead/narrow', value: {} }])),
    ).toEqual(changed([{ op: 'add', path: '/styles/lead/narrow', value: {} }]));
  });

  test('is bound like everything else that is set', () => {
    for (const value of [{ weight: 2000 }, { step: 40 }, { colour: 'none-such' }, { unknown: 1 }]) {
      expect(() => changed([{ op: 'add', path: '/styles/lead/narrow', value }])).toThrow(
        ChangeError,
      );
    }
    expect(() => changed([{ op: 'add', path: '/narrowBelow', value: 100 }])).toThrow(ChangeError);
  });

  test('asks faces for its weights, and keeps its colours in use', () => {
    const document = narrowed('navigation', { weight: 640, colour: 'panel' });
    const weights = voiceUses(document)
      .get('heading')
      ?.requests.map(({ weight }) => weight);
    expect(weights).toEqual(expect.arrayContaining([500, 640]));
    expect(usersOfColour(document, 'panel')).toEqual(['navigation']);
  });

  test('is set, copied, pasted and let go in cells of its own, also where a style has none yet', () => {
    const document = seatedDocument();
    const cells = { styles: ['lead', 'small'], properties: ['weight', 'lineHeight'] as const };
    const range = { ...cells, where: 'narrow' as const };
    const { patch } = pastePatch(document, '500\t1.4\n600\t1.5', range, range);
    const after = changed(patch, document);
    expect(after.styles['lead']?.narrow).toEqual({ weight: 500, lineHeight: 1.4 });
    expect(after.styles['small']?.narrow).toEqual({ weight: 600, lineHeight: 1.5 });
    expect(after.styles['lead']?.set).toEqual(document.styles['lead']?.set);
    expect(copiedCells(after, range)).toBe('500\t1.4\n600\t1.5');
    const one = changed(setCellPatch(after, 'lead', 'weight', 510, 'narrow'), after);
    expect(one.styles['lead']?.narrow).toEqual({ weight: 510, lineHeight: 1.4 });
    const free = changed(followPatch(one, range), one);
    expect(free.styles['lead']?.narrow).toEqual({});
    expect(setCellPatch(free, 'lead', 'weight', null, 'narrow')).toEqual([]);
  });

  test('is told in the history with its width', () => {
    const document = narrowed('lead', { weight: 500 });
    const patch = setCellPatch(document, 'lead', 'weight', 600, 'narrow');
    expect(describePatch(document, patch)).toBe('Style Lead: weight, below 600 px 500 → 600');
  });
});

describe('on narrow screens marks', () => {
  const marks = (document: ProjectDocument, rule: string) =>
    marksOf(document).filter((mark) => mark.rule === rule);

  test('that only come there say so, and offer no change for every width', () => {
    const document = narrowed('body', { letterSpacing: 0.2 });
    const [mark] = marks(document, 'spaced-text');
    expect(mark?.message).toMatch(/^Below 600 px\. Body: words fall apart/);
    expect(mark?.fix).toBeUndefined();
    expect(
      marks(
        changed([{ op: 'add', path: '/styles/body/set/letterSpacing', value: 0.2 }]),
        'spaced-text',
      )[0]?.message,
    ).toMatch(/^Body/);
  });

  test('on a phone are those of what is set there', () => {
    const small = { width: 360, base: 15, ratio: 1.2 };
    const tooSmall = changed([{ op: 'replace', path: '/scale/small', value: small }]);
    expect(marks(tooSmall, 'small-text').some(({ message }) => message.startsWith('Body'))).toBe(
      true,
    );
    const larger = changed(
      [{ op: 'add', path: '/styles/body/narrow', value: { step: 1 } }],
      tooSmall,
    );
    expect(marks(larger, 'small-text').some(({ message }) => /Body/.test(message))).toBe(false);
    // Where a phone is no narrow screen, nothing has changed.
    const elsewhere = changed([{ op: 'add', path: '/narrowBelow', value: 300 }], larger);
    expect(marks(elsewhere, 'small-text').some(({ message }) => message.startsWith('Body'))).toBe(
      true,
    );
  });
});

describe('what is delivered', () => {
  test('holds what differs under a condition beside each element, and its tokens', () => {
    const document = narrowed('navigation', { weight: 640, case: 'uppercase' });
    const css = stylesheet(document, plansOf(document));
    const condition = '@media not all and (min-width: 600px)';
    expect(css.split(condition)).toHaveLength(3);
    const [, tokens = '', rule = ''] = css.split(condition);
    expect(tokens.slice(0, 200)).toContain('--style-navigation-font-weight: 640');
    expect(rule.slice(0, 200)).toContain('text-transform: var(--style-navigation-text-transform)');
    // It goes before the rules of later elements, which have their way.
    expect(rule).toContain(':where(table)');
    const json = designTokens(document, fallbacksOf(document));
    expect(json).toContain('"narrowBelow": 600');
    expect(json).toContain('"narrow"');
  });

  test('is as before where nothing differs', () => {
    const document = seatedDocument();
    const empty = changed([{ op: 'add', path: '/styles/lead/narrow', value: {} }]);
    expect(stylesheet(empty, plansOf(empty))).toBe(stylesheet(document, plansOf(document)));
  });
});
