<script setup lang="ts">
import { chartWidths as say } from './words';
import { SCALE_BOUNDS, type Patch, type Scale } from '@lettera/core/document';
import { changeWidth, ENDS, type End } from '@lettera/core/scale';
import { computed } from 'vue';
import { arrowStep } from '../../control/arrowStep';
import { vDrag, type Dragged } from '../../control/drag';
import { NARROWEST, useProof, WIDEST } from '../../store/proof';
import { useScaleDraft } from '../../store/scaleDraft';
import { EDGE, type ScaleDrawing } from './scaleDrawing';
import { END_NAMES } from './scaleView';

/** The widths on a scale's chart, as lines to drag: both ends, where plain sizes change, and the proof's. */
const props = defineProps<{ scale: Scale; drawing: ScaleDrawing }>();

const proof = useProof();
const draft = useScaleDraft();

/** An end is dragged to tens of pixels, where devices' widths lie. */
const TENS = 10;
/** Half the width of what can be taken hold of, px. */
const REACH = 5;

const x = computed(() => props.drawing.x.value);
const bottom = computed(() => props.drawing.height.value - EDGE.bottom);
const proofPlace = computed(() => x.value(proof.width));

function widthPatch(end: End, width: number): Patch {
  const { small, large } = draft.scale ?? props.scale;
  const [least, most] =
    end === 'small'
      ? [SCALE_BOUNDS.width[0], large.width - 1]
      : [small.width + 1, SCALE_BOUNDS.width[1]];
  const value = Math.round(Math.min(most, Math.max(least, width)));
  return [{ op: 'replace', path: `/scale/${end}/width`, value }];
}

let moved: Patch | null = null;
const endDrag = (end: End): Dragged => ({
  move(place) {
    moved = widthPatch(end, Math.round(x.value.invert(place) / TENS) * TENS);
    draft.look(moved);
  },
  end() {
    if (moved) draft.change(moved);
    moved = null;
  },
  cancel() {
    moved = null;
    draft.look(null);
  },
});
const endDrags: Record<End, Dragged> = { small: endDrag('small'), large: endDrag('large') };

let widthBefore = 0;
const proofDrag: Dragged = {
  start: () => (widthBefore = proof.width),
  move: (place) => proof.setWidth(x.value.invert(place)),
  end: () => undefined,
  cancel: () => proof.setWidth(widthBefore),
};

function endKey(event: KeyboardEvent, end: End): void {
  const by = arrowStep(event);
  if (by !== null && draft.scale) draft.change(widthPatch(end, draft.scale[end].width + by));
}

function proofKey(event: KeyboardEvent): void {
  const by = arrowStep(event);
  if (by !== null) proof.setWidth(proof.width + by);
}
</script>

<template>
  <g
    v-for="end in ENDS"
    :key="end"
    v-drag="endDrags[end]"
    class="width"
    role="slider"
    tabindex="0"
    :aria-label="say.viewportWidth(END_NAMES[end])"
    :aria-valuemin="SCALE_BOUNDS.width[0]"
    :aria-valuemax="SCALE_BOUNDS.width[1]"
    :aria-valuenow="scale[end].width"
    :aria-valuetext="`${scale[end].width} px`"
    @keydown="endKey($event, end)"
  >
    <path :d="`M${x(scale[end].width)} ${EDGE.top - 8}V${bottom}`" class="end" />
    <rect
      :x="x(scale[end].width) - REACH"
      :y="EDGE.top"
      :width="2 * REACH"
      :height="bottom - EDGE.top"
      fill="transparent"
    />
    <rect :x="x(scale[end].width) - 20" :y="bottom + 4" width="40" height="20" class="grip" />
    <text :x="x(scale[end].width)" :y="bottom + 17" text-anchor="middle">
      {{ scale[end].width }}
    </text>
  </g>
  <path
    v-if="scale.between === 'media'"
    class="change"
    :d="`M${x(changeWidth(scale))} ${EDGE.top}V${bottom}`"
  />
  <g
    v-drag="proofDrag"
    class="here"
    role="slider"
    tabindex="0"
    :aria-label="say.widthProofOnChart"
    :aria-valuemin="NARROWEST"
    :aria-valuemax="WIDEST"
    :aria-valuenow="proof.width"
    :aria-valuetext="`${proof.width} px`"
    @keydown="proofKey"
  >
    <rect :x="proofPlace - REACH" y="0" :width="2 * REACH" :height="bottom" fill="transparent" />
    <path :d="`M${proofPlace} 0V${bottom}`" />
  </g>
</template>

<style scoped>
.width,
.here {
  cursor: ew-resize;
}
.end {
  stroke: var(--ink-2);
}
.grip {
  fill: var(--sheet);
}
text {
  font-size: var(--size-beside);
  font-weight: 650;
  fill: var(--ink);
}
.change {
  stroke: var(--ink-2);
  stroke-dasharray: 2 3;
}
.here path {
  stroke: var(--verdigris);
  stroke-width: 1.5;
}
</style>
