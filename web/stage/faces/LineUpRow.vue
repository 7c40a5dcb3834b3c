<script setup lang="ts">
import { lineUpRow as say } from './words';
import { fitnessWord } from '@lettera/core/measure';
import { computed, ref, useTemplateRef, watch } from 'vue';
import RowInFace from '../../proof/RowInFace.vue';
import type { LineUpRow } from '../../store/rows/rows';
import MeasureCell from './MeasureCell.vue';
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
const specimen = useTemplateRef('specimen');
const haveAll = (): void => specimen.value?.haveAll();

watch(
  () => props.open && specimen.value?.shown,
  (wanted) => {
    if (wanted) haveAll();
  },
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
      <button
        type="button"
        class="plain row"
        :aria-expanded="open"
        :title="`${row.name}, ${row.class}${fitWord ? `: ${fitWord}` : ''}`"
        @click="$emit('toggle')"
      >
        <bdi class="name" :class="{ taken: row.caseKey }">{{ row.name }}</bdi>
        <span class="about"
          >{{ row.class
          }}<template v-if="row.disputed">{{ say.drawn(row.measuredClass ?? '') }}</template
          ><span v-if="row.standIn" class="stands"> {{ say.byReference }}</span
          ><span v-else-if="row.caseKey" class="taken"> {{ say.inCase }}</span></span
        >
      </button>
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
      <span>{{ italicWord }}</span>
      <span class="figure">{{ row.measures ? row.measures.languages.length : '…' }}</span>
      <span class="figure">{{ (row.bytes / 1000).toFixed(1) }}</span>
    </div>
    <button
      type="button"
      class="plain flag"
      :aria-pressed="shortlisted"
      :aria-label="say.onShortlist(row.name)"
      :title="shortlisted ? say.onShortlistK : say.putOnShortlistK"
      @click="$emit('shortlist')"
    >
      <svg viewBox="0 0 12 16" width="12" height="16" aria-hidden="true">
        <path d="M2.5 2.5h7v10l-3.5-3-3.5 3z" />
      </svg>
    </button>
    <!-- A second way to open the row, for the pointer; the name is the one for the keyboard. -->
    <div
      class="specimen"
      :class="[ground, { running, shown: specimen?.shown }]"
      :style="{ fontSize: `${shownSize.toFixed(2)}px` }"
      dir="auto"
      @click="$emit('toggle')"
    >
      <div class="whole-lines" :class="{ two: !running }">
        <RowInFace ref="specimen" :row="row" :words="words" :weight="tried ?? 400" />
      </div>
    </div>
    <p v-if="row.standIn" class="stand-in small">
      {{ say.servedElsewhereNotLoaded(row.standIn) }}
    </p>
    <slot v-if="open" />
  </div>
</template>

<style scoped>
.family {
  position: relative;
  border-bottom: 1px solid var(--rule);
}
/* An opened row is its whole family, which is looked at on the sheet. */
.family:not(.open):hover {
  --ink-3: var(--ink-2);
  background: var(--touched);
}
.facts {
  display: grid;
  align-items: center;
  padding: 8px var(--edge) 0;
  font-size: var(--size-beside);
}
.flag {
  position: absolute;
  top: 5px;
  left: 0;
  width: 24px;
  height: 26px;
  text-align: center;
}
.flag path {
  fill: none;
  stroke: none;
}
.family:hover .flag path,
.flag:focus-visible path {
  stroke: var(--ink-3);
}
.flag[aria-pressed='true'] path {
  fill: var(--verdigris);
  stroke: var(--verdigris);
}
/* One line: what has no room beside the name is left to the opened row. */
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: baseline;
  height: 24px;
  overflow: hidden;
  line-height: 24px;
}
.row:hover .name {
  text-decoration: underline;
  text-decoration-color: var(--verdigris);
  text-underline-offset: 3px;
}
.name {
  font-size: var(--size-read);
  font-weight: 550;
}
.about {
  color: var(--ink-2);
}
.taken {
  color: var(--verdigris);
}
.stands {
  color: var(--local);
}
.specimen {
  padding: 0 var(--edge) 8px;
  line-height: 1.25;
  overflow: hidden;
  overflow-wrap: anywhere;
  cursor: pointer;
}
.two {
  --lines: 2;
}
.specimen.running .whole-lines {
  max-height: none;
}
.specimen.running {
  padding-right: max(var(--edge), calc(100% - 75ch));
  line-height: 1.45;
}
.specimen.light {
  background: #fcfdfc;
  color: #131a18;
}
.specimen.dark {
  background: #141817;
  color: #e9eeec;
}
.stand-in {
  padding: 0 var(--edge) 8px;
  color: var(--local);
}
</style>
