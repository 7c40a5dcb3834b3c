import { marksOf, type Evidence } from '@lettera/core/check';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { afterPaint } from '../frame/afterPaint';
import { useCaseReadings } from './caseReadings';
import { useProject } from './project';
import { useProof } from './proof';

/** The marks on the project as it is shown, worked out once for all that tells of them. */
export const useMarks = defineStore('marks', () => {
  const project = useProject();
  const proof = useProof();
  const caseReadings = useCaseReadings();

  const shown = afterPaint(() => project.shown);

  const evidence = computed<Evidence>(() => ({
    readings: caseReadings.readings,
    xHeights: caseReadings.xHeights,
    page: proof.setPage,
  }));

  const marks = computed(() => (shown.value ? marksOf(shown.value, evidence.value) : []));

  return { shown, evidence, marks };
});
