<script setup lang="ts">
import { readingLine as say } from './words';
import ProgressLine from '../../control/ProgressLine.vue';

/** How far the reading of a site is. It moves with each frame, and nothing around it does. */
defineProps<{
  progress: { done: number; of: number; title: string };
  /** How much of the page that is being read is read, from 0 to 1. */
  share: () => number;
}>();
defineEmits<{ stop: [] }>();
</script>

<template>
  <ProgressLine
    :done="Math.round((progress.done + share()) * 100)"
    :of="progress.of * 100"
    stoppable
    @stop="$emit('stop')"
  >
    {{ say.reading(progress.title, progress.done + 1, progress.of) }}
  </ProgressLine>
</template>
