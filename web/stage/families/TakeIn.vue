<script setup lang="ts">
import { takeIn as say } from './words';
import { computed, ref } from 'vue';
import { libraryFaces, type LibraryFamily } from '@lettera/core/document';
import DoButton from '../../control/DoButton.vue';
import OnOff from '../../control/OnOff.vue';
import OnOffSet from '../../control/OnOffSet.vue';
import { turned } from '../../control/turned';
import { count, kilobytes } from '../../control/figures';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { pickableWeights, pickedBytes, picksOf } from '../../store/rows/picks';

/** Which weights and scripts of a family are taken in, with their bytes counted as they are picked. */
const props = defineProps<{ family: LibraryFamily; caseKey: string | null }>();

const project = useProject();
const library = useLibrary();
const taking = ref<AbortController | null>(null);
const refused = ref('');

const STYLES = ['normal', 'italic'] as const;
type Style = (typeof STYLES)[number];

const weightsIn = (style: Style) =>
  pickableWeights(libraryFaces(props.family).filter((face) => face.style === style));
const styles = STYLES.filter((style) => weightsIn(style).length > 0);
const font = `"library ${props.family.id}"`;

/** What is in the case already, else regular and bold upright in Latin. */
function startingPicks(): { faces: string[]; scripts: string[] } {
  const taken = props.caseKey ? project.document?.case[props.caseKey] : undefined;
  if (taken) {
    const { faces, scripts } = picksOf(taken);
    return { faces: faces.map(({ style, weight }) => `${style} ${weight}`), scripts };
  }
  const upright = weightsIn('normal');
  const first = upright.includes(400) ? 400 : upright[0];
  const faces = [first, upright.includes(700) ? 700 : undefined]
    .filter((weight) => weight !== undefined)
    .map((weight) => `normal ${weight}`);
  return { faces, scripts: props.family.scripts.filter((script) => script === 'latin') };
}

const start = startingPicks();
const faces = ref(start.faces);
const scripts = ref(start.scripts);

const picks = computed(() =>
  faces.value.map((face) => {
    const [style, weight] = face.split(' ') as [Style, string];
    return { style, weight: Number(weight) };
  }),
);
const cost = computed(() => pickedBytes(props.family, scripts.value, picks.value));
const progress = computed(() => project.progress.taking);

async function take(): Promise<void> {
  const abort = new AbortController();
  taking.value = abort;
  refused.value = '';
  try {
    const wanted = { scripts: scripts.value, faces: picks.value };
    await library.take(props.family.id, wanted, abort.signal);
  } catch (error) {
    refused.value = abort.signal.aborted ? say.stoppedNothingWasAdded : (error as Error).message;
  }
  taking.value = null;
}

const scriptChoices = computed(() =>
  props.family.scripts.map((script) => ({ value: script, label: script })),
);
</script>

<template>
  <section class="take" :aria-label="say.add(family.name)">
    <fieldset v-for="style in styles" :key="style">
      <legend class="quiet">{{ style === 'normal' ? say.upright : say.italic }}</legend>
      <OnOff
        v-for="weight in weightsIn(style)"
        :key="weight"
        :label="`${weight}`"
        :style="{ fontFamily: font, fontWeight: weight, fontStyle: style }"
        :aria-label="say.faceOf(weight, style)"
        :model-value="faces.includes(`${style} ${weight}`)"
        @update:model-value="faces = turned(faces, `${style} ${weight}`, $event)"
      />
    </fieldset>
    <fieldset>
      <legend class="quiet">{{ say.scripts }}</legend>
      <OnOffSet v-model="scripts" :label="say.scripts" :choices="scriptChoices" />
    </fieldset>
    <p v-if="family.variable" class="small quiet">
      {{ say.oneFileStyleCarries }}
    </p>
    <div class="line wrap">
      <DoButton
        :label="caseKey ? say.addWhatPicked : say.addCase"
        :loading="taking !== null"
        @click="take"
        first
      />
      <template v-if="taking">
        <span role="status">{{
          progress ? say.countOf(progress.done, count(progress.of, 'file')) : say.askingFoundry
        }}</span>
        <DoButton @click="taking?.abort()">{{ say.stop }}</DoButton>
      </template>
      <span v-else
        >{{ count(cost.files, 'file') }}, {{ family.variable ? say.atMost : ''
        }}{{ kilobytes(cost.bytes) }}</span
      >
      <span class="quiet small">{{ say.storedHereDeliveredAs(family.licence) }}</span>
    </div>
    <p v-if="refused" role="alert" class="mark-text">{{ refused }}</p>
  </section>
</template>

<style scoped>
section.take {
  gap: 10px;
}
fieldset {
  position: relative;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 13px;
  padding-left: 76px;
}
legend {
  position: absolute;
  left: 0;
}
.face {
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
</style>
