<script setup lang="ts">
import type { Mark } from '@lettera/core/check';
import { onBeforeUnmount } from 'vue';
import DoButton from '../control/DoButton.vue';
import { useMarks } from '../store/marks';

/** A mark, and what puts it right: shown on the proof while pointed at, taken on a click. */
defineProps<{ mark: Mark }>();
const emit = defineEmits<{ take: [mark: Mark]; go: [mark: Mark] }>();

const marks = useMarks();

function take(mark: Mark): void {
  marks.look(null);
  emit('take', mark);
}
onBeforeUnmount(() => marks.look(null));
</script>

<template>
  <li>
    <p>{{ mark.message }}</p>
    <p v-if="mark.fix && !mark.remedy.startsWith(mark.fix.does)">{{ mark.remedy }}</p>
    <DoButton
      v-if="mark.fix"
      @mouseenter="marks.look(mark)"
      @mouseleave="marks.look(null)"
      @focus="marks.look(mark)"
      @blur="marks.look(null)"
      @click="take(mark)"
    >
      {{ mark.fix.does }}
    </DoButton>
    <DoButton v-else @click="emit('go', mark)">
      {{ mark.remedy }}
    </DoButton>
  </li>
</template>

<style scoped>
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
button {
  min-height: 24px;
}
</style>
