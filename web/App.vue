<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api } from './api/client';
import SignInView from './frame/SignInView.vue';

const session = ref<'asking' | 'in' | 'out' | 'unreachable'>('asking');

async function ask(): Promise<void> {
  try {
    session.value = (await api.session()).signedIn ? 'in' : 'out';
  } catch {
    session.value = 'unreachable';
  }
}

onMounted(ask);
</script>

<template>
  <RouterView v-if="session === 'in'" />
  <SignInView v-else-if="session === 'out'" @signed-in="ask" />
  <main v-else-if="session === 'unreachable'" class="alone">
    <h1>Lettera’s server does not answer</h1>
    <p>What was changed here and not stored yet is kept in this browser.</p>
    <p><button type="button" class="plain again" @click="ask">Try again</button></p>
  </main>
</template>

<style scoped>
.alone {
  max-width: 480px;
  margin: 15vh auto 0;
  padding: 24px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
.alone p {
  margin-top: 8px;
}
.again {
  color: var(--verdigris);
  text-decoration: underline;
}
</style>
