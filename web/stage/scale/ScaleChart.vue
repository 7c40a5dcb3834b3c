<script setup lang="ts">
import { scaleChart as say } from './words';
import type { Scale } from '@lettera/core/document';
import { computed, ref } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import { useWidth } from '../../control/useWidth';
import ChartAxes from './ChartAxes.vue';
import ChartEnds from './ChartEnds.vue';
import ChartWidths from './ChartWidths.vue';
import { EDGE, useScaleDrawing } from './scaleDrawing';

/** Size against width, a curve a step: ends, their widths and the proof's width are moved on it. */
const props = defineProps<{ scale: Scale; used: ReadonlySet<number> }>();

/** px that the chart takes at least and at most. */
const WIDTHS = [320, 820] as const;
/** Characters of a name that the edge has room for. */
const LONGEST_LABEL = 14;

const MOVES = [
  { value: 'series', label: say.wholeSeries },
  { value: 'alone', label: say.thatStepAlone },
] as const;
const moves = ref<'series' | 'alone'>('series');

const figure = ref<HTMLElement | null>(null);
const room = useWidth(figure, 550);
const width = computed(() => Math.max(WIDTHS[0], Math.min(WIDTHS[1], room.value)));
const drawing = useScaleDrawing(() => props.scale, width);
const { height, curves, labels } = drawing;

const labelText = (name: string): string =>
  name.length > LONGEST_LABEL ? `${name.slice(0, LONGEST_LABEL - 1)}…` : name;
</script>

<template>
  <figure ref="figure">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      :width="width"
      :height="height"
      role="group"
      :aria-label="say.sizeOfEachStep"
    >
      <ChartAxes :scale="scale" :drawing="drawing" />
      <path
        v-for="{ step, path } in curves"
        :key="step.number"
        :d="path"
        class="curve"
        :data-step="step.number"
        :class="{ idle: !used.has(step.number) }"
      />
      <ChartWidths :scale="scale" :drawing="drawing" />
      <ChartEnds :scale="scale" :drawing="drawing" :used="used" :alone="moves === 'alone'" />
      <text
        v-for="{ step, y } in labels"
        :key="step.number"
        class="label"
        :x="width - EDGE.right + 6"
        :y="y + 4"
        :class="{ idle: !used.has(step.number) }"
      >
        {{ labelText(step.name) }}
        <title v-if="step.name.length > LONGEST_LABEL">{{ step.name }}</title>
      </text>
    </svg>
    <figcaption class="line wrap small quiet">
      <span>{{ say.draggingEndMoves }}</span>
      <ChoiceSet v-model="moves" :label="say.draggingEndMoves" :choices="MOVES" />
      <span class="legend"
        ><svg width="22" height="8" aria-hidden="true"><path d="M0 4H22" class="curve idle" /></svg
        >{{ say.noStyleUses }}</span
      >
      <span class="legend"
        ><svg width="9" height="9" aria-hidden="true">
          <rect class="by-hand" width="8" height="8" /></svg
        >{{ say.setByHand }}</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 var(--edge);
}
figure > svg {
  display: block;
  max-width: 100%;
  overflow: visible;
}
.curve {
  fill: none;
  stroke: var(--web);
  stroke-width: 1.6;
}
.curve.idle {
  stroke: var(--ink-2);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
.label {
  font-size: var(--size-beside);
  fill: var(--ink);
}
.label.idle {
  fill: var(--ink-2);
}
figcaption {
  gap: 4px 10px;
  padding-top: 4px;
}
.legend {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.by-hand {
  fill: var(--sheet);
  stroke: var(--web);
  stroke-width: 2;
}
</style>
