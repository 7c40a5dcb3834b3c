<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useStock } from '../../store/stock';

/** An address that is typed, to have the page fetched on that word. */
const looked = useStock();
const address = ref('');

async function fetchIt(): Promise<void> {
  const typed = address.value.trim();
  if (typed) await looked.fetchPage(/^[a-z]+:/i.test(typed) ? typed : `https://${typed}`);
}
</script>

<template>
  <form class="line wrap" @submit.prevent="fetchIt">
    <InputText
      v-model="address"
      size="small"
      class="address"
      aria-label="Address of a page"
      placeholder="https://"
      autocomplete="off"
      spellcheck="false"
    />
    <DoButton
      label="Fetch it"
      type="submit"
      :why="address.trim() ? undefined : 'Type an address'"
    />
  </form>
</template>

<style scoped>
.address {
  flex: 1;
  max-width: 380px;
}
</style>
