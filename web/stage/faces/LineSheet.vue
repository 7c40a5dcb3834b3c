<script setup lang="ts">
import { lineSheet as say } from './words';
import {
  platformLineMetrics,
  platformsDisagree,
  type FaceReading,
  type LineMetrics,
  type Platform,
} from '@lettera/core/font';
import { pinPatch } from '@lettera/core/fallback';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import FiguresTable from '../../control/FiguresTable.vue';
import { useCaseReadings } from '../../store/caseReadings';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';

/** The line that each platform gives the face, whether they differ, and the way to pin it. */
const props = defineProps<{ row: LineUpRow; reading: FaceReading }>();

const project = useProject();
const caseReadings = useCaseReadings();

const NAMES: Record<Platform, string> = {
  mac: say.macosIos,
  windows: say.windows,
  linux: say.linuxAndroid,
};

const lines = computed(() =>
  Object.entries(platformLineMetrics(props.reading)).map(([platform, metrics]) => ({
    platform: NAMES[platform as Platform],
    ...metrics,
  })),
);
const disagree = computed(() => platformsDisagree(props.reading, props.reading.unitsPerEm));
const em = (units: number): string =>
  (units / props.reading.unitsPerEm).toFixed(3).replace('-', '−');
const whole = ({ ascent, descent, lineGap }: LineMetrics): number => ascent - descent + lineGap;

const family = computed(() => project.document?.case[props.row.caseKey ?? '']);
const pinned = computed(() => family.value?.faces.every((face) => face.pinned) ?? false);

function pin(): void {
  const key = props.row.caseKey ?? '';
  const patch = project.document && pinPatch(project.document, key, caseReadings.readings);
  if (patch) project.change(patch);
}

function letFloat(): void {
  const faces = family.value?.faces.map(({ pinned: _pinned, ...face }) => face);
  project.change([{ op: 'replace', path: `/case/${props.row.caseKey ?? ''}/faces`, value: faces }]);
}
</script>

<template>
  <section>
    <h3>{{ say.lineOnEachPlatform }}</h3>
    <FiguresTable>
      <thead>
        <tr>
          <th>{{ say.platform }}</th>
          <th class="figure">{{ say.ascent }}</th>
          <th class="figure">{{ say.descent }}</th>
          <th class="figure">{{ say.lineGap }}</th>
          <th class="figure">{{ say.lineEm }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.platform">
          <td>{{ line.platform }}</td>
          <td class="figure">{{ em(line.ascent) }}</td>
          <td class="figure">{{ em(line.descent) }}</td>
          <td class="figure">{{ em(line.lineGap) }}</td>
          <td class="figure">{{ em(whole(line)) }}</td>
        </tr>
      </tbody>
    </FiguresTable>
    <p v-if="pinned" class="line wrap">
      {{ say.pinnedEveryPlatformGives }}
      <DoButton :label="say.letFloat" @click="letFloat" />
    </p>
    <p v-else-if="!disagree" class="small quiet">
      {{ say.allPlatformsAgreeWithin }}
    </p>
    <p v-else class="line wrap">
      {{ say.platformsDisagreeByMore }}
      <DoButton v-if="family && family.source !== 'reference'" :label="say.pinLine" @click="pin" />
      <span v-else class="small quiet">{{ say.onceCaseLineCan }}</span>
    </p>
  </section>
</template>
