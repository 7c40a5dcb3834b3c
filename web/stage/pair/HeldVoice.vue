<script setup lang="ts">
import { heldVoice as say } from './words';
import PickOne from '../../control/PickOne.vue';
import { rowFont, useSpecimenFont } from '../../proof/specimenFonts';
import type { LineUpRow } from '../../store/rows/rows';

/** A family that is held, its name set in it once its file is there, and the means to hold another. */
const props = defineProps<{
  name: string;
  row: LineUpRow | undefined;
  choices: readonly { value: string; label: string }[];
}>();
defineEmits<{ hold: [key: string] }>();

const { state } = useSpecimenFont(() => ({
  font: props.row ? rowFont(props.row) : 'sans-serif',
  library: props.row?.library,
  words: props.row?.name ?? '',
  weight: 550,
}));
</script>

<template>
  <PickOne
    :model-value="row?.key ?? null"
    :choices="choices"
    filter
    :placeholder="say.chooseFamily"
    :label="say.familyHeldAs(name)"
    :style="row && state === 'shown' ? { fontFamily: rowFont(row) } : undefined"
    class="family"
    @update:model-value="$emit('hold', $event)"
  />
</template>

<style scoped>
.family :deep(.p-select-label) {
  font-family: inherit;
  font-size: 15px;
  line-height: 20px;
}
</style>
