import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../change';
import { newDocument } from '../document/newDocument';
import { lineages, type Claim } from './claims';
import { driftOf } from './drift';
import { lettersOutside } from './outside';
import { foldPatch, foldStock } from './fold/fold';
import { stockOf, type MadeText } from './testing/stockOf';

const PAGE: MadeText[] = [
  {
    tag: 'h1',
    characters: 30,
    look: { size: 40, weight: 700, lineHeight: 44 },
    narrow: { size: 30, lineHeight: 33 },
  },
  { characters: 900 },
  { tag: 'em', within: 1, characters: 12, look: { slant: 'italic' } },
  { tag: 'li', characters: 120, look: { size: 14, lineHeight: 20 } },
];
const meetsIn = (texts: readonly MadeText[]) => (selector: string) =>
  texts.flatMap(({ tag = 'p' }, number) => (tag === selector ? [number] : []));
const kindsOf = (texts: readonly MadeText[]) =>
  texts.map(({ tag = 'p' }, number) => ({ name: tag, selector: tag, texts: [number] }));

const before = newDocument('Tarnholm');
const stock = stockOf(PAGE);
const fold = foldStock(stock, { kinds: kindsOf(PAGE), meets: meetsIn(PAGE) }, before);
const { document } = applyChange(before, foldPatch(before, fold));
/** Each text with its tag for a selector, in the text that it is said to stand in, in the body. */
const lineagesIn = (texts: readonly MadeText[]) => (claims: readonly Claim[]) =>
  lineages<number>(
    texts.map((_, number) => number),
    claims,
    (selector) => (selector === 'body' ? [BODY] : meetsIn(texts)(selector)),
    (node) => (node === BODY ? null : (texts[node]?.within ?? BODY)),
  );
const BODY = -1;
const drift = (texts: MadeText[]) => driftOf(stockOf(texts), document, lineagesIn(texts));
const other = (number: number, change: Partial<MadeText>): MadeText[] =>
  PAGE.map((text, i) => (i === number ? { ...text, ...change } : text));

describe('text that outgrows the files of the site', () => {
  const faces = [{ family: 'Literata', weight: '400', style: 'normal', state: 'loaded' as const }];
  const ranged = (unicodeRange: string) => faces.map((face) => ({ ...face, unicodeRange }));

  test('is what no face of its family is for, each character once', () => {
    const latin = ranged('U+20-7E, U+E9');
    expect(lettersOutside('Café in Brno, řeka a řeč', 'literata', latin)).toBe('řč');
    expect(lettersOutside('Café\u00a0\n', 'Literata', latin)).toBe('');
    const both = [...latin, ...ranged('U+100-17F')];
    expect(lettersOutside('Café, řeka', 'Literata', both)).toBe('');
  });

  test('is none where a face is for all, or the family is not the page’s', () => {
    expect(lettersOutside('řeka', 'Literata', [...ranged('U+20-7E'), ...faces])).toBe('');
    expect(lettersOutside('řeka', 'Georgia', ranged('U+20-7E'))).toBe('');
    expect(lettersOutside('řeka', undefined, ranged('U+20-7E'))).toBe('');
    expect(lettersOutside('řeka', 'Literata', ranged('not a range'))).toBe('');
  });

  test('is told where the text is in the family that the project has, and only there', () => {
    const told = (texts: MadeText[]) =>
      drift(texts).drifted.filter(({ property }) => property === 'unicode-range');
    const [first, ...more] = told(other(1, { outside: 'řč' }));
    expect(first).toMatchObject({
      element: 'p',
      expected: 'Literata',
      found: 'ř č',
      texts: [1],
    });
    expect(more).toHaveLength(1);
    expect(drift(other(1, { outside: 'řč' })).following).not.toContain(1);
    expect(told(other(1, { outside: 'ř', look: { stack: ['Arial'] } }))).toEqual([]);
  });
});

describe('a site and the project that it was folded into', () => {
  test('agree as long as nothing was changed', () => {
    expect(drift(PAGE)).toEqual({ following: [0, 1, 2, 3], unclaimed: [], drifted: [] });
  });

  test.each<[string, Partial<MadeText>, string, string, string]>([
    ['size', { look: { size: 15 } }, 'font-size', '16 px', '15 px'],
    ['weight', { look: { weight: 500 } }, 'font-weight', '400', '500'],
    ['slant', { look: { slant: 'italic' } }, 'font-style', 'normal', 'italic'],
    ['line height', { look: { lineHeight: 25 } }, 'line-height', '1.5', '1.563'],
    ['spacing', { look: { letterSpacing: 0.08 } }, 'letter-spacing', '0 em', '0.005 em'],
    ['capitals', { look: { letterCase: 'uppercase' } }, 'text-transform', 'none', 'uppercase'],
    ['colour', { look: { colour: 'rgb(90, 0, 0)' } }, 'color', '#141414', '#5a0000'],
    ['family', { look: { stack: ['Arial'] } }, 'font-family', 'Literata', 'Arial'],
  ])('%s', (_what, change, property, expected, found) => {
    // What stands in the midst of it goes with it, as in a browser.
    const { drifted, following } = drift(
      PAGE.map((text, i) =>
        i === 1
          ? { ...text, ...change }
          : i === 2
            ? { ...text, look: { ...change.look, slant: 'italic' } }
            : text,
      ),
    );
    expect(following).toEqual([0, 2, 3]);
    expect(drifted.filter((one) => one.property === property)).toEqual(
      [360, 1280].map((width) => ({
        element: 'p',
        property,
        by: 'said',
        width,
        expected,
        found,
        texts: [1],
      })),
    );
  });

  test('what is at one width alone is told at that one', () => {
    const { drifted } = drift(other(0, { narrow: { size: 34, lineHeight: 37.4 } }));
    expect(drifted.map(({ property, width }) => [property, width])).toEqual([['font-size', 360]]);
  });

  test('what browsers round is no drift', () => {
    expect(drift(other(1, { look: { size: 16.05, lineHeight: 24.1 } })).drifted).toEqual([]);
    expect(drift(other(1, { look: { size: 16.07 } })).drifted).not.toEqual([]);
  });

  test('a text that no element claims is told as that', () => {
    expect(drift([...PAGE, { tag: 'aside' }]).unclaimed).toEqual([4]);
  });

  test('what is left to the text around is to be as that is', () => {
    // The text around is larger, and what stands in it with it.
    const larger = PAGE.map((text, i) =>
      i === 1 || i === 2 ? { ...text, look: { ...text.look, size: 22, lineHeight: 33 } } : text,
    );
    expect(new Set(drift(larger).drifted.map(({ element }) => element))).toEqual(new Set(['p']));
    const { drifted: alone, following } = drift(
      other(2, { look: { slant: 'italic', weight: 700 } }),
    );
    expect(
      alone.map(({ element, property, by, expected, found }) => [
        element,
        property,
        by,
        expected,
        found,
      ]),
    ).toEqual([360, 1280].map(() => ['em', 'font-weight', 'open', '400', '700']));
    // What is left open is the site's: it is told, and the text follows in all that is said of it.
    expect(following).toContain(2);
  });

  test('of several elements that meet a text each says what those before it leave open', () => {
    const both = applyChange(document, [
      {
        op: 'add',
        path: '/styles/extra',
        value: { name: 'Extra', follows: null, set: { weight: 500 } },
      },
      {
        op: 'add',
        path: '/elements/extra',
        value: { name: 'Extra', selectors: ['li'], style: 'extra', parent: null },
      },
    ]).document;
    const weights = (weight: number) =>
      driftOf(
        stockOf(other(3, { look: { size: 14, lineHeight: 20, weight } })),
        both,
        lineagesIn(PAGE),
      ).drifted.map(({ element, property, by, expected }) => [element, property, by, expected]);
    expect(weights(500)).toEqual([]);
    expect(weights(600)).toEqual([360, 1280].map(() => ['extra', 'font-weight', 'said', '500']));
  });
});
