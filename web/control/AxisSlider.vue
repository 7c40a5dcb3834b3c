<script setup lang="ts">
import { arrowStep } from './arrowStep';

/**
 * A figure that is pointed at along a drawn axis: its frame for the keyboard and for assistive technology. What
 * stands in it is drawn by who uses it, in the pixels of `width` and `height`.
 */
defineProps<{
  label: string;
  min: number;
  max: number;
  now: number;
  /** What it stands at, in words, where the figure alone does not tell. */
  says?: string | undefined;
  width: number;
  height: number;
}>();
const emit = defineEmits<{
  /** An arrow key: by how many steps. */
  step: [by: number];
}>();

function onKey(event: KeyboardEvent): void {
  const by = arrowStep(event);
  if (by !== null) emit('step', by);
}
</script>

<template>
  <span
    class="l-axis"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuemin="min"
    :aria-valuemax="max"
    :aria-valuenow="now"
    :aria-valuetext="says"
    @keydown="onKey"
  >
    <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" aria-hidden="true">
      <slot />
    </svg>
  </span>
</template>
