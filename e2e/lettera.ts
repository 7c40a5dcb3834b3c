import { fork, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensurePrepared, preparedData } from './prepared';
import { measuredProject } from './project';

/** The built application with its foundry and the sample project, on ports and data of its own. */
export interface RunningLettera {
  url: string;
  dataFolder: string;
  /** The process of the application. */
  pid(): number;
  /** Ends the application as a power cut would, and starts it again on the same address and data. */
  kill(): Promise<void>;
  restart(): Promise<void>;
  close(): Promise<void>;
}

/** A port of this machine that nobody listens on. */
export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

/** Starts a built program, and waits until it says that it is ready. */
export function start(
  script: string,
  args: string[],
  env: Record<string, string>,
): Promise<ChildProcess> {
  const child = fork(script, args, {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    // The built program needs no loader of sources, which the caller may run under.
    execArgv: [],
  });
  return new Promise((resolve, reject) => {
    child.once('message', () => resolve(child));
    child.once('exit', (code) => reject(new Error(`${script} ended with ${code}`)));
  });
}

/** Ends a program, and waits until it has ended. */
export const end = (child: ChildProcess, signal: NodeJS.Signals = 'SIGTERM'): Promise<void> =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) {
      resolve();
      return;
    }
    child.once('exit', () => resolve());
    child.kill(signal);
  });

/**
 * What is made of the sample where somebody has worked with it, and of the foundry's library where it has been
 * allowed for a project: fitted local fonts, delivered files and what tells of them, measures.
 */
async function prepare(dataFolder: string): Promise<void> {
  const lettera = await startLettera({ dataFolder });
  const sample = '/projects/tarnholm-light';
  for (const made of ['fallbacks', 'delivery', 'delivery/evidence', 'case/measures']) {
    const answer = await fetch(`${lettera.url}/api/v1${sample}/${made}`);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`The sample could not be prepared: ${made}`);
  }
  const slug = await measuredProject(lettera, 'Library');
  await fetch(`${lettera.url}/api/v1/projects/${slug}`, { method: 'DELETE' });
  await lettera.close();
}

/** Prepares the data that all tests begin with, once for a build: before any of them, since it takes a minute. */
export const prepareData = (): Promise<string> => ensurePrepared(prepare);

/** A folder of data with all that tests begin with. Whoever takes it removes it. */
export const dataToBeginWith = (): Promise<string> => preparedData(prepare);

/**
 * Starts the application as it is built; `dataFolder` is made, and removed at the end, when left out. It has
 * the sample in it as it is when it has been worked with for a while, unless the foundry is another.
 * @param families how many families the foundry holds at least
 * @param env what it is started with beside what is its own here
 * @param settled whether the sample is there as the demo shows it at first
 */
export async function startLettera(
  given?: { dataFolder: string },
  {
    families = 0,
    env: more = {},
    settled = false,
  }: { families?: number; env?: Record<string, string>; settled?: boolean } = {},
): Promise<RunningLettera> {
  const dataFolder =
    given?.dataFolder ??
    (families > 0 ? mkdtempSync(join(tmpdir(), 'lettera-e2e-')) : await preparedData(prepare));
  const [port, foundryPort] = [await freePort(), await freePort()];
  const env = {
    LETTERA_PORT: String(port),
    LETTERA_FOUNDRY_PORT: String(foundryPort),
    LETTERA_DATA: dataFolder,
    LETTERA_FOUNDRY_FAMILIES: String(families),
    ...more,
  };
  const startApplication = () =>
    start('build/lettera.mjs', ['start', settled ? '--settled-sample' : '--sample'], env);
  const foundry = await start('build/foundry.mjs', [], env);
  let lettera = await startApplication();
  return {
    url: `http://127.0.0.1:${port}`,
    dataFolder,
    pid: () => lettera.pid ?? 0,
    kill: () => end(lettera, 'SIGKILL'),
    async restart() {
      lettera = await startApplication();
    },
    async close() {
      await Promise.all([end(lettera), end(foundry)]);
      if (!given) rmSync(dataFolder, { recursive: true, force: true });
    },
  };
}
