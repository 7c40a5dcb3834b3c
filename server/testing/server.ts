import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createFoundry, type Behaviour } from '@lettera/foundry';
import type { Express } from 'express';
import { createApp } from '../app';
import { readConfig, type Config } from '../config';
import { openServices, type Services } from '../services';
import type { Page } from '../store/pageStore';
import { withCheckedShapes } from './shapes';

/** A page with words enough to tune on. */
export const PAGES: Page[] = [
  {
    slug: 'log',
    title: 'Log',
    html: '<h1>The night Þokuljós came in</h1><p>The glass fell all day without hurry. At noon the swell came long from the south-west. By six we could no longer stand on the gallery. The mainland rang at seven.</p>',
    css: 'body { margin: 0 }',
  },
];

/** A server on a data folder of its own, with a foundry that can be told to misbehave. */
export interface TestServer {
  /** Every answer that it gives is held against the description of the API, and told when it closes. */
  app: Express;
  /** The application itself. */
  inner: Express;
  services: Services;
  config: Config;
  behaviour: Behaviour;
  close(): Promise<void>;
}

export const temporaryFolder = (): string => mkdtempSync(join(tmpdir(), 'lettera-'));

const listen = (app: Express): Promise<Server> =>
  new Promise((resolve) => {
    const server = app.listen(0, '127.0.0.1', () => resolve(server));
  });

export async function startTestServer(settings: Partial<Config> = {}): Promise<TestServer> {
  process.env['LETTERA_LOG'] = 'silent';
  const behaviour: Behaviour = {};
  const foundry = await listen(await createFoundry(behaviour));
  const dataFolder = settings.dataFolder ?? temporaryFolder();
  const config: Config = {
    ...readConfig({}, {}),
    foundryPort: (foundry.address() as AddressInfo).port,
    ...settings,
    dataFolder,
  };
  const services = await openServices(config);
  const faults: string[] = [];
  const inner = createApp({ services, startingPages: () => Promise.resolve(PAGES) });
  return {
    app: withCheckedShapes(inner, faults),
    inner,
    services,
    config,
    behaviour,
    async close() {
      await services.close();
      foundry.closeAllConnections();
      await new Promise((resolve) => foundry.close(resolve));
      rmSync(dataFolder, { recursive: true, force: true });
      if (faults.length > 0) {
        throw new Error(`Answers that are not as the API is described:\n${faults.join('\n')}`);
      }
    },
  };
}
