<script setup lang="ts">
import type { FamilyMeasures } from '@lettera/core/measure';
import { figureOf, measureOf, type MeasureKey } from '../../store/rows/measures';

/** A measure of a family as a figure; dots while it is being measured. */
defineProps<{ measure: MeasureKey; measures: FamilyMeasures | null | undefined }>();
</script>

<template>
  <span class="figure">{{
    measures === undefined
      ? '…'
      : figureOf(measureOf(measure), measures ? measureOf(measure).value(measures) : null)
  }}</span>
</template>
