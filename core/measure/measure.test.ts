import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { familySheet } from './familySheet';
import { classesDisagree, classDrawn, measuredClass, slabReadings } from './measuredClass';
import { measureFace } from './measureFace';
import { bytesAt, fixed, measured, opened, variable } from './testing/faces';
import { italicDifferences, italicKind } from './trueItalic';

const golden = JSON.parse(
  readFileSync(join(process.cwd(), 'core/font/golden/readings.json'), 'utf8'),
) as {
  measures: {
    file: string;
    location: Record<string, number>;
    xHeight: number;
    capHeight: number;
    ascender: number;
    descender: number;
    advances: Record<string, number>;
  }[];
};

const pathOf = (file: string) =>
  join(process.cwd(), file.startsWith('@') ? 'node_modules' : '', file);
const GOLDEN = 'core/font/golden';

describe('heights and advances agree with an independent implementation', () => {
  test('on at least forty faces', () => {
    expect(golden.measures.length).toBeGreaterThanOrEqual(40);
  });

  test.each(golden.measures)('$file at $location', async ({ file, location, ...expected }) => {
    const measures = await measured(pathOf(file), location);
    for (const key of ['xHeight', 'capHeight', 'ascender', 'descender'] as const) {
      expect(Math.abs((measures[key] ?? 9) - expected[key])).toBeLessThan(0.002);
    }
    const face = await opened(pathOf(file), location);
    for (const [letter, advance] of Object.entries(expected.advances)) {
      expect(Math.abs(face.advance(letter) - advance)).toBeLessThan(0.002);
    }
  });
});

describe('measures of faces whose answer is known', () => {
  test.each<[string, string, string]>([
    ['a slab', fixed('zilla-slab'), 'slab serif'],
    ['a slab redrawn as CFF', pathOf(`${GOLDEN}/tarnholm-slab.otf`), 'slab serif'],
    ['another slab', variable('bitter'), 'slab serif'],
    ['an oldstyle', variable('eb-garamond'), 'serif'],
    ['hairline serifs', variable('bodoni-moda'), 'serif'],
    ['a grotesque', variable('archivo'), 'sans serif'],
    ['a geometric sans with a tail on its l', variable('urbanist'), 'sans serif'],
    ['a humanist sans', fixed('alegreya-sans'), 'sans serif'],
    ['a monospaced sans, whose l has feet', variable('jetbrains-mono'), 'monospaced'],
  ])('%s is drawn as one', async (_what, path, expected) => {
    expect(measuredClass(await measured(path, { wght: 400 }))).toBe(expected);
  });

  test.each<[string, string, number, number]>([
    ['hairlines', fixed('gloock'), 9, 20],
    ['hairlines in CFF', pathOf(`${GOLDEN}/tarnholm-hairline.otf`), 9, 20],
    ['an oldstyle', variable('source-serif-4'), 1.5, 2.5],
    ['strokes of one thickness', variable('urbanist'), 1, 1.05],
  ])('contrast of %s', async (_what, path, least, most) => {
    const { contrast } = await measured(path, { wght: 400 });
    expect(contrast).toBeGreaterThanOrEqual(least);
    expect(contrast).toBeLessThanOrEqual(most);
  });

  test('an outline redrawn as CFF measures as its original', async () => {
    const [original, redrawn] = [
      await measured(fixed('gloock')),
      await measured(pathOf(`${GOLDEN}/tarnholm-hairline.otf`)),
    ];
    for (const key of [
      'stem',
      'thin',
      'thick',
      'width',
      'foot',
      'aperture',
      'squareness',
    ] as const) {
      expect(Math.abs((original[key] ?? 0) - (redrawn[key] ?? 9))).toBeLessThan(0.02);
    }
  });

  test('monospaced, unicase, heavy, condensed', async () => {
    expect((await measured(fixed('space-mono'))).monospaced).toBe(true);
    expect((await measured(variable('archivo'))).monospaced).toBe(false);
    expect((await measured(fixed('bungee'))).lowerCase).toBe('capitals');
    // Narrow and heavy, its forms are near its capitals', but it has a lower case of its own.
    expect((await measured(fixed('anton'))).lowerCase).toBe('own');
    expect((await measured(fixed('anton'))).colour).toBeGreaterThan(0.22);
    expect((await measured(fixed('barlow-condensed'))).width).toBeLessThan(0.8);
    expect((await measured(fixed('krona-one'))).width).toBeGreaterThan(1.2);
  });

  test('the stem grows along the weight axis, the x-height hardly', async () => {
    const points = await Promise.all(
      [200, 400, 700, 900].map((wght) => measured(variable('literata'), { wght })),
    );
    const stems = points.map(({ stem }) => stem ?? 0);
    expect(stems).toEqual([...stems].sort((a, b) => a - b));
    expect((stems[3] ?? 0) / (stems[0] ?? 1)).toBeGreaterThan(2);
    expect(Math.abs((points[0]?.xHeight ?? 0) - (points[3]?.xHeight ?? 9))).toBeLessThan(0.03);
  });

  test('slope of an italic and of an upright', async () => {
    expect((await measured(variable('public-sans', 'italic'))).slope).toBeGreaterThan(6);
    expect(Math.abs((await measured(variable('public-sans'))).slope)).toBeLessThan(0.5);
  });

  test('figures as they stand and as they can be had', async () => {
    expect((await measured(variable('alegreya'))).figures).toEqual({
      spacing: 'proportional',
      form: 'old-style',
      offers: expect.arrayContaining(['proportional', 'old-style', 'tabular', 'lining']) as unknown,
    });
    expect((await measured(variable('hanken-grotesk'))).figures).toMatchObject({
      spacing: 'tabular',
      form: 'lining',
    });
    expect((await measured(pathOf(`${GOLDEN}/tarnholm-test.otf`))).figures).toBeNull();
  });

  test('small capitals count when the feature draws them', async () => {
    const face = await opened(pathOf(`${GOLDEN}/tarnholm-small-caps.otf`));
    expect(face.glyphs('x', ['smcp'])).not.toEqual(face.glyphs('x'));
    expect((await measured(variable('literata'))).smallCaps).toBe(false);
  });

  test('a face without the letters has no measures, and says so', async () => {
    const greek = join(
      process.cwd(),
      'node_modules/@fontsource-variable/literata/files/literata-greek-wght-normal.woff2',
    );
    const measures = await measureFace(bytesAt(greek));
    expect(measures).toMatchObject({
      xHeight: null,
      stem: null,
      contrast: null,
      lowerCase: 'none',
    });
    expect(measuredClass(measures)).toBeNull();
    expect(classDrawn(measures)).toBe('display');
  });
});

describe('the class claimed and the class drawn', () => {
  test('disagree where outlines contradict, not where they cannot tell', async () => {
    const slab = measuredClass(await measured(fixed('zilla-slab')));
    expect(classesDisagree('serif', slab)).toBe(false);
    expect(classesDisagree('sans-serif', slab)).toBe(true);
    expect(classesDisagree('display', slab)).toBe(false);
    expect(measuredClass(await measured(variable('caveat')))).toBeNull();
  });
});

describe('italics', () => {
  test.each([
    ['literata', 'drawn'],
    ['eb-garamond', 'drawn'],
    ['victor-mono', 'drawn'],
    ['urbanist', 'sloped'],
    ['archivo', 'sloped'],
    ['public-sans', 'sloped'],
  ])('of %s are %s', async (id, kind) => {
    const at = { wght: 400 };
    const differences = italicDifferences(
      await opened(variable(id), at),
      await opened(variable(id, 'italic'), at),
    );
    expect(italicKind(differences)).toBe(kind);
  });

  test('differ most in the letters that change their form', async () => {
    const [first, second, third] = italicDifferences(
      await opened(variable('archivo'), { wght: 400 }),
      await opened(variable('archivo', 'italic'), { wght: 400 }),
    );
    expect([first?.letter, second?.letter, third?.letter]).toEqual(['f', 'g', 'a']);
  });
});

describe('slab serifs', () => {
  // How far each known face lies from the limits: feet 0.55 stems, growth 1.3, contrast 1.6.
  test.each([
    ['zilla-slab', fixed('zilla-slab'), 'slab serif', [0.81, 1, 1.23]],
    ['bitter', variable('bitter'), 'slab serif', [0.61, 1.17, 1.4]],
    ['alegreya', variable('alegreya'), 'serif', [0.6, 1.3, 1.96]],
    ['literata', variable('literata'), 'serif', [0.56, 1.2, 1.79]],
    ['source-serif-4', variable('source-serif-4'), 'serif', [0.56, 1.07, 1.88]],
    ['crimson-pro', variable('crimson-pro'), 'serif', [0.56, 1.17, 1.99]],
    ['lora', variable('lora'), 'serif', [0.37, 1.38, 2.66]],
    ['noto-serif', fixed('noto-serif'), 'serif', [0.46, 1.47, 1.83]],
  ])('%s', async (_id, path, expected, values) => {
    const measures = await measured(path, { wght: 400 });
    expect(measuredClass(measures)).toBe(expected);
    const readings = slabReadings(measures);
    expect(readings.map(({ limit }) => limit)).toEqual([0.55, 1.3, 1.6]);
    readings.forEach(({ value }, i) =>
      expect(Math.abs(value - (values[i] ?? 0))).toBeLessThan(0.011),
    );
  });

  test('a capital with bars is no slab: Bungee', async () => {
    expect(measuredClass(await measured(fixed('bungee')))).toBe('sans serif');
    expect(slabReadings(await measured(fixed('bungee')))).toEqual([]);
  });
});

describe('a family', () => {
  test('is read on its regular and its italic, over all its files', async () => {
    const files = ['latin', 'latin-ext', 'greek'].map((script) =>
      bytesAt(
        join(
          process.cwd(),
          `node_modules/@fontsource-variable/literata/files/literata-${script}-wght-normal.woff2`,
        ),
      ),
    );
    const sheet = await familySheet(
      { files, weight: 400 },
      { files: [bytesAt(variable('literata', 'italic'))], weight: 400 },
    );
    const latin = await familySheet({ files: files.slice(0, 1), weight: 400 }, null);
    expect(sheet.measures.italic).toBe('drawn');
    expect(sheet.measures.languages).toEqual(expect.arrayContaining(['is', 'el', 'pl']));
    expect(latin.measures.languages).toContain('is');
    expect(latin.measures.languages).not.toContain('el');
    expect(latin.measures.italic).toBeNull();
    expect(sheet.measures.characters).toBeGreaterThan(latin.measures.characters);
    expect(sheet.reading.family).toBe('Literata');
  });
});
