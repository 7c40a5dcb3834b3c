<script setup lang="ts" generic="T extends string | number">
import OnOff from './OnOff.vue';
import { turned } from './turned';

/** Several things that are on or off, each on its own. */
defineProps<{ label: string; choices: readonly { value: T; label: string }[] }>();
const model = defineModel<T[]>({ required: true });
</script>

<template>
  <span class="line wrap l-onoffs" role="group" :aria-label="label">
    <OnOff
      v-for="choice in choices"
      :key="choice.value"
      :label="choice.label"
      :model-value="model.includes(choice.value)"
      @update:model-value="model = turned(model, choice.value, $event)"
    />
  </span>
</template>
