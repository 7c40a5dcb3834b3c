import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import type { Project, VisitState } from '@lettera/core/wire';
import { startTestServer, type TestServer } from '../testing/server';

/** Visits of a site, as their browsers send them and as the designer has them. */

let server: TestServer;
let id: string;
const state = async (method: 'get' | 'put' | 'delete' = 'get'): Promise<VisitState> => {
  const asked = request(server.app);
  return (await asked[method](`/api/v1/projects/${id}/visits`).expect(200)).body as VisitState;
};
const VISIT = {
  voices: { 'text@01234567': { drawn: 0, local: 1 } },
  text: 3,
  faces: 9,
  shift: null,
};
/** As `sendBeacon` sends it: text, from another site. */
const send = (key: string, body: unknown) =>
  request(server.inner)
    .post(`/visits/${key}`)
    .set('Origin', 'https://site.example.org')
    .set('Sec-Fetch-Site', 'cross-site')
    .set('Content-Type', 'text/plain;charset=UTF-8')
    .send(typeof body === 'string' ? body : JSON.stringify(body));

beforeAll(async () => {
  server = await startTestServer();
  const { body } = await request(server.app)
    .post('/api/v1/projects')
    .send({ name: 'Skerry' })
    .expect(201);
  ({ id } = body as Project);
});
afterAll(() => server.close());

describe('visits', () => {
  test('are not counted until that is asked for', async () => {
    expect(await state()).toEqual({ key: null, counts: [] });
    await send('a'.repeat(32), VISIT).expect(404);
    await send('constructor', VISIT).expect(404);
  });

  test('are kept as sums by day, of known things alone', async () => {
    const { key } = await state('put');
    expect(key).toMatch(/^[\w-]{32}$/);
    expect((await state('put')).key).toBe(key);
    for (let i = 0; i < 3; i++) await send(key ?? '', VISIT).expect(204);
    const day = new Date().toISOString().slice(0, 10);
    expect((await state()).counts).toEqual(
      ['drawn/text@01234567/0', 'faces/9', 'local/text@01234567/1', 'text/3', 'visits'].map(
        (what) => ({
          day,
          what,
          times: 3,
        }),
      ),
    );
  });

  test.each([
    ['no JSON', '{'],
    ['no visit', { hello: 1 }],
    ['a list', '[]'],
    ['more than a visit is', 'x'.repeat(5000)],
    ['a voice that is none', { ...VISIT, voices: { '../x@01234567': { drawn: 0, local: 0 } } }],
  ])('are refused: %s', async (_, body) => {
    const { key, counts } = await state();
    const { status } = await send(key ?? '', body);
    expect(status).toBeGreaterThanOrEqual(400);
    expect(status).toBeLessThan(500);
    expect((await state()).counts).toEqual(counts);
  });

  test('give nothing to whoever sends them', async () => {
    const { key } = await state();
    await request(server.inner).get(`/visits/${key}`).set('Accept', 'application/json').expect(404);
    await request(server.inner)
      .get(`/api/v1/projects/${id}/visits`)
      .set('Origin', 'https://site.example.org')
      .expect(403);
  });

  test('are forgotten with the key, when that is asked for', async () => {
    const { key } = await state();
    expect(await state('delete')).toEqual({ key: null, counts: [] });
    await send(key ?? '', VISIT).expect(404);
  });

  test('come so many times a minute from one address', async () => {
    const { key } = await state('put');
    const statuses = new Set<number>();
    for (let i = 0; i < 70; i++) statuses.add((await send(key ?? '', VISIT)).status);
    expect([...statuses].sort()).toEqual([204, 429]);
  });
});
