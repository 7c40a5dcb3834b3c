import { afterAll, beforeAll, expect, jest, test } from '@jest/globals';
import supertest from 'supertest';
import type { DeliveryFile, MadeDelivery, Project } from '@lettera/core/wire';
import { Jobs } from '../job/jobs';
import { startTestServer, type TestServer } from '../testing/server';

const FONT = 'node_modules/@fontsource/spectral/files/spectral-latin-400-normal.woff';

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
  for (const none of ['2', '0', '-1', 'x', '1.5']) {
    await api().get(`${address}/${none}/files/lettera.css`).expect(404);
  }
  // What a browser has begun to bring goes on while the project changes.
  await api()
    .patch(address.replace('/delivery', ''))
    .set('If-Match', '"1"')
    .type('application/json-patch+json')
    .send(JSON.stringify([{ op: 'add', path: '/styles/lead/set/weight', value: 511 }]))
    .expect(200);
  const earlier = await api().get(`${address}/1/files/lettera.css`).expect(200);
  expect(earlier.text).toBe(css.text);
  const later = await api().get(`${address}/2/files/lettera.css`).expect(200);
  expect(later.text).toContain('--style-lead-font-weight: 511');
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

test('what is being made can be stopped; whoever waits is told, and it begins again only when it is asked for', async () => {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Stopped' }).expect(201);
  const { id } = body as Project;
  const address = `/api/v1/projects/${id}`;
  const { deliveries, progress } = server.services;
  jest.spyOn(deliveries, 'makeFiles').mockResolvedValueOnce(undefined);
  await api().post(`${address}/fonts`).attach('file', FONT).expect(201);
  const change = [{ op: 'replace', path: '/voices/text/family', value: 'spectral' }];
  await api()
    .patch(address)
    .set('If-Match', '"2"')
    .type('application/json-patch+json')
    .send(JSON.stringify(change))
    .expect(200);

  const derive = jest.spyOn(Jobs.prototype, 'derive');
  const begun = new Promise<void>((resolve) =>
    progress.on(id, ({ task }) => task === 'packing' && resolve()),
  );
  const waiting = api()
    .get(`${address}/delivery`)
    .then((answer) => answer);
  await begun;
  await api().delete(`${address}/delivery/making`).expect(204);
  const told = await waiting;
  expect([told.status, (told.body as { type: string }).type]).toEqual([
    409,
    'urn:lettera:problem:stopped',
  ]);
  derive.mockClear();
  const evidence = await api().get(`${address}/delivery/evidence`).expect(200);
  expect(evidence.body).toMatchObject({ made: {}, failed: {} });
  expect(derive).not.toHaveBeenCalled();

  const { body: made } = await api().get(`${address}/delivery`).expect(200);
  expect((made as DeliveryFile[]).some(({ path }) => path.endsWith('.woff2'))).toBe(true);
  await api().get(`${address}/delivery/evidence`).expect(200);
  await api().delete('/api/v1/projects/nowhere/delivery/making').expect(404);

  // Where it is only to show where it is installed, no file of it is delivered, and its face has its names.
  await api()
    .patch(address)
    .set('If-Match', '"3"')
    .type('application/json-patch+json')
    .send(JSON.stringify([{ op: 'add', path: '/case/spectral/localOnly', value: true }]))
    .expect(200);
  const { body: local } = await api().get(`${address}/delivery`).expect(200);
  expect((local as DeliveryFile[]).some(({ path }) => path.endsWith('.woff2'))).toBe(false);
  expect(cssIn(local as DeliveryFile[])).toContain(
    'src: local("Spectral Regular"), local("Spectral-Regular"), local("Spectral");',
  );
}, 60_000);

test('a bundle larger than bundles may be is refused with what to do', async () => {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Heavy' }).expect(201);
  const { id } = body as Project;
  const { deliveries } = server.services;
  const heavy: DeliveryFile = {
    path: 'fonts/heavy.woff2',
    kind: 'font',
    purpose: 'Heavy',
    source: 'a'.repeat(64),
    cut: null,
    bytes: 65 * 1024 * 1024,
  };
  jest.spyOn(deliveries, 'of').mockResolvedValueOnce({ files: [heavy], trials: {} });
  const { body: told } = await api().get(`/api/v1/projects/${id}/bundle.zip`).expect(413);
  expect((told as { detail: string }).detail).toContain('65.0 MB, and 64.0 MB is the most');
  await api().get(`/api/v1/projects/${id}/bundle.zip`).expect(200);
});
