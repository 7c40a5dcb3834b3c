<script setup lang="ts" generic="T">
import { useVirtualizer } from '@tanstack/vue-virtual';
import {
  computed,
  nextTick,
  onMounted,
  ref,
  useTemplateRef,
  watch,
  type ComponentPublicInstance,
  type CSSProperties,
} from 'vue';

/**
 * A long list in the workbench, of which only the rows near the window are there. What stands above the list may
 * grow or shrink.
 */
const {
  rows,
  keyOf,
  estimate,
  beyond = 4,
} = defineProps<{
  rows: readonly T[];
  /** What tells a row from the others. */
  keyOf: (row: T) => string;
  /** Height of a row before it has been seen, px. */
  estimate: () => number;
  /** Rows kept beyond the window on either side. */
  beyond?: number;
  /** Whether the order of the rows says something. */
  ordered?: boolean;
  label: string;
}>();
defineSlots<{ default(props: { row: T; index: number }): unknown }>();

const list = useTemplateRef<HTMLElement>('list');
const scroller = ref<HTMLElement | null>(null);
const margin = ref(0);

const virtualizer = useVirtualizer(
  computed(() => ({
    count: rows.length,
    getScrollElement: () => scroller.value,
    estimateSize: estimate,
    getItemKey: (index: number) => {
      const row = rows[index];
      return row === undefined ? index : keyOf(row);
    },
    overscan: beyond,
    scrollMargin: margin.value,
  })),
);

const near = computed(() =>
  virtualizer.value.getVirtualItems().flatMap(({ index, start }) => {
    const row = rows[index];
    const place: CSSProperties = { transform: `translateY(${start - margin.value}px)` };
    return row === undefined ? [] : [{ row, index, place }];
  }),
);
const height = computed(() => `${virtualizer.value.getTotalSize()}px`);

const measureRow = (node: Element | ComponentPublicInstance | null): void => {
  if (node instanceof Element) virtualizer.value.measureElement(node);
};

function settle(): void {
  scroller.value = list.value?.closest<HTMLElement>('.workbench') ?? null;
  margin.value = list.value?.offsetTop ?? 0;
}
onMounted(settle);
watch(
  () => rows,
  () => void nextTick(settle),
);

defineExpose({
  /** Forgets the heights seen, when what is set in the rows has changed. */
  measureAnew: () => void nextTick(() => virtualizer.value.measure()),
  scrollTo: (index: number) => virtualizer.value.scrollToIndex(index, { align: 'start' }),
});
</script>

<template>
  <component
    :is="ordered ? 'ol' : 'ul'"
    ref="list"
    class="near"
    :style="{ height }"
    :aria-label="label"
  >
    <li
      v-for="{ row, index, place } in near"
      :key="keyOf(row)"
      :ref="measureRow"
      class="place"
      :aria-setsize="rows.length"
      :aria-posinset="index + 1"
      :data-index="index"
      :style="place"
    >
      <slot :row="row" :index="index" />
    </li>
  </component>
</template>

<style scoped>
.near {
  position: relative;
}
.place {
  position: absolute;
  inset: 0 0 auto;
}
</style>
