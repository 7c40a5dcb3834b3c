<script setup lang="ts">
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import SizeOffers from '../SizeOffers.vue';

/** A pair being taken in, what came of it, and the offer to keep its text as large to the eye. */
const project = useProject();
const pairing = usePairing();
</script>

<template>
  <ProgressLine
    v-if="pairing.taking"
    class="notice"
    :done="project.progress.taking?.done ?? 0"
    :of="project.progress.taking?.of ?? 1"
    stoppable
    @stop="pairing.taking?.abort()"
    >Taking the pair in …</ProgressLine
  >
  <p v-if="pairing.message" class="notice mark-text" role="alert">{{ pairing.message }}</p>
  <div v-if="pairing.taken" class="notice" role="status">
    <p>
      Seated: {{ pairing.taken.names || 'nothing new' }}.
      <template v-if="pairing.taken.changes.length"
        >Weights that it has not were given the nearest:
        <template v-for="(change, i) in pairing.taken.changes" :key="change.style"
          >{{ i > 0 ? ', ' : '' }}{{ project.document?.styles[change.style]?.name }}
          {{ change.from }} → {{ change.to }}</template
        >.</template
      >
      <DoButton @click="pairing.taken = null">Close</DoButton>
    </p>
  </div>
  <SizeOffers />
</template>

<style scoped>
.notice {
  padding: 0 20px 10px;
}
.notice button {
  min-height: 24px;
  margin-left: 8px;
}
</style>
