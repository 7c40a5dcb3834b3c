<script setup lang="ts">
defineProps<{ title: string }>();
</script>

<template>
  <header>
    <div class="line spread">
      <h1>{{ title }}</h1>
      <slot name="actions" />
    </div>
    <p class="quiet"><slot /></p>
  </header>
</template>

<style scoped>
header {
  padding: 14px 20px 10px;
}
p {
  max-width: 96ch;
}
</style>
