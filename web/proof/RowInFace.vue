<script setup lang="ts">
import type { LineUpRow } from '../store/rows/rows';
import InFace from './InFace.vue';
import { rowFont } from './specimenFonts';

/** A family's name, or other words, set in its own face. */
defineProps<{ row: LineUpRow; words?: string; weight?: number; mute?: boolean }>();
</script>

<template>
  <InFace
    :font="rowFont(row)"
    :name="row.name"
    :words="words ?? row.name"
    :library="row.library"
    :weight="weight ?? 400"
    :mute="mute ?? false"
  />
</template>
