<script setup lang="ts">
import { STARTING_POINTS } from '@lettera/core/pairing';
import { computed } from 'vue';
import { useCopy } from '../../store/copy';
import DoButton from '../../control/DoButton.vue';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { useFamilies } from '../../store/families';
import { usePairing } from '../../store/pairing';
import FoundryAsk from '../faces/FoundryAsk.vue';
import NameInFace from '../faces/NameInFace.vue';

/** Twelve pairs to begin with, each with what it is good for. Pointing shows one on the project's own page. */
const project = useProject();
const library = useLibrary();
const families = useFamilies();
const pairing = usePairing();
const copy = useCopy();

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
    <p>The starting points are pairs of the foundry’s families.</p>
    <FoundryAsk />
  </div>
  <p v-else-if="library.state === 'failed'" class="ask" role="alert">
    {{ library.message }} <DoButton label="Try again" first @click="library.load()" />
  </p>
  <p v-else-if="points.length === 0" class="ask quiet" role="status">
    Fetching the foundry’s list …
  </p>
  <ul v-else class="points" aria-label="Starting points">
    <li
      v-for="{ pair, heading, text, goodFor } in points"
      :key="pair.heading + pair.text"
      @mouseenter="pairing.look(pair)"
      @mouseleave="pairing.look(null)"
      @focusin="pairing.look(pair)"
      @focusout="pairing.look(null)"
    >
      <p class="heading"><NameInFace :row="heading" :words="heading.name" /></p>
      <p class="text"><NameInFace :row="text" :words="copy.paragraph" /></p>
      <p class="small">{{ goodFor }}</p>
      <p class="line foot">
        <DoButton
          label="Take it"
          :aria-label="`Take it: ${heading.name} over ${text.name}`"
          @click="pairing.take(pair)"
        />
        <span class="small quiet">{{ heading.name }} over {{ text.name }}</span>
      </p>
    </li>
  </ul>
</template>

<style scoped>
.points {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0 24px;
  padding: 0 20px 12px;
}
li {
  display: grid;
  grid-template-rows: auto auto 1fr auto;
  gap: 2px;
  min-width: 0;
  padding: 8px 0 10px;
  border-bottom: 1px solid var(--rule);
}
li:hover,
li:focus-within {
  background: var(--touched);
}
.heading {
  font-size: 24px;
  line-height: 1.15;
}
/* Two whole lines: it ends at a word. */
.text {
  max-height: 44px;
  overflow: hidden;
  font-size: 15px;
  line-height: 22px;
}
.foot {
  padding-top: 4px;
}
.ask {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 8px 20px;
}
</style>
