<script setup lang="ts">
import { tuningView as say } from './words';
import FiguresTable from '../../control/FiguresTable.vue';
import { inNoOther } from '../../proof/caseFonts';
import type { ProjectDocument, VoiceFitting } from '@lettera/core/document';
import { cssPercent, fallbackBytes } from '@lettera/core/deliver';
import {
  candidateError,
  EVENNESS_POINTS,
  localName,
  MOST_GROUPS,
  voiceFallback,
  type TunedCandidate,
  type TunedFace,
} from '@lettera/core/fallback';
import { resolveInUse, stylesInUse, stepOf } from '@lettera/core/style';
import { stepByNumber } from '@lettera/core/scale';
import { computed, ref, shallowRef, watch } from 'vue';
import { api } from '../../api/client';
import ChoiceSet from '../../control/ChoiceSet.vue';
import NumberField from '../../control/NumberField.vue';
import PickOne from '../../control/PickOne.vue';
import { count, kilobytes, percent, pixels } from '../../control/figures';
import { useCopy } from '../../store/copy';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import ClosenessChart from './ClosenessChart.vue';
import { fittingPatch, measuredKinds } from './fallbackView';
import { useSampleFaces } from './sampleFaces';

/** How a voice's fallback faces are tuned: by method and limit, on a curve of evenness against closeness. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const project = useProject();
const fallbacks = useFallbacks();
const plans = usePlans();
const copy = useCopy();

const plan = computed(() => plans.fallbackOf(props.document));
const fallback = computed(() => voiceFallback(plan.value, props.voice));
const fitting = computed(() => fallback.value.fitting);
const set = (change: Partial<VoiceFitting>) =>
  project.change(fittingPatch(props.document, props.voice, change));

const METHODS = [
  { value: 'one', label: say.oneRatio },
  { value: 'space', label: say.andSpaceOwn },
  { value: 'groups', label: say.inGroupsLetters },
] as const;
const method = computed(() =>
  fitting.value.groups > 1 ? 'groups' : fitting.value.space ? 'space' : 'one',
);
function setMethod(value: (typeof METHODS)[number]['value']): void {
  set({
    groups: value === 'groups' ? undefined : 1,
    space: value === 'one' ? false : undefined,
  });
}

/** Which of the stack's local fonts is looked at. */
const local = ref('');
const chosen = computed<TunedCandidate | undefined>(
  () =>
    fallback.value.tuned.find((candidate) => candidate.local === local.value) ??
    fallback.value.tuned[0],
);
const locals = computed(() =>
  fallback.value.tuned.map((candidate) => ({
    value: candidate.local,
    label: localName(candidate.local),
  })),
);

/** The curve of the font that is looked at, worked out on the server when it is asked for. */
const curve = shallowRef<(TunedFace | null)[]>([]);
const curveState = ref<'idle' | 'loading' | 'failed'>('idle');
const curveFor = computed(() =>
  JSON.stringify([
    props.voice,
    chosen.value?.local,
    chosen.value?.faces[0]?.weight,
    fitting.value.groups,
    fitting.value.space,
    props.document.voices[props.voice]?.family,
    fallbacks.state,
  ]),
);
async function loadCurve(): Promise<void> {
  const wanted = curveFor.value;
  if (!chosen.value || fitting.value.groups < 2 || fallbacks.state !== 'ready') return;
  curveState.value = 'loading';
  try {
    const points = await api.fallbackCurve(project.id, props.voice, chosen.value.local);
    if (wanted !== curveFor.value) return;
    curve.value = points;
    curveState.value = 'idle';
  } catch {
    if (wanted === curveFor.value) curveState.value = 'failed';
  }
}
watch(
  curveFor,
  () => {
    curve.value = [];
    void loadCurve();
  },
  { immediate: true },
);

const points = computed(() =>
  EVENNESS_POINTS.flatMap((evenness, i) => {
    const face = curve.value[i];
    return face ? [{ evenness, face, name: `curve ${props.voice} ${i}` }] : [];
  }),
);
useSampleFaces(() =>
  points.value.flatMap(({ name, face }) =>
    chosen.value ? [{ name, candidate: { ...chosen.value, faces: [face] } }] : [],
  ),
);
const sentence = computed(() => (copy.paragraph || props.document.words).slice(0, 90));

const bytes = computed(() => fallbackBytes(props.document, plan.value));
const zipped = shallowRef<number | null>(null);
watch(
  () => [props.document, plan.value] as const,
  async ([document, current]) => {
    zipped.value = (await import('./zippedBytes')).zippedFallbackBytes(document, current);
  },
  { immediate: true },
);

/** Sizes that the voice is set in, px, for what is reported in px. */
const sizes = computed(() => {
  const steps = stylesInUse(props.document)
    .filter((style) => resolveInUse(props.document, style).voice.value === props.voice)
    .map((style) => stepByNumber(props.document.scale, stepOf(props.document, style)).large);
  return steps.length ? [Math.min(...steps), Math.max(...steps)] : [16, 16];
});
const aside = (face: TunedFace): string =>
  face.baselineAside === null
    ? say.notKnown
    : sizes.value
        .map((size) => pixels(face.baselineAside === null ? 0 : face.baselineAside * size))
        .join(' to ')
        .replaceAll('-', '−');
</script>

<template>
  <template v-if="chosen">
    <div class="line">
      <PickOne
        v-if="locals.length > 1"
        :label="say.localFont"
        :choices="locals"
        :model-value="chosen.local"
        @update:model-value="local = $event ?? ''"
      />
      <ChoiceSet
        :label="say.method"
        :choices="METHODS"
        :model-value="method"
        @update:model-value="setMethod"
      />
    </div>
    <div v-if="method === 'groups'" class="line limits">
      <NumberField
        :label="say.wordsWithin"
        :model-value="Number((fitting.target * 100).toFixed(2))"
        :min="0"
        :max="20"
        :step="0.1"
        unit="%"
        width="52px"
        @update:model-value="set({ target: $event / 100 })"
        @reset="set({ target: undefined })"
      />
      <NumberField
        :label="say.lettersWithin"
        :model-value="Number((fitting.evenness * 100).toFixed(1))"
        :min="0"
        :max="50"
        :step="1"
        unit="%"
        width="52px"
        @update:model-value="set({ evenness: $event / 100 })"
        @reset="set({ evenness: undefined })"
      />
      <NumberField
        :label="say.groupsAtMost"
        :model-value="fitting.groups"
        :min="1"
        :max="MOST_GROUPS"
        :step="1"
        width="40px"
        @update:model-value="set({ groups: Math.round($event) })"
        @reset="set({ groups: undefined })"
      />
    </div>
    <template v-if="method === 'groups'">
      <h3>{{ say.evenLettersAgainstClose(localName(chosen.local)) }}</h3>
      <p v-if="curveState === 'loading'" class="small quiet" role="status">
        {{ say.fittingAtLimits(EVENNESS_POINTS.length) }}
      </p>
      <p v-else-if="curveState === 'failed'" class="small" role="alert">
        {{ say.curveCouldNotBe }}
      </p>
      <ClosenessChart
        v-if="points.length"
        :points="points"
        :present="fitting.evenness"
        :one="chosen.faces[0]?.one.mean ?? 0"
        :target="fitting.target"
        @choose="set({ evenness: $event })"
      />
      <ol class="points">
        <li
          v-for="{ evenness, face, name } in points"
          :key="evenness"
          :class="{ present: evenness === fitting.evenness }"
        >
          <span class="small">±{{ percent(evenness, 0) }}</span>
          <span class="small figure">{{ percent(face.fit.mean, 2) }}</span>
          <span
            class="whole-lines specimen"
            :style="{
              fontFamily: inNoOther(name),
              fontWeight: face.weight,
              fontStyle: face.slant,
            }"
            >{{ sentence }}</span
          >
        </li>
      </ol>
      <template v-if="chosen.faces[0]">
        <h3>{{ say.whatEachGroupBuys(percent(fitting.evenness, 0)) }}</h3>
        <FiguresTable>
          <thead>
            <tr>
              <th>{{ say.groups }}</th>
              <th v-for="(_, i) in chosen.faces[0].steps" :key="i" class="figure">{{ i + 1 }}</th>
              <th class="figure">{{ say.eachLetter }}</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>{{ say.words }}</td>
              <td v-for="(step, i) in chosen.faces[0].steps" :key="i" class="figure">
                {{ percent(step, 2) }}
              </td>
              <td class="figure quiet">{{ percent(chosen.faces[0].each, 2) }}</td>
            </tr>
          </tbody>
        </FiguresTable>
        <p class="small quiet">
          {{ say.whatIsLeft }}
          <template v-if="candidateError(chosen) > fitting.target">{{
            say.wordsWithinCannotBe(percent(fitting.target, 1), localName(chosen.local))
          }}</template>
        </p>
      </template>
    </template>

    <h3>{{ say.forEachWeightStyle(localName(chosen.local)) }}</h3>
    <FiguresTable class="tuning">
      <thead>
        <tr>
          <th>{{ say.weight }}</th>
          <th>{{ say.over }}</th>
          <th class="figure">{{ say.words }}</th>
          <th class="figure">{{ say.nineteenInTwenty }}</th>
          <th class="figure">{{ say.lines }}</th>
          <th class="figure">{{ say.asItIs }}</th>
          <th class="figure">{{ say.oneRatio }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="face in chosen.faces" :key="`${face.weight} ${face.slant}`">
          <tr>
            <td>{{ face.slant === 'italic' ? say.italic(face.weight) : face.weight }}</td>
            <td class="small">
              {{ face.variant === 'boldItalic' ? say.boldItalic : face.variant }}
            </td>
            <td class="figure">{{ percent(face.fit.mean, 2) }}</td>
            <td class="figure">{{ percent(face.fit.p95, 1) }}</td>
            <td class="figure">{{ percent(face.fit.lines.width, 2) }}</td>
            <td class="figure quiet">{{ percent(face.untuned.mean, 1) }}</td>
            <td class="figure quiet">{{ percent(face.one.mean, 1) }}</td>
          </tr>
          <tr class="parts">
            <td colspan="7" class="small quiet">
              {{
                say.sizeAdjustLettersWithin(
                  face.parts.map(({ ratio }) => cssPercent(ratio).replace('%', ' %')).join(', '),
                  percent(face.unevenness, 1),
                  aside(face),
                )
              }}
            </td>
          </tr>
        </template>
      </tbody>
    </FiguresTable>
    <p class="small quiet">{{ say.safariLeavesOut }}</p>
    <h3>{{ say.inEachKindText(localName(chosen.local)) }}</h3>
    <FiguresTable>
      <thead>
        <tr>
          <th>{{ say.text }}</th>
          <th class="figure">{{ say.words }}</th>
          <th class="figure">{{ say.wordsIn }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ name, mean, words } in measuredKinds(chosen)" :key="name">
          <td>{{ name }}</td>
          <td class="figure">{{ percent(mean, 2) }}</td>
          <td class="figure quiet">{{ words.toLocaleString('en') }}</td>
        </tr>
      </tbody>
    </FiguresTable>
    <p class="small quiet">
      {{ say.fittedOnTextProjects }}
      {{
        say.addStyleSheet(
          count(plan.faces.length, 'fallback face'),
          kilobytes(bytes),
          zipped === null ? '' : say.compressed(kilobytes(zipped)),
        )
      }}.
    </p>
  </template>
  <p v-else class="quiet">
    {{ say.noLocalFontStack }}
  </p>
</template>

<style scoped>
.limits {
  gap: 16px;
}
.points li {
  display: grid;
  grid-template-columns: 40px 48px minmax(0, 1fr);
  gap: 0 16px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
.points .present .small {
  font-weight: 640;
}
.points .specimen {
  --lines: 1;
  font-size: 17px;
  line-height: 1.5;
}
.tuning td {
  border-bottom: 0;
  padding-bottom: 0;
}
.parts td {
  padding-top: 0;
  border-bottom: 1px solid var(--rule);
}
</style>
