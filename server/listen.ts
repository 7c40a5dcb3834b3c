import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp, type AppOptions } from './app';
import { ConfigError, type Config } from './config';
import { openServices, type Services } from './services';

/** A server that answers. */
export interface Running {
  services: Services;
  /** Its address, with the port that it really has. */
  url: string;
  close(): Promise<void>;
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

/**
 * Opens the store and listens.
 * @throws ConfigError when the address cannot be had, StoreError when the data cannot
 */
export async function startServer(
  config: Config,
  options: Omit<AppOptions, 'services'>,
): Promise<Running> {
  const services = await openServices(config);
  const app = createApp({ ...options, services });
  try {
    const server = await new Promise<Server>((resolve, reject) => {
      const listening: Server = app.listen(config.port, config.host, (error) => {
        if (error) reject(startFailure(error, config));
        else resolve(listening);
      });
    });
    const { port } = server.address() as AddressInfo;
    const host = config.host.includes(':') ? `[${config.host}]` : config.host;
    return {
      services,
      url: `http://${host}:${port}`,
      async close() {
        server.closeAllConnections();
        await new Promise((resolve) => server.close(resolve));
        await services.close();
      },
    };
  } catch (error) {
    await services.close();
    throw error;
  }
}
