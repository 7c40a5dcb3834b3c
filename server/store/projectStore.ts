import { randomUUID } from 'node:crypto';
import { EventEmitter } from 'node:events';
import type { BatchItem } from 'drizzle-orm/batch';
import { asc, and, eq, getTableColumns, inArray, or, sql } from 'drizzle-orm';
import { applyChange, describePatch, reapply } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { slug as slugOf } from '@lettera/core/deliver';
import { CLEANER_VERSION } from '@lettera/core/page/file';
import type { Change, HistoryEntry, Project, ProjectSummary } from '@lettera/core/wire';
import type { Database } from './database';
import type { Page } from './pageStore';
import { History } from './history';
import { Outbox } from './outbox';
import { changes, keptStates, pages, projects } from './schema';

/** The change was made on a revision that is not the newest; nothing was stored. */
export class StaleRevisionError extends Error {
  override readonly name = 'StaleRevisionError';

  constructor(readonly current: Project) {
    super(`The project stands at revision ${current.revision}.`);
  }
}

/** What the store has of a project cannot be read. */
export class DamagedProjectError extends Error {
  override readonly name = 'DamagedProjectError';
}

/** There is nothing to undo, or to redo. */
export class NothingToDoError extends Error {
  override readonly name = 'NothingToDoError';
}

/** A patch from outside, not yet checked, or a function that makes one from the document as it stands. */
export type PatchOrMaker = object | ((document: ProjectDocument) => Patch);

export interface ChangeOptions {
  /** What the change is called; made from the patch when left out. */
  label?: string;
  /** Looks at the document that would be stored, and throws to refuse it. */
  check?: (document: ProjectDocument) => Promise<void>;
}

type ProjectRow = typeof projects.$inferSelect;

const { document: _document, ...columnsBesides } = getTableColumns(projects);

/** Documents of projects that were asked for last, so that a revision is read and made ready once. */
const REMEMBERED_DOCUMENTS = 50;
/** At every so many revisions the whole document is kept, so that no other is farther from one than half as many. */
export const KEPT_EVERY = 500;
/** How often a change that no one made on a revision is tried on a newer one. */
const MOST_TRIES = 20;
/** What is told of a new revision. */
const REVISION = 'revision';
type ChangeRow = typeof changes.$inferSelect;
type ChangeMade = Pick<ChangeRow, 'label' | 'patch'>;

/** A document at a revision, and the change that led to it where that was made here. */
interface Remembered {
  revision: number;
  document: ProjectDocument;
  made: ChangeMade | null;
}

/** Whether a statement was refused since a row of one key is there already: that of a column, or of several. */
const isTaken = (error: unknown, ...columns: string[]): boolean =>
  [error, (error as { cause?: unknown }).cause].some((one) =>
    String(one).includes(`UNIQUE constraint failed: ${columns.join(', ')}`),
  );
/** How often another name is looked for where somebody takes the one that was free. */
const MOST_NAMES = 20;

/** Projects, their documents, and every change made to them. */
export class ProjectStore {
  readonly #events = new EventEmitter();
  /** The last change under way for each project: changes to one project are stored one after another. */
  readonly #queues = new Map<string, Promise<unknown>>();

  readonly #documents = new Map<string, Remembered>();
  readonly #history: History;
  /** What is being heard of from other processes. */
  #hearing: Promise<void> = Promise.resolve();

  constructor(
    private readonly database: Database,
    private readonly outbox = new Outbox(database),
  ) {
    this.#history = new History(database);
    this.#events.setMaxListeners(0);
    outbox.on<number>(REVISION, (id, revision) => {
      if (id === null) return;
      // One after the other, as they came about. A store that cannot be read now is read when somebody asks.
      this.#hearing = this.#hearing.then(() => this.#heard(id, revision)).catch(() => undefined);
    });
  }

  async list(): Promise<ProjectSummary[]> {
    return this.database
      .select({
        id: projects.id,
        slug: projects.slug,
        // A damaged document is named by its short name, and no other project is lost with it.
        name: sql<string>`CASE WHEN json_valid(${projects.document}) THEN json_extract(${projects.document}, '$.name') ELSE ${projects.slug} || ' (damaged)' END`,
        revision: projects.revision,
        createdAt: projects.createdAt,
        updatedAt: projects.updatedAt,
      })
      .from(projects)
      .orderBy(asc(projects.createdAt));
  }

  /** Which project an id or slug names, whatever is wrong with it; null for none. */
  async idOf(idOrSlug: string): Promise<string | null> {
    const [row] = await this.database
      .select({ id: projects.id })
      .from(projects)
      .where(or(eq(projects.id, idOrSlug), eq(projects.slug, idOrSlug)));
    return row?.id ?? null;
  }

  /** A project by id or slug, or null. @throws DamagedProjectError */
  async get(idOrSlug: string): Promise<Project | null> {
    const row = await this.#row(idOrSlug);
    return row ? this.#toProject(row) : null;
  }

  /**
   * Makes a project, on the pages given; its slug is made from its name and is unique.
   * @param alongside what is stored with it in the same transaction
   */
  async create(
    document: ProjectDocument,
    projectPages: Page[],
    {
      slug: wantedSlug,
      alongside,
    }: { slug?: string; alongside?: (id: string) => BatchItem<'sqlite'>[] } = {},
  ): Promise<Project> {
    const base = wantedSlug ?? slugOf(document.name);
    const id = randomUUID();
    const now = new Date().toISOString();
    for (let attempt = 1; ; attempt++) {
      try {
        await this.database.batch([
          this.database.insert(projects).values({
            id,
            slug: await this.#freeSlug(base),
            revision: 1,
            document,
            createdAt: now,
            updatedAt: now,
          }),
          ...projectPages.map((page, position) =>
            this.database
              .insert(pages)
              .values({ projectId: id, ...page, position, cleaned: CLEANER_VERSION }),
          ),
          ...(alongside?.(id) ?? []),
        ]);
        break;
      } catch (error) {
        if (!isTaken(error, 'projects.slug') || attempt === MOST_NAMES) throw error;
      }
    }
    return (await this.get(id)) as Project;
  }

  /** A name in addresses that no project has: the one that is wanted, or with the next number behind it. */
  async #freeSlug(wanted: string): Promise<string> {
    const taken = new Set(
      (
        await this.database
          .select({ slug: projects.slug })
          .from(projects)
          .where(sql`substr(${projects.slug}, 1, ${wanted.length}) = ${wanted}`)
      ).map(({ slug }) => slug),
    );
    if (!taken.has(wanted)) return wanted;
    let number = 2;
    while (taken.has(`${wanted}-${number}`)) number++;
    return `${wanted}-${number}`;
  }

  async remove(id: string): Promise<void> {
    await this.database.delete(projects).where(eq(projects.id, id));
  }

  /**
   * Applies a patch made on a revision, or one made from whatever stands when `revision` is null.
   * @throws StaleRevisionError, ChangeError, and what `check` throws; nothing is stored then
   */
  change(
    id: string,
    revision: number | null,
    patch: PatchOrMaker,
    { label, check }: ChangeOptions = {},
  ): Promise<Project> {
    return this.#inTurn(id, revision, async (row) => {
      const wanted: unknown = typeof patch === 'function' ? patch(row.document) : patch;
      const { document, inverse, patch: accepted } = applyChange(row.document, wanted);
      await check?.(document);
      return this.#store(row, document, {
        kind: 'change',
        label: label ?? describePatch(row.document, wanted as Patch),
        patch: accepted,
        inverse,
        below: row.undoTop,
        nextRedo: null,
        undoTop: row.revision + 1,
        redoTop: null,
      });
    });
  }

  /** Takes back the last change that stands. @throws StaleRevisionError, NothingToDoError */
  undo(id: string, revision: number | null): Promise<Project> {
    return this.#inTurn(id, revision, async (row) => {
      const change = await this.#change(id, row.undoTop);
      if (!change) throw new NothingToDoError('There is no change to undo.');
      const { document, inverse } = applyChange(row.document, change.inverse);
      return this.#store(
        row,
        document,
        {
          kind: 'undo',
          label: change.label,
          patch: change.inverse,
          inverse,
          below: null,
          nextRedo: null,
          undoTop: change.below,
          redoTop: change.revision,
        },
        { revision: change.revision, nextRedo: row.redoTop },
      );
    });
  }

  /** Makes the change again that was undone last. @throws StaleRevisionError, NothingToDoError */
  redo(id: string, revision: number | null): Promise<Project> {
    return this.#inTurn(id, revision, async (row) => {
      const change = await this.#change(id, row.redoTop);
      if (!change) throw new NothingToDoError('There is no change to redo.');
      const { document, inverse } = applyChange(row.document, change.patch);
      return this.#store(row, document, {
        kind: 'redo',
        label: change.label,
        patch: change.patch,
        inverse,
        below: null,
        nextRedo: null,
        undoTop: change.revision,
        redoTop: change.nextRedo,
      });
    });
  }

  /** Revisions before a given one, newest first. @see History */
  history(id: string, before: number, limit: number): Promise<HistoryEntry[]> {
    return this.#history.entries(id, before, limit);
  }

  /** The document as it stood at a revision, made from the nearest that is kept whole; null for one that never was. */
  async documentAt(id: string, revision: number): Promise<ProjectDocument | null> {
    const row = await this.#row(id);
    if (!row || !Number.isInteger(revision) || revision < 1 || revision > row.revision) return null;
    return this.#history.document(id, row, revision);
  }

  /** What the change made of a project that led to it as it stands; null for one that was never changed. */
  async changeOf(project: Project): Promise<Change | null> {
    const { id, revision, undo, redo, updatedAt } = project;
    const known = this.#documents.get(id);
    const made =
      known?.revision === revision && known.made ? known.made : await this.#change(id, revision);
    return made ? { revision, label: made.label, patch: made.patch, undo, redo, updatedAt } : null;
  }

  /** Gives or withdraws the permission to fetch from the foundry for a project. */
  async allowFoundry(id: string, allowedBy: string | null): Promise<Project> {
    await this.database
      .update(projects)
      .set({
        foundryAllowedAt: allowedBy === null ? null : new Date().toISOString(),
        foundryAllowedBy: allowedBy,
      })
      .where(eq(projects.id, id));
    return (await this.get(id)) as Project;
  }

  /** Calls back at every new revision of a project, until the returned function is called. */
  onRevision(projectId: string, listener: (change: Change) => void): () => void {
    this.#events.on(projectId, listener);
    return () => this.#events.off(projectId, listener);
  }

  /** Tells those who listen here of a revision that another process has made; of several, each in its turn. */
  async #heard(id: string, revision: number): Promise<void> {
    if (this.#events.listenerCount(id) === 0) return;
    const [made, project] = [await this.#change(id, revision), await this.get(id)];
    if (!made || !project) return;
    const { label, patch, at } = made;
    // What undo would take back is told as it is by now.
    const { undo, redo } = project;
    const change: Change = { revision, label, patch, undo, redo, updatedAt: at };
    this.#events.emit(id, change);
  }

  async #row(idOrSlug: string): Promise<ProjectRow | undefined> {
    const [row] = await this.database
      .select(columnsBesides)
      .from(projects)
      .where(or(eq(projects.id, idOrSlug), eq(projects.slug, idOrSlug)));
    if (!row) return undefined;
    const known = this.#documents.get(row.id);
    if (known?.revision === row.revision) return { ...row, document: known.document };
    // Both at once, since a change may be stored between two questions.
    const [newest] = await this.database
      .select()
      .from(projects)
      .where(eq(projects.id, row.id))
      .catch((error: unknown) => {
        if (!(error instanceof SyntaxError)) throw error;
        throw new DamagedProjectError(
          `The project “${row.slug}” is damaged: what the store has of it cannot be read. Other projects are as they were. Put a copy back that “lettera backup” has made, or delete it.`,
        );
      });
    if (!newest) return undefined;
    // A document of an earlier version has its parts in order, but no places for them.
    const document = reapply(newest.document, []);
    this.#remember(newest.id, { revision: newest.revision, document, made: null });
    return { ...newest, document };
  }

  #remember(id: string, remembered: Remembered): void {
    this.#documents.delete(id);
    this.#documents.set(id, remembered);
    for (const oldest of this.#documents.keys()) {
      if (this.#documents.size <= REMEMBERED_DOCUMENTS) break;
      this.#documents.delete(oldest);
    }
  }

  async #change(id: string, revision: number | null): Promise<ChangeRow | undefined> {
    if (revision === null) return undefined;
    const [row] = await this.database
      .select()
      .from(changes)
      .where(and(eq(changes.projectId, id), eq(changes.revision, revision)));
    return row;
  }

  async #toProject(row: ProjectRow): Promise<Project> {
    const tops = [row.undoTop, row.redoTop].filter((revision) => revision !== null);
    const labels = tops.length
      ? await this.database
          .select({ revision: changes.revision, label: changes.label })
          .from(changes)
          .where(and(eq(changes.projectId, row.id), inArray(changes.revision, tops)))
      : [];
    const labelOf = (revision: number | null) =>
      labels.find((change) => change.revision === revision)?.label ?? null;
    return {
      id: row.id,
      slug: row.slug,
      name: row.document.name,
      revision: row.revision,
      document: row.document,
      undo: labelOf(row.undoTop),
      redo: labelOf(row.redoTop),
      foundry:
        row.foundryAllowedAt === null
          ? null
          : { allowedAt: row.foundryAllowedAt, allowedBy: row.foundryAllowedBy ?? '' },
      createdAt: row.createdAt,
      updatedAt: row.updatedAt,
    };
  }

  /** Runs one change after the other for each project, on the newest revision. */
  async #inTurn(
    id: string,
    revision: number | null,
    work: (row: ProjectRow) => Promise<Project>,
  ): Promise<Project> {
    const before = this.#queues.get(id) ?? Promise.resolve();
    const turn = before.then(async () => {
      for (let tried = 1; ; tried++) {
        const row = await this.#row(id);
        if (!row) throw new RangeError(`There is no project ${id}`);
        if (revision !== null && revision !== row.revision) {
          throw new StaleRevisionError(await this.#toProject(row));
        }
        try {
          return await work(row);
        } catch (error) {
          // Another process was first: what is made from whatever stands is made from what stands now.
          const isLate = error instanceof StaleRevisionError && revision === null;
          if (!isLate || tried === MOST_TRIES) throw error;
        }
      }
    });
    const settled = turn.catch(() => undefined);
    this.#queues.set(id, settled);
    void settled.then(() => {
      if (this.#queues.get(id) === settled) this.#queues.delete(id);
    });
    return turn;
  }

  /**
   * Stores the next revision in one transaction. Its primary key is the revision, so that of two servers
   * on one database only one can make it.
   */
  async #store(
    row: ProjectRow,
    document: ProjectDocument,
    {
      undoTop,
      redoTop,
      ...change
    }: Omit<ChangeRow, 'projectId' | 'revision' | 'at'> & Pick<ProjectRow, 'undoTop' | 'redoTop'>,
    relink?: { revision: number; nextRedo: number | null },
  ): Promise<Project> {
    const revision = row.revision + 1;
    const at = new Date().toISOString();
    const next: ProjectRow = { ...row, revision, document, undoTop, redoTop, updatedAt: at };
    try {
      await this.database.batch([
        this.database.insert(changes).values({ ...change, projectId: row.id, revision, at }),
        this.database
          .update(projects)
          .set({ revision, document, undoTop, redoTop, updatedAt: at })
          .where(eq(projects.id, row.id)),
        this.outbox.entry({ kind: REVISION, project: row.id, data: revision }),
        ...(revision % KEPT_EVERY === 0
          ? [this.database.insert(keptStates).values({ projectId: row.id, revision, document })]
          : []),
        ...(relink
          ? [
              this.database
                .update(changes)
                .set({ nextRedo: relink.nextRedo })
                .where(and(eq(changes.projectId, row.id), eq(changes.revision, relink.revision))),
            ]
          : []),
      ]);
    } catch (error) {
      const isStale = isTaken(error, 'changes.project_id', 'changes.revision');
      const current = isStale ? await this.get(row.id) : null;
      if (current) throw new StaleRevisionError(current);
      throw error;
    }
    const { label, patch } = change;
    this.#remember(row.id, { revision, document, made: { label, patch } });
    const project = await this.#toProject(next);
    const { undo, redo } = project;
    const told: Change = { revision, label, patch, undo, redo, updatedAt: at };
    this.#events.emit(row.id, told);
    return project;
  }
}
