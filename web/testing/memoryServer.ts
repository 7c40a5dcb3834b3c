import { applyChange, patchBetween } from '@lettera/core/change';
import { newDocument, type Patch, type ProjectDocument } from '@lettera/core/document';
import type { Change, DeliveryEvidence, Project } from '@lettera/core/wire';

const NOTHING_MADE: DeliveryEvidence = {
  made: {},
  failed: {},
  copy: '',
  within: {},
  languages: [],
  together: {},
};

/** A server in memory, that answers as the real one does, and can be unreachable. */
export class MemoryServer {
  revision = 1;
  document: ProjectDocument = newDocument('Tarnholm');
  reachable = true;
  /** Patches that arrived, in order. */
  readonly arrived: Patch[] = [];
  foundry: Project['foundry'] = null;
  /** Answers to other requests, by method and the end of the address. */
  readonly answers: Record<string, (init: RequestInit, url: string) => unknown> = {};
  /** What was asked beyond the project itself, by method and address. */
  readonly asked: string[] = [];

  get project(): Project {
    return {
      id: 'p1',
      slug: 'tarnholm',
      name: this.document.name,
      revision: this.revision,
      createdAt: '2026-01-01T00:00:00Z',
      updatedAt: '',
      document: this.document,
      undo: null,
      redo: null,
      foundry: this.foundry,
    };
  }

  /** Those who listen for new revisions. */
  readonly listeners: ((event: { data: string }) => void)[] = [];
  /** What happens as soon as a change has been stored, before its answer is on its way. */
  onStored: () => void = () => undefined;

  /** What each stored change began from, the newest last. */
  readonly #before: ProjectDocument[] = [];
  /** What the newest change made. */
  #made: Patch = [];
  /** How often the whole project was asked for. */
  projectsGiven = 0;

  /** A change from another window. */
  change(patch: Patch): void {
    this.#before.push(this.document);
    const { document, patch: accepted } = applyChange(this.document, patch);
    this.document = document;
    this.#made = accepted;
    this.revision++;
  }

  /** The newest change, as it is answered and told of. */
  get #change(): Change {
    const { revision, undo, redo, updatedAt } = this.project;
    return { revision, label: '', patch: this.#made, undo, redo, updatedAt };
  }

  /** Tells all who listen of the newest revision. */
  announce(): void {
    const data = JSON.stringify(this.#change);
    for (const listener of this.listeners) listener({ data });
  }

  fetch = (input: unknown, init: RequestInit = {}): Promise<Response> => {
    if (!this.reachable) return Promise.reject(new TypeError('unreachable'));
    const path = String(input);
    const method = init.method ?? 'GET';
    const [, answer] =
      Object.entries(this.answers).find(([key]) => {
        const [wanted, end = ''] = key.split(' ');
        return wanted === method && path.split('?')[0]?.endsWith(end);
      }) ?? [];
    if (answer) {
      this.asked.push(`${method} ${path}`);
      return this.#respond(() => answer(init, path));
    }
    if (path.endsWith('/pages')) return this.#answer(200, []);
    if (path.endsWith('/delivery/evidence')) return this.#answer(200, NOTHING_MADE);
    const undoes = path.endsWith('/undo');
    if (method !== 'PATCH' && !undoes) {
      this.projectsGiven++;
      return this.#answer(200, this.project);
    }
    const given = new Headers(init.headers).get('If-Match');
    if (given !== `"${this.revision}"`) {
      return this.#answer(409, { type: 'urn:lettera:problem:stale-revision', detail: 'stale' });
    }
    if (undoes) return this.#undo();
    const patch = JSON.parse(String(init.body)) as Patch;
    this.arrived.push(patch);
    this.change(patch);
    const stored = this.#answer(200, this.#change);
    this.onStored();
    return stored;
  };

  #undo(): Promise<Response> {
    const before = this.#before.pop();
    if (!before) {
      return this.#answer(409, { type: 'urn:lettera:problem:nothing-to-do', detail: 'nothing' });
    }
    this.#made = patchBetween(this.document, before);
    this.document = before;
    this.revision++;
    return this.#answer(200, this.#change);
  }

  /** What an answer gives, or the problem that it throws. */
  #respond(answer: () => unknown): Promise<Response> {
    try {
      return this.#answer(200, answer() ?? {});
    } catch (error) {
      return this.#answer(422, { detail: (error as Error).message });
    }
  }

  #answer(status: number, body: unknown): Promise<Response> {
    return Promise.resolve(new Response(JSON.stringify(body), { status }));
  }
}

/** The parts of a browser that the store reaches for. */
export function browser(server: MemoryServer): Map<string, string> {
  const kept = new Map<string, string>();
  Object.assign(globalThis, {
    fetch: server.fetch,
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
    window: { innerWidth: 1280 },
    EventSource: class {
      addEventListener(name: string, listener: (event: { data: string }) => void): void {
        if (name === 'revision') server.listeners.push(listener);
      }
      close(): void {
        // Nothing is open.
      }
    },
  });
  return kept;
}
