<script setup lang="ts">
import { proofPane as say } from './words';
import {
  computed,
  defineAsyncComponent,
  onBeforeUnmount,
  onMounted,
  ref,
  shallowRef,
  watch,
} from 'vue';
import DoButton from '../control/DoButton.vue';
import { whenIdle } from '../control/whenIdle';
import { useProject } from '../store/project';
import { STOPS, useProof, type FacesHere } from '../store/proof';
import StandIns from './StandIns.vue';
import ProofChoices from './ProofChoices.vue';
import type { PagePlace } from './pagePlace';
import ProofFrame, { type Look } from './ProofFrame.vue';
import { styleInWords } from './styleInWords';
import WidthRuler from './WidthRuler.vue';

/** Come after the page, which shows without them. */
const ViewMenu = defineAsyncComponent(() => import('./ViewMenu.vue'));
const MarksMargin = defineAsyncComponent(() => import('./MarksMargin.vue'));
const settled = ref(false);
whenIdle(() => (settled.value = true));
const ProofPanel = defineAsyncComponent(() => import('./panel/ProofPanel.vue'));

const project = useProject();
const proof = useProof();
const pointed = ref<string | null>(null);
/** What the foot says while nothing is pointed at and no style is selected, or faces are not there. */
const FOOT: Record<FacesHere, string> = {
  there: say.pointAtTextSee,
  waiting: say.facesOnTheirWay,
  failed: say.faceDidNotCome,
};
const foot = computed(() => {
  if (pointed.value !== null) return pointed.value;
  const selected =
    proof.faces === 'there' && proof.style !== null && project.document
      ? styleInWords(project.document, proof.style)
      : '';
  return selected || FOOT[proof.faces];
});
const view = ref<HTMLElement | null>(null);
const room = ref({ width: 0, height: 0 });

const GAP = 8;
/** Two pages share the room. */
const frameRoom = computed(() => ({
  width: proof.beside === 'alone' ? room.value.width : Math.floor((room.value.width - GAP) / 2),
  height: room.value.height,
}));
/** How much of its size the page is shown at. */
const shownAt = computed(() => Math.min(1, frameRoom.value.width / proof.width) * proof.zoom);
/** Marks stand before the page where there is room beside it. */
const MARGIN = 25;
const marginLeft = computed(() => Math.max(0, (frameRoom.value.width - proof.width) / 2 - MARGIN));
watch(
  () => frameRoom.value.width,
  (width) => (proof.room = width),
);

/** Where the page stands, and in which of two frames it was moved there. */
const place = shallowRef<{ by: 'proof' | 'other'; at: PagePlace } | null>(null);

/** What stands beside the page, and what is said of it. */
function besideIt(): { look: Look; says: string } | null {
  const [phone, , laptop] = STOPS;
  const { width } = proof;
  switch (proof.beside) {
    case 'alone':
      return null;
    case 'phone':
      return { look: { width: phone.width }, says: say.phonePx(phone.width) };
    case 'laptop':
      return { look: { width: laptop.width }, says: say.laptopPx(laptop.width) };
    case 'fonts': {
      const fonts = proof.fonts === 'web' ? 'fallback' : 'web';
      return { look: { width, fonts }, says: fonts === 'web' ? say.webFaces : say.fallback };
    }
    case 'ground': {
      const ground = proof.ground === 'light' ? 'dark' : 'light';
      return { look: { width, ground }, says: say.onGround(ground) };
    }
    case 'opened':
      return {
        look: { width, ...(project.opened ? { document: project.opened } : {}) },
        says: say.asWasOpened,
      };
    case 'contender':
    case 'earlier': {
      const { document, says } = proof[proof.beside] ?? {};
      return document ? { look: { width, document }, says: says ?? '' } : null;
    }
  }
}
const other = computed(besideIt);

const observer = new ResizeObserver(([entry]) => {
  if (entry) room.value = { width: entry.contentRect.width, height: entry.contentRect.height };
});
onMounted(() => view.value && observer.observe(view.value));
onBeforeUnmount(() => observer.disconnect());
</script>

<template>
  <section class="proof" :aria-label="say.proof">
    <header>
      <ProofChoices />
      <ViewMenu v-if="settled" />
      <button
        type="button"
        class="plain whole"
        :aria-pressed="proof.whole"
        :aria-label="proof.whole ? say.giveRoomBack : say.fullWidth"
        :title="`${proof.whole ? say.giveRoomBack : say.fullWidth} (r)`"
        @click="proof.whole = !proof.whole"
      >
        <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
          <path
            :d="
              proof.whole
                ? 'M4.5 3L1 7l3.5 4M9.5 3L13 7l-3.5 4M5 7h4'
                : 'M1 2v10M13 2v10M3.5 7h7M5.5 5L3.5 7l2 2M8.5 5l2 2-2 2'
            "
          />
        </svg>
      </button>
    </header>
    <WidthRuler />
    <div class="page">
      <div ref="view" class="view">
        <template v-if="project.id && room.width > 0">
          <div class="one" :class="proof.eye" :style="{ width: `${frameRoom.width}px` }">
            <ProofFrame
              :room="frameRoom"
              :place="place?.by === 'other' ? place.at : null"
              @pointed="pointed = $event"
              @moved="place = { by: 'proof', at: $event }"
            />
            <MarksMargin
              v-if="settled && proof.eye === 'sharp' && !proof.bare"
              :shown-at="shownAt"
              :style="{ left: `${marginLeft}px` }"
            />
          </div>
          <div
            v-if="other"
            class="one other"
            :class="proof.eye"
            :style="{ width: `${frameRoom.width}px` }"
          >
            <ProofFrame
              :room="frameRoom"
              :look="other.look"
              :place="place?.by === 'proof' ? place.at : null"
              @moved="place = { by: 'other', at: $event }"
            />
            <span class="small says">{{ other.says }}</span>
          </div>
        </template>
      </div>
      <ProofPanel v-if="proof.panel" class="panel" />
    </div>
    <StandIns class="stand-ins" />
    <footer class="small quiet">
      <span v-if="proof.before" class="line earlier">
        <b>{{ say.asWas(proof.earlier?.says ?? '') }}</b>
        <DoButton :label="say.showAsNow" title="b" @click="proof.before = false" />
      </span>
      <span v-else class="pointed" aria-live="polite">{{ foot }}</span>
      <span class="figure">{{
        say.widthAndStop(
          proof.width,
          shownAt === 1
            ? '100 %'
            : say.scaledTo(shownAt < 1 ? 'shrunk' : 'zoomed', Math.round(shownAt * 100)),
        )
      }}</span>
    </footer>
  </section>
</template>

<style scoped>
.proof {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  background: var(--ground);
}
header {
  display: flex;
  flex: none;
  gap: 10px;
  align-items: center;
  height: 38px;
  padding: 0 14px;
}
.stand-ins {
  padding: 4px 14px;
}
.whole {
  display: grid;
  flex: none;
  place-items: center;
  width: 24px;
  height: 24px;
}
.whole path {
  fill: none;
  stroke: var(--ink-2);
}
.whole:hover path,
.whole[aria-pressed='true'] path {
  stroke: var(--verdigris);
}
/* On a narrow screen it has the whole room already. */
@media (max-width: 900px) {
  .whole {
    display: none;
  }
}
.proof {
  container-type: inline-size;
}
.page {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
.panel {
  flex: 0 1 52%;
  border-top: 1px solid var(--rule);
}
/* Where there is room, it stands beside the page and leaves it its height. */
@container (min-width: 800px) {
  .page {
    flex-direction: row;
  }
  .panel {
    flex: 0 0 42%;
    border-top: 0;
    border-left: 1px solid var(--rule);
  }
}
.one {
  position: absolute;
  inset: 0 auto 0 0;
  overflow: hidden;
}
.other {
  inset: 0 0 0 auto;
  border-left: 1px solid var(--rule);
}
.says {
  position: absolute;
  right: 8px;
  bottom: 8px;
  padding: 1px 6px;
  color: var(--ink);
  background: var(--ground);
  border: 1px solid var(--rule);
}
.blurred :deep(iframe) {
  filter: blur(5px);
}
.view {
  position: relative;
  flex: 1;
  overflow: hidden;
  min-height: 0;
}
footer {
  display: flex;
  flex: none;
  gap: 14px;
  align-items: center;
  min-height: 28px;
  padding: 0 14px;
}
footer > :first-child {
  flex: 1;
  min-width: 0;
}
.pointed {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.earlier {
  color: var(--ink);
}
</style>
