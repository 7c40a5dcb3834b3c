<script setup lang="ts">
import { SCALE_BOUNDS, type Patch, type Scale } from '@lettera/core/document';
import {
  bendsOf,
  changeWidth,
  ENDS,
  giveBackPatch,
  moveEndPatch,
  otherEnd,
  sizeAt,
  stepByNumber,
  stepsOf,
  type End,
  type Step,
} from '@lettera/core/scale';
import { axisBottom, axisLeft } from 'd3-axis';
import { scaleLinear, scaleLog } from 'd3-scale';
import { select } from 'd3-selection';
import { curveLinear, curveStepAfter, line } from 'd3-shape';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import ChoiceLine from '../../frame/ChoiceLine.vue';
import { vDrag, type Dragged } from '../../frame/drag';
import { useLengthUnit } from '../../store/lengthUnit';
import { NARROWEST, useProof, WIDEST } from '../../store/proof';
import { useScaleTrial } from '../../store/scaleTrial';
import { useWidth } from '../../frame/useWidth';
import { END_NAMES } from './scaleView';

/**
 * Size against width, a curve a step, flat beyond both ends as it will be. Sizes stand on a logarithmic
 * axis, on which the steps of one ratio are equally far apart. Ends, their widths and the proof's width are
 * dragged, or moved with the arrow keys.
 */
const props = defineProps<{ scale: Scale; used: ReadonlySet<number> }>();

const proof = useProof();
const trial = useScaleTrial();
const lengths = useLengthUnit();

const figure = ref<HTMLElement | null>(null);
const NARROWEST_CHART = 320;
const frameWidth = useWidth(figure, 550);
const chartWidth = computed(() => Math.max(NARROWEST_CHART, Math.min(820, frameWidth.value)));
const EDGE = { left: 40, right: 92, top: 14, bottom: 26 };
const FROM = 200;
/** Straight on a linear axis, a size is bent on this one: drawn through so many points. */
const POINTS = 24;

const MOVES = [
  { value: 'series', label: 'its whole series' },
  { value: 'alone', label: 'that step alone' },
] as const;
const moves = ref<'series' | 'alone'>('series');

const steps = computed(() => stepsOf(props.scale));
/** Every step has a line for its label. */
const LINE = 12;
const chartHeight = computed(() =>
  Math.max(290, steps.value.length * (LINE + 1) + EDGE.top + EDGE.bottom),
);
const until = computed(() => Math.max(WIDEST, props.scale.large.width + 160));
const x = computed(() =>
  scaleLinear([FROM, until.value], [EDGE.left, chartWidth.value - EDGE.right]),
);
const extent = computed(() => {
  const sizes = steps.value.flatMap(({ small, large }) => [small, large]);
  return [Math.min(...sizes) / 1.12, Math.max(...sizes) * 1.12] as const;
});
/** While an end is dragged the axis stays as it was, so that the end stays under the hand. */
const heldExtent = ref<readonly [number, number] | null>(null);
const y = computed(() =>
  scaleLog(heldExtent.value ?? extent.value, [chartHeight.value - EDGE.bottom, EDGE.top]).clamp(
    true,
  ),
);

const SIZE_TICKS = [
  6, 8, 10, 12, 14, 16, 20, 24, 28, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 256, 320, 400,
  512, 640,
];
const LEAST_GAP = 15;
const sizeTicks = computed(() => {
  const [least, most] = y.value.domain() as [number, number];
  let last = Infinity;
  return SIZE_TICKS.filter((size) => {
    const place = y.value(size);
    if (size < least || size > most || last - place < LEAST_GAP) return false;
    last = place;
    return true;
  });
});

const widthAxis = ref<SVGGElement | null>(null);
const sizeAxis = ref<SVGGElement | null>(null);
function drawAxes(): void {
  const { small, large } = props.scale;
  if (!widthAxis.value || !sizeAxis.value) return;
  const apart = (width: number) =>
    [small.width, large.width].every((end) => Math.abs(x.value(end) - x.value(width)) > 34);
  select(widthAxis.value).call(
    axisBottom(x.value)
      .tickValues(x.value.ticks(chartWidth.value < 450 ? 4 : 8).filter(apart))
      .tickFormat((width) => String(width.valueOf()))
      .tickSize(3),
  );
  select(sizeAxis.value).call(
    axisLeft(y.value)
      .tickValues(sizeTicks.value)
      .tickFormat((size) => lengths.figure(size.valueOf()))
      .tickSize(-(chartWidth.value - EDGE.left - EDGE.right)),
  );
}
onMounted(drawAxes);
watch([x, y, () => lengths.unit], drawAxes);

const curves = computed(() => {
  const [first = FROM, last = first] = bendsOf(props.scale);
  const between = Array.from(
    { length: POINTS + 1 },
    (_, i) => first + ((last - first) * i) / POINTS,
  );
  const jumps = props.scale.between === 'media';
  const widths = jumps ? [FROM, first, until.value] : [FROM, ...between, until.value];
  return steps.value.map((step) => {
    const path = line<number>(
      (width) => x.value(width),
      (width) => y.value(sizeAt(props.scale, step, width)),
    ).curve(jumps ? curveStepAfter : curveLinear);
    return { step, path: path(widths) ?? '', used: props.used.has(step.number) };
  });
});

/** Characters of a name that the edge has room for. */
const LONGEST_LABEL = 14;
/** Labels at the right are kept apart by a line's height. */
const labels = computed(() => {
  let last = Infinity;
  return [...curves.value]
    .sort((a, b) => b.step.large - a.step.large)
    .reverse()
    .map(({ step, used }) => {
      last = Math.min(y.value(step.large), last - LINE);
      return { number: step.number, name: step.name, used, y: last };
    });
});

/** Ends that lie nearer to one another meet, px. */
const MEET = 6;
/** Every end; one that meets another that was set by hand leaves the pointer to it, so that it can be given back. */
const handles = computed(() =>
  curves.value.flatMap(({ step, used }) =>
    ENDS.map((end) => ({
      step,
      used,
      end,
      key: `${step.number} ${end}`,
      under:
        !step.setByHand[end] &&
        steps.value.some(
          (other) =>
            other.setByHand[end] && Math.abs(y.value(other[end]) - y.value(step[end])) < MEET,
        ),
    })),
  ),
);

/** The end that is dragged or has the keyboard, of which the figure shows. */
const active = ref<{ number: number; end: End }>({ number: 0, end: 'large' });
const held = ref<{ number: number; end: End } | null>(null);
const focused = ref(false);
const pointed = ref<{ number: number; end: End } | null>(null);

const told = computed(() => {
  const place = held.value ?? pointed.value ?? (focused.value ? active.value : null);
  const step = place && steps.value.find(({ number }) => number === place.number);
  if (!place || !step) return null;
  const { width, ratio } = props.scale[place.end];
  const how = step.setByHand[place.end] ? 'by hand' : `× ${Number(ratio.toFixed(3))}`;
  const text = `${step.name} at ${width} px: ${lengths.show(step[place.end])}, ${how}`;
  const at = { x: x.value(width), y: y.value(step[place.end]) };
  return { text, ...at, left: place.end === 'large' };
});

const spoken = (step: Step, end: End): string =>
  `${step.name} at ${props.scale[end].width} px: ${lengths.show(step[end])}${
    step.setByHand[end] ? ', set by hand' : ''
  }`;

/** The scale that a drag began with, from which each of its moves is reckoned. */
let began: Scale | null = null;
let moved: Patch | null = null;

function endDrag(number: number, end: End): Dragged {
  return {
    start() {
      began = trial.scale;
      heldExtent.value = extent.value;
      held.value = { number, end };
      active.value = { number, end };
    },
    move(_x, place) {
      if (!began) return;
      const size = y.value.invert(place);
      moved = moveEndPatch(began, number, end, size, moves.value === 'alone');
      trial.look(moved);
    },
    end: () => finish(true),
    cancel: () => finish(false),
  };
}

function finish(keep: boolean): void {
  const patch = moved;
  began = null;
  moved = null;
  held.value = null;
  heldExtent.value = null;
  if (keep && patch) trial.change(patch);
  else trial.look(null);
}

const endDrags = new Map<string, Dragged>();
/** The drag of an end, made once. */
function endDragOf(number: number, end: End): Dragged {
  const key = `${number} ${end}`;
  const drag = endDrags.get(key) ?? endDrag(number, end);
  endDrags.set(key, drag);
  return drag;
}

function widthPatch(end: End, width: number): Patch {
  const { small, large } = trial.scale ?? props.scale;
  const [least, most] =
    end === 'small'
      ? [SCALE_BOUNDS.width[0], large.width - 1]
      : [small.width + 1, SCALE_BOUNDS.width[1]];
  const value = Math.round(Math.min(most, Math.max(least, width)));
  return [{ op: 'replace', path: `/scale/${end}/width`, value }];
}

/** A width is dragged to tens of pixels, where devices' widths lie. */
const TENS = 10;
const widthDrag = (end: End): Dragged => ({
  move(place) {
    moved = widthPatch(end, Math.round(x.value.invert(place) / TENS) * TENS);
    trial.look(moved);
  },
  end: () => finish(true),
  cancel: () => finish(false),
});
const widthDrags: Record<End, Dragged> = { small: widthDrag('small'), large: widthDrag('large') };

let widthBefore = 0;
const proofDrag: Dragged = {
  start: () => (widthBefore = proof.width),
  move: (place) => proof.setWidth(x.value.invert(place)),
  end: () => undefined,
  cancel: () => proof.setWidth(widthBefore),
};

const proofPlace = computed(() => x.value(Math.max(FROM, Math.min(until.value, proof.width))));

function giveBack(number: number, end: End): void {
  if (trial.scale) trial.change(giveBackPatch(trial.scale, number, end));
}

const chart = ref<SVGSVGElement | null>(null);
async function go(number: number, end: End): Promise<void> {
  active.value = { number, end };
  await nextTick();
  chart.value?.querySelector<SVGElement>(`[data-end="${number} ${end}"]`)?.focus();
}

/** Arrow keys move an end by a pixel, ten with Shift; left and right go to the other end, [ and ] to the next step. */
function onKey(event: KeyboardEvent, number: number, end: End): void {
  const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
  const at = steps.value.findIndex((step) => step.number === number);
  const next = { '[': steps.value[at - 1], ']': steps.value[at + 1] }[event.key];
  if (by && trial.scale) {
    event.preventDefault();
    const size = stepByNumber(trial.scale, number)[end] + by * (event.shiftKey ? 10 : 1);
    const alone = moves.value === 'alone';
    trial.change(moveEndPatch(trial.scale, number, end, size, alone));
  } else if (next) {
    event.preventDefault();
    event.stopPropagation();
    void go(next.number, end);
  } else if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
    event.preventDefault();
    void go(number, otherEnd(end));
  } else if (event.key === 'Delete' || event.key === 'Backspace') giveBack(number, end);
}

function widthKey(event: KeyboardEvent, end: End): void {
  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
  if (!by || !trial.scale) return;
  event.preventDefault();
  trial.change(widthPatch(end, trial.scale[end].width + by * (event.shiftKey ? 10 : 1)));
}

function proofKey(event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
  if (!by) return;
  event.preventDefault();
  proof.setWidth(proof.width + by * (event.shiftKey ? 10 : 1));
}
</script>

<template>
  <figure ref="figure">
    <svg
      ref="chart"
      :viewBox="`0 0 ${chartWidth} ${chartHeight}`"
      :width="chartWidth"
      :height="chartHeight"
      role="group"
      aria-label="Size of each step against width. The table of steps holds the figures."
    >
      <g
        ref="sizeAxis"
        class="axis sizes"
        :transform="`translate(${EDGE.left}, 0)`"
        aria-hidden="true"
      />
      <g
        ref="widthAxis"
        class="axis"
        :transform="`translate(0, ${chartHeight - EDGE.bottom})`"
        aria-hidden="true"
      />
      <g
        v-for="end in ENDS"
        :key="end"
        v-drag="widthDrags[end]"
        class="width"
        role="slider"
        tabindex="0"
        :aria-label="`Viewport width of the ${END_NAMES[end]}`"
        :aria-valuemin="SCALE_BOUNDS.width[0]"
        :aria-valuemax="SCALE_BOUNDS.width[1]"
        :aria-valuenow="scale[end].width"
        :aria-valuetext="`${scale[end].width} px`"
        @keydown="widthKey($event, end)"
      >
        <path
          :d="`M${x(scale[end].width)} ${EDGE.top - 8}V${chartHeight - EDGE.bottom}`"
          class="end"
        />
        <rect
          :x="x(scale[end].width) - 5"
          :y="EDGE.top"
          width="10"
          :height="chartHeight - EDGE.bottom - EDGE.top"
          fill="transparent"
        />
        <rect
          :x="x(scale[end].width) - 20"
          :y="chartHeight - 22"
          width="40"
          height="20"
          class="grip"
        />
        <text :x="x(scale[end].width)" :y="chartHeight - 9" text-anchor="middle">
          {{ scale[end].width }}
        </text>
      </g>
      <path
        v-if="scale.between === 'media'"
        class="change"
        :d="`M${x(changeWidth(scale))} ${EDGE.top}V${chartHeight - EDGE.bottom}`"
      />
      <path
        v-for="curve in curves"
        :key="curve.step.number"
        :d="curve.path"
        class="curve"
        :data-step="curve.step.number"
        :class="{ idle: !curve.used }"
      />
      <g
        v-drag="proofDrag"
        class="here"
        role="slider"
        tabindex="0"
        aria-label="Width of the proof, on the chart"
        :aria-valuemin="NARROWEST"
        :aria-valuemax="WIDEST"
        :aria-valuenow="proof.width"
        :aria-valuetext="`${proof.width} px`"
        @keydown="proofKey"
      >
        <rect
          :x="proofPlace - 5"
          y="0"
          width="10"
          :height="chartHeight - EDGE.bottom"
          fill="transparent"
        />
        <path :d="`M${proofPlace} 0V${chartHeight - EDGE.bottom}`" />
      </g>
      <g
        v-for="{ step, used: inUse, end, key, under } in handles"
        :key="key"
        v-drag="endDragOf(step.number, end)"
        class="handle"
        :class="{ idle: !inUse, hand: step.setByHand[end], under }"
        role="slider"
        aria-orientation="vertical"
        :data-end="key"
        :tabindex="active.number === step.number && active.end === end ? 0 : -1"
        :aria-label="`Size of ${step.name} at the ${END_NAMES[end]}`"
        :aria-valuemin="SCALE_BOUNDS.size[0]"
        :aria-valuemax="SCALE_BOUNDS.size[1]"
        :aria-valuenow="Number(step[end].toFixed(2))"
        :aria-valuetext="spoken(step, end)"
        @keydown="onKey($event, step.number, end)"
        @focus="
          focused = true;
          active = { number: step.number, end };
        "
        @blur="focused = false"
        @mouseenter="pointed = { number: step.number, end }"
        @mouseleave="pointed = null"
        @dblclick="giveBack(step.number, end)"
      >
        <circle :cx="x(scale[end].width)" :cy="y(step[end])" r="8" fill="transparent" />
        <rect
          v-if="step.setByHand[end]"
          class="dot"
          :x="x(scale[end].width) - 3.5"
          :y="y(step[end]) - 3.5"
          width="7"
          height="7"
        />
        <circle v-else class="dot" :cx="x(scale[end].width)" :cy="y(step[end])" r="3" />
      </g>
      <text
        v-for="label in labels"
        :key="label.number"
        class="label"
        :x="chartWidth - EDGE.right + 6"
        :y="label.y + 4"
        :class="{ idle: !label.used }"
      >
        {{
          label.name.length > LONGEST_LABEL
            ? `${label.name.slice(0, LONGEST_LABEL - 1)}…`
            : label.name
        }}
        <title>{{ label.name }}</title>
      </text>
      <g v-if="told" class="told" aria-hidden="true">
        <rect
          :x="told.left ? told.x - 12 - told.text.length * 5.7 : told.x + 8"
          :y="told.y - 9"
          :width="told.text.length * 5.7 + 6"
          height="18"
        />
        <text
          :x="told.left ? told.x - 9 : told.x + 11"
          :y="told.y + 4"
          :text-anchor="told.left ? 'end' : 'start'"
        >
          {{ told.text }}
        </text>
      </g>
    </svg>
    <figcaption class="line wrap small quiet">
      <span>Dragging an end moves</span>
      <ChoiceLine v-model="moves" label="Dragging an end moves" :choices="MOVES" />
      <span class="legend"
        ><svg width="22" height="8" aria-hidden="true">
          <path d="M0 4H22" class="curve idle" /></svg
        >no style uses it</span
      >
      <span class="legend"
        ><svg width="9" height="9" aria-hidden="true">
          <rect class="by-hand" width="8" height="8" /></svg
        >set by hand; double-click gives it back</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 20px;
}
figure > svg {
  display: block;
  max-width: 100%;
  overflow: visible;
}
text,
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
.end {
  stroke: var(--ink-2);
  stroke-width: 1;
}
.width {
  cursor: ew-resize;
}
.grip {
  fill: var(--sheet);
}
.width text {
  font-weight: 650;
  fill: var(--ink);
}
.change {
  stroke: var(--ink-2);
  stroke-dasharray: 2 3;
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
.handle {
  cursor: ns-resize;
  outline: none;
}
.handle.under {
  pointer-events: none;
}
.dot,
.by-hand {
  fill: var(--web);
}
.handle.idle .dot {
  fill: var(--ink-2);
}
.handle.hand .dot,
.by-hand {
  fill: var(--sheet);
  stroke: var(--web);
  stroke-width: 2;
}
.handle:hover .dot,
.handle:focus-visible .dot {
  stroke: var(--verdigris);
  stroke-width: 3;
}
.label {
  fill: var(--ink);
}
.label.idle {
  fill: var(--ink-2);
}
.here {
  cursor: ew-resize;
}
.here path {
  stroke: var(--verdigris);
  stroke-width: 1.5;
}
.told rect {
  fill: var(--sheet);
  stroke: var(--ink-2);
  stroke-width: 0.75;
}
.told text {
  fill: var(--ink);
  font-weight: 550;
}
.told {
  pointer-events: none;
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
</style>
