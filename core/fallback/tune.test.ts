import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { type FaceReading } from '../font';
import { readFace, Shaper } from '../font/file';
import { splitTuningText, type TuningText } from './tuningText';
import { CompositeShaper, tuneFallback } from './tune';

const file = (path: string) => new Uint8Array(readFileSync(`node_modules/${path}`));
const LITERATA = '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2';
const GEORGIA = '@fontsource/gelasio/files/gelasio-latin-400-normal.woff2';

const TEXT = [
  readFileSync('sample/pages/log-entry.html', 'utf8'),
  readFileSync('sample/pages/home.html', 'utf8'),
]
  .join(' ')
  .replace(/<[^>]+>/g, ' ');

describe('splitTuningText', () => {
  test('puts every other sentence aside, and counts words', () => {
    const { tuning, heldOut } = splitTuningText('The light. The sea is up. The light is out.');
    expect([...tuning]).toEqual([
      ['The', 2],
      ['light.', 1],
      ['light', 1],
      ['is', 1],
      ['out.', 1],
    ]);
    expect([...heldOut.keys()]).toEqual(['The', 'sea', 'is', 'up.']);
  });
});

describe('tuneFallback', () => {
  let web: CompositeShaper;
  let local: CompositeShaper;
  let metrics: FaceReading;
  let text: TuningText;

  beforeAll(async () => {
    web = new CompositeShaper([await Shaper.open(file(LITERATA), { wght: 400 })]);
    local = new CompositeShaper([await Shaper.open(file(GEORGIA))]);
    metrics = await readFace(file(LITERATA));
    text = splitTuningText(TEXT);
  });

  test('makes the words of the tuning text as wide in sum as in the web face', () => {
    const result = tuneFallback(web, metrics, local, text);
    let webSum = 0;
    let localSum = 0;
    for (const [word, count] of text.tuning) {
      const [w, l] = [web.advance(word), local.advance(word)];
      if (w === null || l === null) continue;
      webSum += w * count;
      localSum += l * count * (result?.sizeAdjust ?? 0);
    }
    expect(localSum / webSum).toBeCloseTo(1, 10);
  });

  test('keeps the line box of the web face', () => {
    const result = tuneFallback(web, metrics, local, text);
    const { sizeAdjust = 0, ascentOverride = 0, descentOverride = 0 } = result ?? {};
    expect(ascentOverride * sizeAdjust * metrics.unitsPerEm).toBeCloseTo(metrics.ascent, 8);
    expect(descentOverride * sizeAdjust * metrics.unitsPerEm).toBeCloseTo(-metrics.descent, 8);
  });

  test('brings held-out words within the few per cent that one ratio can reach', () => {
    const result = tuneFallback(web, metrics, local, text);
    expect(result?.words).toBeGreaterThan(500);
    expect(result?.meanError).toBeLessThan(0.048);
    expect(result?.p95Error).toBeGreaterThan(result?.meanError ?? 1);
    expect(result?.untunedError).toBeGreaterThan(result?.meanError ?? 1);
  });

  test('of a face to itself is exact, and names what the local font lacks', () => {
    const withGreek = splitTuningText('Light in order. The tide λ₂ is small. Light in order.');
    const result = tuneFallback(local, metrics, local, withGreek);
    expect(result?.sizeAdjust).toBe(1);
    expect(result?.meanError).toBe(0);
    expect(result?.missing).toEqual(['λ', '₂']);
  });

  test('gives nothing where the two fonts have no word in common', () => {
    expect(tuneFallback(web, metrics, local, splitTuningText('λμν. ρσφ.'))).toBeNull();
  });
});

describe('Shaper', () => {
  test('reads a variable face at a weight, kerning and ligatures on', async () => {
    const at = async (wght: number) =>
      (await Shaper.open(file(LITERATA), { wght })).advance('Hamburg');
    const [light, bold] = await Promise.all([at(200), at(900)]);
    expect(bold).toBeGreaterThan(light * 1.05);
    const shaper = await Shaper.open(file(LITERATA));
    const apart = shaper.advance('T') + shaper.advance('o');
    expect(shaper.advance('To')).toBeLessThan(apart);
  });
});
