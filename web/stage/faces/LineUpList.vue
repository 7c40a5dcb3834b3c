<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual';
import {
  computed,
  defineAsyncComponent,
  nextTick,
  onMounted,
  ref,
  watch,
  type ComponentPublicInstance,
} from 'vue';
import { useLineUp } from '../../store/lineUp';
import { useProject } from '../../store/project';
import type { LineUpRow } from './lineUp';
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
const list = ref<HTMLElement | null>(null);
const scroller = ref<HTMLElement | null>(null);
const margin = ref(0);

/** Rows kept beyond the window on either side. */
const BEYOND = 4;
const FACTS_HEIGHT = 52;

const running = computed(() => lineUp.settings.sample === 'paragraph');
const shortlist = computed(() => new Set(project.document?.shortlist ?? []));

const estimate = (): number => FACTS_HEIGHT + lineUp.size * (running.value ? 1.45 * 5 : 1.3);

const virtualizer = useVirtualizer(
  computed(() => ({
    count: props.rows.length,
    getScrollElement: () => scroller.value,
    estimateSize: estimate,
    getItemKey: (index: number) => props.rows[index]?.key ?? index,
    overscan: BEYOND,
    scrollMargin: margin.value,
  })),
);
const near = computed(() => virtualizer.value.getVirtualItems());

const measureRow = (node: Element | ComponentPublicInstance | null): void => {
  if (node instanceof Element) virtualizer.value.measureElement(node);
};

function place(): void {
  scroller.value = list.value?.closest<HTMLElement>('.workbench') ?? null;
  margin.value = list.value?.offsetTop ?? 0;
}
onMounted(place);
// What stands above the list may have grown or shrunk; heights change only with what is set.
watch(
  () => props.rows,
  () => void nextTick(place),
);
watch(
  () => [lineUp.size, lineUp.settings.sample, lineUp.settings.equal],
  () => void nextTick(() => virtualizer.value.measure()),
);

function toggle({ key }: LineUpRow): void {
  lineUp.open = lineUp.open === key ? null : key;
}

/** Brings a row into view and opens it. */
function show(key: string): void {
  const at = props.rows.findIndex((row) => row.key === key);
  if (at === -1) return;
  lineUp.open = key;
  virtualizer.value.scrollToIndex(at, { align: 'start' });
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
  <ul ref="list" :style="{ height: `${virtualizer.getTotalSize()}px` }" aria-label="Families">
    <template v-for="item in near" :key="String(item.key)">
      <li
        v-if="rows[item.index]"
        :ref="measureRow"
        class="place"
        :aria-setsize="rows.length"
        :aria-posinset="item.index + 1"
        :data-index="item.index"
        :style="{ transform: `translateY(${item.start - margin}px)` }"
      >
        <LineUpRowView
          :row="rows[item.index]!"
          :words="words"
          :running="running"
          :size="lineUp.size"
          :ground="lineUp.settings.ground"
          :equal="lineUp.settings.equal"
          :open="lineUp.open === rows[item.index]!.key"
          :shortlisted="shortlist.has(rows[item.index]!.key)"
          @toggle="toggle(rows[item.index]!)"
          @shortlist="lineUp.toggleShortlist(rows[item.index]!.key)"
        >
          <FamilyPanel :row="rows[item.index]!" :rows="all" :words="words" />
        </LineUpRowView>
      </li>
    </template>
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
