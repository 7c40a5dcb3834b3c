import type { Partner } from '@lettera/core/pairing';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { rowOfCase, rowOfLibrary, type LineUpRow } from './rows/rows';
import { useCaseReadings } from './caseReadings';
import { useLibrary } from './library';
import { usePlans } from './plans';
import { useProject } from './project';

/** Every family there is to choose from: the case's own and the library's, with what was measured. */
export const useFamilies = defineStore('families', () => {
  const project = useProject();
  const library = useLibrary();
  const caseReadings = useCaseReadings();
  const plans = usePlans();

  const rows = computed<LineUpRow[]>(() => {
    const known = plans.caseBytes;
    const bytesOf = (sha256: string) => known.get(sha256);
    const inCase = Object.entries(project.document?.case ?? {});
    const caseKeyOf = (name: string) =>
      inCase.find(([, family]) => family.source === 'foundry' && family.name === name)?.[0];
    const listed = library.families.map((family) =>
      rowOfLibrary(family, caseKeyOf(family.name) ?? null, library.measures.get(family.id)),
    );
    const covered = new Set(listed.map(({ caseKey }) => caseKey));
    const others = inCase
      .filter(([key]) => !covered.has(key))
      .map(([key, family]) => rowOfCase(key, family, caseReadings.measures[key], bytesOf));
    return [...others, ...listed];
  });

  const byKey = computed(() => new Map(rows.value.map((row) => [row.key, row])));

  /** The row of a family of the case. */
  const ofCase = (caseKey: string | null | undefined): LineUpRow | undefined =>
    caseKey ? rows.value.find((row) => row.caseKey === caseKey) : undefined;

  return { rows, byKey, ofCase };
});

/** A row as the order of partners takes it. */
export const partnerOf = ({ key, name, class: claimed, faces, measures }: LineUpRow): Partner => ({
  key,
  name,
  class: claimed,
  faces,
  measures: measures ?? null,
});
