import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { drawPlace } from './draw';
import { pairScaleOf, type PairScale } from './library';
import { orderPartners, type RankedPartner } from './order';
import { sameSuperfamily, type Partner, type Role } from './partner';
import { STARTING_POINTS } from './startingPoints';
import {
  BAD_KEPT_BACK,
  BAD_TUNED_ON,
  GOOD_KEPT_BACK,
  GOOD_TUNED_ON,
  type KnownPair,
} from './testing/knownPairs';
import { testLibrary, testUse } from './testing/library';

let library: Partner[];
let scale: PairScale;
beforeAll(async () => {
  library = await testLibrary();
  scale = pairScaleOf(library, testUse(17));
});

const of = (key: string): Partner => {
  const found = library.find((partner) => partner.key === key);
  if (!found) throw new Error(`The library has no ${key}`);
  return found;
};

type Pair = Pick<KnownPair, 'heading' | 'text'>;
const ordered = (sought: Role, { heading, text }: Pair): RankedPartner[] =>
  sought === 'text'
    ? orderPartners({ heading: of(heading) }, 'text', library, scale)
    : orderPartners({ text: of(text) }, 'heading', library, scale);

/** Where the sought one of a known pair stands in the order for the other, from 0 to 1. */
function standing(pair: Pair, sought: Role): number {
  const order = ordered(sought, pair);
  const key = sought === 'text' ? pair.text : pair.heading;
  return (order.findIndex((one) => one.key === key) + 1) / order.length;
}

/** Part of the pairs that stand where they should; those that do not are named when it is too small. */
function share(pairs: readonly Pair[], sought: Role, holds: (at: number) => boolean): number {
  return pairs.filter((pair) => holds(standing(pair, sought))).length / pairs.length;
}
const inUpperThird = (at: number) => at <= 1 / 3;
const inLowerHalf = (at: number) => at >= 1 / 2;

describe('the order, judged by pairs of known worth', () => {
  test('there are enough of them', () => {
    const good = [...GOOD_TUNED_ON, ...GOOD_KEPT_BACK];
    const bad = [...BAD_TUNED_ON, ...BAD_KEPT_BACK];
    expect(good.length).toBeGreaterThanOrEqual(80);
    expect(bad.length).toBeGreaterThanOrEqual(50);
    const names = [...good, ...bad].map(({ heading, text }) => `${heading} ${text}`);
    expect(new Set(names).size).toBe(names.length);
  });

  test.each([
    ['text', 'that it was tuned on', GOOD_TUNED_ON],
    ['heading', 'that it was tuned on', GOOD_TUNED_ON],
    ['text', 'kept back', GOOD_KEPT_BACK],
    ['heading', 'kept back', GOOD_KEPT_BACK],
  ] as const)('good ones stand in the upper third, %s sought: those %s', (sought, _half, pairs) => {
    expect(share(pairs, sought, inUpperThird)).toBeGreaterThanOrEqual(0.85);
  });

  test.each([
    ['that it was tuned on', BAD_TUNED_ON],
    ['kept back', BAD_KEPT_BACK],
  ])('bad ones stand in the lower half, whichever is at fault: those %s', (_half, pairs) => {
    expect(share(pairs, 'text', inLowerHalf)).toBeGreaterThanOrEqual(0.9);
    const both = pairs.filter(({ fault }) => fault === 'both');
    expect(share(both, 'heading', inLowerHalf)).toBeGreaterThanOrEqual(0.9);
  });

  test.each(STARTING_POINTS)(
    '$heading over $text stands in the upper third from both sides',
    (pair) => {
      expect(standing(pair, 'text')).toBeLessThanOrEqual(1 / 3);
      expect(standing(pair, 'heading')).toBeLessThanOrEqual(1 / 3);
    },
  );

  test.each([16, 17, 18, 20])('no hairline comes first for text of %d px', (size) => {
    const atSize = pairScaleOf(library, testUse(size));
    for (const heading of library) {
      const [first] = orderPartners({ heading }, 'text', library, atSize);
      const thin = of(first?.key ?? '').measures?.regular.thin ?? 0;
      expect(`${heading.key}: ${first?.key ?? ''} ${thin * size >= 0.45}`).toMatch(/true$/);
    }
  });
});

describe('the order', () => {
  test('is the same however the library is listed', () => {
    const keys = (listed: Partner[]) =>
      orderPartners(
        { text: of('literata') },
        'heading',
        listed,
        pairScaleOf(listed, testUse(17)),
      ).map(({ key }) => key);
    expect(keys([...library].reverse())).toEqual(keys(library));
    expect(keys(library)).toHaveLength(library.length - 1);
  });

  test('puts every text face that is unfit behind those that are fit', () => {
    const unfit = ordered('text', { heading: 'archivo', text: '' }).map((one) => one.unfit);
    expect(unfit).toEqual([...unfit].sort((a, b) => a - b));
    expect(unfit.at(-1)).toBe(1);
  });

  test('judges a heading at the weight that it is set in', () => {
    const reason = ordered('text', { heading: 'bricolage-grotesque', text: 'literata' })
      .find(({ key }) => key === 'literata')
      ?.reasons.find(({ term }) => term === 'colour');
    expect(reason?.text).toMatch(/^darker above than below by 4\d %, at 680 and 400$/);
    expect(reason?.weight).toBeGreaterThan(0);
  });

  test('gives first the reasons that tell a partner from the others', () => {
    const order = ordered('text', { heading: 'bricolage-grotesque', text: '' });
    for (const { reasons } of order) {
      const telling = reasons.map((reason) => Math.abs(reason.telling));
      expect(telling).toEqual([...telling].sort((a, b) => b - a));
    }
    const terms = [...new Set(order.flatMap(({ reasons }) => reasons.map(({ term }) => term)))];
    for (const term of terms) {
      const of = order.flatMap(({ reasons }) => reasons.filter((one) => one.term === term));
      // A term that a partner has no reason in counts for it as nothing.
      const upper = order.slice(0, Math.ceil(order.length / 3));
      const inUpper = upper.map(({ reasons }) =>
        reasons.filter((one) => one.term === term).reduce((sum, { weight }) => sum + weight, 0),
      );
      const middle = inUpper.sort((a, b) => a - b)[Math.floor(upper.length / 2)] ?? 0;
      for (const { weight, telling } of of) expect(telling).toBeCloseTo(weight - middle, 6);
    }
  });

  test('leaves out what holds for most of those that a designer chooses among', () => {
    const order = ordered('text', { heading: 'bricolage-grotesque', text: '' });
    const tells = (key: string) =>
      Math.abs(
        order.find((one) => one.key === key)?.reasons.find(({ term }) => term === 'kind')
          ?.telling ?? 9,
      );
    // Most of the head of the list are serifs under a sans serif: of another sans serif it is told.
    expect([tells('literata'), tells('source-serif-4')]).toEqual([0, 0]);
    expect(tells('karla')).toBeGreaterThan(1);
  });

  test.each([
    [
      'public-sans',
      'libre-franklin',
      /^too alike: the same class, as wide as one another, within \d+ %/,
    ],
    ['literata', 'caveat', /^a small x-height, 0\.36 em/],
    ['archivo', 'outfit', /^no italic: a browser slants the upright/],
    ['archivo', 'bungee', /^its lower case is drawn as capitals/],
    ['karla', 'bodoni-moda', /^thin strokes of 0\.33 px at 17 px: they break up/],
    ['alegreya-sans', 'alegreya', /^of one superfamily/],
  ])('says of %s over %s what decides', (heading, text, expected) => {
    const found = ordered('text', { heading, text }).find(({ key }) => key === text);
    expect(found?.reasons.some((reason) => expected.test(reason.text))).toBe(true);
  });

  test('says what a family is good for in the part that is sought', () => {
    const uses = ordered('heading', { heading: '', text: 'source-serif-4' });
    const goodFor = (key: string) => uses.find((one) => one.key === key)?.goodFor;
    expect(goodFor('barlow-condensed')).toBe('long headings in little room');
    expect(goodFor('bungee')).toBe('signs and titles in capitals');
    expect(goodFor('abril-fatface')).toBe('large headings with fine hairlines');
    const texts = ordered('text', { heading: 'archivo', text: '' });
    const textFor = (key: string) => texts.find((one) => one.key === key)?.goodFor;
    expect(textFor('literata')).toBe('long reading on any screen');
    expect(textFor('eb-garamond')).toBe('long reading at larger sizes');
    expect(textFor('commissioner')).toBe('forms, tables and small sizes');
    expect(textFor('jetbrains-mono')).toBe('code and data');
  });

  test('places what lacks Latin, lower case or measures, with the reason', () => {
    const odd = (key: string, measures: Partner['measures']): Partner => ({
      ...of('literata'),
      key,
      name: key,
      measures,
    });
    const literata = of('literata').measures;
    if (!literata) throw new Error('Literata is measured');
    const blank = Object.fromEntries(
      Object.entries(literata.regular).map(([name, value]) => [
        name,
        typeof value === 'number' && name !== 'slope' ? null : value,
      ]),
    ) as unknown as typeof literata.regular;
    const symbols = odd('symbols', {
      ...literata,
      cuts: [],
      regular: { ...blank, lowerCase: 'none', figures: null },
    });
    const everyone = [...library, symbols, odd('unmeasured', null)];
    const order = orderPartners({ heading: of('archivo') }, 'text', everyone, scale);
    expect(order.at(-1)).toMatchObject({
      key: 'unmeasured',
      reasons: [{ text: 'unmeasured could not be measured' }],
    });
    const placed = order.find(({ key }) => key === 'symbols');
    expect(placed?.reasons.map(({ text }) => text)).toContain('it has no lower case');
    expect(orderPartners({ heading: symbols }, 'text', library, scale)).toHaveLength(
      library.length,
    );
    expect(orderPartners({}, 'text', library, scale)).toEqual([]);
  });
});

describe('three at once', () => {
  const held = () => ({ heading: of('abril-fatface'), text: of('source-serif-4') });

  test('a subheading is judged beside both that are held', () => {
    const order = orderPartners(held(), 'subheading', library, scale);
    expect(order).toHaveLength(library.length - 2);
    const beside = new Set(order[0]?.reasons.map((reason) => reason.beside));
    expect([...beside].sort()).toEqual(['Abril Fatface', 'Source Serif 4', undefined]);
    // What is said of it alone is said once, and nothing is said of what is held.
    for (const { reasons } of order) {
      const said = reasons.map((reason) => `${reason.beside ?? ''} ${reason.text}`);
      expect(new Set(said).size).toBe(said.length);
      expect(said.some((text) => text.includes('Abril Fatface, by its name'))).toBe(false);
    }
  });

  test('one that is too like the text stands behind a plain sans serif', () => {
    const keys = orderPartners(held(), 'subheading', library, scale).map(({ key }) => key);
    expect(keys.indexOf('literata')).toBeGreaterThan(keys.indexOf('libre-franklin'));
  });

  test('a subheading does not outshout the heading', () => {
    const order = orderPartners(held(), 'subheading', library, scale);
    const keys = order.map(({ key }) => key);
    for (const loud of ['anton', 'yeseva-one', 'gloock', 'bungee', 'krona-one']) {
      expect(keys.indexOf(loud)).toBeGreaterThan(keys.length / 3);
      const found = order.find(({ key }) => key === loud);
      expect(found?.reasons.map(({ text }) => text)).toContain(
        'drawn for size, it competes with the heading',
      );
    }
    expect(keys.slice(0, 5)).toContain('hanken-grotesk');
  });

  test('the heading or the text may be sought beside the other two', () => {
    const subheading = of('libre-franklin');
    const two = orderPartners({ text: of('source-serif-4') }, 'heading', library, scale);
    const three = orderPartners({ ...held(), subheading }, 'heading', library, scale);
    expect(three.map(({ key }) => key)).not.toContain('libre-franklin');
    const twin = (order: RankedPartner[]) =>
      order.findIndex(({ key }) => key === 'public-sans') / order.length;
    // A twin of the subheading is no heading above it.
    expect(twin(three)).toBeGreaterThan(twin(two));
  });
});

describe('superfamilies', () => {
  test.each([
    ['alegreya', 'alegreya-sans', true],
    ['red-hat-text', 'red-hat-display', true],
    ['space-grotesk', 'space-mono', true],
    ['dm-sans', 'dm-serif-display', true],
    ['libre-franklin', 'libre-baskerville', false],
    ['literata', 'literata', false],
  ])('%s and %s: %s', (one, other, expected) => {
    expect(sameSuperfamily(of(one), of(other))).toBe(expected);
  });
});

describe('a draw', () => {
  test('lies within the order, the upper part more often', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.double({ min: 0, max: 0.999999, noNaN: true }),
        (length, random) => {
          const at = drawPlace(length, random);
          expect(at).not.toBeNull();
          expect(at).toBeGreaterThanOrEqual(0);
          expect(at).toBeLessThan(length);
        },
      ),
    );
    const places = Array.from({ length: 1000 }, (_, i) => drawPlace(60, i / 1000) ?? 60);
    expect(places.filter((at) => at < 20).length).toBeGreaterThan(800);
    expect(places.filter((at) => at >= 30).length).toBeGreaterThan(10);
    expect(drawPlace(0, 0.5)).toBeNull();
  });
});
