<script setup lang="ts">
import { ladderSheet as say } from './words';
import type { ProjectDocument } from '@lettera/core/document';
import { stepsOf } from '@lettera/core/scale';
import { sizeInViewport } from '@lettera/core/style';
import { computed } from 'vue';
import { useLengthUnit } from '../../control/lengthUnit';
import { useProof } from '../../store/proof';
import { stepVoice } from './scaleView';

/**
 * Every step at true size in the project's words: at the proof's width, and at the end that is further
 * from it.
 */
const props = defineProps<{ document: ProjectDocument }>();

const proof = useProof();
const lengths = useLengthUnit();

const steps = computed(() => stepsOf(props.document.scale).toReversed());
const farEnd = computed(() => {
  const { small, large } = props.document.scale;
  return Math.abs(proof.width - small.width) < Math.abs(proof.width - large.width) ? large : small;
});
const ladders = computed(() => [
  { title: say.atProofsWidthPx(proof.width), width: proof.width },
  { title: say.atPx(farEnd.value.width), width: farEnd.value.width },
]);
const rungs = (width: number) =>
  steps.value.map((step) => {
    const size = sizeInViewport(props.document, step.number, width);
    return { step, size, style: { ...stepVoice(props.document, step), fontSize: `${size}px` } };
  });
</script>

<template>
  <div class="ladders">
    <section v-for="ladder in ladders" :key="ladder.title">
      <h3>{{ ladder.title }}</h3>
      <ol>
        <li v-for="rung in rungs(ladder.width)" :key="rung.step.number">
          <span class="small quiet">{{ rung.step.name }}<br />{{ lengths.show(rung.size) }}</span>
          <span class="words" :style="rung.style">{{ document.words }}</span>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.ladders {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  gap: 20px;
}
h3 {
  padding-bottom: 4px;
  border-bottom: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: 72px minmax(0, 1fr);
  gap: 8px;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
  line-height: 1.2;
}
/* One line, which ends at a word; at a letter where not even the first word fits. */
.words {
  overflow: hidden;
  height: 1lh;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.small {
  font-size: var(--size-beside);
  line-height: 1.25;
}
@container (max-width: 420px) {
  .ladders {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
