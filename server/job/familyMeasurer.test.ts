import { readFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { startTestServer, type TestServer } from '../testing/server';
import type { ListedFile } from './familyMeasurer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const slab = readFileSync('core/font/golden/tarnholm-slab.otf');
const hairline = readFileSync('core/font/golden/tarnholm-hairline.otf');
const hash = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');

interface TestFile extends ListedFile {
  bytes: Buffer;
}
const faceOf = (bytes: Buffer, weight = 400, script = 'all') => ({
  style: 'normal' as const,
  weightMin: weight,
  weightMax: weight,
  files: [{ sha256: hash(bytes), script, bytes }],
});

/** A loader that counts how often it is asked. */
function counting(): { load: (file: TestFile) => Promise<Uint8Array>; asked: () => number } {
  let asked = 0;
  return {
    load: ({ bytes }) => {
      asked++;
      return Promise.resolve(new Uint8Array(bytes));
    },
    asked: () => asked,
  };
}

describe('measuring families', () => {
  test('happens once for the same files, whoever asks and however often', async () => {
    const { load, asked } = counting();
    const faces = [faceOf(slab)];
    const measure = () => server.services.measurer.sheet(faces, load);
    const [one, other] = await Promise.all([measure(), measure()]);
    expect(other).toEqual(one);
    expect(await measure()).toEqual(one);
    expect(asked()).toBe(1);
    expect(one?.reading.family).toBe('Tarnholm Test Slab');
    expect(await server.services.measurer.known([faces])).toEqual([one?.measures]);
  });

  test('goes on for who waits when whoever asked first goes away', async () => {
    const gone = new AbortController();
    const faces = [faceOf(slab, 350)];
    let begun = (): void => undefined;
    const hasBegun = new Promise<void>((resolve) => (begun = resolve));
    const first = server.services.measurer.sheet(
      faces,
      () =>
        new Promise<Uint8Array>((_, reject) => {
          gone.signal.addEventListener('abort', () => reject(gone.signal.reason as Error));
          begun();
        }),
    );
    const { load, asked } = counting();
    const second = server.services.measurer.sheet(faces, load);
    // The first is at it, and the second waits for the first.
    await hasBegun;
    gone.abort();
    await expect(first).rejects.toMatchObject({ name: 'AbortError' });
    expect((await second)?.reading.family).toBe('Tarnholm Test Slab');
    expect(asked()).toBe(1);
  });

  test('is another matter for other files, or for another face that is the regular', async () => {
    const { load, asked } = counting();
    const two = [faceOf(slab, 700), faceOf(hairline, 400)];
    const sheet = await server.services.measurer.sheet(two, load);
    expect(sheet?.reading.family).toBe('Tarnholm Test Hairline');
    // Each upright is measured at its weight, from its own file, which is fetched once.
    expect(asked()).toBe(2);
    expect(sheet?.measures.weights.map(({ weight }) => weight)).toEqual([400, 700]);
    const [unknown] = await server.services.measurer.known([[faceOf(hairline, 500)]]);
    expect(unknown).toBeUndefined();
  });

  test('takes the file with Latin letters first, and the characters of all', async () => {
    const { load } = counting();
    const face = {
      ...faceOf(hairline),
      files: [
        { sha256: hash(hairline), script: 'greek', bytes: hairline },
        { sha256: hash(slab), script: 'latin', bytes: slab },
      ],
    };
    const sheet = await server.services.measurer.sheet([face], load);
    expect(sheet?.reading.family).toBe('Tarnholm Test Slab');
  });

  test('gives nothing for no faces, passes on why a file is none, and tries again then', async () => {
    expect(await server.services.measurer.sheet([], counting().load)).toBeNull();
    const broken = Buffer.from('no font');
    await expect(
      server.services.measurer.sheet([faceOf(broken)], counting().load),
    ).rejects.toMatchObject({ name: 'FontError', reason: 'not-a-font' });
    const { load, asked } = counting();
    await expect(server.services.measurer.sheet([faceOf(broken)], load)).rejects.toThrow();
    expect(asked()).toBe(1);
  });
});

const FEW = ['archivo', 'karla', 'lexend', 'literata'];

describe('measuring the library', () => {
  test('ends when the foundry is away, keeps what there is, and goes on when it is back', async () => {
    const { behaviour, services } = server;
    behaviour.only = FEW;
    behaviour.failures = 99;
    await services.libraryMeasures.start();
    expect(services.libraryMeasures.report()).toMatchObject({ state: 'failed', done: 0 });
    behaviour.failures = 0;
    const fetched = jest.spyOn(services.foundry, 'file');
    await services.libraryMeasures.start(['literata']);
    const report = services.libraryMeasures.report();
    expect(report).toMatchObject({ state: 'done', of: FEW.length, done: FEW.length });
    // What the project has is begun before the rest; by name it would come last.
    expect(fetched.mock.calls[0]?.[0].id).toBe('literata');
    fetched.mockRestore();
    await services.libraryMeasures.start();
    // Who has heard of all but one is told of that one.
    expect(services.libraryMeasures.report(report.done - 1).families).toHaveLength(1);
  });
});
