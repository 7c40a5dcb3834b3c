<script setup lang="ts">
import { rehearsalView as say } from './words';
import { FONT_DISPLAYS, type FontDisplay, type ProjectDocument } from '@lettera/core/document';
import { FALLBACK_WAYS, type FallbackWay } from '@lettera/core/fallback';
import { fontBytesFirst, loadTimes, STATED_CONNECTION, stylesheet } from '@lettera/core/deliver';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { pageAddress } from '../../proof/pageAddress';
import ChoiceSet from '../../control/ChoiceSet.vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import OnOff from '../../control/OnOff.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { ProofSheet } from '../../proof/proofSheet';
import UnseenPage from '../../proof/UnseenPage.vue';
import { shiftIn } from '../../proof/shiftIn';
import { useFontUrl } from '../../proof/fontUrl';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';
import WaitLine from './WaitLine.vue';

/** The swap on the proof, what moves in it, and the shift with and without what was tuned. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const project = useProject();
const proof = useProof();
const plans = usePlans();
const fallbacks = useFallbacks();
const fontUrl = useFontUrl();

const delivery = computed(() => plans.deliveryOf(props.document));
const times = computed(() => {
  const first = fontBytesFirst(props.document, delivery.value);
  if (!first) return null;
  const fallback = plans.fallbackOf(props.document);
  const css = new TextEncoder().encode(
    stylesheet(props.document, { fallback, delivery: delivery.value }),
  ).length;
  return loadTimes(STATED_CONNECTION, { stylesheetBytes: css, ...first });
});

/** How long the fallback shows in a slow rehearsal, milliseconds. */
const SLOW = 4000;
const slowly = ref(false);
let waiting = 0;
const rehearsing = ref(false);
function rehearse(): void {
  clearTimeout(waiting);
  proof.fonts = 'fallback';
  rehearsing.value = true;
  const wait = times.value ? times.value.swap - times.value.firstText : 500;
  waiting = window.setTimeout(
    () => {
      proof.fonts = 'web';
      rehearsing.value = false;
    },
    slowly.value ? SLOW : Math.max(300, wait),
  );
}
onBeforeUnmount(() => {
  clearTimeout(waiting);
  proof.moves = false;
  if (rehearsing.value) proof.fonts = 'web';
});

const WAYS: Record<FallbackWay, string> = {
  none: say.withoutFallbackFaces,
  one: say.withOneRatio,
  tuned: say.asTunedNow,
  bare: say.asTunedOverridesLeft,
};
const VIEWPORTS = [
  { name: 'Phone', width: 360 },
  { name: 'Desktop', width: 1280 },
] as const;

const frame = ref<InstanceType<typeof UnseenPage> | null>(null);
const shifts = shallowRef<Record<string, number>>({});
const progress = shallowRef<{ done: number; of: number } | null>(null);
const source = computed(() => pageAddress(project.id, proof.page, project.shown));
const cell = (way: FallbackWay, width: number) => shifts.value[`${way} ${width}`];
const title = computed(
  () => project.pages.find(({ slug }) => slug === proof.page)?.title ?? proof.page,
);

/** Anew for a page and a state of the project; an older run ends. */
let run = 0;
async function measure(): Promise<void> {
  const mine = ++run;
  const page = frame.value?.page();
  if (!page || fallbacks.state !== 'ready') return;
  const sheet = new ProofSheet(page);
  const state = {
    fontUrl,
    document: props.document,
    fallback: plans.fallbackOf(props.document),
    twins: fallbacks.twins,
    fonts: 'web' as const,
    ground: 'light' as const,
  };
  shifts.value = {};
  progress.value = { done: 0, of: VIEWPORTS.length * FALLBACK_WAYS.length };
  for (const { width } of VIEWPORTS) {
    if (!frame.value) return;
    await frame.value.setWidth(width);
    for (const way of FALLBACK_WAYS) {
      const shift = await shiftIn(page, sheet, state, way);
      if (mine !== run) return;
      shifts.value = { ...shifts.value, [`${way} ${width}`]: shift };
      progress.value = { done: (progress.value?.done ?? 0) + 1, of: progress.value?.of ?? 8 };
    }
  }
  progress.value = null;
}
function stop(): void {
  run++;
  progress.value = null;
}
const loaded = ref(0);
watch(
  () => [loaded.value, props.document, fallbacks.state, fallbacks.trials] as const,
  () => loaded.value > 0 && void measure(),
);

const families = computed(() =>
  Object.entries(props.document.case).filter(([key]) =>
    Object.values(props.document.voices).some(({ family }) => family === key),
  ),
);
const DISPLAYS = FONT_DISPLAYS.map((value) => ({ value, label: value }));
const displayOf = (key: string): FontDisplay =>
  props.document.case[key]?.display ?? props.document.delivery.display;
</script>

<template>
  <div class="line wrap">
    <DoButton first :label="say.rehearseSwap" @click="rehearse" />
    <OnOff v-model="slowly" :label="say.slowly" />
    <OnOff v-model="proof.moves" :label="say.outlineWhatMoves" />
    <span class="small quiet" role="status">{{ rehearsing ? say.fallbackShowsWebFaces : '' }}</span>
  </div>
  <h3>{{ say.layoutShiftSwapOn(title) }}</h3>
  <ProgressLine v-if="progress" :done="progress.done" :of="progress.of" stoppable @stop="stop">{{
    say.laidOutTimes(progress.done, progress.of)
  }}</ProgressLine>
  <FiguresTable class="shifts">
    <thead>
      <tr>
        <th />
        <th v-for="{ name, width } in VIEWPORTS" :key="width" class="figure">
          {{ say.nameAtWidth(name, width) }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="way in FALLBACK_WAYS" :key="way" :class="{ present: way === 'tuned' }">
        <td>{{ WAYS[way] }}</td>
        <td v-for="{ width } in VIEWPORTS" :key="width" class="figure">
          {{ cell(way, width)?.toFixed(4) ?? '…' }}
        </td>
      </tr>
    </tbody>
  </FiguresTable>
  <p class="small quiet">
    {{ say.impactFractionDistanceFraction }}
  </p>
  <h3>{{ say.waitSwapOn(STATED_CONNECTION.name) }}</h3>
  <div v-for="[key, family] in families" :key="key" class="wait">
    <div class="line wrap">
      <b>{{ family.name }}</b>
      <ChoiceSet
        :label="say.fontDisplay(family.name)"
        :choices="DISPLAYS"
        :model-value="displayOf(key)"
        @update:model-value="
          project.change([{ op: 'add', path: `/case/${key}/display`, value: $event }])
        "
      />
    </div>
    <WaitLine :display="displayOf(key)" :times="times" />
  </div>
  <UnseenPage ref="frame" :source="source" @load="loaded++" />
</template>

<style scoped>
.present td {
  font-weight: 650;
}
.shifts th.figure {
  width: 130px;
}
.wait {
  display: grid;
  gap: 4px;
}
b {
  font-weight: 550;
}
</style>
