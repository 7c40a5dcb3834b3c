<script setup lang="ts">
import { occasionLine as say } from './words';
import type { OwnScale } from '@lettera/core/document';
import NumberField from '../../control/NumberField.vue';

/** A scale that has one end: its base, and what each step is larger by. */
defineProps<{ scale: OwnScale; unit: 'pt' | 'px'; smallest: number; largest: number }>();
defineEmits<{ set: [name: 'base' | 'ratio', value: number] }>();
</script>

<template>
  <NumberField
    :label="say.base"
    :model-value="scale.base"
    :min="smallest"
    :max="largest"
    :step="0.5"
    :unit="unit"
    width="56px"
    @update:model-value="$emit('set', 'base', $event)"
  />
  <NumberField
    :label="say.ratio"
    :model-value="scale.ratio"
    :min="1"
    :max="3"
    :step="0.05"
    width="56px"
    @update:model-value="$emit('set', 'ratio', $event)"
  />
</template>
