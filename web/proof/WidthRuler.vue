<script setup lang="ts">
import { widthRuler as say } from './words';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { arrowStep } from '../control/arrowStep';
import { readNumber } from '../control/readNumber';
import { useWidth } from '../control/useWidth';
import { NARROWEST, STOPS, useProof, WIDEST } from '../store/proof';

/**
 * The width of the page: dragged along the ruler, stepped by keys, typed into its figure, or one of the places that
 * stand on it.
 */
const proof = useProof();
const ruler = useTemplateRef<HTMLElement>('ruler');
const length = useWidth(ruler, 400);

/** Doubling a width is as far anywhere on the ruler: most pages are judged at its narrow end. */
const SPAN = Math.log(WIDEST / NARROWEST);
const at = (width: number): number => Math.log(width / NARROWEST) / SPAN;
const percent = (width: number): string => `${at(width) * 100}%`;

/** A place on the ruler: a stop that has a name, the room that there is, or a round figure. */
interface Place {
  width: number;
  says: string;
  asks?: number | null;
}
/** What a word and a figure need beside each other, px. */
const WORD = 46;
const FIGURE = 38;
const ROUND = [400, 500, 640, 1000, 1600, 2000];

/** The present width, by its name where it has one and there is room for it beside the width of the room. */
const present = computed(() => {
  const name = STOPS.find(({ width }) => width === proof.width)?.name.toLowerCase();
  const apart = (at(proof.room) - at(proof.width)) * length.value;
  return name && !(proof.room >= NARROWEST && apart > 0 && apart < 2 * FIGURE)
    ? { says: `${name} ${proof.width}`, needs: 2 * FIGURE }
    : { says: `${proof.width}`, needs: FIGURE };
});

const places = computed<Place[]>(() => {
  const named: Place[] = STOPS.map(({ name, width }) => ({
    width,
    says: name.toLowerCase(),
    asks: width,
  }));
  if (proof.asked !== null && proof.room >= NARROWEST) {
    named.push({ width: Math.min(WIDEST, proof.room), says: say.room, asks: null });
  }
  /** Where the present figure stands it covers what is there. */
  const taken: { from: number; to: number }[] = [spanOf(proof.width, present.value.needs)];
  const isFree = ({ from, to }: { from: number; to: number }): boolean =>
    taken.every((span) => to < span.from || from > span.to);
  return [...named, ...ROUND.map((width): Place => ({ width, says: `${width}` }))].filter(
    ({ width, asks }) => {
      const span = spanOf(width, asks === undefined ? FIGURE : WORD);
      const free = isFree(span);
      if (free) taken.push(span);
      return free;
    },
  );
});
/** Where a figure stands that begins at a width, px; at the end of the ruler it ends there. */
function spanOf(width: number, needs: number): { from: number; to: number } {
  const from = at(width) * length.value;
  return from + needs > length.value
    ? { from: from - needs, to: from }
    : { from, to: from + needs };
}
const atEnd = (width: number, needs: number): boolean =>
  at(width) * length.value + needs > length.value;

const label = computed(
  () => STOPS.find(({ width }) => width === proof.width)?.name ?? `${proof.width} px`,
);

/** How far from the end of what is measured the pointer has taken hold, px; null while it has not. */
let hold: number | null = null;
const endOf = ({ left, width }: DOMRect): number => left + at(proof.width) * width;
function grab(event: PointerEvent): void {
  if (!ruler.value || typing.value !== null) return;
  if ((event.target as Element).closest('button')) return;
  ruler.value.setPointerCapture(event.pointerId);
  const onHandle = handle.value?.contains(event.target as Node) === true;
  hold = onHandle ? event.clientX - endOf(ruler.value.getBoundingClientRect()) : 0;
  if (!onHandle) drag(event);
}
function drag(event: PointerEvent): void {
  if (!ruler.value || hold === null) return;
  const { left, width } = ruler.value.getBoundingClientRect();
  proof.setWidth(NARROWEST * Math.exp(((event.clientX - hold - left) / width) * SPAN));
}

/** What is being typed; null while nothing is. */
const typing = ref<string | null>(null);
const field = useTemplateRef<HTMLInputElement>('field');
const handle = useTemplateRef<HTMLElement>('handle');
const refused = ref('');

async function type(): Promise<void> {
  typing.value = String(proof.width);
  await nextTick();
  field.value?.select();
}
function take(leaving = false): void {
  const said = typing.value;
  if (said === null) return;
  const width = readNumber(said, 'px', 'px');
  const good = width !== null && width >= NARROWEST && width <= WIDEST;
  if (!good && !leaving) {
    refused.value = say.giveWidthFromPx(NARROWEST, WIDEST);
    return;
  }
  if (good && Math.round(width) !== proof.width) proof.setWidth(width);
  stop(!leaving);
}
function stop(comeBack = true): void {
  typing.value = null;
  refused.value = '';
  if (comeBack) void nextTick(() => handle.value?.focus());
}

function onKey(event: KeyboardEvent): void {
  const by = arrowStep(event);
  if (by !== null) proof.setWidth(proof.width + by);
  else if (event.key === 'Enter') {
    event.preventDefault();
    void type();
  }
}
</script>

<template>
  <div
    ref="ruler"
    class="ruler"
    role="group"
    :aria-label="say.widthPage"
    :data-asked="proof.asked"
    @pointerdown="grab"
    @pointermove="drag"
    @pointerup="hold = null"
    @pointercancel="hold = null"
    @dblclick="proof.setWidth(null)"
  >
    <span class="measured" :style="{ width: percent(proof.width) }" />
    <template v-for="{ width, says, asks } in places" :key="says">
      <button
        v-if="asks !== undefined"
        type="button"
        class="plain tick stop"
        :class="{ ends: atEnd(width, WORD) }"
        :style="{ left: percent(width) }"
        :title="asks === null ? say.asWideAsThere : `${width} px`"
        @click="proof.setWidth(asks)"
      >
        {{ says }}
      </button>
      <span v-else class="tick" :style="{ left: percent(width) }">{{ says }}</span>
    </template>
    <span
      ref="handle"
      class="tick handle"
      :class="{ ends: atEnd(proof.width, present.needs) }"
      role="slider"
      tabindex="0"
      :aria-label="say.widthProof"
      :title="say.dragStepArrowKeys"
      :aria-valuemin="NARROWEST"
      :aria-valuemax="WIDEST"
      :aria-valuenow="proof.width"
      :aria-valuetext="say.widthNamed(proof.width, label)"
      :style="{ left: percent(proof.width) }"
      @keydown="onKey"
      @dblclick.stop="type"
      >{{ present.says }}</span
    >
    <span
      v-if="typing !== null"
      class="typed"
      :class="{ ends: at(proof.width) > 0.5 }"
      :style="{ left: percent(proof.width) }"
    >
      <input
        ref="field"
        v-model="typing"
        inputmode="numeric"
        :aria-label="say.widthPagePx"
        :aria-invalid="refused !== ''"
        @keydown.enter="take()"
        @keydown.esc.stop="stop()"
        @blur="take(true)"
      />
      <span v-if="refused" role="alert" class="small">{{ refused }}</span>
    </span>
  </div>
</template>

<style scoped>
.ruler {
  position: relative;
  flex: none;
  height: 24px;
  border-top: 1px solid var(--rule);
  cursor: ew-resize;
  touch-action: none;
}
.measured {
  position: absolute;
  inset: auto auto 0 0;
  height: 2px;
  background: var(--verdigris);
  pointer-events: none;
}
.tick {
  position: absolute;
  bottom: 0;
  height: 24px;
  padding: 0 4px;
  font-size: 11px;
  line-height: 22px;
  color: var(--ink-2);
  white-space: nowrap;
  border-left: 1px solid var(--rule);
}
.tick:not(.stop, .handle) {
  pointer-events: none;
}
.tick.ends {
  border: 0;
  border-right: 1px solid var(--rule);
  transform: translateX(-100%);
}
.stop {
  display: flex;
  align-items: flex-start;
  min-width: 24px;
  cursor: pointer;
}
.stop:hover {
  color: var(--ink);
  text-decoration: underline;
}
.handle {
  font-weight: 640;
  color: var(--verdigris);
  border-color: var(--verdigris);
  border-width: 2px;
}
.tick.handle.ends {
  border-right: 2px solid var(--verdigris);
}
.typed {
  position: absolute;
  top: 0;
  z-index: 4;
  display: grid;
  gap: 2px;
  cursor: auto;
}
.typed.ends {
  transform: translateX(-100%);
}
.typed input {
  width: 64px;
  height: 24px;
  padding: 0 6px;
  font-size: 12px;
  background: var(--sheet);
  border: 1px solid var(--verdigris);
}
.typed [role='alert'] {
  width: max-content;
  padding: 4px 8px;
  background: var(--sheet);
  border: 1px solid var(--mark);
}
</style>
