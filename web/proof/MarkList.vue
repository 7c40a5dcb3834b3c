<script setup lang="ts">
import type { Mark } from '@lettera/core/check';
import NearRows from '../control/NearRows.vue';
import MarkLine from './MarkLine.vue';

/** Marks one under another, each with what puts it right. */
defineProps<{
  marks: readonly Mark[];
  label: string;
  /** Where each was seen, when that is not the page shown. */
  whereOf?: (mark: Mark) => string;
}>();
defineEmits<{ take: [mark: Mark]; go: [mark: Mark] }>();

/** About three lines, px. */
const HEIGHT = 84;
</script>

<template>
  <NearRows
    v-slot="{ row: mark }"
    :rows="marks"
    :key-of="({ rule, message }) => `${rule} ${message}`"
    :estimate="() => HEIGHT"
    :beyond="24"
    :label="label"
  >
    <MarkLine
      :mark="mark"
      :where="whereOf?.(mark)"
      @take="$emit('take', $event)"
      @go="$emit('go', $event)"
    />
  </NearRows>
</template>
