<script setup lang="ts">
import { scaleEnds as say } from './words';
import { SCALE_BOUNDS, type Patch, type Scale } from '@lettera/core/document';
import { ENDS, type End } from '@lettera/core/scale';
import { computed } from 'vue';
import { useScaleDraft } from '../../store/scaleDraft';
import RatioAxis from './RatioAxis.vue';
import ScaleNumber from './ScaleNumber.vue';

/** Viewport width, base and ratio at each end of the range. */
const props = defineProps<{ scale: Scale }>();

const draft = useScaleDraft();
/** What the widths are of. */
const widthWord = computed(() =>
  props.scale.between === 'container' ? say.container : say.viewport,
);

const NAMES: Record<End, string> = { small: say.smallEnd, large: say.largeEnd };

const toRatio = (end: End, value: number): Patch => [
  { op: 'replace', path: `/scale/${end}/ratio`, value },
];

/** The widths stay apart: each end is bounded by the other. */
const widths = (end: End): [number, number] =>
  end === 'small'
    ? [SCALE_BOUNDS.width[0], props.scale.large.width - 1]
    : [props.scale.small.width + 1, SCALE_BOUNDS.width[1]];
</script>

<template>
  <p class="heads small quiet" aria-hidden="true">
    <span /><span>{{ widthWord }}</span
    ><span>{{ say.base }}</span
    ><span>{{ say.ratio }}</span>
    <span>{{ say.ticksRatiosName }}</span>
  </p>
  <div class="ends">
    <fieldset v-for="end in ENDS" :key="end">
      <legend>{{ NAMES[end] }}</legend>
      <ScaleNumber
        :label="widthWord"
        :path="`${end}/width`"
        :value="scale[end].width"
        :bounds="widths(end)"
        :step="10"
        unit="px"
        whole
        hide-label
        width="56px"
      />
      <ScaleNumber
        :label="say.base"
        :path="`${end}/base`"
        :value="scale[end].base"
        :bounds="SCALE_BOUNDS.base"
        :step="0.5"
        unit="size"
        hide-label
      />
      <ScaleNumber
        :label="say.ratio"
        :path="`${end}/ratio`"
        :value="scale[end].ratio"
        :bounds="SCALE_BOUNDS.ratio"
        :step="0.01"
        hide-label
      />
      <RatioAxis
        :label="say.ratioAt(NAMES[end].toLowerCase())"
        :model-value="scale[end].ratio"
        @look="draft.look($event === null ? null : toRatio(end, $event))"
        @update:model-value="draft.change(toRatio(end, $event))"
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
  padding: 0 var(--edge) 4px;
}
.ends {
  display: grid;
  gap: 2px;
  padding: 0 var(--edge) 8px;
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
