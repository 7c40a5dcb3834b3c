<script setup lang="ts">
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
  <span class="small quiet"
    >{{ kilobytes(state.bytes) }}, {{ count(state.marks, 'mark') }}, shift
    {{
      state.shift === null ? 'measured once it is in the case and shown' : state.shift.toFixed(3)
    }}</span
  >
  <span class="line">
    <DoButton label="Use" @click="pairing.take(state.pair)" />
    <DoButton label="Dismiss" @click="contenders.dismiss(state.pair)" />
  </span>
</template>
