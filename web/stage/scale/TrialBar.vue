<script setup lang="ts">
import Button from 'primevue/button';
import { onBeforeUnmount, onMounted } from 'vue';
import { useScaleTrial } from '../../store/scaleTrial';

/** Trying a scale on the proof: kept as one change, or left without a trace. */
const trial = useScaleTrial();

const TAKES_KEYS = 'button, a, input, textarea, select, [role="combobox"], [role="slider"]';

function onKey(event: KeyboardEvent): void {
  if (!trial.trying || event.defaultPrevented) return;
  const target = event.target as Element | null;
  if (event.key === 'Escape' && !target?.closest?.('input, textarea')) trial.leave();
  if (event.key === 'Enter' && !target?.closest?.(TAKES_KEYS)) trial.take();
}
onMounted(() => window.addEventListener('keydown', onKey));
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey);
  trial.leave();
});
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
