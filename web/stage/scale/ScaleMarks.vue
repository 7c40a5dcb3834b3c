<script setup lang="ts">
import type { Mark } from '@lettera/core/check';
import { computed, ref } from 'vue';
import DoButton from '../../control/DoButton.vue';
import { count } from '../../control/figures';
import MarkLine from '../../proof/MarkLine.vue';
import { useMarks } from '../../store/marks';
import { useProof } from '../../store/proof';
import { useScaleDraft } from '../../store/scaleDraft';

/** The marks on the scale: one line that is always there, and all of them when it is opened. */
const allMarks = useMarks();
const proof = useProof();
const draft = useScaleDraft();

const marks = computed(() => allMarks.marks.filter(({ stage }) => stage === 'scale'));
const open = ref(false);

/** While a scale is tried, what puts a mark right is tried with it. */
function putRight({ fix }: Mark): void {
  allMarks.look(null);
  draft.change(fix?.patch ?? []);
}
</script>

<template>
  <section class="marks" :class="{ some: marks.length > 0 }" aria-label="Marks on the scale">
    <p v-if="marks.length === 0" class="quiet">Nothing on the scale is marked.</p>
    <template v-else>
      <div class="head">
        <b class="mark-text">{{ count(marks.length, 'mark') }}</b>
        <span v-if="!open">{{ marks[0]?.message }}</span>
        <DoButton
          class="unfold"
          :label="open ? 'Fold' : 'Show'"
          :aria-expanded="open"
          @click="open = !open"
        />
      </div>
      <ul v-if="open">
        <MarkLine
          v-for="mark in marks"
          :key="mark.message"
          :mark="mark"
          @take="putRight"
          @go="proof.style = mark.style ?? null"
        />
      </ul>
    </template>
  </section>
</template>

<style scoped>
.marks {
  margin: 8px 20px 0;
  padding-left: 10px;
  border-left: 3px solid var(--rule);
}
.marks.some {
  border-color: var(--mark);
}
.marks > p,
.head {
  min-height: 24px;
  line-height: 24px;
}
.head {
  display: flex;
  gap: 8px;
  width: 100%;
}
.unfold {
  margin-left: auto;
}
.head b {
  flex: none;
  font-weight: 650;
}
</style>
