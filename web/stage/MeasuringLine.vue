<script setup lang="ts">
import { measuringLine as say } from './words';
import DoButton from '../control/DoButton.vue';
import ProgressLine from '../control/ProgressLine.vue';
import { useLibrary } from '../store/library';

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
    >{{ say.measuring(library.measuring.done, library.measuring.of) }}</ProgressLine
  >
  <p
    v-else-if="library.measuring.state === 'stopped' || library.measuring.state === 'failed'"
    class="line small"
    role="status"
  >
    {{
      say.atFamiliesOthersShow(
        library.measuring.state === 'stopped'
          ? say.measuringWasStopped
          : say.measuringEndedSinceFoundry,
        library.measuring.done,
        library.measuring.of,
      )
    }}
    <DoButton @click="library.goOn()">{{ say.goOn }}</DoButton>
  </p>
</template>
