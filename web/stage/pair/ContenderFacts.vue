<script setup lang="ts">
import { contenderFacts as say } from './words';
import DoButton from '../../control/DoButton.vue';
import { count, kilobytes } from '../../control/figures';
import { useContenders, type ContenderState } from '../../store/contenders';
import { usePairing } from '../../store/pairing';

/** What a contender would cost as the ledger counts, and what can be done with it. */
defineProps<{ state: ContenderState }>();
const contenders = useContenders();
const pairing = usePairing();
</script>

<template>
  <span class="small quiet">{{
    say.shift(
      kilobytes(state.bytes),
      count(state.marks, 'mark'),
      state.shift === null ? say.measuredOnceCaseShown : state.shift.toFixed(3),
    )
  }}</span>
  <span class="line">
    <DoButton :label="say.use" @click="pairing.take(state.pair)" />
    <DoButton :label="say.dismiss" @click="contenders.dismiss(state.pair)" />
  </span>
</template>
