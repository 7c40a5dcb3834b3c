<script setup lang="ts">
import type { Mark } from '@lettera/core/check';
import { useProject } from '../store/project';

/** A mark, and what puts it right: shown on the proof while pointed at, taken on a click. */
const props = defineProps<{ mark: Mark }>();
const emit = defineEmits<{ take: [mark: Mark]; go: [mark: Mark] }>();

const project = useProject();

const look = (on: boolean): void => {
  project.preview = on && props.mark.fix ? props.mark.fix.patch : null;
};
</script>

<template>
  <li>
    <p>{{ mark.message }}</p>
    <p v-if="mark.fix && !mark.remedy.startsWith(mark.fix.does)">{{ mark.remedy }}</p>
    <button
      v-if="mark.fix"
      type="button"
      class="plain again"
      @mouseenter="look(true)"
      @mouseleave="look(false)"
      @focus="look(true)"
      @blur="look(false)"
      @click="emit('take', mark)"
    >
      {{ mark.fix.does }}
    </button>
    <button v-else type="button" class="plain again" @click="emit('go', mark)">
      {{ mark.remedy }}
    </button>
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
