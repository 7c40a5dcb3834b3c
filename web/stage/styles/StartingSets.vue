<script setup lang="ts">
import { startingSets as say } from './words';
import { STARTING_SETS, startingSetPatch, type StartingSet } from '@lettera/core/style';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import { useLayer } from '../../store/layer';
import { useProject } from '../../store/project';

/** Whole sets of styles to begin from: shown on the proof while pointed at, taken on a click. */
const project = useProject();
const layer = useLayer('styles: starting sets');

function look(set: StartingSet | null): void {
  const { document } = project;
  layer.show(set && document ? startingSetPatch(document, set) : null);
}
function take(set: StartingSet, close: () => void): void {
  const { document } = project;
  if (document && layer.take(startingSetPatch(document, set))) close();
}
</script>

<template>
  <FoldAway v-slot="{ close }" :label="say.startingSets">
    <p class="small quiet">
      {{ say.stylesKindSitePresent }}
    </p>
    <ul>
      <li v-for="set in STARTING_SETS" :key="set.key">
        <DoButton
          :label="set.name"
          @mouseenter="look(set)"
          @mouseleave="look(null)"
          @focus="look(set)"
          @blur="look(null)"
          @click="take(set, close)"
        />
        <span class="small">{{ set.about }}</span>
      </li>
    </ul>
  </FoldAway>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 10px;
  align-items: center;
}
</style>
