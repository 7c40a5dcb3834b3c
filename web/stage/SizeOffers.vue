<script setup lang="ts">
import { percent } from '../frame/figures';
import { useApparentSize } from '../store/apparentSize';
import { useProject } from '../store/project';

/** Voices whose text looks another size since their family changed: what is seen, and the offer to mend it. */
const project = useProject();
const apparent = useApparentSize();
</script>

<template>
  <div v-if="apparent.offers.length" class="offers" role="status">
    <p v-for="offer in apparent.offers" :key="offer.voice">
      {{ offer.voiceName }} looks {{ percent(Math.abs(1 / offer.ratio - 1)) }}
      {{ offer.ratio > 1 ? 'smaller' : 'larger' }} in {{ offer.to }} than it did in
      {{ offer.from }} at the same size, by their x-heights.
      <button
        type="button"
        class="plain again"
        @mouseenter="project.preview = offer.patch"
        @mouseleave="project.preview = null"
        @focus="project.preview = offer.patch"
        @blur="project.preview = null"
        @click="apparent.take(offer)"
      >
        Keep the apparent size: {{ percent(offer.ratio, 1) }} of each size
      </button>
      <button type="button" class="plain again" @click="apparent.dismiss(offer.voice)">
        Leave it
      </button>
    </p>
  </div>
</template>

<style scoped>
.offers {
  padding: 0 20px 10px;
}
button {
  min-height: 24px;
  margin-left: 8px;
}
</style>
