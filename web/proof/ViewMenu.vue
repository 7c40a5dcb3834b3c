<script setup lang="ts">
import { viewMenu as say } from './words';
import { languageOf, LANGUAGES } from '@lettera/core/script';
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
  { value: 'alone', label: say.alone },
  { value: 'phone', label: say.phone },
  { value: 'laptop', label: say.laptop },
  { value: 'fonts', label: say.otherFaces },
  { value: 'ground', label: say.otherBackground },
  { value: 'opened', label: say.asOpened },
];
const besideChoices = computed(() => {
  const { lookedAt } = waypoints;
  const more: typeof BESIDE = [];
  if (contenders.states.length > 0) more.push({ value: 'contender', label: say.contender });
  if (lookedAt) more.push({ value: 'earlier', label: say.waypoint });
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
    { value: '', label: say.asWritten },
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
      direction: languageOf(tag)?.direction ?? 'ltr',
      begin: () => {
        const words = new OtherWords(sentences, tag);
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
  { value: 'taken', label: say.asAdded },
  { value: 'delivered', label: say.asDelivered },
];
const EYES: { value: Eye; label: string }[] = [
  { value: 'sharp', label: say.asItIs },
  { value: 'blurred', label: say.blurred },
  { value: 'afar', label: say.fromAfar },
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
  <FoldAway v-slot="{ close }" :label="say.view" :changed="changed">
    <div class="ways">
      <span>{{ say.thisPage }}</span>
      <div class="line wrap">
        <DoButton
          v-for="{ value, label } in PANELS"
          :key="value"
          :label="label"
          :aria-pressed="proof.panel === value"
          @click="open(value, close)"
        />
      </div>
      <span>{{ say.shownAsWas }}</span>
      <OnOff v-if="proof.earlier" v-model="proof.before" :label="`${proof.earlier.says} (b)`" />
      <span v-else class="quiet">{{ say.thereNoEarlierState }}</span>
      <span>{{ say.beside }}</span>
      <div class="line wrap">
        <PickOne v-model="proof.beside" :label="say.beside" :choices="besideChoices" />
        <PickOne
          v-if="proof.beside === 'contender' && named.length > 1"
          v-model="which"
          :choices="named"
          :label="say.whichContender"
        />
        <PickOne
          v-if="proof.beside === 'earlier' && waypointChoices.length > 1"
          :model-value="waypoints.lookedAt?.id"
          :choices="waypointChoices"
          :label="say.whichWaypoint"
          @update:model-value="waypoints.chosen = $event"
        />
      </div>
      <span>{{ say.words }}</span>
      <div class="line wrap">
        <PickOne
          :model-value="proof.language?.tag ?? ''"
          :choices="languages"
          :label="say.words"
          :placeholder="say.asWritten"
          filter
          @update:model-value="readIn"
        />
        <span v-if="failed" role="alert" class="mark-text">{{ failed }}</span>
      </div>
      <span>{{ say.zoomed }}</span>
      <ChoiceSet v-model="proof.zoom" :label="say.zoomed" :choices="ZOOMS" />
      <span>{{ say.visitorsTextAt }}</span>
      <ChoiceSet v-model="proof.textSize" :label="say.visitorsTextAt" :choices="TEXT_SIZES" />
      <span>{{ say.fontFiles }}</span>
      <ChoiceSet v-model="proof.files" :label="say.fontFiles" :choices="FILES" />
      <span>{{ say.seen }}</span>
      <ChoiceSet v-model="proof.eye" :label="say.seen" :choices="EYES" />
      <span>{{ say.onPaper }}</span>
      <DoButton
        :label="say.printPage"
        :why="proof.shownPage ? undefined : say.noPageShown"
        @click="print"
      />
    </div>
    <div v-if="changed"><DoButton :label="say.showPlainlyAgain" @click="reset" /></div>
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
