<script setup lang="ts">
import { useLibrary } from '../../store/library';

/** How far the library has been measured, while that goes on or has stopped short. */
const library = useLibrary();
</script>

<template>
  <p v-if="library.measuring.state === 'measuring'" class="line small" role="status">
    <progress :value="library.measuring.done" :max="library.measuring.of || 1" />
    Measuring {{ library.measuring.done }} of {{ library.measuring.of }}
    <button type="button" class="plain again" @click="library.stop()">Stop</button>
  </p>
  <p
    v-else-if="library.measuring.state === 'stopped' || library.measuring.state === 'failed'"
    class="line small"
    role="status"
  >
    {{
      library.measuring.state === 'stopped'
        ? 'Measuring was stopped'
        : 'Measuring ended, since the foundry does not answer'
    }}
    at {{ library.measuring.done }} of {{ library.measuring.of }} families; the others show without
    figures.
    <button type="button" class="plain again" @click="library.goOn()">Go on</button>
  </p>
</template>

<style scoped>
progress {
  width: 80px;
  height: 6px;
  accent-color: var(--verdigris);
}
button {
  min-height: 24px;
}
</style>
