<script setup lang="ts">
import { fetchedFirst as say } from './words';
import { elementsSeenFirst, preloadedFonts, type DeliveryPlan } from '@lettera/core/deliver';
import type { ProjectDocument } from '@lettera/core/document';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { count } from '../../control/figures';
import { useFontUrl } from '../../proof/fontUrl';
import { ProofSheet } from '../../proof/proofSheet';
import { areasSeenFirst } from '../../proof/seenFirst';
import UnseenPage from '../../proof/UnseenPage.vue';
import { useUnseenPages } from '../../proof/unseenPages';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';

/** The font files that `head.html` has fetched at once, and their choice from what the pages show first. */
const props = defineProps<{ document: ProjectDocument; delivery: DeliveryPlan }>();
const project = useProject();
const plans = usePlans();
const fallbacks = useFallbacks();
const fontUrl = useFontUrl();

const { source, onLoad, setWidth, progress, failed, each, stop } = useUnseenPages();

const names = computed(() =>
  preloadedFonts(props.document, props.delivery).map(({ path }) => path.replace(/^.*\//, '')),
);
const isChosen = computed(() => props.document.delivery.first !== undefined);
const elements = computed(() =>
  (props.document.delivery.first ?? []).map((key) => props.document.elements[key]?.name ?? key),
);

/** How much each text element sets of what a page shows first, at both ends of the scale. */
async function look(page: Document, document: ProjectDocument): Promise<[string, number][]> {
  new ProofSheet(page).update({
    fontUrl,
    document,
    fallback: plans.fallbackOf(document),
    twins: fallbacks.twins,
    fonts: 'web',
    ground: 'light',
  });
  const areas: [string, number][] = [];
  for (const { width } of [document.scale.small, document.scale.large]) {
    await setWidth(width);
    await page.fonts.ready;
    areas.push(...areasSeenFirst(document, page));
  }
  return areas;
}

async function choose(): Promise<void> {
  const { document, delivery } = props;
  const looked = await each(
    project.pages,
    document,
    (page) => look(page, document),
    say.nothingWasChanged,
  );
  if (!looked) return;
  const areas = new Map<string, number>();
  for (const [key, area] of looked.flat()) areas.set(key, (areas.get(key) ?? 0) + area);
  project.change([
    { op: 'add', path: '/delivery/first', value: elementsSeenFirst(document, delivery, areas) },
  ]);
}
</script>

<template>
  <section class="first" :aria-label="say.fetchedAtOnce">
    <span>
      {{ say.fetchedAtOnceAre }} <b>{{ names.join(', ') || say.none }}</b>{{
        isChosen ? say.whichSetWhatPages(elements.join(', ')) : say.whichSetBodyFirst
      }}
    </span>
    <ProgressLine v-if="progress" :done="progress.done" :of="progress.of" stoppable @stop="stop">
      {{ say.madeOf(progress.title, progress.done + 1, progress.of) }}
    </ProgressLine>
    <span v-else class="line">
      <DoButton
        :label="say.chooseByWhatShow(count(project.pages.length, 'page'))"
        @click="choose"
      />
      <DoButton
        v-if="isChosen"
        :label="say.bodyFirstHeading"
        @click="project.change([{ op: 'remove', path: '/delivery/first' }])"
      />
    </span>
    <p v-if="failed" role="alert" class="mark-text small">{{ failed }}</p>
    <UnseenPage v-if="source" ref="unseen" :source="source" @load="onLoad" />
  </section>
</template>

<style scoped>
.first {
  display: grid;
  gap: 6px;
  justify-items: start;
  overflow-wrap: anywhere;
}
</style>
