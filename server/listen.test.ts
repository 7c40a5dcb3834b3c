import { execFile } from 'node:child_process';
import { request, type IncomingMessage } from 'node:http';
import { promisify } from 'node:util';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { Project } from '@lettera/core/wire';
import { readConfig } from './config';
import { startServer, type Running } from './listen';
import { temporaryFolder } from './testing/server';

let running: Running;
const start = (prepare?: () => Promise<unknown>) =>
  startServer(readConfig({ port: '0', data: temporaryFolder() }, {}), {
    startingPages: () => Promise.resolve([]),
    ...(prepare ? { prepare } : {}),
  });

const textOf = async (response: IncomingMessage): Promise<string> => {
  let text = '';
  for await (const chunk of response) text += String(chunk);
  return text;
};

describe('a server that is to end', () => {
  beforeEach(async () => {
    running = await start();
  });

  test('finishes what is under way, takes nothing new, and ends its streams', async () => {
    const created = await fetch(`${running.url}/api/v1/projects`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ name: 'Tarnholm' }),
    });
    const { id } = (await created.json()) as Project;
    const stream = await fetch(`${running.url}/api/v1/projects/${id}/events`);
    const body = JSON.stringify([{ op: 'replace', path: '/name', value: 'Skerry' }]);
    const sending = request(`${running.url}/api/v1/projects/${id}`, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/json-patch+json',
        'Content-Length': String(Buffer.byteLength(body)),
        'If-Match': '"1"',
      },
    });
    const answered = new Promise<IncomingMessage>((resolve, reject) => {
      sending.on('response', resolve).on('error', reject);
    });
    // Half of a change is there when the word to end comes.
    await new Promise<void>((resolve) => sending.write(body.slice(0, 10), () => resolve()));
    await fetch(`${running.url}/api/v1/health`);
    const closed = running.close();
    await expect(stream.text()).resolves.toContain('event: hello');
    await expect(fetch(`${running.url}/api/v1/health`)).rejects.toThrow();
    sending.end(body.slice(10));
    const response = await answered;
    expect(response.statusCode).toBe(200);
    expect(await textOf(response)).toContain('"name":"Skerry"');
    await closed;
  });
});

describe('a promise that is refused while nobody waits for it', () => {
  test('ends no server', async () => {
    // In a process of its own, which a refusal would end.
    const script = `
      const { startServer, readConfig } = await import('./server/index.ts');
      const running = await startServer(readConfig({ port: '0', data: ${JSON.stringify(temporaryFolder())} }, {}), { startingPages: async () => [] });
      void Promise.reject(new Error('refused'));
      await new Promise((resolve) => setImmediate(resolve));
      console.log((await fetch(running.url + '/api/v1/health')).status);
      await running.close();
      process.exit(0);
    `;
    const { stdout } = await promisify(execFile)(
      process.execPath,
      ['--import', 'tsx', '--input-type=module', '-e', script],
      { env: { ...process.env, LETTERA_LOG: 'silent' } },
    );
    expect(stdout.trim()).toBe('200');
  });
});

describe('a server that is starting', () => {
  afterEach(() => running.close());

  test('is not healthy before all that is to be there is', async () => {
    const seen: number[] = [];
    running = await startServer(readConfig({ port: '0', data: temporaryFolder() }, {}), {
      startingPages: () => Promise.resolve([]),
      prepare: async ({ config }) => {
        expect(config.dataFolder).toBeTruthy();
        const { port } = await listening;
        seen.push((await fetch(`http://127.0.0.1:${port}/api/v1/health`)).status);
      },
      onListening: (port) => heard({ port }),
    });
    expect(seen).toEqual([503]);
    expect((await fetch(`${running.url}/api/v1/health`)).status).toBe(200);
  });
  let heard: (address: { port: number }) => void = () => undefined;
  const listening = new Promise<{ port: number }>((resolve) => (heard = resolve));
});
