import { isIP } from 'node:net';
import { resolve } from 'node:path';

/** Everything that a start of the server is reported. */
export interface Config {
  port: number;
  host: string;
  /** Folder of the database. */
  dataFolder: string;
  /** Address of another libSQL server, or null for a file in the data folder. */
  databaseUrl: string | null;
  /** What that server asks of whoever connects; null for nothing. */
  databaseToken: string | null;
  foundryPort: number;
  /** Needed by whoever connects, when the address is not loopback. */
  token: string | null;
  /** Further host names by which it may be addressed. */
  hostNames: string[];
  /**
   * Whether a proxy in front is trusted to say how and by which name it was addressed: its address or
   * network, or how many proxies there are; null for none.
   */
  trustedProxy: string | number | null;
  /** Whether pages are fetched from the addresses that people type; not behind a token, unless it is said. */
  fetches: boolean;
  /** Hosts, as `name` or `name:port`, that pages may be fetched from though they are this machine or its neighbours. */
  fetchHosts: string[];
}

/** A start that was asked for in a way that cannot be: the message is for the person who asked. */
export class ConfigError extends Error {
  override readonly name = 'ConfigError';
}

/** Values by flag, as the command line reads them; they go before the environment's. */
export type ConfigFlags = Partial<
  Record<
    'port' | 'host' | 'data' | 'foundryPort' | 'token' | 'trustProxy' | 'fetch' | 'fetchHosts',
    string | undefined
  >
>;

const SHORTEST_TOKEN = 16;

function portFrom(value: string | undefined, fallback: number, what: string): number {
  if (value === undefined || value === '') return fallback;
  const port = Number(value);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new ConfigError(`“${value}” is not a port. Give ${what} as a number from 0 to 65535.`);
  }
  return port;
}

const PROXY_NAMES = ['loopback', 'linklocal', 'uniquelocal'];

/** `1` for one proxy in front, else addresses or networks as `10.0.0.0/8, loopback`. */
function proxyFrom(value: string | undefined): string | number | null {
  if (value === undefined || value.trim() === '') return null;
  if (/^\d+$/.test(value)) {
    const hops = Number(value);
    if (hops > 0 && hops < 10) return hops;
  }
  const names = value.split(',').map((name) => name.trim());
  const known = (name: string) =>
    PROXY_NAMES.includes(name) || isIP(name.replace(/\/\d{1,3}$/, '')) > 0;
  if (names.every(known)) return names.join(', ');
  throw new ConfigError(
    `“${value}” names no proxy. Give --trust-proxy how many there are, such as 1, or their addresses, such as 10.0.0.7 or loopback.`,
  );
}

export const isLoopback = (host: string): boolean =>
  host === 'localhost' || host === '::1' || (isIP(host) === 4 && host.startsWith('127.'));

const listed = (value = ''): string[] =>
  value
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean);

const DATABASE_SCHEMES = ['libsql:', 'https:', 'http:', 'wss:', 'ws:'];

function databaseUrlFrom(value: string | undefined): string | null {
  if (value === undefined || value.trim() === '') return null;
  const url = URL.canParse(value) ? new URL(value) : null;
  if (url && DATABASE_SCHEMES.includes(url.protocol)) return value;
  throw new ConfigError(
    `LETTERA_DATABASE_URL is “${value.slice(0, 80)}”, which names no libSQL server. Give an address such as libsql://data.example.org, or leave it out to keep everything in the data folder.`,
  );
}

function fetchesFrom(value: string | undefined, fallback: boolean): boolean {
  if (value === undefined || value === '') return fallback;
  if (value === 'on' || value === 'off') return value === 'on';
  throw new ConfigError(`“${value}” says not whether pages are fetched. Give --fetch on or off.`);
}

/**
 * The configuration from flags, then the environment, then the defaults.
 * @throws ConfigError when a value is no port, or an open address has no token
 */
export function readConfig(flags: ConfigFlags = {}, env: NodeJS.ProcessEnv = process.env): Config {
  const config: Config = {
    port: portFrom(flags.port ?? env['LETTERA_PORT'], 4380, '--port'),
    host: flags.host ?? env['LETTERA_HOST'] ?? '127.0.0.1',
    dataFolder: resolve(flags.data ?? env['LETTERA_DATA'] ?? './data'),
    databaseUrl: databaseUrlFrom(env['LETTERA_DATABASE_URL']),
    databaseToken: env['LETTERA_DATABASE_TOKEN'] || null,
    foundryPort: portFrom(flags.foundryPort ?? env['LETTERA_FOUNDRY_PORT'], 4381, '--foundry-port'),
    token: flags.token ?? env['LETTERA_TOKEN'] ?? null,
    hostNames: listed(env['LETTERA_HOST_NAMES']),
    trustedProxy: proxyFrom(flags.trustProxy ?? env['LETTERA_TRUST_PROXY']),
    fetches: false,
    fetchHosts: listed(flags.fetchHosts ?? env['LETTERA_FETCH_HOSTS']),
  };
  config.fetches = fetchesFrom(flags.fetch ?? env['LETTERA_FETCH'], config.token === null);
  if (!isLoopback(config.host)) {
    if (!config.token) {
      throw new ConfigError(
        `Lettera listens on ${config.host} only with an access token, since others can reach that address. Set LETTERA_TOKEN, or leave the host at 127.0.0.1.`,
      );
    }
    if (config.token.length < SHORTEST_TOKEN) {
      throw new ConfigError(
        `The access token is too short: give at least ${SHORTEST_TOKEN} characters.`,
      );
    }
  }
  return config;
}
