<script setup lang="ts">
import { closenessChart as say } from './words';
import type { TunedFace } from '@lettera/core/fallback';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed, ref } from 'vue';
import { percent } from '../../control/figures';
import { useWidth } from '../../control/useWidth';

/** The curve of how close words come against how uneven letters may be; a point of it is taken by click or key. */
const props = defineProps<{
  points: readonly { evenness: number; face: TunedFace }[];
  present: number;
  one: number;
  target: number;
}>();
const emit = defineEmits<{ choose: [evenness: number] }>();

const HEIGHT = 120;
const MARGIN = { left: 40, right: 22, top: 8, bottom: 20 };
const root = ref<SVGSVGElement | null>(null);
const width = useWidth(root, 480);

const x = computed(() =>
  scaleLinear()
    .domain([0, Math.max(...props.points.map(({ evenness }) => evenness))])
    .range([MARGIN.left, width.value - MARGIN.right]),
);
const y = computed(() =>
  scaleLinear()
    .domain([0, props.one])
    .range([HEIGHT - MARGIN.bottom, MARGIN.top])
    .nice(3),
);
const path = computed(
  () =>
    line<[number, number]>(
      ([a]) => x.value(a),
      ([, b]) => y.value(b),
    )([
      [0, props.one],
      ...props.points.map(({ evenness, face }): [number, number] => [evenness, face.fit.mean]),
    ]) ?? '',
);
const isPresent = (evenness: number) => Math.abs(evenness - props.present) < 1e-6;
</script>

<template>
  <svg ref="root" class="chart" :height="HEIGHT" role="group" :aria-label="say.howFarWordsOff">
    <g class="axis">
      <template v-for="tick in y.ticks(3)" :key="tick">
        <line :x1="MARGIN.left" :x2="width - MARGIN.right" :y1="y(tick)" :y2="y(tick)" />
        <text :x="MARGIN.left - 6" :y="y(tick) + 4" text-anchor="end">{{ percent(tick, 1) }}</text>
      </template>
      <text
        v-for="{ evenness } in points"
        :key="evenness"
        :x="x(evenness)"
        :y="HEIGHT - 5"
        text-anchor="middle"
      >
        ±{{ percent(evenness, 0) }}
      </text>
    </g>
    <line
      class="target"
      :x1="MARGIN.left"
      :x2="width - MARGIN.right"
      :y1="y(target)"
      :y2="y(target)"
    />
    <path class="curve" :d="path" />
    <circle
      v-for="{ evenness, face } in points"
      :key="evenness"
      :class="{ present: isPresent(evenness) }"
      :cx="x(evenness)"
      :cy="y(face.fit.mean)"
      r="5"
      tabindex="0"
      role="button"
      :aria-pressed="isPresent(evenness)"
      :aria-label="say.lettersWithinWords(percent(evenness, 0), percent(face.fit.mean, 2))"
      @click="emit('choose', evenness)"
      @keydown.enter="emit('choose', evenness)"
      @keydown.space.prevent="emit('choose', evenness)"
    />
  </svg>
</template>

<style scoped>
.chart {
  display: block;
  width: 100%;
}
.axis line {
  stroke: var(--rule);
}
.axis text {
  font-size: var(--size-beside);
  fill: var(--ink-2);
}
.curve {
  fill: none;
  stroke: var(--local);
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
}
.target {
  stroke: var(--ink-2);
  stroke-dasharray: 1 3;
}
circle {
  fill: var(--sheet);
  stroke: var(--local);
  stroke-width: 1.5;
  cursor: pointer;
}
circle.present {
  fill: var(--local);
}
</style>
