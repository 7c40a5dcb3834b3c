<script setup lang="ts">
import { movedView as say } from './words';
import { differences } from '@lettera/core/change';
import type { BlockChange, PageChange } from '@lettera/core/page';
import { layoutChange } from '@lettera/core/page';
import type { ProjectDocument } from '@lettera/core/document';
import PickOne from '../../control/PickOne.vue';
import { storeToRefs } from 'pinia';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { api } from '../../api/client';
import { pageAddress } from '../pageAddress';
import ChoiceSet from '../../control/ChoiceSet.vue';
import { debounce } from '../../control/debounce';
import DoButton from '../../control/DoButton.vue';
import { count, momentOf } from '../../control/figures';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { revisionAnHourAgo, saidOf } from '../../store/history';
import { useProject } from '../../store/project';
import { STOPS, useProof, type Since } from '../../store/proof';
import { useWaypoints } from '../../store/waypoints';
import { useFontUrl } from '../fontUrl';
import UnseenPage from '../UnseenPage.vue';
import { layoutOf, textBlocksOf } from './layoutOf';
import { ProofSheet } from '../proofSheet';

/** What a change has done to the page that is shown: on a phone and on a desktop, in words and pointed out. */
const project = useProject();
const proof = useProof();
const plans = usePlans();
const fallbacks = useFallbacks();
const fontUrl = useFontUrl();

const waypoints = useWaypoints();
const choices = computed<{ value: Since; label: string }[]>(() => [
  { value: 'change', label: say.lastChange },
  { value: 'hour', label: say.hourAgo },
  ...(waypoints.lookedAt ? [{ value: 'earlier' as const, label: say.waypoint }] : []),
  { value: 'opened', label: say.opening },
  { value: 'one', label: say.oneChange },
]);
const { since, change: chosen } = storeToRefs(proof);
const waypointChoices = computed(() =>
  (waypoints.list ?? []).map(({ id, name }) => ({ value: id, label: name })),
);

/** Changes of the history, newest first, and the one that is asked about, with the document around it. */
const history = shallowRef<{ value: number; label: string }[]>([]);
const around = shallowRef<[before: ProjectDocument, after: ProjectDocument] | null>(null);
const failed = ref('');
async function readHistory(): Promise<void> {
  if (since.value !== 'one') return;
  try {
    const entries = await api.history(project.id);
    history.value = entries.map((entry) => ({
      value: entry.revision,
      label: `${saidOf(entry)}, ${momentOf(entry.at)}`,
    }));
    chosen.value ??= history.value[0]?.value ?? null;
  } catch (error) {
    failed.value = (error as Error).message;
  }
}
watch([since, () => project.stored?.revision], readHistory, { immediate: true });
async function readAround(revision: number | null): Promise<void> {
  around.value = null;
  failed.value = '';
  if (revision === null) return;
  try {
    const [before, after] = await Promise.all(
      [revision - 1, revision].map((one) => api.revision(project.id, one)),
    );
    if (before && after && chosen.value === revision) {
      around.value = [before.document, after.document];
    }
  } catch (error) {
    if (chosen.value === revision) failed.value = (error as Error).message;
  }
}
watch(chosen, readAround, { immediate: true });

/** The project as it stood an hour ago. */
const hourAgo = shallowRef<ProjectDocument | null>(null);
const MOST_READ = 200;
async function readHourAgo(): Promise<void> {
  if (since.value !== 'hour') return;
  failed.value = '';
  try {
    const entries = await api.history(project.id, MOST_READ);
    const revision = revisionAnHourAgo(entries, Date.now());
    hourAgo.value = revision === null ? null : (await api.revision(project.id, revision)).document;
  } catch (error) {
    failed.value = (error as Error).message;
  }
}
watch([since, () => project.stored?.revision], readHourAgo, { immediate: true });

const before = computed<ProjectDocument | null>(() => {
  if (since.value === 'hour') return hourAgo.value;
  if (since.value === 'one') return around.value?.[0] ?? null;
  if (since.value === 'earlier') return proof.earlier?.document ?? null;
  return since.value === 'opened' ? project.opened : project.previous;
});
const after = computed<ProjectDocument | null>(() =>
  since.value === 'one' ? (around.value?.[1] ?? null) : project.shown,
);

/** What differs in the project itself, in words. */
const differing = computed(() =>
  before.value && after.value ? differences(before.value, after.value) : [],
);

const frame = ref<InstanceType<typeof UnseenPage> | null>(null);
const source = computed(() => pageAddress(project.id, proof.page, project.shown));
const changes = shallowRef<PageChange[] | null>(null);
const [phone, , desktop] = STOPS;

let run = 0;
async function measure(): Promise<void> {
  const mine = ++run;
  const page = frame.value?.page();
  const [earlier, now] = [before.value, after.value];
  changes.value = null;
  if (!page || !earlier || !now) return;
  const sheet = new ProofSheet(page);
  const set = async (document: ProjectDocument) => {
    sheet.update({
      fontUrl,
      document,
      fallback: plans.fallbackOf(document),
      twins: fallbacks.twins,
      fonts: 'web',
      ground: 'light',
    });
    sheet.settle();
    await Promise.allSettled([...page.fonts].map((face) => face.load()));
  };
  const found: PageChange[] = [];
  for (const { width } of [phone, desktop]) {
    await frame.value?.setWidth(width);
    await set(earlier);
    const was = layoutOf(page);
    await set(now);
    if (mine !== run) return;
    found.push({ ...layoutChange(was, layoutOf(page)), width });
  }
  changes.value = found;
}
const REST = 500;
const soon = debounce(() => void measure(), REST);
watch([before, after], soon);
onBeforeUnmount(() => {
  run++;
  proof.pointedOut = [];
});

const px = (value: number): string => `${Math.round(value).toLocaleString('en')} px`;
function heightInWords({ height: [was, is] }: PageChange): string {
  const by = Math.round(is - was);
  if (by === 0) return say.highAsBefore(px(is));
  return say.highThanBefore(px(is), px(Math.abs(by)), by > 0 ? 'more' : 'less');
}
function inWords({ lines: [was, is], height: [a, b], breaksElsewhere }: BlockChange): string {
  if (was !== is) return say.to(was, count(is, 'line'));
  const by = Math.round(b - a);
  const grown = by === 0 ? '' : `${px(Math.abs(by))} ${by > 0 ? 'higher' : 'lower'}`;
  return [grown, breaksElsewhere ? say.linesBreakElsewhere : ''].filter(Boolean).join(', ');
}
const headingsGrown = ({ blocks }: PageChange): number =>
  blocks.filter(({ isHeading, lines: [was, is] }) => isHeading && is > was).length;

function point({ block }: BlockChange): void {
  const node = proof.shownPage && textBlocksOf(proof.shownPage)[block];
  if (!node) return;
  proof.pointedOut = [node];
  node.scrollIntoView({ block: 'center' });
}
</script>

<template>
  <div class="line wrap">
    <span class="small quiet">{{ say.sinceOrBy }}</span>
    <ChoiceSet v-model="since" :label="say.sinceWhen" :choices="choices" />
  </div>
  <PickOne
    v-if="since === 'earlier' && waypointChoices.length > 1"
    :model-value="waypoints.lookedAt?.id"
    class="which"
    :choices="waypointChoices"
    :label="say.whichWaypoint"
    fluid
    @update:model-value="waypoints.chosen = $event"
  />
  <PickOne
    v-if="since === 'one' && history.length"
    v-model="chosen"
    class="which"
    :choices="history"
    :label="say.whichChange"
    filter
    fluid
  />
  <p v-if="failed" role="alert" class="mark-text">{{ failed }}</p>
  <p v-else-if="!before && (since !== 'one' || !chosen)" class="quiet">
    {{ say.nothingBeenChangedHere }}
  </p>
  <p v-else-if="!changes" role="status">{{ say.layingPageOut }}</p>
  <section v-if="differing.length" :aria-label="say.whatDiffers">
    <h3>{{ count(differing.length, 'difference') }}</h3>
    <ul>
      <li v-for="line in differing" :key="line" class="small">{{ line }}</li>
    </ul>
  </section>
  <section v-for="change in changes ?? []" :key="change.width">
    <h3>{{ say.atPx(change.width, heightInWords(change)) }}</h3>
    <p v-if="change.blocks.length === 0" class="small quiet">{{ say.noBlockDiffers }}</p>
    <template v-else>
      <p class="small">
        {{ count(change.blocks.length, 'block') }} {{ say.differ(change.blocks.length)
        }}{{
          headingsGrown(change) ? say.withMoreLines(count(headingsGrown(change), 'heading')) : ''
        }}.
      </p>
      <ul>
        <li v-for="block in change.blocks" :key="block.block">
          <DoButton
            :label="say.showOnPage"
            :aria-label="say.showOnPageWords(block.words)"
            @click="point(block)"
          />
          <span :class="{ heading: block.isHeading }">{{ block.words }}</span>
          <span class="small quiet">{{ inWords(block) }}</span>
        </li>
      </ul>
    </template>
  </section>
  <UnseenPage ref="frame" :source="source" @load="measure" />
</template>

<style scoped>
.which {
  margin-top: 8px;
}
h3 {
  margin: 12px 0 2px;
  font-size: 13px;
}
ul {
  display: grid;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.heading {
  font-weight: 600;
}
</style>
