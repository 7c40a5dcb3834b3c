import { describe, expect, test } from '@jest/globals';
import { tuned } from '../testing/documents';
import { DEFAULT_AUDIENCE, sharesOf } from './audience';
import type { TunedCandidate } from './fallbackFace';
import { SCRIPTS } from '../script';
import {
  LOCAL_SETS,
  localCandidates,
  localSet,
  platformsOf,
  PLATFORMS,
  scriptCandidates,
  VARIANTS,
} from './localFonts';
import { ENOUGH, proposedStack } from './propose';
import { landings, meritOf, orderCandidates, orderRemarks, shareOf, tunedShare } from './reach';
import { readAudience } from './readAudience';
import type { StackEntry } from './stackEntry';

const ALPHABETS = ['latin', 'greek', 'cyrillic'];

const candidate = (local: string, mean: number): TunedCandidate => ({
  local,
  source: 'twin',
  faces: [tuned(400, 'normal', 1, mean)],
});
const over = (...locals: string[]): StackEntry[] => [
  { kind: 'web', name: 'Literata' },
  ...locals.map((local): StackEntry => ({ kind: 'fallback', name: `${local} face`, local })),
  { kind: 'local', name: 'Georgia' },
  { kind: 'generic', name: 'serif' },
];

describe('the table of local fonts', () => {
  const fonts = Object.values(LOCAL_SETS).flatMap((set) => set.fonts);
  /** Several scripts are in one font of a platform's: it is told once for each. */
  const byScript = () =>
    [...new Set(Object.values(LOCAL_SETS).map(({ script }) => script))].map((script) =>
      Object.values(LOCAL_SETS)
        .filter((set) => set.script === script)
        .flatMap((set) => set.fonts),
    );

  test('has thirty fonts and more, each with names for local() and the platforms that carry it', () => {
    expect(fonts.length).toBeGreaterThanOrEqual(30);
    expect(Object.values(LOCAL_SETS).filter(({ twin }) => twin).length).toBeGreaterThanOrEqual(20);
    for (const { name, localNames, platforms } of fonts) {
      expect({ name, regular: localNames.regular?.length ?? 0 }).toEqual({
        name,
        regular: expect.any(Number),
      });
      expect(localNames.regular?.length).toBeGreaterThan(0);
      expect(platforms.length).toBeGreaterThan(0);
    }
    for (const ofScript of byScript()) {
      expect(new Set(ofScript.map(({ name }) => name)).size).toBe(ofScript.length);
    }
  });

  test('names each style of each font once', () => {
    const namesIn = (some: typeof fonts) =>
      some.flatMap(({ localNames }) =>
        VARIANTS.flatMap((variant) => [...new Set(localNames[variant] ?? [])]),
      );
    for (const ofScript of byScript()) {
      expect(new Set(namesIn(ofScript)).size).toBe(namesIn(ofScript).length);
    }
    expect(namesIn(fonts)).toEqual(
      expect.arrayContaining(['Arial-BoldItalicMT', 'TimesNewRomanPSMT', 'Georgia Bold']),
    );
  });

  test('gathers fonts of equal advances, whose platforms come together', () => {
    expect(platformsOf('arial')).toEqual(['windows', 'macos', 'ios', 'chromeos', 'linux']);
    expect(localCandidates('monospace')).toContain('courier-new');
    expect(localCandidates('serif')).not.toContain('arial');
  });

  test.each(
    SCRIPTS.filter(({ body }) => body)
      .map(({ key }) => key)
      .filter((key) => !ALPHABETS.includes(key)),
  )(
    'has fonts of %s for Windows, Apple’s and Android’s platforms, those of a class first',
    (script) => {
      for (const generic of ['serif', 'sans-serif'] as const) {
        const candidates = scriptCandidates(script, generic);
        expect(localSet(candidates[0] ?? '')?.class).toBe(generic);
        expect(candidates.flatMap(platformsOf)).toEqual(
          expect.arrayContaining(['windows', 'android', 'linux']),
        );
      }
      expect(localCandidates('serif')).not.toEqual(
        expect.arrayContaining(scriptCandidates(script, 'serif')),
      );
    },
  );
});

describe('where visitors land', () => {
  test('on the first entry that their platform carries, and at the last on the generic', () => {
    const stack = over('georgia', 'noto-serif');
    const landed = landings(stack);
    const at = (platform: string) => landed.find((one) => one.platform === platform)?.entry;
    expect([at('windows'), at('android'), at('linux')]).toEqual([1, 2, 2]);
    expect(landed.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
    expect(at('windows')).not.toBe(4);
    expect(shareOf(landed, 4)).toBe(0);
    expect(tunedShare(stack)).toBeCloseTo(1, 10);
    expect(shareOf(landings(over('georgia')), 3)).toBeCloseTo(
      sharesOf().android + sharesOf().chromeos + sharesOf().linux,
      10,
    );
  });

  test('by the site’s own mix, in proportion', () => {
    expect(sharesOf({ windows: 3, ios: 1 })).toMatchObject({
      windows: 0.75,
      ios: 0.25,
      android: 0,
    });
    expect(sharesOf({})).toEqual(sharesOf(DEFAULT_AUDIENCE));
    expect(tunedShare(over('cambria'), { windows: 60, linux: 40 })).toBeCloseTo(0.6, 10);
  });
});

describe('what is proposed', () => {
  const all = [
    candidate('georgia', 0.013),
    candidate('times-new-roman', 0.02),
    candidate('noto-serif', 0.012),
    candidate('cambria', 0.008),
    candidate('pt-serif', 0.007),
  ];

  test('is the fewest that give enough of the audience a tuned face, the closest first', () => {
    expect(proposedStack(all)).toEqual(['noto-serif', 'georgia']);
    const stack = over(...proposedStack(all));
    expect(tunedShare(stack)).toBeGreaterThanOrEqual(ENOUGH);
    for (const local of proposedStack(all)) expect(tunedShare(over(local))).toBeLessThan(ENOUGH);
  });

  test('goes by the audience: one entry where one platform is all', () => {
    expect(proposedStack(all, { windows: 100 })).toEqual(['cambria']);
    expect(proposedStack(all, { macos: 100 })).toEqual(['pt-serif']);
    expect(proposedStack(all, { windows: 94, android: 6 })).toHaveLength(2);
    expect(proposedStack(all, { windows: 96, android: 4 })).toEqual(['cambria']);
  });

  test('reaches as many as it can where enough cannot be had, and nobody with nothing', () => {
    expect(proposedStack([candidate('cambria', 0.01)])).toEqual(['cambria']);
    expect(proposedStack([])).toEqual([]);
  });
});

describe('the order of candidates', () => {
  test('is fit × reach: a closer font that fewer have may stand behind', () => {
    const [georgia, cambria, pt] = [
      candidate('georgia', 0.012),
      candidate('cambria', 0.011),
      candidate('pt-serif', 0.004),
    ];
    expect(orderCandidates([pt, cambria, georgia]).map(({ local }) => local)).toEqual([
      'georgia',
      'cambria',
      'pt-serif',
    ]);
    expect(meritOf(georgia, { windows: 1 })).toBeLessThan(meritOf(cambria, { windows: 1 }));
  });
});

describe('the order of a stack', () => {
  test('matters where an earlier entry serves the platforms of a later one', () => {
    expect(orderRemarks(over('georgia', 'noto-serif'))).toEqual([]);
    expect(orderRemarks(over('georgia', 'cambria'))).toEqual([
      { entry: 2, shadows: [{ entry: 1, platforms: ['windows'] }], unreached: false },
    ]);
    expect(orderRemarks(over('georgia', 'noto-serif', 'cambria'))).toEqual([
      {
        entry: 3,
        shadows: [
          { entry: 1, platforms: ['windows'] },
          { entry: 2, platforms: ['chromeos'] },
        ],
        unreached: true,
      },
    ]);
  });
});

describe('a mix of platforms from CSV', () => {
  test('is read with headings, signs and decimal commas', () => {
    expect(
      readAudience('platform,share\nWindows,40\nmacOS,10\niOS,20\nAndroid,30').audience,
    ).toEqual({ windows: 40, macos: 10, ios: 20, android: 30 });
    expect(readAudience('Windows;62,5 %\nAndroid;37,5 %')).toEqual({
      audience: { windows: 62.5, android: 37.5 },
      notes: [],
    });
    // Counts with their thousands parted, and a first line whose figure is none.
    expect(readAudience('"Windows","1,234"\n"Android","3,702"').audience).toEqual({
      windows: 25,
      android: 75,
    });
    expect(readAudience('Windows;1.234.000\nAndroid;3.702.000').audience).toEqual({
      windows: 25,
      android: 75,
    });
    expect(readAudience('Windows;1,5\nAndroid;4,5').audience).toEqual({ windows: 25, android: 75 });
    expect(readAudience('iOS,about 20\nWindows,40\nAndroid,60').notes).toEqual([
      'Line 1 was passed over: “about 20” is not a share.',
    ]);
    expect(readAudience('platform,share\nWindows,40\nAndroid,60').notes).toEqual([]);
    expect(readAudience('"Windows","62,5"\n"Android","37,5"').audience).toEqual({
      windows: 62.5,
      android: 37.5,
    });
    expect(readAudience('Windows\t0.25\niOS\t0.75').audience).toEqual({ windows: 25, ios: 75 });
  });

  test('that does not come to 100 is taken in proportion, and said to be', () => {
    const { audience, notes } = readAudience('Windows,30\nAndroid,30');
    expect(audience).toEqual({ windows: 50, android: 50 });
    expect(notes.join()).toContain('add up to 60');
  });

  test('leaves out platforms that are not known, with how much that is', () => {
    const { audience, notes } = readAudience('Windows,60\nToaster,40\nAndroid,x');
    expect(audience).toEqual({ windows: 100 });
    expect(notes.join(' ')).toContain('Toaster');
    expect(notes.join(' ')).toContain('40 of the shares');
    expect(notes.join(' ')).toContain('“x” is not a share');
  });

  test.each(['', 'no;thing', 'Toaster,100', 'Windows,-4', 'x'.repeat(200_000)])(
    'that has nothing to use is refused with what is expected',
    (csv) => {
      expect(() => readAudience(csv)).toThrow(RangeError);
    },
  );

  test('never reads more platforms than there are', () => {
    const { audience } = readAudience('Windows,10\nwin,10\nMac OS X,20\nIPHONE,60');
    expect(
      Object.keys(audience).every((key) => (PLATFORMS as readonly string[]).includes(key)),
    ).toBe(true);
    expect(audience).toEqual({ windows: 20, macos: 20, ios: 60 });
  });
});
