import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import { setTimeout as wait } from 'node:timers/promises';
import type { LibraryFamily } from '@lettera/core/document';
import type { LibraryDetails } from '@lettera/core/wire';
import { eq } from 'drizzle-orm';
import type { Database } from '../store/database';
import { supplyCache } from '../store/schema';

/** The foundry could not give what was asked; the message is for the designer, who can try again. */
export class SupplyError extends Error {
  override readonly name = 'SupplyError';
}

/** The foundry does not list what was asked for. */
export class NotListedError extends SupplyError {}

interface IndexPage {
  page: number;
  pages: number;
  families: LibraryFamily[];
}

const TIMEOUT = 8000;
const TRIES = 3;
const FIRST_PAUSE = 200;
const LARGEST_ANSWER = 12 * 1024 * 1024;
const INDEX_PAGE_SIZE = 200;
const MOST_PAGES = 200;

/** The client of the foundry: timeouts, tries with growing pauses, size limits, checksums, and a cache. */
export class FoundryClient {
  constructor(
    private readonly baseUrl: string,
    private readonly database: Database,
  ) {}

  /** Every family of the foundry, by name. @throws SupplyError */
  async families(): Promise<LibraryFamily[]> {
    const families: LibraryFamily[] = [];
    for (let page = 1, pages = 1; page <= Math.min(pages, MOST_PAGES); page++) {
      const answer = await this.#json<IndexPage>(
        `/v1/families?page=${page}&size=${INDEX_PAGE_SIZE}`,
      );
      pages = answer.pages;
      families.push(...answer.families);
    }
    return families;
  }

  /** @throws SupplyError */
  family(id: string): Promise<LibraryDetails> {
    return this.#json<LibraryDetails>(`/v1/families/${encodeURIComponent(id)}`);
  }

  /** A file whose bytes are what the foundry's own checksum promises. @throws SupplyError */
  async file(
    family: Pick<LibraryFamily, 'id' | 'name' | 'files'>,
    name: string,
    signal?: AbortSignal,
  ): Promise<Buffer> {
    const listed = family.files.find((file) => file.name === name);
    if (!listed) throw new NotListedError(`${family.name} has no file ${name}.`);
    const path = `/v1/families/${encodeURIComponent(family.id)}/files/${encodeURIComponent(name)}`;
    const matches = (bytes: Buffer) =>
      createHash('sha256').update(bytes).digest('hex') === listed.sha256;
    const cached = await this.#cached(path);
    if (cached && matches(cached.body)) return cached.body;
    const { body, etag } = await this.#fetch(path, null, signal);
    if (!matches(body)) {
      throw new SupplyError(
        `The foundry sent a file of ${family.name} that is not the one it lists (${name}). Nothing was added. Try again later.`,
      );
    }
    await this.#keep(path, body, etag);
    return body;
  }

  /** An answer in JSON, from the cache when the foundry says that it still holds. */
  async #json<T>(path: string): Promise<T> {
    const cached = await this.#cached(path);
    const answer = await this.#fetch(path, cached?.etag ?? null);
    const body = answer.unchanged && cached ? cached.body : answer.body;
    let value: T;
    try {
      value = JSON.parse(body.toString('utf8')) as T;
    } catch {
      throw new SupplyError('The foundry’s answer could not be read. Try again later.');
    }
    if (!answer.unchanged) await this.#keep(path, body, answer.etag);
    return value;
  }

  async #fetch(
    path: string,
    etag: string | null,
    signal?: AbortSignal,
  ): Promise<{ body: Buffer; etag: string | null; unchanged: boolean }> {
    for (let attempt = 1; ; attempt++) {
      try {
        const response = await fetch(this.baseUrl + path, {
          signal: AbortSignal.any([AbortSignal.timeout(TIMEOUT), ...(signal ? [signal] : [])]),
          redirect: 'error',
          headers: etag ? { 'If-None-Match': etag } : {},
        });
        if (response.status === 304) {
          return { body: Buffer.alloc(0), etag, unchanged: true };
        }
        if (response.status === 404) {
          throw new NotListedError('The foundry no longer has this family.');
        }
        if (!response.ok) throw new Error(`status ${response.status}`);
        return {
          body: await limitedBody(response),
          etag: response.headers.get('etag'),
          unchanged: false,
        };
      } catch (error) {
        if (error instanceof SupplyError || signal?.aborted) throw error;
        if (attempt >= TRIES) {
          throw new SupplyError(
            `The foundry does not answer (${reasonOf(error)}). What is in the case is unaffected. Try again.`,
          );
        }
        await wait(FIRST_PAUSE * 2 ** (attempt - 1));
      }
    }
  }

  async #cached(path: string): Promise<{ body: Buffer; etag: string | null } | undefined> {
    const [row] = await this.database
      .select({ body: supplyCache.body, etag: supplyCache.etag })
      .from(supplyCache)
      .where(eq(supplyCache.url, path));
    return row;
  }

  async #keep(path: string, body: Buffer, etag: string | null): Promise<void> {
    const row = { body, etag, fetchedAt: new Date().toISOString() };
    await this.database
      .insert(supplyCache)
      .values({ url: path, ...row })
      .onConflictDoUpdate({ target: supplyCache.url, set: row });
  }
}

function reasonOf(error: unknown): string {
  const { name, message, cause } = error as Error & { cause?: { code?: string } };
  if (name === 'TimeoutError') return `no answer within ${TIMEOUT / 1000} seconds`;
  return cause?.code ?? message;
}

/** Reads a body, and stops when it is larger than anything the foundry has. */
async function limitedBody(response: Response): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  if (!response.body) return Buffer.alloc(0);
  for await (const chunk of Readable.fromWeb(
    response.body as ReadableStream<Uint8Array>,
  ) as AsyncIterable<Uint8Array>) {
    size += chunk.length;
    if (size > LARGEST_ANSWER) {
      throw new SupplyError('The foundry’s answer is larger than any font. It was not taken.');
    }
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}
