<script setup lang="ts">
import { foundryAsk as say } from './words';
import TextField from '../../control/TextField.vue';
import { ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useLibrary } from '../../store/library';

const emit = defineEmits<{ allowed: [] }>();

const library = useLibrary();
const name = ref('');
const refused = ref('');

async function allow(): Promise<void> {
  try {
    await library.allow(name.value.trim() || 'unnamed');
    emit('allowed');
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
</script>

<template>
  <section>
    <h2>{{ say.mayLetteraAskFoundry }}</h2>
    <p>
      {{ say.toShowThemLetteras }}
    </p>
    <form class="line wrap" @submit.prevent="allow">
      <label for="allowed-by">{{ say.allowedBy }}</label>
      <TextField id="allowed-by" v-model="name" :placeholder="say.yourName" maxlength="120" />
      <DoButton type="submit" :label="say.allowFoundry" first />
    </form>
    <p class="small quiet">{{ say.itCanBeWithdrawn }}</p>
    <p v-if="refused" role="alert" class="mark-text">{{ refused }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}
p {
  max-width: 62ch;
}
</style>
