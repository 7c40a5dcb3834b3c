<script setup lang="ts">
import { marksMargin as say } from './words';
import type { Mark } from '@lettera/core/check';
import { BODY_STYLE } from '@lettera/core/document';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { onceAtRest } from '../control/debounce';
import { count } from '../control/figures';
import { useMarks } from '../store/marks';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import MarkList from './MarkList.vue';
import { blocksInBody, elementsWithStyle } from './pageText';

/** Marks in the margin of the page, each beside the line that it is about and joined to it; the rest at its top. */
const props = defineProps<{
  /** How much of its size the page is shown at. */
  shownAt: number;
}>();
const project = useProject();
const proof = useProof();
const marks = useMarks();
const route = useRoute();
const router = useRouter();

interface Gathered {
  key: string;
  /** Where the line stands, px from the top of the frame; null for marks of no place. */
  y: number | null;
  marks: Mark[];
}
/** Marks nearer to one another than this stand together, px. */
const TOGETHER = 20;

/** The first text that wears a style; of the body's own, the first block. */
function placeOf(style: string | undefined): Element | null {
  const { shownPage } = proof;
  const document = project.shown;
  if (!style || !shownPage?.defaultView || !document) return null;
  const wearing =
    style === BODY_STYLE
      ? blocksInBody(document, shownPage)
      : elementsWithStyle(document, shownPage, style);
  return wearing.find((node) => node.getClientRects().length > 0) ?? null;
}

const places = shallowRef<{ mark: Mark; node: Element | null }[]>([]);
const tops = shallowRef<(number | null)[]>([]);
function look(): void {
  tops.value = places.value.map(({ node }) =>
    node?.isConnected ? node.getBoundingClientRect().top * props.shownAt : null,
  );
}
function find(): void {
  const found = new Map<string, Element | null>();
  for (const { style = '' } of marks.marks) if (!found.has(style)) found.set(style, placeOf(style));
  places.value = marks.marks.map((mark) => ({ mark, node: found.get(mark.style ?? '') ?? null }));
  look();
}
const REST = 400;
const soon = onceAtRest(find, REST);
watch([() => marks.marks, () => proof.shownPage, () => project.shown], soon, { immediate: true });
watch([() => props.shownAt, () => proof.width], soon);
watch(
  () => proof.shownPage,
  (page, before) => {
    before?.removeEventListener('scroll', look);
    page?.addEventListener('scroll', look, { passive: true });
  },
  { immediate: true },
);
onBeforeUnmount(() => proof.shownPage?.removeEventListener('scroll', look));

const gathered = computed<Gathered[]>(() => {
  const all = places.value
    .map(({ mark }, i) => ({ mark, y: tops.value[i] ?? null }))
    .sort((a, b) => (a.y ?? -1) - (b.y ?? -1));
  const groups: Gathered[] = [];
  for (const { mark, y } of all) {
    const last = groups.at(-1);
    const near = last && (y === null ? last.y === null : last.y !== null && y - last.y < TOGETHER);
    if (near) last.marks.push(mark);
    else groups.push({ key: `${mark.rule} ${mark.style ?? ''}`, y, marks: [mark] });
  }
  return groups;
});

const open = ref<string | null>(null);
const close = (event: KeyboardEvent) => {
  open.value = null;
  (event.currentTarget as HTMLElement).querySelector('button')?.focus();
};
const go = ({ stage, style }: Mark) => {
  if (style) proof.style = style;
  void router.push({ name: stage, params: { project: route.params['project'] } });
};
</script>

<template>
  <ul class="margin" :aria-label="say.marksOnPage">
    <li
      v-for="group in gathered"
      :key="group.key"
      :style="{ top: `${group.y ?? 4}px` }"
      :class="{ open: open === group.key, top: group.y === null }"
      @keydown.escape.stop="close"
    >
      <button
        type="button"
        :aria-expanded="open === group.key"
        :aria-label="`${count(group.marks.length, 'mark')}: ${group.marks[0]?.message ?? ''}`"
        @click="open = open === group.key ? null : group.key"
      >
        {{ group.marks.length }}
      </button>
      <div v-if="open === group.key" class="told">
        <MarkList
          :marks="group.marks"
          :label="say.marksHere"
          @take="marks.putRight($event)"
          @go="go"
        />
      </div>
    </li>
  </ul>
</template>

<style scoped>
.margin {
  position: absolute;
  inset: 0;
  margin: 0;
  padding: 0;
  overflow: hidden;
  pointer-events: none;
}
.margin > li {
  position: absolute;
  left: 0;
  pointer-events: auto;
}
.margin > li.open {
  z-index: 2;
}
/* The hairline that joins a mark to its line. */
.margin > li:not(.top)::after {
  content: '';
  position: absolute;
  top: 12px;
  left: 18px;
  width: 7px;
  border-top: 1px solid var(--mark);
}
/* Pressed on 24 × 24 px, of which it fills less. */
button {
  box-sizing: border-box;
  min-width: 24px;
  height: 24px;
  padding: 0 3px;
  font: 600 12px/1 inherit;
  color: var(--sheet);
  background: var(--mark) padding-box;
  border: solid transparent;
  border-width: 3px 6px 3px 0;
  border-radius: 0 8px 6px 0;
  cursor: pointer;
}
.told {
  width: min(340px, 70vw);
  max-height: 60vh;
  overflow-y: auto;
  padding: 0 12px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--mark);
}
</style>
