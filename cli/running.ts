import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import open from 'open';
import { nameOf, readConfig, startServer, type ConfigFlags } from '@lettera/server';
import { sheetOfElements } from '@lettera/sample';
import { fail } from './ending';
import { loadSample } from './loadSample';
import { settleSample } from './settleSample';

/** What the application is started with. */
export interface StartFlags extends ConfigFlags {
  sample?: boolean;
  settledSample?: boolean;
  /** Whether it is shown in the browser of this machine. */
  open?: boolean;
}

/** Starts the application, and ends it when it is told to. */
export async function start(flags: StartFlags): Promise<void> {
  try {
    const config = readConfig(flags);
    const running = await startServer(config, {
      startingPages: sheetOfElements,
      ...(flags.settledSample
        ? { prepare: settleSample }
        : flags.sample
          ? { prepare: loadSample }
          : {}),
    });
    console.log(`Lettera is ready at ${running.url}`);
    console.log(`Everything is kept in ${nameOf(config)}`);
    process.send?.('ready');
    const stop = () => void running.close().then(() => process.exit(0));
    process.on('SIGINT', stop);
    process.on('SIGTERM', stop);
    process.on('disconnect', stop);
    if (flags.open) await show(running.url);
  } catch (error) {
    fail(error);
  }
}

/** Shows an address in the browser of this machine; where there is none, the address has been said. */
async function show(url: string): Promise<void> {
  const browser = await open(url);
  const none = () => console.error(`No browser could be opened here. Open ${url} in one.`);
  browser.once('error', none);
  browser.once('exit', (code) => {
    if (code !== 0) none();
  });
}

/** Starts the simulated foundry and the application with the sample; they end together. */
export async function demo(flags: StartFlags): Promise<void> {
  try {
    const { foundryPort } = readConfig(flags);
    const foundry = fork(fileURLToPath(new URL('foundry.mjs', import.meta.url)), [], {
      env: { ...process.env, LETTERA_FOUNDRY_PORT: `${foundryPort}` },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      execArgv: [],
    });
    await new Promise((resolve) => {
      foundry.once('message', resolve);
      // It has said why.
      foundry.once('exit', (code) => process.exit(code ?? 1));
    });
  } catch (error) {
    fail(error);
  }
  await start({ ...flags, settledSample: true });
}
