<script setup lang="ts">
import { ledger as say } from './words';
import type { Mark } from '@lettera/core/check';
import {
  fontBytesFirst,
  loadTimes,
  referencedFamilies,
  STATED_CONNECTION,
  stylesheet,
  filesNow,
  totalBytes,
} from '@lettera/core/deliver';
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';

import DoButton from '../control/DoButton.vue';
import FiguresTable from '../control/FiguresTable.vue';
import { useMarks } from '../store/marks';
import { usePlans } from '../store/plans';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';
import { useVisits } from '../store/visits';
import { count, kilobytes } from '../control/figures';
import { whenIdle } from '../control/whenIdle';
import MarkList from '../proof/MarkList.vue';

const project = useProject();
const proof = useProof();
const plans = usePlans();
const visits = useVisits();
const allMarks = useMarks();
const route = useRoute();
const router = useRouter();
const open = ref<'files' | 'time' | 'shift' | 'marks' | null>(null);

/** The page is seen before it is told what it weighs. */
const isSeen = ref(false);
whenIdle(() => {
  isSeen.value = true;
});

/** Bytes of the style sheet: marks that change do not make it anew. Null until that is worked out. */
const css = computed(() => {
  const document = allMarks.shown;
  if (!document || !isSeen.value) return null;
  const delivery = plans.settledDelivery(document);
  const sheet = stylesheet(document, { fallback: plans.fallbackOf(document), delivery });
  return new TextEncoder().encode(sheet).length;
});
const figures = computed(() => {
  const document = allMarks.shown;
  if (!document) return null;
  const delivery = plans.settledDelivery(document);
  const fonts = filesNow(delivery);
  const later = delivery.files.length - fonts.length;
  const first = fontBytesFirst(document, delivery);
  return {
    faces: new Set(fonts.map(({ face }) => face)).size,
    fonts,
    later,
    elsewhere: referencedFamilies(document),
    bytes: totalBytes(fonts),
    css: css.value,
    first,
    times:
      first && css.value !== null
        ? loadTimes(STATED_CONNECTION, { stylesheetBytes: css.value, ...first })
        : null,
    marks: allMarks.marks,
  };
});

/** The shift, or why there is none to tell: it is measured on the proof, and nothing shifts where nothing is loaded. */
const shiftText = computed(() => {
  if (figures.value?.fonts.length === 0) return say.noShift;
  if (proof.shift !== null) return proof.shift.toFixed(3);
  return proof.folded || proof.bare ? say.notMeasured : say.beingMeasured;
});

/** A time, or that it is reported once the files are there. */
const seconds = (milliseconds: number | undefined): string =>
  milliseconds === undefined ? '…' : `${(milliseconds / 1000).toFixed(2)} s`;

function toggle(panel: typeof open.value): void {
  open.value = open.value === panel ? null : panel;
}

function goTo({ stage, style }: Mark): void {
  open.value = null;
  if (style) proof.style = style;
  void router.push({ name: stage, params: { project: route.params['project'] } });
}
</script>

<template>
  <footer class="ledger" :aria-label="say.ledger" @keydown.esc="open = null">
    <div v-if="open && figures" class="detail">
      <template v-if="open === 'files'">
        <h2>{{ say.whatVisitorMayLoad }}</h2>
        <FiguresTable>
          <tbody>
            <tr v-for="font in figures.fonts" :key="font.path">
              <td>{{ font.path.replace('fonts/', '') }}</td>
              <td class="figure">{{ kilobytes(font.bytes) }}</td>
            </tr>
          </tbody>
        </FiguresTable>
        <p v-if="figures.later" class="small">{{ say.andLater(count(figures.later, 'file')) }}</p>
        <p v-for="reason in plans.failed" :key="reason" class="mark-text" role="alert">
          {{ reason }}
        </p>
        <p class="quiet small">{{ say.browsersFetchOnlyScripts }}</p>
        <p v-for="{ name, stylesheet: address } in figures.elsewhere" :key="name" class="small">
          {{ say.andFromWhoseBytes(name, address) }}
        </p>
      </template>
      <template v-else-if="open === 'time'">
        <h2>{{ say.timeOn(STATED_CONNECTION.name) }}</h2>
        <p>
          {{
            say.msRoundTripMbit(
              STATED_CONNECTION.roundTrip,
              STATED_CONNECTION.bandwidth / 1000,
              seconds(figures.times?.firstText),
              kilobytes(figures.css),
              seconds(figures.times?.swap),
              kilobytes(figures.first?.fontBytes ?? null),
              kilobytes(figures.first?.preloadedBytes ?? null),
            )
          }}
        </p>
        <p v-if="visits.figures.visits > 0">
          {{
            say.counted(
              count(visits.figures.visits, 'visit'),
              say.textAndFonts(visits.seconds('text'), visits.seconds('faces')),
            )
          }}
        </p>
        <p class="quiet small">
          {{ say.workedOutPageLoads }}
        </p>
      </template>
      <template v-else-if="open === 'shift'">
        <h2>{{ say.layoutShiftSwap }}</h2>
        <p v-if="visits.figures.shift !== null">
          {{
            say.counted(
              count(visits.figures.visits, 'visit'),
              say.shiftOf(visits.figures.shift.toFixed(2)),
            )
          }}
        </p>
        <p v-if="proof.shift !== null">
          {{
            say.onAtPxMeasured(
              proof.shift.toFixed(3),
              project.pages.find(({ slug }) => slug === proof.page)?.title ?? '',
              proof.width,
            )
          }}
        </p>
        <p v-else-if="proof.folded">{{ say.itMeasuredOnProof }}</p>
        <p v-else-if="proof.bare">
          {{ say.proofShowsSiteAs }}
        </p>
        <p v-else>{{ say.itBeingMeasuredOn }}</p>
        <p class="quiet small">
          {{ say.upCountsAsGood }}
        </p>
      </template>
      <template v-else>
        <h2>{{ allMarks.isJudged ? count(figures.marks.length, 'mark') : say.marks }}</h2>
        <p v-if="!allMarks.isJudged">{{ say.beingChecked }}</p>
        <p v-else-if="figures.marks.length === 0">{{ say.nothingCheckedWrong }}</p>
        <MarkList
          v-else
          :marks="figures.marks"
          :label="say.marksOnProject"
          @go="goTo"
          @take="allMarks.putRight($event)"
        />
        <template v-if="allMarks.aside.length">
          <h2>{{ say.setAside(allMarks.aside.length) }}</h2>
          <ul>
            <li v-for="mark in allMarks.aside" :key="mark.message" class="aside">
              <p class="quiet">{{ mark.message }}</p>
              <p class="line spread">
                <span>{{ mark.reason }}</span>
                <DoButton
                  :label="say.bringBack"
                  :aria-label="say.bringBackMessage(mark.message)"
                  @click="allMarks.takeUp(mark)"
                />
              </p>
            </li>
          </ul>
        </template>
      </template>
    </div>
    <div class="entries">
      <div v-if="figures" class="figures">
        <button
          type="button"
          class="plain"
          :aria-expanded="open === 'files'"
          @click="toggle('files')"
        >
          <b>{{ count(figures.faces, 'face') }}</b>, {{ count(figures.fonts.length, 'file') }},
          <b>{{ plans.isKnown ? kilobytes(figures.bytes) : '…' }}</b><template
            v-if="figures.elsewhere.length"
            >{{ say.elsewhere(figures.elsewhere.length) }}</template
          >
        </button>
        <button
          type="button"
          class="plain"
          :aria-expanded="open === 'time'"
          @click="toggle('time')"
        >
          {{ say.textAfter }} <b>{{ seconds(figures.times?.firstText) }}</b>,
          {{ figures.fonts.length ? say.webFacesAfter : say.noSwap }}
          <b v-if="figures.fonts.length">{{ seconds(figures.times?.swap) }}</b>
          {{ say.onMark(STATED_CONNECTION.name) }}
        </button>
        <button
          type="button"
          class="plain"
          :aria-expanded="open === 'shift'"
          @click="toggle('shift')"
        >
          {{ say.shift }} <b>{{ shiftText }}</b>
        </button>
        <button
          type="button"
          class="plain"
          :class="{ 'mark-text': figures.marks.length > 0 }"
          :aria-expanded="open === 'marks'"
          @click="toggle('marks')"
        >
          <b>{{ allMarks.isJudged ? figures.marks.length : '…' }}</b>
          {{ say.marksCounted(figures.marks.length) }}
        </button>
      </div>
      <div class="line around"><slot /></div>
    </div>
  </footer>
</template>

<style scoped>
.ledger {
  position: relative;
  border-top: 1px solid var(--rule);
}
.entries,
.figures {
  display: flex;
  align-items: stretch;
  height: 36px;
  white-space: nowrap;
}
.figures {
  flex: 1;
  overflow-x: auto;
  scrollbar-width: none;
}
.figures {
  gap: 8px;
  padding-left: 8px;
}
.figures button {
  padding: 0 12px;
  color: var(--ink-2);
  font-size: var(--size-beside);
}
.around {
  gap: 12px;
  padding: 0 16px 0 12px;
}
.figures button:not(.mark-text) b {
  color: var(--ink);
}
.figures button:hover {
  color: var(--ink);
}
.figures button[aria-expanded='true'] {
  color: var(--ink);
  background: var(--sheet);
}
b {
  font-weight: 550;
}
.detail {
  position: absolute;
  bottom: 100%;
  left: 216px;
  z-index: 5;
  width: min(560px, 90vw);
  max-height: 60vh;
  overflow: auto;
  padding: 16px;
  background: var(--sheet);
  border: 1px solid var(--ink-3);
  border-bottom: 0;
  border-radius: var(--corner) var(--corner) 0 0;
}
.detail h2 {
  margin-bottom: 8px;
}
.detail p + p {
  margin-top: 8px;
}
.detail table {
  width: 100%;
}
.detail td {
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 900px) {
  .detail {
    left: 4vw;
  }
  .figures {
    gap: 0;
    padding-left: 0;
  }
  .figures button {
    padding: 0 8px;
  }
}
.figures .mark-text {
  color: var(--mark);
}
</style>
