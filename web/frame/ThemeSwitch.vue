<script setup lang="ts">
import { ref, watchEffect } from 'vue';

const KEY = 'lettera:theme';
const THEMES = ['system', 'light', 'dark'] as const;
type Theme = (typeof THEMES)[number];

const kept = localStorage.getItem(KEY);
const theme = ref<Theme>(THEMES.find((name) => name === kept) ?? 'system');

watchEffect(() => {
  localStorage.setItem(KEY, theme.value);
  document.documentElement.dataset['theme'] = theme.value;
});
</script>

<template>
  <div class="line small" role="group" aria-label="Theme">
    <span class="quiet">Room</span>
    <button
      v-for="name in THEMES"
      :key="name"
      type="button"
      class="plain"
      :aria-pressed="theme === name"
      @click="theme = name"
    >
      {{ name }}
    </button>
  </div>
</template>

<style scoped>
button {
  color: var(--ink-2);
  border-bottom: 1px solid transparent;
}
button[aria-pressed='true'] {
  color: var(--ink);
  border-color: var(--verdigris);
}
</style>
