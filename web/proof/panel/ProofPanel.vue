<script setup lang="ts">
import { watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { useProof, type ProofPanel } from '../../store/proof';
import AccountView from './AccountView.vue';
import MovedView from './MovedView.vue';
import PagesView from './PagesView.vue';
import TextView from './TextView.vue';

/** What is shown about the page beside it: which pages there are, who sets its text, and a text that was clicked. */
const proof = useProof();

const VIEWS: { value: ProofPanel; label: string }[] = [
  { value: 'pages', label: 'Pages' },
  { value: 'account', label: 'Who sets its text' },
  { value: 'text', label: 'This text' },
  { value: 'moved', label: 'What moved' },
];

watch(
  () => proof.node,
  (node) => {
    if (node) proof.panel = 'text';
  },
);
</script>

<template>
  <aside aria-label="About this page">
    <div class="head">
      <ViewTabs
        :model-value="proof.panel ?? 'pages'"
        label="About this page"
        :views="VIEWS"
        @update:model-value="proof.panel = $event"
      />
      <DoButton label="Close" @click="proof.panel = null" />
    </div>
    <div class="body">
      <PagesView v-if="proof.panel === 'pages'" />
      <AccountView v-else-if="proof.panel === 'account'" />
      <TextView v-else-if="proof.panel === 'text'" />
      <MovedView v-else />
    </div>
  </aside>
</template>

<style scoped>
aside {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  background: var(--sheet);
}
.head {
  display: flex;
  gap: 8px;
  align-items: end;
  justify-content: space-between;
  padding: 6px 12px 0;
  background: var(--ground);
}
.head button {
  margin-bottom: 4px;
}
.body {
  overflow: auto;
  padding: 8px 12px 12px;
}
</style>
