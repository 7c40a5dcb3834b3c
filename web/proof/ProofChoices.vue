<script setup lang="ts">
import PickOne from '../control/PickOne.vue';
import ChoiceSet from '../control/ChoiceSet.vue';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';

/** Which page the proof shows, in which fonts and on which ground; what else there is to choose comes between. */
const project = useProject();
const proof = useProof();

const FONTS = [
  { value: 'web', label: 'Web' },
  { value: 'fallback', label: 'Fallback' },
] as const;
const GROUNDS = [
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
] as const;
</script>

<template>
  <PickOne
    v-model="proof.page"
    :choices="project.pages.map(({ slug, title }) => ({ value: slug, label: title }))"
    label="Page"
  />
  <slot />
  <ChoiceSet v-model="proof.fonts" label="Fonts" :choices="FONTS" />
  <ChoiceSet v-model="proof.ground" label="Ground" :choices="GROUNDS" />
</template>
