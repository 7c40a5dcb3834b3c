import { project as say } from './words';
import { letGoPatch } from '@lettera/core/scale';
import { applyChange, ChangeError, previewOf, patchBetween } from '@lettera/core/change';
import { sharing, type Patch, type ProjectDocument } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Change, LiveTold, PageTitle, ProgressReport, Project } from '@lettera/core/wire';
import { api, ApiError, OfflineError, urls } from '../api/client';
import { afterChange, rebase, replay } from './changeQueue';

/** What is happening with the changes made here. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict';

/**
 * Something that is looked at without being kept: a layer over the document. What is tried lies below what
 * is pointed at, so that what is pointed at is seen on what is tried.
 */
export interface Layer {
  owner: string;
  kind: 'tried' | 'pointed';
  patch: Patch;
}

/** A change that was not taken: what was wrong with it, and how to make it knowingly, if it can be. */
export interface Refusal {
  message: string;
  knowingly: (() => boolean) | null;
  /** Steps set by hand that are in its way, and how to make it without them; left out where none are. */
  letGo?: { steps: readonly string[]; run: () => boolean };
}

/** The part of a scale that allows steps to cross, which a change may ask for knowingly. */
const CROSSING = '/scale/crossing';

/** What is said of a change that was refused. `change` makes another in its place. */
function refusalOf(
  current: ProjectDocument,
  patch: Patch,
  error: ChangeError,
  change: (patch: Patch) => boolean,
): Refusal {
  const [first] = error.errors;
  if (first?.path === CROSSING && error.errors.length === 1) {
    const knowingly: Patch = [...patch, { op: 'add', path: CROSSING, value: true }];
    // What is being set by hand now is not what is in the way.
    const isByHand = patch.some(({ path }) => path.startsWith('/scale/overrides'));
    const free = isByHand ? null : letGoPatch(applyChange(current, knowingly).document.scale);
    return {
      message: say.nothingWasChanged(first.message.replace(/^.*?: /, '')),
      knowingly: () => change(knowingly),
      ...(free && {
        letGo: { steps: free.steps, run: () => change([...patch, ...free.patch]) },
      }),
    };
  }
  return { message: say.nothingWasChangedMessage(error.message), knowingly: null };
}

/** Two changes that meet at the same place: one stored elsewhere, one made here. */
export interface Conflict {
  theirs: ProjectDocument;
  mine: Patch;
}

/** A step through the history that was asked for. */
interface Step {
  direction: 'undo' | 'redo';
  /** The change that it comes after, where that is still to be sent. */
  after: Patch | undefined;
  done: () => void;
}

const nothingToDo = (error: ApiError): boolean =>
  error.problem.type?.endsWith('nothing-to-do') ?? false;

const RETRY_DELAY = 3000;
const keptKey = (id: string) => `lettera:unsaved:${id}`;

/**
 * The project that is open: what the server holds, what has been changed here and is on its way there,
 * and what is only being looked at. A change shows at once, is kept in the browser until the server has
 * it, and is sent again when it could not be.
 */
export const useProject = defineStore('project', () => {
  const stored = shallowRef<Project | null>(null);
  const pending = shallowRef<Patch[]>([]);
  const layers = shallowRef<readonly Layer[]>([]);
  const refusal = shallowRef<Refusal | null>(null);
  /** The document as it was when it was opened here. */
  const opened = shallowRef<ProjectDocument | null>(null);
  /** Pages that came with the project. */
  const given = shallowRef<PageTitle[]>([]);
  const saveState = ref<SaveState>('saved');
  const message = ref('');
  const conflict = shallowRef<Conflict | null>(null);
  /** How often it was reported that the waypoints are others. */
  const waypointsTold = ref(0);
  const progress = shallowRef<Partial<Record<ProgressReport['task'], ProgressReport>>>({});

  /** Whoever hears what is told of the running site. */
  const liveListeners = new Set<(told: LiveTold) => void>();
  let events: EventSource | null = null;
  let sending = false;
  /** Steps through the history that are still to be gone, first asked first. */
  const asked: Step[] = [];
  /** The newest revision heard of. */
  let announced = 0;
  /** Changes heard of that have not been taken over yet, by the revision that they led to. */
  const heard = new Map<number, Change>();
  let retry: ReturnType<typeof setTimeout> | undefined;

  /** Made of the parts that it had, wherever they say the same: an answer that brings nothing new changes nothing. */
  const document = computed<ProjectDocument | null>((before) =>
    stored.value ? sharing(before, replay(stored.value.document, pending.value)) : null,
  );

  /** A document with layers of one kind; one that does not fit it is left out. */
  const withLayers = (current: ProjectDocument | null, kind: Layer['kind']) =>
    layers.value
      .filter((layer) => layer.kind === kind)
      .reduce((below, { patch }) => (below ? (previewOf(below, patch) ?? below) : null), current);

  /** The document with what is being tried. */
  const tried = computed(() => withLayers(document.value, 'tried'));
  /** The document with what is being tried and pointed at: what the proof shows. */
  const shown = computed(() => withLayers(tried.value, 'pointed'));

  /** The document before the last change to it here; null where there was none yet. */
  const previous = shallowRef<ProjectDocument | null>(null);

  /** Puts an owner's layer over the document in place of the one it had; null takes it away. */
  function setLayer(owner: string, kind: Layer['kind'], patch: Patch | null): void {
    const others = layers.value.filter((layer) => layer.owner !== owner);
    const empty = patch === null || patch.length === 0;
    if (empty && others.length === layers.value.length) return;
    layers.value = empty ? others : [...others, { owner, kind, patch }];
  }

  const id = computed(() => stored.value?.id ?? '');

  /** All pages to proof on, those that are only looked at too: the site's own before those that came with the project. */
  const pages = computed<PageTitle[]>(() => [
    ...Object.entries(shown.value?.pages ?? {}).map(([slug, { name }]) => ({
      slug,
      title: name,
    })),
    ...given.value,
  ]);
  /** Whether a page is the site's own. */
  const isOwnPage = (slug: string): boolean => Object.hasOwn(shown.value?.pages ?? {}, slug);

  function keep(): void {
    if (!stored.value) return;
    const key = keptKey(stored.value.id);
    try {
      if (pending.value.length === 0) localStorage.removeItem(key);
      else {
        localStorage.setItem(
          key,
          JSON.stringify({ base: stored.value.document, pending: pending.value }),
        );
      }
    } catch {
      // A full or forbidden store only means that a closed tab would lose what could not be sent.
    }
  }

  /**
   * Takes over what the server answered; an answer that comes late, after a newer one, changes nothing.
   * @param arrived the change that was sent, which is in it
   */
  function settle(project: Project, arrived?: Patch): void {
    const isLate = stored.value?.id === project.id && project.revision < stored.value.revision;
    if (!isLate) {
      stored.value = { ...project, document: sharing(document.value, project.document) };
    }
    if (arrived) pending.value = pending.value.filter((patch) => patch !== arrived);
    keep();
  }

  /** Changes that an earlier page could not send, brought onto what the server holds now. */
  function recover(project: Project): void {
    const kept = localStorage.getItem(keptKey(project.id));
    if (!kept) return;
    try {
      const { base, pending: changes } = JSON.parse(kept) as {
        base: ProjectDocument;
        pending: Patch[];
      };
      const arrived = patchBetween(replay(base, changes), project.document).length === 0;
      if (arrived) {
        localStorage.removeItem(keptKey(project.id));
        return;
      }
      const result = rebase({ revision: 0, document: base, pending: changes }, project);
      if (result.kind === 'conflict') {
        saveState.value = 'conflict';
        conflict.value = { theirs: project.document, mine: result.mine };
        return;
      }
      changes.reduce((current, patch) => applyChange(current, patch).document, project.document);
      pending.value = changes;
    } catch {
      localStorage.removeItem(keptKey(project.id));
    }
  }

  async function open(idOrSlug: string): Promise<void> {
    close();
    announced = 0;
    heard.clear();
    const [project, titles] = await Promise.all([api.project(idOrSlug), api.pages(idOrSlug)]);
    const own = project.document.pages ?? {};
    given.value = titles.filter(({ slug }) => !Object.hasOwn(own, slug));
    stored.value = project;
    opened.value = project.document;
    recover(project);
    listen(project.id);
    void flush();
  }

  function close(): void {
    events?.close();
    events = null;
    clearTimeout(retry);
    stored.value = null;
    pending.value = [];
    layers.value = [];
    refusal.value = null;
    conflict.value = null;
    asked.splice(0).forEach(({ done }) => done());
    opened.value = null;
    previous.value = null;
    progress.value = {};
    saveState.value = 'saved';
    message.value = '';
  }

  function listen(projectId: string): void {
    events = new EventSource(urls.events(projectId));
    const onRevision = (revision: number) => {
      announced = Math.max(announced, revision);
      void catchUp();
    };
    events.addEventListener('hello', (event: MessageEvent<string>) =>
      onRevision((JSON.parse(event.data) as { revision: number }).revision),
    );
    events.addEventListener('revision', (event: MessageEvent<string>) => {
      const change = JSON.parse(event.data) as Change;
      heard.set(change.revision, change);
      onRevision(change.revision);
    });
    events.addEventListener('waypoints', () => waypointsTold.value++);
    events.addEventListener('live', (event: MessageEvent<string>) => {
      const told = JSON.parse(event.data) as LiveTold;
      for (const listener of liveListeners) listener(told);
    });
    events.addEventListener('progress', (event: MessageEvent<string>) => {
      const report = JSON.parse(event.data) as ProgressReport;
      progress.value = { ...progress.value, [report.task]: report };
    });
  }

  /**
   * Takes over what another tab or person has stored; while a change is on its way, once that has arrived. What
   * was told of is made here, and the project is asked for only where something was not heard.
   */
  async function catchUp(): Promise<void> {
    if (!stored.value || sending) return;
    for (const revision of heard.keys()) {
      if (revision <= stored.value.revision) heard.delete(revision);
    }
    for (;;) {
      const next = heard.get(stored.value.revision + 1);
      const after = next && afterChange(stored.value, next);
      if (!after) break;
      takeOver(after);
      if (sending || saveState.value === 'conflict') return;
    }
    if (announced <= stored.value.revision) return;
    const newer = await api.project(stored.value.id).catch(() => null);
    if (newer && stored.value && newer.revision > stored.value.revision) takeOver(newer);
  }

  function takeOver(newer: Project): void {
    if (!stored.value) return;
    const { revision, document: base } = stored.value;
    const result = rebase({ revision, document: base, pending: pending.value }, newer);
    if (result.kind === 'conflict') {
      conflict.value = { theirs: newer.document, mine: result.mine };
      saveState.value = 'conflict';
      pending.value = pending.value.filter((patch) => patch !== result.mine);
    }
    settle(newer);
    if (pending.value.length > 0) void flush();
  }

  /**
   * Makes a change: shown at once, then stored. One that is refused is reported beside what was tried.
   * @returns whether it was taken; nothing has changed otherwise
   */
  function change(patch: Patch): boolean {
    refusal.value = null;
    if (!document.value) return false;
    if (patch.length === 0) return true;
    if (!allows(document.value, patch)) return false;
    message.value = '';
    previous.value = document.value;
    pending.value = [...pending.value, patch];
    if (saveState.value !== 'waiting' && saveState.value !== 'conflict') saveState.value = 'saving';
    // In a task of its own, so that the proof shows the change before it is written and sent.
    setTimeout(() => {
      keep();
      void flush();
    });
    return true;
  }

  /**
   * Whether a document takes a change; what is wrong with it otherwise is reported.
   * @param again how the change is made, should it be made knowingly
   */
  function allows(
    current: ProjectDocument,
    patch: Patch,
    again: (patch: Patch) => boolean = change,
  ): boolean {
    try {
      applyChange(current, patch);
      return true;
    } catch (error) {
      if (!(error instanceof ChangeError)) throw error;
      refusal.value = refusalOf(current, patch, error, again);
      return false;
    }
  }

  /** Sends what is pending, and goes the steps that were asked for, each in its turn. */
  async function flush(): Promise<void> {
    if (sending || saveState.value === 'conflict') return;
    sending = true;
    clearTimeout(retry);
    try {
      while (stored.value) {
        const [next] = asked;
        const [patch] = pending.value;
        if (next && !(next.after && pending.value.includes(next.after))) await go(next);
        else if (patch) await send(patch);
        else break;
      }
      saveState.value = 'saved';
      message.value = '';
    } catch (error) {
      await onSendError(error);
    } finally {
      sending = false;
    }
    if (pending.value.length + asked.length > 0 && saveState.value === 'saving') void flush();
    else void catchUp();
  }

  /** The project as a change has left it that was made on it here. */
  const projectAfter = async (change: Change): Promise<Project> =>
    (stored.value && afterChange(stored.value, change)) ?? (await api.project(id.value));

  async function send(patch: Patch): Promise<void> {
    if (!stored.value) return;
    saveState.value = 'saving';
    const { id: projectId, revision } = stored.value;
    const made = await api.change(projectId, revision, patch);
    if (stored.value?.id !== projectId) return;
    settle(await projectAfter(made), patch);
  }

  async function onSendError(error: unknown): Promise<void> {
    if (error instanceof ApiError && error.status === 409 && stored.value) {
      const newer = await api.project(stored.value.id).catch(() => null);
      if (newer) takeOver(newer);
      return;
    }
    if (error instanceof ApiError && error.status >= 400 && error.status < 500) {
      pending.value = pending.value.slice(1);
      keep();
      saveState.value = pending.value.length > 0 ? 'saving' : 'saved';
      refusal.value = { message: error.message, knowingly: null };
      return;
    }
    saveState.value = 'waiting';
    message.value =
      error instanceof OfflineError || error instanceof ApiError ? error.message : String(error);
    retry = setTimeout(() => void flush(), RETRY_DELAY);
  }

  /** Goes back or forward by one change, once what was changed before has arrived. */
  function step(direction: Step['direction']): Promise<void> {
    if (!stored.value) return Promise.resolve();
    return new Promise((done) => {
      asked.push({ direction, after: pending.value.at(-1), done });
      if (saveState.value === 'saved') saveState.value = 'saving';
      void flush();
    });
  }

  /** Goes one step that was asked for. One that cannot be gone is reported, and is not tried again. */
  async function go({ direction, done }: Step): Promise<void> {
    if (!stored.value) return;
    saveState.value = 'saving';
    const { id: projectId, revision } = stored.value;
    const before = document.value;
    try {
      const made = await api[direction](projectId, revision);
      if (stored.value?.id !== projectId) return;
      settle(await projectAfter(made));
      previous.value = before;
    } catch (error) {
      if (!(error instanceof ApiError) || error.status >= 500) throw error;
      if (error.status === 409 && !nothingToDo(error)) {
        const newer = await api.project(projectId).catch(() => null);
        if (newer) takeOver(newer);
      }
      if (!nothingToDo(error)) refusal.value = { message: error.message, knowingly: null };
    }
    asked.shift();
    done();
  }

  /** Takes back what is being tried, when something is; else the last change that was stored. */
  async function undo(): Promise<void> {
    const trying = layers.value.filter(({ kind }) => kind === 'tried');
    if (trying.length === 0) await step('undo');
    for (const { owner } of trying) setLayer(owner, 'tried', null);
  }

  /** Ends a conflict: the stored value stays, or the change made here is made again over it. */
  function resolveConflict(choice: 'theirs' | 'mine'): void {
    const mine = conflict.value?.mine;
    conflict.value = null;
    saveState.value = 'saved';
    if (choice === 'mine' && mine) change(mine);
    else void flush();
  }

  return {
    stored,
    document,
    tried,
    shown,
    layers,
    refusal,
    setLayer,
    allows,
    pages,
    given,
    opened,
    previous,
    isOwnPage,
    id,
    saveState,
    message,
    conflict,
    progress,
    waypointsTold,
    onLive: (listener: (told: LiveTold) => void) => liveListeners.add(listener),
    open,
    close,
    change,
    settle,
    flush,
    undo,
    redo: () => step('redo'),
    resolveConflict,
  };
});
