import { createHash, randomBytes } from 'node:crypto';
import { and, eq, gt, lt } from 'drizzle-orm';
import type { Database } from './database';
import { Outbox } from './outbox';
import { sessions } from './schema';

/** What is told when a session is ended: the hash of what its cookie holds. */
const ENDED = 'session-ended';

/** How long a session lasts, milliseconds: thirty days. */
export const SESSION_LENGTH = 30 * 24 * 60 * 60 * 1000;

const hash = (value: string): string => createHash('sha256').update(value).digest('hex');

/** Who is signed in. What a cookie holds is random; the store knows only its hash. */
export class SessionStore {
  constructor(
    private readonly database: Database,
    private readonly outbox = new Outbox(database),
  ) {}

  /** Begins a session of whoever knows the token. @returns what the cookie is to hold */
  async begin(token: string): Promise<string> {
    const value = randomBytes(32).toString('base64url');
    const now = Date.now();
    await this.database.delete(sessions).where(lt(sessions.expiresAt, now));
    await this.database
      .insert(sessions)
      .values({ hash: hash(value), token: hash(token), expiresAt: now + SESSION_LENGTH });
    return value;
  }

  /** Whether a cookie belongs to a session that lasts, begun with the token that holds now. */
  async holds(value: string, token: string): Promise<boolean> {
    const [row] = await this.database
      .select({ expiresAt: sessions.expiresAt })
      .from(sessions)
      .where(
        and(
          eq(sessions.hash, hash(value)),
          eq(sessions.token, hash(token)),
          gt(sessions.expiresAt, Date.now()),
        ),
      );
    return row !== undefined;
  }

  async end(value: string): Promise<void> {
    await this.database.delete(sessions).where(eq(sessions.hash, hash(value)));
    await this.outbox.tell({ kind: ENDED, project: null, data: hash(value) });
  }

  /** Calls back when a session is ended, until the returned function is called. */
  onEnd(value: string, listener: () => void): () => void {
    const name = hash(value);
    return this.outbox.on<string>(ENDED, (_project, ended) => {
      if (ended === name) listener();
    });
  }
}
