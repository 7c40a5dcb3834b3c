<script setup lang="ts">
import { pairStage as say } from './words';
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
import { LATIN, rowsInScript } from '../../store/rows/rows';
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
import ScriptSeats from './ScriptSeats.vue';
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

type View = 'order' | 'points' | 'beside' | 'voices' | 'scripts';
const view = ref<View>(route.query['view'] === 'points' ? 'points' : 'order');
const filter = reactive<PartnerFilter>(structuredClone(NO_PARTNER_FILTER));
const clearFilter = (): unknown => Object.assign(filter, structuredClone(NO_PARTNER_FILTER));

const VIEWS = computed((): { value: View; label: string }[] => [
  { value: 'order', label: say.partners },
  { value: 'points', label: say.startingPoints },
  ...(contenders.states.length > 1 ? [{ value: 'beside' as const, label: say.sideBySide }] : []),
  { value: 'voices', label: say.voices },
  { value: 'scripts', label: say.scriptsView },
]);
const ROLE_NAMES: Record<Role, string> = {
  heading: 'heading',
  subheading: 'subheading',
  text: say.text,
};
const SOUGHT_NAMES: Record<Role, string> = {
  heading: 'a heading',
  subheading: 'a subheading',
  text: say.textFace,
};
const soughtChoices = computed(() =>
  pairing.roles.map((role) => ({ value: role, label: SOUGHT_NAMES[role] })),
);
const heldRoles = computed(() => pairing.roles.filter((role) => role !== pairing.sought));
const CLASSES = [
  { value: 'any', label: say.anyClass },
  { value: 'other', label: say.anotherClass },
  { value: 'same', label: say.sameClass },
] as const;
const WANTED = [
  { value: 'fit', label: say.fitWithoutCaveat },
  { value: 'italic', label: say.trueItalic },
  { value: 'superfamily', label: say.sameSuperfamily },
  { value: 'case', label: say.inCase },
] as const;

const SCRIPTS = ['greek', 'cyrillic', 'vietnamese'].map((value) => ({ value, label: value }));

const holdable = computed(() =>
  rowsInScript(families.rows, LATIN)
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
useKeys(say.inPair, [
  ...Array.from({ length: MOST_CONTENDERS }, (_, i) => ({
    keys: String(i + 1),
    does: say.contenderOnProofOr(i + 1),
    run: () => contenders.flip(i),
  })),
  { keys: '[', does: say.contenderBefore, run: () => step(-1) },
  { keys: ']', does: say.contenderAfter, run: () => step(1) },
  {
    keys: 'Escape',
    does: say.giveBackWhatWas,
    when: () => pairing.resting !== null || draws.value.length > 0,
    run: leaveDraw,
  },
]);
onBeforeUnmount(leaveDraw);
</script>

<template>
  <StageHeader :title="say.pair">
    {{ say.holdOneVoiceLook }}
    <template #views><ViewTabs v-model="view" :label="say.views" :views="VIEWS" /></template>
    <template #actions>
      <FoldAway
        v-if="view === 'order' && pairing.heldRows.length"
        v-slot="{ close }"
        :label="say.more"
      >
        <OnOff v-model="pairing.three" :label="say.setThreeHeadingSubheading" />
        <div>
          <DoButton
            :label="say.drawOneAtRandom"
            :title="say.fromWholeListUpper"
            @click="(close(), draw())"
          />
        </div>
        <div v-if="one">
          <DoButton
            :title="say.inEveryVoiceTold(pairing.heldRows[0]?.name ?? '')"
            @mouseenter="pairing.look(one)"
            @mouseleave="pairing.look(null)"
            @focus="pairing.look(one)"
            @blur="pairing.look(null)"
            @click="(close(), pairing.take(one))"
            >{{ say.useEverything(pairing.heldRows[0]?.name ?? '') }}</DoButton
          >
        </div>
        <template v-if="setAside.length">
          <h3>{{ say.familiesShortlistedFaces }}</h3>
          <div v-for="row in setAside" :key="row.key" class="line">
            <bdi class="aside">{{ row.name }}</bdi>
            <DoButton
              :label="say.holdAs(ROLE_NAMES[firstHeld])"
              @click="(close(), pairing.hold(firstHeld, row.key))"
            />
            <DoButton :label="say.showFaces" @click="(close(), showInFaces(row.key))" />
          </div>
        </template>
      </FoldAway>
    </template>
  </StageHeader>
  <ContenderStrip v-if="view !== 'beside'" />
  <StartingPoints v-if="view === 'points'" />
  <SideBySide v-else-if="view === 'beside'" />
  <VoiceSeats v-else-if="view === 'voices'" />
  <ScriptSeats v-else-if="view === 'scripts'" />
  <p v-else-if="!pairing.seats" class="empty">
    {{ say.pairNeedsTwoVoices }}
    <DoButton :label="say.addVoice" first @click="view = 'voices'" />
  </p>
  <template v-else>
    <ToolRow v-if="families.rows.length">
      <span class="quiet">{{ say.find }}</span>
      <ChoiceSet v-model="pairing.sought" :label="say.whatLooked" :choices="soughtChoices" />
      <template v-for="(role, i) in heldRoles" :key="role">
        <span class="quiet">{{ i === 0 ? say.toGo : say.and }}</span>
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
            ? say.workingOutOrder
            : `${count(shown.length, 'family')}${narrowed ? say.countOf(partners.order.length) : ''}`
        }}</span>
        <FoldAway :label="say.filter" :changed="filtersSet">
          <ChoiceSet v-model="filter.class" :label="say.class" :choices="CLASSES" />
          <OnOffSet v-model="filter.wanted" :label="say.wanted" :choices="WANTED" />
          <OnOff v-model="filter.languages" :label="say.everyLetterSitesLanguages" />
          <OnOffSet v-model="filter.scripts" :label="say.scripts" :choices="SCRIPTS" />
          <NumberField
            :label="say.atMostKbFace"
            :model-value="filter.mostBytes === null ? null : filter.mostBytes / 1000"
            :min="1"
            :max="5000"
            :step="5"
            @update:model-value="filter.mostBytes = $event * 1000"
          />
          <div v-if="narrowed"><DoButton :label="say.clearFilter" @click="clearFilter" /></div>
        </FoldAway>
      </template>
    </ToolRow>
    <div v-if="drawn" class="line drawn">
      <b>{{ pairName(drawn) }}</b>
      <DoButton :label="say.use" first @click="pairing.take(drawn)" />
      <DoButton :label="say.shortlist" @click="keep(drawn)" />
      <DoButton :label="say.drawAgain" @click="draw" />
      <DoButton v-if="drawAt > 0" :label="say.back" @click="showDraw(drawAt - 1)" />
      <DoButton
        v-if="drawAt < draws.length - 1"
        :label="say.forward"
        @click="showDraw(drawAt + 1)"
      />
      <DoButton :label="say.close" @click="leaveDraw" />
    </div>
    <div v-if="pairing.heldRows.length === 0" class="empty">
      <p>
        {{ say.partnersFoundFamilyHeld(ROLE_NAMES[firstHeld]) }}
      </p>
      <p class="line">
        <DoButton :label="say.seeStartingPoints" first @click="view = 'points'" />
        <RouterLink
          class="go"
          :to="{ name: 'faces', params: { project: route.params['project'] } }"
          >{{
            project.stored?.foundry ? say.lookFamilyFaces : say.allowFoundryFacesFirst
          }}</RouterLink
        >
      </p>
    </div>
    <p v-else-if="partners.state === 'ready' && shown.length === 0" class="empty">
      {{ say.noFamilyPassesAs }}
      <DoButton v-if="narrowed" :label="say.clearFilter" first @click="clearFilter" />
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
