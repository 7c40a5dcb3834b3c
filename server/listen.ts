import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino from 'pino';
import { createApp, type AppOptions } from './app';
import { ConfigError, type Config } from './config';
import { openServices, type Services } from './services';
import { noteRunning } from './store/backup';
import { nameOf, toStoreError } from './store/database';

/** A server that answers. */
export interface Running {
  services: Services;
  /** Its address, with the port that it really has. */
  url: string;
  /** Lets what is under way finish, for a while, and ends. */
  close(): Promise<void>;
}

/** How long requests that are under way may take when the server is to end, milliseconds. */
const FINISHING = 10_000;

const HOUR = 60 * 60 * 1000;
/** How long a site that was only looked at is kept after it was left. */
const LOOKED = 24 * HOUR;

/** Lets go of what was left, now and each hour. @returns how to end that */
function tidyUp({ sites, outbox }: Services, noted: (error: unknown) => void): () => void {
  const tidy = () => {
    outbox.forget().catch(noted);
    sites.forgetLooked(new Date(Date.now() - LOOKED).toISOString()).catch(noted);
  };
  tidy();
  const hourly = setInterval(tidy, HOUR).unref();
  return () => clearInterval(hourly);
}

/** A promise that is refused while nobody waits for it is noted: it ends no server. @returns how to end that */
function outliveRefusals(noted: (error: unknown) => void): () => void {
  process.on('unhandledRejection', noted);
  return () => process.off('unhandledRejection', noted);
}

/** Takes no more requests, lets those under way finish, and gives the rest up. */
async function finish(server: Server, ending: AbortController): Promise<void> {
  const finished = new Promise((resolve) => server.close(resolve));
  ending.abort();
  server.closeIdleConnections();
  const late = setTimeout(() => server.closeAllConnections(), FINISHING);
  // A connection that has been kept alive counts as idle only once its answer is out.
  const idle = setInterval(() => server.closeIdleConnections(), 100);
  await finished;
  clearTimeout(late);
  clearInterval(idle);
}

function startFailure(error: NodeJS.ErrnoException, { host, port }: Config): ConfigError {
  if (error.code === 'EADDRINUSE') {
    return new ConfigError(
      `Port ${port} on ${host} is in use, perhaps by another Lettera. Stop that one, or give another port with --port or LETTERA_PORT.`,
    );
  }
  if (error.code === 'EACCES') {
    return new ConfigError(`Port ${port} may not be used by this user. Give one above 1023.`);
  }
  return new ConfigError(`Lettera cannot listen on ${host}:${port}: ${error.message}`);
}

export interface StartOptions extends Pick<AppOptions, 'startingPages'> {
  /** What is to be done before the server is ready; it listens meanwhile, and says that it starts. */
  prepare?: (services: Services) => Promise<unknown>;
  /** Told the port that it really has, as soon as it listens. */
  onListening?: (port: number) => void;
}

/**
 * Opens the store, listens, and prepares.
 * @throws ConfigError when the address cannot be listened at, StoreError when the data cannot be used
 */
export async function startServer(
  config: Config,
  { prepare, onListening, ...options }: StartOptions,
): Promise<Running> {
  const services = await openServices(config);
  const log = pino({ level: process.env['LETTERA_LOG'] ?? 'error' });
  const noted = (error: unknown) =>
    log.error({ err: error }, 'Something failed that nobody waits for.');
  await services.outbox.follow();
  const ends = [await noteRunning(config.dataFolder), outliveRefusals(noted)];
  const endAll = async () => {
    for (const end of ends) await end();
  };
  const ending = new AbortController();
  let ready = false;
  const app = createApp({ ...options, services, isReady: () => ready, ending: ending.signal });
  try {
    const server = await new Promise<Server>((resolve, reject) => {
      const listening: Server = app.listen(config.port, config.host, (error) => {
        if (error) reject(startFailure(error, config));
        else resolve(listening);
      });
    });
    const { port } = server.address() as AddressInfo;
    onListening?.(port);
    try {
      await prepare?.(services);
    } catch (error) {
      server.closeAllConnections();
      server.close();
      throw toStoreError(error, nameOf(config));
    }
    ready = true;
    ends.push(tidyUp(services, noted));
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    return {
      services,
      url: `http://${host}:${port}`,
      async close() {
        await finish(server, ending);
        await services.close();
        await endAll();
      },
    };
  } catch (error) {
    await services.close();
    await endAll();
    throw error;
  }
}
