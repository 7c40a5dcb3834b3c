import { describe, expect, test } from '@jest/globals';
import { scriptOf } from '../script';
import { fitnessOf, type Verdict } from './fitness';
import { SCRIPT_FACES } from './testing/scriptFaces';
import type { FamilyMeasures } from './family';
import { measuresInScript } from './inScript';

const USE = {
  sizes: {
    running: { size: 17, weight: 400 },
    short: { size: 14, weight: 400 },
    headings: { size: 26, weight: 700 },
  },
  languages: ['en', 'he', 'ar'],
};

type Known = (typeof SCRIPT_FACES)[number];

const measuresOf = ([script, , , , height, thin, thick, advance]: Known): FamilyMeasures =>
  ({
    regular: { lowerCase: 'own', monospaced: false, figures: null },
    weights: [],
    languages: ['en', 'he', 'ar'],
    italic: null,
    scripts: { [script]: { height, thin, thick, advance, top: 1, bottom: -0.3 } },
  }) as unknown as FamilyMeasures;

const fitness = (
  known: Known,
  faces = [{ style: 'normal' as const, weightMin: 400, weightMax: 700 }],
) => fitnessOf({ measures: measuresOf(known), faces, claimed: known[3] }, USE, known[0]);
const verdict = (known: Known): Verdict => fitness(known).drawn.running.verdict;

/** What the ranges of scripts were set on; the other text faces were not looked at. */
const SET_ON = new Set(
  `scheherazade-new noto-naskh-arabic amiri almarai frank-ruhl-libre david-libre assistant hind poppins laila
  sarabun prompt taviraj sawarabi-mincho shippori-mincho kosugi gowun-batang nanum-myeongjo ibm-plex-sans-kr`.split(
    /\s+/,
  ),
);
const texts = SCRIPT_FACES.filter(([, use]) => use === 'text');
const setOn = texts.filter(([, , id]) => SET_ON.has(id));
const heldBack = texts.filter((one) => !setOn.includes(one));
/** Drawn as evenly as text faces are, or for text at a size, and listed as that. */
const EVEN = new Set(['reem-kufi', 'bellefair', 'kanit']);

describe('fitness in a script', () => {
  test('the ranges of a script are those of the faces that they were set on', () => {
    for (const script of new Set(setOn.map(([key]) => key))) {
      const own = setOn.filter(([key]) => key === script);
      const { colour, width } = scriptOf(script)?.text ?? { colour: [0, 0], width: [0, 0] };
      for (const known of own) {
        const { regular } = measuresInScript(measuresOf(known), script);
        for (const [value, [least, most]] of [
          [regular.colour ?? 0, colour],
          [regular.width ?? 0, width],
        ] as const) {
          expect(value).toBeGreaterThan(least * 0.97);
          expect(value).toBeLessThan(most * 1.03);
        }
      }
    }
  });

  test.each(heldBack.map((known) => [known[2], known] as const))(
    '%s, which texts are set in, is not unfit',
    (_, known) => {
      expect(verdict(known)).not.toBe('unfit');
    },
  );

  test('most of those that were held back are fit without a caveat', () => {
    const fit = heldBack.filter((known) => verdict(known) === 'fit');
    expect(fit.length / heldBack.length).toBeGreaterThan(0.75);
  });

  const loud = SCRIPT_FACES.filter(([, use, id]) => use === 'display' && !EVEN.has(id));
  test.each(loud.map((known) => [known[2], known] as const))(
    '%s, which is drawn for size, is not simply fit',
    (_, known) => {
      expect(verdict(known)).not.toBe('fit');
    },
  );

  test('heavy and hairline faces are unfit whatever they claim', () => {
    const unfit = [
      'lalezar',
      'rubik-dirt',
      'rozha-one',
      'chonburi',
      'dela-gothic-one',
      'black-han-sans',
    ];
    for (const id of unfit) {
      const known = SCRIPT_FACES.find((one) => one[2] === id);
      if (!known) throw new Error(`${id} was not measured`);
      expect([id, verdict(known)]).toEqual([id, 'unfit']);
    }
  });

  test('a reason names the height that the script goes by, and what is missing is of its languages', () => {
    const [suez] = SCRIPT_FACES.filter(([, , id]) => id === 'suez-one');
    if (!suez) throw new Error('It was not measured');
    const { drawn, offer } = fitness(suez, [{ style: 'normal', weightMin: 400, weightMax: 400 }]);
    expect(drawn.running.reasons[0]?.text).toBe(
      'heavy strokes, 0.30 of the letter height: they fill in',
    );
    // No italics are missing where the script has none.
    expect(offer).toEqual(['no bold: a browser thickens the regular']);
    expect(drawn.headings.verdict).toBe('fit');
  });

  test('large and light without a bold, it does not stand out in headings', () => {
    const [heebo] = SCRIPT_FACES.filter(([, , id]) => id === 'heebo');
    if (!heebo) throw new Error('It was not measured');
    const regular = [{ style: 'normal' as const, weightMin: 400, weightMax: 400 }];
    expect(fitness(heebo, regular).drawn.headings.verdict).toBe('caveat');
    expect(fitness(heebo).drawn.headings.verdict).toBe('fit');
  });
});
