import { afterAll, beforeAll, expect, test } from '@jest/globals';
import supertest from 'supertest';
import type { DeliveryFile, MadeDelivery, Project } from '@lettera/core/wire';
import { startTestServer, type TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
const api = () => supertest(server.app);

const cssIn = (files: DeliveryFile[]): string => {
  const file = files.find(({ path }) => path === 'lettera.css');
  return file?.kind === 'text' ? file.content : '';
};

test('deliveries are kept, and can be had again as they were', async () => {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Handed over' }).expect(201);
  const address = `/api/v1/projects/${(body as Project).id}`;
  const listed = async () =>
    (await api().get(`${address}/deliveries`).expect(200)).body as MadeDelivery[];
  const change = (revision: number, weight: number) =>
    api()
      .patch(address)
      .set('If-Match', `"${revision}"`)
      .type('application/json-patch+json')
      .send(JSON.stringify([{ op: 'add', path: '/styles/lead/set/weight', value: weight }]))
      .expect(200);

  expect(await listed()).toEqual([]);
  await change(1, 511);
  const kept = (await api().post(`${address}/deliveries`).expect(201)).body as MadeDelivery;
  expect(kept.revision).toBe(2);
  await change(2, 612);
  await change(3, 613);
  await api().post(`${address}/deliveries`).expect(201);
  // Delivered once more, it counts once.
  await api().post(`${address}/deliveries`).expect(201);
  expect((await listed()).map(({ revision }) => revision)).toEqual([4, 2]);

  const before = await api().get(`${address}/deliveries/2`).expect(200);
  expect(cssIn(before.body as DeliveryFile[])).toContain('--style-lead-font-weight: 511');
  const now = await api().get(`${address}/delivery`).expect(200);
  expect(cssIn(now.body as DeliveryFile[])).toContain('--style-lead-font-weight: 613');
  const zip = await api().get(`${address}/deliveries/2/bundle.zip`).expect(200);
  expect(zip.headers['content-type']).toContain('application/zip');

  for (const none of ['3', '99', 'x', '-1']) {
    await api().get(`${address}/deliveries/${none}`).expect(404);
    await api().get(`${address}/deliveries/${none}/bundle.zip`).expect(404);
  }
  await api().get('/api/v1/projects/nowhere/deliveries').expect(404);
  await api().post('/api/v1/projects/nowhere/deliveries').expect(404);
});

test('a project is saved to one file and opened beside itself; what is no project file is refused', async () => {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Taken along' }).expect(201);
  const { id } = body as Project;
  const saved = await api()
    .get(`/api/v1/projects/${id}/project-file`)
    .buffer()
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  expect(saved.headers['content-disposition']).toContain('taken-along.lettera');
  const opened = await api()
    .post('/api/v1/projects/opened')
    .attach('file', saved.body as Buffer, 'taken-along.lettera')
    .expect(201);
  expect((opened.body as Project).document).toEqual((body as Project).document);
  expect((opened.body as Project).id).not.toBe(id);
  const refused = await api()
    .post('/api/v1/projects/opened')
    .attach('file', Buffer.from('hello'), 'x.lettera')
    .expect(422);
  expect(refused.body).toMatchObject({ type: 'urn:lettera:problem:unusable-project' });
  await api().post('/api/v1/projects/opened').expect(400);
  const { body: marks } = await api().get(`/api/v1/projects/${id}/marks`).expect(200);
  expect((marks as { marks: unknown[] }).marks).toBeInstanceOf(Array);
});

test('a file of the bundle is served as a site would have it, beside a bare page', async () => {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Bare' }).expect(201);
  const address = `/api/v1/projects/${(body as Project).id}/delivery`;
  const css = await api().get(`${address}/1/files/lettera.css`).expect(200);
  expect(css.headers['content-type']).toContain('text/css');
  expect(css.text).toBe(cssIn((await api().get(address)).body as DeliveryFile[]));
  const page = await api().get(`${address}/1/files/bare-page`).expect(200);
  expect(page.headers['content-security-policy']).toContain('sandbox');
  expect(page.text).toContain('data-element="h1"');
  await api().get(`${address}/1/files/../../secret`).expect(404);
  await api().get(`${address}/1/files/fonts/none.woff2`).expect(404);
  await api().get(`${address}/2/files/lettera.css`).expect(404);
});

test('bytes after a change are told, and nothing is changed', async () => {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Lighter' }).expect(201);
  const address = `/api/v1/projects/${(body as Project).id}/delivery/bytes`;
  await api()
    .post(address)
    .send([[{ op: 'add', path: '/delivery/features', value: 'used' }]])
    .expect(200, [0]);
  await api().post(address).send({}).expect(400);
  await api()
    .post(address)
    .send([[{ op: 'add', path: '/delivery/features', value: 'x' }]])
    .expect(422);
});
