import { PACKED, type Cut } from '@lettera/core/deliver';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import { applyChange } from '@lettera/core/change';
import { newDocument } from '@lettera/core/document';
import { defaultFitting, LOCAL_SETS, tuningTextOf, VARIANTS } from '@lettera/core/fallback';
import { detectFormat, readFace, Shaper, unpack } from '@lettera/core/font/file';
import { PAGES, startTestServer, type TestServer } from '../testing/server';
import { Leases } from '../store/leases';
import { TuningStore } from '../store/tuningStore';
import { FallbackTuner } from './fallbackTrials';
import { Jobs } from './jobs';
import { WorkerPool } from './workerPool';
import { StoppedError } from './stopping';
import { pageText } from './pageText';
import { twinFiles } from './twins';

const LITERATA =
  'node_modules/@fontsource-variable/literata/files/literata-latin-wght-normal.woff2';
const GLOOCK = 'node_modules/@fontsource/gloock/files/gloock-latin-400-normal.woff2';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const jobs = () => server.services.jobs;
const bytes = (path: string) => new Uint8Array(readFileSync(path));

describe('work in processes beside the server', () => {
  test('reads a font as it would be read here', async () => {
    const { reading } = await jobs().readFont(bytes(GLOOCK));
    expect(reading).toEqual(await readFace(bytes(GLOOCK)));
    expect((await jobs().readFont({ path: GLOOCK })).reading).toEqual(reading);
  });

  test('refuses what is no font with its reason, and goes on', async () => {
    await expect(jobs().readFont(new Uint8Array([1, 2, 3]))).rejects.toMatchObject({
      name: 'FontError',
      reason: 'not-a-font',
    });
    await expect(jobs().readFont(bytes(GLOOCK))).resolves.toBeDefined();
  });

  test('reads several at once', async () => {
    const readings = await Promise.all(
      Array.from({ length: 12 }, (_, i) => jobs().readFont(bytes(i % 2 ? GLOOCK : LITERATA))),
    );
    expect(readings.map(({ reading }) => reading.family)).toEqual(
      Array.from({ length: 12 }, (_, i) => (i % 2 ? 'Gloock' : 'Literata')),
    );
  });

  test('cuts a variable font to a range of weights, or to one, and it sets text as before', async () => {
    const whole = bytes(LITERATA);
    const range = await jobs().derive({
      bytes: whole,
      cut: { ...PACKED, axes: { wght: [400, 700] } },
    });
    const one = await jobs().derive({
      bytes: whole,
      cut: { ...PACKED, axes: { wght: [650, 650] } },
    });
    expect((await readFace(range)).axes).toMatchObject([{ tag: 'wght', min: 400, max: 700 }]);
    expect((await readFace(one)).axes).toEqual([]);
    expect(one.byteLength).toBeLessThan(range.byteLength);
    const width = async (file: Uint8Array, weight: number) =>
      (await Shaper.open(file, { wght: weight })).advance('Tarnholm lies eleven miles out');
    // Cutting rounds each advance to a unit of the em.
    expect(await width(range, 650)).toBeCloseTo(await width(whole, 650), 1);
    expect(await width(one, 400)).toBeCloseTo(await width(whole, 650), 1);
    expect((await readFace(range)).codePoints).toBe((await readFace(whole)).codePoints);
  });

  test('cuts a font to characters, with every feature that is to be kept', async () => {
    const whole = bytes(LITERATA);
    const derive = (more: Partial<Cut>) =>
      jobs().derive({ bytes: whole, cut: { ...PACKED, ...more } });
    const small = await derive({ characters: 'U+20, U+66, U+69, U+6C, U+61-63' });
    expect((await readFace(small)).characters).toBe('U+20, U+61-63, U+66, U+69, U+6C');
    const set = async (file: Uint8Array) => (await Shaper.open(file)).advance('fil cab');
    expect(await set(small)).toBeCloseTo(await set(whole), 3);
    const without = await derive({ characters: 'U+20, U+61-7A', features: ['kern'] });
    const withAll = await derive({ characters: 'U+20, U+61-7A' });
    expect(without.byteLength).toBeLessThan(withAll.byteLength);
    expect((await readFace(small)).copyright).toBe((await readFace(whole)).copyright);
  });

  test('packs what is no WOFF2, and it reads as before', async () => {
    const sfnt = (await unpack(bytes(GLOOCK))).sfnt;
    const packed = await jobs().derive({ bytes: sfnt, cut: PACKED });
    expect(detectFormat(packed)).toBe('woff2');
    const { bytes: _bytes, sha256: _hash, format: _format, ...before } = await readFace(sfnt);
    expect(await readFace(packed)).toMatchObject(before);
  });

  test('zips text and fonts so that they come out the same', async () => {
    const zip = await jobs().zip({ 'lettera.css': 'body {}', 'fonts/a.woff2': bytes(GLOOCK) });
    const files = unzipSync(zip);
    expect(new TextDecoder().decode(files['lettera.css'])).toBe('body {}');
    expect(Buffer.from(files['fonts/a.woff2'] ?? []).equals(readFileSync(GLOOCK))).toBe(true);
  });

  test('tunes each local font that has a word in common', async () => {
    const reading = await readFace(bytes(LITERATA));
    const request = {
      files: [bytes(LITERATA)],
      metrics: reading,
      instanceWeight: 400,
      weight: 400,
      slant: 'normal' as const,
      locals: ['georgia', 'cambria', 'palatino'],
      measured: {},
      fitting: defaultFitting(true),
    };
    const text = tuningTextOf(
      'The light is in order. The sea is up. The light is out. Wind west.',
      [],
    );
    const tuned = await jobs().tune({ ...request, text });
    expect(Object.keys(tuned)).toEqual(['georgia', 'cambria']);
    expect(tuned['georgia']?.ratio).toBeGreaterThan(0.8);
    expect(tuned['georgia']?.ratio).toBeLessThan(1.2);
    expect(await jobs().tune({ ...request, text: tuningTextOf('光. 海.', []) })).toEqual({});
  });

  test('takes regular or bold of the local font, whichever is nearer in colour', async () => {
    const reading = await readFace(bytes(LITERATA));
    const variantAt = async (weight: number) => {
      const tuned = await jobs().tune({
        files: [bytes(LITERATA)],
        metrics: reading,
        instanceWeight: weight,
        weight,
        slant: 'normal',
        locals: ['georgia'],
        measured: {},
        text: tuningTextOf('The light is in order. The sea is up.', []),
        fitting: defaultFitting(true),
      });
      return tuned['georgia']?.variant;
    };
    expect(await variantAt(300)).toBe('regular');
    expect(await variantAt(400)).toBe('regular');
    expect(await variantAt(700)).toBe('bold');
    expect(await variantAt(900)).toBe('bold');
  });

  test('tunes over what was measured on a designer’s machine, where there is no open font', async () => {
    const reading = await readFace(bytes(LITERATA));
    const shaper = await Shaper.open(bytes(LITERATA), { wght: 400 });
    const words = ['The', 'light', 'is', 'in', 'order.', 'sea', 'up.'];
    const advances = Object.fromEntries(
      [...new Set([...words.join(' ')])].map((one) => [one, shaper.advance(one) / 1.1]),
    );
    const tuned = await jobs().tune({
      files: [bytes(LITERATA)],
      metrics: reading,
      instanceWeight: 400,
      weight: 400,
      slant: 'normal',
      locals: ['palatino'],
      measured: { palatino: { regular: { advances, pairs: {}, colour: null, lines: null } } },
      text: tuningTextOf('The light is in order. The sea is up.', []),
      fitting: { ...defaultFitting(true), groups: 1 },
    });
    expect(tuned['palatino']?.ratio).toBeCloseTo(1.1, 1);
    expect(tuned['palatino']?.parts.at(-1)?.ratio).toBeCloseTo(1.1, 3);
  });
});

describe('twins', () => {
  test.each(Object.entries(LOCAL_SETS).filter(([, { twin }]) => twin))(
    'of %s are there in every style that platforms carry',
    (_key, { twin, fonts }) => {
      for (const variant of VARIANTS.filter((one) => fonts[0]?.localNames[one])) {
        const files = twinFiles(twin, variant);
        expect(files.map(({ script }) => script)).toContain('latin');
        for (const { unicodeRange } of files) expect(unicodeRange).toMatch(/^U\+/);
      }
    },
  );

  test('are not looked for outside their packages', () => {
    expect(twinFiles('../../secrets', 'regular')).toEqual([]);
  });

  test('of a monospaced font are monospaced', async () => {
    const [file] = twinFiles('cousine', 'regular');
    const shaper = await Shaper.open(bytes(file?.path ?? ''));
    expect(shaper.advance('iii')).toBeCloseTo(shaper.advance('mmm'), 10);
  });
});

describe('the text of a page', () => {
  test('is a line a block, without markup, with inline text run on', () => {
    expect(
      pageText(
        '<h1>The  light</h1><p>It shows where <em>it</em> is,\n and leaves the&nbsp;rest.</p><ul><li>Wool</li><li>Food</li></ul>',
      ),
    ).toBe('The light\nIt shows where it is,\nand leaves the\u00a0rest.\nWool\nFood');
    expect(pageText('')).toBe('');
  });
});

describe('fallback trials', () => {
  test('are worked out once for the same files, text and requests', async () => {
    const { projects, tuner, fonts } = server.services;
    const project = await projects.create(newDocument('Trials'), PAGES);
    const { reading } = await jobs().readFont(bytes(GLOOCK));
    await fonts.add(project.id, [{ bytes: bytes(GLOOCK), reading, licence: null }]);
    const document = structuredClone(project.document);
    document.case['gloock'] = {
      name: 'Gloock',
      class: 'serif',
      source: 'files',
      licence: null,
      faces: [
        {
          style: 'normal',
          weightMin: 400,
          weightMax: 400,
          files: [
            {
              sha256: reading.sha256,
              script: 'all',
              unicodeRange: null,
              bytes: bytes(GLOOCK).byteLength,
            },
          ],
        },
      ],
    };
    Object.assign(document.voices['text'] ?? {}, { family: 'gloock' });
    const first = await tuner.trials(project.id, document);
    const tried = first['text/gloock'];
    expect(tried?.map(({ local }) => local).sort()).toEqual([
      'cambria',
      'dejavu-serif',
      'georgia',
      'noto-serif',
      'pt-serif',
      'times-new-roman',
    ]);
    // Everything else that the voice is used in is tuned over what the stack takes.
    const taken = tried?.filter(({ faces }) => faces.length > 1).map(({ local }) => local);
    expect(taken?.sort()).toEqual(['georgia', 'noto-serif']);
    const tuning = jest.spyOn(Jobs.prototype, 'tune');
    expect(await tuner.trials(project.id, document)).toEqual(first);
    // Nor after a start: what has been tuned is kept.
    const { pages, sites, localReadings, tuningJobs, progress, database } = server.services;
    const tunings = new TuningStore(database);
    const restarted = new FallbackTuner(
      fonts,
      pages,
      sites,
      localReadings,
      tuningJobs,
      progress,
      tunings,
      new Leases(database),
    );
    expect(await restarted.trials(project.id, document)).toEqual(first);
    expect(tuning).not.toHaveBeenCalled();
    const bolder = applyChange(document, [
      { op: 'replace', path: '/styles/strong/set/weight', value: 600 },
    ]).document;
    await tuner.trials(project.id, bolder);
    expect(tuning.mock.calls.map(([{ weight, slant }]) => `${weight} ${slant}`)).toEqual([
      '600 normal',
      '600 italic',
    ]);

    // One that is stopped ends where it is, and can be gone on with; another's wait goes on.
    const lighter = applyChange(document, [
      { op: 'replace', path: '/styles/strong/set/weight', value: 500 },
    ]).document;
    const other = await projects.create(newDocument('Waits too'), PAGES);
    const reached = new Promise((resolve) => server.services.progress.on(project.id, resolve));
    const [stopped, waiting] = [tuner.trials(project.id, lighter), tuner.trials(other.id, lighter)];
    const outcome = expect(stopped).rejects.toThrow(StoppedError);
    await reached;
    tuner.stop(project.id);
    await outcome;
    const { 'text/gloock': faces } = await waiting;
    expect(faces?.[0]?.faces.map(({ weight }) => weight)).toContain(500);
    expect((await tuner.trials(project.id, lighter))['text/gloock']).toEqual(faces);
  });
});

describe('a file that cannot be packed', () => {
  test('is told why, and what can be done; the next is packed', async () => {
    const cut = PACKED;
    await expect(jobs().derive({ bytes: new Uint8Array(600), cut })).rejects.toThrow(
      /could not be packed as WOFF2.*bring it as WOFF2/,
    );
    const { sfnt } = await unpack(bytes(GLOOCK));
    await expect(jobs().derive({ bytes: sfnt, cut })).resolves.toBeDefined();
  });
});

test('what waits when the workers are ended starts no others', async () => {
  const own = new Jobs(new WorkerPool());
  const { sfnt } = await unpack(bytes(GLOOCK));
  const asked = Array.from({ length: 6 }, () => own.derive({ bytes: sfnt, cut: PACKED }));
  const outcomes = Promise.allSettled(asked);
  await own.close();
  const rejected = (await outcomes).filter(({ status }) => status === 'rejected');
  expect(rejected).toHaveLength(6);
  // They can be asked again.
  await expect(own.derive({ bytes: sfnt, cut: PACKED })).resolves.toBeDefined();
  await own.close();
});
