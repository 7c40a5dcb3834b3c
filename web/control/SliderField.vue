<script setup lang="ts">
import Slider from 'primevue/slider';

/** A figure that is dragged along a line, with what it stands at. */
defineProps<{
  label: string;
  min: number;
  max: number;
  step?: number;
  /** What it stands at, with its unit. */
  says: string;
  width?: string;
}>();
const model = defineModel<number>({ required: true });
</script>

<template>
  <span class="line l-slider-field">
    <Slider
      :model-value="model"
      :min="min"
      :max="max"
      :step="step ?? 1"
      unstyled
      :aria-label="label"
      :pt="{
        root: { class: 'l-slider', style: { width: width ?? '90px' } },
        range: 'l-slider-range',
        handle: { class: 'l-slider-handle', 'aria-valuetext': says },
      }"
      @update:model-value="model = $event as number"
    />
    <span class="l-says">{{ says }}</span>
  </span>
</template>
