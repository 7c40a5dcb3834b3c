<script setup lang="ts">
import { INTERVALS, intervalOf } from '@lettera/core/scale';
import { scaleLog } from 'd3-scale';
import { computed, ref, useTemplateRef } from 'vue';
import AxisSlider from '../../control/AxisSlider.vue';
import { axisPlace } from '../../control/axisPlace';
import { vDrag, type Dragged } from '../../control/drag';
import { plainNumber } from '../../control/figures';
import { useWidth } from '../../control/useWidth';

/** Ratios along an axis, equal intervals equally far apart; those that the trade names are its ticks. */
const props = defineProps<{ modelValue: number; label: string }>();
const emit = defineEmits<{
  'update:modelValue': [ratio: number];
  /** A ratio that is pointed at or dragged over; null when it is left. */
  look: [ratio: number | null];
}>();

const axis = useTemplateRef('axis');
const drawn = computed(() => (axis.value?.$el as Element | undefined) ?? null);
const axisWidth = useWidth(drawn, 200);
const HEIGHT = 34;
const EDGE = 8;
const LINE = 22;
/** Up to the octave; beyond it only while a ratio lies there. */
const OCTAVE = 2;
const WIDEST = 3;
/** A drag this near to a tick takes its ratio, px. */
const CATCH = 3;

const pointed = ref<number | null>(null);
const until = computed(() => (props.modelValue > OCTAVE ? WIDEST : OCTAVE));
const x = computed(() => scaleLog([1, until.value], [EDGE, axisWidth.value - EDGE]));
const ticks = computed(() => INTERVALS.filter(({ ratio }) => ratio <= until.value + 1e-9));

const shown = computed(() => pointed.value ?? props.modelValue);
const name = computed(() => intervalOf(shown.value)?.name ?? '');
const says = computed(() =>
  name.value ? `${plainNumber(shown.value)}, ${name.value}` : plainNumber(shown.value),
);

function ratioAt(place: number): number {
  const near = ticks.value.find(({ ratio }) => Math.abs(x.value(ratio) - place) <= CATCH);
  const free = x.value.invert(Math.min(axisWidth.value - EDGE, Math.max(EDGE, place)));
  return near?.ratio ?? Number(free.toFixed(3));
}

function look(ratio: number | null): void {
  pointed.value = ratio;
  emit('look', ratio);
}

function take(ratio: number | null): void {
  pointed.value = null;
  if (ratio !== null) emit('update:modelValue', ratio);
}

const dragged: Dragged = {
  move: (place) => look(ratioAt(place)),
  end: () => take(pointed.value),
  cancel: () => look(null),
};

const pick = (event: MouseEvent): void => take(ratioAt(axisPlace(event, axisWidth.value)));

const STEP = 0.01;
function step(by: number): void {
  const next = props.modelValue + by * STEP;
  take(Number(Math.min(WIDEST, Math.max(1, next)).toFixed(3)));
}
</script>

<template>
  <AxisSlider
    ref="axis"
    class="axis"
    :label="label"
    :min="1"
    :max="WIDEST"
    :now="Number(modelValue.toFixed(3))"
    :says="says"
    :width="axisWidth"
    :height="HEIGHT"
    @step="step"
    @click="pick"
  >
    <rect :width="axisWidth" :height="HEIGHT" fill="transparent" />
    <path :d="`M${EDGE} ${LINE}H${axisWidth - EDGE}`" class="rule" />
    <g
      v-for="tick in ticks"
      :key="tick.name"
      class="tick"
      :class="{ held: Math.abs(tick.ratio - shown) < 5e-4 }"
      @mouseenter="look(tick.ratio)"
      @mouseleave="look(null)"
    >
      <rect :x="x(tick.ratio) - 4" y="12" width="8" height="20" fill="transparent" />
      <path :d="`M${x(tick.ratio)} ${LINE - 4}v8`" />
      <title>{{ tick.name }}, {{ tick.says }}</title>
    </g>
    <path v-drag="dragged" class="here" :d="`M${x(shown)} 13v18`" />
    <text :x="Math.min(axisWidth - 60, Math.max(60, x(shown)))" y="9" text-anchor="middle">
      {{ says }}
    </text>
  </AxisSlider>
</template>

<style scoped>
.axis {
  width: 100%;
  max-width: 300px;
  cursor: pointer;
  touch-action: none;
}
.rule {
  stroke: var(--rule);
}
.tick path {
  stroke: var(--ink-2);
}
.tick:hover path,
.tick.held path {
  stroke: var(--ink);
  stroke-width: 2;
}
.here {
  stroke: var(--verdigris);
  stroke-width: 4;
  cursor: ew-resize;
}
text {
  font-size: var(--size-beside);
  fill: var(--ink);
  pointer-events: none;
}
</style>
