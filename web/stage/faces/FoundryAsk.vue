<script setup lang="ts">
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
    <h2>May Lettera ask the foundry?</h2>
    <p>
      To show them, Lettera’s server asks the foundry for its list and for the files you look at.
      The foundry learns which families are looked at, and nothing of this project, of you or of its
      visitors. Families that you add are stored here; visitors to the site never reach the foundry.
    </p>
    <form class="line wrap" @submit.prevent="allow">
      <label for="allowed-by">Allowed by</label>
      <TextField id="allowed-by" v-model="name" placeholder="Your name" maxlength="120" />
      <DoButton type="submit" label="Allow the foundry" first />
    </form>
    <p class="small quiet">It can be withdrawn at any time; what was added stays.</p>
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
