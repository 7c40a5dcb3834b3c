<script setup lang="ts">
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
import { useCaseReadings } from '../../store/caseReadings';
import { useProject } from '../../store/project';
import type { LineUpRow } from '../../store/rows/rows';

/** The line that each platform gives the face, whether they differ, and the way to pin it. */
const props = defineProps<{ row: LineUpRow; reading: FaceReading }>();

const project = useProject();
const caseReadings = useCaseReadings();

const NAMES: Record<Platform, string> = {
  mac: 'macOS, iOS',
  windows: 'Windows',
  linux: 'Linux, Android',
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
    <h3>Line on each platform</h3>
    <table class="figures-table">
      <thead>
        <tr>
          <th>Platform</th>
          <th class="figure">Ascent</th>
          <th class="figure">Descent</th>
          <th class="figure">Line gap</th>
          <th class="figure">Line, em</th>
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
    </table>
    <p v-if="pinned" class="line wrap">
      Pinned: every platform gives it the same line.
      <DoButton label="Let it float" @click="letFloat" />
    </p>
    <p v-else-if="!disagree" class="small quiet">
      All platforms agree to within 1 % of the em: text sits the same everywhere.
    </p>
    <p v-else class="line wrap">
      Platforms disagree by more than 1 % of the em: text sits higher or lower from one to another.
      <DoButton v-if="family && family.source !== 'reference'" label="Pin its line" @click="pin" />
      <span v-else class="small quiet">Once it is in the case its line can be pinned.</span>
    </p>
  </section>
</template>
