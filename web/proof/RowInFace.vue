<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import type { LineUpRow } from '../store/rows/rows';
import InFace from './InFace.vue';
import { rowFont } from './specimenFonts';

/** A family's name, or other words, set in its own face. */
defineProps<{ row: LineUpRow; words?: string; weight?: number; mute?: boolean }>();
defineSlots<{ waiting?(): unknown }>();

const inFace = useTemplateRef('inFace');
defineExpose({
  shown: computed(() => inFace.value?.shown ?? false),
  /** Has all weights of the family at hand, and its italic. */
  haveAll: () => inFace.value?.haveAll(),
});
</script>

<template>
  <InFace
    ref="inFace"
    :font="rowFont(row)"
    :name="row.name"
    :words="words ?? row.name"
    :library="row.library"
    :weight="weight ?? 400"
    :mute="mute ?? false"
    ><template v-if="$slots.waiting" #waiting><slot name="waiting" /></template
  ></InFace>
</template>
