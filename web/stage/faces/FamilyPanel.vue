<script setup lang="ts">
import { familyPanel as say } from './words';
import type { FamilySheet } from '@lettera/core/measure';
import { computed, ref, shallowRef, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { api } from '../../api/client';
import { useProject } from '../../store/project';
import CharacterSheet from './CharacterSheet.vue';
import FaceList from './FaceList.vue';
import FaceVerdict from './FaceVerdict.vue';
import FamilyAxes from './FamilyAxes.vue';
import InCase from './InCase.vue';
import LineSheet from './LineSheet.vue';
import { useLineUp } from '../../store/lineUp';
import type { LineUpRow } from '../../store/rows/rows';
import LookAlikes from '../families/LookAlikes.vue';
import MeasureSheet from './MeasureSheet.vue';
import TakeIn from '../families/TakeIn.vue';
import TrueAndFaked from './TrueAndFaked.vue';

/** An opened row: the whole family, what can be done with it first. */
const props = defineProps<{ row: LineUpRow; rows: readonly LineUpRow[]; words: string }>();

const project = useProject();
const lineUp = useLineUp();
const sheet = shallowRef<FamilySheet | null>(null);
const failed = ref('');

/** The faces of a family of the case: its sheet is another when they are. */
const contents = computed(() =>
  JSON.stringify(
    project.stored?.document.case[props.row.caseKey ?? '']?.faces.map(({ files }) => files) ?? [],
  ),
);

async function load(): Promise<void> {
  failed.value = '';
  const { library, caseKey } = props.row;
  try {
    sheet.value = library
      ? await api.librarySheet(project.id, library.id)
      : await api.caseSheet(project.id, caseKey ?? '');
  } catch (error) {
    failed.value = (error as Error).message;
  }
}
watch([() => props.row.key, contents], load, { immediate: true });
</script>

<template>
  <div class="panel">
    <TakeIn v-if="row.library" :family="row.library" :case-key="row.caseKey" />
    <InCase v-if="row.caseKey" :case-key="row.caseKey" :rows="rows" />
    <p v-if="failed" class="mark-text" role="alert">
      {{ failed }} <DoButton @click="load">{{ say.tryAgain }}</DoButton>
    </p>
    <p v-else-if="!sheet" class="quiet" role="status">{{ say.readingFamily }}</p>
    <template v-else>
      <FaceVerdict :row="row" :sheet="sheet" />
      <FaceList :row="row" :words="words" />
      <TrueAndFaked :row="row" :sheet="sheet" :words="words" />
      <FamilyAxes v-if="sheet.reading.axes.length" :row="row" :sheet="sheet" :words="words" />
      <MeasureSheet :sheet="sheet" />
      <LineSheet :row="row" :reading="sheet.reading" />
      <CharacterSheet :row="row" :sheet="sheet" />
      <LookAlikes
        :measures="row.measures?.regular"
        :rows="rows"
        :own="row.key"
        @show="lineUp.show($event.key)"
      />
    </template>
  </div>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 14px;
  padding: 4px var(--edge) 20px;
}
.panel :deep(section) {
  display: grid;
  gap: 6px;
  min-width: 0;
}
.panel :deep(h3) {
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}
</style>
