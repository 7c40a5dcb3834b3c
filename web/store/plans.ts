import type { LettersTogether } from '@lettera/core/script';
import {
  caseWays,
  deliveryWays,
  heldCharacters,
  madeKey,
  takeLeast,
  totalBytes,
  type DeliveryPlan,
} from '@lettera/core/deliver';
import { onceFor, onceForParts, type ProjectDocument } from '@lettera/core/document';
import { fallbackPlan, type FallbackPlan } from '@lettera/core/fallback';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch, type ShallowRef } from 'vue';
import { api } from '../api/client';
import { afterRest } from '../control/afterRest';
import { debounce } from '../control/debounce';
import { useCaseReadings } from './caseReadings';
import { useFallbacks } from './fallbacks';
import { useProject } from './project';

type Bytes = ReadonlyMap<string, number | null>;
const NO_BYTES: Bytes = new Map();
/** Between two questions for what has been made, while files are made one after another: milliseconds. */
const PAUSE = 1000;
/** After which files are asked for of whose making nothing has been told: milliseconds. */
const UNTOLD = 5000;

/** Takes a value over where it says something else. */
function keepSame<T>(held: ShallowRef<T>, now: T): void {
  if (JSON.stringify(held.value) !== JSON.stringify(now)) held.value = now;
}
/** The same for as long as the plan is. */
const bytesBySource = onceFor(
  ({ files }: Pick<DeliveryPlan, 'files'>): Bytes =>
    new Map(files.map(({ source, bytes }) => [source, bytes])),
);

/** The two plans that the proof, the stages, the docket and the ledger read. */
export const usePlans = defineStore('plans', () => {
  const project = useProject();
  const fallbacks = useFallbacks();
  const caseReadings = useCaseReadings();
  /** Bytes of the files that the server has made, by source and cut. */
  const made = shallowRef<Record<string, number>>({});
  /** Every character of the pages, each once. */
  const copy = shallowRef('');
  /** Letters of scripts of many, by where they stand. */
  const within = shallowRef<Readonly<Record<string, string>>>({});
  /** Languages that the pages say they are in. */
  const languages = shallowRef<readonly string[]>([]);
  /** Letters of the site's languages with scripts of many, as texts have them together. */
  const together = shallowRef<LettersTogether>({});
  /** Whether what is known of pages and files has come. */
  const haveCome = shallowRef(false);
  /** Why files could not be made, each reason once. */
  const failed = shallowRef<string[]>([]);

  const fallbackOf = (document: ProjectDocument): FallbackPlan =>
    fallbackPlan(document, fallbacks.trials);

  /** What is known of fonts and pages, whichever files have been made: worked out anew for few changes. */
  const known = computed(() => ({
    readings: caseReadings.readings,
    copy: copy.value,
    within: within.value,
    languages: languages.value,
    together: together.value,
  }));
  const ways = computed(() => {
    const fonts = known.value;
    return onceFor((document: ProjectDocument) => deliveryWays(document, fonts));
  });
  /** Whether it is known what will be loaded: before, every file is planned as it was taken in, and nothing is said of bytes. */
  const isKnown = computed(() => haveCome.value && caseReadings.haveCome);
  /** Made once for a document and the files that have been made. */
  const planner = computed(() => {
    const [waysOf, bytes, isSaid] = [ways.value, made.value, isKnown.value];
    return onceFor((document: ProjectDocument) => {
      const plan = takeLeast(waysOf(document), bytes);
      return isSaid
        ? plan
        : { ...plan, files: plan.files.map((file) => ({ ...file, bytes: null })) };
    });
  });
  const deliveryOf = (document: ProjectDocument): DeliveryPlan => planner.value(document);

  /** All of the case, planned once for it. */
  const caseWay = computed(() => {
    const fonts = known.value;
    return onceForParts(['case'], (document) => caseWays(document, fonts));
  });
  const casePlanner = computed(() => {
    const [waysOf, bytes] = [caseWay.value, made.value];
    return onceForParts(['case'], (document) => takeLeast(waysOf(document), bytes));
  });

  /** The characters that the delivered files of a family would have, by its key in the case. */
  const held = computed(() => {
    const [waysOf, fonts] = [ways.value, known.value];
    return onceFor((document: ProjectDocument) => heldCharacters(waysOf(document), fonts));
  });
  const charactersOf = (document: ProjectDocument): Record<string, string> => held.value(document);

  /** The plan of what is shown; of the project as it is while bytes of what is only looked at are not known. */
  function settledDelivery(shown: ProjectDocument): DeliveryPlan {
    const plan = deliveryOf(shown);
    // The project as it is is looked at where that is needed alone: a change of it changes nothing of this otherwise.
    if (totalBytes(plan.files) !== null) return plan;
    const { document } = project;
    return document && document !== shown ? deliveryOf(document) : plan;
  }

  /**
   * Bytes of each file of the case as it was taken in, by its hash: what it costs a site at most; null while it is being made. Of what is
   * only shown nothing is said: what rests on this must not change while something is pointed at.
   */
  const caseBytes = computed(() => {
    const { document } = project;
    return document && isKnown.value ? bytesBySource(casePlanner.value(document)) : NO_BYTES;
  });

  const stored = afterRest(() => project.stored?.document ?? null);
  /** What is to be made for the stored document, and has not been. */
  const missing = computed(() => {
    const document = stored.value;
    if (!document) return '';
    return [ways.value, caseWay.value]
      .flatMap((waysOf) => waysOf(document).wanted)
      .map(({ source, cut }) => madeKey(source, cut))
      .filter((key) => !Object.hasOwn(made.value, key))
      .join('\n');
  });
  /** The pages that the copy was read from. */
  const pages = computed(() => Object.keys(project.stored?.document.pages ?? {}).join());

  const soon = debounce(() => void load(), UNTOLD);
  let asking = false;
  let askAgain = false;

  async function load(): Promise<void> {
    const { id } = project;
    if (!id) return;
    soon.cancel();
    asking = true;
    askAgain = false;
    try {
      const known = await api.deliveryEvidence(id);
      if (id !== project.id) return;
      haveCome.value = true;
      // What is the same as before stays the same: much rests on it.
      keepSame(made, known.made);
      copy.value = known.copy;
      keepSame(within, known.within);
      keepSame(languages, known.languages);
      keepSame(together, known.together);
      failed.value = [...new Set(Object.values(known.failed))];
    } catch {
      // Bytes are left out until the next file has been made.
    }
    await new Promise((resolve) => setTimeout(resolve, PAUSE));
    asking = false;
    if (askAgain) await load();
    // What was made before anybody listened is told by nobody.
    else if (missing.value && failed.value.length === 0) soon();
  }

  watch(
    () => project.id,
    () => {
      haveCome.value = false;
      made.value = {};
      copy.value = '';
      within.value = {};
      languages.value = [];
      together.value = {};
      failed.value = [];
    },
  );
  /** The languages that their letters were told of. */
  const spoken = computed(() => (project.stored?.document.languages ?? []).join());
  /** What tells of text elements, where something rests on which letters stand in them. */
  const elements = () =>
    Object.keys(within.value).length > 0 ? project.stored?.document.elements : undefined;
  watch(elements, (now, before) => {
    if (now && before) void load();
  });
  watch([() => project.id, pages, spoken], () => void load(), { immediate: true });
  watch([missing, () => project.progress.packing?.done], ([wanted, done], [, before]) => {
    if (!wanted) return;
    // The answer that is on its way may be older than what has been made since, and than nothing else.
    if (asking) askAgain ||= done !== before;
    else void load();
  });

  return {
    fallbackOf,
    deliveryOf,
    charactersOf,
    settledDelivery,
    isKnown,
    caseBytes,
    failed,
    pageLanguages: languages,
  };
});
