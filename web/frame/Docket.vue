<script setup lang="ts">
import { totalBytes } from '@lettera/core/deliver';
import { pairSeatsOf, siteName } from '@lettera/core/document';
import { candidateError, localName, voiceFallback } from '@lettera/core/fallback';
import { stepsOf } from '@lettera/core/scale';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRoute } from 'vue-router';
import { caseFont } from '../proof/caseFonts';
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
  note?: string;
}

function fallbackDecisions(voices: string[]): Decision[] {
  const document = shown.value;
  if (!document || voices.length === 0) return [{ text: 'No web face to stand in for' }];
  if (fallbacks.state === 'loading') return [{ text: 'being fitted …' }];
  return voices.flatMap((key) => {
    const { tuned } = voiceFallback(plans.fallbackOf(document), key);
    const [first] = tuned;
    return first
      ? [
          {
            text: tuned.map(({ local }) => localName(local)).join(', '),
            note: `words ±${percent(candidateError(first))}`,
          },
        ]
      : [];
  });
}

/** What was read of a site that exists. */
const stockDecision = computed(() => {
  const { read, titles } = site;
  if (read) {
    return `${count(read.stock.pages.length, 'page')}, ${count(read.stock.texts.length, 'text')} read`;
  }
  return titles.length > 0 ? `${count(titles.length, 'page')} not read yet` : 'No site read';
});

/** What is decided at each stage now, a line or two each. */
const decisions = computed<Record<StageKey, Decision[]>>(() => {
  const document = shown.value;
  if (!document)
    return { stock: [], faces: [], pair: [], scale: [], fallbacks: [], styles: [], deliver: [] };
  const families = Object.entries(document.case);
  const { small, large } = document.scale;
  const seated = Object.entries(document.voices).filter(([, { family }]) => family);
  const { files } = plans.settledDelivery(document);
  const bytes = totalBytes(files);
  return {
    stock: [{ text: stockDecision.value }],
    faces: [
      {
        text: families.length
          ? families
              .map(([, family]) =>
                family.reference
                  ? `${siteName(family)} (${family.reference.standIn} stands in)`
                  : siteName(family),
              )
              .join(', ')
          : 'The case is empty',
      },
    ],
    pair: seated.length
      ? seated.map(([key, voice]) => ({
          text: document.case[voice.family ?? '']?.name ?? '',
          font: caseFont(voice.family, voice.generic),
          weight: key === pairSeatsOf(document)?.heading ? 650 : 400,
          note: voice.name,
        }))
      : [{ text: 'Every voice is free' }],
    scale: [
      { text: `${lengths.show(small.base)} × ${plainNumber(small.ratio)} at ${small.width}` },
      { text: `${lengths.show(large.base)} × ${plainNumber(large.ratio)} at ${large.width}` },
    ],
    fallbacks: fallbackDecisions(seated.map(([key]) => key)),
    styles: [
      {
        text: `${count(Object.keys(document.styles).length, 'style')}, ${count(Object.keys(document.elements).length, 'element')}`,
      },
    ],
    deliver: [
      {
        text: `${count(files.length, 'font file')}, ${bytes === null ? 'being packed …' : kilobytes(bytes)}`,
        note: `${stepsOf(document.scale).length} sizes`,
      },
    ],
  };
});
</script>

<template>
  <aside class="docket" aria-label="Docket">
    <div class="head">
      <RouterLink to="/projects" class="small go projects">All projects</RouterLink>
      <ProjectName />
      <WaypointsMenu v-if="settled" />
    </div>
    <nav aria-label="Stages">
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
            {{ marksIn(stage.key) }}<span class="visually-hidden"> marks</span>
          </span>
        </span>
        <span
          v-for="(decision, i) in decisions[stage.key]"
          :key="i"
          class="decision"
          :class="{ face: decision.font }"
        >
          <span
            class="what"
            :style="{ fontFamily: decision.font, fontWeight: decision.weight }"
            :title="decision.text"
            >{{ decision.text }}</span
          >
          <span v-if="decision.note" class="note">{{ decision.note }}</span>
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
  border-right: 1px solid var(--rule);
}
.head {
  padding: 6px 12px 8px 16px;
  border-bottom: 1px solid var(--rule);
}
.head :deep(.l-do) {
  max-width: 100%;
  margin-top: 2px;
  text-align: left;
  white-space: normal;
  overflow-wrap: anywhere;
}
.projects {
  display: inline-block;
  line-height: 24px;
}
nav {
  flex: 1;
}
.entry {
  position: relative;
  display: block;
  padding: 8px 12px 9px 16px;
  border-bottom: 1px solid var(--rule);
  color: var(--ink-2);
  text-decoration: none;
  transition: background var(--motion);
}
.entry:hover {
  background: var(--touched);
}
.entry.current {
  background: var(--sheet);
  margin-right: -1px;
}
.stage {
  color: var(--ink);
  font-weight: 550;
}
.current .stage {
  color: var(--verdigris);
  font-weight: 650;
}
.decision {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 8px;
  font-size: 12px;
}
.what {
  overflow-wrap: anywhere;
  max-height: 2lh;
  overflow: hidden;
}
.face {
  flex-direction: column-reverse;
  gap: 0;
  margin-top: 2px;
}
.face .what {
  max-width: 100%;
  font-size: 18px;
  line-height: 1.25;
  color: var(--ink);
}
.note {
  flex: none;
  font-size: 11px;
}
.foot {
  display: grid;
  gap: 6px;
  padding: 8px 12px 8px 16px;
}

@media (max-width: 900px) {
  .docket {
    border-right: 0;
    border-bottom: 1px solid var(--rule);
  }
  .head {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 12px;
    padding: 6px 12px;
  }
  nav {
    display: flex;
    overflow-x: auto;
  }
  .entry {
    padding: 6px 12px;
    border-right: 1px solid var(--rule);
  }
  .decision {
    display: none;
  }
  .foot {
    display: flex;
    align-items: center;
    justify-content: space-between;
    padding: 6px 12px;
  }
}
</style>
