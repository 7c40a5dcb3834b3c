import { spawn } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { temporaryFolder } from '../server/testing/server';

interface Ended {
  code: number | null;
  said: string;
}

/** Runs the command from its sources until it ends. */
function lettera(args: string[], env: Record<string, string> = {}): Promise<Ended> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...args], {
    env: { ...process.env, ...env },
  });
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  return new Promise((resolve) =>
    child.on('close', (code) => resolve({ code, said: said.trim() })),
  );
}

describe('the command says what is wrong and stops', () => {
  test('on a port in use', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address() as AddressInfo;
    const { code, said } = await lettera([
      'start',
      '--port',
      `${port}`,
      '--data',
      temporaryFolder(),
    ]);
    expect(code).toBe(1);
    expect(said).toBe(
      `Port ${port} on 127.0.0.1 is in use, perhaps by another Lettera. Stop that one, or give another port with --port or LETTERA_PORT.`,
    );
    await new Promise((resolve) => other.close(resolve));
  });

  test('on a data folder that cannot be', async () => {
    const file = join(temporaryFolder(), 'file');
    writeFileSync(file, '');
    const { code, said } = await lettera(['start', '--port', '0', '--data', join(file, 'data')]);
    expect(code).toBe(1);
    expect(said).toContain('Lettera cannot write to the data folder');
  });

  test('on an open address without a token', async () => {
    const { code, said } = await lettera(['start', '--host', '0.0.0.0'], { LETTERA_TOKEN: '' });
    expect(code).toBe(1);
    expect(said).toContain('only with an access token');
  });

  test('on a project that is not there', async () => {
    const { code, said } = await lettera([
      'build',
      'skerry',
      '--out',
      temporaryFolder(),
      '--data',
      temporaryFolder(),
    ]);
    expect(code).toBe(1);
    // Who only reads makes no data where there is none.
    expect(said).toMatch(/^There is no data of Lettera’s in /);
  });

  test('on a check that cannot be made, which ends otherwise than one that found something', async () => {
    const { code, said } = await lettera(['check', 'skerry', '--data', temporaryFolder()]);
    expect(code).toBe(2);
    // Who only reads makes no data where there is none.
    expect(said).toMatch(/^There is no data of Lettera’s in /);
    const format = await lettera(['check', 'skerry', '--format', 'verse']);
    expect(format.code).toBe(2);
    expect(format.said).toContain('text, json, sarif');
  }, 60_000);

  test('on a command that it does not know', async () => {
    const { code, said } = await lettera(['embellish']);
    expect(code).toBe(1);
    expect(said).toContain('unknown command');
  });
});
