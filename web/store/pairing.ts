import type { Patch, ProjectDocument } from '@lettera/core/document';
import type { Role } from '@lettera/core/pairing';
import { facesWanted, weightChanges, type WeightChange } from '@lettera/core/style';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { LineUpRow } from './rows/rows';
import { lookPatch, scriptsNeeded, seatPatch } from './rows/seating';
import { useFamilies } from './families';
import { useLibrary } from './library';
import { useLayer } from './layer';
import { useProject } from './project';

/** A pair by where its families stand. */
export interface PairKeys {
  heading: string;
  text: string;
}

export const ROLES: readonly Role[] = ['heading', 'text'];

/** What taking a pair has changed, to be told. */
export interface Taken {
  names: string;
  changes: WeightChange[];
}

/** The pair of the project: what is held, what is looked at, and what taking one brings about. */
export const usePairing = defineStore('pairing', () => {
  const project = useProject();
  const families = useFamilies();
  const library = useLibrary();
  const layer = useLayer('pair: on the proof');

  const sought = ref<Role>('text');
  /** A family held in place of the one that is seated. */
  const heldInstead = ref<string | null>(null);
  const taking = shallowRef<AbortController | null>(null);
  const message = ref('');
  /** What the proof shows while nothing is pointed at: a contender or a draw; null the project itself. */
  const resting = shallowRef<PairKeys | null>(null);
  const taken = shallowRef<Taken | null>(null);

  const heldRole = computed<Role>(() => (sought.value === 'text' ? 'heading' : 'text'));
  const seated = (role: Role): LineUpRow | undefined =>
    families.ofCase(project.document?.voices[role]?.family);
  const held = computed(() =>
    heldInstead.value ? families.byKey.get(heldInstead.value) : seated(heldRole.value),
  );

  watch(
    () => project.id,
    () => {
      heldInstead.value = null;
      resting.value = null;
      taken.value = null;
      message.value = '';
      sought.value = 'text';
    },
  );

  /** The pair that a partner makes with the family that is held. */
  function pairWith(partner: string): PairKeys | null {
    if (!held.value) return null;
    return sought.value === 'text'
      ? { heading: held.value.key, text: partner }
      : { heading: partner, text: held.value.key };
  }

  /** The change that shows a pair, whether or not its families have been taken in. */
  function patchFor(document: ProjectDocument, pair: PairKeys): Patch {
    return ROLES.flatMap((role) => {
      const row = families.byKey.get(pair[role]);
      if (!row || row.key === seated(role)?.key) return [];
      return lookPatch(document, role, row);
    });
  }

  /** Shows a pair on the proof; null goes back to what rests there. */
  function look(pointed: PairKeys | null): void {
    const pair = pointed ?? resting.value;
    const patch = pair && project.document ? patchFor(project.document, pair) : [];
    layer.show(patch);
  }

  /** Has a pair rest on the proof, or gives it back. */
  function rest(pair: PairKeys | null): void {
    resting.value = pair;
    look(null);
  }

  /** Takes a family in for a voice, unless it is in the case with all that the voice needs. */
  async function bringIn(row: LineUpRow, role: Role, signal: AbortSignal): Promise<string | null> {
    const { document } = project;
    if (!document || row.caseKey || !row.library) return row.caseKey;
    await library.take(
      row.library.id,
      {
        scripts: scriptsNeeded(document, row.library),
        faces: facesWanted(document, role, row.faces),
      },
      signal,
    );
    return families.byKey.get(row.key)?.caseKey ?? null;
  }

  /** Takes a pair: what is not in the case is taken in, then both are seated in one change. */
  async function take(pair: PairKeys): Promise<void> {
    resting.value = null;
    layer.show(null);
    message.value = '';
    taken.value = null;
    const abort = new AbortController();
    taking.value = abort;
    try {
      const patch: Patch = [];
      const changes: WeightChange[] = [];
      const names: string[] = [];
      for (const role of ROLES) {
        const row = families.byKey.get(pair[role]);
        if (!row || row.key === seated(role)?.key) continue;
        const key = await bringIn(row, role, abort.signal);
        const { document } = project;
        const family = document?.case[key ?? ''];
        if (!document || !key || !family) continue;
        changes.push(...weightChanges(document, role, family.faces));
        patch.push(...seatPatch(document, role, key, family));
        names.push(row.name);
      }
      if (project.change(patch)) {
        taken.value = { names: names.join(' and '), changes };
        heldInstead.value = null;
      } else message.value = 'The pair is as it was.';
    } catch (error) {
      message.value = abort.signal.aborted
        ? 'Stopped. The pair is as it was.'
        : `${(error as Error).message} The pair is as it was.`;
    }
    taking.value = null;
  }

  return {
    sought,
    heldInstead,
    heldRole,
    held,
    taking,
    resting,
    message,
    taken,
    seated,
    pairWith,
    patchFor,
    look,
    rest,
    take,
  };
});
