import type { FamilySheet } from '@lettera/core/measure';
import { familiesInUse } from '@lettera/core/style';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { whenIdle } from '../control/whenIdle';
import { useProject } from './project';

/** What was read of the families that the site is set in: the characters and the features that they have. */
export const useCaseSheets = defineStore('caseSheets', () => {
  const project = useProject();
  /** By the family's key. */
  const sheets = shallowRef<Record<string, FamilySheet>>({});

  /** The files of the families in use: a sheet is another when they are. */
  const contents = computed(() => {
    const document = project.stored?.document;
    if (!document) return [];
    return familiesInUse(document).map((key) => ({
      key,
      files: document.case[key]?.faces.flatMap(({ files }) => files.map(({ sha256 }) => sha256)),
    }));
  });

  async function load(): Promise<void> {
    const { id } = project;
    if (!id) return;
    const read = await Promise.all(
      contents.value.map(async ({ key }) => {
        try {
          return [key, await api.caseSheet(id, key)] as const;
        } catch {
          // What is not known makes no marks; the next change of the case asks again.
          return null;
        }
      }),
    );
    if (id === project.id) sheets.value = Object.fromEntries(read.filter((one) => one !== null));
  }

  watch([() => project.id, () => JSON.stringify(contents.value)], () => whenIdle(load), {
    immediate: true,
  });

  /** Their characters as a `unicode-range`, by the family's key. */
  const characters = computed<Record<string, string>>(() =>
    Object.fromEntries(Object.entries(sheets.value).map(([key, sheet]) => [key, sheet.characters])),
  );

  return { sheets, characters };
});
