<script setup lang="ts">
import { slug } from '@lettera/core/deliver';
import {
  BODY_STYLE,
  freeKey,
  narrowBelowOf,
  PROPERTIES,
  PROPERTY_NAMES,
  valuesOf,
  type PropertyName,
  type PropertyPart,
  type StyleValues,
} from '@lettera/core/document';
import { copiedCells, followPatch, narrowDocument, pastePatch } from '@lettera/core/style';
import InputText from 'primevue/inputtext';
import PickOne from '../../control/PickOne.vue';
import { computed, nextTick, ref, watch } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import NumberField from '../../control/NumberField.vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { useProject } from '../../store/project';
import { STOPS, useProof } from '../../store/proof';
import { useCellCursor } from './cellCursor';
import PropertyCell from './PropertyCell.vue';
import { saysOf, styleRows } from './styleRow';
import StyleRowHead from './StyleRowHead.vue';

/** The text styles as a ruled sheet: a row a style, a column a property. */
const project = useProject();
const proof = useProof();
const sheet = ref<HTMLElement | null>(null);

const PARTS: { value: PropertyPart; label: string }[] = [
  { value: 'type', label: 'Type' },
  { value: 'detail', label: 'Finer points' },
  { value: 'setting', label: 'Setting' },
  { value: 'around', label: 'Around it' },
];
const part = ref<PropertyPart>('type');
const properties = computed<PropertyName[]>(() =>
  PROPERTY_NAMES.filter((name) => PROPERTIES[name].part === part.value),
);

/** Whether the sheet shows what is set for every width, or what differs on narrow screens. */
const at = ref<StyleValues>('set');
const below = computed(() => (project.document ? narrowBelowOf(project.document) : 0));
const WIDTHS = computed(() => [
  { value: 'set' as const, label: 'Every width' },
  { value: 'narrow' as const, label: `Below ${below.value} px` },
]);
/** The width that the proof had before narrow screens were looked at; a number, or null for its room. */
let before: { asked: number | null } | null = null;
/** What differs on narrow screens is seen on one. */
watch(at, (where) => {
  if (where === 'narrow' && proof.width >= below.value) {
    before = { asked: proof.asked };
    proof.setWidth(Math.min(STOPS[0].width, below.value - 1));
  } else if (where === 'set' && before) {
    proof.setWidth(before.asked);
    before = null;
  }
});

const sought = ref('');
const voice = ref<string | null>(null);
const onlySet = ref<'all' | 'set'>('all');
const SETS = [
  { value: 'all', label: 'All' },
  { value: 'set', label: 'Set here' },
] as const;
const voices = computed(() => [
  { value: null, label: 'any voice' },
  ...Object.entries(project.document?.voices ?? {}).map(([value, { name }]) => ({
    value,
    label: name,
  })),
]);

const allRows = computed(() => {
  const document = project.shown;
  if (!document) return [];
  return styleRows(document, at.value === 'narrow' ? narrowDocument(document) : document);
});
const rows = computed(() =>
  allRows.value.filter(
    (row) =>
      saysOf(row).includes(sought.value.trim().toLowerCase()) &&
      (!voice.value || row.resolved.voice.value === voice.value) &&
      (onlySet.value === 'all' ||
        properties.value.some((property) => valuesOf(row.style, at.value)[property] !== undefined)),
  ),
);

const followable = computed(() => [
  { value: null, label: 'the text around it' },
  ...Object.entries(project.document?.styles ?? {}).map(([value, { name }]) => ({
    value,
    label: name,
  })),
]);

function follow(key: string, follows: string | null): void {
  project.change([{ op: 'replace', path: `/styles/${key}/follows`, value: follows }]);
}

function select(key: string): void {
  proof.style = proof.style === key ? null : key;
}

/** The selected style's row comes into view when it was selected on the proof. */
watch(
  () => proof.style,
  async (key) => {
    await nextTick();
    sheet.value?.querySelector(`[data-style="${key}"]`)?.scrollIntoView({ block: 'nearest' });
  },
);

function step(by: 1 | -1): void {
  const at = rows.value.findIndex(({ key }) => key === proof.style);
  const next = rows.value[at + by];
  if (next) proof.style = next.key;
}

const adding = ref('');
function add(): void {
  const { document } = project;
  const name = adding.value.trim().slice(0, 60);
  if (!document || !name) return;
  const key = freeKey(Object.keys(document.styles), slug(name) || 'style', 'style');
  const value = { name, follows: proof.style, set: {} };
  if (!project.change([{ op: 'add', path: `/styles/${key}`, value }])) return;
  adding.value = '';
  proof.style = key;
}

const told = ref('');
const shownStyles = computed(() => rows.value.map(({ key }) => key));
const cells = useCellCursor({ styles: shownStyles, properties, where: at, sheet });

/** Whether a key is for the cells, and not for a field in one. */
const onCell = (event: Event): boolean =>
  (event.target as HTMLElement).dataset['column'] !== undefined;

async function onKey(event: KeyboardEvent): Promise<void> {
  if (!onCell(event)) {
    if (event.key !== 'Escape' || !proof.style) return;
    event.stopPropagation();
    proof.style = null;
    await cells.comeBack();
    return;
  }
  if (cells.moveBy(event)) {
    event.preventDefault();
  } else if (event.key === 'Enter') {
    event.preventDefault();
    proof.style = shownStyles.value[cells.row.value] ?? null;
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
    ? `${count(refused.length, 'cell')} could not take what was pasted: “${first.text.slice(0, 40)}” is no ${PROPERTIES[first.property].label.toLowerCase()} for ${document.styles[first.style]?.name ?? ''}. The rest was pasted.`
    : '';
}

useKeys('In Styles', [
  { keys: '[', does: 'the style before', run: () => step(-1) },
  { keys: ']', does: 'the style after', run: () => step(1) },
]);
</script>

<template>
  <div class="tools line wrap">
    <ChoiceSet v-model="part" label="Part of the sheet" :choices="PARTS" />
    <ChoiceSet v-model="at" label="At which widths" :choices="WIDTHS" />
    <NumberField
      v-if="at === 'narrow'"
      label="Narrow below"
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
    <InputText
      v-model="sought"
      size="small"
      placeholder="style or element"
      aria-label="Filter by style or element"
    />
    <PickOne v-model="voice" :choices="voices" label="Filter by voice" placeholder="any voice" />
    <ChoiceSet v-model="onlySet" label="Which styles" :choices="SETS" />
    <form v-if="at === 'set'" class="line add" @submit.prevent="add">
      <InputText
        v-model="adding"
        size="small"
        placeholder="new style"
        aria-label="Name of a new style"
        maxlength="60"
      />
      <DoButton
        type="submit"
        label="Add it"
        :why="adding.trim() ? undefined : 'It has no name yet'"
      />
    </form>
  </div>
  <p v-if="told" role="alert" class="told mark-text">
    {{ told }} <DoButton label="Close" @click="told = ''" />
  </p>
  <p v-if="rows.length === 0" class="none">
    No style is like that.
    <DoButton label="Show all" @click="((sought = ''), (voice = null), (onlySet = 'all'))" />
  </p>
  <div v-else ref="sheet" class="sheet">
    <table class="styles-table" :class="part" @keydown="onKey" @copy="copy" @paste="paste">
      <colgroup>
        <col class="wide" />
        <col class="follows" />
        <col v-for="property in properties" :key="property" :class="property" />
      </colgroup>
      <thead>
        <tr>
          <th scope="col">Style</th>
          <th scope="col">Follows</th>
          <th v-for="property in properties" :key="property" scope="col">
            {{ PROPERTIES[property].label }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, i) in rows"
          :key="row.key"
          :data-style="row.key"
          :class="{ selected: proof.style === row.key }"
          @click="proof.style === row.key || $event.shiftKey || select(row.key)"
        >
          <th scope="row">
            <StyleRowHead :row="row" :editing="proof.style === row.key" @toggle="select(row.key)" />
          </th>
          <td class="follows">
            <PickOne
              v-if="proof.style === row.key && row.key !== BODY_STYLE"
              :model-value="row.style.follows"
              :choices="followable.filter(({ value }) => value !== row.key)"
              fluid
              label="Style that it follows"
              placeholder="the text around it"
              @update:model-value="follow(row.key, $event)"
            />
            <template v-else>{{
              row.style.follows
                ? project.shown?.styles[row.style.follows]?.name
                : row.key === BODY_STYLE
                  ? 'nothing'
                  : 'the text around it'
            }}</template>
          </td>
          <PropertyCell
            v-for="(property, j) in properties"
            :key="property"
            :style-key="row.key"
            :property="property"
            :resolved="row.resolved[property]"
            :family="row.family"
            :slant="row.resolved.slant.value"
            :editing="proof.style === row.key"
            :narrow="at === 'narrow'"
            :data-column="j"
            :tabindex="cells.isAt([i, j]) ? 0 : -1"
            :class="{ ranged: cells.isRanged(i, j) }"
            @mousedown="cells.extendTo([i, j], $event)"
            @focus="cells.onFocus([i, j])"
          />
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.tools {
  padding: 0 16px 6px;
}
.tools input {
  width: 130px;
}
.add {
  margin-left: auto;
}
.told,
.none {
  padding: 4px 16px;
}
.sheet {
  flex: 1;
  overflow: auto;
  min-height: 0;
}
.styles-table {
  width: 100%;
  min-width: 980px;
  table-layout: fixed;
}
col.wide {
  width: 15%;
}
col.follows {
  width: 12%;
}
col.step {
  width: 14%;
}
col.weight,
.type col.lineHeight {
  width: 7%;
}
col.slant {
  width: 8.5%;
}
col.letterSpacing {
  width: 10%;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 3;
  padding: 6px 10px 6px 0;
  font-size: 12px;
  color: var(--ink-2);
  background: var(--sheet);
  box-shadow: inset 0 -1px var(--rule);
}
th:first-child {
  padding-left: 16px;
}
tbody tr {
  cursor: pointer;
}
tbody tr:hover {
  background: var(--touched);
}
tbody tr > * {
  border-bottom: 1px solid var(--rule);
}
tr.selected {
  background: var(--touched);
  box-shadow: inset 3px 0 var(--verdigris);
}
.ranged {
  background: color-mix(in srgb, var(--verdigris) 14%, transparent);
}
tbody th {
  padding: 4px 10px 4px 16px;
  vertical-align: top;
  overflow: hidden;
}
td.follows {
  padding: 4px 10px 4px 0;
  color: var(--ink-2);
  vertical-align: top;
}
</style>
