<script setup lang="ts">
import { languageOf, LANGUAGES } from '@lettera/core/measure';
import { OtherWords } from '@lettera/core/page';
import PickOne from '../control/PickOne.vue';
import { computed, ref, watch } from 'vue';
import { api } from '../api/client';
import ChoiceSet from '../control/ChoiceSet.vue';
import DoButton from '../control/DoButton.vue';
import FoldAway from '../control/FoldAway.vue';
import { useContenders } from '../store/contenders';
import { useProject } from '../store/project';
import { useWaypoints } from '../store/waypoints';
import { useProof, type Beside, type Eye, type FilesShown } from '../store/proof';

/** Other ways to look at the page: beside itself, zoomed, with larger text, from afar, on paper. */
const proof = useProof();
const project = useProject();
const contenders = useContenders();
const waypoints = useWaypoints();

const BESIDE: { value: Beside; label: string }[] = [
  { value: 'alone', label: 'Alone' },
  { value: 'phone', label: 'Phone' },
  { value: 'desktop', label: 'Desktop' },
  { value: 'fonts', label: 'Other fonts' },
  { value: 'ground', label: 'Other ground' },
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
  { value: 'taken', label: 'As taken in' },
  { value: 'delivered', label: 'As delivered' },
];
const EYES: { value: Eye; label: string }[] = [
  { value: 'sharp', label: 'As it is' },
  { value: 'blurred', label: 'Blurred' },
  { value: 'afar', label: 'From afar' },
];

const print = () => proof.shownPage?.defaultView?.print();
</script>

<template>
  <FoldAway label="Looking">
    <div class="ways">
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
