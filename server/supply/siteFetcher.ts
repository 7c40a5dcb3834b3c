import { lookup as lookUp, type LookupAddress } from 'node:dns';
import { request as requestHttp, type IncomingMessage } from 'node:http';
import { request as requestHttps } from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';
import { SITE_LIMITS, SiteError } from '@lettera/core/page';
import type { Jobs } from '../job/jobs';
import { isPublicAddress } from './publicAddress';

/** A file of a site that was fetched: the path that it is kept under, and where it came from. */
export interface FetchedFile {
  path: string;
  /** What was asked for, and what addresses in it are resolved against. */
  address: string;
  base: string;
  bytes: Uint8Array;
}

/** What fetching a site may take. Times in milliseconds. */
export const FETCH_LIMITS = {
  redirects: 5,
  files: 120,
  /** Addresses that are asked, whatever comes of it. */
  requests: 240,
  /** One answer, from the connection to its last byte; and all of them. */
  answer: 15_000,
  all: 60_000,
  font: 8 * 1024 * 1024,
  address: 2000,
};

const KIND_LIMIT = { page: SITE_LIMITS.html, sheet: SITE_LIMITS.css } as const;
type Kind = keyof typeof KIND_LIMIT | 'font';

/** How the name of a host is answered: the system's own way, unless a test has another. */
export type Resolver = (
  host: string,
  answer: (error: Error | null, addresses: LookupAddress[]) => void,
) => void;
const bySystem: Resolver = (host, answer) =>
  lookUp(host, { all: true }, (error, addresses) => answer(error, addresses ?? []));

/** A host that is this machine or one of its neighbours, and that was not allowed. */
export class InnerHostError extends SiteError {
  constructor(readonly host: string) {
    super(`${host} is this machine or one of its neighbours. Nothing was fetched.`);
  }
}

/** What a visit of a site may do beside what anybody may. */
export interface Visit {
  /** Hosts, as `name` or `name:port`, that were allowed though they are inner ones. */
  allowed?: readonly string[];
  /** What is sent along to the host of the page, and to no other. */
  headers?: Readonly<Record<string, string>>;
  /** Addresses of files that are there already, and are not asked for again. */
  known?: ReadonlySet<string>;
}

/** A visit, with where it began. */
interface Visiting extends Required<Omit<Visit, 'known'>> {
  start: URL;
}

/** Whether what lets in is sent along: to the host that it was given for, and never less safely than there. */
export const isLetIn = (url: URL, { start }: Pick<Visiting, 'start'>): boolean =>
  url.host === start.host && (url.protocol === start.protocol || url.protocol === 'https:');

/** Names that no site of the world has. RFC 6761; RFC 6762. */
const INNER_NAME =
  /^(localhost|[^./:]+)(?=[:/]|$)|^[^/:]+\.(localhost|local|test|internal|lan)(?=[:/]|$)/i;
const SCHEME = /^[a-z][a-z\d+.-]*:\/\//i;

/** An address as it is meant, where it was typed without a scheme: sites of the world have `https`, inner hosts seldom. */
function withScheme(typed: string): string {
  // `javascript:` and the like are no hosts with a port.
  if (SCHEME.test(typed) || /^[a-z][a-z\d+.-]*:(?![1-9]\d{0,4}([/?#]|$))/i.test(typed))
    return typed;
  const host = typed.replace(/^\/\//, '');
  const [, literal = ''] = /^(\[[^\]]*\]|[^/:]*)/.exec(host) ?? [];
  const isInner =
    INNER_NAME.test(host) ||
    (isIP(literal.replace(/^\[|\]$/g, '')) > 0 &&
      !isPublicAddress(literal.replace(/^\[|\]$/g, '')));
  return `${isInner ? 'http' : 'https'}://${host}`;
}

/** An address as it may be asked for. @throws SiteError */
function asked(address: string, from?: URL): URL {
  let url: URL;
  try {
    url = new URL(from ? address : withScheme(address), from);
  } catch {
    throw new SiteError(
      `“${address.slice(0, 200)}” is no address. Give one such as https://example.org/.`,
    );
  }
  if (url.protocol !== 'https:' && url.protocol !== 'http:') {
    throw new SiteError('Only addresses that begin with https:// or http:// are fetched.');
  }
  if (url.username || url.password) {
    throw new SiteError('An address with a name and password in it is not fetched.');
  }
  url.hash = '';
  return url;
}

/**
 * Fetches pages of sites, on a person's word: the page, its style sheets and what those import, and its fonts.
 * No address is asked that leads to this machine or its neighbours: each connection goes to an address that
 * was looked at, whatever a name is answered a moment later, and so does each redirect.
 */
export class SiteFetcher {
  /**
   * @param allowed hosts, as `name` or `name:port`, that may be inner ones
   * @param resolve how names are answered
   * @param limits what it may take
   */
  constructor(
    private readonly allowed: readonly string[] = [],
    private readonly resolve: Resolver = bySystem,
    private readonly limits: Readonly<typeof FETCH_LIMITS> = FETCH_LIMITS,
  ) {}

  #mayBeInner = ({ host, hostname }: URL, { allowed }: Visiting): boolean =>
    [...this.allowed, ...allowed].some((one) => one === host || one === hostname);

  /** Answers a name with addresses that may be connected to, and no others. */
  #lookup =
    (url: URL, visit: Visiting): LookupFunction =>
    (hostname, options, done) => {
      this.resolve(hostname, (error, addresses) => {
        if (error) {
          done(error, []);
          return;
        }
        const open = this.#mayBeInner(url, visit)
          ? addresses
          : addresses.filter(({ address }) => isPublicAddress(address));
        const [first] = open;
        // One inner answer among several is one too many: it is there to be taken another time.
        if (!first || open.length < addresses.length) done(new InnerHostError(url.host), []);
        else if (options.all) done(null, open);
        else done(null, first.address, first.family);
      });
    };

  #ask(url: URL, signal: AbortSignal, visit: Visiting): Promise<IncomingMessage> {
    const literal = url.hostname.replace(/^\[|\]$/g, '');
    if (isIP(literal) && !this.#mayBeInner(url, visit) && !isPublicAddress(literal)) {
      throw new InnerHostError(url.host);
    }
    const request = url.protocol === 'https:' ? requestHttps : requestHttp;
    return new Promise((resolve, reject) => {
      const asking = request(
        url,
        {
          lookup: this.#lookup(url, visit),
          signal,
          agent: false,
          headers: {
            Accept: 'text/html,text/css,font/woff2,*/*;q=0.5',
            'Accept-Encoding': 'gzip, deflate, br',
            'User-Agent': 'Lettera',
            // What lets in is for the one host that it was given for, wherever that sends on to.
            ...(isLetIn(url, visit) ? visit.headers : {}),
          },
          maxHeaderSize: 32 * 1024,
        },
        resolve,
      );
      asking.on('error', reject);
      asking.end();
    });
  }

  /** One file, over redirects. @throws SiteError */
  async #get(
    start: URL,
    kind: Kind,
    signal: AbortSignal,
    visit: Visiting,
  ): Promise<{ url: URL; bytes: Uint8Array }> {
    const own = AbortSignal.any([signal, AbortSignal.timeout(this.limits.answer)]);
    let url = start;
    for (let redirects = 0; ; redirects++) {
      const answer = await this.#ask(url, own, visit).catch((error: unknown) => {
        throw faultOf(error, url, signal, this.limits);
      });
      const { statusCode = 0, headers } = answer;
      if (statusCode >= 300 && statusCode < 400 && headers.location !== undefined) {
        answer.destroy();
        if (redirects >= this.limits.redirects) {
          throw new SiteError(
            `${start.host} sends on and on: after ${this.limits.redirects} times it was left.`,
          );
        }
        url = asked(headers.location, url);
        continue;
      }
      if (statusCode !== 200) {
        answer.destroy();
        throw new SiteError(
          statusCode === 401 || statusCode === 403
            ? `${url.host} asks who you are (${statusCode}). Give what lets you in there, or bring the page through the reader.`
            : `${url.host} answered ${statusCode} for ${url.pathname}.`,
        );
      }
      if (kind === 'page' && !/html/i.test(headers['content-type'] ?? '')) {
        answer.destroy();
        throw new SiteError(
          `What ${url.host} answered is no page: it says that it is ${headers['content-type'] ?? 'nothing'}.`,
        );
      }
      const bytes = await bodyOf(
        answer,
        kind === 'font' ? this.limits.font : KIND_LIMIT[kind],
        own,
      ).catch((error: unknown) => {
        throw faultOf(error, url, signal, this.limits);
      });
      return { url, bytes };
    }
  }

  /**
   * A page and what sets its type.
   * @param jobs reads what comes, beside the server
   * @param signal ends it
   * @param visit what it may do beside what anybody may
   * @returns the page first
   * @throws SiteError where it does not come, or leads where Lettera does not go
   */
  async fetch(
    address: string,
    jobs: Pick<Jobs, 'requestsOf'>,
    signal: AbortSignal,
    { allowed = [], headers = {}, known = new Set() }: Visit = {},
  ): Promise<FetchedFile[]> {
    if (address.length > this.limits.address) throw new SiteError('The address is too long.');
    const all = AbortSignal.any([signal, AbortSignal.timeout(this.limits.all)]);
    const start = asked(address.trim());
    const visit = { allowed, headers, start };
    const page = await this.#get(start, 'page', all, visit);
    const { requests: waiting, base } = await requestsIn(jobs, page.bytes, 'page', page.url);
    const files: FetchedFile[] = [
      { path: pathOf(page.url, 'page'), address: page.url.href, base, bytes: page.bytes },
    ];
    const seen = new Set([page.url.href]);
    let left = SITE_LIMITS.bytes - page.bytes.byteLength;
    // What is found meanwhile is asked for too.
    for (const { url, kind } of waiting) {
      if (files.length >= this.limits.files || seen.size >= this.limits.requests) break;
      if (seen.has(url.href) || known.has(url.href)) continue;
      seen.add(url.href);
      // What does not come is reported as not brought along; the page is read without it.
      const came = await this.#get(url, kind, all, visit).catch((error: unknown) => {
        if (all.aborted || !(error instanceof SiteError)) throw error;
        return null;
      });
      if (!came) continue;
      left -= came.bytes.byteLength;
      if (left < 0) throw new SiteError('The site is larger than what is fetched at once.');
      const { href } = came.url;
      files.push({ path: pathOf(url, kind), address: url.href, base: href, bytes: came.bytes });
      if (kind !== 'sheet') continue;
      const { requests } = await requestsIn(jobs, came.bytes, 'sheet', came.url);
      for (const found of requests) waiting.push(found);
    }
    return files;
  }
}

/** What went wrong, as it is reported. */
function faultOf(
  error: unknown,
  { host }: URL,
  signal: AbortSignal,
  limits: Readonly<typeof FETCH_LIMITS>,
): Error {
  if (error instanceof SiteError) return error;
  if (signal.aborted && signal.reason instanceof Error && signal.reason.name === 'TimeoutError') {
    return new SiteError(`The site took longer than ${limits.all / 1000} seconds altogether.`);
  }
  if (signal.aborted) return error as Error;
  const { code, name } = error as NodeJS.ErrnoException;
  if (name === 'TimeoutError' || name === 'AbortError') {
    return new SiteError(`${host} took longer than ${limits.answer / 1000} seconds to answer.`);
  }
  if (code === 'ENOTFOUND' || code === 'EAI_AGAIN') {
    return new SiteError(`There is no ${host}, or it cannot be found from here.`);
  }
  return new SiteError(`${host} does not answer (${code ?? (error as Error).message}).`);
}

/** The body of an answer, unpacked, counted as it comes and not by what it says of itself. */
async function bodyOf(
  answer: IncomingMessage,
  most: number,
  signal: AbortSignal,
): Promise<Uint8Array> {
  const packed = (answer.headers['content-encoding'] ?? '').toLowerCase();
  const unpack =
    packed === 'gzip'
      ? createGunzip()
      : packed === 'br'
        ? createBrotliDecompress()
        : packed === 'deflate'
          ? createInflate()
          : null;
  const pieces: Buffer[] = [];
  let size = 0;
  const gather = new Writable({
    write(piece: Buffer, _encoding, done) {
      size += piece.byteLength;
      pieces.push(piece);
      done(
        size > most
          ? new SiteError(`It is larger than ${Math.round(most / 1024 / 1024)} MB.`)
          : undefined,
      );
    },
  });
  await (unpack
    ? pipeline(answer, unpack, gather, { signal })
    : pipeline(answer, gather, { signal }));
  return new Uint8Array(Buffer.concat(pieces));
}

/** The path that a file is kept under: its host, and its own path, with an ending that says what it is. */
function pathOf({ host, pathname, search }: URL, kind: Kind): string {
  const plain = (text: string) => text.replace(/[^\w./-]+/g, '-');
  const ending = { page: /\.x?html?$/i, sheet: /\.css$/i, font: /\.(woff2?|ttf|otf)$/i }[kind];
  const path = pathname.endsWith('/') ? `${pathname}index` : pathname;
  const query = search ? `-${plain(search.slice(1)).replaceAll('/', '-').slice(0, 80)}` : '';
  const whole = plain(`${host}${path}`);
  if (ending.test(whole) && !query) return whole;
  const [, stem = whole, own = ''] = /^(.*?)(\.\w+)?$/.exec(whole) ?? [];
  return `${ending.test(own) ? stem : whole}${query}${ending.test(own) ? own : { page: '.html', sheet: '.css', font: '.woff2' }[kind]}`;
}

/** What a page or a style sheet asks for that sets type, style sheets and fonts, and what that is resolved against. */
async function requestsIn(
  jobs: Pick<Jobs, 'requestsOf'>,
  bytes: Uint8Array,
  kind: 'page' | 'sheet',
  from: URL,
): Promise<{ requests: { url: URL; kind: Kind }[]; base: string }> {
  const { requests, base: said } = await jobs.requestsOf({ bytes, kind });
  const base = baseOf(said, from);
  return {
    base: base.href,
    requests: requests.flatMap(({ address, kind: wanted }) => {
      try {
        return [{ url: asked(address, base), kind: wanted }];
      } catch {
        return [];
      }
    }),
  };
}

/** What a page says that its addresses are resolved against; itself where that is no address. */
function baseOf(said: string | null, page: URL): URL {
  try {
    return said === null ? page : asked(said, page);
  } catch {
    return page;
  }
}
