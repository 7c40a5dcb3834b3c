import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fontverter from 'fontverter';
import { readFace, type FaceReading } from './reading';
import { withoutTable } from './testing/sfnt';

const root = process.cwd();
const golden = JSON.parse(readFileSync(join(root, 'core/font/golden/readings.json'), 'utf8')) as {
  madeWith: string;
  readings: Record<string, Partial<FaceReading>>;
  points: { file: string; location: Record<string, number>; tops: { x: number; H: number } }[];
};
const pathOf = (file: string) => join(root, file.startsWith('@') ? 'node_modules' : '', file);
const bytesOf = (file: string) => new Uint8Array(readFileSync(pathOf(file)));

const LITERATA = '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2';
const OTF = 'core/font/golden/tarnholm-test.otf';

const sfntOf = async (file: string) =>
  new Uint8Array(await fontverter.convert(readFileSync(pathOf(file)), 'sfnt'));

const reasonFor = (file: Uint8Array) =>
  readFace(file).then(
    () => 'no error',
    (error: { reason: string }) => error.reason,
  );

describe('readFace agrees with an independent implementation', () => {
  test.each(Object.entries(golden.readings))('%s', async (file, expected) => {
    const reading = await readFace(bytesOf(file));
    const { axes, italicAngle, xHeight, capHeight, ...exact } = expected;
    expect(reading).toMatchObject(exact);
    expect(reading.italicAngle).toBeCloseTo(italicAngle ?? 0, 3);
    expect(Math.abs(reading.xHeight - (xHeight ?? 0))).toBeLessThanOrEqual(1);
    expect(Math.abs(reading.capHeight - (capHeight ?? 0))).toBeLessThanOrEqual(1);
    expect(reading.axes.map((axis) => axis.tag)).toEqual((axes ?? []).map((axis) => axis.tag));
    axes?.forEach((axis, i) => {
      expect(reading.axes[i]?.min).toBeCloseTo(axis.min, 2);
      expect(reading.axes[i]?.default).toBeCloseTo(axis.default, 2);
      expect(reading.axes[i]?.max).toBeCloseTo(axis.max, 2);
    });
  });
});

describe('readFace at a point of the axes agrees with an independent implementation', () => {
  test.each(golden.points)('$file at $location', async ({ file, location, tops }) => {
    const reading = await readFace(bytesOf(file), location);
    const em = reading.unitsPerEm;
    // The table's figure stands for the default; where the outline leaves it, the outline is taken.
    expect(Math.abs(reading.xHeight - tops.x)).toBeLessThanOrEqual(0.02 * em);
    expect(Math.abs(reading.capHeight - tops.H)).toBeLessThanOrEqual(0.02 * em);
    if (reading.xHeightSource === 'outline') expect(reading.xHeight).toBeCloseTo(tops.x, 0);
    expect(reading.weight).toBe(location['wght']);
    expect(reading.width).toBe(location['wdth'] ?? 100);
  });

  test('axes that the face has not are passed over, values beyond an axis taken to its end', async () => {
    const reading = await readFace(bytesOf(LITERATA), { wght: 2000, wdth: 50 });
    expect(reading).toMatchObject({ weight: 900, width: 100 });
  });
});

describe('readFace', () => {
  test('reads the same from every container', async () => {
    const sfnt = await sfntOf(LITERATA);
    const woff = new Uint8Array(await fontverter.convert(Buffer.from(sfnt), 'woff'));
    const facts = ({ family, ascent, xHeight, codePoints, weight }: FaceReading) => ({
      family,
      ascent,
      xHeight,
      codePoints,
      weight,
    });
    const [fromWoff2, fromSfnt, fromWoff] = await Promise.all([
      readFace(bytesOf(LITERATA)),
      readFace(sfnt),
      readFace(woff),
    ]);
    expect(facts(fromSfnt)).toEqual(facts(fromWoff2));
    expect(facts(fromWoff)).toEqual(facts(fromWoff2));
    expect([fromSfnt.format, fromWoff.format, fromWoff2.format]).toEqual(['ttf', 'woff', 'woff2']);
  });

  test('does not believe a height that the outline contradicts', async () => {
    const { xHeight, xHeightSource, capHeight, capHeightSource } = await readFace(bytesOf(OTF));
    expect({ xHeight, xHeightSource }).toEqual({ xHeight: 480, xHeightSource: 'outline' });
    expect({ capHeight, capHeightSource }).toEqual({ capHeight: 700, capHeightSource: 'table' });
  });

  test('says what is wrong with a file that is no font', async () => {
    await expect(readFace(new TextEncoder().encode('Keeper’s log, 14 November'))).rejects.toThrow(
      'This is not a font',
    );
    expect(await reasonFor(new Uint8Array())).toBe('not-a-font');
    expect(await reasonFor(new TextEncoder().encode('ttcf0000'))).toBe('collection');
    expect(await reasonFor(new TextEncoder().encode('%!PS-AdobeFont'))).toBe('outdated-format');
  });

  test.each([
    ['a WOFF2', async () => bytesOf(LITERATA)],
    ['a TTF', async () => sfntOf(LITERATA)],
    ['an OTF', async () => bytesOf(OTF)],
  ])('says of %s that it is cut short', async (_name, make) => {
    const whole = await make();
    for (const part of [0.02, 0.5, 0.9]) {
      const cut = whole.slice(0, Math.max(8, Math.floor(whole.length * part)));
      expect(['cut-short', 'damaged']).toContain(await reasonFor(cut));
    }
    await expect(readFace(whole.slice(0, whole.length / 2))).rejects.toThrow(/cut short.*byte/);
  });

  test('says which table is missing', async () => {
    const sfnt = await sfntOf(LITERATA);
    await expect(readFace(withoutTable(sfnt, 'OS/2'))).rejects.toThrow('has no “OS/2” table');
    await expect(readFace(withoutTable(sfnt, 'glyf'))).rejects.toThrow('has no outlines');
  });

  test('refuses a font that claims to unpack to more than any font', async () => {
    const bomb = bytesOf(LITERATA).slice();
    new DataView(bomb.buffer).setUint32(16, 0xf0000000);
    await expect(readFace(bomb)).rejects.toThrow('the limit is 64 MB');
  });

  test('either reads or refuses a damaged font, in bounded time', async () => {
    const sfnt = await sfntOf(LITERATA);
    let seed = 7;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    for (let i = 0; i < 60; i++) {
      const mutated = sfnt.slice();
      for (let n = 0; n < 12; n++) {
        mutated[Math.floor(random() * mutated.length)] = Math.floor(random() * 256);
      }
      expect([
        'no error',
        'damaged',
        'cut-short',
        'table-missing',
        'no-characters',
        'not-a-font',
      ]).toContain(await reasonFor(mutated));
    }
  });
});
