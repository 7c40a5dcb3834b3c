import type { FaceReading } from '@lettera/core/font';
import type { FamilyMeasures } from '@lettera/core/measure';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { whenIdle } from '../control/whenIdle';
import { useProject } from './project';

/** What was read and measured of the files in the case. Taken anew when files come or go. */
export const useCaseReadings = defineStore('caseReadings', () => {
  const project = useProject();
  /** By the file's hash. */
  const readings = shallowRef<Record<string, FaceReading>>({});
  /** Whether the faces of the case have been asked for, and come. */
  const haveCome = shallowRef(false);
  /** By the family's key. */
  const measures = shallowRef<Record<string, FamilyMeasures | null>>({});

  /** The faces of the stored case: what readings depend on. */
  const contents = computed(() =>
    Object.entries(project.stored?.document.case ?? {})
      .map(([key, { faces }]) => `${key} ${faces.map(({ files }) => files[0]?.sha256).join()}`)
      .join(';'),
  );

  /** What was asked for last: the project, and what its case held. */
  let asked = '';

  async function load(): Promise<void> {
    const { id } = project;
    const wanted = `${id} ${contents.value}`;
    if (!id || wanted === asked) return;
    asked = wanted;
    try {
      const [list, measured] = await Promise.all([api.readings(id), api.caseMeasures(id)]);
      if (id !== project.id) return;
      readings.value = Object.fromEntries(list.map((reading) => [reading.sha256, reading]));
      measures.value = measured;
      haveCome.value = true;
    } catch {
      // The line-up shows the families without figures; the next change of the case asks again.
      asked = '';
    }
  }

  watch(
    () => project.id,
    () => (haveCome.value = false),
  );
  // Figures follow what is to be seen: the page and the rows come first.
  watch([() => project.id, contents], () => whenIdle(load), { immediate: true });

  /** x-heights by the family's key, em. */
  const xHeights = computed<Record<string, number>>(() =>
    Object.fromEntries(
      Object.entries(measures.value).flatMap(([key, measured]) => {
        const xHeight = measured?.regular.xHeight;
        return xHeight ? [[key, xHeight]] : [];
      }),
    ),
  );

  return { readings, haveCome, measures, xHeights };
});
