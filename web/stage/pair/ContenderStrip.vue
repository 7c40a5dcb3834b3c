<script setup lang="ts">
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import { kilobytes } from '../../control/figures';
import { useContenders, type ContenderState } from '../../store/contenders';
import { samePair, usePairing } from '../../store/pairing';
import NameInFace from '../faces/NameInFace.vue';
import ContenderFacts from './ContenderFacts.vue';

/** The pairs kept aside, a line each: a key flips the proof to each. */
const contenders = useContenders();
const pairing = usePairing();

const isShown = ({ pair }: ContenderState): boolean => samePair(pairing.resting, pair);
const keyOf = ({ rows }: ContenderState): string => rows.map(({ key }) => key).join(' ');
</script>

<template>
  <ul v-if="contenders.states.length" class="contenders" aria-label="Contenders">
    <li v-for="(state, i) in contenders.states" :key="keyOf(state)">
      <DoButton
        :aria-pressed="isShown(state)"
        :title="`Show on the proof, or give back (${i + 1})`"
        @click="contenders.flip(i)"
      >
        <b>{{ i + 1 }}</b>
        <span class="names">
          <template v-for="(row, at) in state.rows" :key="at"
            ><span v-if="at > 0" class="quiet" aria-hidden="true"> / </span><NameInFace :row="row"
          /></template>
        </span>
      </DoButton>
      <FoldAway :label="kilobytes(state.bytes)">
        <ContenderFacts :state="state" />
      </FoldAway>
    </li>
  </ul>
  <p v-for="pair in contenders.lost" :key="pair.heading + pair.text" class="message small quiet">
    A contender names a family that is not here now: it was taken out, or the foundry is not
    allowed.
    <DoButton label="Dismiss it" @click="contenders.dismiss(pair)" />
  </p>
  <p v-if="contenders.message" class="message mark-text" role="alert">{{ contenders.message }}</p>
</template>

<style scoped>
.contenders {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  padding: 0 20px 6px;
}
li {
  display: flex;
}
li > :last-child {
  border-left: 0;
}
.names {
  font-size: 13px;
  font-weight: 400;
}
.message {
  padding: 0 20px 8px;
}
</style>
