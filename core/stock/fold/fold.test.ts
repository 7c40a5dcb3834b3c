import { describe, expect, test } from '@jest/globals';
import { applyChange } from '../../change';
import { newDocument } from '../../document/newDocument';
import { MOST_PARTS, type ProjectDocument } from '../../document/projectDocument';
import { resolveInUse } from '../../style/resolve';
import type { Stock } from '../stock';
import { rule, stockOf, type MadeText } from '../testing/stockOf';
import { foldPatch, foldStock, WHOLE_FOLD, type StockView } from './fold';
import { movesOf } from './foldMoves';
import { proposeFold, stockFacts } from './proposal';
import { movesTogether, type MovedText } from '../moves';
import { resolveElement } from '../../style';
import { stepSizeAt } from '../../scale';

/** A page in miniature: selectors are tags and classes, as its texts have them. */
function viewOf(stock: Stock, names: Record<string, string> = {}): StockView {
  const meets = (selector: string): number[] =>
    stock.texts.flatMap(({ tag, classes }, number) =>
      selector === tag || classes.some((one) => selector === `.${one}`) ? [number] : [],
    );
  const kinds = new Map<string, number[]>();
  stock.texts.forEach(({ tag, classes }, number) => {
    const key = classes[0] ? `.${classes[0]}` : tag;
    kinds.set(key, [...(kinds.get(key) ?? []), number]);
  });
  return {
    kinds: [...kinds].map(([selector, texts]) => ({
      name: names[selector] ?? selector.replace('.', ''),
      selector,
      texts,
    })),
    meets,
  };
}

const PAGE: MadeText[] = [
  { tag: 'h1', characters: 30, look: { size: 40, weight: 700, lineHeight: 44 } },
  { characters: 900 },
  { characters: 700 },
  { tag: 'em', within: 1, characters: 12, look: { slant: 'italic' } },
  {
    tag: 'p',
    classes: ['note'],
    characters: 120,
    look: { size: 14, lineHeight: 20, colour: 'rgb(90, 90, 90)' },
  },
  {
    tag: 'code',
    within: 1,
    characters: 20,
    look: { stack: ['Courier New', 'monospace'], face: 'monospace', size: 14, lineHeight: 24 },
  },
  { tag: 'a', within: 2, characters: 30, look: { colour: 'rgb(14, 102, 86)' } },
];

const folded = (
  texts: MadeText[],
  choice = WHOLE_FOLD,
  document: ProjectDocument = newDocument('Tarnholm'),
) => {
  const stock = stockOf(texts);
  const fold = foldStock(stock, viewOf(stock), document, choice);
  const after = applyChange(document, foldPatch(document, fold)).document;
  return { stock, fold, after };
};

describe('what 1rem is on a site', () => {
  const rootAfter = (root?: { narrow: number; wide: number }, before = newDocument('Tarnholm')) => {
    const stock = stockOf(PAGE, root ? { root } : {});
    const fold = foldStock(stock, viewOf(stock), before, WHOLE_FOLD);
    return applyChange(before, foldPatch(before, fold)).document.scale;
  };

  test('goes into the scale, whose sizes stay what they are', () => {
    const usual = rootAfter();
    expect(usual.root).toBeUndefined();
    const other = rootAfter({ narrow: 10, wide: 10 });
    expect(other).toEqual({ ...usual, root: 10 });
    expect(rootAfter({ narrow: 14, wide: 18 }).root).toBeNull();
    expect(rootAfter({ narrow: 16, wide: 16 }).root).toBeUndefined();
    expect(rootAfter(undefined, { ...newDocument('Tarnholm'), scale: other }).root).toBeUndefined();
  });
});

describe('a site folded', () => {
  const { stock, fold, after } = folded(PAGE);
  const styleOf = (selector: string): string =>
    Object.values(after.elements).find(({ selectors }) => selectors.includes(selector))?.style ??
    '';

  test.each([
    [MOST_PARTS.voices, MOST_PARTS.voices],
    [MOST_PARTS.voices + 3, MOST_PARTS.voices],
  ])('of %i families has %i voices: no more than a project may have', (families, voices) => {
    const texts = Array.from({ length: families }, (_, i) => ({
      classes: [`of-${i}`],
      characters: 900 - i,
      look: { stack: [`Family ${i}`, 'serif'], face: `Family ${i}` },
    }));
    const many = folded(texts);
    expect(many.fold.voices.voices).toHaveLength(voices);
    expect(Object.keys(many.after.voices).length).toBeLessThanOrEqual(MOST_PARTS.voices);
  });

  test('gives families voices: text, and what is of equal widths', () => {
    expect(fold.voices.voices.map(({ key, asks, generic }) => [key, asks, generic])).toEqual([
      ['text', 'Literata', 'serif'],
      ['code', 'Courier New', 'monospace'],
    ]);
    expect(after.voices['text']).toMatchObject({ family: null, generic: 'serif' });
  });

  test('gives texts styles, named by what they are', () => {
    expect(fold.styles.styles.map(({ style }) => style.name)).toEqual([
      'Body',
      'note',
      'Heading 1',
      'a',
      'code',
      'em',
    ]);
    expect(after.styles[styleOf('p')]).toBe(after.styles['body']);
    // What stands by itself follows the body; what stands in the midst of text has the rest from there.
    expect(after.styles[styleOf('.note')]).toMatchObject({
      follows: 'body',
      set: { step: expect.any(Number), lineHeight: 1.429, colour: expect.any(String) },
    });
    expect(Object.keys(after.styles[styleOf('.note')]?.set ?? {})).toHaveLength(3);
    expect(after.styles[styleOf('em')]).toMatchObject({ follows: null, set: { slant: 'italic' } });
    expect(Object.keys(after.styles[styleOf('em')]?.set ?? {})).toEqual(['slant']);
    expect(fold.styles.unfolded).toEqual([]);
  });

  test('comes to what the site had', () => {
    const heading = resolveInUse(after, styleOf('h1'));
    expect(heading.weight.value).toBe(700);
    expect(heading.lineHeight.value).toBe(1.1);
    expect(after.colours['ink']?.light).toBe('#141414');
    expect(after.colours[resolveInUse(after, styleOf('a')).colour.value ?? '']?.light).toBe(
      '#0e6656',
    );
    const moves = movesOf(stock, fold, after);
    expect(moves).toMatchObject({ texts: 0, of: PAGE.length, weight: 0 });
    expect(moves.most).toBeLessThan(0.1);
  });

  test('puts the site’s own style sheets into a layer, so that it wins', () => {
    expect(after.delivery).toMatchObject({ siteLayer: 'site', layer: null });
  });

  test('is one change, which is taken back whole', () => {
    const before = newDocument('Tarnholm');
    const { document, inverse } = applyChange(before, foldPatch(before, fold));
    expect(applyChange(document, inverse).document).toEqual(before);
  });
});

describe('what differs by little is one style', () => {
  const near = (look: MadeText['look']): number => {
    const { fold } = folded([
      { characters: 900 },
      { tag: 'li', characters: 90, ...(look ? { look } : {}) },
    ]);
    return fold.styles.styles.length;
  };
  test.each<[string, MadeText['look'], MadeText['look']]>([
    ['weight', { weight: 450 }, { weight: 451 }],
    ['line height', { lineHeight: 24.9 }, { lineHeight: 25.1 }],
    ['letter spacing', { letterSpacing: 0.19 }, { letterSpacing: 0.2 }],
    ['colour', { colour: 'rgb(22, 22, 22)' }, { colour: 'rgb(40, 40, 40)' }],
  ])('%s, from both sides', (_what, same, other) => {
    expect(near(same)).toBe(1);
    expect(near(other)).toBe(2);
  });
});

describe('texts of one kind that are set otherwise', () => {
  const intro = { size: 20, lineHeight: 28 };
  test('take a selector of the site’s own that meets just those', () => {
    const { fold } = folded([
      { characters: 900 },
      {
        classes: ['wide', 'intro'],
        characters: 90,
        look: intro,
        sources: { 'font-size': rule('.intro', 'font-size', '20px') },
      },
      { classes: ['wide'], characters: 100 },
    ]);
    const element = fold.styles.elements.find(({ element: { selectors } }) =>
      selectors.includes('.intro'),
    );
    expect(element?.texts).toEqual([1]);
    expect(fold.styles.unfolded).toEqual([]);
  });

  test('take one that meets more, where those have one that meets fewer', () => {
    const { fold } = folded([
      { characters: 900, sources: { 'font-size': rule('p', 'font-size', '16px') } },
      { classes: ['note'], characters: 90, look: { size: 13 } },
      { tag: 'h1', characters: 20, look: { size: 40 } },
    ]);
    expect(
      fold.styles.elements.map(({ element: { selectors }, texts }) => [selectors[0], texts]),
    ).toEqual([
      ['body', []],
      ['p', [0]],
      ['.note', [1]],
      ['h1', [2]],
    ]);
  });

  test('are listed where none does, with the reason', () => {
    const { fold } = folded([
      { characters: 900 },
      { classes: ['wide'], characters: 90, look: intro },
      { classes: ['wide'], characters: 100 },
    ]);
    expect(fold.styles.unfolded).toEqual([
      {
        what: 'wide 2',
        why: 'no selector meets these texts without others that are set otherwise',
        texts: [1],
      },
    ]);
  });
});

test('sizes that cross from phone to desktop are kept as they are', () => {
  const crossing = folded([
    { characters: 900 },
    { tag: 'h2', characters: 60, look: { size: 24 }, narrow: { size: 24 } },
    { classes: ['lead'], characters: 80, look: { size: 28 }, narrow: { size: 20 } },
  ]);
  expect(crossing.after.scale.crossing).toBe(true);
  expect(movesOf(crossing.stock, crossing.fold, crossing.after).most).toBeLessThanOrEqual(1);
  expect(folded(PAGE).after.scale.crossing).toBeUndefined();
});

test('what no rule outranks is listed with what says it', () => {
  const { fold } = folded([
    { characters: 900 },
    {
      classes: ['buy'],
      sources: {
        color: rule('.buy', 'color', 'white', { important: true }),
        'font-style': { by: 'inline', important: false, value: 'italic' },
      },
    },
    // What is inherited is outranked by a rule for the text itself.
    {
      classes: ['note'],
      sources: { color: rule('main', 'color', 'red', { important: true }) },
      from: { color: 'main' },
    },
  ]);
  expect(fold.styles.unfolded).toEqual([
    {
      what: 'buy',
      why: 'font-style stays as it is until a style attribute, which says it, is removed from the site',
      texts: [1],
    },
    {
      what: 'buy',
      why: 'color stays as it is until .buy with !important, which says it, is removed from the site',
      texts: [1],
    },
  ]);
});

describe('parts', () => {
  const document = newDocument('Tarnholm');
  const taking = (part: Partial<typeof WHOLE_FOLD>) =>
    folded(PAGE, { ...WHOLE_FOLD, voices: false, scale: false, styles: false, ...part }).after;

  test('voices alone keep the scale, and the voices that styles name', () => {
    const after = taking({ voices: true });
    expect(after.scale).toEqual(document.scale);
    expect(after.styles).toEqual(document.styles);
    expect(Object.keys(after.voices).sort()).toEqual(['code', 'heading', 'text']);
  });

  test('the scale alone keeps the steps that styles name', () => {
    const after = taking({ scale: true });
    expect(after.voices).toEqual(document.voices);
    expect(after.scale.small.base).toBe(16);
    expect(after.scale.up).toBeGreaterThanOrEqual(document.scale.up);
  });

  test('styles alone take the nearest steps of the scale that is there', () => {
    const after = taking({ styles: true });
    expect(after.scale).toEqual(document.scale);
    expect(after.voices).toEqual(document.voices);
    expect(after.styles['heading-1']?.set.step).toBeDefined();
  });

  test('a style that is left leaves its texts as they are', () => {
    const { after } = folded(PAGE, { ...WHOLE_FOLD, left: ['note'] });
    expect(after.styles['note']).toBeUndefined();
    expect(Object.values(after.elements).some(({ style }) => style === 'note')).toBe(false);
  });

  test('what a person calls voices and styles is taken', () => {
    const { fold, after } = folded(PAGE, {
      ...WHOLE_FOLD,
      names: { voices: { text: 'Reading' }, styles: { note: 'Small print' } },
    });
    expect(after.voices['text']?.name).toBe('Reading');
    expect(after.styles['note']?.name).toBe('Small print');
    const other = fold.styles.styles.find(({ key }) => key !== 'note' && key !== 'body');
    expect(after.styles[other?.key ?? '']?.name).toBe(other?.style.name);
  });

  test('a scale that a person wants is taken, and what it would move is told', () => {
    const end = { base: 16, ratio: 1.5 };
    const series = { small: end, large: end, rounding: 'whole' as const };
    const stock = stockOf(PAGE);
    const document = newDocument('Tarnholm');
    const proposal = proposeFold(stockFacts(stock, viewOf(stock)), document, {
      ...WHOLE_FOLD,
      series,
    });
    const after = applyChange(document, [...proposal.patch]).document;
    expect(after.scale).toMatchObject({ small: end, large: end, rounding: 'whole' });
    for (const { large, step, moves } of proposal.scale?.sizes ?? []) {
      const now = proposal.scale?.steps.find(({ number }) => number === step);
      expect(moves).toBeCloseTo(Math.abs((now?.large ?? 0) - large), 6);
    }
  });

  test('a proposal made of data alone is the fold that is made beside the pages', () => {
    const stock = stockOf(PAGE);
    const document = newDocument('Tarnholm');
    const facts = structuredClone(stockFacts(stock, viewOf(stock)));
    const proposal = proposeFold(facts, document, WHOLE_FOLD);
    const fold = foldStock(stock, viewOf(stock), document, WHOLE_FOLD);
    expect(proposal.patch).toEqual(foldPatch(document, fold));
    expect(structuredClone(proposal)).toEqual(proposal);
    const after = applyChange(document, [...proposal.patch]).document;
    expect(proposal.isPossible).toBe(true);
    expect(proposal.moves).toEqual(movesOf(stock, fold, after));
    for (const { key, texts, moves } of proposal.styles) {
      expect([key, moves]).toEqual([key, movesOf(stock, fold, after, texts)]);
    }
    expect(proposal.scale?.sizes.map(({ large, step }) => [large, step])).toEqual([
      [16, 0],
      [14, expect.any(Number)],
      [40, expect.any(Number)],
    ]);
  });

  test('a family that is given to a voice is taken', () => {
    const document2 = newDocument('Tarnholm');
    document2.case = {
      literata: {
        name: 'Literata',
        class: 'serif',
        source: 'files',
        licence: null,
        faces: [
          {
            style: 'normal',
            weightMin: 400,
            weightMax: 400,
            files: [{ sha256: 'a'.repeat(64), script: 'all', unicodeRange: null, bytes: 1 }],
          },
        ],
      },
    };
    expect(folded(PAGE, WHOLE_FOLD, document2).after.voices['text']?.family).toBe('literata');
    const none = folded(PAGE, { ...WHOLE_FOLD, families: { text: null } }, document2);
    expect(none.after.voices['text']?.family).toBeNull();
  });
});

test('moves are counted with how far', () => {
  const document = newDocument('Tarnholm');
  const stock = stockOf([
    { characters: 900 },
    { tag: 'h1', characters: 100, look: { size: 40, weight: 700 } },
  ]);
  const choice = { ...WHOLE_FOLD, scale: false };
  const fold = foldStock(stock, viewOf(stock), document, choice);
  const after = applyChange(document, foldPatch(document, fold)).document;
  // The scale that is there has 18 px at its large end, where the site has 16.
  const moves = movesOf(stock, fold, after);
  expect(moves.texts).toBe(2);
  expect(moves.most).toBeGreaterThanOrEqual(2);
  expect(movesOf(stock, fold, after, [0])).toMatchObject({ texts: 1, of: 1, weight: 0 });
});

describe('how far a text moves', () => {
  const document = newDocument('Tarnholm');
  const fold = (stock: Stock) =>
    foldStock(stock, viewOf(stock), document, { ...WHOLE_FOLD, scale: false });
  /** The project's own body is 17 px at 360 and 18 px at 1280; here the site has it otherwise at one end. */
  const moved = (narrow: number, wide: number, more: Partial<MadeText> = {}) => {
    const stock = stockOf([{ look: { size: wide, ...more.look }, narrow: { size: narrow } }]);
    const made = fold(stock);
    const after = applyChange(document, foldPatch(document, made)).document;
    const { scale } = after;
    const { step } = resolveElement(after, 'body');
    const at = (width: number) => stepSizeAt(scale, step.value, width);
    return { moves: movesOf(stock, made, after), narrow: at(360), wide: at(1280) };
  };

  test('is told of the end where it moves most, whichever that is', () => {
    const first = moved(17, 18);
    const { narrow, wide } = first;
    expect(moved(narrow, wide).moves).toMatchObject({ texts: 0, most: 0, turned: 0 });
    expect(moved(narrow - 0.8, wide).moves.most).toBeCloseTo(0.8, 6);
    expect(moved(narrow, wide + 0.7).moves.most).toBeCloseTo(0.7, 6);
    expect(moved(narrow + 0.4, wide - 0.9).moves.most).toBeCloseTo(0.9, 6);
  });

  test.each([
    [0.09, 0],
    [0.11, 1],
  ])('counts from a tenth of a px: %f', (by, texts) => {
    const { narrow, wide } = moved(17, 18);
    expect(moved(narrow, wide + by).moves.texts).toBe(texts);
  });
});

test('texts together move as far as the one that moves most, and in the mean by their length', () => {
  const text = (characters: number, size: number, more: Partial<MovedText> = {}): MovedText => ({
    characters,
    size,
    weight: 0,
    turned: false,
    ...more,
  });
  expect(movesTogether([text(100, 1), text(300, 0), text(0, 5)])).toEqual({
    texts: 2,
    of: 3,
    most: 5,
    mean: 0.25,
    weight: 0,
    turned: 0,
  });
  expect(movesTogether([text(1, 0, { weight: 9 }), text(1, 0, { weight: 10 })]).texts).toBe(1);
  expect(movesTogether([text(1, 0, { turned: true })])).toMatchObject({ texts: 1, turned: 1 });
  expect(movesTogether([])).toEqual({ texts: 0, of: 0, most: 0, mean: 0, weight: 0, turned: 0 });
});

test('a scale that is taken without the styles keeps the steps that these have', () => {
  const document = newDocument('Tarnholm');
  const stock = stockOf([{ characters: 900 }, { tag: 'h1', look: { size: 40 } }]);
  const made = foldStock(stock, viewOf(stock), document, { ...WHOLE_FOLD, styles: false });
  const after = applyChange(document, foldPatch(document, made)).document;
  const found = foldStock(stock, viewOf(stock), document).scale?.scale;
  expect(found?.up).toBeLessThan(document.scale.up);
  expect(after.scale.up).toBe(Math.max(document.scale.up, found?.up ?? 0));
  expect(after.scale.down).toBe(Math.max(document.scale.down, found?.down ?? 0));
});

describe('the widths of a site', () => {
  const BREAKS = [
    { from: 768, rules: 9 },
    { from: 992, rules: 5 },
    { from: 400, container: 'card', rules: 4 },
    { from: 1200, rules: 3 },
    { from: 1400, rules: 1 },
  ];
  const take = (document: ProjectDocument) => {
    const stock = stockOf(PAGE, { breaks: BREAKS });
    const fold = foldStock(stock, viewOf(stock), document);
    return applyChange(document, foldPatch(document, fold)).document;
  };

  test('come with its styles, those that most rules are about, and none twice', () => {
    const after = take(newDocument('Tarnholm'));
    expect(after.widths).toEqual({
      'from-768': { name: 'From 768 px', from: 768 },
      'from-992': { name: 'From 992 px', from: 992 },
      'card-400': { name: 'From 400 px of the container card', from: 400, container: 'card' },
      'from-1200': { name: 'From 1200 px', from: 1200 },
    });
    expect(take(after).widths).toEqual(after.widths);
  });

  test('stay as they were where they are there already', () => {
    const { document } = applyChange(newDocument('Tarnholm'), [
      { op: 'add', path: '/widths', value: { tablet: { name: 'Tablet', from: 768 } } },
    ]);
    const { widths = {} } = take(document);
    expect(widths['tablet']).toEqual({ name: 'Tablet', from: 768 });
    expect(Object.values(widths).filter(({ from }) => from === 768)).toHaveLength(1);
  });
});
