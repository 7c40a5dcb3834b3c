<script setup lang="ts">
import { siteCheck as say } from './words';
import type { Mark, SetPage, SiteMark } from '@lettera/core/check';
import type { ProjectDocument } from '@lettera/core/document';
import { computed, shallowRef } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import ProgressLine from '../../control/ProgressLine.vue';
import { useFontUrl } from '../../proof/fontUrl';
import MarkList from '../../proof/MarkList.vue';
import { ProofSheet } from '../../proof/proofSheet';
import { paintedTexts, paintedTogether } from '../../proof/paintedTexts';
import { setTextsOf, textsByStyle } from '../../proof/setTexts';
import UnseenPage from '../../proof/UnseenPage.vue';
import { useUnseenPages } from '../../proof/unseenPages';
import { forceState, makeForceable, turnDark } from '../../reader/forcedStates';
import { holdStill } from '../../reader/stockReader';
import { useEvidence } from '../../store/evidence';
import { useFallbacks } from '../../store/fallbacks';
import { useMarks } from '../../store/marks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import { useProof } from '../../store/proof';

/** The marks tried on the whole site at once: every page, both ends of the scale, both grounds. */
const project = useProject();
const proof = useProof();
const plans = usePlans();
const fallbacks = useFallbacks();
const fontUrl = useFontUrl();
const marks = useMarks();
const { evidenceOf } = useEvidence();

const { source, onLoad, setWidth, setGround, progress, failed, each, stop } = useUnseenPages();
/** What was found, and of which state of the project. */
const found = shallowRef<{ marks: SiteMark[]; document: ProjectDocument; pages: number } | null>(
  null,
);
const isStale = computed(() => found.value !== null && found.value.document !== project.document);

/** What is painted on a page on both grounds, at rest and in each state that it has rules for. */
async function paintedIn(
  page: Document,
  document: ProjectDocument,
  update: (ground: 'light' | 'dark') => void,
): Promise<NonNullable<SetPage['painted']>> {
  holdStill(page);
  const all = [];
  for (const side of ['light', 'dark'] as const) {
    await setGround(side);
    const turnBack = side === 'dark' ? turnDark(page) : () => undefined;
    // Dark colours that are not delivered are on no site.
    update(document.delivery.dark ? side : 'light');
    const states = makeForceable(page);
    all.push(paintedTexts(document, page, { side }));
    for (const state of states) {
      if (state === 'disabled') continue;
      forceState(page, state);
      all.push(paintedTexts(document, page, { side, state: say.states[state] }));
    }
    forceState(page, null);
    turnBack();
  }
  await setGround('light');
  return paintedTogether(all);
}

/** How the text of a page stands at each end of the scale. */
async function look(page: Document, title: string, document: ProjectDocument): Promise<SetPage[]> {
  const sheet = new ProofSheet(page);
  const stateOn = (ground: 'light' | 'dark') => ({
    fontUrl,
    document,
    fallback: plans.fallbackOf(document),
    twins: fallbacks.twins,
    fonts: 'web' as const,
    ground,
  });
  const looked: SetPage[] = [];
  for (const { width } of [document.scale.small, document.scale.large]) {
    await setWidth(width);
    sheet.update(stateOn('light'));
    sheet.settle();
    await Promise.allSettled([...page.fonts].map((face) => face.load()));
    looked.push({
      title,
      width,
      texts: setTextsOf(document, page),
      ...textsByStyle(document, page),
      ...(width === document.scale.large.width
        ? { painted: await paintedIn(page, document, (ground) => sheet.update(stateOn(ground))) }
        : {}),
    });
  }
  return looked;
}

const NOTHING = say.nothingWasFoundOut;
async function check(): Promise<void> {
  const { document, pages } = project;
  if (!document) return;
  found.value = null;
  const looked = await each(pages, document, (page, title) => look(page, title, document), NOTHING);
  if (!looked) return;
  try {
    const { siteMarks } = await import('@lettera/core/check');
    const marked = siteMarks(
      document,
      evidenceOf(document, document === project.shown),
      looked.flat(),
    );
    found.value = { marks: marked, document, pages: pages.length };
  } catch (error) {
    failed.value = `${(error as Error).message} ${NOTHING}`;
  }
}

const foundMarks = computed(() => found.value?.marks.map(({ mark }) => mark) ?? []);
const whereOf = (mark: Mark): string => {
  const one = found.value?.marks.find((other) => other.mark === mark);
  return one ? whereInWords(one) : '';
};
const whereInWords = ({ seen }: SiteMark): string => {
  const { pages = 0 } = found.value ?? {};
  const widths = [...new Set(seen.flatMap((one) => one.widths))];
  const at = widths.length === 1 ? say.atPx(widths[0] ?? '') : '';
  return seen.length === pages && pages > 1
    ? say.onEveryPage(at)
    : say.onPages(seen.map(({ title }) => title).join(', '), at);
};
</script>

<template>
  <section :aria-label="say.wholeSite">
    <h2 class="line spread">
      {{ say.wholeSite }}
      <DoButton
        v-if="!progress"
        :label="found ? say.checkAgain : say.check(count(project.pages.length, 'page'))"
        @click="check"
      />
    </h2>
    <ProgressLine v-if="progress" :done="progress.done" :of="progress.of" stoppable @stop="stop">
      {{ say.madeOf(progress.title, progress.done + 1, progress.of) }}
    </ProgressLine>
    <p v-else-if="failed" role="alert" class="small mark-text">{{ failed }}</p>
    <p v-else-if="!found" class="small quiet">
      {{ say.everyPageLaidOut }}
    </p>
    <template v-else>
      <p v-if="isStale" class="small quiet">{{ say.projectChangedSinceWas }}</p>
      <p v-if="found.marks.length === 0" role="status" class="small quiet">
        {{ say.nothingMarkedOn(count(found.pages, 'page')) }}
      </p>
      <MarkList
        v-else
        :marks="foundMarks"
        :label="say.marksFound"
        :where-of="whereOf"
        @take="marks.putRight"
        @go="proof.style = $event.style ?? null"
      />
    </template>
    <UnseenPage v-if="source" ref="unseen" :source="source" @load="onLoad" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 13px;
}
</style>
