<script setup lang="ts">
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
import { count, kilobytes, percent, pixels } from '../../control/figures';
import { useCopy } from '../../store/copy';
import { useFallbacks } from '../../store/fallbacks';
import { usePlans } from '../../store/plans';
import { useProject } from '../../store/project';
import ClosenessChart from './ClosenessChart.vue';
import { fittingPatch, measuredOn } from './fallbackView';
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
  { value: 'one', label: 'One ratio' },
  { value: 'space', label: 'And a space of its own' },
  { value: 'groups', label: 'In groups of letters' },
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
    ? 'not known'
    : sizes.value
        .map((size) => pixels(face.baselineAside === null ? 0 : face.baselineAside * size))
        .join(' to ')
        .replaceAll('-', '−');
</script>

<template>
  <template v-if="chosen">
    <div class="line wrap">
      <ChoiceSet
        label="Method"
        :choices="METHODS"
        :model-value="method"
        @update:model-value="setMethod"
      />
    </div>
    <div v-if="method === 'groups'" class="line wrap">
      <NumberField
        label="Words within"
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
        label="No letter more off the rest than"
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
        label="Groups at most"
        :model-value="fitting.groups"
        :min="1"
        :max="MOST_GROUPS"
        :step="1"
        width="40px"
        @update:model-value="set({ groups: Math.round($event) })"
        @reset="set({ groups: undefined })"
      />
    </div>
    <div class="line wrap spread">
      <ChoiceSet
        v-if="locals.length > 1"
        label="Local font"
        :choices="locals"
        :model-value="chosen.local"
        @update:model-value="local = $event"
      />
      <span class="small quiet"
        >{{ count(plan.faces.length, 'fallback face') }} add {{ kilobytes(bytes) }} to the style
        sheet{{ zipped === null ? '' : `, ${kilobytes(zipped)} compressed` }}</span
      >
    </div>

    <template v-if="method === 'groups'">
      <h3>Even letters against close lines, over {{ localName(chosen.local) }}</h3>
      <p v-if="curveState === 'loading'" class="small quiet" role="status">
        Fitting at {{ EVENNESS_POINTS.length }} limits …
      </p>
      <p v-else-if="curveState === 'failed'" class="small" role="alert">
        The curve could not be worked out. What is decided is kept.
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
        <li v-for="{ evenness, face, name } in points" :key="evenness">
          <span class="figure small"
            >±{{ percent(evenness, 0) }}<br />{{ percent(face.fit.mean, 2) }}</span
          >
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
      <p v-if="chosen.faces[0]" class="small quiet">
        What each group buys at ±{{ percent(fitting.evenness, 0) }}:
        {{ chosen.faces[0].steps.map((step, i) => `${i + 1}: ${percent(step, 2)}`).join(', ') }}. A
        ratio for every letter would be {{ percent(chosen.faces[0].each, 2) }}; what is left there
        is the limit, and kerning.
        {{
          candidateError(chosen) > fitting.target
            ? `Words within ${percent(fitting.target, 1)} cannot be had over ${localName(chosen.local)} under this limit.`
            : ''
        }}
      </p>
    </template>

    <h3>{{ localName(chosen.local) }} for each weight and style</h3>
    <table class="figures-table tuning">
      <thead>
        <tr>
          <th>Weight</th>
          <th>Over</th>
          <th class="figure">Words ±</th>
          <th class="figure">19 in 20</th>
          <th class="figure">Lines ±</th>
          <th class="figure">As it is</th>
          <th class="figure">One ratio</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="face in chosen.faces" :key="`${face.weight} ${face.slant}`">
          <tr>
            <td>{{ face.weight }}{{ face.slant === 'italic' ? ' italic' : '' }}</td>
            <td class="small">
              {{ face.variant === 'boldItalic' ? 'bold italic' : face.variant }}
            </td>
            <td class="figure">{{ percent(face.fit.mean, 2) }}</td>
            <td class="figure">{{ percent(face.fit.p95, 1) }}</td>
            <td class="figure">{{ percent(face.fit.lines.width, 2) }}</td>
            <td class="figure quiet">{{ percent(face.untuned.mean, 1) }}</td>
            <td class="figure quiet">{{ percent(face.one.mean, 1) }}</td>
          </tr>
          <tr class="parts">
            <td colspan="7" class="small quiet">
              size-adjust
              {{ face.parts.map(({ ratio }) => cssPercent(ratio).replace('%', ' %')).join(', ') }};
              letters within ±{{ percent(face.unevenness, 1) }}; baseline without overrides
              {{ aside(face) }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p class="small quiet">
      Fitted on text of the project’s languages and every other sentence of its pages, measured on
      other text of several kinds, which count alike here: {{ measuredOn(chosen) }}. Safari leaves
      metric overrides out: line boxes keep, as every text element has a line height; how far the
      baseline stands from its place there is given for the voice’s smallest and largest size.
    </p>
  </template>
  <p v-else class="quiet">
    No local font of the stack has known widths, so nothing is tuned. Put one in from the stack.
  </p>
</template>

<style scoped>
.points li {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
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
