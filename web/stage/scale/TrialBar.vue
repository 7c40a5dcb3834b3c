<script setup lang="ts">
import Button from 'primevue/button';
import { onBeforeUnmount } from 'vue';
import { useKeys } from '../../control/keys';
import { useScaleTrial } from '../../store/scaleTrial';

/** Trying a scale on the proof: kept as one change, or left without a trace. */
const trial = useScaleTrial();

useKeys('In Scale', [
  {
    keys: 'Enter',
    does: 'take what is being tried',
    when: () => trial.trying,
    run: () => trial.take(),
  },
  {
    keys: 'Escape',
    does: 'leave what is being tried',
    when: () => trial.trying,
    run: () => trial.leave(),
  },
  { keys: 'Delete', does: 'give an end of a curve back to the ratio' },
]);
onBeforeUnmount(() => trial.leave());
</script>

<template>
  <span v-if="trial.trying" class="trying line" role="status">
    {{ trial.hasTried ? 'On the proof only' : 'Trying: nothing is kept' }}
    <Button v-if="trial.hasTried" size="small" label="Take it" @click="trial.take()" />
    <button type="button" class="plain again" @click="trial.leave()">Leave it as it was</button>
  </span>
  <button
    v-else
    type="button"
    class="plain again"
    title="Changes show on the proof, and are kept only when you take them"
    @click="trial.start()"
  >
    Try without keeping
  </button>
</template>

<style scoped>
.trying {
  padding-left: 8px;
  border-left: 3px solid var(--verdigris);
  background: var(--touched);
}
.again {
  min-height: 24px;
}
</style>
