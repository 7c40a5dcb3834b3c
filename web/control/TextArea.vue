<script setup lang="ts">
import Textarea from 'primevue/textarea';

/** Several lines that are typed into. What else is set on them goes to the field. */
</script>

<template>
  <Textarea class="l-field" size="small" autocomplete="off" dir="auto" />
</template>
