import { pairing as say } from './words';
import { applyChange } from '@lettera/core/change';
import {
  pairSeatsOf,
  type Contender,
  type PairSeats,
  type Patch,
  type ProjectDocument,
} from '@lettera/core/document';
import { ROLES, type Role } from '@lettera/core/pairing';
import {
  facesWanted,
  subheadingPatch,
  weightChanges,
  type WeightChange,
} from '@lettera/core/style';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { LineUpRow } from './rows/rows';
import { lookPatch, scriptsNeeded, seatPatch } from './rows/seating';
import { useFamilies } from './families';
import { useLibrary } from './library';
import { useLayer } from './layer';
import { useProject } from './project';

/** A pair, or a set of three, by where its families stand. */
export type PairKeys = Contender;

/** Two pairs are the same when the same families stand in the same parts. */
export const samePair = (one: PairKeys | null, other: PairKeys | null): boolean =>
  one !== null && other !== null && ROLES.every((role) => one[role] === other[role]);

/** What taking a pair has changed, to be shown. */
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
  /** Families held in place of those that are seated. */
  const heldInstead = ref<Partial<Record<Role, string>>>({});
  const taking = shallowRef<AbortController | null>(null);
  const message = ref('');
  /** What the proof shows while nothing is pointed at: a contender or a draw; null the project itself. */
  const resting = shallowRef<PairKeys | null>(null);
  const taken = shallowRef<Taken | null>(null);

  const seats = computed<PairSeats | null>(() =>
    project.document ? pairSeatsOf(project.document) : null,
  );
  /** Whether subheadings have a voice of their own, below the first two levels. */
  const three = ref(Boolean(seats.value?.subheading));
  const roles = computed<Role[]>(() =>
    ROLES.filter((role) => role !== 'subheading' || three.value),
  );
  const seated = (role: Role): LineUpRow | undefined =>
    families.ofCase(project.document?.voices[seats.value?.[role] ?? '']?.family);

  /** The families that stay while another is sought, by the parts they play. */
  const held = computed<Partial<Record<Role, LineUpRow>>>(() =>
    Object.fromEntries(
      roles.value
        .filter((role) => role !== sought.value)
        .flatMap((role) => {
          const instead = heldInstead.value[role];
          const row = instead ? families.byKey.get(instead) : seated(role);
          return row ? [[role, row]] : [];
        }),
    ),
  );
  const heldRows = computed(() => Object.values(held.value));

  watch(
    () => project.id,
    () => {
      heldInstead.value = {};
      resting.value = null;
      taken.value = null;
      message.value = '';
      sought.value = 'text';
      three.value = Boolean(seats.value?.subheading);
    },
  );
  watch(three, (now) => {
    if (!now && sought.value === 'subheading') sought.value = 'text';
  });

  /** Holds a family in a part, in place of the one seated there. */
  function hold(role: Role, key: string): void {
    heldInstead.value = { ...heldInstead.value, [role]: key };
    rest(null);
  }

  /** A pair with one family in each part: those held, and another; null while one is missing. */
  function pairOf(keys: Partial<Record<Role, string>>): PairKeys | null {
    const { heading, subheading, text } = keys;
    return heading && text ? { heading, ...(subheading && { subheading }), text } : null;
  }

  /** The pair that a partner makes with the families that are held. */
  const pairWith = (partner: string): PairKeys | null =>
    pairOf({
      ...Object.fromEntries(Object.entries(held.value).map(([role, { key }]) => [role, key])),
      [sought.value]: partner,
    });

  /** The parts of a pair whose family is another than the one that is seated. */
  const changed = (pair: PairKeys): Role[] =>
    ROLES.filter((role) => pair[role] && pair[role] !== seated(role)?.key);

  /**
   * The change that seats each family of a pair in the voice of its part. A voice for subheadings is made
   * first where a set of three wants one.
   */
  function patchWith(
    document: ProjectDocument,
    pair: PairKeys,
    seat: (current: ProjectDocument, voice: string, role: Role) => Patch,
  ): Patch {
    const whole: Patch = pair.subheading ? [...subheadingPatch(document)] : [];
    let current = whole.length > 0 ? applyChange(document, whole).document : document;
    for (const role of changed(pair)) {
      const voice = pairSeatsOf(current)?.[role];
      if (!voice) continue;
      const patch = seat(current, voice, role);
      if (patch.length === 0) continue;
      whole.push(...patch);
      current = applyChange(current, patch).document;
    }
    return whole;
  }

  /** The change that shows a pair, whether or not its families have been taken in. */
  const patchFor = (document: ProjectDocument, pair: PairKeys): Patch =>
    patchWith(document, pair, (current, voice, role) => {
      const row = families.byKey.get(pair[role] ?? '');
      return row ? lookPatch(current, voice, row) : [];
    });

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

  /** Takes a family in for a part, unless it is in the case. @returns its key in the case */
  async function bringIn(row: LineUpRow, role: Role, signal: AbortSignal): Promise<string | null> {
    const { document } = project;
    if (!document || row.caseKey || !row.library) return row.caseKey;
    const voice = seats.value?.[role] ?? seats.value?.heading ?? role;
    await library.take(
      row.library.id,
      {
        scripts: scriptsNeeded(document, row.library),
        faces: facesWanted(document, voice, row.faces),
      },
      signal,
    );
    return families.byKey.get(row.key)?.caseKey ?? null;
  }

  /** Takes a pair: what is not in the case is added, then all are seated in one change. */
  async function take(pair: PairKeys): Promise<void> {
    resting.value = null;
    layer.show(null);
    message.value = '';
    taken.value = null;
    const abort = new AbortController();
    taking.value = abort;
    try {
      const keys: Partial<Record<Role, string>> = {};
      for (const role of changed(pair)) {
        const row = families.byKey.get(pair[role] ?? '');
        const key = row && (await bringIn(row, role, abort.signal));
        if (key) keys[role] = key;
      }
      const { document } = project;
      const changes: WeightChange[] = [];
      const names: string[] = [];
      const patch = document
        ? patchWith(document, pair, (current, voice, role) => {
            const key = keys[role] ?? '';
            const family = current.case[key];
            if (!family) return [];
            changes.push(...weightChanges(current, voice, family.faces));
            names.push(family.name);
            return seatPatch(current, voice, key, family);
          })
        : [];
      if (project.change(patch)) {
        taken.value = { names: names.join(' and '), changes };
        heldInstead.value = {};
      } else message.value = say.pairAsWas;
    } catch (error) {
      message.value = abort.signal.aborted
        ? say.stoppedPairAsWas
        : say.pairAsWasMessage((error as Error).message);
    }
    taking.value = null;
  }

  return {
    three,
    roles,
    seats,
    sought,
    held,
    heldRows,
    taking,
    resting,
    message,
    taken,
    seated,
    hold,
    pairOf,
    pairWith,
    patchFor,
    look,
    rest,
    take,
  };
});
