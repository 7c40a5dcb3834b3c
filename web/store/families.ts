import type { ProjectDocument } from '@lettera/core/document';
import type { FamilyMeasures } from '@lettera/core/measure';
import type { Partner } from '@lettera/core/pairing';
import { textUseOf, type TextUse } from '@lettera/core/style';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { rowOfCase, rowOfLibrary, type LineUpRow } from './rows/rows';
import { steady } from '../control/steady';
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

  /** How the site sets text; the same object while it does not change. */
  const use = steady<TextUse | null>(() => project.document && textUseOf(project.document));

  const rows = computed<LineUpRow[]>(() => {
    if (!use.value) return [];
    const setAs = use.value;
    const known = plans.caseBytes;
    const bytesOf = (sha256: string) => known.get(sha256);
    const inCase = Object.entries(project.document?.case ?? {});
    const caseKeyOf = (name: string) =>
      inCase.find(([, family]) => family.source === 'foundry' && family.name === name)?.[0];
    const listed = library.families.map((family) =>
      rowOfLibrary(family, caseKeyOf(family.name) ?? null, setAs, library.measures.get(family.id)),
    );
    const covered = new Set(listed.map(({ caseKey }) => caseKey));
    const others = inCase
      .filter(([key]) => !covered.has(key))
      .map(([key, family]) => rowOfCase(key, family, setAs, caseReadings.measures[key], bytesOf));
    return [...others, ...listed];
  });

  const byKey = computed(() => new Map(rows.value.map((row) => [row.key, row])));

  /** The row of a family of the case. */
  const ofCase = (caseKey: string | null | undefined): LineUpRow | undefined =>
    caseKey ? rows.value.find((row) => row.caseKey === caseKey) : undefined;

  /** What was measured of the families in a document's case, in the case itself or in the library. */
  function measuresIn({ case: families }: ProjectDocument): Record<string, FamilyMeasures | null> {
    const listed = new Map(
      library.families.map(({ id, name }) => [name, library.measures.get(id) ?? null]),
    );
    return Object.fromEntries(
      Object.entries(families).map(([key, { name }]) => [
        key,
        caseReadings.measures[key] ?? listed.get(name) ?? null,
      ]),
    );
  }

  return { use, rows, byKey, ofCase, measuresIn };
});

/** A row as the order of partners takes it. */
export const partnerOf = ({ key, name, class: claimed, faces, measures }: LineUpRow): Partner => ({
  key,
  name,
  class: claimed,
  faces,
  measures: measures ?? null,
});
