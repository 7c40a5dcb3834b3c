<script setup lang="ts">
import Button from 'primevue/button';
import { onBeforeUnmount, onMounted } from 'vue';
import { useScaleTrial } from '../../store/scaleTrial';

/** Trying a scale on the proof: kept as one change, or left without a trace. What was refused is said. */
const trial = useScaleTrial();

const TAKES_KEYS = 'button, a, input, textarea, select, [role="combobox"], [role="slider"]';

function onKey(event: KeyboardEvent): void {
  if (!trial.trying || event.defaultPrevented) return;
  const target = event.target as Element | null;
  if (event.key === 'Escape' && !target?.closest?.('input, textarea')) {
    event.preventDefault();
    trial.leave();
  }
  if (event.key === 'Enter' && !target?.closest?.(TAKES_KEYS)) trial.take();
}
onMounted(() => window.addEventListener('keydown', onKey, true));
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey, true);
  trial.leave();
});
</script>

<template>
  <div v-if="trial.trying" class="bar line wrap" role="status">
    <span>
      {{
        trial.tried.length
          ? 'What you have changed shows on the proof only.'
          : 'Trying: what you change shows on the proof and is not kept.'
      }}
    </span>
    <Button v-if="trial.tried.length" size="small" label="Take it" @click="trial.take()" />
    <button type="button" class="plain again" @click="trial.leave()">Leave it as it was</button>
  </div>
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
.bar {
  margin: 0 20px 8px;
  padding: 4px 10px;
  border-left: 3px solid var(--verdigris);
  background: var(--touched);
}
.refused {
  padding: 0 20px 8px;
  color: var(--mark);
}
.again {
  min-height: 24px;
  margin-left: 8px;
}
</style>
