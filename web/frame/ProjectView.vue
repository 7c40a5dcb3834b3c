<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useCaseFonts } from '../proof/caseFonts';
import ProofPane from '../proof/ProofPane.vue';
import { useApparentSize } from '../store/apparentSize';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import ConflictDialog from './ConflictDialog.vue';
import Docket from './Docket.vue';
import DropFonts from './DropFonts.vue';
import KeyHelp from './KeyHelp.vue';
import { rememberProject } from './lastProject';
import Ledger from './Ledger.vue';
import RefusalNotice from './RefusalNotice.vue';
import { isStage, STAGES } from './stages';
import { useShortcuts } from './useShortcuts';

const project = useProject();
const proof = useProof();
const route = useRoute();
const help = ref(false);
const failed = ref('');

useCaseFonts();
// Hears of families that change in any stage.
useApparentSize();
useShortcuts(help);

const stage = computed(() => (isStage(route.name) ? route.name : 'faces'));

async function open(): Promise<void> {
  failed.value = '';
  const asked = String(route.params['project']);
  try {
    await project.open(asked);
    rememberProject(asked);
    proof.style = null;
    const [first] = project.pages;
    if (first && !project.pages.some(({ slug }) => slug === proof.page)) proof.page = first.slug;
  } catch (error) {
    failed.value = (error as Error).message;
  }
}

watch(() => route.params['project'], open, { immediate: true });
watch(
  [stage, () => project.document?.name],
  ([key, name]) => {
    const title = STAGES.find((entry) => entry.key === key)?.name ?? '';
    document.title = name ? `${title} · ${name} · Lettera` : 'Lettera';
  },
  { immediate: true },
);

/** Parts of the window that the proof takes until it is dragged: the line-up's columns need room. */
const PROOF_SHARE = 0.367;
const PROOF_SHARE_BESIDE_FACES = 0.25;
/** What the proof, and docket and workbench together, need, px. */
const LEAST_PROOF = 280;
const LEAST_REST = 560;

function withinRoom(width: number): number {
  return Math.round(Math.max(LEAST_PROOF, Math.min(window.innerWidth - LEAST_REST, width)));
}

/** Faces keeps a width of its own, since it compares faces and not the page. */
const beside = computed(() => (stage.value === 'faces' ? 'faces' : 'stages'));
const widthKey = () => `lettera:proof-width:${beside.value}`;
const startingWidth = () =>
  withinRoom(
    Number(localStorage.getItem(widthKey())) ||
      window.innerWidth * (beside.value === 'faces' ? PROOF_SHARE_BESIDE_FACES : PROOF_SHARE),
  );

/** Width of the proof beside the workbench, px; dragged by the line between them. */
const proofWidth = ref(startingWidth());
watch(beside, () => (proofWidth.value = startingWidth()));

function resize(event: PointerEvent): void {
  if (event.type === 'pointermove' && event.buttons === 0) return;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  setProofWidth(window.innerWidth - event.clientX);
}

function setProofWidth(width: number): void {
  proofWidth.value = withinRoom(width);
  localStorage.setItem(widthKey(), String(proofWidth.value));
}

function resizeByKey(event: KeyboardEvent): void {
  const by = { ArrowLeft: 10, ArrowRight: -10 }[event.key];
  if (by) setProofWidth(proofWidth.value + by);
}
</script>

<template>
  <main v-if="failed" class="failed">
    <h1>The project could not be opened</h1>
    <p>{{ failed }}</p>
    <p>
      <button type="button" class="plain" @click="open">Try again</button> or go to
      <RouterLink to="/projects">the projects</RouterLink>.
    </p>
  </main>
  <div
    v-else-if="project.document"
    class="room"
    :class="[stage, { folded: proof.folded }]"
    :style="{ '--proof-width': `${proofWidth}px` }"
  >
    <Docket />
    <main class="workbench" :aria-label="STAGES.find(({ key }) => key === stage)?.name">
      <RouterView />
    </main>
    <div
      v-if="stage !== 'styles' && !proof.folded"
      class="divider"
      role="separator"
      aria-orientation="vertical"
      aria-label="Width of the proof’s column"
      :aria-valuenow="proofWidth"
      tabindex="0"
      @pointerdown="resize"
      @pointermove="resize"
      @keydown="resizeByKey"
    />
    <ProofPane v-if="!proof.folded" class="pane" />
    <Ledger class="foot">
      <button
        type="button"
        class="plain"
        :aria-expanded="!proof.folded"
        @click="proof.folded = !proof.folded"
      >
        {{ proof.folded ? 'Show the proof' : 'Fold the proof' }}
      </button>
      <button type="button" class="plain" @click="help = true">Keys <b>?</b></button>
    </Ledger>
    <DropFonts />
    <ConflictDialog />
    <KeyHelp v-model="help" />
    <RefusalNotice />
  </div>
  <p v-else class="visually-hidden" role="status">Opening the project …</p>
</template>

<style scoped>
.room {
  display: grid;
  grid-template: minmax(0, 1fr) auto / 216px minmax(0, 1fr) 5px var(--proof-width);
  grid-template-areas: 'docket workbench divider proof' 'ledger ledger ledger ledger';
  height: 100%;
}
.room.folded {
  grid-template: minmax(0, 1fr) auto / 216px minmax(0, 1fr);
  grid-template-areas: 'docket workbench' 'ledger ledger';
}
.room.styles:not(.folded) {
  grid-template: minmax(0, 1.25fr) minmax(0, 1fr) auto / 216px minmax(0, 1fr);
  grid-template-areas: 'docket proof' 'docket workbench' 'ledger ledger';
}
.room.styles .workbench {
  border-top: 1px solid var(--rule);
}
.docket {
  grid-area: docket;
}
.workbench {
  grid-area: workbench;
  min-width: 0;
  min-height: 0;
  overflow: auto;
  background: var(--sheet);
  container-type: inline-size;
}
.divider {
  grid-area: divider;
  cursor: col-resize;
  background: var(--sheet);
  border-right: 1px solid var(--rule);
  touch-action: none;
}
.divider:hover {
  background: var(--touched);
}
.pane {
  grid-area: proof;
}
.foot {
  grid-area: ledger;
}
/* Narrow: the docket folds to a strip at the top, and the proof takes turns with the workbench. */
@media (max-width: 900px) {
  .room,
  .room.styles:not(.folded) {
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
    grid-template-areas: 'docket' 'proof' 'ledger';
  }
  .room.folded {
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
    grid-template-areas: 'docket' 'workbench' 'ledger';
  }
  .room:not(.folded) .workbench,
  .divider {
    display: none;
  }
}
.failed {
  max-width: 480px;
  margin: 15vh auto 0;
  padding: 24px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
.failed p {
  margin-top: 8px;
}
.failed button {
  color: var(--verdigris);
  text-decoration: underline;
}
</style>
