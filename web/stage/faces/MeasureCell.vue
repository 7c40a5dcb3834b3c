<script setup lang="ts">
import { computed } from 'vue';
import type { FamilyMeasures } from '@lettera/core/measure';
import { figureOf, measureOf, type MeasureKey } from '../../store/rows/measures';

/** A measure of a family as a figure, with a small drawing of it where one says more. */
const props = defineProps<{ measure: MeasureKey; measures: FamilyMeasures | null | undefined }>();

/** Drawing units in an em, and in a stroke of one stem. */
const EM = 15;
const BASELINE = 13.5;

const value = computed(() =>
  props.measures ? measureOf(props.measure).value(props.measures) : null,
);

/** A small drawing of a measure: its lines, and what is filled. */
const drawing = computed((): { rule: string; ink: string } => {
  const size = value.value ?? 0;
  const up = (height: number): number => BASELINE - height * EM;
  switch (props.measure) {
    case 'xHeight': {
      const capitals = up(props.measures?.regular.capHeight ?? 0);
      return {
        rule: `M1 ${BASELINE}H15M1 ${capitals}H15`,
        ink: `M5 ${BASELINE}V${up(size)}h6V${BASELINE}z`,
      };
    }
    case 'width':
      return { rule: 'M0.5 4v8', ink: `M1 6h${Math.min(15, size * 10)}v4H1z` };
    case 'contrast':
      return { rule: '', ink: `M2 2h6v12H2zM11 2h${Math.max(0.5, 6 / size)}v12H11z` };
    default:
      return { rule: '', ink: '' };
  }
});
</script>

<template>
  <span class="cell">
    <svg v-if="value !== null" viewBox="0 0 16 16" width="16" height="16" aria-hidden="true">
      <path :d="drawing.rule" class="rule" />
      <path :d="drawing.ink" class="ink" />
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
