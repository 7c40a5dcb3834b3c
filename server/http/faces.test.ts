import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { libraryFaces, newDocument, type LibraryFamily } from '@lettera/core/document';
import type { FaceReading } from '@lettera/core/font';
import type { FaceMeasures, FamilyMeasures, FamilySheet } from '@lettera/core/measure';
import fontverter from 'fontverter';
import request from 'supertest';
import { collectionOf, renamed, tableOffset, withoutTable } from '../../core/font/testing/sfnt';
import type { Project } from '@lettera/core/wire';
import type { LibraryProgress, ProgressReport } from '@lettera/core/wire';
import { startTestServer, type TestServer } from '../testing/server';

const SPECTRAL = 'node_modules/@fontsource/spectral/files/spectral-latin-400-normal.woff2';
const VARIABLE =
  'node_modules/@fontsource-variable/urbanist/files/urbanist-latin-wght-normal.woff2';

let server: TestServer;
const api = () => request(server.app);

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

async function newProject(): Promise<Project> {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Skerry' }).expect(201);
  return body as Project;
}

/** The application on a port of its own, for a client that can hang up. */
async function listening(app: TestServer['app']): Promise<{ url: string; close(): Promise<void> }> {
  const listener = await new Promise<Server>((resolve) => {
    const opened: Server = app.listen(0, '127.0.0.1', () => resolve(opened));
  });
  const { port } = listener.address() as AddressInfo;
  return {
    url: `http://127.0.0.1:${port}`,
    close: () => new Promise((resolve) => listener.close(() => resolve())),
  };
}

/** Allows the foundry without a word to the library's measuring, which has its own test. */
const allow = (id: string) => server.services.projects.allowFoundry(id, 'Ása');

describe('faces measured', () => {
  const SLAB = 'core/font/golden/tarnholm-slab.otf';
  const HAIRLINE = 'core/font/golden/tarnholm-hairline.otf';
  const upload = (id: string, ...paths: string[]) =>
    paths.reduce(
      (sent, path) => sent.attach('file', path),
      api().post(`/api/v1/projects/${id}/fonts`),
    );
  const bytes = (path: string) => new Uint8Array(readFileSync(path));

  test('come as parts of one face, where the form says what each is for', async () => {
    const { id } = await newProject();
    const part = (script: string) =>
      `node_modules/@fontsource/spectral/files/spectral-${script}-400-normal.woff2`;
    const send = (ranges: string) =>
      upload(id, part('latin'), part('cyrillic')).field('ranges', ranges);
    await send('{"spectral-latin-400-normal.woff2": "all of it"}').expect(400);
    await send('not JSON').expect(400);
    const { body } = await send(
      JSON.stringify({
        'spectral-latin-400-normal.woff2': 'U+0-FF',
        'spectral-cyrillic-400-normal.woff2': 'U+301, U+400-45F',
      }),
    ).expect(201);
    expect((body as { conflicts: string[] }[]).map(({ conflicts }) => conflicts)).toEqual([[], []]);
    const { body: project } = await api().get(`/api/v1/projects/${id}`).expect(200);
    const [family] = Object.values((project as Project).document.case);
    expect(family?.faces).toHaveLength(1);
    expect(family?.faces[0]?.files.map(({ script }) => script).sort()).toEqual([
      'cyrillic',
      'latin',
    ]);
  });

  test('in the case, at any point of their axes, and as families', async () => {
    const { id } = await newProject();
    await upload(id, SLAB, VARIABLE).expect(201);
    const { body: measures } = await api().get(`/api/v1/projects/${id}/case/measures`).expect(200);
    const all = measures as Record<string, FamilyMeasures>;
    expect(Object.keys(all)).toEqual(['tarnholm-test-slab', 'urbanist']);
    expect(all['tarnholm-test-slab']?.regular.foot).toBeGreaterThan(1.35);
    const { body: sheet } = await api()
      .get(`/api/v1/projects/${id}/case/tarnholm-test-slab/sheet`)
      .expect(200);
    expect((sheet as FamilySheet).reading.family).toBe('Tarnholm Test Slab');
    const { body: readings } = await api().get(`/api/v1/projects/${id}/fonts`);
    const { sha256 } = (readings as FaceReading[]).find(({ axes }) => axes.length > 0) ?? {};
    const stemAt = async (query: string) => {
      const { body } = await api()
        .get(`/api/v1/projects/${id}/fonts/${sha256 ?? ''}/measures${query}`)
        .expect(200);
      return (body as FaceMeasures).stem ?? 0;
    };
    expect(await stemAt('?wght=900')).toBeGreaterThan(2 * (await stemAt('?wght=300')));
    await api()
      .get(`/api/v1/projects/${id}/fonts/${sha256 ?? ''}/measures?weight=x`)
      .expect(400);
    await api().get(`/api/v1/projects/${id}/case/none/sheet`).expect(404);
  });

  test('and not kept, when only a look-alike is sought', async () => {
    const { id } = await newProject();
    const { body } = await api()
      .post(`/api/v1/projects/${id}/measures`)
      .attach('file', HAIRLINE)
      .expect(200);
    expect(body).toMatchObject({ family: 'Tarnholm Test Hairline' });
    expect((body as { measures: FaceMeasures }).measures.contrast).toBeGreaterThan(9);
    expect((await api().get(`/api/v1/projects/${id}`)).body).toMatchObject({ revision: 1 });
    await api().post(`/api/v1/projects/${id}/measures`).attach('file', 'README.md').expect(422);
    await api().post(`/api/v1/projects/${id}/measures`).expect(400);
  });

  test('a collection is taken in face by face', async () => {
    const { id } = await newProject();
    const collection = Buffer.from(collectionOf([bytes(SLAB), bytes(HAIRLINE)]));
    const { body } = await api()
      .post(`/api/v1/projects/${id}/fonts`)
      .attach('file', collection, 'both.ttc')
      .expect(201);
    expect(
      (body as { file: string; family: string }[]).map(({ file, family }) => [file, family]),
    ).toEqual([
      ['both.ttc', 'Tarnholm Test Slab'],
      ['both.ttc', 'Tarnholm Test Hairline'],
    ]);
    const { body: project } = await api().get(`/api/v1/projects/${id}`);
    expect(Object.keys((project as Project).document.case)).toHaveLength(2);
  });

  test('two files that claim one place both stay, and each says so', async () => {
    const { id } = await newProject();
    await upload(id, SPECTRAL).expect(201);
    const woff = await fontverter.convert(readFileSync(SPECTRAL), 'woff');
    const { body } = await api()
      .post(`/api/v1/projects/${id}/fonts`)
      .attach('file', Buffer.from(woff), 'again.woff')
      .attach('file', SPECTRAL)
      .expect(201);
    expect((body as { conflicts: string[] }[]).map(({ conflicts }) => conflicts)).toEqual([
      ['Spectral Regular'],
      ['Spectral Regular'],
    ]);
    const { body: project } = await api().get(`/api/v1/projects/${id}`);
    expect((project as Project).document.case['spectral']?.faces).toHaveLength(2);
  });

  test('a family of two hundred files is one family, with progress told', async () => {
    const { id } = await newProject();
    const reports: ProgressReport[] = [];
    const stop = server.services.progress.on(id, (report) => reports.push(report));
    const slab = bytes(SLAB);
    const request = api().post(`/api/v1/projects/${id}/fonts`);
    for (let n = 0; n < 200; n++) {
      // The same face at another weight and width each: bytes 4 to 7 of OS/2 say so.
      const file = slab.slice();
      const os2 = tableOffset(file, 'OS/2');
      const view = new DataView(file.buffer);
      view.setUint16(os2 + 4, 100 + 40 * (n % 20));
      view.setUint16(os2 + 6, 1 + (Math.floor(n / 20) % 9));
      file[file.length - 1] = n;
      request.attach('file', Buffer.from(file), `face-${n}.otf`);
    }
    const { body } = await request.expect(201);
    stop();
    expect(body).toHaveLength(200);
    const { body: project } = await api().get(`/api/v1/projects/${id}`);
    expect((project as Project).document.case['tarnholm-test-slab']?.faces).toHaveLength(200);
    // Packing has begun meanwhile, and reports its progress.
    const readings = reports.filter(({ task }) => task === 'reading');
    expect(readings.at(-1)).toEqual({ task: 'reading', done: 200, of: 200 });
  });

  test('an odd family among good ones is taken as far as it goes, or refused alone and by its name', async () => {
    const { id } = await newProject();
    const variable = (await fontverter.convert(readFileSync(VARIABLE), 'sfnt')) as Uint8Array;
    const fromNothing = Uint8Array.from(variable);
    const view = new DataView(fromNothing.buffer);
    const fvar = tableOffset(fromNothing, 'fvar');
    view.setInt32(fvar + view.getUint16(fvar + 4) + 4, 0);
    const unvarying = withoutTable(Uint8Array.from(variable), 'gvar');
    const files: [string, Uint8Array][] = [
      ['good.otf', bytes(SLAB)],
      ['constructor.otf', renamed(bytes(HAIRLINE), 'Constructor')],
      ['next-line.otf', renamed(bytes(SLAB), 'Fog\u0085Horn')],
      ['from-nothing.ttf', fromNothing],
      ['unvarying.ttf', unvarying],
    ];
    const request = api().post(`/api/v1/projects/${id}/fonts`);
    for (const [name, file] of files) void request.attach('file', Buffer.from(file), name);
    const { body } = await request.expect(201);
    const told = body as { file: string; family?: string; refused?: { detail: string } }[];
    expect(told.map(({ file, family, refused }) => [file, family ?? refused?.detail])).toEqual([
      ['good.otf', 'Tarnholm Test Slab'],
      ['constructor.otf', 'Constructor'],
      ['next-line.otf', 'Fog Horn'],
      ['from-nothing.ttf', 'Urbanist'],
      ['unvarying.ttf', expect.stringContaining('no outlines that vary')],
    ]);
    const { body: measured } = await api().get(`/api/v1/projects/${id}/case/measures`).expect(200);
    expect(Object.keys(measured as object).sort()).toEqual([
      'constructor-2',
      'fog-horn',
      'tarnholm-test-slab',
      'urbanist',
    ]);
    for (const one of Object.values(measured as object)) expect(one).not.toBeNull();
    await api().get(`/api/v1/projects/${id}/marks`).expect(200);
  });

  test('names in another script, emoji and five hundred letters stay names', async () => {
    const { id } = await newProject();
    const names = ['חרוט הים', 'Skerry 🗼', 'Long '.repeat(100)];
    const request = api().post(`/api/v1/projects/${id}/fonts`);
    for (const name of names) {
      request.attach('file', Buffer.from(renamed(bytes(SLAB), name)), `${name.slice(0, 20)}.otf`);
    }
    await request.expect(201);
    const { body } = await api().get(`/api/v1/projects/${id}`);
    const families = Object.values((body as Project).document.case);
    expect(families.map(({ name }) => name)).toEqual([
      'חרוט הים',
      'Skerry 🗼',
      'Long '.repeat(60).slice(0, 300),
    ]);
  });
});

describe('a family by reference', () => {
  const WANTED = {
    name: 'Keeper',
    stylesheet: 'https://type.tarnholm.example/keeper.css',
    class: 'serif',
    standIn: 'library/spectral',
    faces: [
      { style: 'normal', weight: 400 },
      { style: 'italic', weight: 450 },
    ],
  };
  const refer = (id: string, wanted: object) =>
    api().post(`/api/v1/projects/${id}/references`).send(wanted);

  test('shows in the look-alike, and is delivered by name alone', async () => {
    const { id } = await newProject();
    await refer(id, WANTED).expect(403);
    await allow(id);
    const { body } = await refer(id, WANTED).expect(201);
    const { keeper } = (body as Project).document.case;
    expect(keeper).toMatchObject({
      name: 'Keeper',
      source: 'reference',
      reference: { standIn: 'Spectral', stylesheet: WANTED.stylesheet },
    });
    expect(keeper?.faces.map(({ style, weightMin }) => [style, weightMin])).toEqual([
      ['normal', 400],
      ['italic', 450],
    ]);
    const again = await refer(id, { ...WANTED, name: 'Warden', standIn: 'case/keeper' }).expect(
      201,
    );
    expect((again.body as Project).document.case['warden']?.reference?.standIn).toBe('Spectral');
  });

  test.each([
    ['no faces', { faces: [] }, 422],
    ['a class that is none', { class: 'fancy' }, 422],
    ['a stand-in from nowhere', { standIn: 'web/spectral' }, 422],
    ['a look-alike that is not there', { standIn: 'case/none' }, 400],
  ])('with %s is refused', async (_what, change, status) => {
    const { id } = await newProject();
    await allow(id);
    await refer(id, { ...WANTED, ...change }).expect(status);
  });

  test('with an address that is none is refused, naming the field', async () => {
    const { id } = await newProject();
    await allow(id);
    const { body } = await refer(id, { ...WANTED, stylesheet: 'javascript:1' }).expect(422);
    expect((body as { errors: { path: string }[] }).errors[0]?.path).toBe(
      '/case/keeper/reference/stylesheet',
    );
  });
});

describe('whoever goes away', () => {
  test('while a family is being fetched, or files are being read, has taken nothing in', async () => {
    const own = await startTestServer();
    const { id } = await own.services.projects.create(newDocument('Away'), []);
    await own.services.projects.allowFoundry(id, 'Ása');
    const { url, close } = await listening(own.app);
    const goAway = async (path: string, init: RequestInit, task: ProgressReport['task']) => {
      const leaving = new AbortController();
      const stop = own.services.progress.on(id, (report) => {
        if (report.task === task) leaving.abort();
      });
      await expect(
        fetch(`${url}/api/v1/projects/${id}/${path}`, {
          method: 'POST',
          signal: leaving.signal,
          ...init,
        }),
      ).rejects.toMatchObject({ name: 'AbortError' });
      stop();
    };
    const faces = [300, 400, 500, 600, 700].map((weight) => ({ style: 'normal', weight }));
    own.behaviour.delay = 30;
    await goAway(
      'foundry/families/spectral',
      {
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ scripts: ['latin', 'latin-ext', 'cyrillic'], faces }),
      },
      'taking',
    );
    const body = new FormData();
    for (let n = 0; n < 40; n++) {
      const file = readFileSync('core/font/golden/tarnholm-slab.otf');
      file[file.length - 1] = n;
      body.append('file', new Blob([file]), `${n}.otf`);
    }
    await goAway('fonts', { body }, 'reading');
    // Work waits its turn: once this has been read, what was asked before has been read or given up.
    await own.services.jobs.readFont(new Uint8Array(readFileSync(SPECTRAL)));
    await request(own.app).get(`/api/v1/projects/${id}`).expect(200);
    const { revision, document } = (await own.services.projects.get(id)) as Project;
    expect([revision, document.case]).toEqual([1, {}]);
    await close();
    await own.close();
  });
});

/** More than can be measured while the first five are being told. */
const LIBRARY = [
  ...['albert-sans', 'alegreya', 'anton', 'archivo', 'bitter', 'cabin', 'chivo', 'dm-sans'],
  ...['epilogue', 'figtree', 'gloock', 'heebo', 'karla', 'kalam', 'lexend', 'literata', 'lora'],
  ...['manrope', 'mulish', 'onest', 'outfit', 'rubik', 'syne', 'urbanist'],
];

describe('measuring the library', () => {
  test('goes on in the background, tells how far it is, stops, and goes on', async () => {
    const own = await startTestServer();
    own.behaviour.only = LIBRARY;
    const address = (await own.services.projects.create(newDocument('Measure'), [])).id;
    const measures = `/api/v1/projects/${address}/foundry/measures`;
    await request(own.app).get(measures).expect(403);
    await own.services.projects.allowFoundry(address, 'Ása');
    const report = async (after = 0) =>
      (await request(own.app).get(`${measures}?after=${after}`)).body as LibraryProgress;
    expect(await report()).toMatchObject({ state: 'idle', done: 0 });

    const until = (done: number) =>
      new Promise<void>((resolve) => {
        const stop = own.services.progress.on(address, (progress) => {
          if (progress.done < done) return;
          stop();
          resolve();
        });
      });
    const some = until(5);
    await request(own.app).post(measures).expect(202);
    await some;
    await request(own.app).delete(measures).expect(204);
    const first = await report();
    expect(first.done).toBeLessThan(first.of);
    let at = first;
    while (at.state === 'measuring') at = await report();
    expect(at.state).toBe('stopped');

    const all = until(LIBRARY.length);
    await request(own.app).post(measures).expect(202);
    await all;
    const rest = await report(first.done);
    expect(rest.of).toBe(LIBRARY.length);
    expect(first.done + rest.families.length).toBe(LIBRARY.length);
    const literata = (await report()).families.find(({ id }) => id === 'literata');
    expect(literata?.measures?.italic).toBe('drawn');
    await request(own.app).get(`${measures}?after=x`).expect(400);

    // Measured once: whoever asks for the same files has it from the store.
    const { body: family } = await request(own.app)
      .get(`/api/v1/projects/${address}/foundry/families/literata`)
      .expect(200);
    const [known] = await own.services.measurer.known([libraryFaces(family as LibraryFamily)]);
    expect(known).toEqual(literata?.measures);
    await own.close();
  });
});

describe('fallbacks for a pair that is only looked at', () => {
  test('are tried on the project as it would stand, which stays as it is', async () => {
    const { id } = await newProject();
    await api().post(`/api/v1/projects/${id}/fonts`).attach('file', SPECTRAL).expect(201);
    const patch = [{ op: 'replace', path: '/voices/text/family', value: 'spectral' }];
    const trials = (body: object) => api().post(`/api/v1/projects/${id}/fallbacks`).send(body);

    // Whoever waits for a fitting that is stopped hears so; asked again, it goes on.
    const begun = new Promise((resolve) => server.services.progress.on(id, resolve));
    const stopped = trials(patch).then((answer) => answer);
    await begun;
    await api().delete(`/api/v1/projects/${id}/fallbacks/fitting`).expect(204);
    expect((await stopped).body).toMatchObject({
      type: 'urn:lettera:problem:stopped',
      status: 409,
    });

    const { body } = await trials(patch).expect(200);
    expect(Object.keys(body as object)).toEqual(['text/spectral']);
    expect((await api().get(`/api/v1/projects/${id}/fallbacks`)).body).toEqual({});
    expect((await api().get(`/api/v1/projects/${id}`)).body).toMatchObject({ revision: 2 });
    await trials([{ op: 'replace', path: '/voices/text/family', value: 'nowhere' }]).expect(422);
    const foreign = {
      name: 'Foreign',
      class: 'serif',
      source: 'files',
      licence: null,
      faces: [
        {
          style: 'normal',
          weightMin: 400,
          weightMax: 400,
          files: [{ sha256: 'f'.repeat(64), script: 'all', unicodeRange: null, bytes: 1 }],
        },
      ],
    };
    await trials([{ op: 'add', path: '/case/foreign', value: foreign }]).expect(400);
  });
});
