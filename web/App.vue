<script setup lang="ts">
import { signedOut } from './api/session';
import SignInView from './frame/SignInView.vue';
</script>

<template>
  <SignInView v-if="signedOut" @signed-in="signedOut = false" />
  <RouterView v-else />
</template>
