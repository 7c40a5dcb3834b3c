<script setup lang="ts">
import { SCALE_BOUNDS, type Patch, type Scale } from '@lettera/core/document';
import { ENDS, type End } from '@lettera/core/scale';
import { computed } from 'vue';
import NumberField from '../../frame/NumberField.vue';
import { useScaleTrial } from '../../store/scaleTrial';
import RatioAxis from './RatioAxis.vue';

/** Viewport width, base and ratio at each end of the range. */
const props = defineProps<{ scale: Scale }>();

const trial = useScaleTrial();
/** What the widths are of. */
const widthWord = computed(() => (props.scale.between === 'container' ? 'Container' : 'Viewport'));

const NAMES: Record<End, string> = { small: 'Small end', large: 'Large end' };

const to = (end: End, what: 'width' | 'base' | 'ratio', value: number): Patch => [
  { op: 'replace', path: `/scale/${end}/${what}`, value },
];

/** The widths stay apart: each end is bounded by the other. */
const widths = (end: End): { min: number; max: number } =>
  end === 'small'
    ? { min: SCALE_BOUNDS.width[0], max: props.scale.large.width - 1 }
    : { min: props.scale.small.width + 1, max: SCALE_BOUNDS.width[1] };
</script>

<template>
  <p class="heads small quiet" aria-hidden="true">
    <span /><span>{{ widthWord }}</span
    ><span>Base</span><span>Ratio</span>
    <span>Ticks: ratios with a name</span>
  </p>
  <div class="ends">
    <fieldset v-for="end in ENDS" :key="end">
      <legend>{{ NAMES[end] }}</legend>
      <NumberField
        :label="widthWord"
        :model-value="scale[end].width"
        v-bind="widths(end)"
        :step="10"
        unit="px"
        hide-label
        width="56px"
        @update:model-value="trial.change(to(end, 'width', Math.round($event)))"
      />
      <NumberField
        label="Base"
        :model-value="scale[end].base"
        :min="SCALE_BOUNDS.base[0]"
        :max="SCALE_BOUNDS.base[1]"
        :step="0.5"
        unit="size"
        hide-label
        width="60px"
        @update:model-value="trial.change(to(end, 'base', $event))"
      />
      <NumberField
        label="Ratio"
        :model-value="scale[end].ratio"
        :min="SCALE_BOUNDS.ratio[0]"
        :max="SCALE_BOUNDS.ratio[1]"
        :step="0.01"
        hide-label
        width="60px"
        @update:model-value="trial.change(to(end, 'ratio', $event))"
      />
      <RatioAxis
        :label="`Ratio at the ${NAMES[end].toLowerCase()}`"
        :model-value="scale[end].ratio"
        @look="trial.look($event === null ? null : to(end, 'ratio', $event))"
        @update:model-value="trial.change(to(end, 'ratio', $event))"
      />
    </fieldset>
  </div>
</template>

<style scoped>
.heads,
fieldset {
  display: grid;
  grid-template-columns: 68px 84px 92px 64px minmax(0, 1fr);
  gap: 4px 10px;
  align-items: center;
}
.heads {
  padding: 0 20px;
}
.ends {
  display: grid;
  gap: 2px;
  padding: 0 20px 8px;
}
legend {
  float: left;
  padding: 0;
  font-weight: 650;
}
@container (max-width: 500px) {
  .heads,
  fieldset {
    grid-template-columns: 60px 84px 92px 64px;
  }
  .heads > :last-child {
    display: none;
  }
  fieldset > :last-child {
    grid-column: 2 / -1;
  }
}
</style>
