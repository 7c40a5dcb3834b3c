<script setup lang="ts">
import { apparentSizePatch } from '@lettera/core/style';
import { computed } from 'vue';
import { percent } from '../../frame/figures';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';

/** A pair being taken in, what came of it, and the offer to keep the text as large to the eye. */
const project = useProject();
const pairing = usePairing();

/** Sizes that keep the text as large to the eye: shown while pointed at, taken on a click. */
const keptSizes = computed(() => {
  const ratio = pairing.taken?.textRatio;
  return ratio && project.document ? apparentSizePatch(project.document, ['text'], ratio) : [];
});

function keepSize(): void {
  project.change(keptSizes.value);
  if (pairing.taken) pairing.taken = { ...pairing.taken, textRatio: null };
}
</script>

<template>
  <p v-if="pairing.taking" class="notice line" role="status">
    <progress :value="project.progress.taking?.done ?? 0" :max="project.progress.taking?.of ?? 1" />
    Taking the pair in …
    <button type="button" class="plain again" @click="pairing.taking?.abort()">Stop</button>
  </p>
  <p v-if="pairing.message" class="notice mark-text" role="alert">{{ pairing.message }}</p>
  <div v-if="pairing.taken" class="notice" role="status">
    <p>
      Seated: {{ pairing.taken.names || 'nothing new' }}.
      <template v-if="pairing.taken.changes.length"
        >Weights that it has not were given the nearest:
        <template v-for="(change, i) in pairing.taken.changes" :key="change.style"
          >{{ i > 0 ? ', ' : '' }}{{ project.document?.styles[change.style]?.name }}
          {{ change.from }} → {{ change.to }}</template
        >.</template
      >
      <button type="button" class="plain again" @click="pairing.taken = null">Close</button>
    </p>
    <p v-if="pairing.taken.textRatio">
      Text looks {{ percent(Math.abs(1 / pairing.taken.textRatio - 1)) }}
      {{ pairing.taken.textRatio > 1 ? 'smaller' : 'larger' }} than before at the same size.
      <button
        type="button"
        class="plain again"
        @mouseenter="project.preview = keptSizes"
        @mouseleave="pairing.look(null)"
        @focus="project.preview = keptSizes"
        @blur="pairing.look(null)"
        @click="keepSize"
      >
        Keep the apparent size: base sizes go to {{ percent(pairing.taken.textRatio, 1) }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.notice {
  padding: 0 20px 10px;
}
.notice button {
  min-height: 24px;
  margin-left: 8px;
}
progress {
  width: 120px;
  height: 6px;
  accent-color: var(--verdigris);
}
</style>
