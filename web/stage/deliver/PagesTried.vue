<script setup lang="ts">
import { pagesTried as say } from './words';
import { demandsTogether, leastWeight, type LeastWeight } from '@lettera/core/deliver/trying';
import { PROPERTIES, type ProjectDocument } from '@lettera/core/document';
import { computed, ref, shallowRef, watch } from 'vue';
import { api, urls } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { count } from '../../control/figures';
import UnseenPage from '../../proof/UnseenPage.vue';
import { NO_RULES } from '../../proof/panel/pageCascade';
import { useUnseenPages } from '../../proof/unseenPages';
import { useProject } from '../../store/project';
import { differenceInWords } from './differenceWords';
import { liftInWords } from './liftInWords';
import { pageDemands } from './pageDemands';
import { verifyPage, type Seen, type TriedPage } from './verifyPage';

/** The bundle on each page of the site's own, with the page's own style sheets after it. */
const props = defineProps<{ document: ProjectDocument; revision: number }>();
const project = useProject();

const { source, onLoad, setWidth, setGround, progress, failed, each, stop } = useUnseenPages();
const found = shallowRef<{ pages: TriedPage[]; revision: number } | null>(null);
const isStale = computed(
  () => found.value !== null && found.value.revision !== project.stored?.revision,
);
const ownPages = computed(() => project.pages.filter(({ slug }) => project.isOwnPage(slug)));

async function tryPages(): Promise<void> {
  const { document, revision } = props;
  found.value = null;
  least.value = null;
  const href = urls.deliveredFile(project.id, revision, 'lettera.css');
  const pages = await each(
    ownPages.value,
    document,
    (page, title, _slug, stopped) =>
      verifyPage(document, page, { title, href, setWidth, setGround, stopped }),
    say.nothingWasFoundOut,
  );
  if (pages) found.value = { pages, revision };
}

/** Where the site's own colours would have to stay, beyond where they do. */
const keep = computed(() => {
  const { keepColoursOn = [], keepDarkColours = false } = props.document.delivery;
  const pages = found.value?.pages ?? [];
  const on = [...new Set([...keepColoursOn, ...pages.flatMap(({ keep }) => keep.keepColoursOn)])];
  const dark = keepDarkColours || pages.some(({ keep }) => keep.keepDarkColours);
  return on.length > keepColoursOn.length || dark !== keepDarkColours
    ? { keepColoursOn: on, keepDarkColours: dark }
    : null;
});
/** Whether the pages are tried again once what was changed is there. */
const goesOn = ref(false);
function keepTheirs(): void {
  if (!keep.value) return;
  goesOn.value = project.change(
    Object.entries(keep.value).map(([member, value]) => ({
      op: 'add' as const,
      path: `/delivery/${member}`,
      value,
    })),
  );
}
watch(
  () => props.revision,
  () => {
    if (!goesOn.value || props.revision !== project.stored?.revision) return;
    goesOn.value = false;
    void tryPages();
  },
);

/** The least force with which all comes out as the project has it; null until it is asked for. */
const least = shallowRef<(LeastWeight & { revision: number }) | null>(null);
const isOtherwise = computed(() => found.value?.pages.some((page) => page.agreeing < page.texts));
async function findLeast(): Promise<void> {
  const { document, revision } = props;
  least.value = null;
  const pages = await each(
    ownPages.value,
    document,
    async (page, _title, slug, stopped) => {
      const own = document.pages?.[slug];
      const rules = own ? await api.pageAccount(project.id, slug, own) : NO_RULES;
      const demands = [];
      for (const { width } of [document.scale.small, document.scale.large]) {
        await setWidth(width);
        demands.push(await pageDemands(document, page, rules, stopped));
      }
      return demandsTogether(demands);
    },
    say.nothingWasFoundOut,
  );
  if (pages) least.value = { ...leastWeight(document, demandsTogether(pages)), revision };
}
function useLeast(): void {
  if (!least.value) return;
  goesOn.value = project.change(least.value.patch);
  if (goesOn.value) least.value = null;
}
const leastInWords = computed(() => {
  if (!least.value) return '';
  const { weights, important, linked, layer, unmet } = least.value;
  const { elements } = props.document;
  const nameOf = (key: string) => elements[key]?.name ?? key;
  const heavy = Object.entries(weights).filter(([key]) => !important.includes(key));
  return [
    say.placed(linked === 'after' ? say.after : say.before, layer ?? ''),
    ...(heavy.length > 0
      ? [say.weighing(heavy.map(([key, lift]) => `${nameOf(key)} ${liftInWords(lift)}`).join(', '))]
      : [say.noWeight]),
    ...(important.length > 0 ? [say.important(important.map(nameOf).join(', '))] : []),
    ...(unmet > 0 ? [say.cannotBeWon] : []),
  ].join(' ');
});

/** Of many texts as many are named. */
const MOST_NAMED = 3;
const named = (texts: readonly string[]): string => {
  const words = texts.slice(0, MOST_NAMED).map((one) => say.quoted(one));
  const more = texts.length - words.length;
  return [...words, ...(more > 0 ? [say.more(more)] : [])].join(', ');
};
const where = ({ width, ground, state }: Seen): string =>
  [
    ...(state ? [say.states[state]] : []),
    ...(ground === 'dark' ? [say.onDark] : []),
    ...(state || ground === 'dark' ? [] : [say.atWidth(width)]),
  ].join(' ');
</script>

<template>
  <section v-if="ownPages.length" class="tried" :aria-label="say.onYourOwnPages">
    <DoButton
      v-if="!progress"
      :label="found ? say.tryThereAgain : say.tryOnYours(count(ownPages.length, 'page'))"
      @click="tryPages"
    />
    <ProgressLine v-else :done="progress.done" :of="progress.of" stoppable @stop="stop">
      {{ say.madeOf(progress.title, progress.done + 1, progress.of) }}
    </ProgressLine>
    <p v-if="failed" role="alert" class="mark-text small">{{ failed }}</p>
    <p v-if="isStale" role="status" class="quiet small">{{ say.projectChangedSince }}</p>
    <ul v-if="found" class="small pages">
      <li v-for="page in found.pages" :key="page.title">
        <b>{{ page.title }}</b>
        <h4>{{ say.asDecided(count(page.decided, 'text')) }}</h4>
        <h4 :class="{ 'mark-text': page.besides.length || page.lost.length }">
          {{
            page.besides.length + page.lost.length ? say.changesBesides : say.nothingChangesBesides
          }}
        </h4>
        <ul v-if="page.besides.length + page.lost.length">
          <li v-for="(one, i) in page.lost" :key="`lost ${i}`">
            {{
              say.hardToRead(
                count(one.texts.length, 'text'),
                one.before.toFixed(2),
                one.after.toFixed(2),
                one.least,
                where(one.seen),
                named(one.texts),
              )
            }}
          </li>
          <li v-for="(one, i) in page.besides" :key="`besides ${i}`">
            {{
              say.changes(
                count(one.texts.length, 'text'),
                PROPERTIES[one.property].label,
                one.before,
                one.after,
                where(one.seen),
                named(one.texts),
              )
            }}
          </li>
        </ul>
        <p v-if="page.lost.length && keep" class="line">
          <DoButton :label="say.keepTheirs" @click="keepTheirs" />
          <span class="quiet">{{
            keep.keepDarkColours && !document.delivery.dark ? say.orDeliverDark : ''
          }}</span>
        </p>
        <h4>{{ say.ofComeOutAs(page.agreeing, count(page.texts, 'text')) }}</h4>
        <ul v-if="page.differences.length">
          <li v-for="(one, i) in page.differences" :key="i">
            {{ count(one.texts, 'text') }}: {{ differenceInWords(document, one) }}
          </li>
        </ul>
      </li>
    </ul>
    <template v-if="isOtherwise">
      <DoButton
        v-if="!least"
        :label="say.findLeast"
        :disabled="progress !== null"
        @click="findLeast"
      />
      <template v-else-if="least.patch.length">
        <p role="status" class="small">{{ leastInWords }}</p>
        <DoButton :label="say.useLeast" @click="useLeast" />
      </template>
      <p v-else role="status" class="small">{{ say.leastIsThere }}</p>
      <p class="quiet small">{{ say.whichRulesYoursDecide }}</p>
    </template>
    <UnseenPage v-if="source" ref="unseen" :source="source" @load="onLoad" />
  </section>
</template>

<style scoped>
.tried {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 0 var(--edge) 14px;
}
.pages > li + li {
  margin-top: 12px;
}
h4 {
  margin: 4px 0 0;
  font: inherit;
}
ul {
  margin: 0;
  padding-left: 18px;
}
.pages {
  padding: 0;
  list-style: none;
}
</style>
