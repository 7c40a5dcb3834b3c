<script setup lang="ts">
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
      {{ ' ' }}Local fonts are being fitted to the site’s text, {{ fitting.done }} of
      {{ fitting.of }}.
    </template>
    <template v-if="packing">
      {{ ' ' }}{{ packing.done }} of {{ count(packing.of, 'font file') }} packed. A large one takes
      a minute or so; its faces can be used meanwhile.
    </template>
  </ProgressLine>
  <p v-else class="quiet" role="status"><slot /></p>
</template>
