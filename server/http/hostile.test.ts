import { readFileSync } from 'node:fs';
import { createServer, request as send, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fontverter from 'fontverter';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/server';
import { openApi } from './openapi';
import type { Project } from '@lettera/core/wire';

/** Requests that are not meant well, or that break off: each is refused in words, and the next is served. */

const SPECTRAL = 'node_modules/@fontsource/spectral/files/spectral-latin-400-normal.woff2';

let server: TestServer;
let listening: Server;
const api = () => request(server.app);
const newProject = async (): Promise<Project> =>
  (await api().post('/api/v1/projects').send({ name: 'Skerry' }).expect(201)).body as Project;

beforeAll(async () => {
  server = await startTestServer();
  listening = createServer(server.app);
  await new Promise<void>((resolve) => listening.listen(0, '127.0.0.1', resolve));
});
afterAll(async () => {
  listening.closeAllConnections();
  await new Promise((resolve) => listening.close(resolve));
  await server.close();
});

const patch = (id: string, operations: unknown) =>
  api()
    .patch(`/api/v1/projects/${id}`)
    .set('Content-Type', 'application/json-patch+json')
    .set('If-Match', '"1"')
    .send(typeof operations === 'string' ? operations : JSON.stringify(operations));

interface Answer {
  status: number;
  body: { type?: string; detail?: string };
}

/** Sends a body piece by piece, without saying how long it will be. */
function sendPieces(
  path: string,
  headers: Record<string, string>,
  pieces: Iterable<string | Uint8Array>,
): Promise<Answer> {
  const { port } = listening.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const sending = send(
      { port, path, method: 'POST', headers: { 'Transfer-Encoding': 'chunked', ...headers } },
      (response) => {
        let text = '';
        response.setEncoding('utf8').on('data', (chunk: string) => (text += chunk));
        response.on('end', () =>
          resolve({
            status: response.statusCode ?? 0,
            body: text.startsWith('{') ? (JSON.parse(text) as Answer['body']) : {},
          }),
        );
      },
    );
    // Who is refused while still sending may find the connection gone.
    sending.on('error', reject);
    for (const piece of pieces) sending.write(piece);
    sending.end();
  });
}

const BOUNDARY = 'keeper';
const MULTIPART = { 'Content-Type': `multipart/form-data; boundary=${BOUNDARY}` };
const part = (name: string) =>
  `--${BOUNDARY}\r\nContent-Disposition: form-data; name="file"; filename="${name}"\r\nContent-Type: font/woff2\r\n\r\n`;
const END = `\r\n--${BOUNDARY}--\r\n`;

describe('a patch', () => {
  test.each([14, 18, 600])(
    'that doubles the document %i times is refused, here and where it is tried',
    async (times) => {
      const { id } = await newProject();
      const doubling = Array.from({ length: times }, (_, i) => ({
        op: 'copy',
        from: '/elements',
        path: `/elements/x${i}`,
      }));
      const before = process.memoryUsage().rss;
      await patch(id, doubling).expect(422);
      await api().post(`/api/v1/projects/${id}/fallbacks`).send(doubling).expect(422);
      expect(process.memoryUsage().rss - before).toBeLessThan(300e6);
      expect((await api().get(`/api/v1/projects/${id}`)).body).toMatchObject({ revision: 1 });
    },
  );

  test.each<[string, unknown]>([
    ['under __proto__', [{ op: 'add', path: '/__proto__/x', value: 1 }]],
    ['of __proto__', '[{"op":"add","path":"/styles/x","value":{"__proto__":{"name":"x"}}}]'],
    ['of constructor', [{ op: 'add', path: '/constructor', value: {} }]],
    ['of hasOwnProperty', [{ op: 'add', path: '/hasOwnProperty', value: {} }]],
    ['under constructor', [{ op: 'replace', path: '/constructor/name', value: 'x' }]],
    ['into itself', [{ op: 'move', from: '/scale', path: '/scale/small' }]],
    ['from what is inherited', [{ op: 'copy', from: '/toString', path: '/words' }]],
    ['of a list for what is set', [{ op: 'replace', path: '/styles/lead/set', value: [] }]],
    ['of spaces for a name', [{ op: 'replace', path: '/name', value: '  ' }]],
    ['of NUL in a name', [{ op: 'replace', path: '/name', value: 'a\u0000b' }]],
    ['beyond the list', [{ op: 'add', path: '/languages/5', value: 'is' }]],
    ['without a value', [{ op: 'add', path: '/words' }]],
    ['of no list', { op: 'add' }],
    ['of null', 'null'],
    ['of nulls', [null]],
    [
      '50,000 deep',
      `[{"op":"add","path":"/words","value":${'['.repeat(50_000)}${']'.repeat(50_000)}}]`,
    ],
    [
      '50,000 deep in objects',
      `[{"op":"add","path":"/styles/x","value":${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}}]`,
    ],
  ])('%s is refused as invalid, said once, and nothing is stored', async (_what, operations) => {
    const { id } = await newProject();
    const { body } = await patch(id, operations).expect(422);
    const { detail = '' } = body as Answer['body'];
    expect(detail.match(/Nothing was changed\./g)).toHaveLength(1);
    expect((await api().get(`/api/v1/projects/${id}`)).body).toMatchObject({ revision: 1 });
  });
});

describe('an upload', () => {
  test('that breaks off, or is no form, is refused in words', async () => {
    const { id } = await newProject();
    const path = `/api/v1/projects/${id}/fonts`;
    const whole = readFileSync(SPECTRAL);
    const half = await sendPieces(path, MULTIPART, [part('a.woff2'), whole.subarray(0, 5000)]);
    expect(half).toMatchObject({
      status: 422,
      body: { type: 'urn:lettera:problem:unreadable-upload' },
    });
    const header = await sendPieces(path, MULTIPART, [`--${BOUNDARY}\r\nContent-Disp`]);
    expect(header.status).toBe(422);
    const unbounded = await sendPieces(path, { 'Content-Type': 'multipart/form-data' }, [
      part('a'),
      END,
    ]);
    expect(unbounded.status).toBe(422);
    const none = await sendPieces(path, { 'Content-Type': 'text/plain' }, ['x']);
    expect(none.status).toBe(400);
    const sound = await sendPieces(path, MULTIPART, [part('a.woff2'), whole, END]);
    expect(sound.status).toBe(201);
  });

  test('is counted as it is read, whatever it says of itself: one file, and all together', async () => {
    const { id } = await newProject();
    const path = `/api/v1/projects/${id}/fonts`;
    const megabyte = new Uint8Array(1024 * 1024);
    const file = (name: string, megabytes: number) => [
      part(name),
      ...Array.from({ length: megabytes }, () => megabyte),
      '\r\n',
    ];
    const large = await sendPieces(path, MULTIPART, [...file('a.woff2', 21), END]);
    expect(large).toMatchObject({ status: 413 });
    const before = process.memoryUsage().rss;
    const many = await sendPieces(path, MULTIPART, [
      ...Array.from({ length: 7 }, (_, i) => file(`${i}.woff2`, 19)).flat(),
      END,
    ]);
    expect(many).toMatchObject({
      status: 413,
      body: { detail: expect.stringContaining('120 MB') },
    });
    // What the sender holds of its own is a megabyte.
    expect(process.memoryUsage().rss - before).toBeLessThan(250e6);
    await api().get(`/api/v1/projects/${id}`).expect(200);
  });

  test('of two files that each exhaust a reader is refused, one after the other and together', async () => {
    const { id } = await newProject();
    const kalam = readFileSync('node_modules/@fontsource/kalam/files/kalam-latin-400-normal.woff2');
    const sfnt = await fontverter.convert(kalam, 'sfnt');
    const [a, b] = (
      [
        [788, 163],
        [852, 2],
      ] as const
    ).map(([at, value]) => {
      const file = Buffer.from(sfnt);
      file[at] = value;
      return file;
    }) as [Buffer, Buffer];
    const post = (file: Buffer, route = 'fonts') =>
      api().post(`/api/v1/projects/${id}/${route}`).attach('file', file, 'kalam.ttf');
    for (const file of [a, b, a, b]) expect([201, 422]).toContain((await post(file)).status);
    for (const file of [a, b, b])
      expect([200, 422]).toContain((await post(file, 'measures')).status);
    const all = await Promise.all([a, b, a, b].map((file) => post(file)));
    for (const { status } of all) expect([201, 422]).toContain(status);
    await api().post(`/api/v1/projects/${id}/fonts`).attach('file', SPECTRAL).expect(201);
  });
});

describe('a key that every object has', () => {
  const KEYS = ['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf'];

  test.each(KEYS)(
    '“%s” is answered on every route, and the next request is served',
    async (key) => {
      const { id } = await newProject();
      for (const [path, methods] of Object.entries(openApi.paths)) {
        if (path.endsWith('/events')) continue;
        const url = `/api/v1${path.replace('{id}', id).replace(/\{\w+\}/g, key)}`;
        for (const method of Object.keys(methods).filter((name) => name !== 'parameters')) {
          if (method === 'delete' && path === '/projects/{id}') continue;
          const sent = api()[method as 'get'](url);
          const { status, body } = await sent.set('If-Match', '"1"');
          const { type = '' } = body as Answer['body'];
          expect(`${method} ${path} ${status} ${type}`).not.toMatch(/ 500 /);
        }
      }
      await api().get(`/api/v1/projects/${id}/pages/${key}/account`).expect(404);
      await api().get(`/api/v1/projects/${key}`).expect(404);
      await api().get(`/api/v1/projects/${id}`).expect(200);
    },
  );
});

describe('what is not there', () => {
  test('is said to be so: of the foundry, of the prototype', async () => {
    const { id } = await newProject();
    await api().put(`/api/v1/projects/${id}/foundry`).send({ allowedBy: 'Ása' }).expect(200);
    await api().get(`/api/v1/projects/${id}/foundry/families/no-such-family`).expect(404);
    await api().get(`/api/v1/projects/${id}/foundry/families/constructor`).expect(404);
    await api()
      .post(`/api/v1/projects/${id}/references`)
      .send({
        name: 'Keeper',
        stylesheet: 'https://type.tarnholm.example/s.css',
        class: 'serif',
        standIn: 'case/constructor',
        faces: [{ style: 'normal', weight: 400 }],
      })
      .expect(400);
    await api().get(`/api/v1/projects/${id}/case/constructor/sheet`).expect(404);
  });
});

describe('fonts that no project has any more', () => {
  test('are removed with the last that has them', async () => {
    const [one, other] = [await newProject(), await newProject()];
    const gelasio = 'node_modules/@fontsource/gelasio/files/gelasio-latin-700-normal.woff2';
    for (const { id } of [one, other]) {
      await api().post(`/api/v1/projects/${id}/fonts`).attach('file', gelasio).expect(201);
    }
    const { body } = await api().get(`/api/v1/projects/${one.id}/fonts`);
    const [{ sha256 }] = body as [{ sha256: string }];
    const kept = async () => (await server.services.fonts.files([sha256])).size;
    await api().delete(`/api/v1/projects/${one.id}`).expect(204);
    expect(await kept()).toBe(1);
    await api().delete(`/api/v1/projects/${other.id}`).expect(204);
    expect(await kept()).toBe(0);
  });
});

describe('a font that is no WOFF2', () => {
  test('can be used at once, and is packed for what is delivered, with progress', async () => {
    const { id } = await newProject();
    const reports: unknown[] = [];
    server.services.progress.on(id, ({ task, done, of }) => reports.push([task, done, of]));
    const otf = 'core/font/golden/tarnholm-slab.otf';
    const { body } = await api()
      .post(`/api/v1/projects/${id}/fonts`)
      .attach('file', otf)
      .expect(201);
    const [{ sha256 }] = body as [{ sha256: string }];
    const taken = (await api().get(`/api/v1/projects/${id}`)).body as Project;
    const [key = ''] = Object.keys(taken.document.case);
    await api()
      .patch(`/api/v1/projects/${id}`)
      .set('Content-Type', 'application/json-patch+json')
      .set('If-Match', `"${taken.revision}"`)
      .send(JSON.stringify([{ op: 'replace', path: '/voices/text/family', value: key }]))
      .expect(200);
    const { body: files } = await api().get(`/api/v1/projects/${id}/delivery`).expect(200);
    const font = (files as { path: string; bytes: number; source: string; cut: string }[]).find(
      ({ path }) => path.endsWith('.woff2'),
    );
    expect(font).toMatchObject({ source: sha256, cut: 'woff2' });
    const contents = await server.services.deliveries.contents(
      (await api().get(`/api/v1/projects/${id}`)).body as Project,
    );
    const delivered = contents[font?.path ?? ''] as Uint8Array;
    expect(new TextDecoder().decode(delivered.subarray(0, 4))).toBe('wOF2');
    expect(delivered.byteLength).toBe(font?.bytes);
    expect(delivered.byteLength).toBeLessThan(readFileSync(otf).byteLength);
    expect(reports).toContainEqual(['packing', 1, 1]);
    const { body: evidence } = await api().get(`/api/v1/projects/${id}/delivery/evidence`);
    expect(evidence).toMatchObject({ made: { [`${sha256} woff2`]: font?.bytes }, failed: {} });
  });
});
