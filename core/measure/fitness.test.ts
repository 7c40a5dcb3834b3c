import { describe, expect, test } from '@jest/globals';
import type { FaceClass } from '../document/vocabulary';
import { regularFace, type ListedFace } from './family';
import { familySheet } from './familySheet';
import { fitnessOf, type Fitness, type FitnessUse } from './fitness';
import { FITNESS_LIMITS, type FitnessLimit } from './fitnessLimits';
import { fitnessSentences, fitnessWord } from './fitnessWords';
import { bytesAt, fixed, measured, variable } from './testing/faces';

const FACES = [
  { style: 'normal' as const, weightMin: 400, weightMax: 700 },
  { style: 'italic' as const, weightMin: 400, weightMax: 700 },
];
const useAt = (size: number): FitnessUse => ({
  sizes: {
    running: { size, weight: 400 },
    short: { size: size * 0.83, weight: 400 },
    headings: { size: size * 1.7, weight: 700 },
  },
  languages: ['en'],
});
const judged = async (
  path: string,
  size = 17,
  claimed: FaceClass = 'serif',
  faces: readonly ListedFace[] = FACES,
): Promise<Fitness> => {
  const { measures } = await familySheet({ files: [bytesAt(path)], weight: 400 }, null);
  return fitnessOf({ measures: { ...measures, italic: 'drawn' }, faces, claimed }, useAt(size));
};

describe('fitness', () => {
  // Text faces by trade, among them sans serifs whose italic is missing or sloped.
  test.each([
    ...[
      'literata',
      'source-serif-4',
      'newsreader',
      'lora',
      'figtree',
      'public-sans',
      'manrope',
    ].map((id) => [id, variable(id), 'fit', 'running text']),
    ...['outfit', 'lexend', 'commissioner', 'onest', 'bricolage-grotesque', 'spline-sans'].map(
      (id) => [id, variable(id), 'fit', 'running text'],
    ),
    ['libre-baskerville', fixed('libre-baskerville'), 'fit', 'running text'],
    ['eb-garamond', variable('eb-garamond'), 'caveat', 'text, with care'],
    ['cardo', fixed('cardo'), 'caveat', 'text, with care'],
    ['fraunces', variable('fraunces'), 'caveat', 'text, with care'],
    ['barlow-condensed', fixed('barlow-condensed'), 'unfit', 'short text, headings'],
    ['jetbrains-mono', variable('jetbrains-mono'), 'unfit', 'code, headings'],
    ['space-mono', fixed('space-mono'), 'unfit', 'code, headings'],
    ['bodoni-moda', variable('bodoni-moda'), 'unfit', 'headings only'],
    ['cormorant', variable('cormorant'), 'unfit', 'headings only'],
    ['abril-fatface', fixed('abril-fatface'), 'unfit', 'headings only'],
    ['unbounded', variable('unbounded'), 'unfit', 'short text, headings'],
    ['anton', fixed('anton'), 'unfit', 'headings only'],
  ])('%s in running text', async (_id, path, verdict, word) => {
    const fitness = await judged(path);
    expect(fitness.drawn.running.verdict).toBe(verdict);
    expect(fitnessWord(fitness)).toBe(word);
    expect(fitness.drawn.headings.verdict).not.toBe('unfit');
  });

  test.each<[string, string, RegExp]>([
    ['bodoni-moda', variable('bodoni-moda'), /thin strokes of 0\.33 px at 17 px/],
    ['bungee', fixed('bungee'), /drawn as capitals/],
    ['space-mono', fixed('space-mono'), /same room/],
    ['anton', fixed('anton'), /condensed, letters 0\.61 x-heights wide/],
    ['krona-one', fixed('krona-one'), /wide, letters 1\.26 x-heights wide/],
    ['dancing-script', variable('dancing-script'), /leans by 17°/],
  ])('says why %s is not for running text', async (_id, path, reason) => {
    const said = fitnessSentences(await judged(path)).find((one) => /^Not for running/.test(one));
    expect(said).toMatch(reason);
  });

  test('hairlines are judged in px at the size that is set, not by their contrast', async () => {
    const at = async (size: number) => {
      const { verdict } = (await judged(variable('eb-garamond'), size)).drawn.running;
      return verdict;
    };
    expect([await at(12), await at(17), await at(26)]).toEqual(['unfit', 'caveat', 'fit']);
  });

  test('what is missing is told, and never makes a text face a heading face', async () => {
    const faces = [{ style: 'normal' as const, weightMin: 300, weightMax: 300 }];
    const { drawn, offer } = await judged(variable('literata'), 17, 'serif', faces);
    expect(drawn.running.verdict).toBe('fit');
    expect(offer).toEqual([
      'no regular: text takes the nearest weight',
      'no bold: a browser thickens the regular',
      'no italic: a browser slants the upright',
    ]);
    expect(regularFace(faces)).toBe(faces[0]);
  });

  test('an italic that is only a sloped roman, and languages that lack letters, are told', async () => {
    const { measures } = await familySheet(
      { files: [bytesAt(variable('archivo'))], weight: 400 },
      { files: [bytesAt(variable('archivo', 'italic'))], weight: 400 },
    );
    const use = { ...useAt(17), languages: ['en', 'el'] };
    expect(fitnessOf({ measures, faces: FACES, claimed: 'sans-serif' }, use).offer).toEqual([
      'its italic is the upright sloped',
      'letters missing for Greek',
    ]);
  });

  test('a claim to be a display face is a caveat', async () => {
    const plain = await judged(variable('comfortaa'), 17, 'sans-serif');
    const claimed = await judged(variable('comfortaa'), 17, 'display');
    expect([plain, claimed].map(({ drawn }) => drawn.running.verdict)).toEqual(['fit', 'caveat']);
  });

  test('each limit lies between the faces on either side of it', async () => {
    const all = (id: string, path: string) =>
      measured(path, { wght: 400 }).then((m) => [id, m] as const);
    const faces = new Map(
      await Promise.all([
        ...['eb-garamond', 'caveat', 'manrope', 'chivo', 'league-spartan', 'unbounded', 'lora'].map(
          (id) => all(id, variable(id)),
        ),
        ...['anton', 'barlow-condensed', 'krona-one', 'sorts-mill-goudy'].map((id) =>
          all(id, fixed(id)),
        ),
      ]),
    );
    const of = (id: string) => {
      const face = faces.get(id);
      if (!face) throw new Error(id);
      return face;
    };
    const [xHeight, colour, width] = FITNESS_LIMITS.running;
    const value = (limit: FitnessLimit | undefined, id: string) => limit?.value(of(id), 17) ?? 0;
    const order = (limit: FitnessLimit | undefined, ...at: (string | number)[]) => {
      const values = at.map((one) => (typeof one === 'number' ? one : value(limit, one)));
      expect(values).toEqual([...values].sort((a, b) => a - b));
    };
    order(xHeight, 'caveat', 0.37, 0.4, 'eb-garamond', 'lora', 0.6, 0.66, 'anton');
    order(colour, 0.13, 'manrope', 'chivo', 0.21, 'league-spartan', 0.25, 'krona-one');
    order(
      width,
      'barlow-condensed',
      0.8,
      0.86,
      'lora',
      'sorts-mill-goudy',
      1.13,
      1.16,
      'unbounded',
    );
    expect(
      [xHeight, colour, width].map((limit) => [...(limit?.bearable ?? []), ...(limit?.fit ?? [])]),
    ).toEqual([
      [0.37, 0.66, 0.4, 0.6],
      [0.11, 0.25, 0.13, 0.21],
      [0.8, 1.16, 0.86, 1.13],
    ]);
  });
});
