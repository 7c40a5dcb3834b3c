<script setup lang="ts">
import { weightAxis as say } from './words';
import { computed } from 'vue';
import AxisSlider from '../../control/AxisSlider.vue';
import { axisPlace } from '../../control/axisPlace';

/**
 * Weights as ticks on an axis from 1 to 1000; a bar for a variable range. Pointing along it, or stepping
 * with the arrow keys, tries a weight; leaving gives back.
 */
const props = defineProps<{ weights: number[]; variable: boolean; name: string }>();
const tried = defineModel<number | null>({ required: true });

const WIDTH = 96;
const HEIGHT = 24;
const INSET = 4;
const SPAN = WIDTH - 2 * INSET;
const STEP = 10;

const at = (weight: number): number => (weight / 1000) * SPAN + INSET;
/** The axis with a notch each hundred, in one stroke: rows are many, and each element counts. */
const RULE =
  `M${INSET} 15.5H${WIDTH - INSET}` +
  Array.from({ length: 9 }, (_, i) => `M${at(100 * (i + 1))} 15.5v2.5`).join('');
const least = computed(() => props.weights[0] ?? 400);
const most = computed(() => props.weights.at(-1) ?? 400);

const offered = computed(() =>
  props.variable
    ? `M${at(least.value)} 13H${at(most.value)}`
    : props.weights.map((weight) => `M${at(weight)} 7v8.5`).join(''),
);

/** The weight on offer that is nearest to one wanted. */
function nearest(wanted: number): number {
  if (props.variable) {
    return Math.round(Math.min(most.value, Math.max(least.value, wanted)) / STEP) * STEP;
  }
  return props.weights.reduce((best, weight) =>
    Math.abs(weight - wanted) < Math.abs(best - wanted) ? weight : best,
  );
}

function point(event: PointerEvent): void {
  tried.value = nearest(((axisPlace(event, WIDTH) - INSET) / SPAN) * 1000);
}

function step(by: number): void {
  const now = tried.value ?? nearest(400);
  if (props.variable) {
    tried.value = nearest(now + by * STEP);
    return;
  }
  const next = props.weights.indexOf(now) + Math.sign(by);
  tried.value = props.weights[Math.min(props.weights.length - 1, Math.max(0, next))] ?? now;
}

const spoken = computed(() =>
  props.variable ? say.weightRange(least.value, most.value) : props.weights.join(', '),
);
</script>

<template>
  <AxisSlider
    class="axis"
    :label="say.weight(name, spoken)"
    :min="least"
    :max="most"
    :now="tried ?? nearest(400)"
    :width="WIDTH"
    :height="HEIGHT"
    :title="variable ? say.anyWeightFrom(spoken) : say.weights(spoken)"
    @pointermove="point"
    @pointerleave="tried = null"
    @step="step"
    @keydown.escape="tried = null"
    @blur="tried = null"
  >
    <path :d="RULE" class="rule" />
    <path :d="offered" :class="variable ? 'bar' : 'tick'" />
    <g v-if="tried !== null">
      <line :x1="at(tried)" :x2="at(tried)" y1="3" y2="18" class="tried" />
      <text
        :x="tried > 500 ? at(tried) - 3 : at(tried) + 3"
        y="8"
        :text-anchor="tried > 500 ? 'end' : 'start'"
      >
        {{ tried }}
      </text>
    </g>
  </AxisSlider>
</template>

<style scoped>
.axis {
  height: 24px;
  cursor: ew-resize;
}
.rule {
  stroke: var(--rule);
}
.tick {
  stroke: var(--ink);
  stroke-width: 2;
}
.bar {
  stroke: var(--ink);
  stroke-width: 4;
}
.tried {
  stroke: var(--verdigris);
  stroke-width: 2;
}
text {
  font-size: 10px;
  fill: var(--ink);
}
</style>
