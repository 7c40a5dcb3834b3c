<script setup lang="ts">
import { overlayView as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import { localName, voiceFallback } from '@lettera/core/fallback';
import TextArea from '../../control/TextArea.vue';
import { computed, ref, watch } from 'vue';
import ChoiceSet from '../../control/ChoiceSet.vue';
import OnOff from '../../control/OnOff.vue';
import SliderField from '../../control/SliderField.vue';
import { caseFont, inNoOther } from '../../proof/caseFonts';
import { useCopy } from '../../store/copy';
import { usePlans } from '../../store/plans';
import OverlayText from './OverlayText.vue';
import { sampleName, useSampleFaces } from './sampleFaces';

/** The designer's text in the web face and in a fallback face, one over the other, line breaks of both marked. */
const props = defineProps<{ document: ProjectDocument; voice: string }>();

const copy = useCopy();
const plans = usePlans();
const fallback = computed(() => voiceFallback(plans.fallbackOf(props.document), props.voice));
const voice = computed(() => props.document.voices[props.voice]);

const size = ref(18);
const measure = ref(460);
const ends = ref(true);
const words = ref(false);
const text = ref('');
watch(
  () => copy.paragraph,
  (paragraph) => {
    if (!text.value) text.value = paragraph || props.document.words;
  },
  { immediate: true },
);

const local = ref('');
const chosen = computed(
  () => fallback.value.tuned.find((one) => one.local === local.value) ?? fallback.value.tuned[0],
);
const locals = computed(() =>
  fallback.value.tuned.map((one) => ({ value: one.local, label: localName(one.local) })),
);
const faceKey = ref('');
const faces = computed(() =>
  (chosen.value?.faces ?? []).map((face) => ({
    value: `${face.weight} ${face.slant}`,
    label: `${face.weight}${face.slant === 'italic' ? ' italic' : ''}`,
    face,
  })),
);
const face = computed(
  () => (faces.value.find(({ value }) => value === faceKey.value) ?? faces.value[0])?.face,
);
useSampleFaces(() =>
  fallback.value.tuned.map((candidate) => ({
    name: sampleName(props.voice, candidate.local),
    candidate,
  })),
);
</script>

<template>
  <template v-if="chosen && face">
    <div class="line wrap">
      <ChoiceSet
        v-if="locals.length > 1"
        :label="say.localFont"
        :choices="locals"
        :model-value="chosen.local"
        @update:model-value="local = $event"
      />
      <ChoiceSet
        v-if="faces.length > 1"
        :label="say.weight"
        :choices="faces"
        :model-value="`${face.weight} ${face.slant}`"
        @update:model-value="faceKey = $event"
      />
    </div>
    <div class="line wrap">
      <label class="line"
        >{{ say.size }}
        <SliderField v-model="size" :label="say.size" :min="12" :max="64" :says="`${size} px`"
      /></label>
      <label class="line"
        >{{ say.measure }}
        <SliderField
          v-model="measure"
          :label="say.measure"
          :min="200"
          :max="760"
          :says="`${measure} px`"
      /></label>
      <OnOff v-model="ends" :label="say.lineEnds" />
      <OnOff v-model="words" :label="say.wordByWord" />
    </div>
    <p class="small key">
      <span class="web">{{ say.webFace(document.case[voice?.family ?? '']?.name ?? '') }}</span>
      <span class="local">{{ say.tuned(localName(chosen.local)) }}</span>
    </p>
    <div class="sheet">
      <OverlayText
        :text="text"
        :web="caseFont(voice?.family, voice?.generic)"
        :fallback="inNoOther(sampleName(props.voice, chosen.local))"
        :weight="face.weight"
        :slant="face.slant"
        :size="size"
        :measure="measure"
        :ends="ends"
        :words="words"
      />
    </div>
    <label class="stack">
      <span class="small quiet">{{ say.text }}</span>
      <TextArea v-model="text" rows="4" maxlength="4000" :aria-label="say.textOverlay" />
    </label>
  </template>
  <p v-else class="quiet">
    {{ say.noLocalFontStack }}
  </p>
</template>

<style scoped>
textarea {
  padding: 6px 8px;
  font-size: 13px;
  background: var(--sheet);
  border: 1px solid var(--ink-2);
  border-radius: var(--corner);
}
.sheet {
  overflow-x: auto;
  padding: 12px 0;
}
.key {
  display: flex;
  gap: 16px;
}
.key .web {
  color: var(--web);
  border-bottom: 2px solid var(--web);
}
.key .local {
  color: var(--local);
  border-bottom: 2px dashed var(--local);
}
</style>
