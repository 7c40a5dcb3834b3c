<script setup lang="ts">
import { nowhereView as say } from './words';
</script>

<template>
  <main>
    <h1>{{ say.thereNothingAtAddress }}</h1>
    <p>
      <RouterLink to="/projects" class="go">{{ say.goProjects }}</RouterLink>
    </p>
  </main>
</template>

<style scoped>
main {
  max-width: 480px;
  margin: 15vh auto 0;
  padding: 24px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
p {
  margin-top: 8px;
}
</style>
