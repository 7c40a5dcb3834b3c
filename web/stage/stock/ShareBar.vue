<script setup lang="ts">
/** A share of a site's text as a bar; the figure stands beside it. */
defineProps<{ share: number }>();
</script>

<template>
  <svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
    <rect width="100" height="8" class="room" />
    <rect :width="share * 100" height="8" class="has" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 8px;
  margin-top: 5px;
}
.room {
  fill: var(--ground);
}
.has {
  fill: var(--ink-2);
}
</style>
