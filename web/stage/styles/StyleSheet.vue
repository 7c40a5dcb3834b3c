<script setup lang="ts">
import { styleSheet as say } from './words';
import {
  descriptorOf,
  PROPERTIES,
  PROPERTY_NAMES,
  valuesOf,
  type PropertyName,
  type PropertyPart,
} from '@lettera/core/document';
import {
  copiedCells,
  documentThere,
  followPatch,
  pastePatch,
  resolveInUse,
} from '@lettera/core/style';
import TextField from '../../control/TextField.vue';
import PickOne from '../../control/PickOne.vue';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import NearTableRows from '../../control/NearTableRows.vue';
import NumberField from '../../control/NumberField.vue';
import OnOff from '../../control/OnOff.vue';
import ToolRow from '../../control/ToolRow.vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import { useCellCursor } from './cellCursor';
import OccasionLine from './OccasionLine.vue';
import SheetRow from './SheetRow.vue';
import { saysOf, styleRow, type StyleRow } from './styleRow';
import { useWhereShown, type Chosen } from './whereShown';

/** The text styles as a ruled sheet: a row a style, a column a property. */
const project = useProject();
const proof = useProof();
const sheet = ref<HTMLElement | null>(null);

const ALL_PARTS: { value: PropertyPart; label: string }[] = [
  { value: 'type', label: say.type },
  { value: 'detail', label: say.figuresFeatures },
  { value: 'underline', label: say.underline },
  { value: 'setting', label: say.setting },
  { value: 'around', label: say.around },
  { value: 'breaks', label: say.breaks },
];
const { at, occasion, below, isTaken, places, goTo } = useWhereShown();
const parts = computed(() =>
  ALL_PARTS.filter(({ value }) =>
    PROPERTY_NAMES.some((name) => PROPERTIES[name].part === value && isTaken(name)),
  ),
);
const chosenPart = ref<PropertyPart>('type');
const part = computed({
  get: () =>
    (parts.value.find(({ value }) => value === chosenPart.value) ?? parts.value[0])?.value ??
    'type',
  set: (value) => (chosenPart.value = value),
});
const properties = computed<PropertyName[]>(() =>
  PROPERTY_NAMES.filter((name) => PROPERTIES[name].part === part.value && isTaken(name)),
);

/** What browsers make of the properties shown, where not all do the same. */
const engines = computed(() =>
  properties.value.flatMap((name) => {
    const { label, engines: says } = descriptorOf(name);
    return says ? [{ label, says }] : [];
  }),
);

const sought = ref('');
const voice = ref<string | null>(null);
/** Whether only styles are shown that set something of what is shown. */
const onlySet = ref(false);
const voices = computed(() => [
  { value: null, label: say.allVoices },
  ...Object.entries(project.document?.voices ?? {}).map(([value, { name }]) => ({
    value,
    label: name,
  })),
]);

/** The project as it is at the widths that the sheet shows. */
const shownAt = computed(() => {
  const document = project.shown;
  return document && documentThere(document, at.value);
});
/** Rows as they were made of the project as it is shown. */
const made = computed(() => ({
  of: project.shown,
  at: shownAt.value,
  rows: new Map<string, StyleRow | null>(),
}));
function rowOf(key: string): StyleRow | null {
  const { of, at: resolvedIn, rows } = made.value;
  if (!of || !resolvedIn) return null;
  const row = rows.get(key) ?? styleRow(of, resolvedIn, key);
  rows.set(key, row);
  return row;
}
const rowsOf = (key: string): StyleRow[] => [rowOf(key)].filter((one) => one !== null);

/** Keys of the styles that are listed: their rows are made where they are near the window. */
const listed = computed<string[]>((before) => {
  const document = project.shown;
  const resolvedIn = shownAt.value;
  if (!document || !resolvedIn) return [];
  const words = sought.value.trim().toLowerCase();
  const keys = Object.keys(document.styles).filter(
    (key) =>
      (!words || saysOf(document, key).includes(words)) &&
      (!voice.value || resolveInUse(resolvedIn, key).voice.value === voice.value) &&
      (!onlySet.value ||
        properties.value.some(
          (property) => valuesOf(document.styles[key], at.value)[property] !== undefined,
        )),
  );
  // The same list, where it is the same styles: what is previewed changes values alone.
  return before?.length === keys.length && before.every((key, i) => key === keys[i])
    ? before
    : keys;
});

/** The cell that is open, of the style that is selected. */
const opened = ref<PropertyName | null>(null);
function select(key: string): void {
  proof.style = proof.style === key ? null : key;
  opened.value = null;
}
function openCell(key: string, property: PropertyName, event: MouseEvent): void {
  if (event.shiftKey) return;
  if (proof.style !== key) opening = key;
  proof.style = key;
  opened.value = property;
}
watch(
  () => proof.style,
  (key, before) => {
    if (key !== before && opening !== key) opened.value = null;
    opening = null;
  },
);
/** The style whose cell is about to be opened. */
let opening: string | null = null;

/** Brings a row into view, wherever it is. */
async function reveal(index: number): Promise<void> {
  if (index < 0) return;
  await nextTick();
  const there = sheet.value?.querySelector(`tr[data-style="${listed.value[index] ?? ''}"]`);
  if (there) there.scrollIntoView({ block: 'nearest' });
  else table.value?.scrollTo(index, 'auto');
  await nextTick();
}

/** The selected style's row comes into view when it was selected on the proof. */
watch(
  () => proof.style,
  (key) => key && reveal(listed.value.indexOf(key)),
);

function step(by: 1 | -1): void {
  const next = listed.value[listed.value.indexOf(proof.style ?? '') + by];
  if (next) proof.style = next;
}

const told = ref('');
/** Leaves the style; the focus is where it was gone from. */
async function finish(): Promise<void> {
  if (proof.style) select(proof.style);
  await cells.comeBack();
}
const table = useTemplateRef('table');
const cells = useCellCursor({ styles: listed, properties, where: at, sheet, reveal });
/** Rows that are there wherever the window is: of the cell that keys go from, and of the style that is selected. */
const kept = computed(() => [cells.row.value, listed.value.indexOf(proof.style ?? '')]);

/** Whether a key is for the cells, and not for a field in one. */
const onCell = (event: Event): boolean =>
  (event.target as HTMLElement).dataset['column'] !== undefined;

/** Enter ends what is typed into a cell, once it has been taken; what was refused stays. */
async function leaveField(field: HTMLElement): Promise<void> {
  const cell = field.closest('td.open');
  if (!cell || field.role === 'combobox' || !field.matches('input')) return;
  await new Promise(requestAnimationFrame);
  if (cell.querySelector('[role="alert"]')) return;
  opened.value = null;
  await cells.comeBack();
}

async function onKey(event: KeyboardEvent): Promise<void> {
  if (!onCell(event)) {
    if (event.key === 'Enter') await leaveField(event.target as HTMLElement);
    if (event.key !== 'Escape' || !proof.style) return;
    event.stopPropagation();
    if (opened.value) opened.value = null;
    else proof.style = null;
    await cells.comeBack();
    return;
  }
  if (cells.moveBy(event)) {
    event.preventDefault();
  } else if (event.key === 'Enter') {
    event.preventDefault();
    const key = listed.value[cells.row.value];
    const property = properties.value[cells.column.value];
    if (key === undefined || property === undefined) return;
    if (proof.style !== key) opening = key;
    proof.style = key;
    opened.value = property;
    await nextTick();
    cells.cell()?.querySelector<HTMLElement>('input, [role="combobox"]')?.focus();
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    event.preventDefault();
    if (project.document) project.change(followPatch(project.document, cells.range.value));
  }
}

function copy(event: ClipboardEvent): void {
  if (!onCell(event) || !project.document) return;
  event.preventDefault();
  event.clipboardData?.setData('text/plain', copiedCells(project.document, cells.range.value));
}

function paste(event: ClipboardEvent): void {
  const { document } = project;
  if (!onCell(event) || !document) return;
  event.preventDefault();
  const text = event.clipboardData?.getData('text/plain') ?? '';
  const { patch, refused } = pastePatch(document, text, cells.range.value, cells.everything.value);
  if (!project.change(patch)) return;
  const [first] = refused;
  told.value = first
    ? say.couldNotHoldWhat(
        count(refused.length, 'cell'),
        first.text.slice(0, 40),
        PROPERTIES[first.property].label.toLowerCase(),
        document.styles[first.style]?.name ?? '',
      )
    : '';
}

/** A thread from a cell that follows to where its value is set, px within the table. */
interface Thread {
  left: number;
  from: number;
  to: number;
}
const thread = ref<Thread | null>(null);
function pull(event: Event): void {
  thread.value = null;
  const cell = (event.target as Element).closest<HTMLElement>('td[data-column]');
  const row = cell?.closest<HTMLElement>('tr');
  const property = properties.value[Number(cell?.dataset['column'])];
  const here = rowOf(row?.dataset['style'] ?? '');
  const source = property && here?.resolved[property].source;
  if (!cell || !row || !source || source === here?.key) return;
  // The source may be far above or below, and is not there then.
  const other = listed.value.indexOf(source);
  if (other < 0 || !table.value) return;
  const from = table.value.placeOf(other) + ROW / 2;
  thread.value = { left: cell.offsetLeft - 6, from, to: row.offsetTop + ROW / 2 };
}
const ROW = 37;
const drawn = computed(() => {
  const { value: line } = thread;
  if (!line) return null;
  const [top, bottom] = [Math.min(line.from, line.to), Math.max(line.from, line.to)];
  return { left: line.left, top, height: bottom - top, up: line.from < line.to };
});

useKeys(say.inStyles, [
  { keys: '[', does: say.styleBefore, run: () => step(-1) },
  { keys: ']', does: say.styleAfter, run: () => step(1) },
]);
</script>

<template>
  <ToolRow>
    <ChoiceSet v-model="part" :label="say.partSheet" :choices="parts" />
    <span class="quiet">{{ say.at }}</span>
    <PickOne
      :model-value="at as Chosen"
      :label="say.whereDiffers"
      :groups="places"
      scroll-height="420px"
      @update:model-value="goTo"
    />
    <NumberField
      v-if="at === 'narrow'"
      :label="say.narrowBelow"
      hide-label
      :model-value="below"
      :min="240"
      :max="2560"
      :step="10"
      unit="px"
      width="64px"
      @update:model-value="
        project.change([{ op: 'add', path: '/narrowBelow', value: Math.round($event) }])
      "
      @reset="
        project.document?.narrowBelow && project.change([{ op: 'remove', path: '/narrowBelow' }])
      "
    />
    <template #least>
      <OnOff v-model="onlySet" :label="say.setHereOnly" />
      <PickOne
        v-model="voice"
        :choices="voices"
        :label="say.filterByVoice"
        :placeholder="say.allVoices"
      />
    </template>
    <template #end>
      <TextField
        v-model="sought"
        class="find"
        :placeholder="say.find"
        :aria-label="say.filterByStyleOr"
      />
    </template>
  </ToolRow>
  <p v-if="told" role="alert" class="told mark-text">
    {{ told }} <DoButton :label="say.close" @click="told = ''" />
  </p>
  <OccasionLine v-if="occasion" :occasion="occasion" @removed="at = 'set'" />
  <p v-if="engines.length" class="engines small quiet">
    <span v-for="{ label, says } in engines" :key="label">{{ say.inBrowsers(label, says) }} </span>
  </p>
  <p v-if="listed.length === 0" class="none">
    {{ say.noStyleLike }}
    <DoButton :label="say.showAll" @click="((sought = ''), (voice = null), (onlySet = false))" />
  </p>
  <div v-else ref="sheet" class="sheet">
    <table
      class="styles-table"
      :class="[part, { many: properties.length > 8 }]"
      :aria-rowcount="listed.length + 1"
      @keydown="onKey"
      @copy="copy"
      @paste="paste"
      @mouseover="pull"
      @focusin="pull"
      @mouseleave="thread = null"
    >
      <colgroup>
        <col class="wide" />
        <col class="follows" />
        <col v-for="property in properties" :key="property" :class="property" />
      </colgroup>
      <thead>
        <tr>
          <th scope="col">{{ say.style }}</th>
          <th scope="col">{{ say.follows }}</th>
          <th v-for="property in properties" :key="property" scope="col">
            {{ PROPERTIES[property].label }}
          </th>
        </tr>
      </thead>
      <NearTableRows
        ref="table"
        v-slot="{ row: key, index: i }"
        :rows="listed"
        :key-of="(key) => key"
        :estimate="() => ROW"
        :kept="kept"
        :columns="properties.length + 2"
      >
        <SheetRow
          v-for="row in rowsOf(key)"
          :key="row.key"
          :row="row"
          :index="i"
          :properties="properties"
          :where="at"
          :selected="proof.style === key"
          :opened="proof.style === key ? opened : null"
          :cursor="cells.cursorIn(i)"
          :ranged="cells.rangedIn(i)"
          @select="select"
          @open="openCell"
          @close="opened = null"
          @extend="cells.extendTo"
          @focus="cells.onFocus"
          @done="finish"
        />
      </NearTableRows>
    </table>
    <span
      v-if="drawn"
      class="thread"
      :class="{ up: drawn.up }"
      :style="{
        left: `${drawn.left}px`,
        top: `${drawn.top}px`,
        height: `${drawn.height}px`,
      }"
      aria-hidden="true"
    />
  </div>
</template>

<style scoped>
.engines {
  padding: 0 var(--edge) 6px;
}
.find {
  width: 110px;
}
.told,
.none {
  padding: 4px var(--edge);
}
.sheet {
  position: relative;
  flex: 1;
  overflow: auto;
  min-height: 0;
}
.styles-table {
  width: 100%;
  min-width: 1000px;
  table-layout: fixed;
}
/* More columns than there is room for are reached by moving the sheet. */
.styles-table.many {
  min-width: 1200px;
}
col.wide {
  width: 20%;
}
col.follows {
  width: 12%;
}
col.step {
  width: 13%;
}
col.weight {
  width: 7%;
}
col.slant {
  width: 7.5%;
}
col.colour {
  width: 7%;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 3;
  padding: 4px 10px 6px;
  font-size: var(--size-beside);
  font-weight: 400;
  color: var(--ink-2);
  white-space: nowrap;
  background: var(--sheet);
  box-shadow: inset 0 -1px var(--rule);
}
thead th:first-child {
  left: 0;
  z-index: 4;
}
tr > :first-child {
  padding-left: var(--edge);
}
tr > :last-child {
  padding-right: var(--edge);
}
/* From where a value is set to the cell that is pointed at. */
.thread {
  position: absolute;
  width: 6px;
  border: solid var(--verdigris);
  border-width: 1.5px 0 1.5px 1.5px;
  border-radius: 3px 0 0 3px;
  pointer-events: none;
}
.thread::before {
  content: '';
  position: absolute;
  right: -3px;
  bottom: -4px;
  width: 6px;
  height: 6px;
  background: var(--verdigris);
  border-radius: 50%;
}
.thread.up::before {
  top: -4px;
  bottom: auto;
}
</style>
