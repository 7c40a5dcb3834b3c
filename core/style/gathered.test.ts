import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import type { Patch, ProjectDocument } from '../document';
import { seatedDocument } from '../testing/documents';
import { ownVoices } from './ownVoices';
import { gatheredCount, redundant, sameStyles, strays, unwornStyles } from './gathered';

/** Styles beside those of a new project. */
function withStyles(styles: Record<string, { follows?: string; set?: object }>): ProjectDocument {
  const patch: Patch = Object.entries(styles).map(([key, { follows = null, set = {} }]) => ({
    op: 'add',
    path: `/styles/${key}`,
    value: { name: key, follows, set },
  }));
  return applyChange(seatedDocument(), patch).document;
}
const about = (list: { style: string; property: string }[], keys: string[]) =>
  list
    .filter(({ style }) => keys.includes(style))
    .map(({ style, property }) => `${style} ${property}`);

describe('a stray', () => {
  const group = ['a', 'b', 'c'];
  const of = (sets: Record<string, object>) =>
    about(
      strays(
        withStyles({
          all: { set: { lineHeight: 1.3, voice: 'text', alignment: 'start' } },
          ...Object.fromEntries(group.map((key) => [key, { follows: 'all', set: sets[key] }])),
        }),
      ),
      group,
    );

  test('has a property of its own where all others of its group follow', () => {
    expect(of({ b: { lineHeight: 1.5 } })).toEqual(['b lineHeight']);
    expect(of({ c: { voice: 'heading', alignment: 'center' } })).toEqual([
      'c voice',
      'c alignment',
    ]);
  });

  test('is none where another has its own too, nor in what differs by nature', () => {
    expect(of({ a: { lineHeight: 1.4 }, b: { lineHeight: 1.5 } })).toEqual([]);
    expect(of({ a: { step: 1, weight: 300, slant: 'italic', colour: 'accent' } })).toEqual([]);
    expect(of({ a: { step: 3, lineHeight: 1.1, letterSpacing: -0.02 } })).toEqual([]);
    expect(of({ a: { step: 3, alignment: 'center' } })).toEqual(['a alignment']);
    // What the group takes from nobody is missed by no change.
    expect(of({ a: { wrapping: 'balance' } })).toEqual([]);
    expect(of({})).toEqual([]);
  });

  test('needs a group to stray from', () => {
    const two = withStyles({
      all: {},
      a: { follows: 'all', set: { lineHeight: 1.5 } },
      b: { follows: 'all' },
    });
    expect(about(strays(two), ['a', 'b'])).toEqual([]);
  });
});

describe('what is set and would be followed all the same', () => {
  test('is redundant, along the styles followed and in the text around', () => {
    const document = withStyles({
      all: { set: { lineHeight: 1.3, weight: 400 } },
      a: { follows: 'all', set: { lineHeight: 1.3, weight: 500, decoration: 'none' } },
    });
    expect(about(redundant(document), ['a', 'all'])).toEqual(['all weight', 'a lineHeight']);
  });

  test('is needed where one of the places would give another value', () => {
    const strong = seatedDocument().styles['strong']?.set;
    expect(strong).toBeDefined();
    expect(about(redundant(seatedDocument()), ['strong'])).toEqual([]);
  });
});

describe('styles', () => {
  test('say the same when all that they come to agrees, but for rounding', () => {
    const same = (weight: number, spacing: number) =>
      sameStyles(
        withStyles({
          a: { set: { weight: 610, letterSpacing: 0.01 } },
          b: { set: { weight, letterSpacing: spacing } },
        }),
      ).some((group) => group.includes('a') && group.includes('b'));
    expect([same(610, 0.01), same(610, 0.0145)]).toEqual([true, true]);
    expect([same(611, 0.01), same(610, 0.016)]).toEqual([false, false]);
  });

  test('that only stand behind others do not say the same as those', () => {
    const behind = withStyles({ a: { set: { weight: 613 } }, b: { follows: 'a' } });
    expect(sameStyles(behind)).toEqual([]);
    const worn = applyChange(behind, [
      {
        op: 'add',
        path: '/elements/a',
        value: { name: 'A', selectors: ['.a'], style: 'a', parent: null },
      },
    ]).document;
    expect(sameStyles(worn)).toEqual([['a', 'b']]);
  });

  test('are unworn when no element has them and no style follows them', () => {
    const document = withStyles({ a: {}, b: { follows: 'a' } });
    const unworn = unwornStyles(document);
    expect(unworn).toContain('b');
    expect(unworn).not.toContain('a');
    expect(unworn).not.toContain('body');
    expect(unwornStyles(seatedDocument())).not.toContain('lead');
  });
});

test('what can be put right is counted over all lists', () => {
  const before = gatheredCount(seatedDocument());
  const one = withStyles({ a: { set: { step: 4 } } });
  expect(unwornStyles(one)).toEqual([...unwornStyles(seatedDocument()), 'a']);
  expect(gatheredCount(one)).toBe(before + 1);
  // The second is used by nothing either, and says the same.
  expect(gatheredCount(withStyles({ a: { set: { step: 4 } }, b: { set: { step: 4 } } }))).toBe(
    before + 3,
  );
});

describe('styles that a new pair does not reach', () => {
  const third = (family: string | null, generic = 'serif') =>
    applyChange(withStyles({ small2: { follows: 'control' } }), [
      {
        op: 'add',
        path: '/voices/third',
        value: { name: 'Third', family, generic, fallback: null },
      },
      { op: 'replace', path: '/styles/control/set/voice', value: 'third' },
    ]).document;

  test('set a voice beside the pair, and reach all that follow them in it', () => {
    const [own, ...others] = ownVoices(third('archivo'));
    expect(others).toEqual([]);
    expect(own).toMatchObject({ style: 'control', voice: 'third', family: 'archivo' });
    expect(own?.reaches).toEqual(expect.arrayContaining(['control', 'navigation', 'label']));
    expect(own?.reaches).not.toContain('small2');
    expect(own?.reaches).not.toContain('heading-1');
  });

  test('are none in a voice of the pair, nor in that of code', () => {
    expect(ownVoices(seatedDocument())).toEqual([]);
    expect(ownVoices(third(null, 'monospace'))).toEqual([]);
  });

  test('follow again once their own voice is let go', () => {
    const after = applyChange(third('archivo'), [
      { op: 'remove', path: '/styles/control/set/voice' },
    ]).document;
    expect(ownVoices(after)).toEqual([]);
  });
});
