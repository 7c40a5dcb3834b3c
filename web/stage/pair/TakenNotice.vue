<script setup lang="ts">
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import SizeOffers from '../SizeOffers.vue';

/** A pair being taken in, what came of it, and the offer to keep its text as large to the eye. */
const project = useProject();
const pairing = usePairing();
</script>

<template>
  <p v-if="pairing.taking" class="notice line" role="status">
    <progress :value="project.progress.taking?.done ?? 0" :max="project.progress.taking?.of ?? 1" />
    Taking the pair in …
    <button type="button" class="plain again" @click="pairing.taking?.abort()">Stop</button>
  </p>
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
      <button type="button" class="plain again" @click="pairing.taken = null">Close</button>
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
progress {
  width: 120px;
  height: 6px;
  accent-color: var(--verdigris);
}
</style>
