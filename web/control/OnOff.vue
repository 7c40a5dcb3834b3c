<script setup lang="ts">
import ToggleButton from 'primevue/togglebutton';

/** Turning something on or off: a square before its name, struck through while it is on. */
defineProps<{ label: string }>();
const model = defineModel<boolean>({ required: true });
</script>

<template>
  <ToggleButton v-model="model" unstyled class="l-onoff" :on-label="label" :off-label="label">
    <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
      <path d="M.5.5h11v11H.5z" />
      <path v-if="model" class="on" d="M2.5 9.5l7-7M2.5 2.5l7 7" />
    </svg>
    <span>{{ label }}</span>
  </ToggleButton>
</template>
