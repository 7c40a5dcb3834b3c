<script setup lang="ts">
import { computed } from 'vue';
import type { FamilyMeasures } from '@lettera/core/measure';
import { figureOf, measureOf, type MeasureKey } from './measures';

/** A measure of a family as a figure, with a small drawing of it where one says more. */
const props = defineProps<{ measure: MeasureKey; measures: FamilyMeasures | null | undefined }>();

/** Drawing units in an em, and in a stroke of one stem. */
const EM = 15;
const BASELINE = 13.5;

const value = computed(() =>
  props.measures ? measureOf(props.measure).value(props.measures) : null,
);
const regular = computed(() => props.measures?.regular);
const up = (height: number | null | undefined): number => BASELINE - (height ?? 0) * EM;
</script>

<template>
  <span class="cell">
    <svg
      v-if="regular && value !== null"
      viewBox="0 0 16 16"
      width="16"
      height="16"
      aria-hidden="true"
    >
      <template v-if="measure === 'xHeight'">
        <line x1="1" x2="15" :y1="BASELINE" :y2="BASELINE" class="rule" />
        <line x1="1" x2="15" :y1="up(regular.capHeight)" :y2="up(regular.capHeight)" class="rule" />
        <rect x="5" width="6" :y="up(value)" :height="BASELINE - up(value)" class="ink" />
      </template>
      <template v-else-if="measure === 'width'">
        <line x1="0.5" x2="0.5" y1="4" y2="12" class="rule" />
        <rect x="1" y="6" :width="Math.min(15, value * 10)" height="4" class="ink" />
      </template>
      <template v-else-if="measure === 'contrast'">
        <rect x="2" y="2" width="6" height="12" class="ink" />
        <rect x="11" y="2" :width="Math.max(0.5, 6 / value)" height="12" class="ink" />
      </template>
    </svg>
    <span class="figure">{{
      measures === undefined ? '…' : figureOf(measureOf(measure), value)
    }}</span>
  </span>
</template>

<style scoped>
.cell {
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 5px;
}
.figure {
  min-width: 28px;
}
.rule {
  stroke: var(--ink-2);
  stroke-width: 0.75;
}
.ink {
  fill: var(--ink-2);
}
</style>
