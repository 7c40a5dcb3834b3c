<script setup lang="ts" generic="T">
import { useTemplateRef } from 'vue';
import { useNearRows } from './nearRows';

/** A long list, of which only the rows near the window are there. */
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
const { near, height, measureRow, measureAnew, scrollTo } = useNearRows({
  rows: () => rows,
  keyOf: (row) => keyOf(row),
  estimate: () => estimate(),
  beyond: () => beyond,
  list,
});
defineExpose({ measureAnew, scrollTo });
</script>

<template>
  <component
    :is="ordered ? 'ol' : 'ul'"
    ref="list"
    class="near"
    :style="{ height: `${height}px` }"
    :aria-label="label"
  >
    <li
      v-for="{ row, index, start } in near"
      :key="keyOf(row)"
      :ref="measureRow"
      class="place"
      :aria-setsize="rows.length"
      :aria-posinset="index + 1"
      :data-index="index"
      :style="{ transform: `translateY(${start}px)` }"
    >
      <slot :row="row" :index="index" />
    </li>
  </component>
</template>

<style scoped>
.near {
  position: relative;
  margin: 0;
  padding: 0;
  list-style: none;
}
.place {
  position: absolute;
  inset: 0 0 auto;
}
</style>
