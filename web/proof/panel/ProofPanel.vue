<script setup lang="ts">
import { proofPanel as say } from './words';
import { computed, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { useLive } from '../../store/live';
import { useProof } from '../../store/proof';
import AccountView from './AccountView.vue';
import MovedView from './MovedView.vue';
import PagesView from './PagesView.vue';
import { PANELS } from './panels';
import RunningView from './RunningView.vue';
import TextView from './TextView.vue';

/** What is shown about the page beside it: which pages there are, who sets its text, and a text that was clicked. */
const proof = useProof();
const live = useLive();

const panels = computed(() =>
  PANELS.filter(({ value }) => value !== 'running' || live.state?.sheet || live.pointed),
);

watch(
  () => proof.node,
  (node) => {
    if (node) proof.panel = 'text';
  },
);
</script>

<template>
  <aside :aria-label="say.aboutPage">
    <div class="head">
      <ViewTabs
        :model-value="proof.panel ?? 'pages'"
        :label="say.aboutPage"
        :views="panels"
        @update:model-value="proof.panel = $event"
      />
      <DoButton :label="say.close" @click="proof.panel = null" />
    </div>
    <div class="body">
      <PagesView v-if="proof.panel === 'pages'" />
      <AccountView v-else-if="proof.panel === 'account'" />
      <TextView v-else-if="proof.panel === 'text'" />
      <RunningView v-else-if="proof.panel === 'running'" />
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
  padding: 8px 14px 0;
  box-shadow: inset 0 -1px var(--rule);
}
.head > button {
  margin-bottom: 6px;
}
.body {
  overflow: auto;
  padding: 10px 14px 14px;
}
</style>
