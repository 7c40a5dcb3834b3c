<script setup lang="ts" generic="T extends string | number">
/** A row of choices of which any number hold. */
defineProps<{ label: string; choices: readonly { value: T; label: string }[] }>();
const model = defineModel<T[]>({ required: true });

function toggle(value: T): void {
  model.value = model.value.includes(value)
    ? model.value.filter((other) => other !== value)
    : [...model.value, value];
}
</script>

<template>
  <span class="choices" role="group" :aria-label="label">
    <button
      v-for="choice in choices"
      :key="choice.value"
      type="button"
      class="plain"
      :aria-pressed="model.includes(choice.value)"
      @click="toggle(choice.value)"
    >
      {{ choice.label }}
    </button>
  </span>
</template>
