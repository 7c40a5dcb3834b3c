import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fontverter from 'fontverter';
import { newDocument } from '@lettera/core/document';
import { readFace } from '@lettera/core/font/file';
import { unzipSync } from 'fflate';
import request from 'supertest';
import { withoutTable } from '../../core/font/testing/sfnt';
import { startTestServer, type TestServer } from '../testing/server';
import { openApi } from './openapi';
import type { LanguageText, Project, Revision, Waypoint } from '@lettera/core/wire';

const fontPath = (name: string) =>
  `node_modules/@fontsource/${name.split('-latin')[0]}/files/${name}.woff2`;
const SPECTRAL = fontPath('spectral-latin-400-normal');
const GELASIO = fontPath('gelasio-latin-400-normal');
const OTF = 'core/font/golden/tarnholm-test.otf';
const HOSTILE_NAME = 'Tarnholm "Test" <b>; }';

let server: TestServer;
const api = () => request(server.app);

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

async function newProject(name = 'Skerry'): Promise<Project> {
  const { body } = await api().post('/api/v1/projects').send({ name }).expect(201);
  return body as Project;
}

const patch = (id: string, revision: number | string, operations: unknown) =>
  api()
    .patch(`/api/v1/projects/${id}`)
    .set('Content-Type', 'application/json-patch+json')
    .set('If-Match', `"${revision}"`)
    .send(JSON.stringify(operations));

const rename = (name: string) => [{ op: 'replace', path: '/name', value: name }];

const binary = (response: request.Response, done: (error: null, body: Buffer) => void): void => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};

describe('projects', () => {
  test('are started, listed and found by id and by short name', async () => {
    const project = await newProject('Þokuljós Ægir');
    expect(project).toMatchObject({ slug: 'thokuljos-aegir', revision: 1, name: 'Þokuljós Ægir' });
    const twin = await newProject('Þokuljós Ægir');
    expect(twin.slug).toBe('thokuljos-aegir-2');
    const { body, headers } = await api().get('/api/v1/projects/thokuljos-aegir').expect(200);
    expect((body as Project).id).toBe(project.id);
    expect(headers['etag']).toBe('"1"');
    const list = await api().get('/api/v1/projects').expect(200);
    expect((list.body as Project[]).map(({ id }) => id)).toEqual(
      expect.arrayContaining([project.id, twin.id]),
    );
  });

  test.each([{}, { name: '' }, { name: 4 }, { name: 'x'.repeat(121) }])(
    'are not started with %j',
    async (body) => {
      const { body: problem } = await api().post('/api/v1/projects').send(body).expect(422);
      expect(problem).toMatchObject({ errors: [{ path: '/name' }] });
    },
  );

  test('are removed with their pages and history', async () => {
    const { id } = await newProject();
    await patch(id, 1, rename('Gone')).expect(200);
    await api().delete(`/api/v1/projects/${id}`).expect(204);
    await api().get(`/api/v1/projects/${id}`).expect(404);
  });

  test('that are not there are a problem with a stable type', async () => {
    const { body, headers } = await api().get('/api/v1/projects/nowhere').expect(404);
    expect(headers['content-type']).toContain('application/problem+json');
    expect(body).toEqual({
      type: 'urn:lettera:problem:not-found',
      title: 'Not found',
      status: 404,
      detail: 'There is no project “nowhere”.',
    });
  });
});

describe('changes', () => {
  test('are stored under the next revision', async () => {
    const { id } = await newProject();
    const { body, headers } = await patch(id, 1, rename('Ægir')).expect(200);
    expect(body).toMatchObject({ revision: 2, name: 'Ægir', undo: 'Project name', redo: null });
    expect(headers['etag']).toBe('"2"');
  });

  test('on a stale revision are refused with the current state', async () => {
    const { id } = await newProject();
    await patch(id, 1, rename('First')).expect(200);
    const { body } = await patch(id, 1, rename('Second')).expect(409);
    expect(body).toMatchObject({
      type: 'urn:lettera:problem:stale-revision',
      current: { revision: 2, document: { name: 'First' } },
    });
    const { body: after } = await api().get(`/api/v1/projects/${id}`);
    expect(after).toMatchObject({ revision: 2, name: 'First' });
  });

  test('need a revision, and it must be one', async () => {
    const { id } = await newProject();
    await api()
      .patch(`/api/v1/projects/${id}`)
      .set('Content-Type', 'application/json-patch+json')
      .send(JSON.stringify(rename('x')))
      .expect(428);
    await patch(id, 'yesterday', rename('x')).expect(400);
    await api()
      .patch(`/api/v1/projects/${id}`)
      .set('Content-Type', 'text/plain')
      .set('If-Match', '"1"')
      .send('[]')
      .expect(415);
  });

  test.each<[string, unknown, string]>([
    ['a path that is not there', [{ op: 'replace', path: '/scale/none', value: 1 }], '/scale/none'],
    [
      'a ratio of 0',
      [{ op: 'replace', path: '/scale/small/ratio', value: 0 }],
      '/scale/small/ratio',
    ],
    [
      'a base of a million',
      [{ op: 'replace', path: '/scale/small/base', value: 1e6 }],
      '/scale/small/base',
    ],
  ])('to %s are refused with the path, and nothing is stored', async (_what, operations, path) => {
    const { id } = await newProject();
    const { body } = await patch(id, 1, operations).expect(422);
    expect(body).toMatchObject({
      type: 'urn:lettera:problem:invalid-change',
      errors: [{ path }],
    });
    expect((body as { detail: string }).detail).toContain('Nothing was changed');
    const { body: after } = await api().get(`/api/v1/projects/${id}`);
    expect((after as Project).revision).toBe(1);
  });

  test('may not name files that were not taken in', async () => {
    const { id } = await newProject();
    const family = {
      name: 'Made up',
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
    const { body } = await patch(id, 1, [
      { op: 'add', path: '/case/made-up', value: family },
    ]).expect(422);
    expect(body).toMatchObject({ errors: [{ path: '/case/made-up/faces/0/files/0/sha256' }] });
  });

  test('that are not JSON are refused', async () => {
    const { id } = await newProject();
    await api()
      .patch(`/api/v1/projects/${id}`)
      .set('Content-Type', 'application/json-patch+json')
      .set('If-Match', '"1"')
      .send('[{"op":')
      .expect(400);
    await patch(id, 1, { op: 'replace' }).expect(422);
  });
});

describe('undo and redo', () => {
  const go = (id: string, direction: 'undo' | 'redo', revision: number) =>
    api().post(`/api/v1/projects/${id}/${direction}`).set('If-Match', `"${revision}"`);

  test('go back and forth step by step, and a new change ends redo', async () => {
    const { id } = await newProject('One');
    await patch(id, 1, rename('Two')).expect(200);
    await patch(id, 2, rename('Three')).expect(200);
    const names: string[] = [];
    const step = async (direction: 'undo' | 'redo', revision: number) => {
      const { body } = await go(id, direction, revision).expect(200);
      names.push((body as Project).name);
      return body as Project;
    };
    await step('undo', 3);
    const bottom = await step('undo', 4);
    expect(bottom.undo).toBeNull();
    await step('redo', 5);
    await step('redo', 6);
    await step('undo', 7);
    expect(names).toEqual(['Two', 'One', 'Two', 'Three', 'Two']);
    const changed = await patch(id, 8, rename('Four')).expect(200);
    expect((changed.body as Project).redo).toBeNull();
    const back = await step('undo', 9);
    expect(back.name).toBe('Two');
    expect((await step('undo', 10)).name).toBe('One');
    await go(id, 'undo', 11).expect(409);
  });

  test('keep the history, and refuse a stale revision', async () => {
    const { id } = await newProject('One');
    await patch(id, 1, rename('Two')).expect(200);
    await go(id, 'undo', 1).expect(409);
    await go(id, 'undo', 2).expect(200);
    const { body } = await api().get(`/api/v1/projects/${id}/changes`).expect(200);
    expect(body).toMatchObject([
      { revision: 3, kind: 'undo' },
      { revision: 2, kind: 'change', label: 'Project name' },
    ]);
    for (const query of ['limit=none', 'limit=0', 'limit=-1', 'limit=1.5', 'before=x']) {
      await api().get(`/api/v1/projects/${id}/changes?${query}`).expect(400);
    }
    const { body: one } = await api().get(`/api/v1/projects/${id}/changes?limit=1`).expect(200);
    expect(one).toHaveLength(1);
  });

  test('lead back to every revision, undone changes too', async () => {
    const { id } = await newProject('One');
    await patch(id, 1, rename('Two')).expect(200);
    await go(id, 'undo', 2).expect(200);
    await patch(id, 3, rename('Three')).expect(200);
    const at = (revision: number | string) =>
      api().get(`/api/v1/projects/${id}/revisions/${revision}`);
    const names = await Promise.all(
      [1, 2, 3, 4].map(async (one) => ((await at(one).expect(200)).body as Revision).document.name),
    );
    expect(names).toEqual(['One', 'Two', 'One', 'Three']);
    for (const none of [0, 5, -1, 1.5, 'first']) await at(none).expect(404);
  });
});

describe('a change that is asked for alone', () => {
  test('is what leads from the project as it was to the project as it is', async () => {
    const { id } = await newProject('Minimal');
    const minimal = await patch(id, 1, [
      { op: 'add', path: '/styles/new', value: { name: 'New', follows: null, set: {} } },
    ])
      .set('Prefer', 'respond-async, return=minimal')
      .expect(200);
    expect(minimal.headers['preference-applied']).toBe('return=minimal');
    expect(minimal.headers['etag']).toBe('"2"');
    expect(minimal.body).not.toHaveProperty('document');
    expect(minimal.body).toMatchObject({ revision: 2, undo: expect.any(String), redo: null });
    // The place that the new part was given is part of it.
    expect(minimal.body.patch.map(({ path }: { path: string }) => path)).toEqual([
      '/styles/new',
      '/styles/new/place',
    ]);
    const undone = await api()
      .post(`/api/v1/projects/${id}/undo`)
      .set('If-Match', '"2"')
      .set('Prefer', 'return=minimal')
      .expect(200);
    expect(undone.body).toMatchObject({ revision: 3, undo: null, redo: minimal.body.undo });
    const whole = await patch(id, 3, rename('Whole')).expect(200);
    expect(whole.body.document.name).toBe('Whole');
    expect(whole.headers['preference-applied']).toBeUndefined();
  });
});

describe('the stream of revisions', () => {
  test('says where the project stands, then each new revision', async () => {
    const { id } = await newProject();
    const listening = server.app.listen(0, '127.0.0.1');
    await new Promise((resolve) => listening.once('listening', resolve));
    const { port } = listening.address() as AddressInfo;
    const abort = new AbortController();
    try {
      const stream = await fetch(`http://127.0.0.1:${port}/api/v1/projects/${id}/events`, {
        signal: abort.signal,
      });
      expect(stream.headers.get('content-type')).toContain('text/event-stream');
      const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
      expect((await reader?.read())?.value).toBe('event: hello\ndata: {"revision":1}\n\n');
      await patch(id, 1, rename('Ægir')).expect(200);
      const event = (await reader?.read())?.value ?? '';
      expect(event).toMatch(/^event: revision\ndata: .*\n\n$/);
      expect(JSON.parse(event.slice(event.indexOf('{')))).toMatchObject({
        revision: 2,
        label: 'Project name',
        patch: rename('Ægir'),
        undo: 'Project name',
        redo: null,
      });
      const { body } = await api().post(`/api/v1/projects/${id}/waypoints`).send({ name: 'One' });
      const told = async () => expect((await reader?.read())?.value).toMatch(/^event: waypoints/);
      await told();
      const one = `/api/v1/projects/${id}/waypoints/${(body as Waypoint).id}`;
      await api().put(one).send({ name: 'Two' }).expect(204);
      await told();
      await api().delete(one).expect(204);
      await told();
    } finally {
      abort.abort();
      await new Promise((resolve) => listening.close(resolve));
    }
    await api().get('/api/v1/projects/nowhere/events').expect(404);
  });
});

describe('font files', () => {
  const upload = (id: string, ...files: [Buffer | string, string][]) =>
    files.reduce(
      (sending, [file, name]) => sending.attach('file', file, name),
      api().post(`/api/v1/projects/${id}/fonts`),
    );

  test('are taken in with their readings, and served as they are', async () => {
    const { id } = await newProject();
    const { body } = await upload(id, [SPECTRAL, 'a.woff2'], [OTF, 'b.otf']).expect(201);
    expect(body).toMatchObject([
      { file: 'a.woff2', family: 'Spectral', format: 'woff2', weight: 400, unitsPerEm: 1000 },
      { file: 'b.otf', family: HOSTILE_NAME, format: 'otf' },
    ]);
    const readings = await api().get(`/api/v1/projects/${id}/fonts`).expect(200);
    expect(readings.body).toHaveLength(2);
    const { body: project } = await api().get(`/api/v1/projects/${id}`);
    expect(Object.keys((project as Project).document.case)).toEqual([
      'spectral',
      'tarnholm-test-b',
    ]);
    for (const { sha256 } of readings.body as { sha256: string }[]) {
      const file = await api()
        .get(`/api/v1/projects/${id}/fonts/${sha256}.woff2`)
        .buffer()
        .parse(binary as never)
        .expect(200);
      expect(
        createHash('sha256')
          .update(file.body as Buffer)
          .digest('hex'),
      ).toBe(sha256);
    }
    await api()
      .get(`/api/v1/projects/${id}/fonts/${'0'.repeat(64)}`)
      .expect(404);
  });

  test('of another project are not served', async () => {
    const [mine, other] = [await newProject(), await newProject()];
    const { body } = await upload(mine.id, [SPECTRAL, 'a.woff2']).expect(201);
    const [{ sha256 }] = body as [{ sha256: string }];
    await api().get(`/api/v1/projects/${other.id}/fonts/${sha256}`).expect(404);
  });

  test('that cannot be used are refused with the reason, the case as it was', async () => {
    const { id } = await newProject();
    const sfnt = await fontverter.convert(readFileSync(SPECTRAL), 'sfnt');
    const bad: [Buffer, string, string][] = [
      [Buffer.from('Keeper’s log'), 'log.woff2', 'not-a-font'],
      [readFileSync(SPECTRAL).subarray(0, 9000), 'cut.woff2', 'cut-short'],
      [Buffer.from(withoutTable(new Uint8Array(sfnt), 'OS/2')), 'no-os2.ttf', 'table-missing'],
    ];
    for (const [file, name, reason] of bad) {
      const { body } = await upload(id, [file, name]).expect(422);
      expect(body).toMatchObject({
        type: 'urn:lettera:problem:unusable-font',
        files: [{ file: name, refused: { reason } }],
      });
    }
    const { body } = await api().get(`/api/v1/projects/${id}`);
    expect(body).toMatchObject({ revision: 1, document: { case: {} } });
  });

  test('a bad one among good ones refuses only itself', async () => {
    const { id } = await newProject();
    const { body } = await upload(
      id,
      [GELASIO, 'good.woff2'],
      [Buffer.from('no'), 'bad.ttf'],
    ).expect(201);
    expect(body).toMatchObject([
      { file: 'good.woff2', family: 'Gelasio' },
      { file: 'bad.ttf', refused: { reason: 'not-a-font' } },
    ]);
  });

  test('are undone like any change, and come back', async () => {
    const { id } = await newProject();
    await upload(id, [SPECTRAL, 'a.woff2']).expect(201);
    await api().post(`/api/v1/projects/${id}/undo`).set('If-Match', '"2"').expect(200);
    expect((await api().get(`/api/v1/projects/${id}/fonts`)).body).toEqual([]);
    await api().post(`/api/v1/projects/${id}/redo`).set('If-Match', '"3"').expect(200);
    expect((await api().get(`/api/v1/projects/${id}/fonts`)).body).toHaveLength(1);
  });

  test('of 100 MB are refused without being read', async () => {
    const { id } = await newProject();
    const { body } = await upload(id, [Buffer.alloc(100 * 1024 * 1024), 'huge.ttf']).expect(413);
    expect(body).toMatchObject({ type: 'urn:lettera:problem:too-large' });
    await api()
      .post('/api/v1/projects')
      .send({ name: 'x'.repeat(2_000_000) })
      .expect(413);
    await api().get('/api/v1/health').expect(200);
  });

  test('need a part named “file”', async () => {
    const { id } = await newProject();
    await api().post(`/api/v1/projects/${id}/fonts`).attach('font', SPECTRAL).expect(400);
    await api().post(`/api/v1/projects/${id}/fonts`).expect(400);
  });
});

describe('the foundry', () => {
  const allow = (id: string) =>
    api().put(`/api/v1/projects/${id}/foundry`).send({ allowedBy: 'Ása' }).expect(200);
  const take = (id: string, family: string, picks: unknown) =>
    api()
      .post(`/api/v1/projects/${id}/foundry/families/${family}`)
      .send(picks as object);
  const PICKS = { scripts: ['latin'], faces: [{ style: 'normal', weight: 400 }] };

  test('is asked nothing before it is allowed for the project, nor after it is withdrawn', async () => {
    const { id } = await newProject();
    const paths = ['', '/spectral', '/spectral/files/spectral-latin-400-normal.woff2'];
    const expectAll = async (status: number) => {
      for (const path of paths) {
        await api().get(`/api/v1/projects/${id}/foundry/families${path}`).expect(status);
      }
    };
    await expectAll(403);
    await take(id, 'spectral', PICKS).expect(403);
    await allow(id);
    await expectAll(200);
    await api().delete(`/api/v1/projects/${id}/foundry`).expect(200);
    await expectAll(403);
  });

  test('lists every family, paged', async () => {
    const { id } = await newProject();
    const { body } = await allow(id);
    expect(body).toMatchObject({ foundry: { allowedBy: 'Ása' } });
    const { body: families } = await api().get(`/api/v1/projects/${id}/foundry/families`);
    expect((families as unknown[]).length).toBe(111);
  });

  test('gives the faces picked, whole, and delivers variable ones cut to the weights picked', async () => {
    const { id } = await newProject();
    await allow(id);
    await take(id, 'spectral', { scripts: ['latin', 'latin-ext'], faces: PICKS.faces }).expect(201);
    const { body } = await take(id, 'literata', {
      scripts: ['latin'],
      faces: [
        { style: 'normal', weight: 400 },
        { style: 'normal', weight: 700 },
        { style: 'italic', weight: 400 },
      ],
    }).expect(201);
    const { case: families } = (body as Project).document;
    const { revision } = body as Project;
    expect(families['spectral']?.faces[0]?.files.map(({ script }) => script)).toEqual([
      'latin',
      'latin-ext',
    ]);
    expect(
      families['literata']?.faces.map(({ style, weightMin, weightMax }) => [
        style,
        weightMin,
        weightMax,
      ]),
    ).toEqual([
      ['normal', 400, 700],
      ['italic', 400, 400],
    ]);
    const { body: readings } = await api().get(`/api/v1/projects/${id}/fonts`);
    const axes = (readings as { family: string; axes: { min: number; max: number }[] }[])
      .filter(({ family }) => family.startsWith('Literata'))
      .map((reading) => reading.axes.map(({ min, max }) => [min, max]));
    expect(axes).toEqual([[[200, 900]], [[200, 900]]]);
    const seated = await patch(id, revision, [
      { op: 'replace', path: '/voices/text/family', value: 'literata' },
    ]).expect(200);
    const contents = await server.services.deliveries.contents(seated.body as Project);
    const delivered = await Promise.all(
      Object.entries(contents)
        .filter(([path]) => path.startsWith('fonts/'))
        .map(async ([path, file]) => [path, (await readFace(file as Uint8Array)).axes] as const),
    );
    expect(Object.fromEntries(delivered)).toMatchObject({
      'fonts/literata-400-700-normal-latin.woff2': [{ tag: 'wght', min: 400, max: 700 }],
      'fonts/literata-400-italic-latin.woff2': [],
    });
  });

  test.each<[string, unknown, number]>([
    ['a weight it has not', { scripts: ['latin'], faces: [{ style: 'normal', weight: 250 }] }, 400],
    ['a script it has not', { scripts: ['greek'], faces: PICKS.faces }, 400],
    ['nothing', { scripts: [], faces: [] }, 400],
    ['something that is no pick', { scripts: 'latin' }, 422],
    ['a weight that is none', { scripts: [], faces: [{ style: 'normal', weight: 0 }] }, 422],
    ['a style that is none', { scripts: [], faces: [{ style: 'oblique', weight: 400 }] }, 422],
  ])('refuses %s', async (_what, picks, status) => {
    const { id } = await newProject();
    await allow(id);
    await take(id, 'spectral', picks).expect(status);
    expect(((await api().get(`/api/v1/projects/${id}`)).body as Project).revision).toBe(1);
  });

  test('that lies or fails leaves the case as it was', async () => {
    // A server of its own, allowed without a word to the library's measuring, which would fetch as well.
    const lied = await startTestServer();
    const { id } = await lied.services.projects.create(newDocument('Lies'), []);
    await lied.services.projects.allowFoundry(id, 'Ása');
    const takeGloock = () =>
      request(lied.app).post(`/api/v1/projects/${id}/foundry/families/gloock`).send(PICKS);
    for (const fault of ['cutFilesShort', 'serveWrongFiles'] as const) {
      lied.behaviour[fault] = true;
      const { body } = await takeGloock().expect(502);
      expect((body as { detail: string }).detail).toContain('not the one it lists');
      lied.behaviour[fault] = false;
    }
    lied.behaviour.failures = 99;
    const { body } = await takeGloock().expect(502);
    expect((body as { detail: string }).detail).toContain('does not answer');
    expect((await lied.services.projects.get(id))?.document.case).toEqual({});
    lied.behaviour.failures = 2;
    await takeGloock().expect(201);
    await lied.close();
  });
});

describe('what is delivered', () => {
  async function seatedProject(): Promise<string> {
    const { id } = await newProject('Tarnholm Light Trust');
    await api().post(`/api/v1/projects/${id}/fonts`).attach('file', SPECTRAL).expect(201);
    await patch(id, 2, [{ op: 'replace', path: '/voices/text/family', value: 'spectral' }]).expect(
      200,
    );
    return id;
  }

  test('fallbacks are tried for each voice in use', async () => {
    const id = await seatedProject();
    const { body } = await api().get(`/api/v1/projects/${id}/fallbacks`).expect(200);
    const tried = (body as Record<string, { local: string; faces: unknown[] }[]>)['text/spectral'];
    expect(tried?.map(({ local }) => local)).toContain('georgia');
    const georgia = tried?.find(({ local }) => local === 'georgia');
    expect(georgia?.faces).toHaveLength(4);
  });

  test('the curve of a local font comes nearer as letters may be less even', async () => {
    const id = await seatedProject();
    const { body } = await api()
      .get(`/api/v1/projects/${id}/fallbacks/text/georgia/curve`)
      .expect(200);
    const errors = (body as { unevenness: number; steps: number[] }[]).map(({ steps }) =>
      steps.at(-1),
    );
    expect(errors.length).toBeGreaterThanOrEqual(6);
    expect(errors[4]).toBeLessThan(errors[0] ?? 0);
    await api().get(`/api/v1/projects/${id}/fallbacks/none/georgia/curve`).expect(404);
    const { body: unknown } = await api()
      .get(`/api/v1/projects/${id}/fallbacks/text/palatino/curve`)
      .expect(200);
    expect(unknown).toEqual(expect.arrayContaining([null]));
  });

  test('readings of a designer’s own fonts are kept, and fallbacks tuned over them', async () => {
    const id = await seatedProject();
    const local = `/api/v1/projects/${id}/local-fonts`;
    const letters = [...' abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ.,'];
    const reading = (width: number) => ({
      local: 'palatino',
      variant: 'regular',
      advances: {
        advances: Object.fromEntries(letters.map((one) => [one, width])),
        pairs: { To: -0.05 },
        colour: null,
        lines: null,
      },
    });
    await api()
      .post(local)
      .send([reading(0.5)])
      .expect(201);
    await api()
      .post(local)
      .send([reading(0.4)])
      .expect(201);
    const { body: kept } = await api().get(local).expect(200);
    expect(kept).toEqual([{ local: 'palatino', variant: 'regular' }]);
    const { body } = await api().get(`/api/v1/projects/${id}/fallbacks`).expect(200);
    const tried = (body as Record<string, { local: string; source: string }[]>)['text/spectral'];
    expect(tried?.find((one) => one.local === 'palatino')?.source).toBe('measured');

    for (const [bad, why] of [
      [{}, 'list'],
      [[], 'list'],
      [[{ ...reading(0.5), local: 'toaster' }], 'toaster'],
      [[{ ...reading(0.5), variant: 'loud' }], 'loud'],
      [[reading(0)], 'is 0'],
      [[{ ...reading(0.5), advances: { advances: { ab: 1 }, pairs: {} } }], 'ab'],
      [[{ ...reading(0.5), advances: { advances: { a: 'x' }, pairs: {} } }], '“a”'],
      [[{ ...reading(0.5), advances: { advances: { a: 0.5 }, pairs: { abc: 1 } } }], 'abc'],
    ] as const) {
      const { body: problem, status } = await api()
        .post(local)
        .send(bad as object);
      expect([400, 422]).toContain(status);
      expect((problem as { detail: string }).detail).toContain(why);
    }
  });

  test('the bundle holds what the plan lists, byte for byte', async () => {
    const id = await seatedProject();
    await patch(id, 3, [{ op: 'add', path: '/delivery/letters', value: 'whole' }]).expect(200);
    const { body: plan } = await api().get(`/api/v1/projects/${id}/delivery`).expect(200);
    const { body, headers } = await api()
      .get(`/api/v1/projects/${id}/bundle.zip`)
      .buffer()
      .parse(binary as never)
      .expect(200);
    expect(headers['content-disposition']).toContain('tarnholm-light-trust-type.zip');
    const files = unzipSync(new Uint8Array(body as Buffer));
    expect(
      Object.fromEntries(Object.entries(files).map(([path, { length }]) => [path, length])),
    ).toEqual(
      Object.fromEntries(
        (plan as { path: string; bytes: number }[]).map(({ path, bytes }) => [path, bytes]),
      ),
    );
    const font = files['fonts/spectral-400-normal-all.woff2'];
    expect(Buffer.from(font ?? []).equals(readFileSync(SPECTRAL))).toBe(true);
  });

  test('running text in a language is there for those that there is any of', async () => {
    const { body } = await api().get('/api/v1/languages/da/text').expect(200);
    expect((body as LanguageText).sentences.length).toBeGreaterThan(50);
    expect((body as LanguageText).sentences.join(' ')).toContain('mennesker');
    for (const none of ['xx', 'not a tag', '..%2F..']) {
      await api().get(`/api/v1/languages/${none}/text`).expect(404);
    }
  });

  test('pages come without scripts allowed, and with their layout', async () => {
    const { id } = await newProject();
    const { headers, text } = await api().get(`/api/v1/projects/${id}/pages/log`).expect(200);
    expect(headers['content-security-policy']).toContain("default-src 'none'");
    expect(headers['content-security-policy']).toContain('sandbox allow-same-origin');
    expect(text).toContain('Þokuljós');
    await api().get(`/api/v1/projects/${id}/pages/log/page.css`).expect(200);
    await api().get(`/api/v1/projects/${id}/pages/none`).expect(404);
    expect((await api().get(`/api/v1/projects/${id}/pages`)).body).toEqual([
      { slug: 'log', title: 'Log' },
    ]);
  });

  test('local fonts are shown by their open twins', async () => {
    const { body } = await api().get('/api/v1/local-fonts').expect(200);
    expect(Object.keys(body as object)).toContain('georgia');
    await api().get('/api/v1/local-fonts/georgia/bold/latin.woff2').expect(200);
    await api().get('/api/v1/local-fonts/georgia/bold/..%2f..%2fpackage.json').expect(404);
    await api().get('/api/v1/local-fonts/constructor/bold/latin.woff2').expect(404);
  });
});

describe('the API description', () => {
  test('is served, and names just the routes that there are', async () => {
    const { body } = await api().get('/api/v1/openapi.json').expect(200);
    expect(body).toMatchObject({ openapi: '3.1.0' });
    const { id } = await newProject();
    for (const [path, methods] of Object.entries(openApi.paths)) {
      if (path.endsWith('/events')) continue;
      const url = `/api/v1${path.replace('{id}', id).replace(/\{\w+\}/g, 'none')}`;
      for (const method of Object.keys(methods).filter((name) => name !== 'parameters')) {
        if (method === 'delete' && path === '/projects/{id}') continue;
        const response = await api()[method as 'get'](url);
        const detail = (response.body as { detail?: string } | undefined)?.detail ?? '';
        expect(`${method} ${path}: ${detail}`).not.toContain('There is nothing at');
      }
    }
  });

  test('describes every route that there is', () => {
    interface Layer {
      route?: { path: string; methods: Record<string, boolean> };
      handle: { stack?: Layer[] };
    }
    const routesOf = (stack: Layer[]): string[] =>
      stack.flatMap(({ route, handle }) =>
        route
          ? Object.keys(route.methods).map((method) => `${method} ${route.path.replace('*', ':')}`)
          : routesOf(handle.stack ?? []),
      );
    const { stack } = server.inner.router as unknown as { stack: Layer[] };
    const described = Object.entries(openApi.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method} ${path.replace(/\{(\w+)\}/g, ':$1')}`),
    );
    const undescribed = routesOf(stack).filter(
      (route) => route.includes('/projects') && !described.includes(route),
    );
    expect(routesOf(stack).length).toBeGreaterThan(20);
    expect(undescribed).toEqual([]);
  });
});
