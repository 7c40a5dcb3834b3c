import { randomUUID } from 'node:crypto';
import { and, count, desc, eq, getTableColumns } from 'drizzle-orm';
import { reapply } from '@lettera/core/change';
import type { ProjectDocument } from '@lettera/core/document';
import type { Project, Waypoint } from '@lettera/core/wire';
import type { Database } from './database';
import { Outbox } from './outbox';
import { waypoints } from './schema';

/** What is told when the waypoints of a project are others. */
const WAYPOINTS = 'waypoints';
/** Most waypoints of a project. */
export const MOST_WAYPOINTS = 200;

/** A named state, as it is told apart from the project that it is of. */
export interface NamedState {
  name: string;
  /** When it was named, ISO 8601. */
  at: string;
  document: ProjectDocument;
}

/** The project has as many waypoints as it may have. */
export class TooManyWaypointsError extends Error {
  override readonly name = 'TooManyWaypointsError';
}

const { document: _document, projectId: _projectId, ...told } = getTableColumns(waypoints);

/** Named states of projects. */
export class WaypointStore {
  constructor(
    private readonly database: Database,
    private readonly outbox = new Outbox(database),
  ) {}

  /** Calls back whenever the waypoints of a project are others, until the returned function is called. */
  onChange(projectId: string, listener: () => void): () => void {
    return this.outbox.on(WAYPOINTS, (project) => {
      if (project === projectId) listener();
    });
  }

  /** All of a project, newest first. */
  async list(projectId: string): Promise<Waypoint[]> {
    return this.database
      .select(told)
      .from(waypoints)
      .where(eq(waypoints.projectId, projectId))
      .orderBy(desc(waypoints.at));
  }

  /** What all of a project hold, the oldest first. */
  async states(projectId: string): Promise<NamedState[]> {
    const { name, at, document } = waypoints;
    const rows = await this.database
      .select({ name, at, document })
      .from(waypoints)
      .where(eq(waypoints.projectId, projectId))
      .orderBy(at);
    return rows.map((row) => ({ ...row, document: reapply(row.document, []) }));
  }

  /** Takes over states that were named elsewhere. */
  async keep(
    { id: projectId, revision }: Pick<Project, 'id' | 'revision'>,
    states: readonly NamedState[],
  ): Promise<void> {
    if (states.length === 0) return;
    await this.database
      .insert(waypoints)
      .values(states.map((state) => ({ id: randomUUID(), projectId, revision, ...state })));
  }

  /** Gives the present state a name. @throws TooManyWaypointsError */
  async add({ id: projectId, revision, document }: Project, name: string): Promise<Waypoint> {
    const [held] = await this.database
      .select({ count: count() })
      .from(waypoints)
      .where(eq(waypoints.projectId, projectId));
    if ((held?.count ?? 0) >= MOST_WAYPOINTS) {
      throw new TooManyWaypointsError(
        `A project has at most ${MOST_WAYPOINTS} waypoints. Remove one to name another.`,
      );
    }
    const waypoint = { id: randomUUID(), name, revision, at: new Date().toISOString() };
    await this.database.insert(waypoints).values({ ...waypoint, projectId, document });
    await this.#tell(projectId);
    return waypoint;
  }

  /** What a waypoint holds; null where there is none. */
  async document(projectId: string, id: string): Promise<ProjectDocument | null> {
    const [row] = await this.database
      .select({ document: waypoints.document })
      .from(waypoints)
      .where(and(eq(waypoints.projectId, projectId), eq(waypoints.id, id)));
    return row ? reapply(row.document, []) : null;
  }

  /** @returns whether there was one */
  async rename(projectId: string, id: string, name: string): Promise<boolean> {
    const changed = await this.database
      .update(waypoints)
      .set({ name })
      .where(and(eq(waypoints.projectId, projectId), eq(waypoints.id, id)))
      .returning({ id: waypoints.id });
    return this.#areOthers(projectId, changed);
  }

  /** @returns whether there was one */
  async remove(projectId: string, id: string): Promise<boolean> {
    const removed = await this.database
      .delete(waypoints)
      .where(and(eq(waypoints.projectId, projectId), eq(waypoints.id, id)))
      .returning({ id: waypoints.id });
    return this.#areOthers(projectId, removed);
  }

  /** Tells of rows that are others now. @returns whether there were any */
  async #areOthers(projectId: string, rows: readonly unknown[]): Promise<boolean> {
    if (rows.length > 0) await this.#tell(projectId);
    return rows.length > 0;
  }

  #tell(projectId: string): Promise<void> {
    return this.outbox.tell({ kind: WAYPOINTS, project: projectId, data: null });
  }
}
