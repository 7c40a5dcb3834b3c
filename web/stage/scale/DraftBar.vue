<script setup lang="ts">
import { draftBar as say } from './words';
import { onBeforeUnmount } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useKeys } from '../../control/keys';
import { useScaleDraft } from '../../store/scaleDraft';

/** Trying a scale on the proof: kept as one change, or left without a trace. */
const draft = useScaleDraft();

useKeys(say.inScale, [
  {
    keys: 'Enter',
    does: say.useWhatBeingTried,
    when: () => draft.trying,
    run: () => draft.take(),
  },
  {
    keys: 'Escape',
    does: say.leaveWhatBeingTried,
    when: () => draft.trying,
    run: () => draft.leave(),
  },
  { keys: 'Delete', does: say.giveEndCurveBack },
]);
onBeforeUnmount(() => draft.leave());
</script>

<template>
  <span v-if="draft.trying" class="trying line" role="status">
    {{ draft.hasTried ? say.onProofOnly : say.tryingNothingKept }}
    <DoButton v-if="draft.hasTried" :label="say.use" @click="draft.take()" first />
    <DoButton @click="draft.leave()">{{ say.leaveAsWas }}</DoButton>
  </span>
  <DoButton v-else :title="say.changesShowOnProof" @click="draft.start()">
    {{ say.tryWithoutKeeping }}
  </DoButton>
</template>

<style scoped>
.trying {
  padding-left: 8px;
  border-left: 3px solid var(--verdigris);
  background: var(--touched);
}
</style>
