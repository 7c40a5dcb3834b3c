import { contenders as say } from './words';
import { applyChange } from '@lettera/core/change';
import {
  MOST_CONTENDERS,
  pairSeatsOf,
  siteName,
  type PairSeats,
  type ProjectDocument,
} from '@lettera/core/document';
import { ROLES, type Role } from '@lettera/core/pairing';
import { caseFonts, totalBytes } from '@lettera/core/deliver';
import { marksOf } from '@lettera/core/check';
import { facesWanted } from '@lettera/core/style';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { pickedBytes } from './rows/picks';
import type { LineUpRow } from './rows/rows';
import { scriptsNeeded } from './rows/seating';
import { useEvidence } from './evidence';
import { useFamilies } from './families';
import { usePlans } from './plans';
import { usePairing, type PairKeys } from './pairing';
import { useProject } from './project';
import { useProof } from './proof';

/** A pair kept aside, as it would stand if it were taken. */
export interface ContenderState {
  pair: PairKeys;
  /** Its families, heading first. */
  rows: LineUpRow[];
  document: ProjectDocument;
  /** Null while one of its files is being packed. */
  bytes: number | null;
  marks: number;
  /** As last measured on the proof with both families in the case; null before that. */
  shift: number | null;
}

const voiceOf = (seats: PairSeats | null, role: Role | undefined): string =>
  (role && seats?.[role]) ?? '';

const keyOf = (pair: PairKeys): string => ROLES.map((role) => pair[role] ?? '').join(' ');

/** Pairs kept aside in the project, up to four, to go back and forth between. */
export const useContenders = defineStore('contenders', () => {
  const project = useProject();
  const families = useFamilies();
  const pairing = usePairing();
  const proof = useProof();
  const { evidenceOf } = useEvidence();
  const plans = usePlans();
  const shifts = ref<Record<string, number>>({});
  const message = ref('');

  const kept = computed<PairKeys[]>(() => project.document?.contenders ?? []);

  /** Bytes of a family in its role: those of its files in the case, or of those that would be taken in. */
  function bytesOf(document: ProjectDocument, row: LineUpRow, voice: string): number | null {
    if (!row.caseKey && row.library) {
      const faces = facesWanted(document, voice, row.faces);
      return pickedBytes(row.library, scriptsNeeded(document, row.library), faces).bytes;
    }
    const files = caseFonts(document).filter((file) => file.familyKey === row.caseKey);
    return totalBytes(
      files.map(({ file }) => ({ bytes: plans.caseBytes.get(file.sha256) ?? null })),
    );
  }

  const states = computed<ContenderState[]>(() =>
    kept.value.flatMap((pair) => {
      if (!project.document) return [];
      const parts = ROLES.filter((role) => pair[role]);
      const rows = parts.flatMap((role) => families.byKey.get(pair[role] ?? '') ?? []);
      if (rows.length < parts.length) return [];
      const { document } = applyChange(project.document, pairing.patchFor(project.document, pair));
      const seats = pairSeatsOf(document);
      return [
        {
          pair,
          rows,
          document,
          bytes: totalBytes(
            rows.map((row, i) => ({
              bytes: rows.indexOf(row) < i ? 0 : bytesOf(document, row, voiceOf(seats, parts[i])),
            })),
          ),
          marks: marksOf(document, evidenceOf(document, false)).length,
          shift: shifts.value[keyOf(pair)] ?? null,
        },
      ];
    }),
  );

  watch(
    () => proof.shift,
    (shift) => {
      const shown = pairing.resting;
      const state = states.value.find(({ pair }) => shown && keyOf(pair) === keyOf(shown));
      if (shift === null || !state?.rows.every(({ caseKey }) => caseKey)) return;
      shifts.value = { ...shifts.value, [keyOf(state.pair)]: shift };
    },
  );

  const isKept = (pair: PairKeys): boolean => kept.value.some((one) => keyOf(one) === keyOf(pair));

  function keep(pair: PairKeys): void {
    message.value = '';
    if (isKept(pair)) return;
    if (kept.value.length >= MOST_CONTENDERS) {
      message.value = say.pairsKeptAlreadyDismiss(MOST_CONTENDERS);
      return;
    }
    project.change(
      project.document?.contenders
        ? [{ op: 'add', path: '/contenders/-', value: pair }]
        : [{ op: 'add', path: '/contenders', value: [pair] }],
    );
  }

  function dismiss(pair: PairKeys): void {
    message.value = '';
    const at = kept.value.findIndex((one) => keyOf(one) === keyOf(pair));
    if (at === -1) return;
    if (pairing.resting && keyOf(pairing.resting) === keyOf(pair)) pairing.rest(null);
    project.change([{ op: 'remove', path: `/contenders/${at}` }]);
  }

  /** Puts a contender on the proof, or gives back when it is there. */
  function flip(index: number): void {
    const pair = states.value[index]?.pair;
    if (!pair) return;
    const there = pairing.resting !== null && keyOf(pairing.resting) === keyOf(pair);
    pairing.rest(there ? null : pair);
  }

  const nameOf = (row: LineUpRow): string => {
    const family = project.document?.case[row.caseKey ?? ''];
    return family ? siteName(family) : row.name;
  };

  /** Pairs whose families are no longer there: they can only be dismissed. */
  const lost = computed(() =>
    kept.value.filter((pair) => !states.value.some((state) => keyOf(state.pair) === keyOf(pair))),
  );

  return { states, lost, message, isKept, keep, dismiss, flip, nameOf };
});
