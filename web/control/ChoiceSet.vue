<script setup lang="ts" generic="T extends string | number">
import SelectButton from 'primevue/selectbutton';

/**
 * Choosing one of several: words in a shallow tray, the chosen one on the sheet’s white. A drawing may stand for a
 * word, which then names it.
 */
defineProps<{ label: string; choices: readonly { value: T; label: string; title?: string }[] }>();
const model = defineModel<T>({ required: true });
defineSlots<{ default?(props: { value: T }): unknown }>();
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
  >
    <template v-if="$slots.default" #option="{ option }">
      <span class="drawn" :title="option.title ?? option.label">
        <slot :value="option.value as T" />
        <span class="visually-hidden">{{ option.label }}</span>
      </span>
    </template>
  </SelectButton>
</template>

<style scoped>
.drawn {
  position: relative;
  display: grid;
  place-items: center;
  width: 18px;
  height: 18px;
}
</style>
