<script setup lang="ts">
import { proofFrame as say } from './words';
import { BODY_STYLE, occasionOf, valuesAt, type ProjectDocument } from '@lettera/core/document';
import { documentAt } from '@lettera/core/style';
import { layoutShift } from '@lettera/core/fallback';
import { computed, ref, shallowRef, watch } from 'vue';
import { onceAtRest } from '../control/debounce';
import { forceState, makeForceable, stateOf } from '../reader/forcedStates';
import { freeNames } from '../reader/freeNames';
import { useFallbacks } from '../store/fallbacks';
import { usePlans } from '../store/plans';
import { styleInWords } from './styleInWords';
import { useProject } from '../store/project';
import { useProof, type Eye } from '../store/proof';
import { useFontUrl } from './fontUrl';
import { BESIDE_NOTHING, pageAddress } from './pageAddress';
import { speak } from './spoken';
import { goTo, placeOf, type PagePlace } from './pagePlace';
import {
  blocksInBody,
  boxesOf,
  elementsWithStyle,
  movableNear,
  styledElement,
  textRunsOf,
} from './pageText';
import { outlineMoved } from './moved';
import { ProofSheet, type ProofState } from './proofSheet';
import { viewportHeight } from './shiftIn';
import { paintedTexts } from './paintedTexts';
import { setTextsOf, textsByStyle } from './setTexts';
import { watchFaces } from './waitingFaces';

/** How a page is shown otherwise than the proof is. */
export interface Look {
  width?: number;
  fonts?: 'web' | 'fallback';
  ground?: 'light' | 'dark';
  document?: ProjectDocument;
}

const props = defineProps<{
  /** Width and height that the frame may take on screen, px. */
  room: { width: number; height: number };
  /** Another state of the project than the one that is shown everywhere: then nothing is measured here. */
  document?: ProjectDocument;
  /** Shown beside the proof itself, in another way: then nothing is measured here. */
  look?: Look;
  /** Where the page is to stand, as another frame that shows the same page says. */
  place?: PagePlace | null;
}>();
const emit = defineEmits<{ pointed: [said: string | null]; moved: [place: PagePlace] }>();

const project = useProject();
const proof = useProof();
const fallbacks = useFallbacks();
const plans = usePlans();
const frame = ref<HTMLIFrameElement | null>(null);
const sheet = shallowRef<ProofSheet | null>(null);
const ready = ref(false);

/** Another state is compared at full size: its page is as wide as its room. */
const width = computed(
  () => props.look?.width ?? (props.document ? props.room.width : proof.width),
);
/** What stands beside the proof is no place to measure in. */
const second = computed(() => props.document !== undefined || props.look !== undefined);
/** How much of its size the page is shown at: what it is shrunk by to fit, and zoomed by. */
const zoom = computed(
  () => Math.min(1, props.room.width / width.value) * shownZoom.value * EYE[proof.eye],
);
/** What a page is shrunk to, to be seen from afar. */
const EYE: Record<Eye, number> = { sharp: 1, blurred: 1, afar: 0.35 };
const shownZoom = computed(() => (second.value ? 1 : proof.zoom));

/** The proof itself may show the state before. */
const isBefore = computed(() => !second.value && proof.before && proof.earlier !== null);
const shownDocument = computed(
  () =>
    props.look?.document ??
    props.document ??
    (isBefore.value ? proof.earlier?.document : null) ??
    project.shown,
);
/** A page as it stands without the project is nothing to measure the project on. */
const isBare = computed(() => proof.bare && project.isOwnPage(proof.page) && !props.document);
const source = computed(() => {
  const document = shownDocument.value;
  return pageAddress(
    project.id,
    proof.page,
    document && isBare.value ? { pages: document.pages, delivery: BESIDE_NOTHING } : document,
  );
});
const fontUrl = useFontUrl();

/** What is looked at where it differs is shown so: in a state, in print, in a container of that width. */
const setDocument = computed(() => {
  const document = shownDocument.value;
  const { occasion } = proof;
  if (!document || occasion === null || second.value || isBefore.value) return document;
  const named = occasionOf(occasion);
  const isDrawnAnyway =
    named?.kind === 'part' || (!named && !document.widths?.[occasion]?.container);
  return isDrawnAnyway ? document : documentAt(document, valuesAt(occasion));
});

const state = computed<ProofState | null>(() =>
  setDocument.value && shownDocument.value
    ? {
        fontUrl,
        occasion: second.value ? null : proof.occasion,
        document: setDocument.value,
        fallback: plans.fallbackOf(shownDocument.value),
        twins: fallbacks.twins,
        fonts: props.look?.fonts ?? proof.fonts,
        ground: props.look?.ground ?? proof.ground,
        textSize: proof.textSize,
        bare: isBare.value,
        delivery: proof.files === 'delivered' ? plans.deliveryOf(shownDocument.value) : undefined,
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
  if (!proof.style) {
    force(current, []);
    return;
  }
  const wearing =
    proof.style === BODY_STYLE
      ? blocksInBody(project.document, current)
      : elementsWithStyle(project.document, current, proof.style);
  for (const node of wearing) node.setAttribute('data-lettera-style', proof.style);
  force(current, wearing);
}

/** Puts the texts of the selected style into the state that is looked at, for the rules of the page's own. */
function force(current: Document, nodes: readonly Element[]): void {
  const wanted = proof.occasion === null ? null : stateOf(proof.occasion);
  if (wanted === null && !isForced) return;
  forceState(current, null);
  isForced = wanted !== null;
  if (wanted === null) return;
  makeForceable(current);
  forceState(current, wanted, nodes);
}
let isForced = false;

function point(target: EventTarget | null): void {
  const current = page();
  current
    ?.querySelectorAll('[data-lettera-pointed]')
    .forEach((node) => node.removeAttribute('data-lettera-pointed'));
  // The node is of the frame's own window, whose classes are not this window's.
  const node = target && 'matches' in target ? (target as Element) : null;
  const found =
    node && project.document && !isBare.value ? styledElement(project.document, node) : null;
  if (!found || !project.document) {
    emit('pointed', null);
    return;
  }
  if (found.node !== current?.body) found.node.setAttribute('data-lettera-pointed', '');
  const styleKey = project.document.elements[found.key]?.style ?? '';
  emit('pointed', styleInWords(project.document, styleKey) || null);
}

function select(event: MouseEvent): void {
  event.preventDefault();
  const target = event.target as Element | null;
  const found = target && project.document ? styledElement(project.document, target) : null;
  proof.style = isBare.value
    ? null
    : ((found && project.document?.elements[found.key]?.style) ?? null);
  if (!second.value) proof.node = target;
}

/** Points out the elements that a list beside the page names. */
function pointOut(nodes: readonly Element[], before: readonly Element[] = []): void {
  for (const node of before) node.removeAttribute('data-lettera-out');
  for (const node of nodes) node.setAttribute('data-lettera-out', '');
}
watch(() => proof.pointedOut, pointOut);

/** Runs of text of the page as it was read, by their number, and what they said. */
let runs: { node: Text; said: string }[] = [];
function setTyped(): void {
  const typed = shownDocument.value?.typed?.[proof.page]?.texts ?? {};
  const instead = proof.language?.begin();
  runs.forEach(({ node, said }, i) => {
    const text = instead ? instead(said) : (typed[i] ?? said);
    if (node.data !== text) node.data = text;
  });
  const current = page();
  if (current) speak(current, proof.language);
}
watch([() => shownDocument.value?.typed?.[proof.page], () => proof.language], () => {
  setTyped();
  measureSoon();
});

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
  outlineMoves(current, movable, before, after);
  proof.shift = layoutShift(before, after, {
    width: width.value,
    height: viewportHeight(width.value),
  });
}

/** Outlines what moves in the swap, where that is wanted. */
function outlineMoves(...measured: Parameters<typeof outlineMoved>): void {
  const [current, movable, before, after] = measured;
  outlineMoved(current, proof.moves ? movable : [], before, after);
}

/** How the text of the page stands in its columns, once its faces are there. */
async function measureTexts(): Promise<void> {
  const current = page();
  const asked = state.value;
  if (!current || !asked || proof.fonts === 'fallback') return;
  await current.fonts.ready;
  if (asked !== state.value || current !== page()) return;
  const title = project.pages.find(({ slug }) => slug === proof.page)?.title ?? proof.page;
  proof.setPage = {
    title,
    width: width.value,
    texts: setTextsOf(asked.document, current),
    ...textsByStyle(asked.document, current),
    painted: paintedTexts(asked.document, current, { side: asked.ground }),
  };
}

/** How long the proof rests before it is measured, milliseconds. */
const REST = 600;
const measure = onceAtRest(() => {
  void measureTexts();
  void measureShift();
}, REST);
function measureSoon(): void {
  if (!second.value && !isBefore.value && !isBare.value) measure();
}

/** Tells where the page stands once it has been moved here, so that others move along. */
let movedHere = true;
function tellPlace(): void {
  const current = page();
  if (current && movedHere) emit('moved', placeOf(current));
  movedHere = true;
}
watch(
  () => props.place,
  (place) => {
    const current = page();
    if (!place || !current || !ready.value) return;
    movedHere = !goTo(current, place);
  },
);

function onLoad(): void {
  const current = page();
  if (current) freeNames(current);
  if (!current?.defaultView) return;
  current.addEventListener('scroll', tellPlace, { passive: true });
  runs = textRunsOf(current).map((node) => ({ node, said: node.data }));
  setTyped();
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
  if (!second.value) {
    proof.shownPage = current;
    const isWeb = (family: string): boolean =>
      Object.values(shownDocument.value?.case ?? {}).some(({ name }) => name === family);
    // A page that has gone tells nothing any more.
    watchFaces(current, isWeb, (faces) => {
      if (proof.shownPage === current) proof.faces = faces;
    });
  }
  measureSoon();
}

watch(state, () => {
  update();
  measureSoon();
});
watch([() => proof.style, () => proof.occasion, () => project.document], outline);
watch([() => proof.width, () => fallbacks.state, () => proof.moves], measureSoon);
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
    sandbox="allow-same-origin allow-modals"
    :title="say.proofPxWide(project.document?.name ?? 'the project', width)"
    :style="{
      width: `${width / shownZoom}px`,
      height: `${room.height / zoom}px`,
      transform: `scale(${zoom})`,
      left: `${Math.max(0, (room.width - (width / shownZoom) * zoom) / 2)}px`,
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
