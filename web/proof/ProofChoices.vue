<script setup lang="ts">
import { proofChoices as say } from './words';
import ChoiceSet from '../control/ChoiceSet.vue';
import PickOne from '../control/PickOne.vue';
import { useProject } from '../store/project';
import { useProof } from '../store/proof';

/** What is switched daily: which page the proof shows, on which background, and in which faces. */
const project = useProject();
const proof = useProof();

const FACES = [
  { value: 'web', label: say.webFaces, title: say.webFacesF },
  { value: 'fallback', label: say.fallbackFaces, title: say.fallbackFacesF },
] as const;
const BACKGROUNDS = [
  { value: 'light', label: say.onLight, title: say.onLightBackgroundD },
  { value: 'dark', label: say.onDark, title: say.onDarkBackgroundD },
] as const;
</script>

<template>
  <PickOne
    v-model="proof.page"
    class="page"
    :choices="project.pages.map(({ slug, title }) => ({ value: slug, label: title }))"
    :label="say.page"
  />
  <ChoiceSet
    v-slot="{ value }"
    v-model="proof.ground"
    :label="say.background"
    :choices="BACKGROUNDS"
  >
    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden="true">
      <rect x="1" y="1" width="12" height="12" rx="1.5" />
      <rect v-if="value === 'dark'" class="dark" x="1" y="1" width="12" height="12" rx="1.5" />
      <path :class="value" d="M4 5h6M4 7.5h6M4 10h4" />
    </svg>
  </ChoiceSet>
  <ChoiceSet v-slot="{ value }" v-model="proof.fonts" :label="say.faces" :choices="FACES">
    <span class="letters" :class="value" aria-hidden="true">{{ say.ag }}</span>
  </ChoiceSet>
</template>

<style scoped>
.page {
  flex: 0 1 auto;
  margin-right: auto;
  overflow: hidden;
}
rect,
path {
  fill: none;
  stroke: currentcolor;
}
.dark {
  fill: currentcolor;
}
path.dark {
  stroke: var(--sheet);
}
.letters {
  width: 16px;
  line-height: 15px;
  text-align: center;
}
/* As they are told apart everywhere: web by a whole line, fallback by a broken one. */
.web {
  border-bottom: 2px solid var(--web);
}
.fallback {
  border-bottom: 2px dashed var(--local);
}
</style>
