<script setup lang="ts">
import { pagesTried as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import { computed, shallowRef } from 'vue';
import { urls } from '../../api/client';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { count } from '../../control/figures';
import UnseenPage from '../../proof/UnseenPage.vue';
import { useUnseenPages } from '../../proof/unseenPages';
import { useProject } from '../../store/project';
import { differenceInWords } from './differenceWords';
import { linkBundle, verifyPage, type TriedPage } from './verifyPage';

/** The bundle on each page of the site's own, with the page's own style sheets after it. */
const props = defineProps<{ document: ProjectDocument; revision: number }>();
const project = useProject();

const { source, onLoad, setWidth, progress, failed, each, stop } = useUnseenPages();
const found = shallowRef<{ pages: TriedPage[]; revision: number } | null>(null);
const isStale = computed(
  () => found.value !== null && found.value.revision !== project.stored?.revision,
);
const ownPages = computed(() => project.pages.filter(({ slug }) => project.isOwnPage(slug)));

async function tryPages(): Promise<void> {
  const { document, revision } = props;
  found.value = null;
  const href = urls.deliveredFile(project.id, revision, 'lettera.css');
  const pages = await each(
    ownPages.value,
    document,
    async (page, title) => {
      await linkBundle(page, href);
      return verifyPage(document, page, { title, setWidth });
    },
    say.nothingWasFoundOut,
  );
  if (pages) found.value = { pages, revision };
}
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
    <ul v-if="found" class="small">
      <li v-for="page in found.pages" :key="page.title">
        <b>{{ page.title }}</b>{{ say.ofComeOutAs(page.agreeing, count(page.texts, 'text')) }}
        <ul v-if="page.differences.length">
          <li v-for="(one, i) in page.differences" :key="i">
            {{ count(one.texts, 'text') }}: {{ differenceInWords(document, one) }}
          </li>
        </ul>
      </li>
    </ul>
    <p v-if="found?.pages.some(({ differences }) => differences.length)" class="quiet small">
      {{ say.whichRulesYoursDecide }}
    </p>
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
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
