<script setup lang="ts">
import { chartEnds as say } from './words';
import { SCALE_BOUNDS, type Patch, type Scale } from '@lettera/core/document';
import {
  ENDS,
  giveBackPatch,
  moveEndPatch,
  otherEnd,
  seriesAt,
  stepByNumber,
  type End,
  type Step,
} from '@lettera/core/scale';
import { computed, nextTick, ref } from 'vue';
import { arrowStep } from '../../control/arrowStep';
import { vDrag, type Dragged } from '../../control/drag';
import { useLengthUnit } from '../../control/lengthUnit';
import { useScaleDraft } from '../../store/scaleDraft';
import type { ScaleDrawing } from './scaleDrawing';
import { END_NAMES } from './scaleView';

/** The ends of the curves, dragged or moved with the arrow keys, and the figure of the one in hand. */
const props = defineProps<{
  scale: Scale;
  drawing: ScaleDrawing;
  used: ReadonlySet<number>;
  /** Whether a step moves by itself, or its whole series with it. */
  alone: boolean;
}>();

interface Place {
  number: number;
  end: End;
}

const draft = useScaleDraft();
const lengths = useLengthUnit();

/** Ends that lie nearer to one another meet, px. */
const MEET = 6;
/** Width of a letter in the figure that is shown, px, about. */
const LETTER = 5.7;

const steps = computed(() => props.drawing.steps.value);
const x = computed(() => props.drawing.x.value);
const y = computed(() => props.drawing.y.value);

/** Whether an end meets another that was set by hand, and leaves the pointer to it, so that it can be given back. */
const isUnder = (step: Step, end: End): boolean =>
  !step.setByHand[end] &&
  steps.value.some(
    (other) => other.setByHand[end] && Math.abs(y.value(other[end]) - y.value(step[end])) < MEET,
  );

const handles = computed(() =>
  steps.value.flatMap((step) =>
    ENDS.map((end) => ({
      step,
      end,
      key: `${step.number} ${end}`,
      under: isUnder(step, end),
    })),
  ),
);

/** The end that has the keyboard when the chart has it. */
const active = ref<Place>({ number: 0, end: 'large' });
const focused = ref(false);
const held = ref<Place | null>(null);
const pointed = ref<Place | null>(null);

const howOf = ({ number, setByHand }: Step, end: End): string => {
  if (setByHand[end]) return say.byHand;
  if (!Number.isInteger(number)) return say.betweenTwo;
  return `× ${Number(seriesAt(props.scale, number, end).ratio.toFixed(3))}`;
};

const told = computed(() => {
  const place = held.value ?? pointed.value ?? (focused.value ? active.value : null);
  const step = place && steps.value.find(({ number }) => number === place.number);
  if (!place || !step) return null;
  const { width } = props.scale[place.end];
  const text = say.atPx(step.name, width, lengths.show(step[place.end]), howOf(step, place.end));
  return { text, x: x.value(width), y: y.value(step[place.end]), left: place.end === 'large' };
});

const spoken = (step: Step, end: End): string =>
  say.atPxName(
    step.name,
    props.scale[end].width,
    lengths.show(step[end]),
    step.setByHand[end] ? say.setByHand : '',
  );

/** The scale that a drag began with, from which each of its moves is reckoned. */
let began: Scale | null = null;
let moved: Patch | null = null;

function finish(keep: boolean): void {
  const patch = moved;
  began = null;
  moved = null;
  held.value = null;
  props.drawing.hold(false);
  if (keep && patch) draft.change(patch);
  else draft.look(null);
}

const makeDrag = (number: number, end: End): Dragged => ({
  start() {
    began = draft.scale;
    props.drawing.hold(true);
    held.value = { number, end };
    active.value = { number, end };
  },
  move(_x, place) {
    if (!began) return;
    moved = moveEndPatch(began, number, end, y.value.invert(place), props.alone);
    draft.look(moved);
  },
  end: () => finish(true),
  cancel: () => finish(false),
});

const drags = new Map<string, Dragged>();
/** The drag of an end, made once. */
function dragOf({ number }: Step, end: End): Dragged {
  const key = `${number} ${end}`;
  const drag = drags.get(key) ?? makeDrag(number, end);
  drags.set(key, drag);
  return drag;
}

function giveBack({ number }: Step, end: End): void {
  if (draft.scale) draft.change(giveBackPatch(draft.scale, number, end));
}

const root = ref<SVGGElement | null>(null);
async function go({ number }: Step, end: End): Promise<void> {
  active.value = { number, end };
  await nextTick();
  root.value?.querySelector<SVGElement>(`[data-end="${number} ${end}"]`)?.focus();
}

/** Up and down move an end by a pixel, ten with Shift; left and right go to the other end, [ and ] to the next step. */
function onKey(event: KeyboardEvent, step: Step, end: End): void {
  const at = steps.value.findIndex(({ number }) => number === step.number);
  const next = { '[': steps.value[at - 1], ']': steps.value[at + 1] }[event.key];
  const across = event.key === 'ArrowLeft' || event.key === 'ArrowRight';
  if (next || across) {
    event.preventDefault();
    event.stopPropagation();
    void go(next ?? step, across ? otherEnd(end) : end);
    return;
  }
  const by = arrowStep(event);
  if (by !== null && draft.scale) {
    const size = stepByNumber(draft.scale, step.number)[end] + by;
    draft.change(moveEndPatch(draft.scale, step.number, end, size, props.alone));
  } else if (event.key === 'Delete' || event.key === 'Backspace') giveBack(step, end);
}
</script>

<template>
  <g ref="root">
    <g
      v-for="{ step, end, key, under } in handles"
      :key="key"
      v-drag="dragOf(step, end)"
      class="handle"
      :class="{ idle: !used.has(step.number), hand: step.setByHand[end], under }"
      role="slider"
      aria-orientation="vertical"
      :data-end="key"
      :tabindex="active.number === step.number && active.end === end ? 0 : -1"
      :aria-label="say.sizeAt(step.name, END_NAMES[end])"
      :aria-valuemin="SCALE_BOUNDS.size[0]"
      :aria-valuemax="SCALE_BOUNDS.size[1]"
      :aria-valuenow="Number(step[end].toFixed(2))"
      :aria-valuetext="spoken(step, end)"
      @keydown="onKey($event, step, end)"
      @focus="
        focused = true;
        active = { number: step.number, end };
      "
      @blur="focused = false"
      @mouseenter="pointed = { number: step.number, end }"
      @mouseleave="pointed = null"
      @dblclick="giveBack(step, end)"
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
    <g v-if="told" class="told" aria-hidden="true">
      <rect
        :x="told.left ? told.x - 12 - told.text.length * LETTER : told.x + 8"
        :y="told.y - 9"
        :width="told.text.length * LETTER + 6"
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
  </g>
</template>

<style scoped>
.handle {
  cursor: ns-resize;
  outline: none;
}
.handle.under {
  pointer-events: none;
}
.dot {
  fill: var(--web);
}
.handle.idle .dot {
  fill: var(--ink-2);
}
.handle.hand .dot {
  fill: var(--sheet);
  stroke: var(--web);
  stroke-width: 2;
}
.handle:hover .dot,
.handle:focus-visible .dot {
  stroke: var(--verdigris);
  stroke-width: 3;
}
.told {
  pointer-events: none;
}
.told rect {
  fill: var(--sheet);
  stroke: var(--ink-2);
  stroke-width: 0.75;
}
.told text {
  font-size: var(--size-beside);
  font-weight: 550;
  fill: var(--ink);
}
</style>
