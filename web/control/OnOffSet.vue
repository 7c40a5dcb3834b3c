<script setup lang="ts" generic="T extends string | number">
import OnOff from './OnOff.vue';

/** Several things that are on or off, each on its own. */
defineProps<{ label: string; choices: readonly { value: T; label: string }[] }>();
const model = defineModel<T[]>({ required: true });

function turn(value: T, on: boolean): void {
  const others = model.value.filter((other) => other !== value);
  model.value = on ? [...others, value] : others;
}
</script>

<template>
  <span class="line wrap l-onoffs" role="group" :aria-label="label">
    <OnOff
      v-for="choice in choices"
      :key="choice.value"
      :label="choice.label"
      :model-value="model.includes(choice.value)"
      @update:model-value="turn(choice.value, $event)"
    />
  </span>
</template>
