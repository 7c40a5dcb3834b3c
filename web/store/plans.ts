import { casePlan, deliveryPlan, type DeliveryPlan } from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import { fallbackPlan, type FallbackPlan } from '@lettera/core/fallback';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { useCaseReadings } from './caseReadings';
import { useFallbacks } from './fallbacks';
import { useProject } from './project';

/** The two plans that the proof, the stages, the docket and the ledger read. */
export const usePlans = defineStore('plans', () => {
  const project = useProject();
  const fallbacks = useFallbacks();
  const caseReadings = useCaseReadings();
  /** Bytes of the files that the server has made, by source and cut. */
  const made = shallowRef<Record<string, number>>({});
  /** Why files could not be made, each reason once. */
  const failed = shallowRef<string[]>([]);

  const fallbackOf = (document: ProjectDocument): FallbackPlan =>
    fallbackPlan(document, fallbacks.trials);

  const evidence = computed(() => ({ readings: caseReadings.readings, made: made.value }));
  const deliveryOf = (document: ProjectDocument): DeliveryPlan =>
    deliveryPlan(document, evidence.value);

  /**
   * Bytes that a site loads of each file of the case, by its hash; null while it is being made. Of what is
   * only shown nothing is said: what rests on this must not change while something is pointed at.
   */
  const caseBytes = computed(() => {
    const { document } = project;
    const { files } = document ? casePlan(document, evidence.value) : { files: [] };
    return new Map(files.map(({ source, bytes }) => [source, bytes]));
  });

  /** What is to be made for the stored document, and has not been. */
  const missing = computed(() => {
    const document = project.stored?.document;
    return document
      ? casePlan(document, evidence.value)
          .files.filter(({ bytes }) => bytes === null)
          .map(({ source, cut }) => `${source} ${JSON.stringify(cut)}`)
          .join()
      : '';
  });

  async function load(): Promise<void> {
    const { id } = project;
    if (!id) return;
    try {
      const known = await api.deliveryEvidence(id);
      if (id !== project.id) return;
      made.value = known.made;
      failed.value = [...new Set(Object.values(known.failed))];
    } catch {
      // Bytes are left out until the next file has been made.
    }
  }

  watch(
    () => project.id,
    () => {
      made.value = {};
      failed.value = [];
    },
  );
  watch([missing, () => project.progress.packing?.done], ([wanted]) => wanted && void load());

  return { fallbackOf, deliveryOf, caseBytes, failed };
});
