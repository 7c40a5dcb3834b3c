<script setup lang="ts">
import { startingPoints as say } from './words';
import { STARTING_POINTS } from '@lettera/core/pairing';
import { computed } from 'vue';
import { useContenders } from '../../store/contenders';
import { useCopy } from '../../store/copy';
import DoButton from '../../control/DoButton.vue';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { useFamilies } from '../../store/families';
import { usePairing } from '../../store/pairing';
import FoundryAsk from '../families/FoundryAsk.vue';
import RowInFace from '../../proof/RowInFace.vue';

/** Twelve pairs to begin with, each with what it is good for. Pointing shows one on the project's own page. */
const project = useProject();
const library = useLibrary();
const families = useFamilies();
const pairing = usePairing();
const copy = useCopy();
const contenders = useContenders();
const HEADING = 640;

const points = computed(() =>
  STARTING_POINTS.flatMap(({ heading, text, goodFor }) => {
    const pair = { heading: `library/${heading}`, text: `library/${text}` };
    const rows = {
      heading: families.byKey.get(pair.heading),
      text: families.byKey.get(pair.text),
    };
    return rows.heading && rows.text
      ? [{ pair, heading: rows.heading, text: rows.text, goodFor }]
      : [];
  }),
);
</script>

<template>
  <div v-if="!project.stored?.foundry" class="ask">
    <p>{{ say.startingPointsPairsFoundrys }}</p>
    <FoundryAsk />
  </div>
  <p v-else-if="library.state === 'failed'" class="ask" role="alert">
    {{ library.message }} <DoButton :label="say.tryAgain" first @click="library.load()" />
  </p>
  <p v-else-if="points.length === 0" class="ask quiet" role="status">
    {{ say.fetchingFoundrysList }}
  </p>
  <ul v-else class="points" :aria-label="say.startingPoints">
    <li
      v-for="{ pair, heading, text, goodFor } in points"
      :key="pair.heading + pair.text"
      @mouseenter="pairing.look(pair)"
      @mouseleave="pairing.look(null)"
      @focusin="pairing.look(pair)"
      @focusout="pairing.look(null)"
    >
      <p class="heading"><RowInFace :row="heading" :words="copy.short" :weight="HEADING" /></p>
      <p class="text"><RowInFace :row="text" :words="copy.paragraph" /></p>
      <p class="names">{{ say.over(heading.name, text.name) }}</p>
      <p class="small quiet">{{ goodFor }}</p>
      <p class="acts on-point">
        <DoButton
          first
          :label="say.use"
          :aria-label="say.useOver(heading.name, text.name)"
          @click="pairing.take(pair)"
        />
        <DoButton
          :label="say.shortlist"
          :aria-label="say.shortlistOver(heading.name, text.name)"
          @click="contenders.keep(pair)"
        />
      </p>
    </li>
  </ul>
</template>

<style scoped>
.points {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 0 24px;
  padding: 0 var(--edge) 12px;
}
li {
  display: grid;
  grid-template-rows: auto auto auto 1fr auto;
  min-width: 0;
  padding: 12px 0 10px;
  border-bottom: 1px solid var(--rule);
}
li:hover,
li:focus-within {
  --ink-3: var(--ink-2);
  background: var(--touched);
  box-shadow:
    0 0 0 0 transparent,
    -8px 0 var(--touched),
    8px 0 var(--touched);
}
.heading {
  max-height: 2lh;
  overflow: hidden;
  font-size: 22px;
  line-height: 1.18;
}
.heading :deep(.in-face),
.text :deep(.in-face) {
  display: block;
}
/* Whole lines: it ends at a word. */
.text {
  max-height: 3lh;
  margin: 4px 0 8px;
  overflow: hidden;
  font-size: 15px;
  line-height: 22px;
}
.names {
  font-weight: 550;
}
.acts {
  display: flex;
  gap: 6px;
  padding-top: 6px;
}
.ask {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 12px var(--edge);
}
</style>
