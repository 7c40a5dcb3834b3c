import { and, asc, desc, eq, gt, lt, lte, sql } from 'drizzle-orm';
import { reapply } from '@lettera/core/change';
import type { ProjectDocument } from '@lettera/core/document';
import type { HistoryEntry } from '@lettera/core/wire';
import type { Database } from './database';
import { changes, keptStates, waypoints } from './schema';

/** Bytes of the patches of one page of history. */
const HISTORY_BYTES = 1_000_000;
/** Changes that are read together on the way to another revision. */
const CHANGES_AT_ONCE = 200;

/** A document at a revision. */
interface State {
  revision: number;
  document: ProjectDocument;
}

/** What changes have made of projects, and what they were before. */
export class History {
  constructor(private readonly database: Database) {}

  /** Revisions before a given one, newest first: at most so many, and so many bytes of patches, but one at least. */
  async entries(id: string, before: number, limit: number): Promise<HistoryEntry[]> {
    const sizes = await this.database
      .select({ bytes: sql<number>`length(CAST(${changes.patch} AS BLOB))` })
      .from(changes)
      .where(and(eq(changes.projectId, id), lt(changes.revision, before)))
      .orderBy(desc(changes.revision))
      .limit(limit);
    let bytes = 0;
    const beyond = sizes.findIndex((one) => (bytes += one.bytes) > HISTORY_BYTES);
    const within = beyond < 0 ? sizes.length : Math.max(1, beyond);
    return this.database
      .select({
        revision: changes.revision,
        kind: changes.kind,
        label: changes.label,
        patch: changes.patch,
        at: changes.at,
      })
      .from(changes)
      .where(and(eq(changes.projectId, id), lt(changes.revision, before)))
      .orderBy(desc(changes.revision))
      .limit(within);
  }

  /**
   * The document as it stood at a revision that there was, made from the nearest that is kept whole.
   * @param newest the document as it stands
   */
  async document(id: string, newest: State, revision: number): Promise<ProjectDocument> {
    const nearest = await this.#nearest(id, revision);
    const isNearer = nearest && Math.abs(nearest.revision - revision) < newest.revision - revision;
    return this.#go(id, isNearer ? nearest : newest, revision);
  }

  /** The document that is kept whole at the revision nearest to one: kept on the way, or named. */
  async #nearest(id: string, revision: number): Promise<State | undefined> {
    const found = await Promise.all(
      [keptStates, waypoints].map(async (table) => {
        const [state] = await this.database
          .select({ revision: table.revision, document: table.document })
          .from(table)
          .where(eq(table.projectId, id))
          .orderBy(sql`abs(${table.revision} - ${revision})`)
          .limit(1);
        return state ? [{ ...state, document: reapply(state.document, []) }] : [];
      }),
    );
    const away = (one: { revision: number }) => Math.abs(one.revision - revision);
    return found.flat().sort((one, other) => away(one) - away(other))[0];
  }

  /** Goes from a document at one revision to that at another, change by change, back or forth. */
  async #go(id: string, { revision, document }: State, to: number): Promise<ProjectDocument> {
    const isBack = to < revision;
    let made = document;
    for (let at = revision; at !== to;) {
      const next = isBack ? Math.max(to, at - CHANGES_AT_ONCE) : Math.min(to, at + CHANGES_AT_ONCE);
      const steps = await this.database
        .select({ patch: isBack ? changes.inverse : changes.patch })
        .from(changes)
        .where(
          and(
            eq(changes.projectId, id),
            gt(changes.revision, Math.min(at, next)),
            lte(changes.revision, Math.max(at, next)),
          ),
        )
        .orderBy(isBack ? desc(changes.revision) : asc(changes.revision));
      made = steps.reduce((before, { patch }) => reapply(before, patch), made);
      at = next;
    }
    return made;
  }
}
