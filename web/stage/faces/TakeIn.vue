<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import { computed, ref } from 'vue';
import type { LibraryFamily } from '@lettera/core/document';
import { count, kilobytes } from '../../frame/figures';
import { useLibrary } from '../../store/library';
import { useProject } from '../../store/project';
import { pickableWeights, pickedBytes } from './lineUp';

const props = defineProps<{ family: LibraryFamily; caseKey: string | null; font: string }>();

const project = useProject();
const library = useLibrary();
const state = ref<'idle' | 'taking'>('idle');
const refused = ref('');

const STYLES = ['normal', 'italic'] as const;
type Style = (typeof STYLES)[number];

const weightsIn = (style: Style) =>
  pickableWeights(props.family.files.filter((file) => file.style === style));
const styles = STYLES.filter((style) => weightsIn(style).length > 0);

/** What is in the case already, else regular and bold upright in Latin. */
function startingPicks(): { faces: string[]; scripts: string[] } {
  const taken = props.caseKey ? project.document?.case[props.caseKey] : undefined;
  if (taken) {
    return {
      faces: taken.faces.flatMap(({ style, weightMin, weightMax }) =>
        [...new Set([weightMin, weightMax])].map((weight) => `${style} ${weight}`),
      ),
      scripts: [...new Set(taken.faces.flatMap(({ files }) => files.map(({ script }) => script)))],
    };
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

async function take(): Promise<void> {
  state.value = 'taking';
  refused.value = '';
  try {
    await library.take(props.family.id, { scripts: scripts.value, faces: picks.value });
  } catch (error) {
    refused.value = (error as Error).message;
  }
  state.value = 'idle';
}
</script>

<template>
  <div class="take">
    <fieldset v-for="style in styles" :key="style">
      <legend class="quiet">{{ style === 'normal' ? 'Upright' : 'True italic' }}</legend>
      <label v-for="weight in weightsIn(style)" :key="weight" class="face">
        <Checkbox v-model="faces" :value="`${style} ${weight}`" size="small" />
        <span :style="{ fontFamily: font, fontWeight: weight }">{{ weight }}</span>
      </label>
    </fieldset>
    <fieldset>
      <legend class="quiet">Scripts</legend>
      <label v-for="script in family.scripts" :key="script" class="face">
        <Checkbox v-model="scripts" :value="script" size="small" />
        {{ script }}
      </label>
    </fieldset>
    <p v-if="family.variable" class="small quiet">
      One file a style carries every weight; it is cut to the range from the lightest to the
      heaviest picked.
    </p>
    <div class="line wrap">
      <Button
        :label="
          state === 'taking'
            ? 'Taking in …'
            : caseKey
              ? 'Take in what is picked'
              : 'Take into the case'
        "
        size="small"
        :loading="state === 'taking'"
        @click="take"
      />
      <span
        >{{ count(cost.files, 'file') }}, {{ family.variable ? 'at most ' : ''
        }}{{ kilobytes(cost.bytes) }}</span
      >
      <span class="quiet small">{{ family.licence }}</span>
    </div>
    <p v-if="refused" role="alert" class="mark-text">{{ refused }}</p>
  </div>
</template>

<style scoped>
.take {
  display: grid;
  gap: 10px;
  padding: 4px 20px 16px;
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
