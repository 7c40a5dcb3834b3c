<script setup lang="ts">
import { onBeforeUnmount } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useKeys } from '../../control/keys';
import { useScaleDraft } from '../../store/scaleDraft';

/** Trying a scale on the proof: kept as one change, or left without a trace. */
const draft = useScaleDraft();

useKeys('In Scale', [
  {
    keys: 'Enter',
    does: 'use what is being tried',
    when: () => draft.trying,
    run: () => draft.take(),
  },
  {
    keys: 'Escape',
    does: 'leave what is being tried',
    when: () => draft.trying,
    run: () => draft.leave(),
  },
  { keys: 'Delete', does: 'give an end of a curve back to the ratio' },
]);
onBeforeUnmount(() => draft.leave());
</script>

<template>
  <span v-if="draft.trying" class="trying line" role="status">
    {{ draft.hasTried ? 'On the proof only' : 'Trying: nothing is kept' }}
    <DoButton v-if="draft.hasTried" label="Use it" @click="draft.take()" first />
    <DoButton @click="draft.leave()">Leave it as it was</DoButton>
  </span>
  <DoButton
    v-else
    title="Changes show on the proof, and are kept only when you take them"
    @click="draft.start()"
  >
    Try without keeping
  </DoButton>
</template>

<style scoped>
.trying {
  padding-left: 8px;
  border-left: 3px solid var(--verdigris);
  background: var(--touched);
}
</style>
