<script setup lang="ts">
import { useScaleTrial } from '../../store/scaleTrial';

/** What was wrong with a change that was not taken, and the way to make it knowingly where there is one. */
const trial = useScaleTrial();
</script>

<template>
  <p v-if="trial.refusal" class="refused" role="alert">
    {{ trial.refusal.message }}
    <button
      v-if="trial.refusal.knowingly"
      type="button"
      class="plain again"
      @click="trial.change(trial.refusal.knowingly)"
    >
      Let them cross all the same
    </button>
    <button type="button" class="plain again" @click="trial.refusal = null">Leave it</button>
  </p>
</template>

<style scoped>
.refused {
  padding: 0 20px 8px;
  color: var(--mark);
}
.again {
  min-height: 24px;
  margin-left: 8px;
}
</style>
