import { upload as say } from './words';
import { embeddingRights } from '@lettera/core/font';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { TakenFile } from '@lettera/core/wire';
import { api, ApiError } from '../api/client';
import { useProject } from './project';

/** What became of one font of an upload. */
export interface OutcomeLine {
  text: string;
  /** Refused, or taken in with something to be seen to. */
  troubled: boolean;
}

function lineOf(result: TakenFile): OutcomeLine {
  if ('refused' in result) {
    return { text: `${result.file}: ${result.refused.detail}`, troubled: true };
  }
  const { file, fullName, conflicts, fsType } = result;
  const rights = embeddingRights(fsType);
  const troubles = [
    conflicts.length > 0 && say.claimsSamePlaceAs(conflicts.join(', ')),
    (rights.forbidsWeb || rights.forbidsSubsetting) && say.saysItself(rights.says),
  ].filter((trouble) => trouble !== false);
  return troubles.length > 0
    ? {
        text: say.isCaseBut(file, fullName, troubles.join(', and ')),
        troubled: true,
      }
    : { text: `${file}: ${fullName}`, troubled: false };
}

/** Font files on their way into the case, and what became of each. */
export const useUpload = defineStore('upload', () => {
  const project = useProject();
  const state = ref<'idle' | 'reading' | 'done'>('idle');
  const files = ref(0);
  const lines = shallowRef<OutcomeLine[]>([]);
  /** Families of the last upload, by name. */
  const families = shallowRef<string[]>([]);
  let abort = new AbortController();

  /** @param ranges what characters files are for, by their names, where they are parts of a face */
  async function take(given: File[], ranges: Readonly<Record<string, string>> = {}): Promise<void> {
    if (given.length === 0 || !project.stored || state.value === 'reading') return;
    files.value = given.length;
    families.value = [];
    brought.value = 0;
    state.value = 'reading';
    abort = new AbortController();
    try {
      const results = await api.upload(project.stored.id, given, abort.signal, ranges);
      lines.value = results.map(lineOf);
      brought.value = results.filter((result) => !('refused' in result)).length;
      families.value = [
        ...new Set(results.flatMap((result) => ('refused' in result ? [] : [result.family]))),
      ];
      project.settle(await api.project(project.stored.id));
    } catch (error) {
      const results = (error instanceof ApiError && error.problem.files) || [];
      lines.value = results.length
        ? results.map(lineOf)
        : [
            {
              text: abort.signal.aborted ? say.stoppedNothingWasAdded : (error as Error).message,
              troubled: true,
            },
          ];
    }
    state.value = 'done';
  }

  const troubled = computed(() => lines.value.filter((line) => line.troubled));
  /** How many faces the last upload brought into the case. */
  const brought = ref(0);

  return {
    state,
    files,
    families,
    brought,
    troubled,
    take,
    stop: () => abort.abort(),
    dismiss: () => (state.value = 'idle'),
  };
});
