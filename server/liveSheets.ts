import { createHash } from 'node:crypto';
import { applyChange, ChangeError } from '@lettera/core/change';
import { onceForParts, type Patch, type ProjectDocument } from '@lettera/core/document';
import {
  liveSheet,
  ruleChanges,
  type LiveFile,
  type SheetMessage,
  type ShownMessage,
} from '@lettera/core/running';
import { elementsByStyle, selectorsOf } from '@lettera/core/style';
import type { LiveTold, RequestBody } from '@lettera/core/wire';
import type { Deliveries } from './delivery';
import type { LiveStore } from './store/liveStore';
import type { Outbox } from './store/outbox';
import type { ProjectStore } from './store/projectStore';
import type { FoundryClient } from './supply/foundryClient';

/** What a designer looks at in Lettera, which the running page is to show too. */
export type LiveLook = RequestBody<'LiveLook'>;

/** What is told of live sheets among the processes on a store. */
const LOOK = 'live-look';
const TOLD = 'live-told';
const ENDED = 'live-ended';

/** Files of sheets that were given out and are still answered: what a page has may be a moment behind. */
const MOST_FILES = 400;
/** How long a sheet is kept ready that nobody follows, milliseconds. */
const LINGERS = 60_000;
/** How long what is looked at is shown that is not said again: its window may have been closed. Milliseconds. */
const LOOK_LASTS = 45_000;

const hash = (text: string | Uint8Array): string => createHash('sha256').update(text).digest('hex');
const NOTHING_LOOKED_AT: LiveLook = { tried: null, style: null, marks: [] };

/** A style sheet by now: what it is called by, and its rules. */
interface Sheet {
  id: string;
  rules: readonly string[];
}

/** Who follows a sheet. */
export interface LiveFollower {
  sheet(message: SheetMessage): void;
  shown(message: ShownMessage): void;
  ended(): void;
}

/** The live sheet of one project, for as long as somebody follows it. */
class Followed {
  look = NOTHING_LOOKED_AT;
  readonly followers = new Set<LiveFollower>();
  readonly pages = new Map<LiveFollower, { address: string; engine: string }>();
  sheet: Sheet | null = null;
  files = new Map<string, LiveFile>();
  document: ProjectDocument | null = null;
  /** The making that is under way, and whether it is to be made again after that. */
  making: Promise<void> | null = null;
  isBehind = false;
  lingering: ReturnType<typeof setTimeout> | undefined;
  /** When what is only tried is let go of, unless it is said again. */
  trying: ReturnType<typeof setTimeout> | undefined;
  stop: () => void = () => undefined;
}

/** Live sheets: the delivered style sheet in its present form, for pages of the running site that follow it. */
export class LiveSheets {
  readonly #followed = new Map<string, Followed>();

  constructor(
    private readonly projects: ProjectStore,
    private readonly deliveries: Deliveries,
    private readonly store: LiveStore,
    private readonly outbox: Outbox,
    private readonly foundry: FoundryClient,
    private readonly lookLasts = LOOK_LASTS,
  ) {
    outbox.on<LiveLook>(LOOK, (project, look) => void this.#take(project ?? '', look));
    outbox.on(ENDED, (project) => this.#end(project ?? ''));
  }

  /** Shows on the running page what is looked at in Lettera, in every process. */
  async show(projectId: string, look: LiveLook): Promise<void> {
    await this.#tell(LOOK, projectId, look);
  }

  /** Ends the sheet of a project: whoever follows it hears so. */
  async end(projectId: string): Promise<void> {
    await this.store.end(projectId);
    await this.#tell(ENDED, projectId, null);
    await this.tell(projectId, { kind: 'changed' });
  }

  /** Tells whoever has a project open of its running site. */
  async tell(projectId: string, told: LiveTold): Promise<void> {
    await this.#tell(TOLD, projectId, told);
  }

  /** Calls back at what is told of the running site. @returns how to stop listening */
  onTold(projectId: string, listener: (told: LiveTold) => void): () => void {
    return this.outbox.on<LiveTold>(TOLD, (project, told) => {
      if (project === projectId) listener(told);
    });
  }

  async #tell(kind: string, project: string, data: unknown): Promise<void> {
    if (this.outbox.isAlone) this.outbox.hear({ kind, project, data });
    else await this.outbox.tell({ kind, project, data });
  }

  /** Pages that follow the sheet of a project through this process. */
  pages(projectId: string): { address: string; engine: string }[] {
    return [...(this.#followed.get(projectId)?.pages.values() ?? [])];
  }

  /** The style sheet by now, as a file. */
  async css(projectId: string): Promise<string> {
    const followed = this.#of(projectId);
    await this.#made(projectId, followed);
    this.#letGo(projectId, followed);
    return (followed.sheet?.rules ?? []).join('\n\n');
  }

  /** What a file beside the sheet holds; null where it names none of that name. */
  async file(projectId: string, name: string): Promise<Uint8Array | null> {
    const followed = this.#of(projectId);
    if (!followed.files.has(name)) await this.#made(projectId, followed);
    const file = followed.files.get(name);
    this.#letGo(projectId, followed);
    if (!file) return null;
    const offered = followed.look.offered?.find(({ sha256 }) => sha256 === file.source);
    return offered && !file.cut
      ? this.#offered(projectId, offered)
      : this.deliveries.bytes(projectId, file);
  }

  /** A file of the library that is only tried, where the library is allowed for the project. */
  async #offered(
    projectId: string,
    { sha256, family, name }: NonNullable<LiveLook['offered']>[number],
  ): Promise<Uint8Array | null> {
    const project = await this.projects.get(projectId);
    if (!project?.foundry) return null;
    const bytes = await this.foundry.file(await this.foundry.family(family), name);
    return hash(bytes) === sha256 ? bytes : null;
  }

  /** The document that the sheet is of by now. */
  async document(projectId: string): Promise<ProjectDocument | null> {
    const followed = this.#of(projectId);
    await this.#made(projectId, followed);
    this.#letGo(projectId, followed);
    return followed.document;
  }

  /**
   * Follows the sheet of a project.
   * @param known what it is called that the follower has; null for none
   * @returns how to stop
   */
  async follow(
    projectId: string,
    follower: LiveFollower,
    page: { address: string; engine: string },
    known: string | null,
  ): Promise<() => void> {
    const followed = this.#of(projectId);
    await this.#made(projectId, followed);
    followed.followers.add(follower);
    followed.pages.set(follower, page);
    const { sheet, document } = followed;
    // Where the sheet is to stand is known before its rules come.
    if (document) follower.shown(shownOf(document, followed.look));
    if (sheet && sheet.id !== known) follower.sheet(sheet);
    void this.#tellPages(projectId);
    return () => {
      followed.followers.delete(follower);
      followed.pages.delete(follower);
      this.#letGo(projectId, followed);
      void this.#tellPages(projectId);
    };
  }

  #tellPages(projectId: string): Promise<void> {
    return this.tell(projectId, { kind: 'pages', pages: this.pages(projectId) });
  }

  #of(projectId: string): Followed {
    const known = this.#followed.get(projectId);
    if (known) return known;
    const followed = new Followed();
    followed.stop = this.projects.onRevision(projectId, () => this.#changed(projectId, followed));
    this.#followed.set(projectId, followed);
    return followed;
  }

  /** Lets go of a sheet that nobody follows for a while: a page that is loaded anew asks for it again at once. */
  #letGo(projectId: string, followed: Followed): void {
    clearTimeout(followed.lingering);
    followed.lingering = setTimeout(() => {
      if (followed.followers.size > 0 || this.#followed.get(projectId) !== followed) return;
      followed.stop();
      this.#followed.delete(projectId);
    }, LINGERS).unref();
  }

  /** The sheet as it is by now. */
  async #made(projectId: string, followed: Followed): Promise<void> {
    if (!followed.sheet && !followed.making) this.#changed(projectId, followed);
    await followed.making;
  }

  async #take(projectId: string, look: LiveLook): Promise<void> {
    const followed = this.#followed.get(projectId);
    if (!followed) return;
    const before = followed.look;
    followed.look = look;
    clearTimeout(followed.trying);
    if (look !== NOTHING_LOOKED_AT) {
      followed.trying = setTimeout(() => {
        void this.#take(projectId, NOTHING_LOOKED_AT);
      }, this.lookLasts).unref();
    }
    if (JSON.stringify(before.tried) !== JSON.stringify(look.tried)) {
      this.#changed(projectId, followed);
      await followed.making;
    }
    const { document } = followed;
    if (!document) return;
    const shown = shownOf(document, look);
    for (const follower of followed.followers) follower.shown(shown);
  }

  #end(projectId: string): void {
    const followed = this.#followed.get(projectId);
    if (!followed) return;
    for (const follower of followed.followers) follower.ended();
    followed.stop();
    this.#followed.delete(projectId);
  }

  /** Makes the sheet anew; what changes meanwhile is made after that, all at once. */
  #changed(projectId: string, followed: Followed): void {
    if (followed.making) {
      followed.isBehind = true;
      return;
    }
    followed.making = this.#make(projectId, followed)
      // A sheet that cannot be made now stays as it was: the next change makes it.
      .catch(() => undefined)
      .then(() => {
        followed.making = null;
        if (!followed.isBehind) return;
        followed.isBehind = false;
        this.#changed(projectId, followed);
        return followed.making ?? undefined;
      });
  }

  async #make(projectId: string, followed: Followed): Promise<void> {
    const project = await this.projects.get(projectId);
    if (!project) return;
    const document = withTried(project.document, followed.look.tried as Patch | null);
    const plans = await this.deliveries.plans({ id: projectId, document }, project.document);
    const { rules, files } = liveSheet(document, plans, hash);
    followed.document = document;
    for (const [name, file] of files) {
      followed.files.delete(name);
      followed.files.set(name, file);
    }
    for (const name of followed.files.keys()) {
      if (followed.files.size <= MOST_FILES) break;
      followed.files.delete(name);
    }
    const before = followed.sheet;
    const changes = before ? ruleChanges(before.rules, rules) : [];
    if (before && changes.length === 0) return;
    followed.sheet = { id: hash(rules.join('\n')).slice(0, 16), rules };
    if (!before) return;
    const message = { id: followed.sheet.id, from: before.id, changes };
    for (const follower of followed.followers) follower.sheet(message);
  }
}

/** A document with what is being tried; without, where that does not fit it. */
function withTried(document: ProjectDocument, tried: Patch | null): ProjectDocument {
  if (!tried) return document;
  try {
    return applyChange(document, tried).document;
  } catch (error) {
    if (error instanceof ChangeError) return document;
    throw error;
  }
}

/** Tells text elements, and what decides which text has them, from others. */
const kindsOf = onceForParts(['elements', 'delivery'], ({ elements, delivery }) =>
  hash(JSON.stringify([elements, delivery.weight, delivery.leave])).slice(0, 16),
);

/** What is shown on a page, as its selectors have it. */
function shownOf(document: ProjectDocument, { style, marks }: LiveLook): ShownMessage {
  const selectors = (key: string): string =>
    (elementsByStyle(document).get(key) ?? [])
      .flatMap((element) => document.elements[element] ?? [])
      .flatMap((element) => selectorsOf(document, element))
      .join(', ');
  return {
    selected: style === null ? null : { style, selectors: selectors(style) },
    marks: marks.flatMap(({ style: about, says }) => {
      const found = selectors(about);
      return found ? [{ style: about, selectors: found, says }] : [];
    }),
    kinds: kindsOf(document),
    linked: document.delivery.linked ?? 'before',
  };
}
