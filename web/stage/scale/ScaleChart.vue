<script setup lang="ts">
import type { Scale } from '@lettera/core/document';
import { fluidSizeAt, fluidStep, stepsOf } from '@lettera/core/scale';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { computed } from 'vue';
import { pixels } from '../../frame/figures';

/** Size against viewport width, a curve a step; flat beyond both ends, as it will be. */
const props = defineProps<{ scale: Scale; width: number; used: Set<number> }>();

const WIDTH = 540;
const HEIGHT = 236;
const EDGE = { left: 34, right: 74, top: 10, bottom: 24 };
const FROM = 280;

const steps = computed(() => stepsOf(props.scale));
const until = computed(() => Math.max(1440, props.scale.large.width + 120));

const x = computed(() => scaleLinear([FROM, until.value], [EDGE.left, WIDTH - EDGE.right]));
const y = computed(() => {
  const largest = Math.max(...steps.value.flatMap(({ small, large }) => [small, large]));
  return scaleLinear([0, largest * 1.05], [HEIGHT - EDGE.bottom, EDGE.top]).nice(5);
});

const curves = computed(() => {
  const { small, large } = props.scale;
  const widths = [FROM, small.width, large.width, until.value];
  const path = line<number>(
    (width) => x.value(width),
    () => 0,
  );
  return steps.value.map((step) => {
    const size = fluidStep(props.scale, step);
    path.y((width) => y.value(fluidSizeAt(size, width)));
    return {
      step,
      path: path(widths) ?? '',
      end: y.value(step.large),
      used: props.used.has(step.number),
    };
  });
});

/** Labels at the right are kept apart by a line's height. */
const labels = computed(() => {
  let last = Infinity;
  return [...curves.value]
    .sort((a, b) => b.end - a.end)
    .map((curve) => {
      last = Math.min(curve.end, last - 12);
      return { name: curve.step.name, used: curve.used, y: last };
    });
});
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      aria-label="Size of each step against viewport width; the table below holds the figures"
    >
      <g class="grid">
        <template v-for="tick in y.ticks(5)" :key="tick">
          <line :x1="EDGE.left" :x2="WIDTH - EDGE.right" :y1="y(tick)" :y2="y(tick)" />
          <text :x="EDGE.left - 6" :y="y(tick) + 4" text-anchor="end">{{ tick }}</text>
        </template>
        <template v-for="end in [scale.small.width, scale.large.width]" :key="end">
          <line class="end" :x1="x(end)" :x2="x(end)" :y1="EDGE.top" :y2="HEIGHT - EDGE.bottom" />
          <text :x="x(end)" :y="HEIGHT - 8" text-anchor="middle">{{ end }} px</text>
        </template>
      </g>
      <path
        v-for="curve in curves"
        :key="curve.step.number"
        :d="curve.path"
        class="curve"
        :class="{ idle: !curve.used }"
      />
      <g
        v-for="curve in curves"
        :key="`ends ${curve.step.number}`"
        class="ends"
        :class="{ idle: !curve.used }"
      >
        <circle :cx="x(scale.small.width)" :cy="y(curve.step.small)" r="2.5" />
        <circle :cx="x(scale.large.width)" :cy="y(curve.step.large)" r="2.5" />
      </g>
      <text
        v-for="label in labels"
        :key="label.name"
        :x="WIDTH - EDGE.right + 6"
        :y="label.y + 4"
        :class="{ idle: !label.used }"
      >
        {{ label.name }}
      </text>
      <g class="here">
        <line
          :x1="x(Math.max(FROM, Math.min(until, width)))"
          :x2="x(Math.max(FROM, Math.min(until, width)))"
          :y1="EDGE.top"
          :y2="HEIGHT - EDGE.bottom"
        />
      </g>
    </svg>
    <figcaption class="small quiet">
      Size in px against viewport width. Dashed curves are steps that no style uses; the upright
      line is the proof’s width, {{ pixels(width).replace('.0', '') }}.
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  padding: 0 20px;
}
svg {
  display: block;
  width: 100%;
  max-width: 720px;
  height: auto;
}
text {
  font-size: 11px;
  fill: var(--ink-2);
}
.grid line {
  stroke: var(--rule);
  stroke-width: 0.75;
}
.grid line.end {
  stroke: var(--ink-2);
  stroke-width: 1;
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
.ends circle {
  fill: var(--web);
}
.ends.idle circle {
  fill: var(--ink-2);
}
.here line {
  stroke: var(--verdigris);
  stroke-width: 1.5;
}
</style>
