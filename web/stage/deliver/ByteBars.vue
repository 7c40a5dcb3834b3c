<script setup lang="ts">
import { byteBars as say } from './words';
import { scaleLinear } from 'd3-scale';
import { computed } from 'vue';
import { kilobytes } from '../../control/figures';
import type { ByteGroup } from './fontsView';

/** Bytes of groups of files, one bar each, and all together against a budget. */
const props = defineProps<{ groups: readonly ByteGroup[]; budget: number | null }>();

const known = computed(() => props.groups.map(({ bytes }) => bytes ?? 0));
const total = computed(() =>
  props.groups.some(({ bytes }) => bytes === null)
    ? null
    : known.value.reduce((sum, bytes) => sum + bytes, 0),
);
const over = computed(() =>
  props.budget !== null && total.value !== null ? total.value - props.budget : 0,
);
/** Bytes in percent of the room. */
const room = computed(() =>
  scaleLinear([0, Math.max(1, total.value ?? 0, props.budget ?? 0)], [0, 100]),
);
/** Where each group begins in the whole. */
const begins = computed(() => {
  let sum = 0;
  return known.value.map((bytes) => {
    sum += bytes;
    return sum - bytes;
  });
});
</script>

<template>
  <table class="bars">
    <caption class="visually-hidden">
      {{
        say.bytesFontFiles
      }}
    </caption>
    <colgroup>
      <col class="name" />
      <col />
      <col class="size" />
    </colgroup>
    <tbody>
      <tr class="all">
        <th scope="row">{{ say.allFontFiles }}</th>
        <td>
          <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
            <rect
              v-for="(bytes, i) in known"
              :key="i"
              :x="room(begins[i] ?? 0)"
              :width="room(bytes)"
              y="1"
              height="10"
              class="part"
            />
            <line v-if="budget !== null" :x1="room(budget)" :x2="room(budget)" y1="0" y2="12" />
          </svg>
        </td>
        <td class="figure">{{ kilobytes(total) }}</td>
      </tr>
      <tr v-for="(group, i) in groups" :key="group.name">
        <th scope="row">{{ group.name }}</th>
        <td>
          <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
            <rect
              :x="room(begins[i] ?? 0)"
              :width="room(group.bytes ?? 0)"
              y="3"
              height="6"
              class="one"
            />
          </svg>
        </td>
        <td class="figure">{{ kilobytes(group.bytes) }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="budget !== null && total !== null" role="status" :class="{ 'mark-text': over > 0 }">
    {{
      over > 0
        ? say.overBudget(kilobytes(over), kilobytes(budget))
        : say.underBudget(kilobytes(-over), kilobytes(budget))
    }}
  </p>
</template>

<style scoped>
.bars {
  width: 100%;
  table-layout: fixed;
  border-collapse: collapse;
}
col.name {
  width: 38%;
}
col.size {
  width: 84px;
}
th {
  padding: 3px 12px 3px 0;
  font-size: 12px;
  font-weight: 400;
  text-align: left;
}
td.figure {
  font-size: 12px;
  text-align: right;
}
.all th,
.all .figure {
  font-weight: 650;
}
tr + tr {
  border-top: 1px solid var(--rule);
}
svg {
  display: block;
  width: 100%;
  height: 12px;
}
.part {
  fill: var(--web);
  stroke: var(--sheet);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
.one {
  fill: var(--web);
}
line {
  stroke: var(--ink);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
</style>
