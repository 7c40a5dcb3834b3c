<script setup lang="ts">
import { toolRow as say } from './words';
import { nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import FoldAway from './FoldAway.vue';

/**
 * A row of controls above what a view is for. It never wraps: what is used least goes behind one word where it has
 * no room beside the rest.
 */
const { least = say.more } = defineProps<{
  /** What the controls are behind that have no room. */
  least?: string;
}>();
defineSlots<{
  /** What is always there. */
  default?(): unknown;
  /** What is used least. */
  least?(): unknown;
  /** What stands at the right edge. */
  end?(): unknown;
}>();

const row = useTemplateRef<HTMLElement>('row');
const folded = ref(false);
/** What everything needs beside each other, px, as last seen. */
let needs = 0;

async function settle(): Promise<void> {
  const { value: node } = row;
  if (!node || node.clientWidth === 0) return;
  if (folded.value) {
    if (node.clientWidth < needs) return;
    folded.value = false;
    await nextTick();
  }
  if (node.scrollWidth > node.clientWidth) {
    needs = node.scrollWidth;
    folded.value = true;
  }
}
const observer = new ResizeObserver(() => void settle());
onMounted(() => {
  if (!row.value) return;
  observer.observe(row.value);
  for (const child of row.value.children) observer.observe(child);
});
onBeforeUnmount(() => observer.disconnect());
</script>

<template>
  <div ref="row" class="tool-row">
    <slot />
    <template v-if="$slots.least">
      <FoldAway v-if="folded" :label="least"><slot name="least" /></FoldAway>
      <slot v-else name="least" />
    </template>
    <div v-if="$slots.end" class="end"><slot name="end" /></div>
  </div>
</template>

<style scoped>
.tool-row {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 34px;
  margin-bottom: 8px;
  padding: 0 var(--edge);
  overflow: hidden;
  white-space: nowrap;
}
.tool-row > :deep(*) {
  flex: none;
}
/* A sentence gives way to what stands beside it. */
.tool-row > :deep(.says) {
  flex: 0 1 auto;
  min-width: 0;
  white-space: normal;
}
.end {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-left: auto;
}
/* Where even that has no room, what is left is reached by moving the row. */
@container (max-width: 560px) {
  .tool-row {
    overflow-x: auto;
    scrollbar-width: none;
  }
}
</style>
