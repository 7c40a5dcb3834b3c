<script setup lang="ts">
import { signInView as say } from './words';
import TextField from '../control/TextField.vue';
import { ref } from 'vue';
import DoButton from '../control/DoButton.vue';
import { api } from '../api/client';

const emit = defineEmits<{ signedIn: [] }>();
const token = ref('');
const refused = ref('');

async function signIn(): Promise<void> {
  try {
    await api.signIn(token.value);
    emit('signedIn');
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
</script>

<template>
  <main>
    <h1>{{ say.accessToken }}</h1>
    <p class="quiet">
      {{ say.thisLetteraCanBe }}
    </p>
    <form @submit.prevent="signIn">
      <label for="token">{{ say.token }}</label>
      <TextField id="token" v-model="token" type="password" autocomplete="current-password" fluid />
      <p v-if="refused" role="alert" class="mark-text">{{ refused }}</p>
      <DoButton type="submit" :label="say.sign" first />
    </form>
  </main>
</template>

<style scoped>
main {
  max-width: 400px;
  margin: 15vh auto 0;
  padding: 24px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
form {
  display: grid;
  gap: 8px;
  margin-top: 16px;
  justify-items: start;
}
</style>
