<script setup lang="ts">
import { faceVerdict as say } from './words';
import { embeddingRights } from '@lettera/core/font';
import { fitnessSentences, slabReadings, type FamilySheet } from '@lettera/core/measure';
import { languageOf } from '@lettera/core/script';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';

/** What a family is good for, what it covers, and what its licence allows, a sentence each. */
const props = defineProps<{ row: LineUpRow; sheet: FamilySheet }>();

const project = useProject();
const showLicence = ref(false);

const claim = computed(() => {
  const { row } = props;
  if (row.measuredClass === null) return say.claimedAs(row.class);
  return row.disputed
    ? say.claimedAsButDrawn(row.class, row.measuredClass)
    : say.claimedAsDrawnAs(row.class, row.measuredClass);
});

/** How near a face with feet comes to the limits between a slab and another serif. */
const slab = computed(() => {
  const readings = slabReadings(props.sheet.measures.regular);
  const told = readings.map(
    ({ name, value, limit, unit }) =>
      `${name} ${value.toFixed(2)} ${unit} (limit ${limit.toFixed(2)})`,
  );
  return told.length > 0 ? `${told.join(', ').replace(/^./, (first) => first.toUpperCase())}.` : '';
});

const languages = computed(() => {
  const wanted = project.document?.languages ?? [];
  const has = (tag: string) => props.sheet.measures.languages.includes(tag);
  const known = wanted.flatMap((tag) => languageOf(tag) ?? []);
  const covered = known.filter(({ tag }) => has(tag)).map(({ name }) => name);
  // What lacks is said with its fitness.
  return covered.length > 0 ? say.everyLetter(covered.join(', ')) : '';
});

const rights = computed(() => embeddingRights(props.sheet.reading.fsType));
const licence = computed(() =>
  [props.sheet.reading.copyright, props.sheet.reading.licence, props.sheet.reading.licenceUrl]
    .filter(Boolean)
    .join('\n\n'),
);
</script>

<template>
  <section>
    <p>{{ claim }} {{ slab }} {{ languages }}</p>
    <ul v-if="row.fitness">
      <li v-for="said in fitnessSentences(row.fitness)" :key="said">{{ said }}</li>
    </ul>
    <p class="small">
      {{ say.licenceFileSays(row.licence || say.notStatedBySource, rights.says) }}
      <DoButton v-if="licence" :aria-expanded="showLicence" @click="showLicence = !showLicence">
        {{ showLicence ? say.closeLicence : say.readLicenceFile }}
      </DoButton>
    </p>
    <p v-if="rights.forbidsWeb" class="mark-text">
      {{ say.fileForbidsWhatWeb }}
    </p>
    <p v-else-if="rights.forbidsSubsetting" class="mark-text">
      {{ say.fileForbidsCuttingSome }}
    </p>
    <pre v-if="showLicence" tabindex="0">{{ licence }}</pre>
  </section>
</template>

<style scoped>
p {
  max-width: 68ch;
}
pre {
  max-height: 180px;
  margin: 0;
  padding: 8px;
  overflow: auto;
  font: inherit;
  font-size: 12px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  border: 1px solid var(--rule);
}
</style>
