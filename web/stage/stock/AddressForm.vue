<script setup lang="ts">
import TextField from '../../control/TextField.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useStock } from '../../store/stock';

/** An address that is typed, to have the page fetched on that word. */
const site = useStock();
const address = ref('');
const isFetching = computed(() => site.bringing === 'address');

async function fetchIt(): Promise<void> {
  const typed = address.value.trim();
  if (typed) await site.fetchPage(/^[a-z]+:/i.test(typed) ? typed : `https://${typed}`);
}

const stop = (): void => site.stop();
</script>

<template>
  <form class="line wrap" @submit.prevent="fetchIt">
    <TextField
      v-model="address"
      class="address"
      aria-label="Address of a page"
      placeholder="https://"
      spellcheck="false"
    />
    <DoButton
      label="Fetch it"
      type="submit"
      :why="address.trim() ? undefined : 'Type an address'"
    />
    <template v-if="isFetching">
      <span role="status">Fetching the page …</span>
      <DoButton label="Stop" @click="stop" />
    </template>
  </form>
</template>

<style scoped>
.address {
  flex: 1;
  max-width: 380px;
}
</style>
