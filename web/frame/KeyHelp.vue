<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { STAGES } from './stages';

const visible = defineModel<boolean>({ required: true });

const KEYS: [keys: string, what: string][] = [
  ['Ctrl or Cmd Z', 'undo'],
  ['Shift Ctrl or Cmd Z', 'redo'],
  ['f', 'web faces or fallback on the proof'],
  ['w', 'next width of the proof'],
  ['[ and ]', 'the row before and after, the contender, or the step'],
  ['1 to 4', 'a contender on the proof, in Pair'],
  ['k', 'put the row on the shortlist, or take it off'],
  ['arrow keys', 'step a number or an end of a curve, ten at a time with Shift'],
  ['Delete', 'give an end of a curve back to the ratio, in Scale'],
  ['Enter', 'take what is being tried, in Scale'],
  ['Escape', 'leave, or give back what was being looked at'],
  ...STAGES.map(({ letter, name }): [string, string] => [`g ${letter}`, `go to ${name}`]),
];
</script>

<template>
  <Dialog
    v-model:visible="visible"
    header="Keys"
    :style="{ width: '420px' }"
    dismissable-mask
    modal
  >
    <dl>
      <template v-for="[keys, what] in KEYS" :key="keys">
        <dt>{{ keys }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 16px;
}
dt {
  font-weight: 550;
}
</style>
