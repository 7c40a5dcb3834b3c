<script setup lang="ts">
import type { Scale } from '@lettera/core/document';
import { axisBottom, axisLeft } from 'd3-axis';
import { select } from 'd3-selection';
import { onMounted, ref, watch } from 'vue';
import { useLengthUnit } from '../../control/lengthUnit';
import { EDGE, type ScaleDrawing } from './scaleDrawing';

/** The axes of a scale's chart: widths below, sizes at the left with a line across for each. */
const props = defineProps<{ scale: Scale; drawing: ScaleDrawing }>();

const lengths = useLengthUnit();
const widths = ref<SVGGElement | null>(null);
const sizes = ref<SVGGElement | null>(null);

/** Room that the figure of an end takes on either side, px, and ticks that a narrow chart has room for. */
const APART = 34;
const NARROW = { width: 450, ticks: 4, otherwise: 8 };

function draw(): void {
  const { small, large } = props.scale;
  const { width, sizeTicks } = props.drawing;
  const [x, y] = [props.drawing.x.value, props.drawing.y.value];
  if (!widths.value || !sizes.value) return;
  const apart = (at: number) =>
    [small.width, large.width].every((end) => Math.abs(x(end) - x(at)) > APART);
  const ticks = width.value < NARROW.width ? NARROW.ticks : NARROW.otherwise;
  select(widths.value).call(
    axisBottom(x)
      .tickValues(x.ticks(ticks).filter(apart))
      .tickFormat((at) => String(at.valueOf()))
      .tickSize(3),
  );
  select(sizes.value).call(
    axisLeft(y)
      .tickValues(sizeTicks.value)
      .tickFormat((size) => lengths.figure(size.valueOf()))
      .tickSize(-(width.value - EDGE.left - EDGE.right)),
  );
}
onMounted(draw);
watch([() => props.drawing.x.value, () => props.drawing.y.value, () => lengths.unit], draw);
</script>

<template>
  <g aria-hidden="true">
    <g ref="sizes" class="axis sizes" :transform="`translate(${EDGE.left}, 0)`" />
    <g
      ref="widths"
      class="axis"
      :transform="`translate(0, ${drawing.height.value - EDGE.bottom})`"
    />
  </g>
</template>

<style scoped>
.axis :deep(text) {
  font:
    11px 'Hanken Grotesk Variable',
    sans-serif;
  font-variant-numeric: tabular-nums;
  fill: var(--ink-2);
}
.axis :deep(.domain) {
  display: none;
}
.axis :deep(line) {
  stroke: var(--ink-2);
}
.axis.sizes :deep(line) {
  stroke: var(--rule);
  stroke-width: 0.75;
}
</style>
