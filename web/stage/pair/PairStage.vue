<script setup lang="ts">
import { MOST_CONTENDERS } from '@lettera/core/document';
import { drawPlace, ROLES, type Role } from '@lettera/core/pairing';
import { computed, onBeforeUnmount, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import DoButton from '../../control/DoButton.vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import NumberField from '../../control/NumberField.vue';
import OnOff from '../../control/OnOff.vue';
import OnOffSet from '../../control/OnOffSet.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import FoldAway from '../../control/FoldAway.vue';
import ToolRow from '../../control/ToolRow.vue';
import { useContenders } from '../../store/contenders';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useLineUp } from '../../store/lineUp';
import { samePair, usePairing, type PairKeys } from '../../store/pairing';
import { usePartners } from '../../store/partners';
import { useProject } from '../../store/project';
import StageHeader from '../StageHeader.vue';
import ContenderStrip from './ContenderStrip.vue';
import { NO_PARTNER_FILTER, passesAsPartner, type PartnerFilter } from './filter';
import HeldVoice from './HeldVoice.vue';
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

type View = 'order' | 'points' | 'beside' | 'voices';
const view = ref<View>(route.query['view'] === 'points' ? 'points' : 'order');
const filter = reactive<PartnerFilter>(structuredClone(NO_PARTNER_FILTER));
const clearFilter = (): unknown => Object.assign(filter, structuredClone(NO_PARTNER_FILTER));

const VIEWS = computed((): { value: View; label: string }[] => [
  { value: 'order', label: 'Partners' },
  { value: 'points', label: 'Starting points' },
  ...(contenders.states.length > 1 ? [{ value: 'beside' as const, label: 'Side by side' }] : []),
  { value: 'voices', label: 'Voices' },
]);
const ROLE_NAMES: Record<Role, string> = {
  heading: 'heading',
  subheading: 'subheading',
  text: 'text',
};
const SOUGHT_NAMES: Record<Role, string> = {
  heading: 'a heading',
  subheading: 'a subheading',
  text: 'a text face',
};
const soughtChoices = computed(() =>
  pairing.roles.map((role) => ({ value: role, label: SOUGHT_NAMES[role] })),
);
const heldRoles = computed(() => pairing.roles.filter((role) => role !== pairing.sought));
const CLASSES = [
  { value: 'any', label: 'any class' },
  { value: 'other', label: 'another class' },
  { value: 'same', label: 'the same class' },
] as const;
const WANTED = [
  { value: 'fit', label: 'fit without a caveat' },
  { value: 'italic', label: 'a true italic' },
  { value: 'superfamily', label: 'the same superfamily' },
  { value: 'case', label: 'in the case' },
] as const;

const SCRIPTS = ['greek', 'cyrillic', 'vietnamese'].map((value) => ({ value, label: value }));

const holdable = computed(() =>
  [...families.rows]
    .filter(({ measures }) => measures)
    .sort((a, b) => a.name.localeCompare(b.name, 'en'))
    .map(({ key, name }) => ({ value: key, label: name })),
);

watch(
  [() => pairing.held, () => pairing.sought, () => partners.library],
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

/** The order that passes the filter; each keeps its place in the whole. */
const shown = computed(() => {
  const { heldRows, sought } = pairing;
  const languages = project.document?.languages.map((tag) => tag.split('-')[0] ?? tag) ?? [];
  return partners.order.flatMap((ranked, i) => {
    const row = families.byKey.get(ranked.key);
    return row && passesAsPartner(row, heldRows, sought, filter, languages)
      ? [{ row, ranked, place: i + 1 }]
      : [];
  });
});
const filtersSet = computed(
  () =>
    [filter.class !== 'any', filter.languages, filter.mostBytes !== null].filter(Boolean).length +
    filter.wanted.length +
    filter.scripts.length,
);
const narrowed = computed(() => filtersSet.value > 0);

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
const pairName = (pair: PairKeys): string =>
  ROLES.flatMap((role) => pair[role] ?? [])
    .map(nameOf)
    .join(' over ');

/** One family in every voice, told apart by weight and size. */
const one = computed<PairKeys | null>(() => {
  const [first] = pairing.heldRows;
  return first
    ? pairing.pairOf(Object.fromEntries(pairing.roles.map((role) => [role, first.key])))
    : null;
});

function keep(pair: PairKeys | null): void {
  if (pair) contenders.keep(pair);
}

/** Families set aside in Faces that have not been taken in. */
const setAside = computed(() =>
  (project.document?.shortlist ?? []).flatMap((key) => families.byKey.get(key) ?? []),
);
const firstHeld = computed<Role>(
  () => pairing.roles.find((role) => role !== pairing.sought) ?? 'text',
);
function showInFaces(key: string): void {
  lineUp.show(key);
  void router.push({ name: 'faces', params: { project: route.params['project'] } });
}

/** The contender before or after the one on the proof. */
function step(by: 1 | -1): void {
  const all = contenders.states.length;
  const at = contenders.states.findIndex(({ pair }) => samePair(pair, pairing.resting));
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
    Hold one voice and look for a partner for the other, or for a set of three. Pointing shows a
    pair on the page, Use puts it into the project, and leaving gives back what was there.
    <template #views><ViewTabs v-model="view" label="Views" :views="VIEWS" /></template>
    <template #actions>
      <FoldAway v-if="view === 'order' && pairing.heldRows.length" v-slot="{ close }" label="More">
        <OnOff v-model="pairing.three" label="a set of three: heading, subheading and text" />
        <div>
          <DoButton
            label="Draw one at random"
            title="From the whole list, the upper part of the order more often"
            @click="(close(), draw())"
          />
        </div>
        <div v-if="one">
          <DoButton
            :title="`${pairing.heldRows[0]?.name} in every voice, told apart by weight and size`"
            @mouseenter="pairing.look(one)"
            @mouseleave="pairing.look(null)"
            @focus="pairing.look(one)"
            @blur="pairing.look(null)"
            @click="(close(), pairing.take(one))"
            >Use {{ pairing.heldRows[0]?.name }} for everything</DoButton
          >
        </div>
        <template v-if="setAside.length">
          <h3>Families shortlisted in Faces</h3>
          <div v-for="row in setAside" :key="row.key" class="line">
            <bdi class="aside">{{ row.name }}</bdi>
            <DoButton
              :label="`Hold as ${ROLE_NAMES[firstHeld]}`"
              @click="(close(), pairing.hold(firstHeld, row.key))"
            />
            <DoButton label="Show in Faces" @click="(close(), showInFaces(row.key))" />
          </div>
        </template>
      </FoldAway>
    </template>
  </StageHeader>
  <ContenderStrip v-if="view !== 'beside'" />
  <StartingPoints v-if="view === 'points'" />
  <SideBySide v-else-if="view === 'beside'" />
  <VoiceSeats v-else-if="view === 'voices'" />
  <p v-else-if="!pairing.seats" class="empty">
    A pair needs two voices, and the project has one.
    <DoButton label="Add a voice" first @click="view = 'voices'" />
  </p>
  <template v-else>
    <ToolRow v-if="families.rows.length">
      <span class="quiet">Find</span>
      <ChoiceSet v-model="pairing.sought" label="What is looked for" :choices="soughtChoices" />
      <template v-for="(role, i) in heldRoles" :key="role">
        <span class="quiet">{{ i === 0 ? 'to go with' : 'and' }}</span>
        <HeldVoice
          :name="ROLE_NAMES[role]"
          :row="pairing.held[role]"
          :choices="holdable"
          @hold="pairing.hold(role, $event)"
        />
      </template>
      <template v-if="pairing.heldRows.length" #end>
        <span class="quiet" role="status">{{
          partners.state === 'ordering'
            ? 'Working out the order …'
            : `${count(shown.length, 'family')}${narrowed ? ` of ${partners.order.length}` : ''}`
        }}</span>
        <FoldAway label="Filter" :changed="filtersSet">
          <ChoiceSet v-model="filter.class" label="Class" :choices="CLASSES" />
          <OnOffSet v-model="filter.wanted" label="Wanted" :choices="WANTED" />
          <OnOff v-model="filter.languages" label="every letter of the site’s languages" />
          <OnOffSet v-model="filter.scripts" label="Scripts" :choices="SCRIPTS" />
          <NumberField
            label="At most, KB a face"
            :model-value="filter.mostBytes === null ? null : filter.mostBytes / 1000"
            :min="1"
            :max="5000"
            :step="5"
            @update:model-value="filter.mostBytes = $event * 1000"
          />
          <div v-if="narrowed"><DoButton label="Clear the filter" @click="clearFilter" /></div>
        </FoldAway>
      </template>
    </ToolRow>
    <div v-if="drawn" class="line drawn">
      <b>{{ pairName(drawn) }}</b>
      <DoButton label="Use" first @click="pairing.take(drawn)" />
      <DoButton label="Shortlist" @click="keep(drawn)" />
      <DoButton label="Draw again" @click="draw" />
      <DoButton v-if="drawAt > 0" label="Back" @click="showDraw(drawAt - 1)" />
      <DoButton v-if="drawAt < draws.length - 1" label="Forward" @click="showDraw(drawAt + 1)" />
      <DoButton label="Close" @click="leaveDraw" />
    </div>
    <div v-if="pairing.heldRows.length === 0" class="empty">
      <p>
        Partners are found for a family that is held, and the {{ ROLE_NAMES[firstHeld] }} voice has
        none yet.
      </p>
      <p class="line">
        <DoButton label="See starting points" first @click="view = 'points'" />
        <RouterLink
          class="go"
          :to="{ name: 'faces', params: { project: route.params['project'] } }"
          >{{
            project.stored?.foundry
              ? 'Look for a family in Faces'
              : 'Allow the foundry in Faces first'
          }}</RouterLink
        >
      </p>
    </div>
    <p v-else-if="partners.state === 'ready' && shown.length === 0" class="empty">
      No family passes as a partner.
      <DoButton v-if="narrowed" label="Clear the filter" first @click="clearFilter" />
    </p>
    <PartnerList
      v-if="shown.length"
      :key="`${pairing.sought} ${pairing.heldRows.map(({ key }) => key).join()}`"
      :partners="shown"
      @keep="keep(pairing.pairWith($event))"
    />
  </template>
  <TakenNotice />
</template>

<style scoped>
.drawn {
  min-height: 40px;
  padding: 0 var(--edge);
  background: var(--touched);
}
.aside {
  min-width: 140px;
}
.empty {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 12px var(--edge);
}
</style>
