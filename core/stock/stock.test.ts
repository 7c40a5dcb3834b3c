import { describe, expect, test } from '@jest/globals';
import {
  breaksOf,
  familiesOf,
  fightsOf,
  gatherNear,
  lookOf,
  nearSize,
  nearWeight,
  sharesOf,
  stockWidths,
  widthsWithLive,
  type FightKind,
} from './index';
import { rule, stockOf, type MadeText } from './testing/stockOf';
import type { StockFace } from './stock';

const media = (...texts: string[]) => ({
  rules: texts.map((text) => ({
    sheet: 'a.css',
    line: 1,
    selectors: [],
    conditions: [{ kind: 'media' as const, text }],
    layer: null,
    declarations: [],
  })),
});

describe('the widths that a page is read at', () => {
  test.each<[string[], number, number]>([
    [[], 360, 1280],
    [['(min-width: 768px)', '(max-width: 1024px)'], 360, 1280],
    // Where a page changes under a phone's width, it is read before that.
    [['(max-width: 350px)'], 349, 1280],
    [['(min-width: 22em)'], 351, 1280],
    // It is read no narrower than phones are, and no wider than desktops.
    [['(min-width: 300px)'], 320, 1280],
    [['(width >= 1600px)', '(600px <= width)'], 360, 1600],
    [['(min-width: 2200px)'], 360, 1920],
    // What no device has is no breakpoint of a page.
    [['(min-width: 1px)', '(min-width: 9000px)'], 360, 1280],
    [['print', '(prefers-color-scheme: dark)', '(min-height: 200px)'], 360, 1280],
  ])('%p: %d and %d', (texts, narrow, wide) => {
    expect(stockWidths(media(...texts))).toEqual({ narrow, wide });
  });
});

describe('the widths at which a page sets type otherwise', () => {
  const found = (...texts: string[]) => breaksOf(media(...texts)).map(({ from }) => from);

  test.each<[string, number[]]>([
    ['(min-width: 768px)', [768]],
    // What holds up to a width ends where the next begins.
    ['(max-width: 767px)', [768]],
    ['(max-width: 767.98px)', [768]],
    ['(width < 768px)', [768]],
    ['(width <= 767px)', [768]],
    ['(767px >= width)', [768]],
    ['(min-width: 48em)', [768]],
    ['(min-width: 768px) and (max-width: 1023px)', [768, 1024]],
    ['print', []],
    ['(min-width: 9000px)', []],
  ])('%s: %p', (text, widths) => {
    expect(found(text)).toEqual(widths);
  });

  test('are told by how many rules are about them, those of containers by their name', () => {
    const { rules } = media('(min-width: 992px)', '(min-width: 768px)', '(max-width: 767px)');
    const inContainer = (text: string) =>
      media('').rules.map((rule) => ({
        ...rule,
        conditions: [{ kind: 'container' as const, text }],
      }));
    const inContainers = ['card (min-width: 400px)', '(min-width: 300px)', 'not card'].flatMap(
      (text) => inContainer(text),
    );
    expect(breaksOf({ rules: [...rules, ...inContainers] })).toEqual([
      { from: 768, rules: 2 },
      { from: 400, container: 'card', rules: 1 },
      { from: 992, rules: 1 },
    ]);
  });
});

test('a page that was read where it is live is read at those widths', () => {
  const usual = { narrow: 360, wide: 1280 };
  expect(widthsWithLive(usual, [])).toEqual(usual);
  expect(widthsWithLive(usual, [390, 414, 1000, 1440])).toEqual({ narrow: 390, wide: 1440 });
  expect(widthsWithLive(usual, [699])).toEqual({ narrow: 699, wide: 1280 });
  expect(widthsWithLive(usual, [700])).toEqual({ narrow: 360, wide: 700 });
});

describe('shares', () => {
  const stock = stockOf([
    { look: { size: 16 }, characters: 500 },
    { look: { size: 15.8 }, characters: 60 },
    { look: { size: 16.2 }, characters: 50 },
    { look: { size: 14 }, characters: 290 },
    { look: { size: 40 }, characters: 100, tag: 'h1' },
  ]);
  const shares = sharesOf(stock, (text) => lookOf(stock, text, 'wide').size);

  test('say how much of the text has each value, most first', () => {
    expect(shares.map(({ value, share }) => [value, share])).toEqual([
      [16, 0.5],
      [14, 0.29],
      [40, 0.1],
      [15.8, 0.06],
      [16.2, 0.05],
    ]);
    expect(shares[0]?.texts).toEqual([0]);
  });

  test('gather what is near the weightiest', () => {
    expect(
      gatherNear(shares, nearSize).map(({ value, values, share }) => [
        value,
        values.map((one) => one.value),
        Number(share.toFixed(2)),
      ]),
    ).toEqual([
      [14, [14], 0.29],
      [16, [15.8, 16, 16.2], 0.61],
      [40, [40], 0.1],
    ]);
  });

  test('do not gather a row of values each near the next', () => {
    const row = stockOf(
      [16, 16.4, 16.8, 17.2, 17.6].map((size, i) => ({ look: { size }, characters: 100 - i })),
    );
    const gathered = gatherNear(
      sharesOf(row, (text) => lookOf(row, text, 'wide').size),
      nearSize,
    );
    expect(gathered.map(({ values }) => values.map(({ value }) => value))).toEqual([
      [16, 16.4],
      [16.8, 17.2],
      [17.6],
    ]);
  });

  test.each<[number, number, boolean]>([
    [16, 16.5, true],
    [16, 16.51, false],
    [40, 41, true],
    [40, 41.1, false],
    [12, 12.5, true],
  ])('sizes %d and %d: %p', (a, b, near) => {
    expect(nearSize(a, b)).toBe(near);
    expect(nearSize(b, a)).toBe(near);
  });

  test('weights are near within thirty', () => {
    expect([nearWeight(400, 430), nearWeight(400, 431), nearWeight(700, 680)]).toEqual([
      true,
      false,
      true,
    ]);
  });
});

const face = (family: string, more: Partial<StockFace> = {}): StockFace => ({
  family,
  weight: '400',
  style: 'normal',
  state: 'loaded',
  ...more,
});

describe('families', () => {
  const stock = stockOf(
    [
      { characters: 600 },
      { characters: 100, look: { weight: 700 } },
      { characters: 100, look: { stack: ['Bricolage', 'sans-serif'], face: 'sans-serif' } },
      { characters: 80, look: { stack: ['Georgia'], face: 'Georgia' } },
      { characters: 60, look: { stack: ['Litrata', 'serif'], face: 'serif' } },
      { characters: 40, look: { stack: ['system-ui'], face: 'system-ui' } },
      {
        characters: 20,
        look: { stack: ['Times New Roman'], face: null },
        sources: { 'font-family': { by: 'nothing' } },
      },
    ],
    {
      faces: [
        face('Literata'),
        face('Literata', { style: 'italic' }),
        face('Bricolage', { state: 'failed', weight: '200 800' }),
        face('Plex', { state: 'unloaded' }),
        face('Inter', { state: 'loaded' }),
      ],
    },
  );
  const families = familiesOf(stock);
  const named = (name: string) => families.find((one) => one.name === name);

  test('stand in order of the text that asks for them, each with what became of it', () => {
    expect(families.map(({ name, state, share }) => [name, state, share])).toEqual([
      ['Literata', 'shown', 0.7],
      ['Bricolage', 'missing', 0.1],
      ['Georgia', 'local', 0.08],
      ['Litrata', 'unanswered', 0.06],
      ['system-ui', 'generic', 0.04],
      ['', 'unset', 0.02],
      ['Plex', 'unused', 0],
      ['Inter', 'fetched', 0],
    ]);
  });

  test('are no fault where platforms carry them as shipped, though this machine does not', () => {
    const [carried, slip] = familiesOf(
      stockOf([
        { characters: 60, look: { stack: ['Verdana', 'sans-serif'], face: 'sans-serif' } },
        { characters: 40, look: { stack: ['Verdena', 'sans-serif'], face: 'sans-serif' } },
      ]),
    );
    expect([carried?.state, carried?.nearest]).toEqual(['carried', null]);
    expect([slip?.state, slip?.nearest]).toEqual(['unanswered', 'Verdana']);
  });

  test('say what shows instead, and what they have no face for', () => {
    expect(named('Bricolage')?.instead).toBe('sans-serif');
    expect(named('Literata')?.instead).toBeUndefined();
    expect(named('Literata')?.lacking).toEqual([
      {
        weight: 700,
        slant: 'normal',
        characters: 100,
        shown: { weight: 400, slant: 'normal' },
        faked: ['bold'],
      },
    ]);
    // A variable face has every weight of its range.
    expect(named('Bricolage')?.lacking).toEqual([]);
  });

  test('a name that nothing answers to is held against those that are known', () => {
    expect(named('Litrata')?.nearest).toBe('Literata');
    expect(named('Georgia')?.nearest).toBeNull();
    const other = stockOf([{ look: { stack: ['Helvetca'], face: 'sans-serif' } }]);
    expect(familiesOf(other)[0]?.nearest).toBe('Helvetica');
    const own = stockOf([{ look: { stack: ['Tarnholm Sans'], face: 'sans-serif' } }]);
    expect(familiesOf(own)[0]?.nearest).toBeNull();
  });

  test('what sets letters that the first lacks is not told as unused', () => {
    const greek = stockOf([{ look: { stack: ['Literata', 'Noto'], face: 'Noto' } }], {
      faces: [face('Noto')],
    });
    expect(familiesOf(greek).map(({ name }) => name)).toEqual(['Literata']);
  });
});

describe('where a site fights itself', () => {
  const kinds = (texts: readonly MadeText[]): FightKind[] =>
    fightsOf(stockOf(texts)).map(({ kind }) => kind);

  test('nothing where nothing does', () => {
    expect(kinds([{}, { tag: 'h1', look: { size: 32 }, narrow: { size: 26 } }])).toEqual([]);
  });

  test.each<[FightKind, MadeText[], MadeText[]]>([
    [
      'important',
      [{ sources: { 'font-size': rule('p', 'font-size', '1rem', { important: true }) } }],
      [{ sources: { 'font-size': rule('p', 'font-size', '1rem') } }],
    ],
    [
      'id',
      [{ sources: { color: rule('#a', 'color', 'red', { specificity: [1, 0, 0] }) } }],
      [{ sources: { color: rule('.a.b', 'color', 'red', { specificity: [0, 2, 0] }) } }],
    ],
    [
      'inline',
      [{ sources: { color: { by: 'inline', important: false, value: 'red' } } }],
      [{ sources: { color: { by: 'browser' } } }],
    ],
    [
      'repeated',
      [1, 2, 3, 4, 5].map((line) => ({
        sources: { 'font-size': rule(`.r${line}`, 'font-size', '1rem', { line }) },
      })),
      [1, 2, 3, 4].map((line) => ({
        sources: { 'font-size': rule(`.r${line}`, 'font-size', '1rem', { line }) },
      })),
    ],
    [
      'px',
      [{ sources: { 'font-size': rule('p', 'font-size', '16px') } }],
      [{ sources: { 'font-size': rule('p', 'font-size', 'clamp(16px, 2vw, 2rem)') } }],
    ],
    [
      'fixed',
      [{ characters: 900 }, { tag: 'h1', look: { size: 25.6 } }],
      [{ characters: 900 }, { tag: 'h1', look: { size: 25.5 } }],
    ],
    ['measure', [{ measure: 76 }], [{ measure: 75 }]],
    [
      'contrast',
      // The last grey that passes on white, by WCAG's own formula: 4.48 and 4.54 to 1.
      [{ look: { colour: '#777777' } }],
      [{ look: { colour: '#767676' } }],
    ],
    [
      'levels',
      [
        { tag: 'h2', look: { size: 20, weight: 599 } },
        { tag: 'h3', look: { size: 20, weight: 400 } },
      ],
      [
        { tag: 'h2', look: { size: 20, weight: 600 } },
        { tag: 'h3', look: { size: 20, weight: 400 } },
      ],
    ],
    [
      'levels',
      [
        { tag: 'h2', look: { size: 22.3 }, narrow: { size: 20 } },
        { tag: 'h3', look: { size: 20 }, narrow: { size: 17 } },
      ],
      [
        { tag: 'h2', look: { size: 22.5 }, narrow: { size: 20 } },
        { tag: 'h3', look: { size: 20 }, narrow: { size: 17 } },
      ],
    ],
  ])('%s, from both sides', (kind, wrong, right) => {
    expect(kinds(wrong)).toContain(kind);
    expect(kinds(right)).not.toContain(kind);
  });

  test('a value that is named is said in one place', () => {
    const said = (value: string) =>
      kinds(
        [1, 2, 3, 4, 5, 6].map((line) => ({
          sources: { 'font-size': rule(`.r${line}`, 'font-size', value, { line }) },
        })),
      );
    expect(said('var(--size)')).toEqual([]);
    expect(said('1.1rem')).toEqual(['repeated']);
  });

  test('names the texts and the declarations', () => {
    const source = rule('.note', 'font-size', '11px');
    const [fight] = fightsOf(stockOf([{}, { sources: { 'font-size': source } }]));
    expect(fight).toEqual({
      kind: 'px',
      texts: [1],
      sources: [source],
      message:
        '1 text stays as large as it is for visitors who have set larger text in their browser: 1 declaration gives the size in px.',
    });
  });
});
