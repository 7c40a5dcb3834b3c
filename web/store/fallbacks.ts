import { familiesInUse, familyRequests } from '@lettera/core/style';
import type { FallbackTrials } from '@lettera/core/fallback';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { api, type TwinScript } from '../api/client';
import { useProject } from './project';

/** The fallback trials of the open project, fetched again when what they depend on has been stored. */
export const useFallbacks = defineStore('fallbacks', () => {
  const project = useProject();
  const trials = shallowRef<FallbackTrials>({});
  const twins = shallowRef<Record<string, TwinScript[]>>({});
  const state = ref<'loading' | 'ready' | 'failed'>('loading');

  /** Everything in the stored document that trials depend on; the text is the project's pages. */
  const dependsOn = computed(() => {
    const document = project.stored?.document;
    if (!document) return null;
    return JSON.stringify([
      project.stored?.id,
      familiesInUse(document).map((key) => [
        key,
        document.case[key]?.faces,
        familyRequests(document, key),
        Object.values(document.voices)
          .filter(({ family }) => family === key)
          .map(({ generic }) => generic),
      ]),
    ]);
  });

  async function load(): Promise<void> {
    const asked = dependsOn.value;
    if (!asked || !project.stored) return;
    state.value = 'loading';
    try {
      if (Object.keys(twins.value).length === 0) twins.value = await api.twins();
      const result = await api.fallbacks(project.stored.id);
      if (asked !== dependsOn.value) return;
      trials.value = result;
      state.value = 'ready';
    } catch {
      if (asked === dependsOn.value) state.value = 'failed';
    }
  }

  watch(dependsOn, () => void load(), { immediate: true });

  return { trials, twins, state, load };
});
