<script setup lang="ts">
import { projectView as say } from './words';
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import DoButton from '../control/DoButton.vue';
import { whenIdle } from '../control/whenIdle';
import { useCaseFonts } from '../proof/caseFonts';
import ProofPane from '../proof/ProofPane.vue';
import { useApparentSize } from '../store/apparentSize';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import Docket from './Docket.vue';
import { rememberProject } from './lastProject';
import Ledger from './Ledger.vue';
import { usePageInAddress } from './pageInAddress';
import RefusalNotice from './RefusalNotice.vue';
import { isStage, STAGES, type StageKey } from './stages';
import { useShortcuts } from './useShortcuts';

/** Come after what is seen first. */
const ConflictDialog = defineAsyncComponent(() => import('./ConflictDialog.vue'));
const KeyHelp = defineAsyncComponent(() => import('./KeyHelp.vue'));
const DropFiles = defineAsyncComponent(() => import('./DropFiles.vue'));
const settled = ref(false);
whenIdle(async () => {
  settled.value = true;
  // The running site is heard in any stage.
  (await import('../store/live')).useLive();
});

const project = useProject();
const proof = useProof();
const route = useRoute();
const help = ref(false);
const failed = ref('');

/** As the style sheet has it: the proof takes turns with the workbench. */
const NARROW = matchMedia('(max-width: 900px)');
const narrow = ref(NARROW.matches);
const onNarrow = ({ matches }: MediaQueryListEvent): unknown => (narrow.value = matches);
NARROW.addEventListener('change', onNarrow);
onBeforeUnmount(() => NARROW.removeEventListener('change', onNarrow));

useCaseFonts();
// Hears of families that change in any stage.
useApparentSize();
useShortcuts(help);

const { showAsked } = usePageInAddress();

const stage = computed(() => (isStage(route.name) ? route.name : 'faces'));

/** Nothing in the case and no library to look in: the ways to begin are what there is. */
const beginning = computed(
  () =>
    stage.value === 'faces' &&
    !project.stored?.foundry &&
    Object.keys(project.document?.case ?? {}).length === 0,
);
/** A project that has nothing yet has nothing to prove: its first view has the room. */
const proofShown = computed(() => !proof.folded && !proof.yielded && !beginning.value);

async function open(): Promise<void> {
  failed.value = '';
  const asked = String(route.params['project']);
  try {
    await project.open(asked);
    rememberProject(asked);
    // What was looked at in another project says nothing here.
    Object.assign(proof, { style: null, before: false, change: null });
    showAsked();
  } catch (error) {
    failed.value = (error as Error).message;
  }
}

/** A page that is taken out, here, by undo or by somebody else, makes way for the first there is. */
function showSomePage(): void {
  const [first] = project.pages;
  if (first && !project.pages.some(({ slug }) => slug === proof.page)) proof.page = first.slug;
}
watch(() => project.pages, showSomePage);
watch(() => route.params['project'], open, { immediate: true });
watch(
  [stage, () => project.document?.name],
  ([key, name]) => {
    const title = STAGES.find((entry) => entry.key === key)?.name ?? '';
    document.title = name ? say.lettera(title, name) : say.productName;
  },
  { immediate: true },
);

/** Part of the window that the proof takes in a stage until its edge is dragged there. */
const PROOF_SHARE: Partial<Record<StageKey, number>> = { faces: 0.31, pair: 0.33 };
const PROOF_SHARE_ELSEWHERE = 0.375;
/** What the proof, and docket and workbench together, need, px. */
const LEAST_PROOF = 330;
const LEAST_REST = 560;

function withinRoom(width: number): number {
  return Math.round(Math.max(LEAST_PROOF, Math.min(window.innerWidth - LEAST_REST, width)));
}

/** Each stage keeps the width that was chosen for it. */
const widthKey = () => `lettera:proof-width:${stage.value}`;
const startingWidth = () =>
  withinRoom(
    Number(localStorage.getItem(widthKey())) ||
      window.innerWidth * (PROOF_SHARE[stage.value] ?? PROOF_SHARE_ELSEWHERE),
  );

/** Width of the proof beside the workbench, px; dragged by the line between them. */
const proofWidth = ref(startingWidth());
watch(stage, () => {
  proofWidth.value = startingWidth();
  proof.whole = false;
});

/** A window that is made smaller leaves the workbench its room. */
const fitWindow = () => (proofWidth.value = startingWidth());
onMounted(() => window.addEventListener('resize', fitWindow));
onBeforeUnmount(() => window.removeEventListener('resize', fitWindow));

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
  const by = { ArrowLeft: 1, ArrowRight: -1 }[event.key];
  if (!by) return;
  event.preventDefault();
  setProofWidth(proofWidth.value + by * (event.shiftKey ? 100 : 10));
}
</script>

<template>
  <main v-if="failed" class="failed">
    <h1>{{ say.projectCouldNotBe }}</h1>
    <p>{{ failed }}</p>
    <p>
      <button type="button" class="plain" @click="open">{{ say.tryAgain }}</button> {{ say.orGo }}
      <RouterLink to="/projects" class="go">{{ say.projects }}</RouterLink>.
    </p>
  </main>
  <div
    v-else-if="project.document"
    class="room"
    :class="[stage, { folded: !proofShown, whole: proof.whole && proofShown }]"
    :style="{ '--proof-width': `${proofWidth}px` }"
  >
    <Docket />
    <main class="workbench" :aria-label="STAGES.find(({ key }) => key === stage)?.name">
      <RouterView />
    </main>
    <div
      v-if="stage !== 'styles' && proofShown && !proof.whole"
      class="divider"
      role="separator"
      aria-orientation="vertical"
      :aria-label="say.widthProofsColumn"
      :aria-valuenow="proofWidth"
      tabindex="0"
      @pointerdown="resize"
      @pointermove="resize"
      @keydown="resizeByKey"
    />
    <ProofPane v-if="proofShown" class="pane" />
    <Ledger class="foot">
      <DoButton v-if="!beginning && !proof.yielded" bare @click="proof.folded = !proof.folded">
        {{ proof.folded ? say.showPage : narrow ? say.showWorkbench : say.hidePage }}
      </DoButton>
      <DoButton bare :label="say.keys" :title="say.keysHint" @click="help = true" />
    </Ledger>
    <template v-if="settled">
      <DropFiles />
      <ConflictDialog />
      <KeyHelp v-model="help" />
    </template>
    <RefusalNotice />
  </div>
  <p v-else class="visually-hidden" role="status">{{ say.openingProject }}</p>
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
.room.whole,
.room.styles.whole:not(.folded) {
  grid-template: minmax(0, 1fr) auto / 216px minmax(0, 1fr);
  grid-template-areas: 'docket proof' 'ledger ledger';
}
.room.whole .workbench {
  display: none;
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
  background: linear-gradient(var(--touched), var(--touched)), var(--sheet);
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
  .room.whole,
  .room.styles:not(.folded),
  .room.styles.whole:not(.folded) {
    grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr);
    grid-template-areas: 'docket' 'proof' 'ledger';
  }
  .room.folded,
  .room.styles.folded {
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
