import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Shaper } from '../font/file';
import { SCRIPTS, scriptOf } from '../script';
import { besideSize } from './besideSize';
import { measuresInScript } from './inScript';
import { measureFace } from './measureFace';
import { scriptMeasures } from './scriptMeasures';

const file = (path: string): Uint8Array =>
  new Uint8Array(readFileSync(join(process.cwd(), 'node_modules', path)));
const variable = (id: string, script: string): Uint8Array =>
  file(`@fontsource-variable/${id}/files/${id}-${script}-wght-normal.woff2`);
const regular = (id: string, script: string): Uint8Array =>
  file(`@fontsource/${id}/files/${id}-${script}-400-normal.woff2`);
const measured = async (bytes: Uint8Array, script: string) =>
  scriptMeasures(await Shaper.open(bytes, { wght: 400 }))[script];

describe('what a face measures in a script', () => {
  test.each([
    // Read off the outlines in a font editor's way: tops of the letters that each script is measured on, in em.
    ['noto-serif-hebrew', 'hebrew', 0.647],
    ['noto-naskh-arabic', 'arabic', 0.34],
    ['noto-serif-armenian', 'armenian', 0.502],
    ['noto-serif-georgian', 'georgian', 0.548],
  ])('%s: the height that carries the eye in %s', async (id, script, height) => {
    expect((await measured(variable(id, script), script))?.height).toBeCloseTo(height, 3);
  });

  test('below the head line, not over it', async () => {
    const face = await Shaper.open(variable('noto-serif-devanagari', 'devanagari'), { wght: 400 });
    const own = scriptMeasures(face)['devanagari'];
    const top = face.inkBox('न')?.top ?? 0;
    expect(own?.height).toBeLessThan(top - 0.04);
    expect(own?.height).toBeGreaterThan(top - 0.15);
  });

  test('an ideograph fills most of its square, and all are as wide as the em', async () => {
    const own = await measured(regular('sawarabi-mincho', 'japanese'), 'japanese');
    expect(own?.height).toBeGreaterThan(0.8);
    expect(own?.height).toBeLessThan(0.95);
    expect(own?.advance).toBe(1);
  });

  test('marks reach higher and lower than the letters', async () => {
    const own = await measured(variable('noto-naskh-arabic', 'arabic'), 'arabic');
    expect(own?.top).toBeGreaterThan(1);
    expect(own?.bottom).toBeLessThan(-0.5);
  });

  test('a face is measured in the scripts that it can set, and in no other', async () => {
    const scripts = async (bytes: Uint8Array) =>
      Object.keys(scriptMeasures(await Shaper.open(bytes))).sort();
    expect(await scripts(regular('biz-udpgothic', 'japanese'))).toEqual(['japanese', 'latin']);
    expect(await scripts(variable('rubik', 'hebrew'))).toEqual(['hebrew']);
    expect(await scripts(regular('gowun-dodum', 'korean'))).toEqual(['korean', 'latin']);
  });

  test('every script with a height has letters that its own pattern knows', () => {
    for (const { key, body, has, reaches, sentence, stroke } of SCRIPTS) {
      if (!body) continue;
      for (const letter of [...body.letters, stroke])
        expect([key, has.test(letter)]).toEqual([key, true]);
      expect([key, [...sentence].some((one) => has.test(one))]).toEqual([key, true]);
      expect([key, [...reaches].every((one) => has.test(one))]).toEqual([key, true]);
    }
  });
});

/**
 * Families whose Latin and whose other letters are by one hand: the size at which both look alike is their own. Those
 * of the second list were not looked at while `againstX` was set.
 */
const ONE_HAND: readonly (readonly [id: string, script: string, at?: 'static'])[] = [
  ['noto-serif-hebrew', 'hebrew'],
  ['heebo', 'hebrew'],
  ['noto-serif-devanagari', 'devanagari'],
  ['martel', 'devanagari', 'static'],
  ['noto-serif-bengali', 'bengali'],
  ['catamaran', 'tamil'],
  ['noto-serif-thai', 'thai'],
  ['noto-serif-georgian', 'georgian'],
  ['noto-serif-armenian', 'armenian'],
  ['sawarabi-mincho', 'japanese', 'static'],
  ['gowun-batang', 'korean', 'static'],
];
const KEPT_BACK: typeof ONE_HAND = [
  ['noto-sans-devanagari', 'devanagari'],
  ['noto-sans-armenian', 'armenian'],
  ['noto-sans-georgian', 'georgian'],
  ['cactus-classical-serif', 'chinese-traditional', 'static'],
];
/** A script's own letters may be this much larger or smaller than is usual beside its Latin. */
const WITHIN = 0.16;

describe('the size beside another family', () => {
  const sizeOf = async ([id, script, at]: (typeof ONE_HAND)[number]) => {
    const bytes = (of: string) => (at ? regular(id, of) : variable(id, of));
    const latin = await measureFace(bytes('latin'), { wght: 400 });
    const scripts = scriptMeasures(await Shaper.open(bytes(script), { wght: 400 }));
    return besideSize({ regular: latin }, { scripts }, script);
  };

  test.each([...ONE_HAND, ...KEPT_BACK])('is near its own for %s in %s', async (...one) => {
    const size = await sizeOf(one);
    expect(size).toBeGreaterThan(1 - WITHIN);
    expect(size).toBeLessThan(1 + WITHIN);
  });

  test('is larger for a face drawn small, and none where nothing is measured', () => {
    const latin = { regular: { xHeight: 0.5 } } as Parameters<typeof besideSize>[0];
    const scripts = (height: number | null) => ({
      scripts: { hebrew: { height, thin: 0.05, thick: 0.1, advance: 0.5, top: 1, bottom: 0 } },
    });
    const against = scriptOf('hebrew')?.body?.againstX ?? 0;
    expect(besideSize(latin, scripts(against * 0.5), 'hebrew')).toBe(1);
    expect(besideSize(latin, scripts(against * 0.4), 'hebrew')).toBe(1.25);
    expect(besideSize(latin, scripts(null), 'hebrew')).toBeNull();
    expect(besideSize(latin, scripts(0.6), 'arabic')).toBeNull();
  });
});

test('in a script a family measures what its letters there do', async () => {
  const scripts = scriptMeasures(await Shaper.open(variable('noto-naskh-arabic', 'arabic')));
  const latin = await measureFace(variable('noto-naskh-arabic', 'latin'));
  const family = {
    regular: latin,
    weights: [],
    italic: null,
    languages: ['ar'],
    scripts,
    characters: 10,
  };
  const { regular: there } = measuresInScript(family, 'arabic');
  expect(there.xHeight).toBe(scripts['arabic']?.height);
  expect(there.contrast).toBeCloseTo(
    (scripts['arabic']?.thick ?? 0) / (scripts['arabic']?.thin ?? 1),
    3,
  );
  expect(there.aperture).toBeNull();
  expect(measuresInScript(family, 'arabic')).toBe(measuresInScript(family, 'arabic'));
  expect(measuresInScript(family, 'thai').regular.xHeight).toBeNull();
});
