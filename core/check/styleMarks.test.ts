import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import { newDocument, type Patch, type ProjectDocument } from '../document';
import { face, family, seatedDocument } from '../testing/documents';
import {
  mergeAllPatch,
  mergePatch,
  resolveInUse,
  sameStyles,
  standsForAll,
  takeOutStylePatch,
} from '../style';
import { judge, markKey, marksOf, setAsidePatch, takeUpPatch, type Evidence, type Mark } from '.';

const changed = (patch: Patch, document = seatedDocument()) =>
  applyChange(document, patch).document;
const set = (style: string, values: Record<string, unknown>): ProjectDocument =>
  changed(
    Object.entries(values).map(([name, value]) => ({
      op: 'add',
      path: `/styles/${style}/set/${name}`,
      value,
    })),
  );
const marks = (document: ProjectDocument, rule: string, evidence?: Evidence): Mark[] =>
  marksOf(document, evidence).filter((mark) => mark.rule === rule);
const styles = (document: ProjectDocument, rule: string, evidence?: Evidence) =>
  marks(document, rule, evidence).map(({ style }) => style);
/** The document once a mark has been put right. */
const putRight = (document: ProjectDocument, mark: Mark | undefined): ProjectDocument =>
  changed(mark?.fix?.patch ?? [], document);

const NEW = [
  'spaced-text',
  'capital-text',
  'light-text',
  'stray-property',
  'same-style',
  'unworn-style',
];

test('a new project has none of them', () => {
  expect(marksOf(newDocument('New')).filter(({ rule }) => NEW.includes(rule))).toEqual([]);
});

describe('running text', () => {
  test('is marked from letter spacing that is seen on, both ways, and headings never', () => {
    for (const value of [0.03, -0.03, 0]) {
      expect(styles(set('body', { letterSpacing: value }), 'spaced-text')).toEqual([]);
    }
    for (const value of [0.035, -0.035]) {
      expect(styles(set('body', { letterSpacing: value }), 'spaced-text')).toContain('body');
    }
    expect(styles(set('heading-1', { letterSpacing: 0.2 }), 'spaced-text')).toEqual([]);
  });

  test('is marked in capitals and in all small capitals, and put right where it has them from', () => {
    const document = set('lead', { case: 'uppercase' });
    expect(styles(document, 'capital-text')).toEqual(['lead']);
    expect(styles(putRight(document, marks(document, 'capital-text')[0]), 'capital-text')).toEqual(
      [],
    );
    expect(styles(set('lead', { smallCaps: 'all-small-caps' }), 'capital-text')).toEqual(['lead']);
    expect(styles(set('lead', { smallCaps: 'small-caps' }), 'capital-text')).toEqual([]);
    expect(styles(set('heading-1', { case: 'uppercase' }), 'capital-text')).toEqual([]);
    const all = set('body', { case: 'uppercase' });
    const [first] = marks(all, 'capital-text');
    expect(resolveInUse(putRight(all, first), 'quote').case.value).toBe('none');
  });

  test('is marked in weights under 300 at text size, and not where it is large', () => {
    expect(styles(set('lead', { weight: 299 }), 'light-text')).toEqual(['lead']);
    expect(styles(set('lead', { weight: 300 }), 'light-text')).toEqual([]);
    expect(styles(set('lead', { weight: 250, step: 3 }), 'light-text')).toEqual([]);
  });
});

test('a stray is marked, and follows again once it is put right', () => {
  const document = changed([
    ...['a', 'b', 'c'].map((key) => ({
      op: 'add' as const,
      path: `/styles/${key}`,
      value: {
        name: key.toUpperCase(),
        follows: 'lead',
        set: key === 'b' ? { lineHeight: 1.9 } : {},
      },
    })),
  ]);
  const [mark, ...others] = marks(document, 'stray-property');
  expect(others).toEqual([]);
  expect(mark?.message).toContain('B stays as it is when the line height of Lead changes');
  expect(styles(putRight(document, mark), 'stray-property')).toEqual([]);
});

describe('styles that look the same', () => {
  const twin: Patch = [
    { op: 'add', path: '/styles/twin', value: { name: 'Twin', follows: 'lead', set: {} } },
    {
      op: 'add',
      path: '/styles/heir',
      value: { name: 'Heir', follows: 'twin', set: { weight: 620 } },
    },
    {
      op: 'add',
      path: '/elements/twin',
      value: { name: 'Twin', selectors: ['.twin'], style: 'twin', parent: null },
    },
  ];

  test('are marked, and become one that nothing looks different for', () => {
    const document = changed(twin);
    const mark = marks(document, 'same-style').find(({ message }) => message.includes('Twin'));
    expect(mark?.message).toContain('Lead and Twin look the same');
    const after = putRight(document, mark);
    expect(after.styles['twin']).toBeUndefined();
    expect(after.elements['twin']?.style).toBe('lead');
    const look = (of: ProjectDocument) =>
      Object.fromEntries(
        Object.entries(resolveInUse(of, 'heir')).map(([name, { value }]) => [name, value]),
      );
    expect(look(after)).toEqual(look(document));
  });

  test('become one of each group at once, also where one that goes follows another that goes', () => {
    const document = changed([
      ...twin,
      {
        op: 'add',
        path: '/styles/heir-2',
        value: { name: 'Heir 2', follows: 'twin', set: { weight: 620 } },
      },
      {
        op: 'add',
        path: '/elements/heirs',
        value: { name: 'Heirs', selectors: ['.h'], style: 'heir', parent: null },
      },
    ]);
    const groups = sameStyles(document);
    expect(groups).toEqual([
      ['lead', 'twin'],
      ['heir', 'heir-2'],
    ]);
    const after = changed(mergeAllPatch(document, groups), document);
    expect(sameStyles(after)).toEqual([]);
    expect(after.styles['heir']?.follows).toBe('lead');
    expect([after.styles['twin'], after.styles['heir-2']]).toEqual([undefined, undefined]);
  });

  test('keep the one that the others follow, and the body always', () => {
    const document = changed(twin);
    expect(standsForAll(document, ['twin', 'lead'])).toBe('lead');
    expect(standsForAll(document, ['heir', 'twin'])).toBe('twin');
    expect(standsForAll(document, ['lead', 'body'])).toBe('body');
    expect(mergePatch(document, 'lead', ['twin']).map(({ path }) => path)).toEqual([
      '/elements/twin/style',
      '/styles/heir/follows',
      '/styles/twin',
    ]);
  });
});

test('a style that is taken out leaves its elements and followers to what it followed', () => {
  const document = seatedDocument();
  const after = changed(takeOutStylePatch(document, 'table'), document);
  expect(after.elements['table']?.style).toBe('small');
  expect(after.styles['table-heading']?.follows).toBe('small');
  const without = changed(takeOutStylePatch(document, 'small'), document);
  expect(without.styles['caption']?.follows).toBeNull();
  expect(without.elements['small']?.style ?? 'body').toBe('body');
});

test('a style that nothing wears is marked, and removed', () => {
  const document = changed([
    {
      op: 'add',
      path: '/styles/lost',
      value: { name: 'Lost', follows: null, set: { weight: 613 } },
    },
  ]);
  const [mark] = marks(document, 'unworn-style');
  expect(mark?.style).toBe('lost');
  expect(putRight(document, mark).styles['lost']).toBeUndefined();
});

test('a face that no style asks for is marked, and a face that shows for want of another is not', () => {
  const document = seatedDocument();
  const faces = [
    face('normal', 600, 600, 'c'),
    face('normal', 700, 700, 'd'),
    face('normal', 900, 900, 'e'),
  ];
  document.case['archivo'] = family('Archivo', faces, { class: 'sans-serif', place: 2 });
  const told = marks(document, 'unused-face').map(({ message }) => message);
  expect(told).toEqual(['Archivo 900: no style asks for it, so it is left out of the bundle.']);
  document.delivery.letters = 'whole';
  expect(marks(document, 'unused-face')[0]?.message).toContain('it is in the bundle for nothing');
  document.case['archivo'] = family('Archivo', [face('normal', 100)], { place: 2 });
  expect(marks(document, 'unused-face')).toEqual([]);
});

describe('marks of one rule', () => {
  test('are told apart by all that they are about, so that setting one aside silences no other', () => {
    const document = seatedDocument();
    for (const name of ['Georgai', 'Verdna']) {
      Object.assign(document.voices['text'] ?? {}, {
        plain: [...(document.voices['text']?.plain ?? []), name],
      });
    }
    const named = marks(document, 'misspelt-font');
    expect(named).toHaveLength(2);
    const [first] = named;
    if (!first) throw new Error('There is no mark');
    const aside = changed(setAsidePatch(document, first, 'Meant'), document);
    expect(marks(aside, 'misspelt-font').map(({ message }) => message)).toEqual([
      named[1]?.message,
    ]);
    // Every mark that a document can have, each under a key that a document takes.
    const keys = marksOf(document).map(markKey);
    for (const key of keys)
      expect(key).toMatch(/^[a-z-]{1,40}:[a-z0-9-]{0,64}(:[a-z0-9-]{1,80}){0,2}$/);
  });
});

describe('a mark that is set aside', () => {
  const document = set('lead', { letterSpacing: 0.2 });
  const [mark] = marks(document, 'spaced-text') as [Mark];

  test('is told with its reason, and is no mark any more, whatever its figures', () => {
    const aside = changed(setAsidePatch(document, mark, 'A campaign of a week'), document);
    expect(marks(aside, 'spaced-text')).toEqual([]);
    expect(judge(aside).aside).toMatchObject([
      { rule: 'spaced-text', style: 'lead', reason: 'A campaign of a week' },
    ]);
    const other = changed(
      [{ op: 'replace', path: '/styles/lead/set/letterSpacing', value: 0.3 }],
      aside,
    );
    expect(marks(other, 'spaced-text')).toEqual([]);
    const more = changed(setAsidePatch(aside, { ...mark, style: 'quote' }, 'So it is'), aside);
    expect(Object.keys(more.aside ?? {})).toEqual(['spaced-text:lead', 'spaced-text:quote']);
    expect(styles(changed(takeUpPatch(mark), more), 'spaced-text')).toEqual(['lead']);
  });

  test('wants a reason', () => {
    for (const reason of ['', '  ', 'x'.repeat(201)]) {
      expect(() => changed(setAsidePatch(document, mark, reason), document)).toThrow();
    }
  });
});

describe('a heading of one line', () => {
  const page = (longest: number) => ({
    page: {
      title: 'Home',
      width: 1280,
      texts: { 'heading-2': { column: 600, longest, advance: 0.5 } },
    },
  });

  test('hides its line height until one runs to two', () => {
    const loose = set('heading-2', { lineHeight: 1.5, step: 2 });
    expect(styles(loose, 'lone-line', page(12))).toEqual(['heading-2']);
    expect(styles(loose, 'lone-line', page(200))).toEqual([]);
    expect(styles(loose, 'lone-line')).toEqual([]);
    expect(
      styles(putRight(loose, marks(loose, 'lone-line', page(12))[0]), 'lone-line', page(12)),
    ).toEqual([]);
    expect(styles(set('heading-2', { lineHeight: 1.34 }), 'lone-line', page(12))).toEqual([]);
    expect(styles(set('heading-2', { lineHeight: 1.35 }), 'lone-line', page(12))).toEqual([
      'heading-2',
    ]);
  });
});
