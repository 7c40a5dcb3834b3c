<script setup lang="ts">
import { useStock } from '../../store/stock';

/** What became of what was brought last, beside where it was brought. */
const site = useStock();
</script>

<template>
  <p v-if="site.refusal" role="alert" class="mark-text">{{ site.refusal }}</p>
  <ul v-if="site.outcome" class="small" role="status">
    <li v-for="one in [...site.outcome.refused, ...site.outcome.leftOut]" :key="one.path">
      {{ one.path }}: {{ one.why }}
    </li>
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
