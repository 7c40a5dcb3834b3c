<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import ChoiceLine from '../../control/ChoiceLine.vue';
import { useKeys } from '../../control/keys';
import { useFamilies } from '../../store/families';
import { useLibrary } from '../../store/library';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import { SAMPLES, useSamples } from '../../store/samples';
import { useUpload } from '../../store/upload';
import StageHeader from '../StageHeader.vue';
import { filterRows } from '../../store/rows/filter';
import FilterSentence from './FilterSentence.vue';
import FoundryAsk from './FoundryAsk.vue';
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
  { value: 'room', label: 'sheet' },
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
    use.
    <template #actions>
      <span class="line">
        <Button
          label="Refer to a family served elsewhere"
          size="small"
          variant="text"
          severity="secondary"
          :aria-expanded="referring"
          @click="referring = !referring"
        />
        <Button
          label="Bring font files"
          size="small"
          variant="outlined"
          severity="secondary"
          @click="files?.click()"
        />
      </span>
    </template>
  </StageHeader>
  <ReferenceForm v-if="referring" :rows="rows" @done="referring = false" />
  <FoundryAsk v-if="!project.stored?.foundry" />
  <div class="bar">
    <label class="words">
      <span class="visually-hidden">Words set in every family</span>
      <InputText :model-value="words" fluid maxlength="400" @change="setWords" />
    </label>
    <InputText
      :model-value="lineUp.settings.filter.name"
      placeholder="Find by name"
      aria-label="Find a family by name"
      class="find"
      @update:model-value="
        lineUp.settings.filter = { ...lineUp.settings.filter, name: $event ?? '' }
      "
    />
    <ChoiceLine v-model="lineUp.settings.view" label="View" :choices="VIEWS" />
  </div>
  <div class="bar">
    <ChoiceLine v-model="lineUp.settings.sample" label="What is set" :choices="SAMPLES" />
    <label class="line">
      <span class="visually-hidden">Size</span>
      <input
        v-model.number="lineUp.size"
        type="range"
        min="12"
        max="96"
        step="1"
        :aria-valuetext="`${lineUp.size} px`"
      />
      <span class="size">{{ lineUp.size }} px</span>
    </label>
    <ChoiceLine v-model="lineUp.settings.equal" label="Set at" :choices="EQUAL" />
    <span class="line"
      ><span class="quiet">on</span>
      <ChoiceLine v-model="lineUp.settings.ground" label="Ground" :choices="GROUNDS" />
    </span>
    <button type="button" class="plain again" @click="lineUp.reset()">Reset</button>
  </div>
  <FilterSentence :rows="rows" :shown="shown.length" />
  <!-- In a line that is there anyway, so that nothing moves when measuring ends. -->
  <div class="bar recent small">
    <SiteLanguages />
    <MeasuringLine />
    <p v-if="recentRows.length" class="small quiet">
      Looked at lately:
      <template v-for="(row, i) in recentRows" :key="row.key"
        ><button type="button" class="plain again" @click="lineUp.show(row.key)">
          <bdi>{{ row.name }}</bdi></button
        >{{ i < recentRows.length - 1 ? ', ' : '' }}</template
      >
    </p>
  </div>
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
  <p v-if="library.state === 'failed'" class="failed" role="alert">
    {{ library.message }}
    <button type="button" class="plain again" @click="library.load()">Try again</button>
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
        }}{{
          lineUp.settings.sort === column.key ? (lineUp.settings.direction === 1 ? ' ↓' : ' ↑') : ''
        }}
      </button>
    </div>
    <p v-if="library.state === 'loading'" class="empty quiet" role="status">
      Fetching the foundry’s list …
    </p>
    <p v-else-if="rows.length === 0" class="empty quiet">
      The case is empty. Allow the foundry above, or bring font files of your own.
    </p>
    <p v-else-if="shown.length === 0" class="empty quiet">
      No family passes this filter.
      <button type="button" class="plain again" @click="lineUp.clearFilter()">Clear it</button>
    </p>
    <LineUpList ref="list" :rows="shown" :all="rows" :words="text" />
  </template>
  <p v-if="project.stored?.foundry" class="permission small quiet">
    The foundry was allowed by {{ project.stored.foundry.allowedBy }} on
    {{
      new Date(project.stored.foundry.allowedAt).toLocaleDateString('en-GB', { dateStyle: 'long' })
    }}.
    <button type="button" class="plain again" @click="library.withdraw()">Withdraw it</button>
  </p>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  padding: 0 20px 8px;
}
.find {
  width: 120px;
}
.words {
  flex: 1;
  min-width: 220px;
}
input[type='range'] {
  width: 90px;
  accent-color: var(--verdigris);
}
.size {
  width: 42px;
}
.columns {
  position: sticky;
  top: 0;
  z-index: 2;
  display: grid;
  gap: 10px;
  padding: 5px 20px 5px 32px;
  background: var(--sheet);
  border-block: 1px solid var(--rule);
}
.columns button {
  min-height: 24px;
  color: var(--ink-2);
  white-space: nowrap;
}
.columns button.figure {
  text-align: right;
}
.columns button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 550;
}
.recent button {
  min-height: 24px;
}
.empty,
.failed,
.permission {
  padding: 16px 20px;
}
</style>
