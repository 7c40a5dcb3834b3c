import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { LibraryFamily, Picks, WantedReference } from '@lettera/core/document';
import type { FamilyMeasures } from '@lettera/core/measure';
import type { LibraryProgress } from '@lettera/core/wire';
import { api } from '../api/client';
import { whenIdle } from '../control/whenIdle';
import { useProject } from './project';

/** Reports of the measuring are gathered for so long, milliseconds. */
const HANDFUL = 700;

type State = 'idle' | 'loading' | 'ready' | 'failed';

/** The foundry's families and what was measured of them, once the designer has allowed the foundry. */
export const useLibrary = defineStore('library', () => {
  const project = useProject();
  const families = shallowRef<LibraryFamily[]>([]);
  const state = ref<State>('idle');
  const message = ref('');
  /** By the family's id; null for one whose files could not be measured. */
  const measures = shallowRef(new Map<string, FamilyMeasures | null>());
  const measuring = shallowRef<Omit<LibraryProgress, 'families'>>({
    state: 'idle',
    done: 0,
    of: 0,
  });
  let asking = false;
  let askAgain = false;

  async function load(): Promise<void> {
    if (!project.stored?.foundry || state.value === 'loading') return;
    state.value = 'loading';
    try {
      families.value = await api.library(project.stored.id);
      state.value = 'ready';
    } catch (error) {
      state.value = 'failed';
      message.value = (error as Error).message;
      return;
    }
    await measure();
  }

  /** Has the server measure what it has not, and takes over what it knows. */
  async function measure(): Promise<void> {
    if (!project.stored) return;
    try {
      await takeOver();
      const at = measuring.value?.state;
      if (at === 'stopped' || at === 'done') return;
      await api.startMeasuring(project.stored.id);
      await takeOver();
    } catch (error) {
      message.value = (error as Error).message;
    }
  }

  async function goOn(): Promise<void> {
    if (!project.stored) return;
    await api.startMeasuring(project.stored.id);
    await takeOver();
  }

  async function stop(): Promise<void> {
    if (!project.stored) return;
    await api.stopMeasuring(project.stored.id);
    await takeOver();
  }

  /** Asks for what has been measured since the last time. */
  async function takeOver(): Promise<void> {
    if (!project.stored?.foundry) return;
    askAgain = asking;
    if (asking) return;
    asking = true;
    try {
      const after = measures.value.size;
      const { families: newer, ...rest } = await api.libraryMeasures(project.stored.id, after);
      // A server that was started anew counts from the beginning.
      const known = rest.done < after ? new Map() : new Map(measures.value);
      askAgain ||= rest.done < after;
      for (const family of newer) known.set(family.id, family.measures);
      measures.value = known;
      measuring.value = rest;
    } catch {
      // The next report asks again.
    } finally {
      asking = false;
    }
    if (askAgain) await takeOver();
  }

  // Every figure that comes makes the rows anew: they are taken over in handfuls, when there is time for it.
  let due: ReturnType<typeof setTimeout> | undefined;
  watch(
    () => project.progress.measuring,
    (report) => {
      if (!report || state.value !== 'ready' || due) return;
      due = setTimeout(
        () => {
          due = undefined;
          whenIdle(takeOver);
        },
        report.done >= report.of ? 0 : HANDFUL,
      );
    },
  );

  async function allow(allowedBy: string): Promise<void> {
    if (!project.stored) return;
    project.settle(await api.allowFoundry(project.stored.id, allowedBy));
    await load();
  }

  function forget(): void {
    families.value = [];
    measures.value = new Map();
    measuring.value = { state: 'idle', done: 0, of: 0 };
    state.value = 'idle';
  }

  async function withdraw(): Promise<void> {
    if (!project.stored) return;
    project.settle(await api.withdrawFoundry(project.stored.id));
    forget();
  }

  // Each project is asked for its own permission.
  watch(() => project.id, forget);

  const byId = computed(() => new Map(families.value.map((family) => [family.id, family])));

  /**
   * Takes a family into the case.
   * @throws ApiError, OfflineError, or the abort; nothing is taken in then
   */
  async function take(family: string, picks: Picks, signal: AbortSignal): Promise<void> {
    if (project.stored) project.settle(await api.take(project.stored.id, family, picks, signal));
  }

  /** @throws ApiError, OfflineError */
  async function takeReference(wanted: WantedReference): Promise<void> {
    if (project.stored) project.settle(await api.takeReference(project.stored.id, wanted));
  }

  return {
    families,
    byId,
    state,
    message,
    measures,
    measuring,
    load,
    goOn,
    stop,
    allow,
    withdraw,
    take,
    takeReference,
  };
});
