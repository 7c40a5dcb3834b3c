import { beforeAll, describe, expect, test } from '@jest/globals';
import type { FaceMeasures } from '../measure/measureFace';
import { fixed, measured, variable } from '../measure/testing/faces';
import {
  differencesBetween,
  distanceBetween,
  lookAlikes,
  spreadOf,
  type Spread,
} from './lookAlikes';

const VARIABLE = [
  'literata',
  'source-serif-4',
  'eb-garamond',
  'archivo',
  'public-sans',
  'libre-franklin',
  'outfit',
  'urbanist',
  'red-hat-display',
  'figtree',
  'hanken-grotesk',
  'rubik',
  'lora',
  'newsreader',
  'victor-mono',
  'caveat',
  'jetbrains-mono',
  'bodoni-moda',
  'bitter',
];
const FIXED = [
  'cardo',
  'dm-serif-display',
  'kalam',
  'libre-baskerville',
  'zilla-slab',
  'gloock',
  'bungee',
  'barlow-condensed',
  'space-mono',
  'abril-fatface',
];

let library: { key: string; measures: FaceMeasures }[];
let spread: Spread;

beforeAll(async () => {
  library = await Promise.all([
    ...VARIABLE.map(async (key) => ({
      key,
      measures: await measured(variable(key), { wght: 400 }),
    })),
    ...FIXED.map(async (key) => ({ key, measures: await measured(fixed(key)) })),
  ]);
  spread = spreadOf(library.map(({ measures }) => measures));
});

const of = (key: string): FaceMeasures => {
  const found = library.find((face) => face.key === key);
  if (!found) throw new Error(key);
  return found.measures;
};
const nearest = (key: string, most = 3): string[] =>
  lookAlikes(
    of(key),
    library.filter((face) => face.key !== key),
    spread,
    most,
  ).map((face) => face.key);

describe('look-alikes', () => {
  test.each([
    ['eb-garamond', 'cardo'],
    ['gloock', 'dm-serif-display'],
    ['jetbrains-mono', 'victor-mono'],
    ['literata', 'source-serif-4'],
    ['urbanist', 'red-hat-display'],
    ['kalam', 'caveat'],
  ])('of %s: %s is among the nearest', (key, expected) => {
    expect(nearest(key, 2)).toContain(expected);
  });

  test('a face is nearest to itself, and distance runs both ways alike', () => {
    expect(distanceBetween(of('bitter'), of('bitter'), spread)).toBe(0);
    expect(distanceBetween(of('bitter'), of('gloock'), spread)).toBeCloseTo(
      distanceBetween(of('gloock'), of('bitter'), spread),
      10,
    );
    expect(differencesBetween(of('bitter'), of('bitter'), spread)).toEqual([]);
  });

  test('what one has and the other has not keeps them apart, and what neither has does not', () => {
    const without = { ...of('bitter'), colour: null };
    const apart = distanceBetween(of('bitter'), without, spread);
    // Two spreads, weighted as colour is.
    expect(apart).toBeCloseTo(2 * 1.2, 10);
    expect(distanceBetween(without, of('bitter'), spread)).toBe(apart);
    expect(distanceBetween(without, without, spread)).toBe(0);
  });

  test('names what differs most, in words about the other, with its figure', () => {
    const [first] = differencesBetween(of('archivo'), of('barlow-condensed'), spread);
    expect(first).toMatch(/^(narrower by \d+ %|squarer bowls [\d.]+ to [\d.]+)$/);
    expect(differencesBetween(of('urbanist'), of('gloock'), spread).join()).toContain(
      'more contrast in its strokes',
    );
    expect(differencesBetween(of('gloock'), of('urbanist'), spread).join()).toContain(
      'shorter serifs or none',
    );
    expect(differencesBetween(of('outfit'), of('bungee'), spread).join()).toContain(
      'capitals only',
    );
  });

  test('come in the same order for the same library, however it is listed', () => {
    const listed = lookAlikes(of('bitter'), library, spread).map(({ key }) => key);
    const turned = lookAlikes(of('bitter'), [...library].reverse(), spread).map(({ key }) => key);
    expect(turned).toEqual(listed);
  });
});
