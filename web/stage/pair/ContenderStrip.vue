<script setup lang="ts">
import { kilobytes } from '../../control/figures';
import { useContenders, type ContenderState } from '../../store/contenders';
import { usePairing } from '../../store/pairing';
import NameInFace from '../faces/NameInFace.vue';

/** The pairs kept aside: a key flips the proof to each, with what it would cost as the ledger counts. */
const contenders = useContenders();
const pairing = usePairing();

const isShown = ({ pair }: ContenderState): boolean =>
  pairing.resting?.heading === pair.heading && pairing.resting.text === pair.text;
</script>

<template>
  <ul v-if="contenders.states.length" class="contenders" aria-label="Contenders">
    <li
      v-for="(state, i) in contenders.states"
      :key="`${state.heading.key} ${state.text.key}`"
      :class="{ shown: isShown(state) }"
    >
      <button
        type="button"
        class="plain pair"
        :aria-pressed="isShown(state)"
        title="Show on the proof, or give back"
        @click="contenders.flip(i)"
      >
        <kbd>{{ i + 1 }}</kbd>
        <span class="names">
          <span class="heading"><NameInFace :row="state.heading" /></span>
          <span class="text"><NameInFace :row="state.text" /></span>
        </span>
      </button>
      <span class="small quiet"
        >{{ kilobytes(state.bytes) }} · shift
        {{ state.shift === null ? 'once taken in and shown' : state.shift.toFixed(3) }} ·
        {{ state.marks }} {{ state.marks === 1 ? 'mark' : 'marks' }}</span
      >
      <span class="line small">
        <button type="button" class="plain again" @click="pairing.take(state.pair)">Take it</button>
        <button type="button" class="plain again" @click="contenders.dismiss(state.pair)">
          Dismiss
        </button>
      </span>
    </li>
  </ul>
  <p v-for="pair in contenders.lost" :key="pair.heading + pair.text" class="message small quiet">
    A contender names a family that is not here now: it was taken out, or the foundry is not
    allowed.
    <button type="button" class="plain again" @click="contenders.dismiss(pair)">Dismiss it</button>
  </p>
  <p v-if="contenders.message" class="message mark-text" role="alert">{{ contenders.message }}</p>
</template>

<style scoped>
.contenders {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 0 16px;
  padding: 0 20px 10px;
}
li {
  display: grid;
  gap: 2px;
  align-content: start;
  min-width: 0;
  padding: 6px 0;
  border-top: 2px solid var(--rule);
}
li.shown {
  border-top-color: var(--verdigris);
}
.pair {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
kbd {
  font: inherit;
  font-weight: 650;
}
.names {
  display: grid;
  min-width: 0;
}
.names > span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.heading {
  font-size: 18px;
  line-height: 1.25;
}
.line button {
  min-height: 24px;
}
.message {
  padding: 0 20px 8px;
}
</style>
