import { visitFigures } from '@lettera/core/deliver/visits';
import type { VisitState } from '@lettera/core/wire';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { useProject } from './project';

const NOTHING: VisitState = { key: null, counts: [] };

/** Visits of the site that were counted: what was measured there, beside what is expected. */
export const useVisits = defineStore('visits', () => {
  const project = useProject();
  const state = shallowRef<VisitState>(NOTHING);
  const fault = ref('');

  async function asking(work: (id: string) => Promise<VisitState>): Promise<boolean> {
    const { id } = project;
    if (!id) return false;
    fault.value = '';
    try {
      const answer = await work(id);
      if (id === project.id) state.value = answer;
      return true;
    } catch (error) {
      fault.value = (error as Error).message;
      return false;
    }
  }
  const load = () => asking(api.visits);

  const figures = computed(() => visitFigures(state.value.counts));
  const days = computed(() => [...new Set(state.value.counts.map(({ day }) => day))]);
  const seconds = (which: 'text' | 'faces'): string => {
    const value = figures.value[which];
    return value === null ? '…' : `${value.toFixed(1)} s`;
  };

  const address = (): string => `${location.origin}/visits/${state.value.key ?? ''}`;
  const deliver = (to: string | null): boolean =>
    project.change(
      to === null
        ? [{ op: 'remove', path: '/delivery/visits' }]
        : [{ op: 'add', path: '/delivery/visits', value: to }],
    );
  /** Has the bundle count visits, here. */
  async function countHere(): Promise<void> {
    if (await asking(api.countVisits)) deliver(address());
  }
  /** Has the bundle count no visits; what was counted here is forgotten. */
  async function stop(): Promise<void> {
    if (project.document?.delivery.visits && !deliver(null)) return;
    if (state.value.key !== null) await asking(api.forgetVisits);
  }

  watch(
    () => project.id,
    () => {
      state.value = NOTHING;
      void load();
    },
    { immediate: true },
  );
  return { state, fault, figures, days, seconds, load, countHere, sendTo: deliver, stop };
});
