<script setup lang="ts">
import { computed } from 'vue';
import { useStock } from '../../store/stock';

/** What became of what was brought last, beside where it was brought. */
const site = useStock();
const told = computed(() =>
  site.outcome ? [...site.outcome.refused, ...site.outcome.leftOut] : [],
);
</script>

<template>
  <p v-if="site.refusal" role="alert" class="mark-text">{{ site.refusal }}</p>
  <ul v-if="told.length" class="small" role="status">
    <li v-for="one in told" :key="one.path">{{ one.path }}: {{ one.why }}</li>
  </ul>
</template>

<style scoped>
p,
ul {
  margin: 6px 0 0;
}
ul {
  padding-left: 18px;
}
</style>
