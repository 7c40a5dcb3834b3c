<script setup lang="ts">
import { fitnessWord } from '@lettera/core/measure';
import { computed, ref, watch } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { kilobytes } from '../../control/figures';
import type { LineUpRow } from '../../store/rows/rows';
import MeasureCell from './MeasureCell.vue';
import { rowFont, useSpecimenFont } from './specimenFonts';
import WeightAxis from './WeightAxis.vue';

const props = defineProps<{
  row: LineUpRow;
  words: string;
  /** Whether the words run over several lines. */
  running: boolean;
  size: number;
  ground: 'room' | 'light' | 'dark';
  equal: 'size' | 'xHeight';
  open: boolean;
  shortlisted: boolean;
}>();
defineEmits<{ toggle: []; shortlist: [] }>();

/** The x-height that faces are brought to: at it, the size is the one chosen. */
const COMMON_X_HEIGHT = 0.5;

const tried = ref<number | null>(null);
const { state, again, haveAll } = useSpecimenFont(props.row.library, () => props.words);
const font = rowFont(props.row);

watch(
  () => props.open && state.value === 'shown',
  (wanted) => {
    if (wanted) haveAll();
  },
  { immediate: true },
);

const shownSize = computed(() => {
  const xHeight = props.row.measures?.regular.xHeight;
  return props.equal === 'xHeight' && xHeight
    ? (props.size * COMMON_X_HEIGHT) / xHeight
    : props.size;
});

const italicWord = computed(() =>
  props.row.italic ? (props.row.measures?.italic ?? 'yes') : 'none',
);
const fitWord = computed(() => (props.row.fitness ? fitnessWord(props.row.fitness) : ''));
</script>

<template>
  <div class="family" :class="{ open }" :data-row="row.key">
    <div class="facts line-up-columns">
      <div class="who">
        <button
          type="button"
          class="plain flag"
          :aria-pressed="shortlisted"
          :aria-label="`${row.name} on the shortlist`"
          :title="shortlisted ? 'On the shortlist (k)' : 'Put on the shortlist (k)'"
          @click="$emit('shortlist')"
        >
          <svg viewBox="0 0 12 16" width="12" height="16" aria-hidden="true">
            <path d="M1.5 3.5h6l3 3v7h-9z" />
          </svg>
        </button>
        <button
          type="button"
          class="plain row"
          :aria-expanded="open"
          :title="row.name"
          @click="$emit('toggle')"
        >
          <bdi class="name">{{ row.name }}</bdi>
          <span class="about"
            >{{ row.class
            }}<template v-if="row.disputed"> claimed, {{ row.measuredClass }} drawn</template
            ><template v-if="fitWord"> · {{ fitWord }}</template
            ><span v-if="row.standIn" class="stands"> · by reference</span
            ><span v-else-if="row.caseKey" class="taken"> · in the case</span></span
          >
        </button>
      </div>
      <MeasureCell measure="xHeight" :measures="row.measures" />
      <MeasureCell measure="width" :measures="row.measures" />
      <MeasureCell measure="contrast" :measures="row.measures" />
      <WeightAxis
        v-model="tried"
        :weights="row.weights"
        :variable="row.variable"
        :name="row.name"
        @pointerenter="haveAll"
        @focus="haveAll"
      />
      <span class="quiet">{{ italicWord }}</span>
      <span class="quiet figure">{{ row.measures ? row.measures.languages.length : '…' }}</span>
      <span class="figure">{{ kilobytes(row.bytes) }}</span>
    </div>
    <p v-if="state === 'failed'" class="failed">
      The foundry did not send this face.
      <DoButton @click="again">Try again</DoButton>
    </p>
    <!-- A second way to open the row, for the pointer; the name is the one for the keyboard. -->
    <div
      v-else
      class="specimen"
      :class="[state, ground, { running }]"
      :style="{
        fontFamily: state === 'shown' ? font : undefined,
        fontSize: `${shownSize.toFixed(2)}px`,
        fontWeight: tried ?? 400,
      }"
      dir="auto"
      @click="$emit('toggle')"
    >
      <span class="whole-lines" :class="{ two: !running }">{{ words }}</span>
    </div>
    <p v-if="row.standIn" class="stand-in small">
      Served elsewhere and not loaded here: shown in {{ row.standIn }}, which stands in for it.
    </p>
    <slot v-if="open" />
  </div>
</template>

<style scoped>
.family {
  border-bottom: 1px solid var(--rule);
}
.family.open {
  background: var(--touched);
}
.facts {
  display: grid;
  gap: 10px;
  align-items: center;
  padding: 4px 20px 0 8px;
  font-size: 12px;
}
.who {
  display: flex;
  min-width: 0;
}
.flag {
  flex: none;
  width: 24px;
  height: 32px;
  text-align: center;
}
.flag path {
  fill: none;
  stroke: var(--rule);
}
.flag:hover path,
.flag:focus-visible path {
  stroke: var(--ink-2);
}
.flag[aria-pressed='true'] path {
  fill: var(--verdigris);
  stroke: var(--verdigris);
}
.row {
  flex: 1;
  min-width: 0;
}
.row:hover .name {
  text-decoration: underline;
  text-decoration-color: var(--verdigris);
  text-underline-offset: 3px;
}
.name,
.about {
  display: block;
}
.name {
  font-size: 13px;
  line-height: 17px;
  font-weight: 550;
}
.about {
  font-size: 11px;
  line-height: 14px;
  color: var(--ink-2);
}
.taken {
  color: var(--verdigris);
}
.stands {
  color: var(--local);
}
.specimen {
  min-height: 24px;
  padding: 0 20px 6px 32px;
  line-height: 1.25;
  overflow: hidden;
  overflow-wrap: anywhere;
  cursor: pointer;
  transition: opacity var(--motion);
}
.two {
  --lines: 2;
}
.specimen.running .whole-lines {
  max-height: none;
}
.specimen.running {
  padding-right: max(20px, calc(100% - 75ch));
  line-height: 1.45;
}
.specimen.light {
  background: #fbfcfb;
  color: #131a18;
}
.specimen.dark {
  background: #141817;
  color: #e9eeec;
}
.specimen.loading {
  opacity: 0;
}
.failed {
  padding: 4px 20px 10px 32px;
  color: var(--mark);
}
.stand-in {
  padding: 0 20px 8px 32px;
  color: var(--local);
}
</style>
