<script setup lang="ts">
import type { ProjectDocument } from '@lettera/core/document';
import { layoutShift } from '@lettera/core/fallback';
import { computed, ref, shallowRef, watch } from 'vue';
import { urls } from '../api/client';
import { debounce } from '../control/debounce';
import { useFallbacks } from '../store/fallbacks';
import { usePlans } from '../store/plans';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import { useFontUrl } from './fontUrl';
import { boxesOf, elementsWithStyle, movableNear, styledElement } from './pageText';
import { ProofSheet, type ProofState } from './proofSheet';
import { setTextsOf } from './setTexts';

const props = defineProps<{
  /** Width and height that the frame may take on screen, px. */
  room: { width: number; height: number };
  /** Another state of the project than the one that is shown everywhere: then nothing is measured here. */
  document?: ProjectDocument;
}>();
const emit = defineEmits<{ pointed: [styleName: string | null] }>();

const project = useProject();
const proof = useProof();
const fallbacks = useFallbacks();
const plans = usePlans();
const frame = ref<HTMLIFrameElement | null>(null);
const sheet = shallowRef<ProofSheet | null>(null);
const ready = ref(false);

const zoom = computed(() => Math.min(1, props.room.width / proof.width));
const source = computed(() => urls.page(project.id, proof.page));

const shownDocument = computed(() => props.document ?? project.shown);
const fontUrl = useFontUrl();

const state = computed<ProofState | null>(() =>
  shownDocument.value
    ? {
        fontUrl,
        document: shownDocument.value,
        fallback: plans.fallbackOf(shownDocument.value),
        twins: fallbacks.twins,
        fonts: proof.fonts,
        ground: proof.ground,
      }
    : null,
);

const page = (): Document | null => frame.value?.contentDocument ?? null;

function update(): void {
  if (sheet.value && state.value) sheet.value.update(state.value);
}

/** Outlines all text of the selected style. */
function outline(): void {
  const current = page();
  if (!current || !project.document) return;
  current
    .querySelectorAll('[data-lettera-style]')
    .forEach((node) => node.removeAttribute('data-lettera-style'));
  if (!proof.style) return;
  for (const node of elementsWithStyle(project.document, current, proof.style)) {
    node.setAttribute('data-lettera-style', proof.style);
  }
}

function point(target: EventTarget | null): void {
  const current = page();
  current
    ?.querySelectorAll('[data-lettera-pointed]')
    .forEach((node) => node.removeAttribute('data-lettera-pointed'));
  // The node is of the frame's own window, whose classes are not this window's.
  const node = target && 'matches' in target ? (target as Element) : null;
  const found = node && project.document ? styledElement(project.document, node) : null;
  if (!found || !project.document || found.node === current?.body) {
    emit('pointed', null);
    return;
  }
  found.node.setAttribute('data-lettera-pointed', '');
  const styleKey = project.document.elements[found.key]?.style ?? '';
  emit('pointed', project.document.styles[styleKey]?.name ?? null);
}

function select(event: MouseEvent): void {
  event.preventDefault();
  const target = event.target as Element | null;
  const found = target && project.document ? styledElement(project.document, target) : null;
  proof.style = (found && project.document?.elements[found.key]?.style) ?? null;
}

/**
 * The shift of the swap at this width: once all fonts are there, the page is laid out in the fallback and
 * in the web faces within one frame, so that neither shows.
 */
async function measureShift(): Promise<void> {
  const current = page();
  const asked = state.value;
  if (!current || !sheet.value || !asked || fallbacks.state !== 'ready') return;
  await Promise.allSettled([...current.fonts].map((face) => face.load()));
  if (asked !== state.value || !sheet.value) return;
  const measuring = sheet.value;
  const scrolled = current.scrollingElement?.scrollTop ?? 0;
  current.scrollingElement?.scrollTo(0, 0);
  // What stands below the viewport moves nothing in it, and is left as it is.
  measuring.update({ ...asked, fonts: 'fallback' });
  const movable = movableNear(current);
  const before = boxesOf(movable);
  measuring.update({ ...asked, fonts: 'web' });
  const after = boxesOf(movable);
  measuring.update(asked);
  current.scrollingElement?.scrollTo(0, scrolled);
  const height = proof.width < 600 ? 800 : 720;
  proof.shift = layoutShift(before, after, { width: proof.width, height });
}

/** How the text of the page stands in its columns, once its faces are there. */
async function measureTexts(): Promise<void> {
  const current = page();
  const asked = state.value;
  if (!current || !asked || proof.fonts === 'fallback') return;
  await current.fonts.ready;
  if (asked !== state.value || current !== page()) return;
  const title = project.pages.find(({ slug }) => slug === proof.page)?.title ?? proof.page;
  proof.setPage = { title, width: proof.width, texts: setTextsOf(asked.document, current) };
}

/** How long the proof rests before it is measured, milliseconds. */
const REST = 600;
const measure = debounce(() => {
  void measureTexts();
  void measureShift();
}, REST);
function measureSoon(): void {
  if (!props.document) measure();
}

function onLoad(): void {
  const current = page();
  if (!current?.defaultView) return;
  sheet.value = new ProofSheet(current);
  current.addEventListener('mouseover', (event) => point(event.target));
  current.addEventListener('mouseleave', () => point(null));
  current.addEventListener('click', select);
  current.addEventListener('submit', (event) => event.preventDefault());
  current.addEventListener('keydown', (event) => {
    window.dispatchEvent(new KeyboardEvent('keydown', event));
  });
  update();
  outline();
  ready.value = true;
  measureSoon();
}

watch(state, () => {
  update();
  measureSoon();
});
watch([() => proof.style, () => project.document], outline);
watch([() => proof.width, () => fallbacks.state], measureSoon);
watch(source, () => {
  ready.value = false;
  sheet.value = null;
});
</script>

<template>
  <iframe
    ref="frame"
    :key="source"
    :src="source"
    :class="{ ready }"
    sandbox="allow-same-origin"
    :title="`Proof of ${project.document?.name ?? 'the project'}, ${proof.width} px wide`"
    :style="{
      width: `${proof.width}px`,
      height: `${room.height / zoom}px`,
      transform: `scale(${zoom})`,
      left: `${Math.max(0, (room.width - proof.width * zoom) / 2)}px`,
    }"
    @load="onLoad"
  />
</template>

<style scoped>
iframe {
  position: absolute;
  top: 0;
  border: 0;
  background: var(--sheet);
  transform-origin: 0 0;
  opacity: 0;
  transition: opacity var(--motion);
}
iframe.ready {
  opacity: 1;
}
</style>
