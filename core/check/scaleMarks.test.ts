import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import type { ProjectDocument, Scale } from '../document';
import { ENDS, SITE_KINDS, siteKindPatch, stepsOf } from '../scale';
import { seatedDocument } from '../testing/documents';
import { LEAST_RATIO, marksOf, type Evidence, type Mark } from '.';

const project = (scale: Partial<Scale> = {}): ProjectDocument => {
  const document = seatedDocument();
  return { ...document, scale: { ...document.scale, ...scale } };
};
const marks = (document: ProjectDocument, rule: string, evidence: Evidence = {}): Mark[] =>
  // What is derived of a document is kept with it; a copy is seen as it stands now.
  marksOf(structuredClone(document), evidence).filter((mark) => mark.rule === rule);
/** The project once a mark has been put right by its own remedy. */
const putRight = (document: ProjectDocument, mark: Mark | undefined): ProjectDocument =>
  applyChange(document, mark?.fix?.patch ?? []).document;

const small = { width: 360, base: 16, ratio: 1.2 };
const large = { width: 1280, base: 18, ratio: 1.25 };

describe('levels', () => {
  test('that meet at one end are named with the width and the figure, and told apart by the remedy', () => {
    const document = project({ small: { ...small, ratio: 1.05 } });
    const found = marks(document, 'close-levels');
    expect(found.every(({ width }) => width === 360)).toBe(true);
    const headings = found.find(({ style }) => style === 'heading-3');
    expect(headings?.message).toBe(
      'Heading 3 and Heading 4 cannot be told apart at 360 px: 17.6 px and 16.8 px are 1.05 to 1, where 1.12 is needed, and weight, style, voice and colour are alike.',
    );
    const after = putRight(document, headings);
    expect(after.scale.small.ratio).toBeCloseTo(1.12, 2);
    expect(marks(after, 'close-levels')).toEqual([]);
  });

  test('are clear when weight, style, voice or colour differs as much', () => {
    const document = project({ large: { ...large, ratio: 1.02 } });
    const close = () =>
      marks(document, 'close-levels').some(
        ({ style, message }) => style === 'lead' && message.includes('Body'),
      );
    expect(close()).toBe(true);
    for (const set of [
      { weight: 600 },
      { slant: 'italic' },
      { voice: 'heading' },
      { colour: 'accent' },
    ]) {
      Object.assign(document.styles['lead'] ?? {}, { set: { step: 1, lineHeight: 1.45, ...set } });
      expect(close()).toBe(false);
    }
  });

  test('are told apart by a weight of 200 more, and not by less', () => {
    const close = (weight: number) => {
      const document = project({ large: { ...large, ratio: 1.02 } });
      Object.assign(document.styles['lead'] ?? {}, { set: { step: 1, lineHeight: 1.45, weight } });
      return marks(document, 'close-levels').some(
        ({ style, message }) => style === 'lead' && message.includes('Body'),
      );
    };
    expect([599, 600, 201, 200].map(close)).toEqual([true, false, true, false]);
  });

  test('are told apart by a size of 1.12 times, and not by less', () => {
    const close = (size: number) =>
      marks(project({ overrides: { '1': { large: size } } }), 'close-levels').some(
        ({ width, style }) => width === 1280 && style === 'lead',
      );
    expect(close(18 * LEAST_RATIO)).toBe(false);
    expect(close(18 * LEAST_RATIO - 0.01)).toBe(true);
    expect(LEAST_RATIO).toBe(1.12);
  });

  test('that were set by hand are given back, where that tells them apart', () => {
    const document = project({ overrides: { '3': { small: 23.2 } } });
    const [mark] = marks(document, 'close-levels');
    expect(mark?.fix?.patch).toEqual([{ op: 'remove', path: '/scale/overrides/3' }]);
    expect(marks(putRight(document, mark), 'close-levels')).toEqual([]);
  });

  test('of headings on one step are told apart by nothing but a decision', () => {
    const document = project();
    Object.assign(document.styles['heading-3']?.set ?? {}, { step: 1 });
    const mark = marks(document, 'close-levels').find(({ message }) =>
      message.includes('Heading 4'),
    );
    expect(mark?.fix).toBeUndefined();
    expect(mark?.remedy).toMatch(/another step/);
  });
});

test.each(SITE_KINDS.map((kind) => [kind.name, kind] as const))(
  'the scale offered for %s passes what is checked of scales',
  (_name, kind) => {
    const document = project();
    const { document: after } = applyChange(document, siteKindPatch(document.scale, kind));
    const found = marksOf(after).filter(({ stage }) => stage === 'scale');
    expect(found.map(({ message }) => message)).toEqual([]);
    for (const end of ENDS) {
      const sizes = stepsOf(after.scale).map((step) => step[end]);
      const least = Math.min(...sizes.slice(1).map((size, i) => size / (sizes[i] ?? size)));
      expect(least).toBeGreaterThanOrEqual(LEAST_RATIO);
    }
  },
);

test('steps that cross are marked, though they were allowed', () => {
  const document = project({ crossing: true, overrides: { '2': { small: 18 } } });
  const [mark] = marks(document, 'crossed-steps');
  expect(mark?.message).toContain('up-2 is smaller than up-1 at 360 px: 18 px against 19.2 px');
  expect(marks(putRight(document, mark), 'crossed-steps')).toEqual([]);
});

test('text that no zoom doubles is named with its windows, and passes with the bound offered', () => {
  const document = project({ large: { ...large, base: 24, ratio: 1.5 } });
  expect(marks(project(), 'zoom')).toEqual([]);
  const found = marks(document, 'zoom');
  expect(found.map(({ message }) => message.replace(/ no zoom.*/, ''))).toEqual([
    'Pull quote and Heading 2: in windows from 1076 to 2209 px',
    'Heading 1: in windows from 746 to 2559 px',
    'Display: in windows from 653 to 2559 px',
  ]);
  expect(marks(found.reduce(putRight, document), 'zoom')).toEqual([]);
});

describe('small text', () => {
  test('is body text under 16 px at the small end, and any under 12 px anywhere', () => {
    const document = project({
      small: { ...small, base: 15 },
      overrides: { '-2': { large: 10 }, '-1': { large: 11 } },
    });
    const found = marks(document, 'small-text');
    expect(found.map(({ message }) => message)).toEqual([
      'Body: 15 px at 360 px is hard to read. Body text wants 16 px.',
      'Kicker, Table, Table heading, Figures in tables, Caption, Small text, Label, Error, Small button, Code and Keyboard: 11 px at 1280 px is hard to read. Any text wants 12 px.',
    ]);
    const after = found.reduce(putRight, document);
    expect(marks(after, 'small-text')).toEqual([]);
  });

  test('is nothing at the bounds themselves', () => {
    expect(marks(project({ overrides: { '-1': { small: 12 } } }), 'small-text')).toEqual([]);
    expect(marks(project({ overrides: { '-1': { small: 11.99 } } }), 'small-text')).toHaveLength(1);
    expect(marks(project({ small: { ...small, base: 15.99 } }), 'small-text')).toHaveLength(1);
    // At the large end the body is asked for no more than any text.
    expect(
      marks(project({ large: { ...large, base: 15.5 }, crossing: true }), 'small-text'),
    ).toEqual([]);
  });
});

describe('on the page of the proof', () => {
  const page = (column: number, longest: number, width = 1280): Evidence => ({
    xHeights: { literata: 0.5, archivo: 0.52 },
    page: {
      title: 'Home',
      width,
      texts: { body: { column, longest, advance: 0.45 } },
    },
  });

  test('lines too long and too short are named with the characters they hold', () => {
    const [long] = marks(project(), 'measure', page(900, 400));
    // 900 ÷ (18 × 0.45)
    expect(long?.message).toContain('A line holds 111 characters on “Home” at 1280 px');
    expect(long?.remedy).toBe('Make the column 608 px wide, or the text 26.7 px.');
    expect(marks(project(), 'measure', page(240, 400))[0]?.message).toContain('too short');
    expect(marks(project(), 'measure', page(500, 400))).toEqual([]);
  });

  test('lines too long are limited by the mark’s own action, on paragraphs where it is the body', () => {
    const lead: Evidence['page'] = {
      title: 'Home',
      width: 1280,
      texts: { lead: { column: 1200, longest: 400, advance: 0.45 } },
    };
    const limited = (evidence: Evidence) => {
      const before = project();
      const [mark] = marks(before, 'measure', evidence);
      return applyChange(before, mark?.fix?.patch ?? []).document;
    };
    const own = limited({ xHeights: { literata: 0.5 }, page: lead });
    expect(own.styles['lead']?.set.measure).toMatch(/^3\d(\.\d)?em$/);

    const body = limited(page(900, 400));
    expect(body.styles['body']?.set.measure).toBeUndefined();
    const paragraph = Object.values(body.elements).find(({ selectors }) => selectors.includes('p'));
    // 75 × 0.45, and as wide the column is not too long.
    expect(body.styles[paragraph?.style ?? '']).toMatchObject({
      follows: null,
      set: { measure: '33.7em' },
    });
    expect(marks(body, 'measure', page(33.7 * 18, 400))).toEqual([]);
    // A second time the paragraphs are limited that are there.
    const [again] = marks(body, 'measure', page(900, 400));
    expect(again?.fix?.patch).toEqual([
      { op: 'add', path: `/styles/${paragraph?.style}/set/measure`, value: '33.7em' },
    ]);
    expect(marks(project(), 'measure', page(240, 400))[0]?.fix).toBeUndefined();
  });

  test('a line that does not run on is not too long, nor two lines too short', () => {
    expect(marks(project(), 'measure', page(900, 80))).toEqual([]);
    expect(marks(project(), 'measure', page(240, 60))).toEqual([]);
  });

  describe('the measure is doubted from its limits on', () => {
    // At 1280 px the body is 18 px, a character 8.1 px; at 360 px 16 px and 7.2 px.
    const of = (characters: number, lines: number, width = 1280) => {
      const one = width === 360 ? 7.2 : 8.1;
      return marks(project(), 'measure', page(characters * one, lines * characters, width));
    };
    test.each([
      [74.999, 4, 1280, false],
      [75.1, 4, 1280, true],
      [75.1, 1.5, 1280, true],
      [75.1, 1.49, 1280, false],
      [45, 4, 1280, false],
      [44.9, 4, 1280, true],
      [44.9, 3, 1280, true],
      [44.9, 2.99, 1280, false],
      [28, 4, 360, false],
      [27.9, 4, 360, true],
      [75.1, 4, 360, true],
    ])('%f characters on %f lines at %i px: %s', (characters, lines, width, doubted) => {
      expect(of(characters + 1e-9, lines + 1e-9, width).length > 0).toBe(doubted);
    });

    test.each([
      [599, 41, true],
      [599, 40, false],
      [600, 60, false],
    ])('of a heading, in a viewport of %i px, %i characters: %s', (width, characters, doubted) => {
      const document = project();
      const size = stepsOf(document.scale).find(({ number }) => number === 3);
      const at =
        (size?.small ?? 0) + (((size?.large ?? 0) - (size?.small ?? 0)) * (width - 360)) / 920;
      const text = { column: characters * at * 0.5, longest: 4 * characters, advance: 0.5 };
      const evidence: Evidence = { page: { title: 'Home', width, texts: { 'heading-2': text } } };
      expect(marks(document, 'measure', evidence).length > 0).toBe(doubted);
    });

    test.each([
      [89.999, false],
      [90.1, true],
      [5, false],
    ])('of a caption of %f characters: %s', (characters, doubted) => {
      const document = project();
      const size = stepsOf(document.scale).find(({ number }) => number === -1)?.large ?? 0;
      const text = { column: (characters + 1e-9) * size * 0.5, longest: 400, advance: 0.5 };
      const evidence: Evidence = { page: { title: 'Home', width: 1280, texts: { caption: text } } };
      expect(marks(document, 'measure', evidence).length > 0).toBe(doubted);
    });
  });

  test('a phone is not asked for 45 characters', () => {
    expect(marks(project(), 'measure', page(320, 400, 360))).toEqual([]);
    expect(marks(project(), 'measure', page(160, 400, 360))).toHaveLength(1);
  });

  test('line heights far from what suits are doubted, and set to what is suggested', () => {
    const document = project();
    expect(marks(document, 'line-height', page(500, 400))).toEqual([]);
    Object.assign(document.styles['body']?.set ?? {}, { lineHeight: 1.1 });
    const [tight] = marks(document, 'line-height', page(500, 400));
    expect(tight?.message).toMatch(/^Body: lines stand too close/);
    expect(marks(putRight(document, tight), 'line-height', page(500, 400))).toEqual([]);
    const loose = applyChange(document, [
      { op: 'replace', path: '/styles/body/set/lineHeight', value: 2.2 },
    ]).document;
    expect(marks(loose, 'line-height', page(500, 400))[0]?.message).toContain('too far apart');
  });
});
