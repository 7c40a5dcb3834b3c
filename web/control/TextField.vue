<script setup lang="ts">
import InputText from 'primevue/inputtext';

/** A line that is typed into. What else is set on it goes to the field. */
</script>

<template>
  <InputText class="l-field" size="small" autocomplete="off" dir="auto" />
</template>
