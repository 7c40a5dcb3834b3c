<script setup lang="ts">
import { FACE_CLASSES, type Family } from '@lettera/core/document';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { count } from '../../frame/figures';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { useUpload } from '../../store/upload';
import StageHeader from '../StageHeader.vue';
import FoundryAsk from './FoundryAsk.vue';
import InCase from './InCase.vue';
import LineUpRowView from './LineUpRow.vue';
import {
  filterRows,
  rowOfLibrary,
  sortRows,
  weightsOf,
  type LineUpRow,
  type SortKey,
} from './lineUp';
import TakeIn from './TakeIn.vue';

const project = useProject();
const library = useLibrary();
const upload = useUpload();

const text = ref('');
const classes = ref<string[]>([]);
const sort = ref<SortKey>('name');
const direction = ref<1 | -1>(1);
const size = ref(30);
const open = ref<string | null>(null);
const files = ref<HTMLInputElement | null>(null);

const COLUMNS: { key: SortKey; label: string; figure?: boolean }[] = [
  { key: 'name', label: 'Family' },
  { key: 'class', label: 'Class' },
  { key: 'weights', label: 'Weights' },
  { key: 'italic', label: 'Italic' },
  { key: 'scripts', label: 'Scripts', figure: true },
  { key: 'bytes', label: 'Regular', figure: true },
];

const inCase = computed(() => Object.entries(project.document?.case ?? {}));

const rowOfCase = ([key, family]: [string, Family]): LineUpRow => {
  const upright = family.faces.find(({ style }) => style === 'normal') ?? family.faces[0];
  return {
    key: `case ${key}`,
    name: family.name,
    class: family.class,
    weights: weightsOf(family.faces),
    variable: family.faces.some(({ weightMin, weightMax }) => weightMin < weightMax),
    italic: family.faces.some(({ style }) => style === 'italic'),
    scripts: [...new Set(family.faces.flatMap((face) => face.files.map(({ script }) => script)))],
    bytes: upright?.files[0]?.bytes ?? 0,
    licence: family.licence ?? '',
    caseKey: key,
    library: null,
  };
};

const rows = computed<LineUpRow[]>(() => {
  const caseKeyOf = (name: string) =>
    inCase.value.find(([, family]) => family.source === 'foundry' && family.name === name)?.[0];
  const listed = library.families.map((family) =>
    rowOfLibrary(family, caseKeyOf(family.name) ?? null),
  );
  const covered = new Set(listed.map(({ caseKey }) => caseKey));
  return [...inCase.value.filter(([key]) => !covered.has(key)).map(rowOfCase), ...listed];
});

const shown = computed(() =>
  sortRows(
    filterRows(rows.value, { text: text.value, classes: classes.value }),
    sort.value,
    direction.value,
  ),
);

const words = computed(() => project.document?.words ?? '');

function setWords(event: Event): void {
  const value = (event.target as HTMLInputElement).value.trim();
  if (value && value !== words.value) {
    project.change([{ op: 'replace', path: '/words', value: value.slice(0, 400) }]);
  }
}

function toggleClass(name: string): void {
  classes.value = classes.value.includes(name)
    ? classes.value.filter((other) => other !== name)
    : [...classes.value, name];
}

function sortBy(key: SortKey): void {
  direction.value = sort.value === key && direction.value === 1 ? -1 : 1;
  sort.value = key;
}

function pickFiles(event: Event): void {
  const input = event.target as HTMLInputElement;
  void upload.take([...(input.files ?? [])]);
  input.value = '';
}

const step = (event: KeyboardEvent): void => {
  if (event.key !== '[' && event.key !== ']') return;
  if ((event.target as Element | null)?.closest?.('input')) return;
  const at = shown.value.findIndex(({ key }) => key === open.value);
  const next = shown.value[at + (event.key === ']' ? 1 : -1)];
  if (next) open.value = next.key;
};
onMounted(() => window.addEventListener('keydown', step));
onBeforeUnmount(() => window.removeEventListener('keydown', step));

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
      <Button
        label="Bring font files"
        size="small"
        variant="outlined"
        severity="secondary"
        @click="files?.click()"
      />
    </template>
  </StageHeader>
  <FoundryAsk v-if="!project.stored?.foundry" />
  <div class="bar">
    <label class="words">
      <span class="visually-hidden">Words set in every family</span>
      <InputText :model-value="words" fluid maxlength="400" @change="setWords" />
    </label>
    <label class="line">
      <span class="quiet">Size</span>
      <input
        v-model.number="size"
        type="range"
        min="14"
        max="72"
        step="1"
        :aria-valuetext="`${size} px`"
      />
      <span class="size">{{ size }} px</span>
    </label>
  </div>
  <div class="bar">
    <InputText
      v-model="text"
      size="small"
      placeholder="Find a family"
      aria-label="Find a family"
      class="find"
    />
    <span class="line wrap" role="group" aria-label="Class">
      <button
        v-for="name in FACE_CLASSES"
        :key="name"
        type="button"
        class="plain class"
        :aria-pressed="classes.includes(name)"
        @click="toggleClass(name)"
      >
        {{ name }}
      </button>
    </span>
    <span class="quiet count" role="status">{{
      shown.length === rows.length
        ? count(rows.length, 'family')
        : `${shown.length} of ${count(rows.length, 'family')}`
    }}</span>
    <input
      ref="files"
      type="file"
      multiple
      accept=".ttf,.otf,.woff,.woff2"
      class="visually-hidden"
      tabindex="-1"
      aria-label="Font files"
      @change="pickFiles"
    />
  </div>
  <p v-if="library.state === 'failed'" class="failed" role="alert">
    {{ library.message }}
    <button type="button" class="plain again" @click="library.load()">Try again</button>
  </p>
  <div class="columns line-up-columns" role="group" aria-label="Sort by">
    <button
      v-for="column in COLUMNS"
      :key="column.key"
      type="button"
      class="plain small"
      :class="{ figure: column.figure }"
      :aria-pressed="sort === column.key"
      @click="sortBy(column.key)"
    >
      {{ column.label }}{{ sort === column.key ? (direction === 1 ? ' ↓' : ' ↑') : '' }}
    </button>
  </div>
  <p v-if="library.state === 'loading'" class="empty quiet" role="status">
    Fetching the foundry’s list …
  </p>
  <p v-else-if="rows.length === 0" class="empty quiet">
    The case is empty. Allow the foundry above, or bring font files of your own.
  </p>
  <p v-else-if="shown.length === 0" class="empty quiet">
    No family passes these filters.
    <button type="button" class="plain again" @click="((text = ''), (classes = []))">
      Clear them
    </button>
  </p>
  <ul>
    <LineUpRowView
      v-for="row in shown"
      :key="row.key"
      :row="row"
      :words="words"
      :size="size"
      :open="open === row.key"
      @toggle="open = open === row.key ? null : row.key"
    >
      <template #default="{ font }">
        <TakeIn v-if="row.library" :family="row.library" :case-key="row.caseKey" :font="font" />
        <InCase v-if="row.caseKey" :case-key="row.caseKey" @removed="open = null" />
      </template>
    </LineUpRowView>
  </ul>
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
  gap: 8px 16px;
  align-items: center;
  padding: 0 20px 8px;
}
.words {
  flex: 1;
  min-width: 220px;
}
input[type='range'] {
  width: 110px;
  accent-color: var(--verdigris);
}
.size {
  width: 42px;
}
.find {
  width: 130px;
}
.class {
  color: var(--ink-2);
  border-bottom: 1px solid transparent;
}
.class[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 550;
  border-color: var(--verdigris);
}
.count {
  margin-right: auto;
}
.columns {
  position: sticky;
  top: 0;
  z-index: 2;
  display: grid;
  gap: 10px;
  padding: 6px 20px;
  background: var(--sheet);
  border-block: 1px solid var(--rule);
}
.columns button {
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
.empty,
.failed,
.permission {
  padding: 16px 20px;
}
</style>
