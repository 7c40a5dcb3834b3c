import { beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { drawPlace } from './draw';
import { judgePair } from './judge';
import { pairScaleOf, type PairScale } from './library';
import { orderPartners } from './order';
import { sameSuperfamily, type Partner } from './partner';
import { STARTING_POINTS } from './startingPoints';
import { BAD_PAIRS, GOOD_PAIRS, type KnownPair } from './testing/knownPairs';
import { testLibrary } from './testing/library';

let library: Partner[];
let scale: PairScale;
beforeAll(async () => {
  library = await testLibrary();
  scale = pairScaleOf(library);
});

const of = (key: string): Partner => {
  const found = library.find((partner) => partner.key === key);
  if (!found) throw new Error(`The library has no ${key}`);
  return found;
};

/** Where the partner of a known pair stands in the order for the held one, from 0 to 1. */
function standing({ heading, text, held }: KnownPair): number {
  const [kept, sought] = held === 'heading' ? [heading, text] : [text, heading];
  const order = orderPartners(of(kept), held === 'heading' ? 'text' : 'heading', library, scale);
  const at = order.findIndex(({ key }) => key === sought);
  if (at === -1) throw new Error(`${sought} is not in the order`);
  return (at + 1) / order.length;
}

const half = (pairs: readonly KnownPair[], odd: boolean) =>
  pairs.filter((_pair, i) => i % 2 === (odd ? 1 : 0));
const share = (pairs: readonly KnownPair[], holds: (at: number) => boolean) =>
  pairs.filter((pair) => holds(standing(pair))).length / pairs.length;

describe('the order, judged by pairs of known worth', () => {
  test('there are enough of them', () => {
    expect(GOOD_PAIRS.length).toBeGreaterThanOrEqual(30);
    expect(BAD_PAIRS.length).toBeGreaterThanOrEqual(15);
    expect([...GOOD_PAIRS, ...BAD_PAIRS].every(({ reason }) => reason.length > 10)).toBe(true);
  });

  test.each([
    ['that may be tuned on', false],
    ['that are kept to judge by', true],
  ])('known good ones stand in the upper third: those %s', (_half, odd) => {
    expect(share(half(GOOD_PAIRS, odd), (at) => at <= 1 / 3)).toBeGreaterThanOrEqual(0.8);
  });

  test.each([
    ['that may be tuned on', false],
    ['that are kept to judge by', true],
  ])('known bad ones stand in the lower half: those %s', (_half, odd) => {
    expect(share(half(BAD_PAIRS, odd), (at) => at >= 1 / 2)).toBeGreaterThanOrEqual(0.9);
  });

  test('every starting point stands in the upper third, whichever is held', () => {
    expect(STARTING_POINTS).toHaveLength(12);
    for (const { heading, text } of STARTING_POINTS) {
      const at = Math.min(
        standing({ heading, text, held: 'heading', reason: '' }),
        standing({ heading, text, held: 'text', reason: '' }),
      );
      expect(`${heading} ${text} ${at <= 1 / 3 ? 'stands' : at}`).toBe(`${heading} ${text} stands`);
    }
  });
});

describe('the order', () => {
  test('is the same however the library is listed', () => {
    const held = of('literata');
    const listed = orderPartners(held, 'heading', library, scale).map(({ key }) => key);
    const turned = [...library].reverse();
    expect(
      orderPartners(held, 'heading', turned, pairScaleOf(turned)).map(({ key }) => key),
    ).toEqual(listed);
    expect(listed).toHaveLength(library.length - 1);
  });

  test('gives its reasons in words with figures, the weightiest first', () => {
    const { reasons } = judgePair(of('bricolage-grotesque'), of('literata'), scale);
    const words = reasons.map(({ text }) => text);
    expect(words).toContain('a sans serif over a serif');
    expect(words.find((text) => text.startsWith('x-heights'))).toMatch(/^x-heights within \d %$/);
    const weights = reasons.map(({ weight }) => Math.abs(weight));
    expect(weights).toEqual([...weights].sort((a, b) => b - a));
  });

  test.each([
    ['public-sans', 'libre-franklin', /^too alike: the same class, widths within \d+ %/],
    ['literata', 'caveat', /^for headings only: its x-height is small/],
    ['archivo', 'outfit', /no true italic: ship names would be slanted/],
    ['archivo', 'bungee', /lower case is drawn as capitals/],
    ['alegreya-sans', 'alegreya', /of one superfamily/],
  ])('says of %s over %s what decides', (heading, text, expected) => {
    const words = judgePair(of(heading), of(text), scale).reasons.map((reason) => reason.text);
    expect(words.some((word) => expected.test(word))).toBe(true);
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
      regular: { ...blank, lowerCase: 'none', figures: null },
    });
    const unmeasured = odd('unmeasured', null);
    const order = orderPartners(of('archivo'), 'text', [...library, symbols, unmeasured], scale);
    expect(order.at(-1)).toMatchObject({
      key: 'unmeasured',
      reasons: [{ text: 'unmeasured could not be measured' }],
    });
    const placed = order.find(({ key }) => key === 'symbols');
    expect(placed?.reasons.map(({ text }) => text)).toContain(
      'for headings only: it has no lower case',
    );
    expect(orderPartners(symbols, 'heading', library, scale)).toHaveLength(library.length);
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
