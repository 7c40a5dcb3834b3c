<script setup lang="ts">
import { MOST_CONTENDERS } from '@lettera/core/document';
import { drawPlace, type Role } from '@lettera/core/pairing';
import Select from 'primevue/select';
import { computed, onBeforeUnmount, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ChoiceLine from '../../control/ChoiceLine.vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import NumberField from '../../control/NumberField.vue';
import ToggleLine from '../../control/ToggleLine.vue';
import { useContenders } from '../../store/contenders';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useLineUp } from '../../store/lineUp';
import { usePairing, type PairKeys } from '../../store/pairing';
import { usePartners } from '../../store/partners';
import { useProject } from '../../store/project';
import StageHeader from '../StageHeader.vue';
import ContenderStrip from './ContenderStrip.vue';
import { NO_PARTNER_FILTER, passesAsPartner, type PartnerFilter } from './filter';
import PartnerList from './PartnerList.vue';
import SideBySide from './SideBySide.vue';
import StartingPoints from './StartingPoints.vue';
import TakenNotice from './TakenNotice.vue';
import VoiceSeats from './VoiceSeats.vue';

const project = useProject();
const library = useLibrary();
const lineUp = useLineUp();
const families = useFamilies();
const pairing = usePairing();
const partners = usePartners();
const contenders = useContenders();
const route = useRoute();
const router = useRouter();

const view = ref<'order' | 'points' | 'beside' | 'voices'>('order');
const filter = reactive<PartnerFilter>(structuredClone(NO_PARTNER_FILTER));
const clearFilter = (): unknown => Object.assign(filter, structuredClone(NO_PARTNER_FILTER));

const VIEWS = computed(() => [
  { value: 'order' as const, label: 'Partners in order' },
  { value: 'points' as const, label: 'Starting points' },
  ...(contenders.states.length > 1 ? [{ value: 'beside' as const, label: 'Side by side' }] : []),
  { value: 'voices' as const, label: 'Voices and weights' },
]);
const SOUGHT: { value: Role; label: string }[] = [
  { value: 'text', label: 'text for the heading' },
  { value: 'heading', label: 'heading for the text' },
];
const CLASSES = [
  { value: 'any', label: 'any class' },
  { value: 'other', label: 'another class' },
  { value: 'same', label: 'the same class' },
] as const;
const WANTED = [
  { value: 'text', label: 'fit for text' },
  { value: 'italic', label: 'true italic' },
  { value: 'superfamily', label: 'one superfamily' },
  { value: 'case', label: 'in the case' },
] as const;

const SCRIPTS = ['greek', 'cyrillic', 'vietnamese'].map((value) => ({ value, label: value }));

const holdable = computed(() =>
  [...families.rows]
    .filter(({ measures }) => measures)
    .sort((a, b) => a.name.localeCompare(b.name, 'en'))
    .map(({ key, name }) => ({ key, name })),
);

watch(
  [() => pairing.held, () => pairing.sought, () => partners.measured],
  () => void partners.find(pairing.held, pairing.sought),
  { immediate: true },
);
watch(
  () => project.stored?.foundry,
  (allowed) => {
    if (allowed && library.state === 'idle') void library.load();
  },
  { immediate: true },
);
watch(
  () => contenders.states.length,
  (kept) => {
    if (kept < 2 && view.value === 'beside') view.value = 'order';
  },
);

/** The order narrowed by the filter; each keeps its place in the whole. */
const shown = computed(() => {
  const { held } = pairing;
  if (!held) return [];
  const languages = project.document?.languages.map((tag) => tag.split('-')[0] ?? tag) ?? [];
  return partners.order.flatMap((ranked, i) => {
    const row = families.byKey.get(ranked.key);
    return row && passesAsPartner(row, held, filter, languages)
      ? [{ row, ranked, place: i + 1 }]
      : [];
  });
});
const narrowed = computed(
  () =>
    filter.class !== 'any' ||
    filter.wanted.length > 0 ||
    filter.languages ||
    filter.scripts.length > 0 ||
    filter.mostBytes !== null,
);

/** Pairs drawn, and which of them is on the proof. */
const draws = ref<PairKeys[]>([]);
const drawAt = ref(-1);
const drawn = computed(() => draws.value[drawAt.value] ?? null);

function draw(): void {
  const at = drawPlace(shown.value.length, Math.random());
  const partner = at === null ? undefined : shown.value[at];
  const pair = partner && pairing.pairWith(partner.row.key);
  if (!pair) return;
  draws.value = [...draws.value.slice(0, drawAt.value + 1), pair];
  showDraw(draws.value.length - 1);
}
function showDraw(at: number): void {
  drawAt.value = at;
  pairing.rest(draws.value[at] ?? null);
}
function leaveDraw(): void {
  draws.value = [];
  drawAt.value = -1;
  pairing.rest(null);
}

const nameOf = (key: string): string => families.byKey.get(key)?.name ?? key;
const pairName = ({ heading, text }: PairKeys): string => `${nameOf(heading)} over ${nameOf(text)}`;

/** One family in both voices, told apart by weight and size. */
const both = computed<PairKeys | null>(() =>
  pairing.held ? { heading: pairing.held.key, text: pairing.held.key } : null,
);

function keep(pair: PairKeys | null): void {
  if (pair) contenders.keep(pair);
}

/** Families set aside in Faces that have not been taken in. */
const setAside = computed(() =>
  (project.document?.shortlist ?? []).flatMap((key) => families.byKey.get(key) ?? []),
);
function hold(key: string): void {
  pairing.heldInstead = key;
  pairing.rest(null);
}
function showInFaces(key: string): void {
  lineUp.show(key);
  void router.push({ name: 'faces', params: { project: route.params['project'] } });
}

/** The contender before or after the one on the proof. */
function step(by: 1 | -1): void {
  const all = contenders.states.length;
  const at = contenders.states.findIndex(
    ({ pair }) => pair.heading === pairing.resting?.heading && pair.text === pairing.resting.text,
  );
  const next = (at === -1 && by === -1 ? all : at) + by;
  if (all > 0 && next !== at) contenders.flip((next + all) % all);
}
useKeys('In Pair', [
  ...Array.from({ length: MOST_CONTENDERS }, (_, i) => ({
    keys: String(i + 1),
    does: `contender ${i + 1} on the proof, or off it`,
    run: () => contenders.flip(i),
  })),
  { keys: '[', does: 'the contender before', run: () => step(-1) },
  { keys: ']', does: 'the contender after', run: () => step(1) },
  {
    keys: 'Escape',
    does: 'give back what was drawn',
    when: () => pairing.resting !== null || draws.value.length > 0,
    run: leaveDraw,
  },
]);
onBeforeUnmount(leaveDraw);
</script>

<template>
  <StageHeader title="Pair">
    Hold one voice and seek a partner for the other. Pointing shows a pair on the proof, a click
    takes it, leaving gives back.
  </StageHeader>
  <TakenNotice />
  <ContenderStrip />
  <div class="bar">
    <ChoiceLine v-model="view" label="View" :choices="VIEWS" />
    <span v-if="view === 'order'" class="line">
      <span class="quiet">Seek a</span>
      <ChoiceLine v-model="pairing.sought" label="What is sought" :choices="SOUGHT" />
    </span>
  </div>
  <StartingPoints v-if="view === 'points'" />
  <SideBySide v-else-if="view === 'beside'" />
  <VoiceSeats v-else-if="view === 'voices'" />
  <template v-else>
    <div class="bar">
      <label class="line"
        ><span class="quiet">Held:</span>
        <Select
          :model-value="pairing.held?.key ?? null"
          :options="holdable"
          option-label="name"
          option-value="key"
          filter
          size="small"
          placeholder="Choose a family"
          aria-label="Family that is held"
          @update:model-value="hold($event)"
      /></label>
      <ChoiceLine v-model="filter.class" label="Class" :choices="CLASSES" />
      <ToggleLine v-model="filter.wanted" label="Wanted" :choices="WANTED" />
      <ToggleLine
        label="Languages"
        :model-value="filter.languages ? [1] : []"
        :choices="[{ value: 1, label: 'the site’s languages' }]"
        @update:model-value="filter.languages = $event.length > 0"
      />
      <ToggleLine v-model="filter.scripts" label="Scripts" :choices="SCRIPTS" />
      <NumberField
        label="At most, KB a face"
        :model-value="filter.mostBytes === null ? null : filter.mostBytes / 1000"
        :min="1"
        :max="5000"
        :step="5"
        @update:model-value="filter.mostBytes = $event * 1000"
      />
      <button v-if="narrowed" type="button" class="plain again" @click="clearFilter">Clear</button>
    </div>
    <div v-if="pairing.held" class="bar small">
      <span role="status">{{
        partners.state === 'ordering'
          ? 'Ordering …'
          : `${count(shown.length, 'partner')} for ${pairing.held.name}`
      }}</span>
      <button type="button" class="plain again" @click="draw">Draw at random</button>
      <template v-if="drawn">
        <button v-if="drawAt > 0" type="button" class="plain again" @click="showDraw(drawAt - 1)">
          Back
        </button>
        <button
          v-if="drawAt < draws.length - 1"
          type="button"
          class="plain again"
          @click="showDraw(drawAt + 1)"
        >
          Forward
        </button>
        <b>{{ pairName(drawn) }}</b>
        <button type="button" class="plain again" @click="pairing.take(drawn)">Take it</button>
        <button type="button" class="plain again" @click="keep(drawn)">Keep as contender</button>
        <button type="button" class="plain again" @click="leaveDraw">Leave</button>
      </template>
      <button
        v-if="both"
        type="button"
        class="plain again both"
        @mouseenter="pairing.look(both)"
        @mouseleave="pairing.look(null)"
        @focus="pairing.look(both)"
        @blur="pairing.look(null)"
        @click="pairing.take(both)"
      >
        Or {{ pairing.held.name }} for both, told apart by weight and size
      </button>
    </div>
    <p v-if="setAside.length" class="bar small">
      <span class="quiet">On the shortlist:</span>
      <template v-for="row in setAside" :key="row.key">
        <span
          ><bdi>{{ row.name }}</bdi>
          <button type="button" class="plain again" @click="hold(row.key)">hold</button>
          <button type="button" class="plain again" @click="showInFaces(row.key)">
            look
          </button></span
        >
      </template>
    </p>
    <p v-if="!pairing.held" class="empty">
      Nothing is seated in {{ pairing.heldRole === 'heading' ? 'Heading' : 'Text' }} yet. Hold a
      family above, or begin from a
      <button type="button" class="plain again" @click="view = 'points'">starting point</button>.
      <template v-if="!project.stored?.foundry">
        The foundry’s families can be paired once it is allowed in
        <RouterLink :to="{ name: 'faces', params: { project: route.params['project'] } }"
          >Faces</RouterLink
        >.</template
      >
    </p>
    <p v-else-if="partners.state === 'ready' && shown.length === 0" class="empty quiet">
      No family passes as a partner.
    </p>
    <PartnerList
      v-if="pairing.held && shown.length"
      :partners="shown"
      :held="pairing.held"
      @keep="keep(pairing.pairWith($event))"
    />
  </template>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  padding: 0 20px 8px;
}
.bar button {
  min-height: 24px;
}
.both {
  margin-left: auto;
}
.empty {
  padding: 0 20px 10px;
}
</style>
