<script setup lang="ts">
import { makingLine as say } from './words';
import { computed } from 'vue';
import { api } from '../../api/client';
import ProgressLine from '../../control/ProgressLine.vue';
import { count } from '../../control/figures';
import { useProject } from '../../store/project';
import { underWay } from './deliverView';

/** Files that are being made for the delivery: how far that has come, and a way to stop it. */
const project = useProject();
const packing = computed(() => underWay(project.progress.packing));
const fitting = computed(() => underWay(project.progress.fitting));
const done = computed(() => (packing.value?.done ?? 0) + (fitting.value?.done ?? 0));
const of = computed(() => (packing.value?.of ?? 0) + (fitting.value?.of ?? 0));
</script>

<template>
  <ProgressLine v-if="of > 0" :done="done" :of="of" stoppable @stop="api.stopMaking(project.id)">
    <slot />
    <template v-if="fitting">
      {{ say.localFontsBeingFitted(' ', fitting.done, fitting.of) }}
    </template>
    <template v-if="packing">
      {{ say.ofPackedLargeOne(' ', packing.done, count(packing.of, 'font file')) }}
    </template>
  </ProgressLine>
  <p v-else class="quiet" role="status"><slot /></p>
</template>
