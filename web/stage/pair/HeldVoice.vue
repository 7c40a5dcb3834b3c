<script setup lang="ts">
import PickOne from '../../control/PickOne.vue';
import type { LineUpRow } from '../../store/rows/rows';
import { rowFont, useSpecimenFont } from '../faces/specimenFonts';

/** A family that is held, named and set once, and the means to hold another. */
const props = defineProps<{
  name: string;
  row: LineUpRow | undefined;
  choices: readonly { value: string; label: string }[];
  words: string;
}>();
defineEmits<{ hold: [key: string] }>();

useSpecimenFont(props.row?.library ?? null, () => props.words).haveAll();
</script>

<template>
  <span class="line held">
    <span class="quiet">beside {{ name }}</span>
    <PickOne
      :model-value="row?.key ?? null"
      :choices="choices"
      filter
      placeholder="Choose a family"
      :label="`Family that is held as ${name}`"
      :style="row ? { fontFamily: rowFont(row) } : undefined"
      class="family"
      @update:model-value="$emit('hold', $event)"
    />
  </span>
</template>

<style scoped>
.family {
  min-width: 150px;
}
.family :deep(.p-select-label) {
  font-family: inherit;
  font-size: 15px;
  line-height: 20px;
}
</style>
