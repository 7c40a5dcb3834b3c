<script setup lang="ts">
import { stockStage as say } from './words';
import { hostsIn, sheetsMissing } from '@lettera/core/page';
import { StockBook } from '@lettera/core/stock';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { api } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import ToolRow from '../../control/ToolRow.vue';
import ViewTabs from '../../control/ViewTabs.vue';
import { count, dayOf } from '../../control/figures';
import { BESIDE_NOTHING, pageAddress } from '../../proof/pageAddress';
import UnseenPage from '../../proof/UnseenPage.vue';
import { useUnseenPages } from '../../proof/unseenPages';
import { Stopped } from '../../reader/breathe';
import { siteView } from '../../reader/siteView';
import { readPageInto } from '../../reader/stockReader';
import { useProject } from '../../store/project';
import { readPage } from '../../store/readPage';
import { useStock } from '../../store/stock';
import StageHeader from '../StageHeader.vue';
import BringOutcome from './BringOutcome.vue';
import BringSite from './BringSite.vue';
import DriftView from './DriftView.vue';
import FamilyShares from './FamilyShares.vue';
import FightList from './FightList.vue';
import FoldView from './FoldView.vue';
import ReadingLine from './ReadingLine.vue';
import SizeShares from './SizeShares.vue';
import TextHere from './TextHere.vue';
import ValueShares from './ValueShares.vue';

const project = useProject();
const site = useStock();
const { source, onLoad, setWidth, progress, failed, each, stop } = useUnseenPages();

const VIEWS = [
  { value: 'families', label: say.families },
  { value: 'sizes', label: say.sizes },
  { value: 'values', label: say.otherValues },
  { value: 'fights', label: say.conflicts },
  { value: 'fold', label: say.fold },
  { value: 'drift', label: say.follows },
] as const;
type View = (typeof VIEWS)[number]['value'];
const view = ref<View>('families');
const bringing = ref(false);
/** How much of the page that is being read is read. */
const share = ref(0);
const shareNow = (): number => share.value;
const wasStopped = ref(false);

onMounted(() => {
  site.open();
  if (site.titles.length > 0 && !site.read) void read();
});
onBeforeUnmount(() => {
  run++;
  site.leave();
});

/** The pages as their own style sheets have them. */
const asTheyAre = computed(() => ({ pages: { ...site.pages }, delivery: BESIDE_NOTHING }));

/** Number of the reading that is wanted. */
let run = 0;
function stopReading(): void {
  run++;
  stop();
  wasStopped.value = true;
}

/** Reads all pages of the site, one after another. */
async function read(): Promise<void> {
  const { titles } = site;
  if (titles.length === 0) return;
  bringing.value = false;
  wasStopped.value = false;
  const book = new StockBook();
  const mine = ++run;
  const done = await each(
    titles,
    asTheyAre.value,
    async (page, title, slug) => {
      const own = site.pages[slug];
      if (!own) throw new Error(say.pageNoLongerLooked);
      const account = await api.pageAccount(project.id, slug, own);
      share.value = 0;
      await readPageInto(
        book,
        {
          title,
          page,
          rules: account,
          elsewhere: hostsIn(account.removed),
          unread: sheetsMissing(account.removed),
          setWidth,
          live: account.live,
        },
        { stopped: () => mine !== run, progress: (now) => (share.value = now) },
      ).catch((error: unknown) => {
        if (!(error instanceof Stopped)) throw error;
      });
    },
    say.nothingWasChanged,
  );
  if (!done || mine !== run) return;
  const pages = await Promise.all(
    titles.map(({ slug }) => readPage(pageAddress(project.id, slug, asTheyAre.value))),
  );
  const there = pages.filter((page) => page !== null);
  if (there.length < pages.length) {
    failed.value = say.pageDidNotCome;
    return;
  }
  const stock = book.close(new Date().toISOString());
  const slugs = titles.map(({ slug }) => slug);
  await site.keep({ stock, view: siteView(stock, there), slugs });
}
watch(
  () => site.pages,
  (pages) => {
    if (Object.keys(pages).length > 0 && !site.read) void read();
  },
);

const stock = computed(() => site.read?.stock ?? null);
const isEmpty = computed(() => stock.value?.texts.length === 0);
const summary = computed(() => {
  if (!stock.value) return '';
  const { pages, texts, made } = stock.value;
  const [page] = pages;
  const before = site.keptAt ? say.asSiteWasBrought(dayOf(site.keptAt)) : '';
  return say.readAtPxOn(
    count(pages.length, 'page'),
    count(texts.length, 'text'),
    page?.narrow ?? '',
    page?.wide ?? '',
    dayOf(made),
    before,
  );
});
/** Style sheets that are named in a line. */
const MOST_NAMED = 4;
const unread = computed(() => [
  ...new Set(stock.value?.pages.flatMap((page) => page.unread ?? []) ?? []),
]);
const hasSite = computed(() => site.titles.length > 0);
</script>

<template>
  <StageHeader :title="say.takeStock">
    <template #views>
      <ViewTabs
        v-if="stock && !isEmpty && !bringing"
        v-model="view"
        :label="say.views"
        :views="VIEWS"
      />
    </template>
    {{ say.whatReallySetsType }}
  </StageHeader>
  <ToolRow v-if="stock || hasSite">
    <DoButton v-if="bringing" :label="say.backWhatWasRead" @click="bringing = false" />
    <span v-else class="says small quiet">{{ summary }}</span>
    <template #end>
      <FoldAway v-slot="{ close }" :label="say.thisSite">
        <div class="deeds">
          <DoButton :label="say.morePages" @click="(close(), (bringing = true))" />
          <DoButton v-if="!progress" :label="say.readAgain" @click="(close(), read())" />
          <DoButton
            v-if="site.fetched.length && !progress"
            :label="say.fetchAgain"
            :why="site.bringing ? say.itOnWay : undefined"
            @click="(close(), site.fetchAgain())"
          />
          <DoButton :label="say.leaveSite" @click="(close(), site.leaveSite())" />
        </div>
      </FoldAway>
    </template>
  </ToolRow>
  <div class="notices">
    <ReadingLine v-if="progress" :progress="progress" :share="shareNow" @stop="stopReading" />
    <p v-if="site.bringing && !bringing && hasSite" role="status" class="line wrap">
      {{ say.fetchingSiteAsNow }} <DoButton :label="say.stop" @click="site.stop()" />
    </p>
    <BringOutcome v-if="!bringing && hasSite" />
    <p v-if="site.keepFault" role="alert" class="mark-text">{{ site.keepFault }}</p>
    <p v-if="failed" role="alert" class="line wrap mark-text">
      {{ failed }} <DoButton :label="say.tryAgain" @click="read" />
    </p>
    <p v-else-if="wasStopped && !progress" role="status" class="line wrap">
      {{ say.readingWasStopped }} <DoButton :label="say.readAfterAll" first @click="read" />
    </p>
  </div>
  <BringSite v-if="bringing || (!hasSite && !stock)" />
  <template v-else-if="stock && site.read">
    <p v-if="isEmpty" class="notices" role="status">
      {{ say.thereNoTextOn(stock.pages.length === 1 ? say.thisPage : say.thesePages) }}
    </p>
    <template v-else>
      <p v-if="unread.length" class="notices mark-text" role="status">
        {{
          say.ofSiteNotHere(
            count(unread.length, 'style sheet'),
            unread.length === 1 ? 'is' : 'are',
            unread.slice(0, MOST_NAMED).join(', '),
            unread.length > MOST_NAMED ? say.andOthers : '',
            unread.length === 1 ? 'it' : 'them',
          )
        }}
      </p>
      <TextHere :stock="stock" :slugs="site.read.slugs" />
      <FamilyShares v-if="view === 'families'" :stock="stock" />
      <SizeShares v-else-if="view === 'sizes'" :stock="stock" />
      <ValueShares v-else-if="view === 'values'" :stock="stock" />
      <FightList v-else-if="view === 'fights'" :stock="stock" />
      <FoldView v-else-if="view === 'fold'" :stock="stock" :view="site.read.view" />
      <DriftView v-else :stock="stock" :view="site.read.view" />
    </template>
  </template>
  <UnseenPage v-if="source" ref="unseen" :source="source" @load="onLoad" />
</template>

<style scoped>
.deeds {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.notices {
  padding: 0 var(--edge);
}
.notices > * {
  margin-bottom: 8px;
}
p.notices {
  margin: 0 0 8px;
}
</style>
