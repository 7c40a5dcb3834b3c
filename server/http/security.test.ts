import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import request from 'supertest';
import { newDocument } from '@lettera/core/document';
import { ConfigError, readConfig, type Config } from '../config';
import { SESSION_LENGTH } from '../store/sessionStore';
import { startTestServer, type TestServer } from '../testing/server';

describe('on loopback', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());

  test('another host name is refused, as a rebound one would be', async () => {
    const { body } = await request(server.app)
      .get('/api/v1/projects')
      .set('Host', 'tarnholm.example:4380')
      .expect(403);
    expect(body).toMatchObject({ type: 'urn:lettera:problem:foreign-request' });
    await request(server.app).get('/api/v1/projects').set('Host', 'localhost:9').expect(200);
  });

  test('requests of other sites are refused', async () => {
    const post = (headers: Record<string, string>) =>
      request(server.app).post('/api/v1/projects').set(headers).send({ name: 'x' });
    await post({ Host: 'localhost:1', Origin: 'http://tarnholm.example' }).expect(403);
    await post({ Host: 'localhost:1', Origin: 'http://localhost:2' }).expect(403);
    await post({ 'Sec-Fetch-Site': 'cross-site' }).expect(403);
    // Another port or name of the same machine is another site to us.
    await post({ 'Sec-Fetch-Site': 'same-site' }).expect(403);
    await post({ 'Sec-Fetch-Site': 'same-origin' }).expect(201);
    const get = (headers: Record<string, string>) =>
      request(server.app).get('/api/v1/projects').set(headers);
    for (const site of ['cross-site', 'same-site']) {
      await get({ 'Sec-Fetch-Site': site }).expect(403);
      await get({ 'Sec-Fetch-Site': site, 'Sec-Fetch-Mode': 'navigate' }).expect(200);
    }
    await post({ Host: 'localhost:1', Origin: 'http://localhost:1' }).expect(201);
  });

  test('answers carry a strict policy', async () => {
    const { headers } = await request(server.app).get('/api/v1/health').expect(200);
    const policy = headers['content-security-policy'] ?? '';
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain('unsafe');
    expect(headers['x-content-type-options']).toBe('nosniff');
  });

  test('no token is needed', async () => {
    const { body } = await request(server.app).get('/api/v1/session').expect(200);
    expect(body).toEqual({ tokenNeeded: false, signedIn: true });
  });
});

let guarded: TestServer;

describe('with an access token', () => {
  const token = 'three-flashes-every-twenty-seconds';
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer({ token });
  });
  afterAll(() => server.close());

  test('nothing is told without it', async () => {
    await request(server.app).get('/api/v1/projects').expect(401);
    await request(server.app).get('/api/v1/projects').set('Authorization', 'Bearer no').expect(401);
    await request(server.app)
      .get('/api/v1/projects')
      .set('Authorization', `Bearer ${token}`)
      .expect(200);
    await request(server.app).get('/api/v1/health').expect(200);
  });

  test('a session holds it in a cookie that scripts and other sites cannot use', async () => {
    const agent = request.agent(server.app);
    await agent.post('/api/v1/session').send({ token: 'wrong' }).expect(401);
    const { headers } = await agent.post('/api/v1/session').send({ token }).expect(200);
    const [cookie = ''] = headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    expect(cookie).not.toContain(token);
    await agent.get('/api/v1/projects').expect(200);
  });

  test('a session is of its own, lasts as long as it is not ended, and ends with the token', async () => {
    const agent = request.agent(server.app);
    const other = request.agent(server.app);
    const cookies = await Promise.all(
      [agent, other].map(async (one) => {
        const { headers } = await one.post('/api/v1/session').send({ token }).expect(200);
        return (headers['set-cookie'] as unknown as string[])[0] ?? '';
      }),
    );
    expect(cookies[0]?.split(';')[0]).not.toBe(cookies[1]?.split(';')[0]);
    expect(cookies[0]).not.toMatch(/Secure/);
    const kept = cookies[0]?.split(';')[0] ?? '';
    await agent.delete('/api/v1/session').expect(204);
    await agent.get('/api/v1/projects').expect(401);
    await request(server.app).get('/api/v1/projects').set('Cookie', kept).expect(401);
    await other.get('/api/v1/projects').expect(200);
    const value = cookies[1]?.split(';')[0]?.split('=')[1] ?? '';
    expect(await server.services.sessions.holds(value, token)).toBe(true);
    expect(await server.services.sessions.holds(value, 'another-token-altogether')).toBe(false);
  });

  test('a session lasts for its time and no longer', async () => {
    const { sessions } = server.services;
    const now = jest.spyOn(Date, 'now');
    const begun = Date.parse('1871-10-01T05:00:00Z');
    now.mockReturnValue(begun);
    const value = await sessions.begin(token);
    now.mockReturnValue(begun + SESSION_LENGTH - 1);
    expect(await sessions.holds(value, token)).toBe(true);
    now.mockReturnValue(begun + SESSION_LENGTH);
    expect(await sessions.holds(value, token)).toBe(false);
    now.mockRestore();
  });

  test('the stream of what happens ends with the session that it was asked for with', async () => {
    const { id } = await server.services.projects.create(newDocument('Skerry'), []);
    const listening = server.inner.listen(0, '127.0.0.1');
    await once(listening, 'listening');
    const { port } = listening.address() as AddressInfo;
    const cookieOf = async () =>
      (await server.services.sessions.begin(token)).replace(/^/, 'lettera_session=');
    const [ended, kept] = [await cookieOf(), await cookieOf()];
    const stream = (Cookie: string) =>
      fetch(`http://127.0.0.1:${port}/api/v1/projects/${id}/events`, { headers: { Cookie } });
    const [one, other] = [await stream(ended), await stream(kept)];
    await request(server.app).delete('/api/v1/session').set('Cookie', ended).expect(204);
    expect(await one.text()).toContain('event: hello');
    const reader = other.body?.getReader();
    await server.services.projects.change(id, 1, [{ op: 'replace', path: '/name', value: 'Holm' }]);
    let heard = '';
    while (!heard.includes('event: revision')) {
      const { value, done } = (await reader?.read()) ?? { done: true, value: undefined };
      if (done) break;
      heard += new TextDecoder().decode(value);
    }
    expect(heard).toContain('event: revision');
    await reader?.cancel();
    listening.closeAllConnections();
    listening.close();
  });

  test.each<[string, (guess: number) => request.Test]>([
    [
      'signing in',
      (guess) =>
        request(guarded.app)
          .post('/api/v1/session')
          .send({ token: `${guess}` }),
    ],
    [
      'a bearer',
      (guess) =>
        request(guarded.app).get('/api/v1/projects').set('Authorization', `Bearer ${guess}`),
    ],
  ])(
    'guessing it by %s is slowed down, and the right one is right all the same',
    async (_how, guess) => {
      guarded = await startTestServer({ token });
      const right = () =>
        request(guarded.app).get('/api/v1/projects').set('Authorization', `Bearer ${token}`);
      for (let i = 0; i < 15; i++) await right().expect(200);
      for (let i = 0; i < 10; i++) expect((await guess(i)).status).toBe(401);
      expect((await guess(11)).status).toBe(429);
      // Whoever has it may stand behind the same proxy as whoever guesses.
      await right().expect(200);
      await request(guarded.app).post('/api/v1/session').send({ token }).expect(200);
      await guarded.close();
    },
  );
});

describe('behind a proxy with TLS', () => {
  const forwarded = {
    Host: 'type.tarnholm.example',
    Origin: 'https://type.tarnholm.example',
    'X-Forwarded-Proto': 'https',
  };
  const start = (trustedProxy: Config['trustedProxy']) =>
    startTestServer({ trustedProxy, hostNames: ['type.tarnholm.example'], token: 'x'.repeat(20) });
  const signIn = (server: TestServer, headers: Record<string, string>) =>
    request(server.app)
      .post('/api/v1/session')
      .set(headers)
      .send({ token: 'x'.repeat(20) });

  test('that is trusted, the origin is what it says, and the cookie is for TLS alone', async () => {
    const server = await start(1);
    const { headers } = await signIn(server, forwarded).expect(200);
    expect((headers['set-cookie'] as unknown as string[])[0]).toMatch(/; Secure/);
    const byName = { ...forwarded, Host: '127.0.0.1:4380', 'X-Forwarded-Host': forwarded.Host };
    await signIn(server, byName).expect(200);
    await signIn(server, { ...forwarded, Origin: 'http://type.tarnholm.example' }).expect(403);
    await signIn(server, { ...forwarded, Origin: 'https://other.example' }).expect(403);
    await signIn(server, { ...byName, 'X-Forwarded-Host': 'other.example' }).expect(403);
    await server.close();
  });

  test('that is not trusted, what it says counts for nothing', async () => {
    const server = await start(null);
    await signIn(server, forwarded).expect(403);
    await signIn(server, { Host: 'other.example', 'X-Forwarded-Host': forwarded.Host }).expect(403);
    await server.close();
  });
});

describe('the configuration', () => {
  test('refuses an open address without a token, and a short one', () => {
    expect(() => readConfig({ host: '0.0.0.0' }, {})).toThrow(ConfigError);
    expect(() => readConfig({ host: '0.0.0.0', token: 'short' }, {})).toThrow('too short');
    expect(readConfig({ host: '0.0.0.0', token: 'x'.repeat(16) }, {}).host).toBe('0.0.0.0');
  });

  test('takes flags before the environment, and says what is no port', () => {
    const env = { LETTERA_PORT: '5000', LETTERA_FOUNDRY_PORT: '5001' };
    expect(readConfig({ port: '6000' }, env)).toMatchObject({ port: 6000, foundryPort: 5001 });
    expect(() => readConfig({ port: 'harbour' }, {})).toThrow('“harbour” is not a port');
    expect(readConfig({}, {}).trustedProxy).toBeNull();
    expect(readConfig({ trustProxy: '2' }, {}).trustedProxy).toBe(2);
    expect(readConfig({}, { LETTERA_TRUST_PROXY: '10.0.0.0/8,loopback' }).trustedProxy).toBe(
      '10.0.0.0/8, loopback',
    );
    for (const wrong of ['0', 'true', 'everyone', '10']) {
      expect(() => readConfig({ trustProxy: wrong }, {})).toThrow('names no proxy');
    }
  });
});
