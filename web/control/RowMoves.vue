<script setup lang="ts">
import DoButton from './DoButton.vue';
import { rowMoves as say } from './words';

/** What is done with a row of a list whose order counts: up, down, away. Seen while the row is pointed at. */
defineProps<{
  /** What the row is called. */
  name: string;
  /** Where it stands among those that it can change places with, from 0, and how many they are. */
  at: number;
  of: number;
}>();
defineEmits<{ move: [by: 1 | -1]; remove: [] }>();
</script>

<template>
  <span class="line on-point">
    <slot />
    <DoButton
      :aria-label="say.earlier(name)"
      :why="at === 0 ? say.itFirst : undefined"
      @click="$emit('move', -1)"
      >↑</DoButton
    >
    <DoButton
      :aria-label="say.later(name)"
      :why="at === of - 1 ? say.itLast : undefined"
      @click="$emit('move', 1)"
      >↓</DoButton
    >
    <DoButton :label="say.remove" :aria-label="say.removeName(name)" @click="$emit('remove')" />
  </span>
</template>

<style scoped>
.line {
  flex-wrap: nowrap;
  gap: 4px;
  justify-content: flex-end;
}
.line :deep(.l-do) {
  padding-inline: 6px;
}
</style>
