import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { networkInterfaces } from 'node:os';
import type { Request, RequestHandler, Response } from 'express';
import rateLimit, { type RateLimitRequestHandler } from 'express-rate-limit';
import helmet from 'helmet';
import { isLoopback, type Config } from '../config';
import type { Database } from '../store/database';
import type { SessionStore } from '../store/sessionStore';
import { TryStore } from '../store/tryStore';
import { Problem } from './problem';

const LOOPBACK_NAMES = ['127.0.0.1', 'localhost', '[::1]'];

/** The host names under which others in the network may address this server; none on loopback. */
export function networkNames({ host, hostNames }: Config): string[] {
  if (isLoopback(host)) return [...hostNames];
  const isEvery = host === '0.0.0.0' || host === '::';
  const own = isEvery
    ? Object.values(networkInterfaces())
        .flatMap((all) => all ?? [])
        .filter(({ internal }) => !internal)
        .map(({ family, address }) => (family === 'IPv6' ? `[${address}]` : address))
    : [host.includes(':') ? `[${host}]` : host];
  return [...hostNames, ...own];
}

/** The host names under which this server may be addressed. */
const allowedHosts = (config: Config): Set<string> =>
  new Set([...LOOPBACK_NAMES, ...networkNames(config)].map((name) => name.toLowerCase()));

const hostName = (authority: string): string => authority.replace(/:\d+$/, '').toLowerCase();

/** Refuses requests addressed to another name, as a rebound name would be. */
export function onlyOwnName(config: Config): RequestHandler {
  const hosts = allowedHosts(config);
  return (request, _response, next) => {
    // Of a trusted proxy, the name that it was addressed by; otherwise the Host header itself.
    const authority = request.host ?? '';
    if (!hosts.has(hostName(authority))) {
      throw new Problem(
        'foreign-request',
        `Lettera is not known by the name “${hostName(authority).slice(0, 80)}”. Name it in LETTERA_HOST_NAMES if it should be.`,
      );
    }
    next();
  };
}

/** The origin of this server, as the request addresses it. */
export const ownOrigin = (request: Request): string => `${request.protocol}://${request.host}`;

/** Refuses requests that a page of another site sends. */
export const onlyOwnOrigin: RequestHandler = (request, _response, next) => {
  const { origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreignOrigin = origin !== undefined && origin !== ownOrigin(request);
  // An address typed or followed from elsewhere opens a page; anything else from another site is refused.
  const opensPage = request.method === 'GET' && request.headers['sec-fetch-mode'] === 'navigate';
  const foreignSite = (site === 'cross-site' || site === 'same-site') && !opensPage;
  if (foreignOrigin || foreignSite) {
    throw new Problem('foreign-request', 'A page of another site sent this request.');
  }
  next();
};

/** A nonce for the style elements that components add, new for each page. */
export const newNonce = (): string => randomBytes(16).toString('base64');

/**
 * The policy of every answer. Scripts and styles only from here; style elements that components add
 * only with the page's nonce.
 */
export const contentSecurity = (nonce: string | null): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", ...(nonce ? [`'nonce-${nonce}'`] : [])],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        connectSrc: ["'self'"],
        frameSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        frameAncestors: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'none'"],
      },
    },
    crossOriginResourcePolicy: { policy: 'same-origin' },
    referrerPolicy: { policy: 'no-referrer' },
    strictTransportSecurity: false,
  });

/**
 * The policy of a page that is proofed: it runs nothing, sends nothing and goes nowhere. The frame that
 * shows it is of the same origin, so that the proof can be set and measured.
 */
export const pageSecurity = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      styleSrc: ["'self'"],
      // A page's own style attributes set its type too.
      styleSrcAttr: ["'unsafe-inline'"],
      fontSrc: ["'self'", 'data:'],
      imgSrc: ["'self'", 'data:'],
      frameAncestors: ["'self'"],
      baseUri: ["'none'"],
      formAction: ["'none'"],
      // A page may be printed; nothing in it can ask for anything.
      sandbox: ['allow-same-origin', 'allow-modals'],
    },
  },
  frameguard: { action: 'sameorigin' },
  referrerPolicy: { policy: 'no-referrer' },
  strictTransportSecurity: false,
  // No hint makes a browser look a name up or connect.
  dnsPrefetchControl: { allow: false },
});

export const SESSION_COOKIE = 'lettera_session';

const digest = (value: string): Buffer => createHash('sha256').update(value).digest();

export const sameToken = (given: string, token: string): boolean =>
  timingSafeEqual(digest(given), digest(token));

/** What a request's session cookie holds. */
export function sessionOf(request: Request): string | undefined {
  const pairs = (request.headers.cookie ?? '').split(';').map((pair) => pair.trim().split('='));
  return pairs.find(([key]) => key === SESSION_COOKIE)?.[1];
}

const bearerOf = (request: Request): string | undefined =>
  /^Bearer (.+)$/.exec(request.headers.authorization ?? '')?.[1];

const GUESS_WINDOW = 60_000;
const GUESSES_A_WINDOW = 10;

/** Who may come in, where an access token was set at start. */
export class Admission {
  readonly #guesses: RateLimitRequestHandler;

  constructor(
    private readonly token: string | null,
    private readonly sessions: SessionStore,
    database: Database,
  ) {
    this.#guesses = rateLimit({
      windowMs: GUESS_WINDOW,
      limit: GUESSES_A_WINDOW,
      store: new TryStore(database, 'token', GUESS_WINDOW),
      handler: () => {
        throw new Problem('too-many-requests', 'Too many tries. Wait a minute.');
      },
    });
  }

  get tokenNeeded(): boolean {
    return this.token !== null;
  }

  /** Whether a request carries a session that lasts; always without a token. */
  async isSignedIn(request: Request): Promise<boolean> {
    if (!this.token) return true;
    const session = sessionOf(request);
    return session !== undefined && this.sessions.holds(session, this.token);
  }

  /** Calls back when the session that a request came with is ended. @returns how to stop listening */
  onSessionEnd(request: Request, listener: () => void): () => void {
    const session = sessionOf(request);
    return session === undefined ? () => undefined : this.sessions.onEnd(session, listener);
  }

  /**
   * Compares a token that is given with the one set at start. Wrong ones are taken so many times a minute from
   * one address, in whatever way they are given; a right one is right whoever else has tried from there, since
   * many share an address behind a proxy. What keeps it from being guessed is its length.
   * @throws Problem 429
   */
  async isToken(given: string, request: Request, response: Response): Promise<boolean> {
    if (!this.token) return false;
    if (sameToken(given, this.token)) return true;
    await new Promise<void>((resolve, reject) => {
      void this.#guesses(request, response, (error?: unknown) => {
        if (error) reject(error as Error);
        else resolve();
      });
    });
    return false;
  }

  /** Whether a request comes with the token or with a session that lasts. @throws Problem 429 */
  async admits(request: Request, response: Response): Promise<boolean> {
    const bearer = bearerOf(request);
    return (
      (await this.isSignedIn(request)) ||
      (bearer !== undefined && (await this.isToken(bearer, request, response)))
    );
  }

  /** Refuses requests with neither the token nor a session. */
  readonly onlySignedIn: RequestHandler = async (request, response, next) => {
    if (!(await this.admits(request, response))) {
      response.set('WWW-Authenticate', 'Bearer');
      throw new Problem('token-missing', 'Give the access token that Lettera was started with.');
    }
    next();
  };
}
