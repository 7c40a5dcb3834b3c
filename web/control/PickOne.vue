<script setup lang="ts" generic="V extends string | number | null">
import Select from 'primevue/select';

/**
 * Choosing one of many: the value, underlined, with a small arrow, which opens a list. One that can be typed into to be filtered
 * opens unfiltered the next time. What else is set on it, and how its options are shown, goes to the list.
 */
defineOptions({ inheritAttrs: false });
defineProps<{
  modelValue: V | null | undefined;
  label: string;
  choices?: readonly { value: V; label: string }[];
  /** The same under headings, where there are many of several kinds. */
  groups?: readonly { label: string; choices: readonly { value: V; label: string }[] }[];
}>();
defineEmits<{ 'update:modelValue': [value: V] }>();
</script>

<template>
  <Select
    v-bind="$attrs"
    class="l-pick"
    :model-value="modelValue"
    :options="groups ? [...groups] : [...(choices ?? [])]"
    :option-group-label="groups ? 'label' : undefined"
    :option-group-children="groups ? 'choices' : undefined"
    option-label="label"
    option-value="value"
    size="small"
    reset-filter-on-hide
    :aria-label="label"
    @update:model-value="$emit('update:modelValue', $event)"
  >
    <template #dropdownicon>
      <svg viewBox="0 0 8 6" width="8" height="6" aria-hidden="true">
        <path d="M.5 1l3.5 4 3.5-4z" fill="currentcolor" />
      </svg>
    </template>
    <template v-if="$slots['option']" #option="{ option }">
      <slot name="option" :option="option as { value: V; label: string }" />
    </template>
  </Select>
</template>
