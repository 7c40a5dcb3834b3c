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
