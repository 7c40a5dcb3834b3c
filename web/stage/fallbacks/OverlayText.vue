<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { percent } from '../../control/figures';

/**
 * Text in the web face and in the fallback, one over the other: the web face filled, with a solid rule at the
 * end of each line, the fallback in outline, with a dashed one.
 */
const props = defineProps<{
  text: string;
  /** `font-family` of each. */
  web: string;
  fallback: string;
  weight: number;
  slant: 'normal' | 'italic';
  size: number;
  /** Width of the column, px; null for one line that is not broken. */
  measure: number | null;
  /** Whether the ends of lines are marked, and the error of each word is shown. */
  ends?: boolean;
  words?: boolean;
}>();

interface Place {
  x: number;
  y: number;
  height: number;
}
interface WordError {
  word: string;
  error: number;
  x: number;
  y: number;
}

/** Words that are nearer than this are not marked: their figures would only stand in one another's way. */
const LEAST_SHOWN = 0.005;

const root = ref<HTMLElement | null>(null);
const places = ref<{ web: Place[]; fallback: Place[] }>({ web: [], fallback: [] });
const errors = ref<WordError[]>([]);
const pieces = computed(() => props.text.split(/\s+/).filter(Boolean));

const font = (family: string) => ({
  fontFamily: family,
  fontWeight: props.weight,
  fontStyle: props.slant,
  fontSize: `${props.size}px`,
  lineHeight: props.words ? 2.2 : 1.5,
});

/** The last word of each line, where it ends. */
function lineEnds(words: readonly HTMLElement[]): Place[] {
  return words.flatMap((word, i) => {
    const next = words[i + 1];
    if (next && next.offsetTop === word.offsetTop) return [];
    const { offsetLeft, offsetWidth, offsetTop, offsetHeight } = word;
    return [{ x: offsetLeft + offsetWidth, y: offsetTop, height: offsetHeight }];
  });
}

let frame = 0;
function lookSoon(): void {
  cancelAnimationFrame(frame);
  frame = requestAnimationFrame(() => {
    const [web, fallback] = ['web', 'fallback'].map((layer) => [
      ...(root.value?.querySelectorAll<HTMLElement>(`.${layer} span`) ?? []),
    ]);
    if (!web || !fallback) return;
    places.value = props.ends
      ? { web: lineEnds(web), fallback: lineEnds(fallback) }
      : { web: [], fallback: [] };
    errors.value = props.words
      ? web.flatMap((word, i) => {
          const wide = word.getBoundingClientRect().width;
          const other = fallback[i]?.getBoundingClientRect().width ?? wide;
          const error = wide ? other / wide - 1 : 0;
          const shown = {
            word: pieces.value[i] ?? '',
            error,
            x: word.offsetLeft,
            y: word.offsetTop,
          };
          return Math.abs(error) < LEAST_SHOWN ? [] : [shown];
        })
      : [];
  });
}

async function settle(): Promise<void> {
  await nextTick();
  lookSoon();
  const faces = [props.web, props.fallback].map(
    (family) => `${props.slant} ${props.weight} ${props.size}px ${family}`,
  );
  await Promise.allSettled(faces.map((face) => document.fonts.load(face, props.text)));
  lookSoon();
}
const observer = new ResizeObserver(lookSoon);
onMounted(() => {
  if (root.value) observer.observe(root.value);
  void settle();
});
onBeforeUnmount(() => {
  observer.disconnect();
  cancelAnimationFrame(frame);
});
watch(props, () => void settle());
</script>

<template>
  <div
    ref="root"
    class="overlay"
    :class="{ single: measure === null }"
    :style="measure === null ? {} : { width: `${measure}px` }"
  >
    <p class="web" :style="font(web)">
      <template v-for="(piece, i) in pieces" :key="i"
        ><span>{{ piece }}</span
        >{{ ' ' }}</template
      >
    </p>
    <p class="fallback" :style="font(fallback)" aria-hidden="true">
      <template v-for="(piece, i) in pieces" :key="i"
        ><span>{{ piece }}</span
        >{{ ' ' }}</template
      >
    </p>
    <template v-for="layer in ['web', 'fallback'] as const" :key="layer">
      <i
        v-for="(end, i) in places[layer]"
        :key="i"
        class="end"
        :class="layer"
        :style="{ left: `${end.x + 1}px`, top: `${end.y}px`, height: `${end.height}px` }"
      />
    </template>
    <small
      v-for="(one, i) in errors"
      :key="i"
      class="error"
      :style="{ left: `${one.x}px`, top: `${one.y - 9}px` }"
      >{{ one.error > 0 ? '+' : one.error < 0 ? '−' : '' }}{{ percent(Math.abs(one.error)) }}</small
    >
  </div>
</template>

<style scoped>
.overlay {
  position: relative;
  max-width: 100%;
  background: var(--sheet);
  isolation: isolate;
}
/* Where letters lie over one another the two colours put each other out: what differs is seen from a step back. */
p.fallback {
  position: absolute;
  inset: 0;
  color: var(--local);
  mix-blend-mode: var(--over);
}
p.web {
  color: var(--web);
}
.single p {
  max-height: 1lh;
  overflow: hidden;
}
.end {
  position: absolute;
  width: 0;
  border-left: 2px solid var(--web);
}
.end.fallback {
  border-left: 2px dashed var(--local);
}
.error {
  position: absolute;
  font-size: var(--size-beside);
  line-height: 1;
  color: var(--ink-2);
}
</style>
