<script setup lang="ts">
import { onBeforeUnmount, onMounted } from 'vue';
import { signedOut } from './api/session';
import { keepFocus } from './control/keepFocus';
import SignInView from './frame/SignInView.vue';

let end = (): void => undefined;
onMounted(() => {
  const view = document.querySelector<HTMLElement>('#app');
  if (view) end = keepFocus(view);
});
onBeforeUnmount(() => end());
</script>

<template>
  <SignInView v-if="signedOut" @signed-in="signedOut = false" />
  <RouterView v-else />
</template>
