import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import supertest from 'supertest';
import type { Project, Waypoint, WaypointState } from '@lettera/core/wire';
import { MOST_WAYPOINTS } from '../store/waypointStore';
import { startTestServer, type TestServer } from '../testing/server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
const api = () => supertest(server.app);

async function newProject(): Promise<string> {
  const { body } = await api().post('/api/v1/projects').send({ name: 'Waypoints' }).expect(201);
  return `/api/v1/projects/${(body as Project).id}`;
}
const projectAt = async (address: string) => (await api().get(address).expect(200)).body as Project;
async function change(address: string, patch: object[]): Promise<Project> {
  const { revision } = await projectAt(address);
  const sent = api().patch(address).set('If-Match', `"${revision}"`);
  const { body } = await sent
    .type('application/json-patch+json')
    .send(JSON.stringify(patch))
    .expect(200);
  return body as Project;
}
const add = async (address: string, name: string): Promise<Waypoint> =>
  (await api().post(`${address}/waypoints`).send({ name }).expect(201)).body as Waypoint;
const weight = (value: number) => [{ op: 'add', path: '/styles/lead/set/weight', value }];
const weightOf = ({ document }: Pick<Project, 'document'>) => document.styles['lead']?.set.weight;

describe('a waypoint', () => {
  test('holds the state that it names, whatever comes after', async () => {
    const address = await newProject();
    await change(address, weight(500));
    const first = await add(address, ' Before the new face ');
    expect(first).toMatchObject({ name: 'Before the new face', revision: 2 });
    await change(address, weight(600));
    const second = await add(address, 'After it');
    const { body } = await api().get(`${address}/waypoints`).expect(200);
    expect((body as Waypoint[]).map(({ id }) => id)).toEqual([second.id, first.id]);
    const held = await api().get(`${address}/waypoints/${first.id}`).expect(200);
    expect(weightOf(held.body as WaypointState & Project)).toBe(500);
  });

  test('is returned to by one change, which can be undone', async () => {
    const address = await newProject();
    const { id } = await add(address, 'Start');
    const before = await projectAt(address);
    await change(address, weight(500));
    await change(address, [
      { op: 'add', path: '/styles/new', value: { name: 'New', follows: null, set: {} } },
      { op: 'replace', path: '/name', value: 'Renamed' },
    ]);
    const back = () => api().post(`${address}/waypoints/${id}/return`);
    await back().expect(428);
    await back().set('If-Match', '"1"').expect(409);
    const { body } = await back().set('If-Match', '"3"').expect(200);
    expect((body as Project).document).toEqual(before.document);
    expect((body as Project).undo).toBe('Back to “Start”');
    const undone = await api().post(`${address}/undo`).set('If-Match', '"4"').expect(200);
    expect(weightOf(undone.body as Project)).toBe(500);
    expect((undone.body as Project).name).toBe('Renamed');
  });

  test('is named otherwise and taken out; one of another project is not there', async () => {
    const [address, other] = [await newProject(), await newProject()];
    const { id } = await add(address, 'One');
    await api().put(`${address}/waypoints/${id}`).send({ name: 'Two' }).expect(204);
    const { body } = await api().get(`${address}/waypoints`).expect(200);
    expect((body as Waypoint[])[0]?.name).toBe('Two');
    for (const at of [`${other}/waypoints/${id}`, `${address}/waypoints/none`]) {
      await api().get(at).expect(404);
      await api().put(at).send({ name: 'x' }).expect(404);
      await api().post(`${at}/return`).set('If-Match', '"1"').expect(404);
      await api().delete(at).expect(404);
    }
    await api().delete(`${address}/waypoints/${id}`).expect(204);
    await api().get(`${address}/waypoints/${id}`).expect(404);
    for (const name of ['', ' ', 'x'.repeat(81), 4, null]) {
      await api().post(`${address}/waypoints`).send({ name }).expect(422);
    }
    await api().get('/api/v1/projects/nowhere/waypoints').expect(404);
  });

  test('is one of so many at most', async () => {
    const address = await newProject();
    const project = await projectAt(address);
    const { waypoints } = server.services;
    for (let i = 0; i < MOST_WAYPOINTS; i++) await waypoints.add(project, `${i}`);
    const { body } = await api().post(`${address}/waypoints`).send({ name: 'More' }).expect(422);
    expect(JSON.stringify(body)).toContain('at most 200 waypoints');
  });
});
