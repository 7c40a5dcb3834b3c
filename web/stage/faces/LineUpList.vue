<script setup lang="ts">
import { computed, defineAsyncComponent, watch } from 'vue';
import { useNearRows } from '../../control/useNearRows';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';
import LineUpRowView from './LineUpRow.vue';

/** The rows of the line-up. Only those near the window are there, and with them their faces. */
const props = defineProps<{
  rows: readonly LineUpRow[];
  all: readonly LineUpRow[];
  words: string;
}>();

const FamilyPanel = defineAsyncComponent(() => import('./FamilyPanel.vue'));

const lineUp = useLineUp();
const project = useProject();

/** Rows kept beyond the window on either side. */
const BEYOND = 4;
const FACTS_HEIGHT = 44;

const running = computed(() => lineUp.settings.sample === 'paragraph');
const shortlist = computed(() => new Set(project.document?.shortlist ?? []));

const estimate = (): number => FACTS_HEIGHT + lineUp.size * (running.value ? 1.45 * 5 : 1.25);

const { near, height, measureRow, measureAnew, scrollTo } = useNearRows({
  rows: () => props.rows,
  keyOf: ({ key }) => key,
  estimate,
  beyond: BEYOND,
});
// Heights change only with what is set.
watch(() => [lineUp.size, lineUp.settings.sample, lineUp.settings.equal], measureAnew);

function toggle({ key }: LineUpRow): void {
  lineUp.open = lineUp.open === key ? null : key;
}

/** Brings a row into view and opens it. */
function show(key: string): void {
  const at = props.rows.findIndex((row) => row.key === key);
  if (at === -1) return;
  lineUp.open = key;
  scrollTo(at);
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
  <ul ref="list" :style="{ height }" aria-label="Families">
    <li
      v-for="{ row, index, place } in near"
      :key="row.key"
      :ref="measureRow"
      class="place"
      :aria-setsize="rows.length"
      :aria-posinset="index + 1"
      :data-index="index"
      :style="place"
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
    </li>
  </ul>
</template>

<style scoped>
ul {
  position: relative;
}
.place {
  position: absolute;
  inset: 0 0 auto;
}
</style>
