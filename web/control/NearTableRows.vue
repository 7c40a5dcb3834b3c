<script setup lang="ts" generic="T">
import { useTemplateRef } from 'vue';
import { useNearRows } from './nearRows';

/** The rows of a long table, of which only those near the window are there: each may be several rows of the table. */
const {
  rows,
  keyOf,
  estimate,
  beyond = 20,
  kept = [],
} = defineProps<{
  rows: readonly T[];
  /** What tells a row from the others. */
  keyOf: (row: T) => string;
  /** Height of a row before it has been seen, px. */
  estimate: () => number;
  /** Rows kept beyond the window on either side. */
  beyond?: number;
  /** Indices of rows that are there wherever the window is: what has the focus, what is open. */
  kept?: readonly number[];
  /** Columns of the table. */
  columns: number;
}>();
defineSlots<{ default(props: { row: T; index: number }): unknown }>();

const top = useTemplateRef<HTMLElement>('top');
const { near, after, measureRow, scrollTo, startOf } = useNearRows({
  rows: () => rows,
  keyOf: (row) => keyOf(row),
  estimate: () => estimate(),
  beyond: () => beyond,
  list: top,
  kept: () => kept,
});
defineExpose({
  scrollTo,
  /** Where a row stands in the table, px. */
  placeOf: (index: number): number => (top.value?.offsetTop ?? 0) + startOf(index),
});
</script>

<template>
  <tbody ref="top" aria-hidden="true" class="gap" />
  <template v-for="{ row, index, gap } in near" :key="keyOf(row)">
    <tbody v-if="gap > 0" aria-hidden="true" class="gap">
      <tr>
        <td :colspan="columns" :style="{ height: `${gap}px` }" />
      </tr>
    </tbody>
    <tbody :ref="measureRow" :data-index="index">
      <slot :row="row" :index="index" />
    </tbody>
  </template>
  <tbody v-if="after > 0" aria-hidden="true" class="gap">
    <tr>
      <td :colspan="columns" :style="{ height: `${after}px` }" />
    </tr>
  </tbody>
</template>

<style scoped>
.gap td {
  padding: 0;
  border: 0;
}
</style>
