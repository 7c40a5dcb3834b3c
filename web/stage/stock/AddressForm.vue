<script setup lang="ts">
import { addressForm as say } from './words';
import TextField from '../../control/TextField.vue';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useStock } from '../../store/stock';

/** An address that is typed, to have the page fetched on that word. */
const site = useStock();
const address = ref('');
const why = computed(() => (address.value.trim() ? undefined : say.typeAddress));
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
      :aria-label="say.addressPage"
      :placeholder="say.https"
      spellcheck="false"
    />
    <DoButton :label="say.fetch" type="submit" :why="why" />
    <template v-if="isFetching">
      <span role="status">{{ say.fetchingPage }}</span>
      <DoButton :label="say.stop" @click="stop" />
    </template>
  </form>
</template>

<style scoped>
.address {
  flex: 1;
  max-width: 380px;
}
</style>
