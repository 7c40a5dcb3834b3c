<script setup lang="ts">
import ToggleButton from 'primevue/togglebutton';

/** Turning something on or off: a square before its name, ticked while it is on. */
defineProps<{ label: string }>();
const model = defineModel<boolean>({ required: true });
</script>

<template>
  <ToggleButton v-model="model" unstyled class="l-onoff" :on-label="label" :off-label="label">
    <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
      <rect x=".5" y=".5" width="11" height="11" />
      <path v-if="model" d="M2.5 6l2.5 2.8 4.6-6" />
    </svg>
    <span>{{ label }}</span>
  </ToggleButton>
</template>
