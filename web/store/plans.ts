import type { LettersTogether } from '@lettera/core/script';
import {
  casePlan,
  deliveryPlan,
  heldCharacters,
  madeKey,
  totalBytes,
  type DeliveryPlan,
} from '@lettera/core/deliver';
import { onceFor, onceForParts, type ProjectDocument } from '@lettera/core/document';
import { fallbackPlan, type FallbackPlan } from '@lettera/core/fallback';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { api } from '../api/client';
import { afterRest } from '../control/afterRest';
import { useCaseReadings } from './caseReadings';
import { useFallbacks } from './fallbacks';
import { useProject } from './project';

type Bytes = ReadonlyMap<string, number | null>;
const NO_BYTES: Bytes = new Map();
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
  /** Languages that the pages say they are in. */
  const languages = shallowRef<readonly string[]>([]);
  /** Letters of the site's languages with scripts of many, as texts have them together. */
  const together = shallowRef<LettersTogether>({});
  /** Why files could not be made, each reason once. */
  const failed = shallowRef<string[]>([]);

  const fallbackOf = (document: ProjectDocument): FallbackPlan =>
    fallbackPlan(document, fallbacks.trials);

  const evidence = computed(() => ({
    readings: caseReadings.readings,
    made: made.value,
    copy: copy.value,
    languages: languages.value,
    together: together.value,
  }));
  /** Made once for a document and what is known of its files. */
  const planner = computed(() => {
    const known = evidence.value;
    return onceFor((document: ProjectDocument) => deliveryPlan(document, known));
  });
  const deliveryOf = (document: ProjectDocument): DeliveryPlan => planner.value(document);

  /** All of the case, planned once for it. */
  const casePlanner = computed(() => {
    const known = evidence.value;
    return onceForParts(['case'], (document) => casePlan(document, known));
  });

  /** The characters that the delivered files of a family would have, by its key in the case. */
  const held = computed(() => {
    const known = evidence.value;
    return onceFor((document: ProjectDocument) => heldCharacters(deliveryOf(document), known));
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
    return document ? bytesBySource(casePlanner.value(document)) : NO_BYTES;
  });

  const stored = afterRest(() => project.stored?.document ?? null);
  /** What is to be made for the stored document, and has not been. */
  const missing = computed(() => {
    const document = stored.value;
    if (!document) return '';
    return [deliveryOf, casePlanner.value]
      .flatMap((planOf) => planOf(document).wanted)
      .map(({ source, cut }) => madeKey(source, cut))
      .filter((key) => !Object.hasOwn(made.value, key))
      .join('\n');
  });
  /** The pages that the copy was read from. */
  const pages = computed(() => Object.keys(project.stored?.document.pages ?? {}).join());

  let asking = false;
  let askAgain = false;

  async function load(): Promise<void> {
    const { id } = project;
    if (!id) return;
    asking = true;
    askAgain = false;
    try {
      const known = await api.deliveryEvidence(id);
      if (id !== project.id) return;
      made.value = known.made;
      copy.value = known.copy;
      languages.value = known.languages;
      together.value = known.together;
      failed.value = [...new Set(Object.values(known.failed))];
    } catch {
      // Bytes are left out until the next file has been made.
    } finally {
      asking = false;
    }
    if (askAgain) await load();
  }

  watch(
    () => project.id,
    () => {
      made.value = {};
      copy.value = '';
      languages.value = [];
      together.value = {};
      failed.value = [];
    },
  );
  /** The languages that their letters were told of. */
  const spoken = computed(() => (project.stored?.document.languages ?? []).join());
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
    caseBytes,
    failed,
    pageLanguages: languages,
  };
});
