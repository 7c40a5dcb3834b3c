import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { type FaceReading } from '../font';
import { readFace, Shaper } from '../font/file';
import { readAdvances, SPACE, type LocalAdvances } from './advances';
import { CompositeShaper } from './compositeShaper';
import { defaultFitting, type Fitting } from './fitting';
import { tuneFallback, WebWidths, type TunedFace } from './tune';
import {
  countWords,
  judgedSentences,
  tuningTextOf,
  wordsOf,
  type JudgedText,
  type TextKind,
  type TuningText,
} from './tuningText';

const file = (path: string) => new Uint8Array(readFileSync(`node_modules/${path}`));
const LITERATA = '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2';
const GEORGIA = '@fontsource/gelasio/files/gelasio-latin-400-normal.woff2';

const TEXT = ['log-entry', 'home', 'stay']
  .map((page) => readFileSync(`sample/pages/${page}.html`, 'utf8'))
  .join(' ')
  .replace(/<[^>]+>/g, ' ');

let web: CompositeShaper;
let local: CompositeShaper;
let metrics: FaceReading;
let text: TuningText;
let georgia: LocalAdvances;

const advancesOf = (shaper: CompositeShaper, of: TuningText): LocalAdvances => ({
  ...readAdvances(shaper, [...of.tuning.keys(), ...judgedSentences(of).flatMap(wordsOf)]),
  colour: null,
  lines: { ascent: 0.9, descent: -0.2, lineGap: 0 },
});

const tuned = (
  change: Partial<Fitting> = {},
  over: LocalAdvances = georgia,
  on: TuningText = text,
): TunedFace => {
  const face = tuneFallback(
    { widths: new WebWidths(web), lines: metrics },
    over,
    { weight: 400, slant: 'normal', variant: 'regular' },
    on,
    { ...defaultFitting(true), target: 0, ...change },
  );
  if (!face) throw new Error('nothing was tuned');
  return face;
};

beforeAll(async () => {
  web = new CompositeShaper([await Shaper.open(file(LITERATA), { wght: 400 })]);
  local = new CompositeShaper([await Shaper.open(file(GEORGIA))]);
  metrics = await readFace(file(LITERATA));
  text = tuningTextOf(TEXT, []);
  georgia = advancesOf(local, text);
});

describe('tuning one face', () => {
  test('with one ratio, makes the words as wide in sum as in the web face', () => {
    const { parts } = tuned({ groups: 1, space: false });
    expect(parts).toEqual([{ ratio: expect.any(Number), unicodeRange: null }]);
    let [webSum, localSum] = [0, 0];
    for (const [word, count] of text.tuning) {
      const [w, l] = [web.advance(word), local.advance(word)];
      if (w === null || l === null) continue;
      webSum += w * count;
      localSum += l * count * (parts[0]?.ratio ?? 0);
    }
    expect(localSum / webSum).toBeCloseTo(1, 3);
  });

  test('gives the space a ratio of its own, which is exact', () => {
    const { parts } = tuned();
    const space = parts.at(-1);
    expect(space?.unicodeRange).toBe('U+20, U+A0');
    expect((space?.ratio ?? 0) * (local.advance(SPACE) ?? 0)).toBeCloseTo(
      web.advance(SPACE) ?? 0,
      4,
    );
  });

  test('comes nearer with each group, and as near as one group in ten of a ratio for each letter', () => {
    const { steps, each, one, untuned, fit } = tuned();
    expect(steps.length).toBeGreaterThanOrEqual(4);
    for (let k = 1; k < 4; k++) expect(steps[k]).toBeLessThan(steps[k - 1] ?? 0);
    expect(steps.at(-1)).toBeLessThan(each * 1.1);
    expect(fit.mean).toBeLessThan(one.mean * 0.6);
    expect(one.mean).toBeLessThan(untuned.mean);
  });

  test('keeps running lines within half a per cent, where one ratio leaves two', () => {
    const { fit, one } = tuned();
    expect(fit.lines.width).toBeLessThan(0.005);
    expect(Math.abs(fit.lines.bias)).toBeLessThan(0.003);
    expect(one.lines.width).toBeGreaterThan(0.015);
  });

  test.each([0.02, 0.06, 0.1])('holds every letter within ±%d of the mean', (evenness) => {
    const { unevenness, fit } = tuned({ evenness });
    expect(unevenness).toBeLessThanOrEqual(evenness + 0.0005);
    expect(unevenness).toBeGreaterThan(evenness * 0.8);
    if (evenness > 0.02) expect(fit.mean).toBeLessThan(tuned({ evenness: 0.02 }).fit.mean);
  });

  test('makes no more groups than the target takes', () => {
    const loose = tuned({ target: 0.02 });
    const close = tuned({ target: 0.001 });
    expect(loose.steps.length).toBeLessThan(close.steps.length);
    expect(loose.parts.length).toBeLessThan(close.parts.length);
  });

  test('gives every part the line box of the web face', () => {
    const { box } = tuned();
    expect(box.ascent * metrics.unitsPerEm).toBeCloseTo(metrics.ascent, 8);
    expect(box.descent * metrics.unitsPerEm).toBeCloseTo(metrics.descent, 8);
    expect(box.lineGap * metrics.unitsPerEm).toBeCloseTo(metrics.lineGap, 8);
  });

  test('tells where the baseline stands without overrides, when the local font’s own lines are known', () => {
    const { box, parts, baselineAside } = tuned({ groups: 1, space: false });
    const middle = (box.ascent + box.descent) / 2;
    expect(baselineAside).toBeCloseTo(0.35 * (parts[0]?.ratio ?? 0) - middle, 8);
    expect(tuned({}, { ...georgia, lines: null }).baselineAside).toBeNull();
  });

  test('of a face to itself is exact, and names what the local font lacks', () => {
    const own = tuningTextOf('Light in order. The tide λ₂ is small. Light in order.', []);
    const face = tuned({ groups: 1 }, advancesOf(web, own), own);
    expect(face.parts.map(({ ratio }) => ratio)).toEqual([1, 1]);
    expect(face.fit.mean).toBeCloseTo(0, 8);
    expect(face.missing).toEqual(['λ', '₂']);
  });

  test('sets each character in no more than one named part, and all others in the first', () => {
    const named = tuned()
      .parts.slice(1, -1)
      .flatMap(({ unicodeRange }) => (unicodeRange ?? '').split(', '));
    expect(new Set(named).size).toBe(named.length);
    expect(tuned().parts.filter(({ unicodeRange }) => unicodeRange === null)).toHaveLength(1);
  });
});

describe('the figures of a tuning', () => {
  const kind = (name: TextKind, sentences: string[]): JudgedText => ({
    kind: name,
    language: name === 'copy' ? null : 'en',
    sentences,
  });
  const judgedBy = (judged: JudgedText[]) => {
    const on = { tuning: text.tuning, judged };
    return tuned({}, advancesOf(local, on), on);
  };
  const copy = kind('copy', ['The keepers kept the lamp.']);
  const names = kind('names', ['Iceland', 'Norway', 'Faroe Islands']);

  test('are of each kind of text, which count alike however long they are', () => {
    const { kinds, fit, words } = judgedBy([copy, names]);
    expect(kinds.map(({ kind: name, words: many }) => [name, many])).toEqual([
      ['copy', 5],
      ['names', 4],
    ]);
    expect(words).toBe(9);
    const [a, b] = kinds.map(({ mean }) => mean);
    expect(fit.mean).toBeCloseTo(((a ?? 0) + (b ?? 0)) / 2, 12);
    const longer = kind(
      'copy',
      Array.from({ length: 20 }, () => copy.sentences[0] ?? ''),
    );
    expect(judgedBy([longer, names]).fit.mean).toBeCloseTo(fit.mean, 12);
  });

  test('are of running text alone where they are of lines', () => {
    expect(judgedBy([copy, names]).fit.lines).toEqual(judgedBy([copy]).fit.lines);
  });

  test('leave out a kind that neither face can set', () => {
    const { kinds } = judgedBy([copy, kind('names', ['Ελλάδα', '日本'])]);
    expect(kinds.map(({ kind: name }) => name)).toEqual(['copy']);
  });
});

describe('what cannot be tuned', () => {
  const attempt = (over: LocalAdvances, on: TuningText) =>
    tuneFallback(
      { widths: new WebWidths(web), lines: metrics },
      over,
      { weight: 400, slant: 'normal', variant: 'regular' },
      on,
      defaultFitting(true),
    );

  test('a text in a script that neither face has gives nothing', () => {
    const foreign = tuningTextOf('光は島にある。海は荒れる。', []);
    expect(attempt(advancesOf(local, foreign), foreign)).toBeNull();
  });

  test('a local font without widths gives nothing', () => {
    const zero = Object.fromEntries(Object.keys(georgia.advances).map((key) => [key, 0]));
    expect(attempt({ ...georgia, advances: zero, pairs: {} }, text)).toBeNull();
  });
});

describe('a web face of several files', () => {
  test('is cut where the file changes, and each piece is shaped by itself', async () => {
    const [latin, greek] = await Promise.all(
      ['latin', 'greek'].map((script) =>
        Shaper.open(file(LITERATA.replace('latin', script)), { wght: 400 }),
      ),
    );
    if (!latin || !greek) throw new Error('no files');
    const both = new CompositeShaper([latin, greek]);
    expect(both.advance('Tide λμ')).toBeCloseTo(latin.advance('Tide ') + greek.advance('λμ'), 10);
    expect(both.advance('To')).toBeCloseTo(latin.advance('To'), 10);
    expect(both.advance('To')).toBeLessThan(latin.advance('T') + latin.advance('o'));
    expect(both.advance('光')).toBeNull();
  });
});

describe('the advances of a local font', () => {
  test('and what pairs add come to what the font sets, word by word', () => {
    for (const word of [...countWords([TEXT]).keys()].slice(0, 400)) {
      const characters = [...word];
      if (characters.some((one) => georgia.advances[one] === undefined)) continue;
      const sum = characters.reduce(
        (width, one, i) =>
          width +
          (georgia.advances[one] ?? 0) +
          (georgia.pairs[one + (characters[i + 1] ?? '')] ?? 0),
        0,
      );
      expect(sum / (local.advance(word) ?? 1)).toBeCloseTo(1, 2);
    }
  });
});

describe('Shaper', () => {
  test('reads a variable face at a weight, kerning and ligatures on', async () => {
    const at = async (wght: number) =>
      (await Shaper.open(file(LITERATA), { wght })).advance('Hamburg');
    const [light, bold] = await Promise.all([at(200), at(900)]);
    expect(bold).toBeGreaterThan(light * 1.05);
  });
});
