<script setup lang="ts">
import { languageOf, LANGUAGES } from '@lettera/core/measure';
import { OtherWords } from '@lettera/core/page';
import PickOne from '../control/PickOne.vue';
import { computed, ref, watch } from 'vue';
import { api } from '../api/client';
import ChoiceSet from '../control/ChoiceSet.vue';
import DoButton from '../control/DoButton.vue';
import FoldAway from '../control/FoldAway.vue';
import OnOff from '../control/OnOff.vue';
import { useContenders } from '../store/contenders';
import { useProject } from '../store/project';
import { useWaypoints } from '../store/waypoints';
import { useProof, type Beside, type Eye, type FilesShown, type ProofPanel } from '../store/proof';
import { PANELS } from './panel/panels';

/**
 * Everything about the page that is not switched daily: what is told of it, and other ways to look at it: beside
 * itself, zoomed, with larger text, from afar, on paper.
 */
const proof = useProof();
const project = useProject();
const contenders = useContenders();
const waypoints = useWaypoints();

const BESIDE: { value: Beside; label: string }[] = [
  { value: 'alone', label: 'Alone' },
  { value: 'phone', label: 'Phone' },
  { value: 'laptop', label: 'Laptop' },
  { value: 'fonts', label: 'Other faces' },
  { value: 'ground', label: 'Other background' },
  { value: 'opened', label: 'As opened' },
];
const besideChoices = computed(() => {
  const { lookedAt } = waypoints;
  const more: typeof BESIDE = [];
  if (contenders.states.length > 0) more.push({ value: 'contender', label: 'Contender' });
  if (lookedAt) more.push({ value: 'earlier', label: 'Waypoint' });
  return [...BESIDE, ...more];
});
const waypointChoices = computed(() =>
  (waypoints.list ?? []).map(({ id, name }) => ({ value: id, label: name })),
);
/** Contenders by the names of their families. */
const named = computed(() =>
  contenders.states.map(({ rows, document }, value) => ({
    value,
    label: rows.map(contenders.nameOf).join(' and '),
    document,
  })),
);
const which = ref(0);
watch(
  [named, which],
  () => {
    const state = named.value[which.value] ?? named.value[0];
    proof.contender = state ? { document: state.document, says: state.label } : null;
    if (!state && proof.beside === 'contender') proof.beside = 'alone';
  },
  { immediate: true },
);

/** The languages of the site before all others. */
const languages = computed(() => {
  const site = (project.document?.languages ?? []).flatMap((tag) => languageOf(tag) ?? []);
  const others = LANGUAGES.filter((language) => !site.includes(language));
  return [
    { value: '', label: 'As it is written' },
    ...[...site, ...others].map(({ tag, name }) => ({ value: tag, label: name })),
  ];
});
const failed = ref('');
let asked = '';
async function readIn(tag: string): Promise<void> {
  asked = tag;
  failed.value = '';
  if (!tag) {
    proof.language = null;
    return;
  }
  try {
    const { sentences } = await api.languageText(tag);
    if (tag !== asked) return;
    proof.language = {
      tag,
      begin: () => {
        const words = new OtherWords(sentences);
        return (said) => words.instead(said);
      },
    };
  } catch (error) {
    if (tag === asked) failed.value = (error as Error).message;
  }
}
const ZOOMS = [1, 1.5, 2, 3, 4].map((value) => ({ value, label: `${value * 100} %` }));
const TEXT_SIZES = [1, 2].map((value) => ({ value, label: `${value * 100} %` }));
const FILES: { value: FilesShown; label: string }[] = [
  { value: 'taken', label: 'As added' },
  { value: 'delivered', label: 'As delivered' },
];
const EYES: { value: Eye; label: string }[] = [
  { value: 'sharp', label: 'As it is' },
  { value: 'blurred', label: 'Blurred' },
  { value: 'afar', label: 'From afar' },
];

/** How many of the settings are not at rest. */
const changed = computed(
  () =>
    [
      proof.beside !== 'alone',
      proof.before,
      proof.language !== null,
      proof.zoom !== 1,
      proof.textSize !== 1,
      proof.files !== 'taken',
      proof.eye !== 'sharp',
      proof.bare,
    ].filter(Boolean).length,
);
function reset(): void {
  asked = '';
  failed.value = '';
  Object.assign(proof, {
    beside: 'alone',
    before: false,
    language: null,
    zoom: 1,
    textSize: 1,
    files: 'taken',
    eye: 'sharp',
    bare: false,
  });
}

function open(panel: ProofPanel, close: () => void): void {
  proof.panel = panel;
  close();
}
const print = () => proof.shownPage?.defaultView?.print();
</script>

<template>
  <FoldAway v-slot="{ close }" label="View" :changed="changed">
    <div class="ways">
      <span>This page</span>
      <div class="line wrap">
        <DoButton
          v-for="{ value, label } in PANELS"
          :key="value"
          :label="label"
          :aria-pressed="proof.panel === value"
          @click="open(value, close)"
        />
      </div>
      <span>Shown as it was</span>
      <OnOff v-if="proof.earlier" v-model="proof.before" :label="`${proof.earlier.says} (b)`" />
      <span v-else class="quiet">There is no earlier state yet.</span>
      <span>Beside it</span>
      <div class="line wrap">
        <ChoiceSet v-model="proof.beside" label="Beside it" :choices="besideChoices" />
        <PickOne
          v-if="proof.beside === 'contender' && named.length > 1"
          v-model="which"
          :choices="named"
          label="Which contender"
        />
        <PickOne
          v-if="proof.beside === 'earlier' && waypointChoices.length > 1"
          :model-value="waypoints.lookedAt?.id"
          :choices="waypointChoices"
          label="Which waypoint"
          @update:model-value="waypoints.chosen = $event"
        />
      </div>
      <span>Words in</span>
      <div class="line wrap">
        <PickOne
          :model-value="proof.language?.tag ?? ''"
          :choices="languages"
          label="Words in"
          placeholder="As it is written"
          filter
          @update:model-value="readIn"
        />
        <span v-if="failed" role="alert" class="mark-text">{{ failed }}</span>
      </div>
      <span>Zoomed to</span>
      <ChoiceSet v-model="proof.zoom" label="Zoomed to" :choices="ZOOMS" />
      <span>Visitor’s text at</span>
      <ChoiceSet v-model="proof.textSize" label="Visitor’s text at" :choices="TEXT_SIZES" />
      <span>Font files</span>
      <ChoiceSet v-model="proof.files" label="Font files" :choices="FILES" />
      <span>Seen</span>
      <ChoiceSet v-model="proof.eye" label="Seen" :choices="EYES" />
      <span>On paper</span>
      <DoButton
        label="Print this page"
        :why="proof.shownPage ? undefined : 'No page is shown'"
        @click="print"
      />
    </div>
    <div v-if="changed"><DoButton label="Show it plainly again" @click="reset" /></div>
  </FoldAway>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 8px 12px;
  align-items: center;
}
.ways button {
  justify-self: start;
}
</style>
