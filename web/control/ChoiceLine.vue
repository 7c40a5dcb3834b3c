<script setup lang="ts" generic="T extends string | number">
/** A short row of choices of which one holds. */
defineProps<{ label: string; choices: readonly { value: T; label: string }[] }>();
const model = defineModel<T>({ required: true });
</script>

<template>
  <span class="choices" role="radiogroup" :aria-label="label">
    <button
      v-for="choice in choices"
      :key="choice.value"
      type="button"
      role="radio"
      class="plain"
      :aria-checked="model === choice.value"
      @click="model = choice.value"
    >
      {{ choice.label }}
    </button>
  </span>
</template>
