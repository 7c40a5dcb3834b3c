<script setup lang="ts">
import { lineUpList as say } from './words';
import { computed, defineAsyncComponent, useTemplateRef, watch } from 'vue';
import NearRows from '../../control/NearRows.vue';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';
import LineUpRowView from './LineUpRow.vue';

/** The rows of the line-up. Only those near the window are there, and with them their faces. */
const { rows } = defineProps<{
  rows: readonly LineUpRow[];
  all: readonly LineUpRow[];
  words: string;
}>();

const FamilyPanel = defineAsyncComponent(() => import('./FamilyPanel.vue'));

const lineUp = useLineUp();
const project = useProject();

/** Of a row but for what is set in it, px. */
const FACTS_HEIGHT = 41;

const running = computed(() => lineUp.settings.sample === 'paragraph');
const shortlist = computed(() => new Set(project.document?.shortlist ?? []));

const estimate = (): number => FACTS_HEIGHT + lineUp.size * (running.value ? 1.45 * 5 : 1.25);

const list = useTemplateRef('list');
// Heights change only with what is set.
watch(
  () => [lineUp.size, lineUp.settings.sample, lineUp.settings.equal],
  () => list.value?.measureAnew(),
);

function toggle({ key }: LineUpRow): void {
  lineUp.open = lineUp.open === key ? null : key;
}

/** Brings a row into view and opens it. */
function show(key: string): void {
  const at = rows.findIndex((row) => row.key === key);
  if (at === -1) return;
  lineUp.open = key;
  list.value?.scrollTo(at);
}

watch(
  () => lineUp.open,
  (key) => {
    if (key) lineUp.look(key);
  },
);

defineExpose({ show });
</script>

<template>
  <NearRows
    ref="list"
    v-slot="{ row }"
    :rows="rows"
    :key-of="({ key }) => key"
    :estimate="estimate"
    :label="say.families"
  >
    <LineUpRowView
      :row="row"
      :words="words"
      :running="running"
      :size="lineUp.size"
      :ground="lineUp.settings.ground"
      :equal="lineUp.settings.equal"
      :open="lineUp.open === row.key"
      :shortlisted="shortlist.has(row.key)"
      @toggle="toggle(row)"
      @shortlist="lineUp.toggleShortlist(row.key)"
    >
      <FamilyPanel :row="row" :rows="all" :words="words" />
    </LineUpRowView>
  </NearRows>
</template>
