import { randomUUID } from 'node:crypto';
import { createServer, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import Database from 'libsql';

/**
 * A stand-in for a libSQL server over a file: its protocol over HTTP, version 2, as far as it is used here. Hrana
 * over HTTP: github.com/tursodatabase/libsql, docs/HRANA_2_SPEC.md.
 */
export interface LibsqlServer {
  url: string;
  close(): Promise<void>;
}

type Value =
  | { type: 'null' }
  | { type: 'integer' | 'text'; value: string }
  | { type: 'float'; value: number }
  | { type: 'blob'; base64: string };

interface Statement {
  sql?: string;
  sql_id?: number;
  args?: Value[];
  named_args?: { name: string; value: Value }[];
}

type Condition =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Condition }
  | { type: 'and' | 'or'; conds: Condition[] }
  | { type: 'is_autocommit' };

interface Batch {
  steps: { condition?: Condition | null; stmt: Statement }[];
}

type Asked =
  | { type: 'execute'; stmt: Statement }
  | { type: 'batch'; batch: Batch }
  | { type: 'sequence'; sql?: string; sql_id?: number }
  | { type: 'store_sql'; sql_id: number; sql: string }
  | { type: 'close_sql'; sql_id: number }
  | { type: 'get_autocommit' | 'close' };

const taken = (value: Value): unknown => {
  switch (value.type) {
    case 'null':
      return null;
    case 'integer':
      return BigInt(value.value);
    case 'blob':
      return Buffer.from(value.base64, 'base64');
    default:
      return value.value;
  }
};

function given(value: unknown): Value {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: value.toString() };
  if (typeof value === 'number') {
    return Number.isInteger(value)
      ? { type: 'integer', value: String(value) }
      : { type: 'float', value };
  }
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
}

/** One connection, and what a client has said on it. */
class Stream {
  readonly #database: Database.Database;
  readonly #stored = new Map<number, string>();
  baton: string = randomUUID();

  constructor(path: string) {
    this.#database = new Database(path);
    this.#database.exec('PRAGMA foreign_keys = ON');
  }

  get isFree(): boolean {
    return !this.#database.inTransaction;
  }

  close(): void {
    this.#database.close();
  }

  answer(asked: Asked): unknown {
    switch (asked.type) {
      case 'execute':
        return { result: this.#execute(asked.stmt) };
      case 'batch':
        return { result: this.#batch(asked.batch) };
      case 'sequence':
        this.#database.exec(asked.sql ?? this.#stored.get(asked.sql_id ?? -1) ?? '');
        return {};
      case 'store_sql':
        this.#stored.set(asked.sql_id, asked.sql);
        return {};
      case 'close_sql':
        this.#stored.delete(asked.sql_id);
        return {};
      case 'get_autocommit':
        return { is_autocommit: this.isFree };
      default:
        return {};
    }
  }

  #execute({ sql, sql_id, args = [], named_args = [] }: Statement): unknown {
    const text = sql ?? this.#stored.get(sql_id ?? -1) ?? '';
    const statement = this.#database.prepare(text).safeIntegers(true);
    const values: unknown[] = args.map(taken);
    const named = named_args.map(({ name, value }) => [name.slice(1), taken(value)] as const);
    const all = named.length > 0 ? [Object.fromEntries(named)] : values;
    if (!statement.reader) {
      const { changes, lastInsertRowid } = statement.run(...all);
      return {
        cols: [],
        rows: [],
        affected_row_count: Number(changes),
        last_insert_rowid: String(lastInsertRowid),
      };
    }
    const rows = statement.raw(true).all(...all) as unknown[][];
    return {
      cols: statement.columns().map(({ name, type }) => ({ name, decltype: type })),
      rows: rows.map((row) => row.map(given)),
      affected_row_count: 0,
      last_insert_rowid: null,
    };
  }

  #batch({ steps }: Batch): unknown {
    const results: unknown[] = [];
    const errors: unknown[] = [];
    const holds = (condition: Condition): boolean => {
      switch (condition.type) {
        case 'ok':
          return Boolean(results[condition.step]);
        case 'error':
          return Boolean(errors[condition.step]);
        case 'not':
          return !holds(condition.cond);
        case 'and':
          return condition.conds.every(holds);
        case 'or':
          return condition.conds.some(holds);
        case 'is_autocommit':
          return this.isFree;
      }
    };
    steps.forEach(({ condition, stmt }, i) => {
      results[i] = null;
      errors[i] = null;
      if (condition && !holds(condition)) return;
      try {
        results[i] = this.#execute(stmt);
      } catch (error) {
        errors[i] = told(error);
      }
    });
    return { step_results: results, step_errors: errors };
  }
}

const told = (error: unknown) => ({
  message: `SQLite error: ${(error as Error).message}`,
  code: (error as { code?: string }).code ?? 'SQLITE_ERROR',
});

async function bodyOf(request: IncomingMessage): Promise<{ baton?: string; requests: Asked[] }> {
  const chunks: Buffer[] = [];
  for await (const chunk of request) chunks.push(chunk as Buffer);
  return JSON.parse(Buffer.concat(chunks).toString()) as { baton?: string; requests: Asked[] };
}

/** @param token what it asks of whoever connects; null for nothing */
export async function startLibsqlServer(
  path: string,
  { token = null, port = 0 }: { token?: string | null; port?: number } = {},
): Promise<LibsqlServer> {
  new Database(path).exec('PRAGMA journal_mode = WAL');
  const streams = new Map<string, Stream>();
  const server: Server = createServer((request, response) => {
    const reply = (status: number, body: unknown) => {
      response.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(body));
    };
    if (token !== null && request.headers.authorization !== `Bearer ${token}`) {
      return reply(401, { error: 'Unauthorized' });
    }
    if (request.url === '/v2') return reply(200, {});
    if (request.url !== '/v2/pipeline') return reply(404, { error: 'not found' });
    bodyOf(request).then(
      ({ baton, requests }) => {
        const stream = (baton && streams.get(baton)) || new Stream(path);
        streams.delete(stream.baton);
        const results = requests.map((asked) => {
          try {
            const { type } = asked;
            return { type: 'ok', response: { type, ...(stream.answer(asked) as object) } };
          } catch (error) {
            return { type: 'error', error: told(error) };
          }
        });
        const goesOn = !requests.some(({ type }) => type === 'close');
        if (goesOn) {
          stream.baton = randomUUID();
          streams.set(stream.baton, stream);
        } else stream.close();
        reply(200, { baton: goesOn ? stream.baton : null, base_url: null, results });
      },
      (error: unknown) => reply(400, { message: String(error) }),
    );
  });
  // A connection that rests is not closed under a request.
  server.keepAliveTimeout = 60_000;
  await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async close() {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      for (const stream of streams.values()) stream.close();
    },
  };
}
