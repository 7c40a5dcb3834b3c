<script setup lang="ts">
import { faceList as say } from './words';
import { computed } from 'vue';
import type { LineUpRow } from '../../store/rows/rows';
import { pickableWeights } from '../../store/rows/picks';
import { rowFont } from '../../proof/specimenFonts';

/** Every face of the family in the words of the line-up, light to heavy. */
const props = defineProps<{ row: LineUpRow; words: string }>();

const font = rowFont(props.row);
const styles = computed(() =>
  (['normal', 'italic'] as const).flatMap((style) => {
    const weights = pickableWeights(props.row.faces.filter((face) => face.style === style));
    return weights.length > 0
      ? [{ style, name: style === 'normal' ? say.upright : say.italic, weights }]
      : [];
  }),
);
</script>

<template>
  <section v-for="{ style, name, weights } in styles" :key="style">
    <h3>{{ name }}</h3>
    <ul>
      <li v-for="weight in weights" :key="weight">
        <span class="quiet small">{{ weight }}</span>
        <span
          class="set"
          :style="{ fontFamily: font, fontWeight: weight, fontStyle: style }"
          dir="auto"
          >{{ words }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr);
  align-items: baseline;
}
.set {
  font-size: 20px;
  line-height: 1.4;
}
</style>
