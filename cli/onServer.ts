import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import { eventsIn, type ServerEvent } from './events';
import type { AsideMark, Mark } from '@lettera/core/check';
import type { DeliveryFile } from '@lettera/core/wire';
import type { Project } from '@lettera/server';

/** A server that did not answer as it should. */
export class ServerError extends Error {
  override readonly name = 'ServerError';
}

/** Projects of a running server. With LETTERA_TOKEN, as who has it. */
export class RunningServer {
  readonly #base: string;

  /** @throws ServerError for what is no address of one */
  constructor(address: string) {
    try {
      this.#base = new URL('/api/v1', address).href;
    } catch {
      throw new ServerError(`“${address}” is no address of a server.`);
    }
  }

  /** @throws ServerError */
  project(name: string): Promise<Project> {
    return this.#json(`/projects/${encodeURIComponent(name)}`);
  }

  /** @throws ServerError */
  marks(name: string): Promise<{ marks: Mark[]; aside: AsideMark[] }> {
    return this.#json(`/projects/${encodeURIComponent(name)}/marks`);
  }

  /** The bundle's files with their contents, by path. @throws ServerError */
  async contents({ id, revision }: Project): Promise<Record<string, string | Uint8Array>> {
    const files = await this.#json<DeliveryFile[]>(`/projects/${id}/delivery`);
    const entries = await Promise.all(
      files.map(async (file): Promise<[string, string | Uint8Array]> => {
        if (file.kind === 'text') return [file.path, file.content];
        const answer = await this.#get(`/projects/${id}/delivery/${revision}/files/${file.path}`);
        return [file.path, new Uint8Array(await answer.arrayBuffer())];
      }),
    );
    return Object.fromEntries(entries);
  }

  /** What is told of a project, until the stream ends. @throws ServerError where it cannot be had, or breaks off */
  async *events(id: string, signal: AbortSignal): AsyncGenerator<ServerEvent> {
    const { body } = await this.#get(`/projects/${id}/events`, signal);
    if (!body) return;
    const text = Readable.fromWeb(body as ReadableStream).setEncoding('utf8');
    try {
      yield* eventsIn(text as AsyncIterable<string>);
    } catch (error) {
      throw new ServerError(`${this.#base} went away: ${(error as Error).message}.`);
    }
  }

  async #json<T>(path: string): Promise<T> {
    return (await (await this.#get(path)).json()) as T;
  }

  async #get(path: string, signal?: AbortSignal): Promise<Response> {
    const token = process.env['LETTERA_TOKEN'];
    const answer = await fetch(this.#base + path, {
      headers: token ? { Authorization: `Bearer ${token}` } : {},
      ...(signal && { signal }),
    }).catch(() => {
      throw new ServerError(`There is no answer from ${this.#base}.`);
    });
    if (answer.ok) return answer;
    const { detail } = (await answer.json().catch(() => ({}))) as { detail?: string };
    throw new ServerError(detail ?? `The server answered ${answer.status}.`);
  }
}
