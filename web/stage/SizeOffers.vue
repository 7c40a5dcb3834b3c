<script setup lang="ts">
import DoButton from '../control/DoButton.vue';
import { percent } from '../control/figures';
import { useApparentSize } from '../store/apparentSize';

/** Voices whose text looks another size since their family changed: what is seen, and the offer to mend it. */
const apparent = useApparentSize();
</script>

<template>
  <div v-if="apparent.offers.length" class="offers" role="status">
    <p v-for="offer in apparent.offers" :key="offer.voice">
      {{ offer.voiceName }} looks {{ percent(Math.abs(1 / offer.ratio - 1)) }}
      {{ offer.ratio > 1 ? 'smaller' : 'larger' }} in {{ offer.to }} than it did in
      {{ offer.from }} at the same size, by their x-heights.
      <DoButton
        @mouseenter="apparent.look(offer)"
        @mouseleave="apparent.look(null)"
        @focus="apparent.look(offer)"
        @blur="apparent.look(null)"
        @click="apparent.take(offer)"
      >
        Keep the apparent size: {{ percent(offer.ratio, 1) }} of each size
      </DoButton>
      <DoButton @click="apparent.dismiss(offer.voice)"> Leave it </DoButton>
    </p>
  </div>
</template>

<style scoped>
.offers {
  padding: 0 var(--edge) 10px;
}
button {
  min-height: 24px;
  margin-left: 8px;
}
</style>
