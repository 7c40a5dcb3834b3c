<script setup lang="ts">
import { BODY_STYLE, PROPERTIES, PROPERTY_NAMES } from '@lettera/core/document';
import { resolveInUse } from '@lettera/core/style';
import Select from 'primevue/select';
import { computed, nextTick, ref, watch } from 'vue';
import { count } from '../../control/figures';
import { useKeys } from '../../control/keys';
import { caseFont } from '../../proof/caseFonts';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import ColourSheet from './ColourSheet.vue';
import PropertyCell from './PropertyCell.vue';

const project = useProject();
const proof = useProof();
const sheet = ref<HTMLElement | null>(null);

const rows = computed(() => {
  const document = project.shown;
  if (!document) return [];
  return Object.entries(document.styles).map(([key, style]) => {
    const resolved = resolveInUse(document, key);
    const voice = document.voices[resolved.voice.value ?? ''];
    return {
      key,
      style,
      resolved,
      font: caseFont(voice?.family, voice?.generic),
      followers: Object.values(document.styles).filter(({ follows }) => follows === key).length,
      selectors: Object.values(document.elements)
        .filter((element) => element.style === key)
        .flatMap(({ selectors }) => selectors)
        .map((selector) => selector.replace(/:not\(.*\)/, '')),
    };
  });
});

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
useKeys('In Styles', [
  { keys: '[', does: 'the style before', run: () => step(-1) },
  { keys: ']', does: 'the style after', run: () => step(1) },
]);
</script>

<template>
  <div ref="sheet" class="sheet">
    <table class="styles-table">
      <colgroup>
        <col class="wide" />
        <col class="follows" />
        <col v-for="property in PROPERTY_NAMES" :key="property" :class="property" />
      </colgroup>
      <thead>
        <tr>
          <th>Style</th>
          <th>Follows</th>
          <th v-for="property in PROPERTY_NAMES" :key="property">
            {{ PROPERTIES[property].label }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.key"
          :data-style="row.key"
          :class="{ selected: proof.style === row.key }"
          @click="proof.style === row.key || select(row.key)"
        >
          <th scope="row">
            <button
              type="button"
              class="plain name"
              :aria-pressed="proof.style === row.key"
              :style="{
                fontFamily: row.font,
                fontWeight: row.resolved.weight.value,
                fontStyle: row.resolved.slant.value,
              }"
              @click.stop="select(row.key)"
            >
              {{ row.style.name }}
            </button>
            <span class="selectors" :title="row.selectors.join(', ')">{{
              row.selectors.join(', ') ||
              (row.followers ? `followed by ${count(row.followers, 'style')}` : 'used by nothing')
            }}</span>
          </th>
          <td class="follows">
            <Select
              v-if="proof.style === row.key && row.key !== BODY_STYLE"
              :model-value="row.style.follows"
              :options="followable.filter(({ value }) => value !== row.key)"
              option-label="label"
              option-value="value"
              size="small"
              fluid
              aria-label="Style that it follows"
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
            v-for="property in PROPERTY_NAMES"
            :key="property"
            :style-key="row.key"
            :property="property"
            :resolved="row.resolved[property]"
            :editing="proof.style === row.key"
          />
        </tr>
      </tbody>
    </table>
    <ColourSheet />
  </div>
</template>

<style scoped>
.sheet {
  height: 100%;
  overflow: auto;
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
col.lineHeight {
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
tbody th {
  padding: 4px 10px 4px 16px;
  vertical-align: top;
  overflow: hidden;
}
.name {
  display: block;
  max-width: 100%;
  font-size: 15px;
  line-height: 1.2;
}
.selectors {
  display: block;
  font-size: 11px;
  font-weight: 400;
  color: var(--ink-2);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
td.follows {
  padding: 4px 10px 4px 0;
  color: var(--ink-2);
  vertical-align: top;
}
</style>
