import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import type { LibraryFamily, Picks } from '@lettera/core/document';
import { api } from '../api/client';
import { useProject } from './project';

/** The foundry's families, once the designer has allowed the foundry for the project. */
export const useLibrary = defineStore('library', () => {
  const project = useProject();
  const families = shallowRef<LibraryFamily[]>([]);
  const state = ref<'idle' | 'loading' | 'ready' | 'failed'>('idle');
  const message = ref('');

  async function load(): Promise<void> {
    if (!project.stored?.foundry || state.value === 'loading') return;
    state.value = 'loading';
    try {
      families.value = await api.library(project.stored.id);
      state.value = 'ready';
    } catch (error) {
      state.value = 'failed';
      message.value = (error as Error).message;
    }
  }

  async function allow(allowedBy: string): Promise<void> {
    if (!project.stored) return;
    project.settle(await api.allowFoundry(project.stored.id, allowedBy));
    await load();
  }

  function forget(): void {
    families.value = [];
    state.value = 'idle';
  }

  async function withdraw(): Promise<void> {
    if (!project.stored) return;
    project.settle(await api.withdrawFoundry(project.stored.id));
    forget();
  }

  // Each project is asked for its own permission.
  watch(() => project.id, forget);

  /** Takes a family into the case. @throws ApiError, OfflineError; nothing is taken in then */
  async function take(family: string, picks: Picks): Promise<void> {
    if (project.stored) project.settle(await api.take(project.stored.id, family, picks));
  }

  return { families, state, message, load, allow, withdraw, take };
});
