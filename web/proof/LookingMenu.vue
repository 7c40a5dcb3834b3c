<script setup lang="ts">
import ChoiceSet from '../control/ChoiceSet.vue';
import DoButton from '../control/DoButton.vue';
import FoldAway from '../control/FoldAway.vue';
import { useProof, type Beside, type Eye } from '../store/proof';

/** Other ways to look at the page: beside itself, zoomed, with larger text, from afar, on paper. */
const proof = useProof();

const BESIDE: { value: Beside; label: string }[] = [
  { value: 'alone', label: 'Alone' },
  { value: 'phone', label: 'Phone' },
  { value: 'desktop', label: 'Desktop' },
  { value: 'fonts', label: 'Other fonts' },
  { value: 'ground', label: 'Other ground' },
  { value: 'opened', label: 'As opened' },
];
const ZOOMS = [1, 1.5, 2, 3, 4].map((value) => ({ value, label: `${value * 100} %` }));
const TEXT_SIZES = [1, 2].map((value) => ({ value, label: `${value * 100} %` }));
const EYES: { value: Eye; label: string }[] = [
  { value: 'sharp', label: 'As it is' },
  { value: 'blurred', label: 'Blurred' },
  { value: 'afar', label: 'From afar' },
];

const print = () => proof.shownPage?.defaultView?.print();
</script>

<template>
  <FoldAway label="Looking">
    <div class="ways">
      <span>Beside it</span>
      <ChoiceSet v-model="proof.beside" label="Beside it" :choices="BESIDE" />
      <span>Zoomed to</span>
      <ChoiceSet v-model="proof.zoom" label="Zoomed to" :choices="ZOOMS" />
      <span>Visitor’s text at</span>
      <ChoiceSet v-model="proof.textSize" label="Visitor’s text at" :choices="TEXT_SIZES" />
      <span>Seen</span>
      <ChoiceSet v-model="proof.eye" label="Seen" :choices="EYES" />
      <span>On paper</span>
      <DoButton
        label="Print this page"
        :why="proof.shownPage ? undefined : 'No page is shown'"
        @click="print"
      />
    </div>
  </FoldAway>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 8px 12px;
  align-items: center;
}
.ways button {
  justify-self: start;
}
</style>
