import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import type { KeptStock, LookedPages, PageAccount, Project } from '@lettera/core/wire';
import { readConfig } from '../config';
import { startTestServer, type TestServer } from '../testing/server';

/** Pages that are only looked at. */

let server: TestServer;
let closed: TestServer;
let site: Server;
let host: string;
const project = async ({ app }: TestServer): Promise<Project> =>
  (await request(app).post('/api/v1/projects').send({ name: 'Skerry' }).expect(201))
    .body as Project;

beforeAll(async () => {
  site = createServer((asked, response) => {
    const isPage = asked.url === '/';
    response.writeHead(200, { 'Content-Type': isPage ? 'text/html' : 'text/css' });
    response.end(
      isPage
        ? '<title>The log</title><link rel="stylesheet" href="log.css"><p>Fog</p>'
        : 'p { font-size: 18px }',
    );
  });
  await new Promise<void>((resolve) => site.listen(0, '127.0.0.1', resolve));
  host = `127.0.0.1:${(site.address() as AddressInfo).port}`;
  server = await startTestServer({ fetches: true, fetchHosts: [host] });
  closed = await startTestServer({ fetches: false, fetchHosts: [host] });
});
afterAll(async () => {
  await server.close();
  await closed.close();
  site.closeAllConnections();
  site.close();
});

describe('a page that is looked at', () => {
  test('is read and shown, and the project stays as it was', async () => {
    const { id, revision, document } = await project(server);
    const { body } = await request(server.app)
      .post(`/api/v1/projects/${id}/looked`)
      .attach('file', Buffer.from('<title>The tides</title><p>Ebb</p>'), 'tides.html')
      .expect(201);
    const { pages } = body as LookedPages;
    expect(pages).toEqual([{ name: 'The tides', site: pages[0]?.site, path: 'tides.html' }]);
    const place = new URLSearchParams({ site: pages[0]?.site ?? '', path: 'tides.html' });
    const shown = await request(server.app)
      .get(`/api/v1/projects/${id}/pages/x?${place}`)
      .expect(200);
    expect(shown.text).toContain('<p>Ebb</p>');
    const after = (await request(server.app).get(`/api/v1/projects/${id}`).expect(200))
      .body as Project;
    expect([after.revision, after.document]).toEqual([revision, document]);
    await request(server.app)
      .get(`/api/v1/projects/${id}/pages/x?site=${'0'.repeat(64)}&path=tides.html`)
      .expect(404);
    await request(server.app).post(`/api/v1/projects/${id}/looked`).expect(400);
  });

  test('comes from an address that was typed', async () => {
    const { id } = await project(server);
    const { body } = await request(server.app)
      .post(`/api/v1/projects/${id}/looked/address`)
      .send({ address: `http://${host}/` })
      .expect(201);
    const [page] = (body as LookedPages).pages;
    expect(page?.name).toBe('The log');
    const place = new URLSearchParams({ site: page?.site ?? '', path: page?.path ?? '' });
    const account = (
      await request(server.app).get(`/api/v1/projects/${id}/pages/x/account?${place}`).expect(200)
    ).body as PageAccount;
    expect(account.rules.map(({ selectors }) => selectors[0]?.text)).toEqual(['p']);
  });

  test.each<[unknown, number]>([
    ['http://127.0.0.1:1/', 403],
    ['http://169.254.169.254/', 403],
    ['file:///etc/passwd', 422],
    ['', 422],
    [7, 422],
  ])('not from %p', async (address, status) => {
    const { id } = await project(server);
    const { body } = await request(server.app)
      .post(`/api/v1/projects/${id}/looked/address`)
      .send({ address })
      .expect(status);
    expect((body as { detail: string }).detail).toBeTruthy();
  });

  test('not at all where that was not asked for at start', async () => {
    const { id } = await project(closed);
    const { body } = await request(closed.app)
      .post(`/api/v1/projects/${id}/looked/address`)
      .send({ address: `http://${host}/` })
      .expect(403);
    expect((body as { type: string }).type).toBe('urn:lettera:problem:fetching-off');
  });
});

test('pages are fetched unless Lettera is shared, or as it was said', () => {
  expect(readConfig({}, {}).fetches).toBe(true);
  const shared = { host: '0.0.0.0', token: 'x'.repeat(16) };
  expect(readConfig(shared, {}).fetches).toBe(false);
  expect(readConfig({ ...shared, fetch: 'on' }, {}).fetches).toBe(true);
  expect(readConfig({}, { LETTERA_FETCH: 'off' }).fetches).toBe(false);
  expect(() => readConfig({ fetch: 'maybe' }, {})).toThrow('says not whether');
  expect(readConfig({ fetchHosts: 'Site.test:80, b.test' }, {}).fetchHosts).toEqual([
    'site.test:80',
    'b.test',
  ]);
});

describe('the site that was taken stock of last', () => {
  test('is kept beside the project, and forgotten', async () => {
    const { id, revision } = await project(server);
    const at = `/api/v1/projects/${id}/stock`;
    expect((await request(server.app).get(at).expect(200)).body).toEqual({ made: null, pages: [] });
    const { body } = await request(server.app)
      .post(`/api/v1/projects/${id}/looked`)
      .attach('file', Buffer.from('<title>The tides</title><p>Ebb</p>'), 'tides.html')
      .expect(201);
    const { pages } = body as LookedPages;
    const kept = (await request(server.app).put(at).send({ pages }).expect(200)).body as KeptStock;
    expect(kept.pages).toEqual(pages);
    const from = pages.map((page) => ({ ...page, address: 'https://tarnholm.example/' }));
    await request(server.app).put(at).send({ pages: from }).expect(200);
    expect((await request(server.app).get(at).expect(200)).body).toMatchObject({ pages: from });
    await request(server.app)
      .put(at)
      .send({ pages: pages.map((page) => ({ ...page, address: 7 })) })
      .expect(422);
    await request(server.app).put(at).send({ pages }).expect(200);
    expect(Date.parse(kept.made ?? '')).toBeGreaterThan(0);
    expect((await request(server.app).get(at).expect(200)).body).toMatchObject({ pages });
    const after = (await request(server.app).get(`/api/v1/projects/${id}`).expect(200))
      .body as Project;
    expect(after.revision).toBe(revision);
    await request(server.app).delete(at).expect(204);
    expect((await request(server.app).get(at).expect(200)).body).toEqual({ made: null, pages: [] });
  });

  test('goes with its files when it is left, or another takes its place, but for what the project has pages of', async () => {
    const { id } = await project(server);
    const at = `/api/v1/projects/${id}`;
    const looked = async (words: string) => {
      const { body } = await request(server.app)
        .post(`${at}/looked`)
        .attach('file', Buffer.from(`<title>${words}</title><p>${words}</p>`), 'index.html')
        .expect(201);
      return (body as LookedPages).pages;
    };
    const keep = (pages: object) =>
      request(server.app).put(`${at}/stock`).send({ pages }).expect(200);
    const there = async (pages: readonly { site: string; path: string }[]) => {
      const [{ site, path } = { site: '', path: '' }] = pages;
      const place = new URLSearchParams({ site, path });
      return (await request(server.app).get(`${at}/pages/x?${place}`)).status === 200;
    };
    const [ebb, flood, slack] = [await looked('Ebb'), await looked('Flood'), await looked('Slack')];
    await keep(ebb);
    expect(await there(ebb)).toBe(true);
    await keep(flood);
    expect([await there(ebb), await there(flood)]).toEqual([false, true]);

    // What undo can bring back needs its files.
    const taken = await request(server.app)
      .patch(at)
      .set('If-Match', '"1"')
      .set('Content-Type', 'application/json-patch+json')
      .send(JSON.stringify([{ op: 'add', path: '/pages', value: { flood: flood[0] } }]))
      .expect(200);
    await request(server.app)
      .post(`${at}/undo`)
      .set('If-Match', taken.headers['etag'] as string)
      .expect(200);
    await keep(slack);
    expect([await there(flood), await there(slack)]).toEqual([true, true]);
    await request(server.app).delete(`${at}/stock`).expect(204);
    expect([await there(flood), await there(slack)]).toEqual([true, false]);
  });

  test.each<[unknown, number]>([
    [{}, 422],
    [{ pages: 'all' }, 422],
    [{ pages: [null] }, 422],
    [{ pages: [{ name: 'x'.repeat(200), site: '0', path: 'a' }] }, 422],
    [{ pages: [{ name: 'x', site: '0'.repeat(64), path: 'a.html' }] }, 404],
  ])('is not %p', async (body, status) => {
    const { id } = await project(server);
    const at = `/api/v1/projects/${id}/stock`;
    await request(server.app)
      .put(at)
      .send(body as object)
      .expect(status);
    expect((await request(server.app).get(at).expect(200)).body).toEqual({ made: null, pages: [] });
  });
});

describe('an inner host', () => {
  const hostsOf = (id: string) => `/api/v1/projects/${id}/hosts`;
  const fetchIn = (of: TestServer, id: string, more: object = {}) =>
    request(of.app)
      .post(`/api/v1/projects/${id}/looked/address`)
      .send({ address: `http://${host}/`, ...more });

  test('is asked once it was allowed for the project, until that is withdrawn', async () => {
    const own = await startTestServer({ fetches: true, fetchHosts: [] });
    try {
      const [one, other] = [await project(own), await project(own)];
      const refused = await fetchIn(own, one.id).expect(403);
      expect(refused.body).toMatchObject({ type: 'urn:lettera:problem:inner-host', host });
      const allowed = await request(own.app)
        .put(`${hostsOf(one.id)}/${host}`)
        .send({ allowedBy: 'Ása' })
        .expect(200);
      expect(allowed.body).toMatchObject([{ host, allowedBy: 'Ása' }]);
      await fetchIn(own, one.id).expect(201);
      // For that project alone, and for that host with its port.
      await fetchIn(own, other.id).expect(403);
      await request(own.app)
        .post(`/api/v1/projects/${one.id}/looked/address`)
        .send({ address: 'http://127.0.0.1:1/' })
        .expect(403);
      await request(own.app)
        .delete(`${hostsOf(one.id)}/${host}`)
        .expect(200, []);
      await fetchIn(own, one.id).expect(403);
    } finally {
      await own.close();
    }
  });

  test('is not to be allowed where Lettera is shared', async () => {
    const shared = await startTestServer({ fetches: true, fetchHosts: [], token: 'x'.repeat(20) });
    try {
      const as = { Authorization: `Bearer ${'x'.repeat(20)}` };
      const { body } = await request(shared.app)
        .post('/api/v1/projects')
        .set(as)
        .send({ name: 'Skerry' })
        .expect(201);
      const { id } = body as Project;
      const answer = await request(shared.app)
        .put(`${hostsOf(id)}/${host}`)
        .set(as)
        .send({ allowedBy: 'Ása' })
        .expect(403);
      expect((answer.body as { detail: string }).detail).toContain('--fetch-hosts');
      const refused = await request(shared.app)
        .post(`/api/v1/projects/${id}/looked/address`)
        .set(as)
        .send({ address: `http://${host}/` })
        .expect(403);
      expect(refused.body).not.toHaveProperty('host');
    } finally {
      await shared.close();
    }
  });

  test.each(['a b', 'x/y', 'x:99999999', '-x', 'http://x', 'x@y'])('%s is none', async (name) => {
    const { id } = await project(server);
    await request(server.app)
      .put(`${hostsOf(id)}/${encodeURIComponent(name)}`)
      .send({ allowedBy: 'Ása' })
      .expect(400);
  });

  test('headers are sent along, but none that say how it is sent', async () => {
    const { id } = await project(server);
    const withHeader = (name: string, value: string) =>
      fetchIn(server, id, { headers: [{ name, value }] });
    await withHeader('X-Preview', 'abc').expect(201);
    for (const name of ['Host', 'content-length', 'Transfer-Encoding', 'X Y', 'X:Y', '']) {
      await withHeader(name, 'abc').expect(422);
    }
    for (const value of ['a\r\nX: b', 'a\nb', '', '\u0000']) {
      await withHeader('X-Preview', value).expect(422);
    }
  });
});
