<script setup lang="ts">
import { lookAlikes as say } from './words';
import type { FaceMeasures } from '@lettera/core/measure';
import { lookAlikes, spreadOf } from '@lettera/core/pairing';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import type { LineUpRow } from '../../store/rows/rows';
import RowInFace from '../../proof/RowInFace.vue';

/** The families that look most like a face, and what differs. */
const props = defineProps<{
  /** Of the face; nothing while they are not known. */
  measures: FaceMeasures | null | undefined;
  rows: readonly LineUpRow[];
  /** Key of the row that is the face's own. */
  own?: string | undefined;
}>();
defineEmits<{ show: [row: LineUpRow] }>();

const MOST = 5;

const alike = computed(() => {
  if (!props.measures) return [];
  const measured = props.rows.flatMap((row) =>
    row.measures ? [{ key: row, measures: row.measures.regular }] : [],
  );
  const spread = spreadOf(measured.map(({ measures }) => measures));
  const others = measured.filter(({ key }) => key.key !== props.own && !key.standIn);
  return lookAlikes(props.measures, others, spread, MOST);
});
</script>

<template>
  <section>
    <h3>{{ say.moreLike }}</h3>
    <p v-if="alike.length === 0" class="small quiet">
      {{ say.noOtherFamilyBeen }}
    </p>
    <ul>
      <li v-for="{ key: other, differences } in alike" :key="other.key">
        <DoButton class="name" @click="$emit('show', other)">
          <RowInFace :row="other" />
        </DoButton>
        <span class="small">{{
          differences.length ? differences.slice(0, 3).join(', ') : say.noDifferenceBeSeen
        }}</span>
        <span class="small quiet">{{ other.caseKey ? say.inCase : other.licence }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(120px, 200px) minmax(0, 1fr) auto;
  gap: 12px;
  align-items: baseline;
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  font-size: 19px;
  text-decoration: none;
}
</style>
