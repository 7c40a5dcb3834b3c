<script setup lang="ts">
import { addressForm as say } from './words';
import TextField from '../../control/TextField.vue';
import { computed, onMounted, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import { dayOf } from '../../control/figures';
import BringOutcome from './BringOutcome.vue';
import { hostTyped, useSiteVisits, type LetIn } from '../../store/siteVisits';
import { useStock } from '../../store/stock';

/** An address that is typed, to have the page fetched on that word. */
const site = useStock();
const visits = useSiteVisits();
const address = ref('');
const why = computed(() => (address.value.trim() ? undefined : say.typeAddress));
const isFetching = computed(() => site.bringing === 'address');
const host = computed(() => hostTyped(address.value));
const letIn = computed(() => visits.letInOn(host.value));
const givenCount = computed(() => Object.values(letIn.value).filter(Boolean).length);
const give = (part: keyof LetIn, value: string): void =>
  visits.give(host.value, { ...letIn.value, [part]: value });

const refused = ref('');
/** Does what asks the server; what it refuses is told here. */
async function doing(work: () => Promise<unknown>): Promise<void> {
  refused.value = '';
  try {
    await work();
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
onMounted(() => doing(visits.load));

async function fetchIt(): Promise<void> {
  const typed = address.value.trim();
  if (typed) await site.fetchPage(typed);
}

const allowedBy = ref('');
async function allow(inner: string): Promise<void> {
  await doing(async () => {
    await visits.allow(inner, allowedBy.value.trim() || say.unnamed);
    await fetchIt();
  });
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
    <FoldAway v-if="host" :label="say.behindPassword" :changed="givenCount">
      <div class="let-in">
        <p class="small quiet">{{ say.sentTo(host) }}</p>
        <label
          >{{ say.name }}
          <TextField
            :model-value="letIn.name"
            @update:model-value="give('name', String($event ?? ''))"
        /></label>
        <label
          >{{ say.password }}
          <TextField
            type="password"
            :model-value="letIn.password"
            @update:model-value="give('password', String($event ?? ''))"
        /></label>
        <label
          >{{ say.cookie }}
          <TextField
            :model-value="letIn.cookie"
            placeholder="session=…"
            @update:model-value="give('cookie', String($event ?? ''))"
        /></label>
        <label
          >{{ say.header }}
          <TextField
            :model-value="letIn.header"
            placeholder="X-Preview: …"
            @update:model-value="give('header', String($event ?? ''))"
        /></label>
      </div>
    </FoldAway>
    <template v-if="isFetching">
      <span role="status">{{ say.fetchingPage }}</span>
      <DoButton :label="say.stop" @click="stop" />
    </template>
  </form>
  <BringOutcome v-if="site.way === 'address'" />
  <form v-if="site.innerHost" class="line wrap ask" @submit.prevent="allow(site.innerHost)">
    <label
      >{{ say.allowedBy }}
      <TextField v-model="allowedBy" :placeholder="say.yourName" maxlength="120"
    /></label>
    <DoButton type="submit" :label="say.allowAndFetch(site.innerHost)" />
  </form>
  <ul v-if="visits.hosts.length" class="small hosts" :aria-label="say.allowedHosts">
    <li v-for="one in visits.hosts" :key="one.host" class="line">
      {{ say.hostAllowed(one.host, one.allowedBy, dayOf(one.allowedAt)) }}
      <DoButton
        bare
        :label="say.withdraw"
        :aria-label="say.withdrawHost(one.host)"
        @click="doing(() => visits.withdraw(one.host))"
      />
    </li>
  </ul>
  <p v-if="refused" role="alert" class="mark-text">{{ refused }}</p>
</template>

<style scoped>
.address {
  flex: 1;
  max-width: 380px;
}
.ask,
.hosts {
  margin-top: 8px;
}
.hosts {
  padding: 0;
  list-style: none;
}
.let-in {
  display: grid;
  gap: 8px;
  width: 300px;
}
.let-in label {
  display: grid;
  grid-template-columns: 80px 1fr;
  align-items: center;
}
.let-in p {
  margin: 0;
}
</style>
