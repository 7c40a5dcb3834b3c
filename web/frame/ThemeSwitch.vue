<script setup lang="ts">
import { themeSwitch as say } from './words';
import { ref, watchEffect } from 'vue';
import ChoiceSet from '../control/ChoiceSet.vue';

const KEY = 'lettera:theme';
const THEMES = [
  { value: 'system', label: say.asSystem },
  { value: 'light', label: say.light },
  { value: 'dark', label: say.dark },
] as const;

const kept = localStorage.getItem(KEY);
const theme = ref(THEMES.find(({ value }) => value === kept)?.value ?? 'system');

watchEffect(() => {
  localStorage.setItem(KEY, theme.value);
  document.documentElement.dataset['theme'] = theme.value;
});
</script>

<template>
  <ChoiceSet v-model="theme" :label="say.lightOrDarkRoom" :choices="THEMES" class="theme" />
</template>

<style scoped>
.theme {
  justify-self: start;
}
</style>
