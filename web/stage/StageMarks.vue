<script setup lang="ts">
import { stageMarks as say } from './words';
import type { Mark } from '@lettera/core/check';
import { computed, ref } from 'vue';
import DoButton from '../control/DoButton.vue';
import { count } from '../control/figures';
import MarkList from '../proof/MarkList.vue';
import { useMarks } from '../store/marks';
import { useProof } from '../store/proof';

/** The marks of a stage, where there are any: one line, and all of them when it is opened. */
const props = defineProps<{
  stage: Mark['stage'];
  /** What they are on, in words. */
  on: string;
  /** Puts one right, where that is more than making its change. */
  take?: (mark: Mark) => void;
}>();
const allMarks = useMarks();
const proof = useProof();

const marks = computed(() => allMarks.marks.filter(({ stage }) => stage === props.stage));
const open = ref(false);

function putRight(mark: Mark): void {
  if (props.take) props.take(mark);
  else allMarks.putRight(mark);
}
</script>

<template>
  <section v-if="marks.length" class="marks" :aria-label="say.marksOn(on)">
    <div class="head">
      <b class="mark-text">{{ count(marks.length, 'mark') }}</b>
      <span v-if="!open">{{ marks[0]?.message }}</span>
      <DoButton
        class="unfold"
        :label="open ? say.fold : say.show"
        :aria-expanded="open"
        @click="open = !open"
      />
    </div>
    <MarkList
      v-if="open"
      :marks="marks"
      :label="say.marksOn(on)"
      @take="putRight"
      @go="proof.style = $event.style ?? null"
    />
  </section>
</template>

<style scoped>
.marks {
  padding-left: 10px;
  border-left: 3px solid var(--mark);
}
.head {
  display: flex;
  align-items: flex-start;
  gap: 8px;
  min-height: 24px;
  line-height: 24px;
}
.unfold {
  margin-left: auto;
}
.head b {
  flex: none;
  font-weight: 650;
}
</style>
