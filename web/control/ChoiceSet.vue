<script setup lang="ts" generic="T extends string | number">
import SelectButton from 'primevue/selectbutton';

/** Choosing one of several: a ruled strip of cells, the chosen one inked. */
defineProps<{ label: string; choices: readonly { value: T; label: string }[] }>();
const model = defineModel<T>({ required: true });
</script>

<template>
  <SelectButton
    v-model="model"
    :options="[...choices]"
    option-label="label"
    option-value="value"
    data-key="value"
    :allow-empty="false"
    :aria-label="label"
    unstyled
    :pt="{ root: 'l-choices', pcToggleButton: { root: 'l-choice' } }"
  />
</template>
