<script setup lang="ts">
import { computed, ref } from 'vue';
import { arrowStep } from '../control/arrowStep';
import { NARROWEST, STOPS, useProof, WIDEST } from '../store/proof';

const proof = useProof();
const ruler = ref<HTMLElement | null>(null);

/** Doubling a width is as far anywhere on the ruler: most pages are judged at its narrow end. */
const SPAN = Math.log(WIDEST / NARROWEST);
const at = (width: number): number => (Math.log(width / NARROWEST) / SPAN) * 100;
const ticks = [400, 500, 640, 800, 1000, 1280, 1600, 2000];

const label = computed(
  () => STOPS.find(({ width }) => width === proof.width)?.name ?? `${proof.width} px`,
);

function drag(event: PointerEvent): void {
  if (!ruler.value || (event.type === 'pointermove' && event.buttons === 0)) return;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  const { left, width } = ruler.value.getBoundingClientRect();
  proof.setWidth(NARROWEST * Math.exp(((event.clientX - left) / width) * SPAN));
}

function step(event: KeyboardEvent): void {
  const by = arrowStep(event);
  if (by !== null) proof.setWidth(proof.width + by);
}
</script>

<template>
  <div
    ref="ruler"
    class="ruler"
    role="slider"
    tabindex="0"
    aria-label="Width of the proof"
    :aria-valuemin="NARROWEST"
    :aria-valuemax="WIDEST"
    :aria-valuenow="proof.width"
    :aria-valuetext="`${proof.width} px, ${label}`"
    @pointerdown="drag"
    @pointermove="drag"
    @keydown="step"
  >
    <span class="measured" :style="{ width: `${at(proof.width)}%` }" />
    <span v-for="width in ticks" :key="width" class="tick" :style="{ left: `${at(width)}%` }">{{
      width
    }}</span>
    <span class="handle" :style="{ left: `${at(proof.width)}%` }" />
  </div>
</template>

<style scoped>
.ruler {
  position: relative;
  height: 20px;
  border-bottom: 1px solid var(--rule);
  cursor: ew-resize;
  touch-action: none;
  overflow: hidden;
}
.measured {
  position: absolute;
  inset: auto auto 0 0;
  height: 3px;
  background: var(--verdigris);
}
.tick {
  position: absolute;
  bottom: 0;
  height: 100%;
  padding-left: 3px;
  border-left: 1px solid var(--rule);
  font-size: 11px;
  line-height: 14px;
  color: var(--ink-2);
  pointer-events: none;
}
.handle {
  position: absolute;
  bottom: 0;
  width: 3px;
  height: 100%;
  margin-left: -3px;
  background: var(--verdigris);
}
</style>
