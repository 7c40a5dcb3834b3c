import { describe, expect, test } from '@jest/globals';
import { PROPERTY_NAMES, type PropertyName } from '../document/property';
import { seatedDocument } from '../testing/documents';
import { changedTexts, colouredAt, type ComputedType } from './changedTexts';

const PLAIN = Object.fromEntries(PROPERTY_NAMES.map((name) => [name, 'normal'])) as Record<
  PropertyName,
  string
>;

/** An element of a page; sizes and colours are given once. */
const read = (
  {
    claims = [],
    around = null,
    isText = true,
    size = 16,
    weight = 400,
    colour = 'rgb(0, 0, 0)',
    ground = '#ffffff',
    ...more
  }: Partial<ComputedType>,
  values: Partial<Record<PropertyName, string>> = {},
): ComputedType => ({
  ...more,
  claims,
  around,
  isText,
  size,
  weight,
  colour,
  ground,
  values: {
    ...PLAIN,
    step: `${size}px`,
    colour,
    lineColour: colour,
    underlineColour: colour,
    weight: String(weight),
    ...values,
  },
});

const body = (more: Partial<ComputedType> = {}, values = {}) =>
  read({ claims: ['body'], isText: false, ...more }, values);
const document = seatedDocument();
const changes = (before: ComputedType[], after: ComputedType[], of = document) =>
  changedTexts(of, before, after);
const INK = 'rgb(22, 32, 42)';
const WHITE = 'rgb(255, 255, 255)';

describe('what a delivery changes of a page', () => {
  test('is as decided where a text element that claims the text says it', () => {
    const lead = (size: number) => read({ claims: ['lead'], around: 0, size });
    const { decided, besides } = changes([body(), lead(16)], [body(), lead(20)]);
    expect([decided, besides]).toEqual([[1], []]);
  });

  test('is as decided where it comes from a text around it that is set', () => {
    const text = (colour: string) => read({ around: 0, colour });
    const { decided, besides } = changes(
      [body(), text('rgb(0, 0, 0)')],
      [body({ colour: INK }), text(INK)],
    );
    expect([decided, besides]).toEqual([[1], []]);
  });

  test('is besides where the site set it itself, and its style leaves it open', () => {
    const button = (colour: string) => read({ claims: ['button'], around: 0, colour });
    const found = changes([body(), button(WHITE)], [body({ colour: INK }), button(INK)]);
    expect(found.besides.filter(({ property }) => property === 'colour')).toEqual([
      { property: 'colour', before: WHITE, after: INK, texts: [1] },
    ]);
    expect(found.decided).toEqual([]);
  });

  test('is none where a length is to its size as it was, and a size to the one around it', () => {
    const em = (around: number, size: number) => [
      body({ size: around }),
      read({ around: 0, size }, { letterSpacing: `${size / 20}px`, lineHeight: `${size * 1.5}px` }),
    ];
    expect(changes(em(16, 14), em(20, 17.5)).besides).toEqual([]);
    expect(changes(em(16, 14), em(20, 17)).besides.map(({ property }) => property)).toEqual([
      'step',
    ]);
    // What browsers round is nothing that was changed.
    expect(changes(em(16, 14), em(16, 14.05)).besides).toEqual([]);
    expect(changes(em(16, 14), em(16, 14.1)).besides).not.toEqual([]);
  });

  test('takes what is mixed from the colour around for that colour', () => {
    const faint = (around: string, own: string) => [
      body({ colour: around }),
      read({ around: 0, colour: own }),
    ];
    const before = faint('rgb(10, 20, 30)', 'rgba(10, 20, 30, 0.6)');
    expect(changes(before, faint(INK, 'rgba(22, 32, 42, 0.6)')).besides).toEqual([]);
    expect(changes(before, faint(INK, 'rgba(90, 0, 0, 0.6)')).besides).not.toEqual([]);
  });

  test('is as decided where a browser alone stood between', () => {
    const button = (spacing: string, byBrowser: string) =>
      read(
        { claims: ['button'], around: 0, byBrowser: { letterSpacing: byBrowser } },
        { letterSpacing: spacing },
      );
    const outer = body({}, { letterSpacing: '2px' });
    const besides = (byBrowser: string) =>
      changes([outer, button('0px', byBrowser)], [outer, button('2px', byBrowser)]).besides;
    expect(besides('0px')).toEqual([]);
    expect(besides('1px')).toHaveLength(1);
  });

  test('a line without a colour of its own has that of its text', () => {
    const link = (colour: string) => read({ claims: ['link'], around: 0, colour });
    expect(changes([body(), link(INK)], [body(), link('rgb(138, 51, 36)')]).besides).toEqual([]);
  });
});

describe('contrast that is lost', () => {
  const text = (colour: string, more: Partial<ComputedType> = {}) => [
    body(),
    read({ around: 0, colour, ...more }),
  ];
  const lost = (before: string, after: string, more = {}) =>
    changes(text(before, more), text(after, more)).lost.map(({ texts, least }) => [texts, least]);

  test('is what was within its limit, and is no longer', () => {
    expect(lost('#767676', '#777777')).toEqual([[[1], 4.5]]);
    expect(lost('#767676', '#757575')).toEqual([]);
    expect(lost('#777777', '#888888')).toEqual([]);
    // Large text may have less.
    expect(lost('#767676', '#777777', { size: 24 })).toEqual([]);
    expect(lost('#949494', '#a0a0a0', { size: 24 })).toEqual([[[1], 3]]);
  });

  test('is not known where the ground is no one colour', () => {
    expect(lost('#000000', '#ffffff', { ground: null })).toEqual([]);
  });

  test('is traced to what says the colour', () => {
    const page = [
      body(),
      read({ claims: ['lead'], around: 0 }),
      read({ claims: ['link'], around: 1 }),
      read({ around: 2 }),
    ];
    expect([0, 1, 2, 3].map((text) => colouredAt(document, page, text))).toEqual([0, 0, 2, 2]);
    expect(colouredAt(document, [read({})], 0)).toBeNull();
  });
});
