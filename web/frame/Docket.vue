<script setup lang="ts">
import { docket as say } from './words';
import { filesNow, totalBytes } from '@lettera/core/deliver';
import { pairSeatsOf, siteName } from '@lettera/core/document';
import { candidateError, localName, voiceFallback } from '@lettera/core/fallback';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRoute } from 'vue-router';
import { caseFont } from '../proof/caseFonts';
import InFace from '../proof/InFace.vue';
import { useFallbacks } from '../store/fallbacks';
import { useLengthUnit } from '../control/lengthUnit';
import { whenIdle } from '../control/whenIdle';
import { useMarks } from '../store/marks';
import { useStock } from '../store/stock';
import { usePlans } from '../store/plans';
import { count, kilobytes, percent, plainNumber } from '../control/figures';
import ProjectName from './ProjectName.vue';
import SaveLine from './SaveLine.vue';
import { STAGES, type StageKey } from './stages';
import ThemeSwitch from './ThemeSwitch.vue';

/** Comes after what is seen first. */
const WaypointsMenu = defineAsyncComponent(() => import('./WaypointsMenu.vue'));
const settled = ref(false);
whenIdle(() => (settled.value = true));

const fallbacks = useFallbacks();
const allMarks = useMarks();
const lengths = useLengthUnit();
const plans = usePlans();
const site = useStock();
const route = useRoute();

const shown = computed(() => allMarks.shown);
const marksIn = (stage: StageKey) => allMarks.marks.filter((mark) => mark.stage === stage).length;

interface Decision {
  text: string;
  font?: string;
  weight?: number;
  /** What it is, in full. */
  title?: string;
}

/** How near the first fallback of each voice comes; the voice that is farthest off. */
function fallbackDecisions(voices: string[]): Decision[] {
  const document = shown.value;
  if (!document || voices.length === 0) return [{ text: say.noWebFaceStand }];
  if (fallbacks.state === 'loading') return [{ text: say.beingFitted }];
  const firsts = voices.flatMap((key) => {
    const { tuned } = voiceFallback(plans.fallbackOf(document), key);
    return tuned.slice(0, 1);
  });
  const error = Math.max(...firsts.map(candidateError));
  if (firsts.length === 0) return [{ text: say.nothingFitted }];
  return [
    {
      text: say.wordsWithin(percent(error)),
      title: say.firstAll(firsts.map(({ local }) => localName(local)).join(', ')),
    },
  ];
}

/** What was read of a site that exists. */
const stockDecision = computed(() => {
  const { read, titles } = site;
  if (read) {
    return say.read(count(read.stock.pages.length, 'page'), count(read.stock.texts.length, 'text'));
  }
  return titles.length > 0 ? say.notReadYet(count(titles.length, 'page')) : say.noSiteRead;
});

/** What is decided at each stage now, a line or two each. */
const decisions = computed<Record<StageKey, Decision[]>>(() => {
  const document = shown.value;
  if (!document)
    return { stock: [], faces: [], pair: [], scale: [], fallbacks: [], styles: [], deliver: [] };
  const families = Object.entries(document.case);
  const { small, large } = document.scale;
  const seated = Object.entries(document.voices).filter(([, { family }]) => family);
  const files = filesNow(plans.settledDelivery(document));
  const bytes = totalBytes(files);
  return {
    stock: [{ text: stockDecision.value }],
    faces: [
      {
        text: families.length
          ? `${count(families.length, 'family')}, ${count(
              families.reduce((sum, [, { faces }]) => sum + faces.length, 0),
              'face',
            )}`
          : say.caseEmpty,
      },
      ...families.flatMap(([, family]) =>
        family.reference ? [{ text: say.stands(siteName(family), family.reference.standIn) }] : [],
      ),
    ],
    pair: seated.length
      ? seated.map(([key, voice]) => ({
          text: document.case[voice.family ?? '']?.name ?? '',
          font: caseFont(voice.family, voice.generic),
          weight: key === pairSeatsOf(document)?.heading ? 640 : 400,
          title: `${voice.name}: ${document.case[voice.family ?? '']?.name ?? ''}`,
        }))
      : [{ text: say.everyVoiceFree }],
    scale: [
      {
        text: say.endToEnd(
          lengths.show(small.base),
          plainNumber(small.ratio),
          lengths.show(large.base),
          plainNumber(large.ratio),
        ),
        title: say.atPxAtPx(small.width, large.width),
      },
    ],
    fallbacks: fallbackDecisions(seated.map(([key]) => key)),
    styles: [
      {
        text: `${count(Object.keys(document.styles).length, 'style')}, ${count(Object.keys(document.elements).length, 'element')}`,
      },
    ],
    deliver: [
      {
        text: `${count(files.length, 'font file')}, ${plans.isKnown ? kilobytes(bytes) : '…'}`,
      },
    ],
  };
});
</script>

<template>
  <aside class="docket" :aria-label="say.docket">
    <div class="head">
      <RouterLink to="/projects" class="small projects">{{ say.projects }}</RouterLink>
      <ProjectName />
      <WaypointsMenu v-if="settled" />
    </div>
    <nav :aria-label="say.stages">
      <RouterLink
        v-for="stage in STAGES"
        :key="stage.key"
        :to="{ name: stage.key, params: { project: route.params['project'] } }"
        class="entry"
        active-class="current"
      >
        <span class="line spread">
          <span class="stage">{{ stage.name }}</span>
          <span
            v-if="marksIn(stage.key)"
            class="mark-text small"
            :title="`${count(marksIn(stage.key), 'mark')}`"
          >
            {{ marksIn(stage.key)
            }}<span class="visually-hidden">{{ say.marks(marksIn(stage.key)) }}</span>
          </span>
        </span>
        <span
          v-for="(decision, i) in decisions[stage.key]"
          :key="i"
          class="decision"
          :class="{ face: decision.font }"
        >
          <span class="what" :title="decision.title ?? decision.text">
            <InFace
              v-if="decision.font"
              :font="decision.font"
              :name="decision.text"
              :words="decision.text"
              :weight="decision.weight ?? 400"
              mute
            />
            <template v-else>{{ decision.text }}</template>
          </span>
        </span>
      </RouterLink>
    </nav>
    <div class="foot">
      <SaveLine />
      <ThemeSwitch />
    </div>
  </aside>
</template>

<style scoped>
.docket {
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow-y: auto;
}
.head {
  padding: 14px 12px 10px 20px;
}
.head :deep(.l-do) {
  max-width: 100%;
  margin-left: -5px;
  text-align: left;
  white-space: normal;
  overflow-wrap: anywhere;
}
.projects {
  display: inline-block;
  line-height: 24px;
  white-space: nowrap;
  color: var(--ink-2);
  text-decoration: none;
}
.projects:hover {
  text-decoration: underline;
}
nav {
  flex: 1;
}
.entry {
  position: relative;
  display: block;
  margin-left: 20px;
  padding: 8px 12px 9px 0;
  color: var(--ink-2);
  text-decoration: none;
  border-top: 1px solid var(--rule);
  transition: background var(--motion);
}
.entry:hover .stage {
  text-decoration: underline;
  text-underline-offset: 0.2em;
}
.entry.current {
  margin-left: 0;
  padding-left: 20px;
  background: var(--sheet);
  box-shadow: inset 3px 0 var(--verdigris);
}
.entry:focus-visible {
  outline-offset: -2px;
}
.stage {
  color: var(--ink);
  font-weight: 550;
}
.current .stage {
  color: var(--verdigris);
}
.decision {
  display: block;
  font-size: var(--size-beside);
}
.what {
  display: block;
  max-height: 2lh;
  overflow: hidden;
  overflow-wrap: anywhere;
}
.face .what {
  font-size: 17px;
  line-height: 1.3;
  color: var(--ink);
}
.foot {
  display: grid;
  gap: 8px;
  padding: 8px 16px 12px 20px;
}

@media (max-width: 900px) {
  .docket {
    overflow: visible;
    border-bottom: 1px solid var(--rule);
  }
  .head {
    display: flex;
    gap: 12px;
    align-items: baseline;
    padding: 4px 16px;
  }
  .head > :last-child:not(:nth-child(2)) {
    margin-left: auto;
  }
  nav {
    display: flex;
    flex: none;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .entry,
  .entry.current {
    margin: 0;
    padding: 6px 14px;
    white-space: nowrap;
  }
  .entry.current {
    box-shadow: inset 0 3px var(--verdigris);
  }
  .decision {
    display: none;
  }
  .foot {
    display: flex;
    gap: 12px;
    align-items: center;
    justify-content: space-between;
    padding: 4px 16px;
    border-top: 1px solid var(--rule);
  }
}
</style>
