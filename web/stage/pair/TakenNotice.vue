<script setup lang="ts">
import { takenNotice as say } from './words';
import { ownVoices } from '@lettera/core/style';
import { computed } from 'vue';
import DoButton from '../../control/DoButton.vue';
import ProgressLine from '../../control/ProgressLine.vue';
import { usePairing } from '../../store/pairing';
import { useProject } from '../../store/project';
import SizeOffers from '../SizeOffers.vue';

/** At the foot of Pair: a pair being taken in, what came of it, and the offer to keep its text as large to the eye. */
const project = useProject();
const pairing = usePairing();

/** What the pair does not reach, told once it is seated. */
const outside = computed(() => {
  const { document } = project;
  if (!document) return [];
  return ownVoices(document).map(({ style, voice, family, reaches }) => {
    const name = document.styles[style]?.name ?? style;
    const others = reaches.length > 1 ? say.andMore(reaches.length - 1) : '';
    const where = document.case[family ?? '']?.name ?? say.fallback;
    return {
      style,
      name,
      says: say.staysVoice(name, others, where, document.voices[voice]?.name ?? voice),
      patch: [{ op: 'remove' as const, path: `/styles/${style}/set/voice` }],
    };
  });
});
</script>

<template>
  <div class="foot">
    <ProgressLine
      v-if="pairing.taking"
      class="notice"
      :done="project.progress.taking?.done ?? 0"
      :of="project.progress.taking?.of ?? 1"
      stoppable
      @stop="pairing.taking?.abort()"
      >{{ say.addingPair }}</ProgressLine
    >
    <p v-if="pairing.message" class="notice mark-text" role="alert">{{ pairing.message }}</p>
    <div v-if="pairing.taken" class="notice" role="status">
      <p>
        {{ say.nowUse(pairing.taken.names || say.nothingNew) }}
        <template v-if="pairing.taken.changes.length"
          >{{ say.weightsDoesNotBecame }}
          <template v-for="(change, i) in pairing.taken.changes" :key="change.style"
            >{{ i > 0 ? ', ' : '' }}{{ project.document?.styles[change.style]?.name }}
            {{ change.from }} → {{ change.to }}</template
          >.</template
        >
        <DoButton @click="pairing.taken = null">{{ say.close }}</DoButton>
      </p>
      <p v-for="one in outside" :key="one.style">
        {{ one.says }}
        <DoButton
          :label="say.letFollow"
          :aria-label="say.letFollowName(one.name)"
          @click="project.change(one.patch)"
        />
      </p>
      <p v-if="outside.length > 1">
        <DoButton
          :label="say.letAllFollow"
          @click="project.change(outside.flatMap(({ patch }) => patch))"
        />
      </p>
    </div>
    <SizeOffers />
  </div>
</template>

<style scoped>
/* At the foot, over what stands there: what is pointed at stays under the pointer. */
.foot {
  position: sticky;
  bottom: 0;
  z-index: 1;
  background: var(--sheet);
}
.foot:not(:empty) > :first-child {
  padding-top: 10px;
  border-top: 1px solid var(--rule);
}
.notice {
  padding: 0 var(--edge) 10px;
}
.notice button {
  min-height: 24px;
  margin-left: 8px;
}
</style>
