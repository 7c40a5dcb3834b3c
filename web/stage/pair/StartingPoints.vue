<script setup lang="ts">
import { STARTING_POINTS } from '@lettera/core/pairing';
import { computed } from 'vue';
import { useCopy } from '../../store/copy';
import { useFamilies } from '../../store/families';
import { usePairing } from '../../store/pairing';
import NameInFace from '../faces/NameInFace.vue';

/** Twelve pairs to begin with, each with what it is good for. Pointing shows one on the project's own page. */
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
  <ul class="points" aria-label="Starting points">
    <li v-for="{ pair, heading, text, goodFor } in points" :key="pair.heading + pair.text">
      <button
        type="button"
        class="plain"
        @mouseenter="pairing.look(pair)"
        @mouseleave="pairing.look(null)"
        @focus="pairing.look(pair)"
        @blur="pairing.look(null)"
        @click="pairing.take(pair)"
      >
        <span class="heading"><NameInFace :row="heading" :words="heading.name" /></span>
        <span class="text"><NameInFace :row="text" :words="copy.paragraph.slice(0, 70)" /></span>
        <span class="small">{{ heading.name }} over {{ text.name }}. {{ goodFor }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.points {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  padding: 0 20px 12px;
}
li {
  min-width: 0;
  border-top: 1px solid var(--rule);
}
button {
  display: grid;
  gap: 2px;
  align-content: start;
  width: 100%;
  height: 100%;
  padding: 8px 12px 10px 0;
}
button:hover {
  background: var(--touched);
}
.heading {
  overflow: hidden;
  font-size: 22px;
  line-height: 1.2;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.text {
  overflow: hidden;
  font-size: 15px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.small {
  color: var(--ink-2);
}
</style>
