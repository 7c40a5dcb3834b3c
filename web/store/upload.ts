import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { api, ApiError, type UploadResult } from '../api/client';
import { useProject } from './project';

export interface OutcomeLine {
  text: string;
  refused: boolean;
}

const lineOf = (result: UploadResult): OutcomeLine =>
  'refused' in result
    ? { text: `${result.file}: ${result.refused.detail}`, refused: true }
    : {
        text: `${result.file}: ${result.family} ${result.subfamily} is in the case.`,
        refused: false,
      };

/** Font files on their way into the case, and what became of each. */
export const useUpload = defineStore('upload', () => {
  const project = useProject();
  const state = ref<'idle' | 'reading' | 'done'>('idle');
  const names = shallowRef<string[]>([]);
  const lines = shallowRef<OutcomeLine[]>([]);

  async function take(files: File[]): Promise<void> {
    if (files.length === 0 || !project.stored) return;
    names.value = files.map(({ name }) => name);
    state.value = 'reading';
    try {
      lines.value = (await api.upload(project.stored.id, files)).map(lineOf);
      project.settle(await api.project(project.stored.id));
    } catch (error) {
      const results = (error instanceof ApiError && error.problem.files) || [];
      lines.value = results.length
        ? results.map(lineOf)
        : [{ text: (error as Error).message, refused: true }];
    }
    state.value = 'done';
  }

  return { state, names, lines, take, dismiss: () => (state.value = 'idle') };
});
