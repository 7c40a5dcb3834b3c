import type { MadeDelivery } from '@lettera/core/wire';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { useProject } from './project';

/** Deliveries of the project that were taken away, newest first. */
export const useMadeDeliveries = defineStore('made-deliveries', () => {
  const project = useProject();
  const made = shallowRef<readonly MadeDelivery[]>([]);

  watch(
    () => project.id,
    async (id) => {
      made.value = [];
      if (!id) return;
      const known = await api.deliveries(id).catch(() => []);
      if (id === project.id) made.value = known;
    },
    { immediate: true },
  );

  /** Keeps that the project was taken away as it is. What the browser fetched stands, whether or not this comes through. */
  async function keep(): Promise<void> {
    const kept = await api.keepDelivery(project.id).catch(() => null);
    if (!kept) return;
    made.value = [kept, ...made.value.filter(({ revision }) => revision !== kept.revision)];
  }

  /** The characters of the font files that were delivered last; null where none were, or it is not known. */
  const lastCharacters = computed(() => made.value[0]?.characters ?? null);

  return { made, keep, lastCharacters };
});
