import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { ConfigError, readConfig } from '../config';
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

  test('guessing it is slowed down', async () => {
    let last = 0;
    for (let i = 0; i < 12; i++) {
      last = (
        await request(server.app)
          .post('/api/v1/session')
          .send({ token: `${i}` })
      ).status;
    }
    expect(last).toBe(429);
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
  });
});
