<script setup lang="ts">
import { sizeOffers as say } from './words';
import DoButton from '../control/DoButton.vue';
import { percent } from '../control/figures';
import { useApparentSize } from '../store/apparentSize';

/** Voices whose text looks another size since their family changed: what is seen, and the offer to mend it. */
const apparent = useApparentSize();
</script>

<template>
  <div v-if="apparent.offers.length" class="offers" role="status">
    <p v-for="offer in apparent.offers" :key="offer.voice">
      {{
        say.looksThanDidAt(
          offer.voiceName,
          percent(Math.abs(1 / offer.ratio - 1)),
          offer.ratio > 1 ? 'smaller' : 'larger',
          offer.to,
          offer.from,
        )
      }}
      <DoButton
        @mouseenter="apparent.look(offer)"
        @mouseleave="apparent.look(null)"
        @focus="apparent.look(offer)"
        @blur="apparent.look(null)"
        @click="apparent.take(offer)"
      >
        {{ say.keepApparentSizeEach(percent(offer.ratio, 1)) }}
      </DoButton>
      <DoButton @click="apparent.dismiss(offer.voice)"> {{ say.leave }} </DoButton>
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
