<script setup lang="ts">
import { contenderStrip as say } from './words';
import DoButton from '../../control/DoButton.vue';
import FoldAway from '../../control/FoldAway.vue';
import { kilobytes } from '../../control/figures';
import RowInFace from '../../proof/RowInFace.vue';
import { useContenders, type ContenderState } from '../../store/contenders';
import { samePair, usePairing } from '../../store/pairing';
import ContenderFacts from './ContenderFacts.vue';

/** The contenders beside one another, each as a pair: a key flips the page to each. */
const contenders = useContenders();
const pairing = usePairing();

const isShown = ({ pair }: ContenderState): boolean => samePair(pairing.resting, pair);
const keyOf = ({ rows }: ContenderState): string => rows.map(({ key }) => key).join(' ');
const HEADING = 640;
</script>

<template>
  <ul v-if="contenders.states.length" class="contenders" :aria-label="say.contenders">
    <li v-for="(state, i) in contenders.states" :key="keyOf(state)">
      <button
        type="button"
        class="plain flip"
        :aria-pressed="isShown(state)"
        :title="say.showOnPageOr(i + 1)"
        @click="contenders.flip(i)"
      >
        <b class="place">{{ i + 1 }}</b>
        <span class="names">
          <RowInFace
            v-for="(row, at) in state.rows"
            :key="at"
            class="name"
            :row="row"
            :weight="at < state.rows.length - 1 ? HEADING : 400"
            mute
          />
        </span>
      </button>
      <FoldAway :label="kilobytes(state.bytes)">
        <ContenderFacts :state="state" />
      </FoldAway>
    </li>
  </ul>
  <p v-for="pair in contenders.lost" :key="pair.heading + pair.text" class="message small quiet">
    {{ say.contenderNamesFamilyNot }}
    <DoButton :label="say.dismiss" @click="contenders.dismiss(pair)" />
  </p>
  <p v-if="contenders.message" class="message mark-text" role="alert">{{ contenders.message }}</p>
</template>

<style scoped>
.contenders {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, max-content));
  gap: 0 28px;
  padding: 8px var(--edge) 6px;
  border-bottom: 1px solid var(--rule);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  justify-items: start;
}
li :deep(.l-do) {
  margin-left: 16px;
  padding: 0;
  color: var(--ink-2);
  border-color: transparent;
}
.flip {
  display: flex;
  gap: 8px;
  max-width: 100%;
  align-items: baseline;
}
.place {
  font-size: var(--size-beside);
  font-weight: 400;
  color: var(--ink-3);
}
.flip[aria-pressed='true'] .place,
.flip[aria-pressed='true'] .names {
  color: var(--verdigris);
}
.flip:hover .names {
  text-decoration: underline;
  text-decoration-color: var(--verdigris);
}
.names {
  display: grid;
  min-width: 0;
}
/* A long name wraps: none is cut off. */
.name {
  font-size: 15px;
  line-height: 20px;
  text-align: left;
}
/* Four have room beside one another where they are set smaller. */
.contenders:has(> :nth-child(4)) .name {
  font-size: var(--size-read);
}
.message {
  padding: 6px var(--edge);
}
@container (max-width: 620px) {
  .contenders {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
