<script setup lang="ts">
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { useLibrary } from '../../store/library';

/** How far the library has been measured, while that goes on or has stopped short. */
const library = useLibrary();
</script>

<template>
  <ProgressLine
    v-if="library.measuring.state === 'measuring'"
    :done="library.measuring.done"
    :of="library.measuring.of"
    stoppable
    @stop="library.stop()"
    >Measuring {{ library.measuring.done }} of {{ library.measuring.of }}</ProgressLine
  >
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
    <DoButton @click="library.goOn()">Go on</DoButton>
  </p>
</template>
