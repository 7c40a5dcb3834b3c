<script setup lang="ts">
import { candidateList as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import { localsOf, MEASURES } from '@lettera/core/fallback';
import { voiceRequests } from '@lettera/core/style';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { percent } from '../../control/figures';
import { caseFont, inNoOther } from '../../proof/caseFonts';
import { useCopy } from '../../store/copy';
import { useFallbacks } from '../../store/fallbacks';
import { useProject } from '../../store/project';
import { candidateRows, linesApart, measuredOn, stackPatch, wordsOff } from './fallbackView';
import MeasureLocals from './MeasureLocals.vue';
import OverlayText from './OverlayText.vue';
import { sampleName, useSampleFaces } from './sampleFaces';

/** All local fonts of a voice's class in order of fit × reach, each with its figures and a line of overlay. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const project = useProject();
const fallbacks = useFallbacks();
const copy = useCopy();

const rows = computed(() => candidateRows(props.document, fallbacks.trials, props.voice));
const known = computed(() => rows.value.filter(({ candidate }) => candidate !== null));
const unknown = computed(() => rows.value.filter(({ candidate }) => candidate === null));
const request = computed(() => voiceRequests(props.document, props.voice)[0]);
const web = computed(() =>
  caseFont(props.document.voices[props.voice]?.family, props.document.voices[props.voice]?.generic),
);
const locals = computed(() => localsOf(props.document, props.voice, fallbacks.trials));
const line = computed(() => (copy.paragraph || props.document.words).slice(0, 120));

useSampleFaces(() =>
  known.value.flatMap(({ local, candidate }) =>
    candidate ? [{ name: sampleName(props.voice, local), candidate }] : [],
  ),
);

const put = (local: string) => project.change(stackPatch(props.voice, [...locals.value, local]));
const signed = (apart: number): string =>
  apart === 0 ? '0' : apart > 0 ? `+${apart}` : `−${-apart}`;
</script>

<template>
  <FiguresTable>
    <thead>
      <tr>
        <th>{{ say.localFontsOrderFit }}</th>
        <th class="figure">{{ say.reach }}</th>
        <th class="figure">{{ say.words }}</th>
        <th class="figure" :title="say.linesMoreOrFewer(MEASURES.join(', '))">{{ say.lines }}</th>
        <th />
      </tr>
    </thead>
    <tbody>
      <template
        v-for="{ local, name, platforms, reach, candidate, lacks, taken } in known"
        :key="local"
      >
        <tr
          class="facts"
          draggable="true"
          @dragstart="($event as DragEvent).dataTransfer?.setData('text/lettera-local', local)"
        >
          <td>
            <b>{{ name }}</b>
            <span class="small quiet">
              {{ platforms }}{{ candidate?.source === 'measured' ? say.measuredHere : '' }}</span
            >
          </td>
          <td class="figure">{{ percent(reach, 0) }}</td>
          <td class="figure">{{ candidate ? wordsOff(candidate) : '' }}</td>
          <td class="figure small">
            {{ candidate ? linesApart(candidate).map(signed).join(' ') : '' }}
          </td>
          <td class="figure">
            <span v-if="taken" class="small quiet">{{ say.inStack }}</span>
            <DoButton
              v-else
              class="on-point"
              :aria-label="say.add(name)"
              :label="say.addShort"
              @click="put(local)"
            />
          </td>
        </tr>
        <tr class="specimen">
          <td colspan="5">
            <OverlayText
              :text="line"
              :web="web"
              :fallback="inNoOther(sampleName(voice, local))"
              :weight="request?.weight ?? 400"
              :slant="request?.slant ?? 'normal'"
              :size="15"
              :measure="null"
            />
            <span v-if="lacks" class="small quiet">{{ lacks }}</span>
          </td>
        </tr>
      </template>
    </tbody>
  </FiguresTable>
  <p class="small quiet about">
    {{
      say.blueWebFaceAmber(
        known[0]?.candidate ? measuredOn(known[0].candidate) : '',
        MEASURES.join(', '),
      )
    }}
  </p>
  <template v-if="unknown.length">
    <h3>{{ say.widthsNotKnownHere }}</h3>
    <p class="small quiet about">
      {{ say.noOpenFontWidths }}
    </p>
    <MeasureLocals :rows="unknown" @put="put" />
  </template>
</template>

<style scoped>
td b {
  font-weight: 550;
  margin-right: 6px;
}
.facts td {
  border-bottom: 0;
  padding-bottom: 0;
}
.facts {
  cursor: grab;
}
.specimen td {
  padding-top: 0;
  max-width: 0;
}
.about {
  padding: 4px 0 8px;
}
</style>
