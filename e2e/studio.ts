import type { ChildProcess } from 'node:child_process';
import { mkdirSync, renameSync, rmSync } from 'node:fs';
import { createServer, request as ask, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { startLibsqlServer } from '../server/testing/libsqlServer';
import { dataToBeginWith, end, freePort, start } from './lettera';

/** Where several processes keep what they share. */
export type Kept = 'a file' | 'a server';

/** Several processes of the application on one store, behind a proxy that takes them in turn. */
export interface Studio {
  /** Of the proxy. */
  url: string;
  /** Of each process. */
  urls: string[];
  /** The file that the store is, whoever serves it. */
  file: string;
  /** Ends a process as a power cut would, and starts it again on its address. */
  kill(which: number): Promise<void>;
  restart(which: number): Promise<void>;
  close(): Promise<void>;
}

/** Hands a request on to an address; to the next where nobody listens there. */
function handOn(
  incoming: IncomingMessage,
  response: ServerResponse,
  body: Buffer,
  [port, ...others]: number[],
): void {
  const { method, url: path, headers } = incoming;
  const outgoing = ask({ host: '127.0.0.1', port, method, path, headers }, (answer) => {
    response.writeHead(answer.statusCode ?? 502, answer.headers);
    answer.pipe(response);
    answer.on('error', () => response.destroy());
  });
  outgoing.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'ECONNREFUSED' && others.length > 0 && !response.headersSent) {
      handOn(incoming, response, body, others);
    } else response.destroy();
  });
  response.on('close', () => outgoing.destroy());
  outgoing.end(body);
}

export async function startStudio(kept: Kept, processes = 3): Promise<Studio> {
  const dataFolder = await dataToBeginWith();
  const file = join(dataFolder, kept === 'a file' ? 'lettera.db' : 'server.db');
  if (kept === 'a server') renameSync(join(dataFolder, 'lettera.db'), file);
  const token = 'a word that lets in';
  const server = kept === 'a server' ? await startLibsqlServer(file, { token }) : null;
  const foundryPort = await freePort();
  const foundry = await start('build/foundry.mjs', [], {
    LETTERA_FOUNDRY_PORT: String(foundryPort),
  });
  const ports = await Promise.all(Array.from({ length: processes }, freePort));
  const startOne = (which: number): Promise<ChildProcess> => {
    // With a server each has a folder of its own, as on a machine of its own.
    const own = server ? join(dataFolder, `process-${which}`) : dataFolder;
    mkdirSync(own, { recursive: true });
    return start('build/lettera.mjs', ['start'], {
      LETTERA_PORT: String(ports[which]),
      LETTERA_FOUNDRY_PORT: String(foundryPort),
      LETTERA_DATA: own,
      ...(server ? { LETTERA_DATABASE_URL: server.url, LETTERA_DATABASE_TOKEN: token } : {}),
    });
  };
  const running = await Promise.all(ports.map((_, which) => startOne(which)));
  let turn = 0;
  const proxy = createServer((incoming, response) => {
    const chunks: Buffer[] = [];
    incoming.on('data', (chunk: Buffer) => chunks.push(chunk));
    incoming.on('end', () => {
      const first = turn++ % ports.length;
      const inTurn = [...ports.slice(first), ...ports.slice(0, first)];
      handOn(incoming, response, Buffer.concat(chunks), inTurn);
    });
  });
  await new Promise<void>((resolve) => proxy.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(proxy.address() as AddressInfo).port}`,
    urls: ports.map((port) => `http://127.0.0.1:${port}`),
    file,
    kill: (which) => end(running[which] as ChildProcess, 'SIGKILL'),
    async restart(which) {
      running[which] = await startOne(which);
    },
    async close() {
      proxy.closeAllConnections();
      proxy.close();
      await Promise.all([...running, foundry].map((child) => end(child)));
      await server?.close();
      rmSync(dataFolder, { recursive: true, force: true });
    },
  };
}
