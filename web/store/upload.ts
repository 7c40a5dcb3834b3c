import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { api, ApiError, type UploadResult } from '../api/client';
import { useProject } from './project';

/** What became of one font of an upload. */
export interface OutcomeLine {
  text: string;
  refused: boolean;
}

function lineOf(result: UploadResult): OutcomeLine {
  if ('refused' in result) {
    return { text: `${result.file}: ${result.refused.detail}`, refused: true };
  }
  const { file, fullName, conflicts } = result;
  return conflicts.length > 0
    ? {
        text: `${file}: ${fullName} is in the case, but claims the same place as ${conflicts.join(', ')}. Open the family and correct its weight, width or style.`,
        refused: true,
      }
    : { text: `${file}: ${fullName}`, refused: false };
}

/** Font files on their way into the case, and what became of each. */
export const useUpload = defineStore('upload', () => {
  const project = useProject();
  const state = ref<'idle' | 'reading' | 'done'>('idle');
  const files = ref(0);
  const lines = shallowRef<OutcomeLine[]>([]);
  /** Families that the last upload came to, by name. */
  const families = shallowRef<string[]>([]);
  let abort = new AbortController();

  async function take(given: File[]): Promise<void> {
    if (given.length === 0 || !project.stored || state.value === 'reading') return;
    files.value = given.length;
    families.value = [];
    state.value = 'reading';
    abort = new AbortController();
    try {
      const results = await api.upload(project.stored.id, given, abort.signal);
      lines.value = results.map(lineOf);
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
              text: abort.signal.aborted
                ? 'Stopped. Nothing was taken in.'
                : (error as Error).message,
              refused: true,
            },
          ];
    }
    state.value = 'done';
  }

  const taken = computed(() => lines.value.filter(({ refused }) => !refused));
  const troubled = computed(() => lines.value.filter(({ refused }) => refused));

  return {
    state,
    files,
    families,
    taken,
    troubled,
    take,
    stop: () => abort.abort(),
    dismiss: () => (state.value = 'idle'),
  };
});
