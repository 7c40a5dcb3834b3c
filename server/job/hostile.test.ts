import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { FontError } from '@lettera/core/font';
import fontverter from 'fontverter';
import { mutated } from '../../core/font/testing/mutate';
import { withBomb } from '../../core/font/testing/bomb';
import { runs } from '../../core/testing/runs';
import { Jobs } from './jobs';
import { WorkerPool } from './workerPool';

const FILES = runs(2000);
const MEMORY = 512 * 1024 * 1024;
/** The limit on one reading, and what it takes to say so, milliseconds. */
const LONGEST = 11_000;

let jobs: Jobs;
beforeAll(() => {
  jobs = new Jobs(new WorkerPool());
});
afterAll(() => jobs.close());

const bytes = (path: string) => new Uint8Array(readFileSync(path));
const VARIABLE =
  'node_modules/@fontsource-variable/urbanist/files/urbanist-latin-wght-normal.woff2';

/** Small fonts of every kind that is taken: CFF, TrueType, variable, WOFF, WOFF2. */
async function seeds(): Promise<Uint8Array[]> {
  const slab = bytes('core/font/golden/tarnholm-slab.otf');
  const gloock = readFileSync(
    'node_modules/@fontsource/gloock/files/gloock-latin-400-normal.woff2',
  );
  const sfnt = new Uint8Array(await fontverter.convert(gloock, 'sfnt'));
  const variable = new Uint8Array(await fontverter.convert(readFileSync(VARIABLE), 'sfnt'));
  const woff = new Uint8Array(await fontverter.convert(Buffer.from(slab), 'woff'));
  return [slab, sfnt, variable, woff, new Uint8Array(gloock)];
}

/** Two fonts with one byte each in `cmap` that is another: each makes a reader gather characters without end. */
async function greedy(): Promise<Uint8Array[]> {
  const kalam = readFileSync('node_modules/@fontsource/kalam/files/kalam-latin-400-normal.woff2');
  const sfnt = new Uint8Array(await fontverter.convert(kalam, 'sfnt'));
  return (
    [
      [788, 163],
      [852, 2],
    ] as const
  ).map(([at, value]) => {
    const changed = sfnt.slice();
    changed[at] = value;
    return changed;
  });
}

test('a font that makes its reader run out of memory ends that reader alone, in sequence and at once', async () => {
  const [a = new Uint8Array(), b = new Uint8Array()] = await greedy();
  const sound = bytes('core/font/golden/tarnholm-slab.otf');
  const read = async (file: Uint8Array) =>
    jobs.readFont(file).then(
      ({ reading }) => reading.family,
      (error: unknown) => (error instanceof FontError ? 'refused' : error),
    );
  for (const file of [a, b, a, b]) expect(['Kalam', 'refused']).toContain(await read(file));
  expect(await read(sound)).toBe('Tarnholm Test Slab');
  const together = await Promise.all([a, b, sound, b, a, sound, b, sound].map(read));
  expect(together.filter((one) => one === 'Tarnholm Test Slab')).toHaveLength(3);
  expect(together.every((one) => typeof one === 'string')).toBe(true);
});

test('a packed font that unpacks to more than it says is refused, and nothing is held of it', async () => {
  const slab = Buffer.from(bytes('core/font/golden/tarnholm-slab.otf'));
  const woff = new Uint8Array(await fontverter.convert(slab, 'woff'));
  const before = process.memoryUsage().rss;
  const bomb = withBomb(woff, 400 * 1024 * 1024);
  await expect(jobs.readFont(bomb)).rejects.toMatchObject({ reason: 'damaged' });
  expect(process.memoryUsage().rss - before).toBeLessThan(MEMORY);
  expect((await jobs.readFont(woff)).reading.family).toBe('Tarnholm Test Slab');
});

test(`${FILES} damaged and lying fonts are read or refused, each in time, and none does harm`, async () => {
  const originals = await seeds();
  const before = process.memoryUsage().rss;
  let most = before;
  const outcomes = { read: 0, refused: 0 };
  const unexpected: unknown[] = [];
  let next = 0;

  const readOne = async (number: number): Promise<void> => {
    const original = originals[number % originals.length] ?? new Uint8Array();
    const started = performance.now();
    try {
      const file = mutated(original, number);
      const read = await jobs.readFonts(file);
      for (const font of read) {
        if (font instanceof FontError) outcomes.refused++;
        else {
          outcomes.read++;
          const files = [font.bytes ?? file];
          await jobs.sheet({ regular: { files, weight: 400 }, italic: null, uprights: [] });
        }
      }
    } catch (error) {
      if (error instanceof FontError && error.message.length > 20) outcomes.refused++;
      else unexpected.push([number, error]);
    }
    const took = performance.now() - started;
    if (took > 2 * LONGEST) unexpected.push([number, `${took} ms`]);
    most = Math.max(most, process.memoryUsage().rss);
  };

  const work = async () => {
    for (let number = next++; number < FILES; number = next++) await readOne(number);
  };
  await Promise.all(Array.from({ length: 8 }, work));

  expect(unexpected).toEqual([]);
  expect(outcomes.read + outcomes.refused).toBeGreaterThanOrEqual(FILES);
  // Both ends of the road are walked: damage that is noticed, and damage that does not matter.
  expect(outcomes.refused).toBeGreaterThan(FILES / 4);
  expect(outcomes.read).toBeGreaterThan(FILES / 20);
  expect(most - before).toBeLessThan(MEMORY);

  const whole = await jobs.readFont(originals[0] ?? new Uint8Array());
  expect(whole.reading.family).toBe('Tarnholm Test Slab');
}, 300_000);
