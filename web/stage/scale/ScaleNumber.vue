<script setup lang="ts">
import NumberField from '../../control/NumberField.vue';
import type { NumberUnit } from '../../control/readNumber';
import { useScaleDraft } from '../../store/scaleDraft';

/** A number of the scale: where it stands, and its bounds. */
const props = withDefaults(
  defineProps<{
    label: string;
    /** Its place within the scale: `large/base`. */
    path: string;
    value: number;
    bounds: readonly [least: number, most: number];
    step: number;
    unit?: NumberUnit;
    whole?: boolean;
    hideLabel?: boolean;
    width?: string;
  }>(),
  { unit: 'none', whole: false, hideLabel: false, width: '60px' },
);
defineEmits<{ reset: [] }>();

const draft = useScaleDraft();

function change(value: number): void {
  draft.change([
    { op: 'add', path: `/scale/${props.path}`, value: props.whole ? Math.round(value) : value },
  ]);
}
</script>

<template>
  <NumberField
    :label="label"
    :model-value="value"
    :min="bounds[0]"
    :max="bounds[1]"
    :step="step"
    :unit="unit"
    :hide-label="hideLabel"
    :width="width"
    @update:model-value="change"
    @reset="$emit('reset')"
  />
</template>
