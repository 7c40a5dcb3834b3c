import { voiceRequests, voiceUses } from '@lettera/core/style';
import { fittingOf, trialKey, type FallbackTrials } from '@lettera/core/fallback';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { TwinScripts } from '@lettera/core/wire';
import { api, ApiError } from '../api/client';
import { useProject } from './project';

/** The fallback trials of the open project, fetched again when what they depend on has been stored. */
export const useFallbacks = defineStore('fallbacks', () => {
  const project = useProject();
  const stored = shallowRef<FallbackTrials>({});
  /** Of families in the case that are only being looked at in a voice. */
  const lookedAt = shallowRef<FallbackTrials>({});
  const trials = computed<FallbackTrials>(() => ({ ...lookedAt.value, ...stored.value }));
  const twins = shallowRef<TwinScripts>({});
  const state = ref<'loading' | 'ready' | 'failed' | 'stopped'>('loading');

  /** Everything in the stored document that trials depend on; the text is the project's pages. */
  const dependsOn = computed(() => {
    const document = project.stored?.document;
    if (!document) return null;
    return JSON.stringify([
      project.stored?.id,
      document.languages,
      document.audience,
      document.pages,
      document.typed,
      [...voiceUses(document).keys()].map((key) => {
        const voice = document.voices[key];
        return [
          key,
          document.case[voice?.family ?? '']?.faces,
          voiceRequests(document, key),
          voice?.generic,
          voice?.fallback,
          fittingOf(document, key),
        ];
      }),
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
      stored.value = result;
      state.value = 'ready';
    } catch (error) {
      if (asked !== dependsOn.value) return;
      const stopped = error instanceof ApiError && error.problem.type?.endsWith(':stopped');
      state.value = stopped ? 'stopped' : 'failed';
    }
  }

  watch(dependsOn, () => void load(), { immediate: true });

  /** Tries fallbacks for what is being looked at, once its files are there. */
  async function loadLookedAt(): Promise<void> {
    const { layers, shown, id } = project;
    const looked = layers.flatMap(({ patch }) => patch);
    const newFamilies = looked.some(({ path }) => path.startsWith('/case/'));
    if (!shown || looked.length === 0 || newFamilies) return;
    const wanted = [...voiceUses(shown).keys()].flatMap((key) => {
      const { family } = shown.voices[key] ?? {};
      return family ? [trialKey(key, family)] : [];
    });
    if (wanted.every((key) => trials.value[key])) return;
    try {
      const result = await api.fallbacksAfter(id, looked);
      lookedAt.value = { ...lookedAt.value, ...result };
    } catch {
      // It shows without a fitted fallback, as before.
    }
  }
  watch(
    () => project.layers,
    () => void loadLookedAt(),
  );
  watch(
    () => project.id,
    () => (lookedAt.value = {}),
  );

  /** Stops the fitting that is waited for; `load` goes on with it. */
  const stop = (): Promise<void> => api.stopFitting(project.id);

  return { trials, twins, state, load, stop };
});
