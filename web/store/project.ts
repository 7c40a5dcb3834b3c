import { applyChange, ChangeError, lookAt, patchBetween } from '@lettera/core/change';
import type { Patch, ProjectDocument } from '@lettera/core/document';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  api,
  ApiError,
  OfflineError,
  urls,
  type PageTitle,
  type ProgressReport,
  type Project,
} from '../api/client';
import { rebase, replay } from './changeQueue';

/** What is happening with the changes made here. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'refused';

/** Two changes that meet at the same place: one stored elsewhere, one made here. */
export interface Conflict {
  theirs: ProjectDocument;
  mine: Patch;
}

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
  /** What is tried for a while, and what is pointed at for a moment; neither is stored. */
  const trial = shallowRef<Patch | null>(null);
  const preview = shallowRef<Patch | null>(null);
  const pages = shallowRef<PageTitle[]>([]);
  const saveState = ref<SaveState>('saved');
  const message = ref('');
  const conflict = shallowRef<Conflict | null>(null);
  const progress = shallowRef<Partial<Record<ProgressReport['task'], ProgressReport>>>({});

  let events: EventSource | null = null;
  let sending = false;
  /** The newest revision heard of. */
  let announced = 0;
  let retry: ReturnType<typeof setTimeout> | undefined;

  const document = computed<ProjectDocument | null>(() =>
    stored.value ? replay(stored.value.document, pending.value) : null,
  );

  /** A document with a change that is only looked at; one that does not fit it is left out. */
  function lookedAt(current: ProjectDocument | null, patch: Patch | null): ProjectDocument | null {
    return current && patch ? (lookAt(current, patch) ?? current) : current;
  }

  /** The document with what is being tried. */
  const tried = computed(() => lookedAt(document.value, trial.value));
  /** The document with what is being tried and pointed at: what the proof shows. */
  const shown = computed(() => lookedAt(tried.value, preview.value));

  const id = computed(() => stored.value?.id ?? '');

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

  function settle(project: Project): void {
    stored.value = project;
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
    const [project, titles] = await Promise.all([api.project(idOrSlug), api.pages(idOrSlug)]);
    pages.value = titles;
    stored.value = project;
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
    trial.value = null;
    preview.value = null;
    conflict.value = null;
    progress.value = {};
    saveState.value = 'saved';
    message.value = '';
  }

  function listen(projectId: string): void {
    events = new EventSource(urls.events(projectId));
    const onRevision = (event: MessageEvent<string>) => {
      announced = (JSON.parse(event.data) as { revision: number }).revision;
      void catchUp();
    };
    events.addEventListener('hello', onRevision);
    events.addEventListener('revision', onRevision);
    events.addEventListener('progress', (event: MessageEvent<string>) => {
      const report = JSON.parse(event.data) as ProgressReport;
      progress.value = { ...progress.value, [report.task]: report };
    });
  }

  /** Takes over what another tab or person has stored; while a change is on its way, once that has arrived. */
  async function catchUp(): Promise<void> {
    if (!stored.value || sending || announced <= stored.value.revision) return;
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
   * Makes a change: shown at once, then stored.
   * @returns null when it was taken, otherwise what was wrong with it; nothing has changed then
   */
  function change(patch: Patch): string | null {
    preview.value = null;
    if (!document.value || patch.length === 0) return null;
    try {
      applyChange(document.value, patch);
    } catch (error) {
      if (error instanceof ChangeError) return error.message;
      throw error;
    }
    message.value = '';
    pending.value = [...pending.value, patch];
    if (saveState.value !== 'waiting' && saveState.value !== 'conflict') saveState.value = 'saving';
    // In a task of its own, so that the proof shows the change before it is written and sent.
    setTimeout(() => {
      keep();
      void flush();
    });
    return null;
  }

  async function flush(): Promise<void> {
    if (sending || saveState.value === 'conflict') return;
    sending = true;
    clearTimeout(retry);
    try {
      for (let [patch] = pending.value; patch && stored.value; [patch] = pending.value) {
        saveState.value = 'saving';
        const { id: projectId, revision } = stored.value;
        const project = await api.change(projectId, revision, patch);
        if (stored.value?.id !== projectId) return;
        pending.value = pending.value.slice(1);
        settle(project);
      }
      saveState.value = 'saved';
      message.value = '';
    } catch (error) {
      await onSendError(error);
    } finally {
      sending = false;
    }
    if (pending.value.length > 0 && saveState.value === 'saving') void flush();
    else void catchUp();
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
      saveState.value = 'refused';
      message.value = error.message;
      return;
    }
    saveState.value = 'waiting';
    message.value =
      error instanceof OfflineError || error instanceof ApiError ? error.message : String(error);
    retry = setTimeout(() => void flush(), RETRY_DELAY);
  }

  /** Goes back or forward by one change, once what is on its way has arrived. */
  async function step(direction: 'undo' | 'redo'): Promise<void> {
    if (!stored.value || pending.value.length > 0 || sending) return;
    sending = true;
    saveState.value = 'saving';
    try {
      settle(await api[direction](stored.value.id, stored.value.revision));
      saveState.value = 'saved';
    } catch (error) {
      if (error instanceof ApiError && error.problem.type?.endsWith('nothing-to-do')) {
        saveState.value = 'saved';
      } else await onSendError(error);
    } finally {
      sending = false;
    }
    void catchUp();
  }

  /** Takes back what is being tried, when something is; else the last change that was stored. */
  async function undo(): Promise<void> {
    if (trial.value) trial.value = null;
    else await step('undo');
  }

  /** Ends a conflict: the stored value stays, or the change made here is made again over it. */
  function resolveConflict(choice: 'theirs' | 'mine'): void {
    const mine = conflict.value?.mine;
    conflict.value = null;
    saveState.value = 'saved';
    if (choice === 'mine' && mine) {
      const refused = change(mine);
      if (refused) {
        saveState.value = 'refused';
        message.value = refused;
      }
    }
  }

  return {
    stored,
    document,
    tried,
    shown,
    trial,
    preview,
    pages,
    id,
    saveState,
    message,
    conflict,
    progress,
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
