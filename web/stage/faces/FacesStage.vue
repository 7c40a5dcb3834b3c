<script setup lang="ts">
import InputText from 'primevue/inputtext';
import PickOne from '../../control/PickOne.vue';
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import FoldAway from '../../control/FoldAway.vue';
import SliderField from '../../control/SliderField.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import { SAMPLES, useSamples } from '../../store/samples';
import { useUpload } from '../../store/upload';
import StageHeader from '../StageHeader.vue';
import { filterRows, phrasesOf } from '../../store/rows/filter';
import FilterSentence from './FilterSentence.vue';
import FoundryAsk from './FoundryAsk.vue';
import WaysToBegin from './WaysToBegin.vue';
import type { LineUpRow } from '../../store/rows/rows';
import LineUpList from './LineUpList.vue';
import MeasuringLine from './MeasuringLine.vue';
import { measureOf } from '../../store/rows/measures';
import SiteLanguages from './SiteLanguages.vue';
import { sortRows, type SortKey } from '../../store/rows/sort';

// What is not there at first is loaded when it is asked for.
const FaceMap = defineAsyncComponent(() => import('./FaceMap.vue'));
const ReferenceForm = defineAsyncComponent(() => import('./ReferenceForm.vue'));

const project = useProject();
const library = useLibrary();
const lineUp = useLineUp();
const upload = useUpload();
const families = useFamilies();
const { words, texts } = useSamples();

const files = ref<HTMLInputElement | null>(null);
const list = ref<InstanceType<typeof LineUpList> | null>(null);
const referring = ref(false);

const COLUMNS: { key: SortKey; label: string; means: string; figure?: boolean }[] = [
  { key: 'name', label: 'Family', means: 'By name' },
  ...(['xHeight', 'width', 'contrast'] as const).map((key) => ({
    key,
    label: measureOf(key).short,
    means: measureOf(key).means,
    figure: true,
  })),
  { key: 'weights', label: 'Weights', means: 'Weights on offer, on an axis from 1 to 1000' },
  { key: 'italic', label: 'Italic', means: 'Drawn as an italic, sloped, or none' },
  {
    key: 'languages',
    label: 'Lang.',
    means: 'Languages that it has every letter of, of 48',
    figure: true,
  },
  { key: 'bytes', label: 'Regular', means: 'Bytes of the regular in Latin', figure: true },
];

const GROUNDS = [
  { value: 'room', label: 'the sheet' },
  { value: 'light', label: 'light' },
  { value: 'dark', label: 'dark' },
] as const;
const EQUAL = [
  { value: 'size', label: 'equal size' },
  { value: 'xHeight', label: 'equal x-height' },
] as const;
const VIEWS = [
  { value: 'rows', label: 'Rows' },
  { value: 'map', label: 'Map' },
] as const;

const rows = computed<LineUpRow[]>(() => families.rows);
/** Nothing to line up yet, and nothing on its way: what is offered is how to begin. */
const beginning = computed(() => rows.value.length === 0 && !project.stored?.foundry);
/** Narrowing is for a list that is longer than one looks at. */
const FEW = 3;
const narrowable = computed(
  () => rows.value.length > FEW || phrasesOf(lineUp.settings.filter).length > 0,
);

const places = computed(() => ({
  shortlist: project.document?.shortlist ?? [],
  recent: lineUp.recent,
}));
const shown = computed(() =>
  sortRows(
    filterRows(rows.value, lineUp.settings.filter, places.value),
    lineUp.settings.sort,
    lineUp.settings.direction,
  ),
);
const recentRows = computed(() =>
  lineUp.recent.flatMap((key) => rows.value.find((row) => row.key === key) ?? []).slice(0, 6),
);
const text = computed(() => texts.value[lineUp.settings.sample]);

function setWords(event: Event): void {
  const value = (event.target as HTMLInputElement).value.trim();
  if (!value || value === words.value) return;
  lineUp.settings.sample = 'words';
  project.change([{ op: 'replace', path: '/words', value: value.slice(0, 400) }]);
}

function sortBy(key: SortKey): void {
  const { settings } = lineUp;
  settings.direction = settings.sort === key && settings.direction === 1 ? -1 : 1;
  settings.sort = key;
}

function pickFiles(event: Event): void {
  const input = event.target as HTMLInputElement;
  void upload.take([...(input.files ?? [])]);
  input.value = '';
}

/** Shows a family in the rows, opened, letting go of a filter that would hide it. */
async function show(key: string | null): Promise<void> {
  if (!key) return;
  lineUp.wanted = null;
  lineUp.settings.view = 'rows';
  if (!shown.value.some((row) => row.key === key)) lineUp.clearFilter();
  await nextTick();
  list.value?.show(key);
}

// Wanted from another stage, a family may be there only once the library has been fetched.
watch(
  [() => lineUp.wanted, rows],
  () => {
    if (rows.value.some(({ key }) => key === lineUp.wanted)) void show(lineUp.wanted);
  },
  { immediate: true, flush: 'post' },
);

/** The family before or after the one that is open. */
function step(by: 1 | -1): void {
  const at = shown.value.findIndex(({ key }) => key === lineUp.open);
  const next = shown.value[at + by];
  if (next) list.value?.show(next.key);
}
useKeys('In Faces', [
  {
    keys: 'k',
    does: 'put the row on the shortlist, or take it off',
    run: ({ target }) => {
      const row = (target as Element | null)?.closest?.<HTMLElement>('[data-row]');
      const key = row?.dataset['row'] ?? lineUp.open;
      if (key) lineUp.toggleShortlist(key);
    },
  },
  { keys: '[', does: 'the family before', run: () => step(-1) },
  { keys: ']', does: 'the family after', run: () => step(1) },
]);

watch(
  () => project.stored?.foundry,
  (allowed) => {
    if (allowed && library.state === 'idle') void library.load();
  },
  { immediate: true },
);
</script>

<template>
  <StageHeader title="Faces">
    Set your own words in every family, and take in only the weights and scripts that the site will
    use. A row opens to the whole family.
    <template #views>
      <ViewTabs v-if="!beginning" v-model="lineUp.settings.view" label="Views" :views="VIEWS" />
    </template>
    <template v-if="!beginning" #actions>
      <FoldAway v-if="!project.stored?.foundry" v-slot="{ close }" label="The foundry’s families">
        <FoundryAsk @allowed="close" />
      </FoldAway>
      <DoButton label="Bring font files" @click="files?.click()" />
      <FoldAway v-slot="{ close }" label="Other sources">
        <p>
          A family that its licence keeps elsewhere can be referred to.
          <DoButton label="Refer to a family" @click="(close(), (referring = true))" />
        </p>
        <p v-if="project.stored?.foundry">
          The foundry was allowed by {{ project.stored.foundry.allowedBy }} on
          {{
            new Date(project.stored.foundry.allowedAt).toLocaleDateString('en-GB', {
              dateStyle: 'long',
            })
          }}. What was taken in stays when it is withdrawn.
          <DoButton label="Withdraw it" @click="(close(), library.withdraw())" />
        </p>
      </FoldAway>
    </template>
  </StageHeader>
  <input
    ref="files"
    type="file"
    multiple
    accept=".ttf,.otf,.ttc,.otc,.woff,.woff2"
    class="visually-hidden"
    tabindex="-1"
    aria-label="Font files"
    @change="pickFiles"
  />
  <ReferenceForm v-if="referring" :rows="rows" @done="referring = false" />
  <WaysToBegin v-if="beginning" @bring="files?.click()" @refer="referring = true" />
  <template v-else>
    <div class="bar">
      <label class="words">
        <span class="visually-hidden">Words set in every family</span>
        <InputText
          :model-value="words"
          size="small"
          fluid
          maxlength="400"
          title="Your own words, set in every family"
          @change="setWords"
        />
      </label>
      <PickOne v-model="lineUp.settings.sample" :choices="SAMPLES" label="What is set" />
      <SliderField
        v-model="lineUp.size"
        label="Size of what is set"
        :min="12"
        :max="96"
        :says="`${lineUp.size} px`"
      />
      <FoldAway label="Setting">
        <div class="line">
          Set at
          <ChoiceSet v-model="lineUp.settings.equal" label="Set at" :choices="EQUAL" />
        </div>
        <div class="line">
          On <ChoiceSet v-model="lineUp.settings.ground" label="Ground" :choices="GROUNDS" />
        </div>
        <SiteLanguages />
        <div><DoButton label="Reset words, size and ground" @click="lineUp.reset()" /></div>
      </FoldAway>
    </div>
    <div class="bar narrowing">
      <FilterSentence v-if="narrowable" :rows="rows" :shown="shown.length">
        <InputText
          :model-value="lineUp.settings.filter.name"
          placeholder="Find by name"
          aria-label="Find a family by name"
          size="small"
          class="find"
          @update:model-value="
            lineUp.settings.filter = { ...lineUp.settings.filter, name: $event ?? '' }
          "
        />
        <template #lately>
          <div v-if="recentRows.length" class="line wrap lately">
            <span class="quiet">Looked at lately</span>
            <DoButton v-for="row in recentRows" :key="row.key" @click="lineUp.show(row.key)">
              <bdi>{{ row.name }}</bdi>
            </DoButton>
          </div>
        </template>
      </FilterSentence>
      <p v-else>{{ count(rows.length, 'family') }}</p>
      <MeasuringLine />
    </div>
    <p v-if="library.state === 'failed'" class="failed" role="alert">
      {{ library.message }}
      <DoButton label="Try again" @click="library.load()" />
    </p>
    <FaceMap v-if="lineUp.settings.view === 'map'" :rows="rows" :shown="shown" />
    <template v-else>
      <div class="columns line-up-columns" role="group" aria-label="Sort by">
        <button
          v-for="column in COLUMNS"
          :key="column.key"
          type="button"
          class="plain small"
          :class="{ figure: column.figure }"
          :aria-pressed="lineUp.settings.sort === column.key"
          :title="column.means"
          @click="sortBy(column.key)"
        >
          {{ column.label
          }}<span class="sorted" aria-hidden="true">{{
            lineUp.settings.sort === column.key
              ? lineUp.settings.direction === 1
                ? '▾'
                : '▴'
              : '▿'
          }}</span>
        </button>
      </div>
      <p v-if="library.state === 'loading'" class="empty quiet" role="status">
        Fetching the foundry’s list …
      </p>
      <p v-else-if="rows.length === 0" class="empty">
        The case is empty, and the foundry listed nothing.
        <DoButton label="Bring font files" first @click="files?.click()" />
      </p>
      <p v-else-if="shown.length === 0" class="empty">
        No family passes this filter.
        <DoButton label="Clear the filter" first @click="lineUp.clearFilter()" />
      </p>
      <LineUpList ref="list" :rows="shown" :all="rows" :words="text" />
    </template>
  </template>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 6px 12px;
  align-items: center;
  padding: 0 20px 6px;
}
.narrowing {
  align-items: flex-start;
  justify-content: space-between;
}
.find {
  width: 130px;
}
.words {
  flex: 1;
  min-width: 160px;
}
.lately {
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}
.columns {
  position: sticky;
  top: 0;
  z-index: 2;
  display: grid;
  gap: 10px;
  padding: 1px 20px 1px 32px;
  background: var(--sheet);
  border-block: 1px solid var(--rule);
}
.columns button {
  min-height: 24px;
  color: var(--ink-2);
  white-space: nowrap;
}
.columns button:hover {
  color: var(--ink);
}
.columns button.figure {
  text-align: right;
}
.columns button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 550;
}
.sorted {
  margin-left: 2px;
  font-size: 9px;
}
.empty,
.failed {
  padding: 16px 20px;
}
</style>
